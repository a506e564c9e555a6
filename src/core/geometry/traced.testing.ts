import { type OutlineShape } from "../stone/shapes/shapes";
import { type Point } from "./outline";

/** An oval as a tracing gives it: so many points on it, each off by up to `off` mm, the same for the same seed. Half lengths in mm. */
export function tracedOval(
  [long, wide]: Point,
  { count, closed, seed, off = 0.01 }: { count: number; closed: "curve" | "polyline"; seed: number; off?: number },
): OutlineShape {
  let state = seed;
  const noise = () => ((state = (state * 48271) % 2147483647) / 2147483647 - 0.5) * 2 * off;
  const points = Array.from({ length: count }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / count;
    return [long * Math.cos(angle) + noise(), wide * Math.sin(angle) + noise()];
  });
  return { shape: "free", closed, points };
}
