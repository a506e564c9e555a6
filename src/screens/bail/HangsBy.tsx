"use client";

import { castDraft } from "immer";
import { METALS, type Metal, metalsFor } from "@/core/metal/metals";
import { type Piece } from "@/core/piece/piece";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { Answer } from "@/ui/Stage";
import { FigureButton } from "@/ui/Terms";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { BAIL_WORDS, WORN_WORDS } from "@/words/bails";
import { capital } from "@/words/names";
import { degrees, showTemperature } from "@/words/show";
import { secondText } from "@/words/second";
import { type Measure, STYLES, choicesOf, entryOf, hangsBy, placeOn } from "./styles";
import { type earringView } from "./view";
import { commonText } from "@/words/common";
import { hangsByText } from "@/words/screens/bail";

const WORDS = { ...BAIL_WORDS, ...WORN_WORDS };

/** What it hangs by, or is worn by. */
export function HangsByField({ piece }: { readonly piece: Piece }) {
  const session = useSession();
  const plan = usePlan();
  const entry = entryOf(piece);
  const style = hangsBy(entry);
  return (
    <ChoiceField
      label={hangsByText.hangsBy}
      hint={WORDS[style].hint}
      value={style}
      options={choicesOf(piece).map((value) => ({ value, text: WORDS[value].name }))}
      onChoose={(next) => session.change((each) => void (each.carrier = castDraft(STYLES[next].entry(entry, placeOn(piece, plan)))))}
    />
  );
}

export function MetalField({ metal }: { readonly metal: Metal }) {
  const session = useSession();
  const units = useUnits();
  return (
    <ChoiceField
      label={commonText.metal}
      hint={hangsByText.startsToMeltAt(showTemperature(METALS[metal].solidus, units), degrees(units))}
      value={metal}
      options={metalsFor("bail").map((value) => ({ value, text: capital(METALS[value].name) }))}
      onChoose={(next) =>
        session.change((each) => {
          if (each.carrier.type !== "hoop" && each.carrier.type !== "none") each.carrier.metal = next;
        })
      }
    />
  );
}

/** Measures side by side. */
export function Compact({ measures }: { readonly measures: readonly Measure[] }) {
  return (
    <div className="grid gap-x-3 wide:grid-cols-2">
      {measures.map((measure) => (
        <MeasureField key={measure.label} {...measure} shape="compact" />
      ))}
    </div>
  );
}

/** A pair, or one, of earrings with one setting. */
export function PairField({ piece }: { readonly piece: Piece }) {
  const session = useSession();
  const plan = usePlan();
  const units = useUnits();
  if (piece.kind !== "earrings" || piece.mounts.length !== 1) return null;
  const isPair = piece.copies === 2;
  return (
    <ChoiceField
      label={hangsByText.made}
      hint={isPair ? hangsByText.theSecond(secondText(plan, piece, units) ?? "") : hangsByText.aSingleOne}
      value={isPair ? "2" : "1"}
      options={[
        { value: "2", text: hangsByText.aPair },
        { value: "1", text: hangsByText.one },
      ]}
      onChoose={(value) => session.change((each) => void (each.copies = Number(value)))}
    />
  );
}

/** How long an earring is, and what it weighs. */
export function EarringAnswers({
  earring: { length, mass },
  unit,
}: {
  readonly earring: NonNullable<ReturnType<typeof earringView>>;
  readonly unit: string;
}) {
  return (
    <>
      <FigureButton figure="earring.length" name="Length of the earring">
        <Answer lead={hangsByText.long} unit={unit}>
          {length}
        </Answer>
      </FigureButton>
      <FigureButton figure="earring.mass" name="Weight of one earring">
        <Answer lead={hangsByText.weighs} unit={hangsByText.gram}>
          {mass}
        </Answer>
      </FigureButton>
    </>
  );
}
