import { type Tie } from "../joint/joint";
import { type Finding, finding } from "../measure/finding";
import { type Figures, type Sourced, single } from "../measure/figure";
import { tolerance } from "../measure/tolerances";
import { type Section, flatFace } from "../metal/section";

/** What a mount asks of the hoop under it. Lengths in mm. */
export interface Base {
  readonly mount: string;
  /** Its plate's extent along the finger's curve, and its thickness. */
  readonly extent: number;
  readonly thickness: number;
  /** Round the hoop's outside from the front. */
  readonly along: number;
  readonly tie: Tie;
}

export interface Foot {
  readonly mount: string;
  /** Length along the finger's curve, and area, of the face in contact. */
  readonly length: number;
  readonly area: number;
  /** Height of the base's underside above the finger's centre. */
  readonly level: number;
}

/** Where a mount sits on the hoop; its figures by name, without the hoop's or the mount's. */
export interface Seat {
  /** What is filed so that it sits, named as its figure is: a flat on the hoop, or a saddle in the mount's base. */
  readonly act: "flat" | "saddle";
  readonly foot: Foot;
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

/** A flat filed on top: by default as wide as the plate there, or as leaves 60 % of the thickness. */
export function flat(section: Section, asked: Sourced<number> | null, outside: number, { mount, extent }: Base): Seat {
  const { thickness } = section;
  const widest = widthAtDepth(outside, (1 - LEFT_AFTER_FLAT) * thickness);
  const width: Sourced<number> = asked ?? { value: Math.min(extent, widest), from: "formula" };
  const depth = sagitta(outside, width.value);
  const left = thickness - depth;
  const needed = LEFT_AFTER_FLAT * thickness;
  return {
    act: "flat",
    foot: { mount, length: width.value, area: flatFace(section, outside, width.value), level: outside - depth },
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

/** A saddle filed in the base's underside: by default as wide as the base, or as leaves 0.3 of it. */
export function saddle(section: Section, asked: Sourced<number> | null, outside: number, { mount, extent, thickness }: Base): Seat {
  const widest = widthAtDepth(outside, Math.max(0, thickness - LEFT_AFTER_SADDLE));
  const width: Sourced<number> = asked ?? { value: Math.min(extent, widest), from: "formula" };
  const depth = sagitta(outside, width.value);
  const left = thickness - depth;
  return {
    act: "saddle",
    foot: { mount, length: width.value, area: width.value * contactWidth(section), level: outside - depth },
    figures: {
      saddleWidth: single("mm", width.value, "saddle.width", width.from),
      saddle: single("mm", depth, "saddle.depth"),
      saddleLeft: single("mm", left, "saddle.left"),
    },
    findings: saddleFindings(`${mount}.plate`, { thickness, left, width: width.value, widest }),
  };
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
      const level = Math.min(seats[i]!.foot.level, seats[j]!.foot.level);
      const [narrow, wide] = [base.extent / 2, other.extent / 2].sort((a, b) => a - b) as [number, number];
      const lean = Math.atan2(wide, level);
      const needed = outside * (lean + Math.asin(Math.min(1, (narrow * Math.cos(lean)) / level)));
      const apart = roundTheHoop(outside, base.along - other.along);
      return apart <= needed
        ? [finding("hoop.mounts-touch", "error", `${base.mount}.plate`, { mount: base.mount, other: other.mount, apart, needed })]
        : [];
    }),
  );
}

/** The shorter way round between two places this far apart. */
function roundTheHoop(outside: number, apart: number): number {
  const round = 2 * Math.PI * outside;
  const ahead = Math.abs(apart) % round;
  return Math.min(ahead, round - ahead);
}
