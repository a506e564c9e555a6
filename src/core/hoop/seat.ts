import { roundTheHoop, touchAt } from "./placing";
import { type Tie } from "../joint/joint";
import { type Finding, finding } from "../measure/finding";
import { type Figures, type Sourced, single } from "../measure/figure";
import { tolerance } from "../measure/tolerances";
import { type Section, flatFace } from "../metal/section";
import { type Hoop } from "./hoop";
import { legsOf } from "./works/works";

/** What a mount asks of the hoop under it. Lengths in mm. */
export interface Base {
  readonly mount: string;
  /** Its plate's extent along the finger's curve, and its thickness. */
  readonly extent: number;
  readonly thickness: number;
  /** Round the hoop's outside from the front; whether it is the one that sits there. */
  readonly along: number;
  readonly isFront: boolean;
  readonly tie: Tie;
  /** How far a point so far along the finger, and across it, lies inside its plate's edge. */
  readonly inside: (along: number, across: number) => number;
}

/** A face that is soldered: its length along the finger's curve, its area, and the hoop's parts that it is of. */
export interface Foot {
  readonly length: number;
  readonly area: number;
  readonly parts: readonly string[];
}

/** Where a mount sits on the hoop; its figures by name, without the hoop's or the mount's. */
export interface Seat {
  /** What is filed so that it sits: a flat on the hoop, a saddle in the mount's base, the hoop's own feet, or an opening that grips it. */
  readonly act: "flat" | "saddle" | "feet" | "grip";
  readonly mount: string;
  /** Round the hoop from the front, radians; half the length that is filed along the curve. */
  readonly angle: number;
  readonly half: number;
  /** Height of the base's underside above the finger's centre. */
  readonly level: number;
  readonly feet: readonly Foot[];
  /** How near to its middle the hoop's own feet come; null where they are none. */
  readonly inner?: number;
  /** The figure that its step works to, by name. */
  readonly target: string;
  readonly figures: Figures;
  readonly findings: readonly Finding[];
}

/** A flat must leave this share of the thickness; a base over a saddle this many mm. */
const LEFT_AFTER_FLAT = 0.6;
const LEFT_AFTER_SADDLE = 0.3;

/** Depth of a flat or saddle of width `b` on a circle of radius `r`. */
export function sagitta(r: number, b: number): number {
  return r - Math.sqrt(Math.max(0, r * r - (b * b) / 4));
}

/** The width whose sagitta is `depth`, at most the diameter. */
function widthAtDepth(r: number, depth: number): number {
  const kept = Math.max(0, r - depth);
  return 2 * Math.sqrt(r * r - kept * kept);
}

/** Where on a hoop of this outside radius a base stands. */
function standing(outside: number, { mount, along }: Base) {
  return { mount, angle: along / outside };
}

/** A flat filed on top: by default as wide as the plate there, or as leaves 60 % of the thickness. */
export function flat(hoop: Hoop, asked: Sourced<number> | null, outside: number, base: Base): Seat {
  const { section } = hoop;
  const { mount, extent } = base;
  const { thickness } = section;
  const widest = widthAtDepth(outside, (1 - LEFT_AFTER_FLAT) * thickness);
  const width: Sourced<number> = asked ?? { value: Math.min(extent, widest), from: "formula" };
  const depth = sagitta(outside, width.value);
  const left = thickness - depth;
  const needed = LEFT_AFTER_FLAT * thickness;
  return {
    act: "flat",
    ...standing(outside, base),
    half: width.value / 2,
    level: outside - depth,
    feet: [{ length: width.value, area: flatFace(section, outside, width.value) * shareOf(hoop), parts: partsOf(hoop) }],
    target: "flat",
    figures: {
      flatWidth: single("mm", width.value, "flat.width", width.from),
      flat: single("mm", depth, "flat.depth"),
      flatLeft: single("mm", left, "flat.left"),
    },
    findings:
      left < needed - tolerance.sameLength
        ? [finding("hoop.flat-too-deep", "error", "hoop", { mount, left, needed, width: width.value, widest })]
        : [],
  };
}

/** How much of one stock's width its legs keep: more than 1 of strands, less of one that is slit. */
function shareOf(hoop: Hoop): number {
  return legsOf(hoop).reduce((all, { width }) => all + width, 0) / hoop.section.width;
}

function partsOf(hoop: Hoop): string[] {
  return [...new Set(legsOf(hoop).flatMap(({ parts }) => parts))];
}

/** A saddle filed in the base's underside: by default as wide as the base, or as leaves 0.3 of it. */
export function saddle(hoop: Hoop, asked: Sourced<number> | null, outside: number, base: Base): Seat {
  const { extent, thickness, mount } = base;
  const widest = widthAtDepth(outside, Math.max(0, thickness - LEFT_AFTER_SADDLE));
  const width: Sourced<number> = asked ?? { value: Math.min(extent, widest), from: "formula" };
  const depth = sagitta(outside, width.value);
  const left = thickness - depth;
  return {
    act: "saddle",
    ...standing(outside, base),
    half: width.value / 2,
    level: outside - depth,
    feet: [{ length: width.value, area: width.value * contactWidth(hoop.section) * shareOf(hoop), parts: partsOf(hoop) }],
    target: "saddle",
    figures: {
      saddleWidth: single("mm", width.value, "saddle.width", width.from),
      saddle: single("mm", depth, "saddle.depth"),
      saddleLeft: single("mm", left, "saddle.left"),
    },
    findings: saddleFindings(`${mount}.plate`, { thickness, left, width: width.value, widest }),
  };
}

/** It tips over on feet narrower than this, before it is soldered (degrees to one side). */
const LEAST_STAND = 5;

/**
 * The feet of an open shank on the underside of a plate at height p: each leg meets it to both sides, from sqrt(Ro^2 - p^2) across the finger inward to where
 * its inside face, straight on from where the counted line meets the plate at phi, comes to it: e / sin(phi) further. It stands by itself up to atan(half its span / the height of its middle), that of an arc of half angle a at R sin(a) / a.
 */
export function feet(hoop: Hoop, outside: number, level: number, angle: number, base: Base): Seat {
  const { section } = hoop;
  const { mount } = base;
  const reach = Math.sqrt(outside * outside - level * level);
  const legs = legsOf(hoop);
  const counted = level / Math.cos(angle);
  const inner = Math.max(0, level * Math.tan(angle) - (counted - outside + section.thickness) / Math.sin(angle));
  const face = flatFace(section, outside, 2 * reach, inner, reach);
  const arc = Math.PI - angle;
  const middle = (outside - section.thickness / 2) * (Math.sin(arc) / arc);
  const span = Math.max(...legs.map(({ offset, width }) => Math.abs(offset) + width / 2));
  const stands = toDegrees(Math.atan(span / (level + middle)));
  const corners = legs.flatMap(({ offset, width }) =>
    [-1, 1].flatMap((side) => [-1, 1].map((end) => base.inside(offset + (side * width) / 2, end * reach - base.along))),
  );
  const inside = Math.min(...corners);
  return {
    act: "feet",
    inner,
    ...standing(outside, base),
    half: reach,
    level,
    feet: legs.flatMap(({ width, parts }) => [1, 2].map(() => ({ length: reach - inner, area: (face * width) / section.width, parts }))),
    target: "footAngle",
    figures: {
      footAngle: single("deg", toDegrees(angle), "foot.angle"),
      endAngle: single("deg", 90 - toDegrees(angle), "foot.end"),
      reach: single("mm", reach, "foot.reach"),
      stands: single("deg", stands, "foot.stands"),
    },
    findings: [
      ...(inside < 0 ? [finding("hoop.feet-miss", "error", "hoop", { mount, over: -inside, reach }, mount)] : []),
      ...(stands < LEAST_STAND ? [finding("hoop.wont-stand", "note", "hoop", { stands, span: 2 * span }, mount)] : []),
    ],
  };
}

/** A setting that stands in an opening cut in an arch, at its underside, gripped by the arms to both sides. */
export function gripped(hoop: Hoop, level: number, thickness: number, part: string, base: Base): Seat {
  return {
    act: "grip",
    ...standing(level, base),
    half: base.extent / 2,
    level,
    feet: [{ length: 2 * hoop.section.width, area: 2 * hoop.section.width * thickness, parts: [part] }],
    target: "gripWidth",
    figures: { gripWidth: single("mm", base.extent, "grip.width") },
    findings: [],
  };
}

function toDegrees(radians: number): number {
  return (radians * 180) / Math.PI;
}

function saddleFindings(
  at: string,
  { thickness, left, width, widest }: Record<"thickness" | "left" | "width" | "widest", number>,
): Finding[] {
  const needed = LEFT_AFTER_SADDLE;
  if (widest <= tolerance.sameLength) return [finding("hoop.saddle-no-room", "error", at, { thickness, needed })];
  return left < needed - tolerance.sameLength ? [finding("hoop.saddle-too-deep", "error", at, { left, needed, width, widest })] : [];
}

/** A flat-topped wire touches the saddle across its width; of a rounded one about half the width comes to bear. */
function contactWidth({ shape, width }: Section): number {
  return shape === "square" || shape === "rectangle" ? width : width / 2;
}

/**
 * Plates that touch round the hoop: of half-extents h1 >= h2 on undersides at height R, at an angle of no more than
 * a1 + asin(min(1, h2 cos a1 / R)), a1 = atan(h1 / R), R the lower of the two.
 */
export function touching(outside: number, bases: readonly Base[], seats: readonly Seat[]): Finding[] {
  return bases.flatMap((base, i) =>
    bases.slice(0, i).flatMap((other, j) => {
      const needed = touchAt(outside, { ...base, level: seats[i]!.level }, { ...other, level: seats[j]!.level });
      const apart = roundTheHoop(outside, base.along - other.along);
      return apart <= needed
        ? [finding("hoop.mounts-touch", "error", `${base.mount}.plate`, { mount: base.mount, other: other.mount, apart, needed })]
        : [];
    }),
  );
}

/** How much of the hoop a plate covers, in degrees of the finger. */
export function covers({ extent }: Pick<Base, "extent">, { level }: Pick<Seat, "level">): number {
  return 2 * toDegrees(Math.atan(extent / 2 / level));
}
