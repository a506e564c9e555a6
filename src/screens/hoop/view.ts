import { type SizeSystem, sizeLost, sizeText } from "@/core/hoop/sizes";
import { type WhatIf, whatIfs } from "@/core/hoop/what-if";
import { figureOf } from "@/core/measure/figure";
import { type Plan, hoopIn } from "@/core/piece/plan";
import { BLANK_MARKS } from "@/words/marks";
import { SCHOOL_NAMES, SYSTEM_NAMES } from "@/words/names";
import { type Units, smallLength, showFigure, showLength, withUnit } from "@/words/show";
import { cutAt, sumParts } from "@/words/sums";
import { giveOrTake } from "@/words/hoop-size";
import { yoursName } from "@/words/terms";
import { saySeat } from "./seats";
import { viewText } from "@/words/screens/hoop";

const SHOWN: readonly Exclude<SizeSystem, "mandrel">[] = ["us", "uk", "eu", "continental", "jp", "diameter"];

/** What the Hoop stage says, rounded as a bench reads it. */
export function hoopView(plan: Plan, mount: string, system: SizeSystem, units: Units) {
  const figure = (key: string) => figureOf(plan.figures, `hoop.${key}`);
  const measured = (key: string) => showLength(figure(key).value, "measured", units);
  const { settled: hoop, drawn } = hoopIn(plan)!;
  const cut = figure("cutLength");
  const term = (label: string) => cut.terms.find((each) => each.label === label)?.value ?? 0;
  const asked = figure("insideDiameter").terms[0]!.value;
  const seat = saySeat(drawn.seats[mount]!.act, (name) => figureOf(plan.figures, `${mount}.hoop.${name}`), units);
  return {
    cut: showLength(cut.value, "blank", units),
    inside: viewText.insideAcross(measured("insideDiameter"), giveOrTake(plan)),
    insideFigure: viewText.inside(measured("insideDiameter")),
    fibre: measured("fibre"),
    counted: viewText.lengthCountedFromTheFinger(measured("fibre")),
    seat,
    seatFigure: `${mount}.hoop.${seat.figure}`,
    covers: viewText.coversOfTheFinger(Math.round(drawn.seats[mount]!.covers)),
    whatIfs: whatIfs(hoop, figureOf(plan.figures, "hoop.insideDiameter").value, smallLength(units).mm).map((each) =>
      whatIf(each, system, hoop.section.thickness, hoop.wideBand.value, units),
    ),
    notes: [
      ...(cut.schools ?? [])
        .filter(({ rule }) => rule === "long")
        .map(({ value }) => `${SCHOOL_NAMES.long}: ${withUnit(value, "blank", units)}`),
      ...takesUp(plan, cut.value, units),
    ],
    marks: marksOf(plan, mount, units),
    also: ALSO.flatMap(({ key, ...each }) => {
      const found = plan.figures[key];
      return found ? [{ ...each, figure: key, text: showLength(found.value, "blank", units) }] : [];
    }),
    lost: eachLost(system, asked, figure("lostPerMillimetre").value, units),
    conversions: SHOWN.map((each) => ({ system: each, name: SYSTEM_NAMES[each], text: sizeText(each, asked) ?? "—" })),
    sum: sumParts(
      [
        { name: viewText.roundTheFibre, value: figure("netLength").value },
        { name: "padding", value: term("padding") },
        { name: "squaring", value: term("squaring") },
        { name: "spreading", value: term("slit") },
        { name: "saw", value: term("sawPasses") },
        { name: "mark", value: term("mark") },
        { name: yoursName(cut), value: term("yours") },
        { name: "fitting", value: term("fitting") },
        { name: "hammering", value: term("hammer") },
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

/** What else is cut for a hoop, where it has it. */
const ALSO = [
  { key: "hoop.wireLength", name: viewText.wireForTheTwistEach, lead: viewText.eachWire },
  { key: "bridge.blankLength", name: viewText.bridgesBlank, lead: viewText.bridgeLead },
  { key: "hoop.inlayLength", name: viewText.inlay, lead: viewText.inlayLead },
] as const;

/** What a twist takes up of each wire. */
function takesUp({ figures }: Pick<Plan, "figures">, cut: number, units: Units): string[] {
  const wire = figures["hoop.wireLength"];
  return wire && wire.value > cut ? [viewText.twistingTakesUpOfEach(withUnit(wire.value - cut, "blank", units))] : [];
}

/** What lies where on the rule; feet with the angle their ends are filed to. */
function marksOf({ figures }: Pick<Plan, "figures">, mount: string, units: Units): typeof BLANK_MARKS {
  const end = figures[`${mount}.hoop.endAngle`];
  return end ? { ...BLANK_MARKS, foot: viewText.footFiled(showFigure(end, units)) } : BLANK_MARKS;
}

/** What it lands at, in the maker's system, and what stretching it back would leave. */
function whatIf({ code, inside, left, isFar }: WhatIf, system: SizeSystem, thickness: number, wideBand: number, units: Units): string {
  const told = system === "mandrel" ? "us" : system;
  const size = sizeText(told, inside - wideBand);
  const lands = size === null ? withUnit(inside, "measured", units) : `${SYSTEM_NAMES[told]} ${size}`;
  const what = WHAT_IFS[code](smallLength(units).text);
  if (left === null) return `${what}: ${lands}`;
  const back = isFar
    ? viewText.tooFarToStretchBack
    : viewText.stretchedBackOfLeft(showLength(left, "measured", units), withUnit(thickness, "measured", units));
  return `${what}: ${lands}, ${back}`;
}

const WHAT_IFS: Readonly<Record<WhatIf["code"], (small: string) => string>> = {
  saw: () => viewText.oneMoreSawPass,
  hammered: (small) => viewText.hammeredLonger(small),
  short: (small) => viewText.cutShort(small),
};

/** In the maker's system; a mandrel's readings have no step of their own, so in US sizes. */
function eachLost(system: SizeSystem, asked: number, perMillimetre: number, units: Units): string {
  const small = smallLength(units);
  const each = viewText.lost(small.each);
  const lost = perMillimetre * small.mm;
  if (system === "diameter") return viewText.isInside(each, withUnit(lost, "measured", units));
  const told = system === "mandrel" ? "us" : system;
  return viewText.costsSizes(each, sizeLost(told, asked, lost).toFixed(2), SYSTEM_NAMES[told]);
}
