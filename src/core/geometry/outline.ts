import { tolerance } from "../measure/tolerances";
import { type Curve } from "./curve";

export type Point = readonly [x: number, y: number];

/** A place on a closed curve. */
export interface Station {
  /** How far round from the datum, anticlockwise, as a share of the whole length: 0 to 1. */
  readonly at: number;
  readonly x: number;
  readonly y: number;
  /** The direction that points straight out of the curve, of length 1. */
  readonly nx: number;
  readonly ny: number;
  /** 1/mm, positive where the curve bulges outward. */
  readonly curvature: number;
}

/** Where something lies on an outline, and the way out of it there. */
export type Place = Pick<Station, "at" | "x" | "y" | "nx" | "ny">;

/** A place where the direction jumps. `nx`, `ny` point straight out, between its two sides. */
export interface Corner extends Place {
  /** Radians; negative at a notch. */
  readonly turn: number;
}

/** A closed curve that lies everywhere as far from an outline. */
export interface Loop {
  readonly length: number;
  readonly area: number;
  readonly extent: Extent;
  /** Where its centre of mass lies, as a plate cut to it and as a wire bent to it. */
  balance(): { readonly area: Point; readonly line: Point };
  /** As it is, in lines, arcs and bends. */
  curve(): Curve;
  /** Points on it, close enough together for drawing. */
  points(): Point[];
  /** How far along the loop, in mm from where it starts, the place lies that is level with one of the outline. */
  lengthTo(place: Place): number;
}

/** A parallel curve. What it cannot be is a variant, never a strange polygon. */
export type Parallel =
  | ({ readonly kind: "one" } & Loop)
  | { readonly kind: "split"; readonly parts: readonly Loop[] }
  | { readonly kind: "collapsed"; readonly largestInset: number };

/** The curve's width in mm between two lines that touch it, measured along a direction given in radians from +x. */
export type Extent = (direction: number) => number;

/** A closed curve, anticlockwise, in mm; its datum is the point of greatest x on the axis of symmetry. */
export interface Outline {
  readonly perimeter: number;
  readonly area: number;
  /** Length of a tape pulled tight round it. */
  readonly hullPerimeter: number;
  /** Radius of the largest circle that fits in. */
  readonly inscribedRadius: number;
  /** Where its plane's centre of mass lies. */
  readonly centre: Point;
  readonly corners: readonly Corner[];
  /** Whether it is given by many points that do not lie quite on a smooth line: read off a picture, or with a hand that shakes. */
  readonly isTraced: boolean;
  /**
   * Places in order of `at`, the first at the datum; close enough together to find runs of curvature by. Where the
   * curvature or the direction jumps, two stand at the same place, one of each side.
   */
  readonly stations: readonly Station[];
  readonly extent: Extent;
  /** The place a share `at` of the length from the datum; `at` is taken modulo 1. */
  stationAt(at: number): Station;
  /**
   * The parallel curve at distance `d`, outward if positive, with round joins at corners and true intersections at
   * notches. Outward it is always one: a notch that closes over is not followed.
   */
  parallel(d: number): Parallel;
}

/** A place as a share from 0 up to 1; what rounding left just under 1 is the datum. */
export function withinOne(at: number): number {
  const share = at - Math.floor(at);
  return 1 - share < tolerance.samePlace ? 0 : share;
}

/** The curves a parallel falls into: none, one or several. */
export function loopsOf(parallel: Parallel): readonly Loop[] {
  if (parallel.kind === "split") return parallel.parts;
  return parallel.kind === "one" ? [parallel] : [];
}

/** The parallel curve where it must exist: any distance outward. @throws if it does not. */
export function outward(outline: Outline, d: number): Extract<Parallel, { kind: "one" }> {
  const curve = outline.parallel(d);
  if (curve.kind !== "one") throw new RangeError(`no parallel curve at ${d}`);
  return curve;
}

/** The station nearest to a point. @throws for an empty list. */
export function nearestStation(stations: readonly Station[], [x, y]: Point): Station {
  const far = (s: Station) => Math.hypot(s.x - x, s.y - y);
  return stations.reduce((best, s) => (far(s) < far(best) ? s : best));
}
