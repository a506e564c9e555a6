import { ellipse } from "../geometry/ellipse";
import { type Outline } from "../geometry/outline";

export type OutlineShape =
  | { readonly shape: "round"; readonly diameter: number }
  | { readonly shape: "oval"; readonly length: number; readonly width: number }
  | { readonly shape: "cushion"; readonly length: number; readonly width: number; readonly exponent: number }
  | { readonly shape: "rectangle"; readonly length: number; readonly width: number; readonly corner: number }
  | { readonly shape: "pear"; readonly length: number; readonly width: number }
  | { readonly shape: "marquise"; readonly length: number; readonly width: number }
  | { readonly shape: "heart"; readonly length: number; readonly width: number; readonly cleft: number }
  | { readonly shape: "triangle"; readonly side: number; readonly corner: number; readonly bulge: number }
  | { readonly shape: "free"; readonly points: readonly (readonly [number, number])[]; readonly closed?: "curve" | "polyline" };

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
}

/** Shapes of the contract that have an outline here. */
export const PLANNED_SHAPES: readonly OutlineShape["shape"][] = ["round", "oval"];

/** The outline as its dimensions give it. @throws for a shape not planned yet: callers ask `unplanned` first. */
function nominalOutline(shape: OutlineShape): Outline {
  switch (shape.shape) {
    case "round":
      return ellipse(shape.diameter / 2, shape.diameter / 2);
    case "oval":
      return ellipse(shape.length / 2, shape.width / 2);
    default:
      throw new RangeError(`no outline for shape ${shape.shape}`);
  }
}

function scaled(shape: OutlineShape, by: number): OutlineShape {
  switch (shape.shape) {
    case "round":
      return { ...shape, diameter: shape.diameter * by };
    case "oval":
      return { ...shape, length: shape.length * by, width: shape.width * by };
    default:
      throw new RangeError(`no outline for shape ${shape.shape}`);
  }
}

export interface MeasuredOutline {
  readonly outline: Outline;
  /** How far the tape is from the calculated hull, as a share of it; null where the stone was not wrapped. */
  readonly tapeOff: number | null;
}

/** The outline, scaled evenly until its hull is as long as the tape reading, where there is one. */
export function outlineOf(stone: Stone): MeasuredOutline {
  const nominal = nominalOutline(stone.outline);
  const tape = stone.measuredPerimeter ?? null;
  if (tape === null) return { outline: nominal, tapeOff: null };
  const by = tape / nominal.hullPerimeter;
  return { outline: nominalOutline(scaled(stone.outline, by)), tapeOff: by - 1 };
}

/** The greatest height at which the side leans in. */
export function greatestTurnIn({ turnIn }: Stone): number {
  return typeof turnIn === "number" ? turnIn : Math.max(...turnIn.map((each) => each.height));
}
