import { type Point } from "@/core/geometry/outline";

/** An affine map as drawings write it: x' = a x + c y + e, y' = b x + d y + f. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export function placed([a, b, c, d, e, f]: Affine, [x, y]: Point): Point {
  return [a * x + c * y + e, b * x + d * y + f];
}

/** The map that does the inner one first. */
export function then(outer: Affine, inner: Affine): Affine {
  const [a, b, c, d, e, f] = inner;
  const [x, y] = [placed(outer, [e, f])[0], placed(outer, [e, f])[1]];
  const along = (u: number, v: number): Point => [outer[0] * u + outer[2] * v, outer[1] * u + outer[3] * v];
  const [p, q] = [along(a, b), along(c, d)];
  return [p[0], p[1], q[0], q[1], x, y];
}

export function scaledBy([a, b, c, d, e, f]: Affine, x: number, y: number): Affine {
  return [a * x, b * x, c * y, d * y, e, f];
}

/** Half the axes of the ellipse that the unit circle becomes (its singular values). */
export function axesOf([a, b, c, d]: Affine): { readonly long: number; readonly short: number } {
  const sum = Math.hypot((a + d) / 2, (b - c) / 2);
  const apart = Math.hypot((a - d) / 2, (b + c) / 2);
  return { long: sum + apart, short: Math.abs(sum - apart) };
}

/** A transform attribute, its maps done from the last to the first; what it does not know it leaves out. */
export function transformOf(text: string): Affine {
  let now: Affine = [1, 0, 0, 1, 0, 0];
  for (const [, name, inside] of text.matchAll(/(\w+)\s*\(([^)]*)\)/g)) {
    const n = (inside ?? "")
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const made = n.every(Number.isFinite) ? mapOf(name ?? "", n) : null;
    if (made) now = then(now, made);
  }
  return now;
}

function mapOf(name: string, n: readonly number[]): Affine | null {
  const turn = ((n[0] ?? 0) * Math.PI) / 180;
  switch (name) {
    case "matrix":
      return n.length === 6 ? [n[0]!, n[1]!, n[2]!, n[3]!, n[4]!, n[5]!] : null;
    case "translate":
      return [1, 0, 0, 1, n[0] ?? 0, n[1] ?? 0];
    case "scale":
      return [n[0] ?? 1, 0, 0, n[1] ?? n[0] ?? 1, 0, 0];
    case "rotate": {
      const [x, y] = [n[1] ?? 0, n[2] ?? 0];
      const turned: Affine = [Math.cos(turn), Math.sin(turn), -Math.sin(turn), Math.cos(turn), 0, 0];
      return then(then([1, 0, 0, 1, x, y], turned), [1, 0, 0, 1, -x, -y]);
    }
    case "skewX":
      return [1, 0, Math.tan(turn), 1, 0, 0];
    case "skewY":
      return [1, Math.tan(turn), 0, 1, 0, 0];
    default:
      return null;
  }
}
