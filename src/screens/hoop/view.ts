import { type SizeSystem, sizeLost, sizeText } from "@/core/hoop/sizes";
import { figureOf } from "@/core/measure/figure";
import { type Plan, hoopIn } from "@/core/piece/plan";
import { SYSTEM_NAMES } from "@/words/names";
import { type Units, showLength, withUnit } from "@/words/show";
import { cutAt, sumParts } from "@/words/sums";

const SHOWN: readonly Exclude<SizeSystem, "mandrel">[] = ["us", "uk", "eu", "continental", "jp", "diameter"];

/** What the Hoop stage says, rounded as a bench reads it. */
export function hoopView(plan: Plan, mount: string, system: SizeSystem, units: Units) {
  const figure = (key: string) => figureOf(plan.figures, `hoop.${key}`);
  const ofSeat = (key: string) => figureOf(plan.figures, `${mount}.hoop.${key}`).value;
  const measured = (key: string) => showLength(figure(key).value, "measured", units);
  const { settled: hoop, drawn } = hoopIn(plan)!;
  const cut = figure("cutLength");
  const term = (label: string) => cut.terms.find((each) => each.label === label)?.value ?? 0;
  const asked = figure("insideDiameter").terms[0]!.value;
  const { act: seat } = drawn.seats[mount]!;
  return {
    cut: showLength(cut.value, "blank", units),
    inside: `inside ${measured("insideDiameter")} across`,
    insideFigure: `${measured("insideDiameter")} inside`,
    fibre: measured("fibre"),
    counted: `counted ${measured("fibre")} out from the finger`,
    seat,
    seatFigure: `${mount}.hoop.${seat}`,
    seatDepth: showLength(ofSeat(seat), "measured", units),
    seatWidth: showLength(ofSeat(`${seat}Width`), "blank", units),
    seatLeft: withUnit(ofSeat(`${seat}Left`), "measured", units),
    lost: eachMillimetre(system, asked, figure("lostPerMillimetre").value),
    conversions: SHOWN.map((each) => ({ system: each, name: SYSTEM_NAMES[each], text: sizeText(each, asked) ?? "—" })),
    sum: sumParts(
      [
        { name: "round the fibre", value: figure("netLength").value },
        { name: "padding", value: term("padding") },
        { name: "squaring", value: term("squaring") },
        { name: "saw", value: term("sawPasses") },
        { name: "mark", value: term("mark") },
      ],
      "mm",
      units,
    ),
    total: showLength(cut.value, "measured", units),
    why: cutAt(cut.value, "blank", units),
    thickness: showLength(hoop.section.thickness, "measured", units),
    width: showLength(hoop.section.width, "measured", units),
    mass: `${figure("mass").value.toFixed(2)} g`,
  };
}

/** In the maker's system; a mandrel's readings have no step of their own, so in US sizes. */
function eachMillimetre(system: SizeSystem, asked: number, lost: number): string {
  if (system === "diameter") return `each millimetre lost is ${lost.toFixed(2)} mm inside`;
  const told = system === "mandrel" ? "us" : system;
  return `each millimetre lost is ${sizeLost(told, asked, lost).toFixed(2)} ${SYSTEM_NAMES[told]} size`;
}
