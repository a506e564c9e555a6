export type Point = readonly [x: number, y: number];

/** A place on a closed curve. */
export interface Station {
  /** How far round from the datum, counter-clockwise, as a share of the whole length: 0 to 1. */
  readonly at: number;
  readonly x: number;
  readonly y: number;
  /** The direction that points straight out of the curve, of length 1. */
  readonly nx: number;
  readonly ny: number;
  /** 1/mm, positive where the curve bulges outward. */
  readonly curvature: number;
}

/** A parallel curve. What it cannot be is a variant, never a strange polygon. */
export type Parallel =
  | { readonly kind: "one"; readonly length: number; readonly area: number; readonly extent: Extent; curve(): Point[] }
  | { readonly kind: "collapsed"; readonly largestInset: number };

/** The curve's width in mm between two lines that touch it, measured along a direction given in radians from +x. */
export type Extent = (direction: number) => number;

/** A closed curve, counter-clockwise, in mm; its datum is the point of greatest x on the axis of symmetry. */
export interface Outline {
  readonly perimeter: number;
  readonly area: number;
  /** Length of a tape pulled tight round it. */
  readonly hullPerimeter: number;
  /** Radius of the largest circle that fits in. */
  readonly inscribedRadius: number;
  /** Places where the direction jumps. */
  readonly corners: readonly number[];
  /** Places in order of `at`, the first at the datum; close enough together to find runs of curvature by. */
  readonly stations: readonly Station[];
  readonly extent: Extent;
  /** The place a share `at` of the length from the datum; `at` is taken modulo 1. */
  stationAt(at: number): Station;
  /** The parallel curve at distance `d`, outward if positive. Its `curve` is for drawing only. */
  parallel(d: number): Parallel;
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
