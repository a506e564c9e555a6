import { type Grade } from "../metal/shelf";
import { type Joint, isSeam } from "./assembly";

/** How much solder a joint wants, and in how many pieces. */
export interface Pallions {
  readonly count: number;
  /** mm: length, width, thickness of the sheet. */
  readonly size: readonly [number, number, number];
  /** mm from one to the next; null where one piece does. */
  readonly spacing: number | null;
  /** How many times more the habit of a piece, then a gap as long, would lay; null for a seam. */
  readonly evenGap: number | null;
}

const GAP = 0.05;
const OVERFILL = 1.5;
const SPARE = 1.25;
const FILLET_RADIUS = 0.25;
const PALLION_SIDE = 1;
const SHEET_THICKNESS = 0.25;
const LEAST_ROUND_A_FOOT = 3;

/** mm3 of solder: a gap filled half over for faces that meet; for a foot the gap and a fillet inside; a quarter more for all. */
export function solderVolume(joint: Joint): number {
  const filled =
    joint.kind === "foot" ? joint.area * GAP + (1 - Math.PI / 4) * FILLET_RADIUS ** 2 * joint.length : joint.area * GAP * OVERFILL;
  return filled * SPARE;
}

/** Square pieces cut from the grade's sheet. */
export function pallionsFor(joint: Joint, grade: Grade): Pallions {
  const sheet = grade.forms?.find((form) => form.type === "sheet")?.thickness ?? SHEET_THICKNESS;
  const piece = PALLION_SIDE * PALLION_SIDE * sheet;
  const count = Math.max(joint.kind === "foot" ? LEAST_ROUND_A_FOOT : 1, Math.ceil(solderVolume(joint) / piece));
  return {
    count,
    size: [PALLION_SIDE, PALLION_SIDE, sheet],
    spacing: count > 1 ? joint.length / count : null,
    evenGap: isSeam(joint) ? null : joint.length / (2 * PALLION_SIDE) / count,
  };
}
