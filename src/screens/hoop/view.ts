import { type SizeSystem, sizeNumber, sizeText } from "@/core/hoop/sizes";
import { figureOf } from "@/core/measure/figure";
import { type Plan } from "@/core/piece/plan";
import { SYSTEM_NAMES } from "@/words/names";
import { type Units, showLength, withUnit } from "@/words/show";

const SHOWN: readonly Exclude<SizeSystem, "mandrel">[] = ["us", "uk", "eu", "continental", "jp", "diameter"];

/** What the Hoop stage says, rounded as a bench reads it. */
export function hoopView(plan: Plan, system: SizeSystem, units: Units) {
  const figure = (key: string) => figureOf(plan.figures, `hoop.${key}`);
  const measured = (key: string) => showLength(figure(key).value, "measured", units);
  const hoop = plan.settled.hoop!;
  const cut = figure("cutLength");
  const term = (label: string) => cut.terms.find((each) => each.label === label)?.value ?? 0;
  const asked = figure("insideDiameter").terms[0]!.value;
  const seat = plan.figures["hoop.flat"] ? ("flat" as const) : plan.figures["hoop.saddle"] ? ("saddle" as const) : null;
  return {
    cut: showLength(cut.value, "blank", units),
    inside: `inside ${measured("insideDiameter")} across`,
    insideFigure: `${measured("insideDiameter")} inside`,
    fibre: measured("fibre"),
    counted: `counted ${measured("fibre")} out from the finger`,
    seat,
    seatDepth: seat ? measured(seat) : "",
    seatWidth: seat ? showLength(figure(`${seat}Width`).value, "blank", units) : "",
    seatLeft: seat ? withUnit(figure(`${seat}Left`).value, "measured", units) : "",
    lost: eachMillimetre(system, asked, figure("lostPerMillimetre").value),
    conversions: SHOWN.map((each) => ({ system: each, name: SYSTEM_NAMES[each], text: sizeText(each, asked) ?? "—" })),
    sum: [
      { value: showLength(figure("netLength").value, "measured", units), name: "round the fibre" },
      ...(term("padding") === 0 ? [] : [{ value: showLength(term("padding"), "measured", units), name: "padding" }]),
      { value: showLength(term("squaring"), "measured", units), name: "squaring" },
      { value: showLength(term("sawPasses"), "measured", units), name: "saw" },
      { value: showLength(term("mark"), "measured", units), name: "mark" },
    ],
    total: showLength(cut.value, "measured", units),
    thickness: showLength(hoop.section.thickness, "blank", units),
    width: showLength(hoop.section.width, "blank", units),
    mass: `${figure("mass").value.toFixed(2)} g`,
  };
}

/** In the maker's system; a mandrel's readings have no step of their own, so in US sizes. */
function eachMillimetre(system: SizeSystem, asked: number, lost: number): string {
  if (system === "diameter") return `each millimetre lost is ${lost.toFixed(2)} mm inside`;
  const told = system === "mandrel" ? "us" : system;
  return `each millimetre lost is ${(sizeNumber(told, asked) - sizeNumber(told, asked - lost)).toFixed(2)} ${SYSTEM_NAMES[told]} size`;
}
