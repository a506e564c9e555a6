import { type SizeSystem, sizeLost, sizeText } from "@/core/hoop/sizes";
import { MM_PER_INCH } from "@/core/measure/reading";
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
    lost: eachLost(system, asked, figure("lostPerMillimetre").value, units),
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
function eachLost(system: SizeSystem, asked: number, perMillimetre: number, units: Units): string {
  const isInch = units.length === "inch";
  const each = isInch ? "each 1/16 in lost" : "each millimetre lost";
  const lost = perMillimetre * (isInch ? MM_PER_INCH / 16 : 1);
  if (system === "diameter") return `${each} is ${withUnit(lost, "measured", units)} inside`;
  const told = system === "mandrel" ? "us" : system;
  return `${each} is ${sizeLost(told, asked, lost).toFixed(2)} ${SYSTEM_NAMES[told]} size`;
}
