import { type CautionCode } from "@/core/making/step";
import { capital } from "@/words/names";
import { CAUTIONS, CAUTIONS_DEFER } from "@/words/steps";
import { cautionsText } from "@/words/ui";

interface Props {
  readonly codes: readonly CautionCode[];
  /** On the dark ground of the bench. */
  readonly isNight?: boolean;
}

/** What can hurt at a step, and whose word goes before ours. */
export function Cautions({ codes, isNight = false }: Props) {
  if (codes.length === 0) return null;
  return (
    <div
      role="note"
      aria-label={cautionsText.cautions}
      className={
        isNight
          ? "mt-4 max-w-194.5 rounded-lg bg-night-warn-wash px-3.5 py-2.5 text-base leading-text text-solder-pale"
          : "mt-3 rounded-md bg-warn-wash px-2.5 py-2 text-sm leading-text text-umber"
      }
    >
      {codes.map((code) => (
        <p key={code} className="mb-1">
          <b className="font-strong">◆ {capital(CAUTIONS[code].name)}.</b> {CAUTIONS[code].text}
        </p>
      ))}
      <p>{CAUTIONS_DEFER}</p>
    </div>
  );
}
