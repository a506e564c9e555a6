import { type WorkedJoint } from "../../joint/contribution";
import { type PartKind } from "../../joint/joint";
import { type Curve, circle, polygonCurve } from "../../geometry/curve";
import { type Point } from "../../geometry/outline";
import { type Step } from "../../making/step";
import { type Blank } from "../../measure/blank";
import { type Finding } from "../../measure/finding";
import { type CutStock } from "../../metal/cut";
import { type Figure } from "../../measure/figure";
import { type Bail, type BailDrawing } from "../bail";

/** All that the rest knows of what a setting hangs by. Lengths in mm. */
export interface BailKind {
  readonly part: PartKind;
  /** The key of what is cut for it. */
  readonly figure: "bail.blankLength" | "bail.jumpRingLength";
  blank(bail: Bail): Figure;
  /** mm3 */
  volume(bail: Bail): number;
  /** The radius in which it lies against the edge; null where it is fitted to it. */
  restsBy(bail: Bail): number | null;
  /** From the setting's edge to where it hangs. */
  pastEdge(bail: Bail): number;
  /** Where it meets the edge: mm along, mm2 of the faces. */
  foot(bail: Bail): { readonly length: number; readonly area: number };
  /** What closes it on itself; null where nothing does. */
  seam(bail: Bail, part: string): WorkedJoint | null;
  /** How it is made, as far as its seam. */
  making(bail: Bail, part: string): readonly Step[];
  /** What it is cut from. */
  stock(bail: Bail): CutStock;
  marks(bail: Bail): Blank["marks"];
  pattern(bail: Bail): BailDrawing["pattern"];
  /** What only this kind can do wrong. */
  findings(bail: Bail): readonly Finding[];
  /** Whether it is sawn to that outline, or only cut to length. */
  readonly isSawnToShape: boolean;
  /** How wide it is where nobody said (mm). */
  readonly usualWidest: number;
  /** The drop that it is first asked for with (mm); of a ring it follows from its sizes. */
  usualDrop(bail: Round): number;
  /** From the edge to the middle of what the chain passes through (mm). */
  boreAt(bail: Bail): number;
  front(bail: Bail): BailDrawing["front"];
  /** Over the edge of so thick a plate (mm). */
  side(bail: Bail, plate: number): readonly Filled[];
}

/** What is round about its bore (mm). */
type Round = Pick<Bail, "bore" | "thickness">;

/** From the middle of the bore to the outside of its metal (mm). */
export function outsideOf({ bore, thickness }: Round): number {
  return bore / 2 + thickness;
}

/** What is filled in a drawing: a curve, and those that are holes in it. */
export type Filled = readonly Curve[];

/** The rings that both views of round stock show: what it is outside, and the bore. */
export function annulus(bail: Bail, middle: Point): Filled {
  return [circle(outsideOf(bail), middle), circle(bail.bore / 2, middle)];
}

/** What tapers from one width to another along so much of the way out from the edge. */
export function acrossEdge(wide: number, from: number, widest: number, to: number): Curve {
  return polygonCurve([
    [-wide / 2, from],
    [wide / 2, from],
    [widest / 2, to],
    [-widest / 2, to],
  ]);
}
