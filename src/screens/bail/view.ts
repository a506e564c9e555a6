import { type DrawnHang } from "@/core/bail/hanging";
import { tolerance } from "@/core/measure/tolerances";
import { figureOf } from "@/core/measure/figure";
import { type Plan, bailIn } from "@/core/piece/plan";
import { BAIL_WORDS } from "@/words/bails";
import { besideText, hangsText, sideText } from "@/words/hang";
import { type Units, showLength, smallLength, withUnit } from "@/words/show";
import { cutAt, sumParts } from "@/words/sums";
import { termName } from "@/words/terms";
import { commonText } from "@/words/common";
import { viewText } from "@/words/screens/bail";

/** What the Bail stage says, rounded as a bench reads it. */
export function bailView(plan: Plan, mount: string, units: Units) {
  const { settled, drawn } = bailIn(plan)!;
  const hang = drawn.hangs.find((each) => each.mount === mount)!;
  const { earWire } = drawn;
  const figure = earWire ? "earwire.cutLength" : drawn.cut;
  const cut = figureOf(plan.figures, figure);
  const measured = (mm: number) => showLength(mm, "measured", units);
  const hangsBy = hangsText(hang.tilt);
  const isStraight = hangsBy === "hangs straight";
  const words = BAIL_WORDS[settled.style];
  const passed = settled.ring?.inside ?? settled.bore;
  const spare = settled.chainEnd === null ? null : passed - settled.chainEnd;
  return {
    figure,
    tiltFigure: "hang.tilt" in plan.figures ? "hang.tilt" : `${mount}.hang.tilt`,
    lead: earWire ? viewText.cutEarWire : words.cut,
    laid: earWire ? "earwire" : "bail",
    pattern: earWire
      ? ([
          [0, earWire.wire],
          [cut.value, earWire.wire],
        ] as const)
      : drawn.pattern,
    ring: earWire ? showLength(figureOf(plan.figures, drawn.cut).value, "blank", units) : null,
    earring: earringView(plan, units),
    cut: showLength(cut.value, "blank", units),
    widest: drawn.isSawnToShape ? measured(settled.widest.value) : null,
    tilt: isStraight ? "straight" : Math.abs(hang.tilt).toFixed(1),
    hangsBy,
    isStraight,
    side: straightenText(hang, measured),
    swings: viewText.swingsToThe(hang.tilt > 0 ? "left" : "right"),
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
    beyond: earWire ? commonText.restOfTheWire : words.beyond(withUnit(settled.bore, "measured", units)),
    eachMillimetre: viewText.alongTheEdgeTiltsIt(smallLength(units).text, (hang.perMillimetre * smallLength(units).mm).toFixed(1)),
    balance: besideText(hang.left, measured),
    drop: withUnit(drawn.pastEdge, "measured", units),
    chain: settled.chainEnd === null ? null : viewText.chain(measured(settled.chainEnd)),
    passes: spare === null ? null : spare >= 0 ? viewText.toSpare(measured(spare)) : viewText.tooThick(measured(-spare)),
  };
}

/** How long an earring is on the ear, and what it weighs with its stone; null for what is not worn by a wire of its own. */
export function earringView(plan: Plan, units: Units) {
  const { "earring.length": length, "earring.mass": mass } = plan.figures;
  return length && mass ? { length: showLength(length.value, "blank", units), mass: mass.value.toFixed(2) } : null;
}

/** ", 2.03 mm left", ", 4.5° left round the point": where to its eye has to go to hang straight. */
function straightenText({ eyes, straight }: DrawnHang, length: (mm: number) => string): string {
  if (!straight) return "";
  if (Math.abs(straight.along) >= tolerance.seen) return `, ${length(Math.abs(straight.along))} ${sideText(straight.along)}`;
  const turn = straight.turn - eyes.at(-1)!.turn;
  return viewText.roundThePoint(Math.abs(turn).toFixed(1), sideText(turn));
}
