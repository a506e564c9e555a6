import { toMicron } from "../measure/micron";
import { type Outline, type Point } from "../geometry/outline";
import { type OutlineShape, outlineOfShape, scaled } from "./shapes/shapes";

export type Tenderness = "heat" | "water" | "acid" | "sulphur" | "ultrasonic";

export interface Material {
  readonly name?: string;
  readonly mohs?: number;
  /** g/cm3 */
  readonly density?: number;
  readonly tender?: readonly Tenderness[];
}

/** A cabochon as its maker measured it. */
export interface Stone {
  readonly name?: string;
  readonly outline: OutlineShape;
  /** Read with a tape pulled round it; it overrules the outline's own length. */
  readonly measuredPerimeter?: number | null;
  readonly height: number;
  /** Where the side stops rising and begins to lean in; equal to the height on a flat face. */
  readonly turnIn: number | readonly { readonly at: number; readonly height: number }[];
  /** Exponent of the dome in section, from pointed (1.3) through elliptic (2) to full (3). */
  readonly dome?: number | "flat";
  readonly material?: Material;
  readonly picture?: StonePicture;
  /** What it was bought for, in the bench's currency. */
  readonly cost?: number;
}

/** What an outline was traced from. */
export interface StonePicture {
  /** base64 */
  readonly jpeg: string;
  readonly pxPerMm: number;
  /** Where its middle lies on the outline (mm). */
  readonly at: Point;
  /** Degrees anticlockwise that it is turned by. */
  readonly turn?: number;
}

/** Below this hardness on Mohs' scale abrasives, hammers and punches are kept off a stone. */
export const SOFT_MOHS = 6;

/** A material whose hardness is known, and low. */
export function isSoft(mohs: number | null): boolean {
  return mohs !== null && mohs < SOFT_MOHS;
}

/** Exponent of a dome that is not named: half an ellipse. */
export const ELLIPTIC = 2;

export interface MeasuredOutline {
  readonly outline: Outline;
  /** How far the tape is from the calculated hull, as a share of it; null where the stone was not wrapped. */
  readonly tapeOff: number | null;
}

/** The outline, scaled evenly until its hull is as long as the tape reading, where there is one. */
export function outlineOf(stone: Stone): MeasuredOutline {
  const nominal = outlineOfShape(stone.outline);
  const tape = stone.measuredPerimeter ?? null;
  if (tape === null) return { outline: nominal, tapeOff: null };
  const by = tape / nominal.hullPerimeter;
  return { outline: outlineOfShape(scaled(stone.outline, by)), tapeOff: by - 1 };
}

/** The greatest height at which the side leans in. */
export function greatestTurnIn({ turnIn }: Pick<Stone, "turnIn">): number {
  return typeof turnIn === "number" ? turnIn : Math.max(...turnIn.map((each) => each.height));
}

/** No height round the outline is pushed under this (mm). */
export const LEAST_TURN_IN = 0.05;

/** What changes with a stone's height: a flat face leans in at its top. */
export function atHeight({ dome }: Pick<Stone, "dome">, height: number): Pick<Stone, "height"> & Partial<Pick<Stone, "turnIn">> {
  return { height, ...(dome === "flat" && { turnIn: height }) };
}

/** A turn-in whose greatest height is another; heights round the outline all rise or fall with it, none below `least`. */
export function raisedTo({ turnIn }: Pick<Stone, "turnIn">, greatest: number, least: number): Stone["turnIn"] {
  if (typeof turnIn === "number") return greatest;
  const by = greatest - Math.max(...turnIn.map((each) => each.height));
  return turnIn.map(({ at, height }) => ({ at, height: Math.max(least, toMicron(height + by)) }));
}
