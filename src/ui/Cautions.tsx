import { type CautionCode } from "@/core/making/step";
import { capital } from "@/words/names";
import { CAUTIONS, CAUTIONS_DEFER } from "@/words/steps";

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
      aria-label="Cautions"
      className={
        isNight
          ? "mt-4 max-w-[680px] rounded-[8px] bg-[#2b2317] px-3.5 py-2.5 text-[15px] leading-[1.4] text-[#f5d9ad]"
          : "mt-3 rounded-[5px] bg-warn-wash px-[9px] py-[7px] text-[12.5px] leading-[1.4] text-[#6b3500]"
      }
    >
      {codes.map((code) => (
        <p key={code} className="mb-1">
          <b className="font-[680]">◆ {capital(CAUTIONS[code].name)}.</b> {CAUTIONS[code].text}
        </p>
      ))}
      <p>{CAUTIONS_DEFER}</p>
    </div>
  );
}
