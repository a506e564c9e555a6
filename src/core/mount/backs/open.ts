import { type Loop, type Outline, loopsOf, outward } from "../../geometry/outline";
import { rimOf } from "../../geometry/rim";
import { NOTHING, type WorkedJoint } from "../../joint/contribution";
import { type Step, type StepCode, step } from "../../making/step";
import { layBlank } from "../../measure/blank";
import { type Figure, type Figures, single, sum, taken, term } from "../../measure/figure";
import { type Finding, finding } from "../../measure/finding";
import { cutToLength } from "../../metal/cut";
import { massOf } from "../../metal/metals";
import { straightestPlace } from "../seam";
import { type BackAsked, type BackType, type Ledge, NO_PLATE } from "./back";

/** A ledge that hides more than this share of the back defeats it. */
const MOST_HIDDEN = 0.2;

/** No plate: a ledge of wire inside the wall, on which a see-through stone or a coin stands. */
export const open: BackType = {
  plan: (asked) => {
    const { mount, outline, wall, back, losses } = asked;
    const ledge = ledgeOf(back.ledge);
    const face = wall.fit.value + wall.thickness.value;
    const rim = rimOf(outline, [{ from: 0, to: 1, out: face }], 0);
    const net = netLength(outline, wall.fit.value, ledge.width, wall.fit);
    const cut = sum("mm", [...net.terms, taken("squaring", losses.squaring), taken("mark", losses.mark)]);
    const shown = backShown(outline, wall.fit.value - ledge.width);
    const mass = massOf(ledge.metal, net.value * ledge.width * ledge.height);
    const key = (name: string) => `${mount}.ledge.${name}`;
    const part = `${mount}.ledge`;
    const joints = ledgeJoints(asked, ledge, net.value);
    const lead = losses.squaring.value / 2;
    const figures: Figures = {
      [key("netLength")]: net,
      [key("cutLength")]: cut,
      [key("backShown")]: shown,
      [key("mass")]: single("g", mass, "density"),
    };
    return {
      ...NOTHING,
      rim,
      sawLine: rim,
      figures,
      parts: [{ id: part, kind: "ledge", mount, metal: ledge.metal, mass, thickness: Math.min(ledge.width, ledge.height) }],
      findings: [
        ...hiddenFindings(mount, shown.value),
        ...(back.stamp || back.drain ? [finding("ledge.no-plate", "warning", part, {}, mount)] : []),
      ],
      joints,
      cuts: [
        cutToLength(
          { part, mount, metal: ledge.metal },
          { form: "wire", section: "rectangle", width: ledge.width, thickness: ledge.height },
          key("cutLength"),
          cut.value,
        ),
      ],
      made: { [part]: { flat: joints[0]!.work.before.slice(0, 1), formed: joints[0]!.work.before } },
      laid: { [part]: layBlank(net.value, lead, lead + losses.mark.value, [{ code: "seam", at: 0 }]) },
      tie: { part: wall.part, after: joints.map(({ id }) => id) },
      thickness: ledge.height,
      base: 0,
      finishing: [],
      ledge: { reach: ledge.width - wall.fit.value, height: ledge.height },
      plate: null,
      sphere: null,
      rise: 0,
      drawn: NO_PLATE,
    };
  },
};

function ledgeOf(ledge: Ledge | null): Ledge {
  if (!ledge) throw new RangeError("an open back without a ledge");
  return ledge;
}

/** The widest ledge that leaves an opening: a hair less than reaches the middle. */
export function widestLedge(outline: Outline, fit: number): number {
  return outline.inscribedRadius + fit;
}

/** The ledge's middle, half its width inside the wall's inner face. */
function middleOf(outline: Outline, d: number): readonly Loop[] {
  return d >= 0 ? [outward(outline, d)] : loopsOf(outline.parallel(d));
}

function netLength(outline: Outline, fit: number, width: number, sourced: Parameters<typeof taken>[1]): Figure {
  const middle = middleOf(outline, fit - width / 2).reduce((all, { length }) => all + length, 0);
  const atWall = outward(outline, fit).length;
  return sum("mm", [
    term("outline", outline.perimeter, "stone", "perimeter"),
    { ...taken("fit", sourced), value: atWall - outline.perimeter },
    term("ledge", middle - atWall, "piece", "middle"),
  ]);
}

/** Share of the stone's back that the ledge leaves open. */
function backShown(outline: Outline, d: number): Figure {
  const shown = middleOf(outline, d).reduce((all, { area }) => all + area, 0) / outline.area;
  return sum("ratio", [term("whole", 1, "formula"), term("ledge", shown - 1, "piece")]);
}

function hiddenFindings(mount: string, shown: number): Finding[] {
  return 1 - shown > MOST_HIDDEN
    ? [finding("ledge.hides", "warning", `${mount}.ledge`, { hidden: 1 - shown, most: MOST_HIDDEN }, mount)]
    : [];
}

/** It is bent and closed by itself, and soldered into the wall from below. */
function ledgeJoints({ mount, outline, wall, taken: avoid }: BackAsked, ledge: Ledge, length: number): WorkedJoint[] {
  const part = `${mount}.ledge`;
  const work = (code: StepCode, details?: Parameters<typeof step>[2]): Step => step(part, code, details);
  const seam: WorkedJoint = {
    id: `${part}.seam`,
    kind: "seam",
    mount,
    parts: [part],
    length: ledge.height,
    area: ledge.height * ledge.width,
    place: String(straightestPlace(outline, avoid)),
    after: [],
    follows: [],
    work: {
      before: [
        work("ledge.cut", { target: `${part}.cutLength`, checks: ["ends.square", "ends.noBurr"], cautions: ["saw"] }),
        work("ledge.bend", { works: [wall.part], checks: ["ends.noLight"] }),
      ],
      lookedFor: ["joint.bright", "joint.noGap"],
      cautions: ["charcoal"],
      after: [work("ledge.flat", { works: [wall.part], checks: ["foot.flat", "ledge.touches"] })],
    },
  };
  return [
    seam,
    {
      id: part,
      kind: "ledge",
      mount,
      parts: [part, wall.part],
      length,
      area: length * ledge.height,
      place: "round",
      after: [...wall.joints, seam.id],
      follows: [`${part}.netLength`],
      work: { before: [], lookedFor: ["joint.allRound", "joint.noGap"], after: [work("ledge.try", { checks: ["seat.level"] })] },
    },
  ];
}
