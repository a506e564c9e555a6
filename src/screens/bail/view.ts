import { figureOf } from "@/core/measure/figure";
import { type Plan, bailIn } from "@/core/piece/plan";
import { BAIL_WORDS } from "@/words/bails";
import { besideText, hangsText, sideText } from "@/words/hang";
import { type Units, showLength, withUnit } from "@/words/show";
import { cutAt, sumParts } from "@/words/sums";
import { termName } from "@/words/terms";

/** What the Bail stage says, rounded as a bench reads it. */
export function bailView(plan: Plan, mount: string, units: Units) {
  const { settled, drawn } = bailIn(plan)!;
  const hang = drawn.hangs.find((each) => each.mount === mount)!;
  const figure = drawn.cut;
  const cut = figureOf(plan.figures, figure);
  const measured = (mm: number) => showLength(mm, "measured", units);
  const hangsBy = hangsText(hang.tilt);
  const isStraight = hangsBy === "hangs straight";
  const words = BAIL_WORDS[settled.style];
  const spare = settled.chainEnd === null ? null : settled.bore - settled.chainEnd;
  return {
    figure,
    tiltFigure: "hang.tilt" in plan.figures ? "hang.tilt" : `${mount}.hang.tilt`,
    lead: words.cut,
    cut: showLength(cut.value, "blank", units),
    widest: drawn.isSawnToShape ? measured(settled.widest.value) : null,
    tilt: isStraight ? "straight" : Math.abs(hang.tilt).toFixed(1),
    hangsBy,
    isStraight,
    side: hang.straight ? sideText(hang.straight.along) : "",
    swings: `swings to the ${hang.tilt > 0 ? "left" : "right"}`,
    sum:
      cut.terms.length > 1
        ? sumParts(
            cut.terms.map((term) => ({ name: termName(term), value: term.value })),
            "mm",
            units,
          )
        : null,
    total: measured(cut.value),
    why: cutAt(cut.value, "blank", units),
    beyond: words.beyond(withUnit(settled.bore, "measured", units)),
    eachMillimetre: `a millimetre tilts it ${hang.perMillimetre.toFixed(1)}°`,
    balance: besideText(hang.left, measured),
    drop: withUnit(drawn.pastEdge, "measured", units),
    chain: settled.chainEnd === null ? null : `chain ${measured(settled.chainEnd)}`,
    passes: spare === null ? null : spare >= 0 ? `${measured(spare)} to spare` : `${measured(-spare)} too thick`,
  };
}
