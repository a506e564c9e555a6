import { leastBetween } from "../../geometry/extremum";
import { type Motion, type Span, sampledOutline } from "../../geometry/sampled";
import { type ShapeKind } from "./shape";

/** A superellipse: |2x/length|^exponent + |2y/width|^exponent = 1. */
export interface Cushion {
  readonly shape: "cushion";
  readonly length: number;
  readonly width: number;
  readonly exponent: number;
}

export const cushion: ShapeKind<Cushion> = {
  measures: { length: "length", width: "width" },
  faults: () => [],
  outline: ({ length, width, exponent }) => {
    const [a, b] = [length / 2, width / 2];
    const spans = [0, 1, 2, 3].map((quarter) => quarterOf(a, b, exponent, quarter));
    return sampledOutline(spans, inscribed(a, b, exponent));
  },
  scaled: (shape, by) => ({ ...shape, length: shape.length * by, width: shape.width * by }),
};

/** Under an exponent of 2 the bend at the ends of the axes has no bound: it is read this far from them, to be finite. */
const OFF_AXIS = 1e-5;

function quarterOf(a: number, b: number, n: number, quarter: number): Span {
  return n < 2 ? quarterByPowers(a, b, n, quarter) : quarterByAngle(a, b, n, quarter);
}

/** By its polar angle, which has no place of speed 0 from an exponent of 2 up: r = (|cos/a|^n + |sin/b|^n)^(-1/n). */
function quarterByAngle(a: number, b: number, n: number, quarter: number): Span {
  return (u) => {
    const [cos, sin] = [quadrantCos(quarter, u), quadrantCos(quarter + 3, u)];
    const [c, s] = [Math.abs(cos), Math.abs(sin)];
    const [pc, qs] = [c ** (n - 2) / a ** n, s ** (n - 2) / b ** n];
    const [p, q] = [pc * c * c, qs * s * s];
    const sum = p + q;
    const sum1 = n * cos * sin * (qs - pc);
    const sum2 = n * ((n - 1) * pc * s * s - p + (n - 1) * qs * c * c - q);
    const r = sum ** (-1 / n);
    const r1 = (-r * sum1) / (n * sum);
    const r2 = (-r1 * sum1 - r * sum2 + (r * sum1 * sum1) / sum) / (n * sum);
    return polar(cos, sin, r, r1, r2);
  };
}

/** As x = a cos^(2/n), y = b sin^(2/n), which closes in on the ends of the axes as fast as the curve bends there. */
function quarterByPowers(a: number, b: number, n: number, quarter: number): Span {
  const power = 2 / n;
  const k = Math.PI / 2;
  const isOdd = quarter % 2 === 1;
  const [xSign, ySign] = [quarter === 0 || quarter === 3 ? 1 : -1, quarter < 2 ? 1 : -1];
  const along = (base: number, slope: number) => {
    const safe = Math.max(base, OFF_AXIS);
    return {
      at: base ** power,
      rate: k * power * safe ** (power - 1) * slope,
      bend: k * k * power * ((power - 1) * safe ** (power - 2) * slope * slope - safe ** power),
    };
  };
  return (u) => {
    const [cos, sin] = [quadrantCos(0, u), quadrantCos(3, u)];
    const falling = along(cos, -Math.max(sin, OFF_AXIS));
    const rising = along(sin, Math.max(cos, OFF_AXIS));
    const [x, y] = isOdd ? [rising, falling] : [falling, rising];
    const [width, height] = [a * xSign, b * ySign];
    return { x: width * x.at, y: height * y.at, dx: width * x.rate, dy: height * y.rate, ddx: width * x.bend, ddy: height * y.bend };
  };
}

/** The cosine of an angle in a quarter, exactly 0 or 1 at the axes. */
function quadrantCos(quarter: number, u: number): number {
  const within = u === 0 ? 1 : u === 1 ? 0 : Math.cos((u * Math.PI) / 2);
  const across = u === 0 ? 0 : u === 1 ? 1 : Math.sin((u * Math.PI) / 2);
  return [within, -across, -within, across][quarter % 4]!;
}

function polar(cos: number, sin: number, r: number, r1: number, r2: number): Motion {
  const k = Math.PI / 2;
  return {
    x: r * cos,
    y: r * sin,
    dx: k * (r1 * cos - r * sin),
    dy: k * (r1 * sin + r * cos),
    ddx: k * k * (r2 * cos - 2 * r1 * sin - r * cos),
    ddy: k * k * (r2 * sin + 2 * r1 * cos - r * sin),
  };
}

/** The radius of the largest circle: half the width from an exponent of 2 up; below, the flanks come closer to the middle, and the closest place is found by trisection. */
function inscribed(a: number, b: number, n: number): number {
  if (n >= 2) return Math.min(a, b);
  const radius = (angle: number) => ((Math.cos(angle) / a) ** n + (Math.sin(angle) / b) ** n) ** (-1 / n);
  return radius(leastBetween(radius, 0, Math.PI / 2));
}
