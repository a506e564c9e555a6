import { steepIntegral } from "../geometry/quadrature";

/**
 * The dome in section: a quarter superellipse from the edge (`radius`, `turnIn`) to the top (0, `height`), or the
 * upright side of a flat face.
 */
export interface Dome {
  readonly radius: number;
  readonly turnIn: number;
  readonly height: number;
  readonly exponent: number | "flat";
}

/** What a catch covers of the dome: the arc it lies on, and how far the dome there leans from upright (radians). */
export interface Cover {
  readonly arc: number;
  readonly lean: number;
}

/** @throws unless 0 < reach < radius. */
export function cover(dome: Dome, reach: number): Cover {
  if (!(reach > 0 && reach < dome.radius)) throw new RangeError(`catch must be between 0 and ${dome.radius}, got ${reach}`);
  if (dome.exponent === "flat") return { arc: reach, lean: Math.PI / 2 };
  const { radius, exponent: m } = dome;
  const rise = dome.height - dome.turnIn;
  const [left, risen] = [1 - reach / radius, riseAt(-reach / radius, m)];
  const turn = evenSlope(radius / rise, m);
  const slope = slopeOf(radius / rise, m);
  const upright = steepIntegral((v) => Math.hypot(1, slope(v, 1 - v ** m)), 0, Math.min(risen, turn.risen));
  const along = (x: number, toTurn: number) => Math.hypot(radius / rise, (x / riseAt(turn.left - 1 - toTurn, m)) ** (m - 1));
  const level = left < turn.left ? steepIntegral((x, _, toTurn) => along(x, toTurn), left, turn.left) : 0;
  return { arc: (upright + level) * rise, lean: Math.atan((radius / rise) * (risen / left) ** (m - 1)) };
}

/** The share of the rise at a share `1 + over` of the radius (`over` below 0): (1 - x^m)^(1/m), of which no digit is lost however full the dome. */
function riseAt(over: number, m: number): number {
  return (-Math.expm1(m * Math.log1p(over))) ** (1 / m);
}

/**
 * Where the dome leans by half a right angle, as shares of its rise and of its radius. Below it the arc is taken over the rise, above it over the
 * radius, so that neither integral is ever steep. The slope is flatness x (v / x)^(m - 1).
 */
function evenSlope(flatness: number, m: number): { readonly risen: number; readonly left: number } {
  if (m === 1) return { risen: 1, left: 0 };
  const q = flatness ** (-1 / (m - 1));
  return { risen: (1 + q ** -m) ** (-1 / m), left: (1 + q ** m) ** (-1 / m) };
}

/** How far the dome runs inward for each step up, at a share `v` of its rise; `left` is 1 - v^m. */
function slopeOf(flatness: number, m: number): (v: number, left: number) => number {
  return (v, left) => (flatness * v ** (m - 1)) / left ** (1 - 1 / m);
}

/** A place on the dome in section: x from the axis, y above the stone's back, and how far it leans there (radians). */
export interface DomePlace {
  readonly x: number;
  readonly y: number;
  readonly lean: number;
}

const EXPONENT = { least: 1, most: 6 } as const;

/** The place of the dome on the diagonal of its rise, where its exponent shows most; null on a flat face. */
export function domeShoulder({ radius, turnIn, height, exponent: m }: Dome): Pick<DomePlace, "x" | "y"> | null {
  if (m === "flat") return null;
  const share = 0.5 ** (1 / m);
  return { x: radius * share, y: turnIn + (height - turnIn) * share };
}

/** The exponent of the dome whose shoulder lies nearest to a place, from 1 to 6. */
export function exponentThrough({ radius, turnIn, height }: Omit<Dome, "exponent">, x: number, y: number): number {
  const share = (x / radius + (y - turnIn) / (height - turnIn)) / 2;
  const m = share <= 0.5 ? EXPONENT.least : share >= 1 ? EXPONENT.most : Math.log(0.5) / Math.log(share);
  return Math.min(EXPONENT.most, Math.max(EXPONENT.least, m));
}

/** Places along the dome from its edge to its top, evenly turned, for drawing. */
export function domeCurve(dome: Dome, steps: number): DomePlace[] {
  const { radius, turnIn, height, exponent: m } = dome;
  if (m === "flat")
    return [
      { x: radius, y: height, lean: Math.PI / 2 },
      { x: 0, y: height, lean: Math.PI / 2 },
    ];
  const slope = slopeOf(radius / (height - turnIn), m);
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = ((i / steps) * Math.PI) / 2;
    const [cos, v] = [i === steps ? 0 : Math.cos(angle), Math.sin(angle) ** (2 / m)];
    const left = cos ** 2;
    return { x: radius * left ** (1 / m), y: turnIn + (height - turnIn) * v, lean: left === 0 ? Math.PI / 2 : Math.atan(slope(v, left)) };
  });
}
