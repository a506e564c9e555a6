import fc from "fast-check";
import { type Point } from "../../geometry/outline";
import { type OutlineShape } from "./shapes";

const size = fc.double({ min: 4, max: 40, noNaN: true });
export const share = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const round = size.map((diameter): OutlineShape => ({ shape: "round", diameter }));
const oval = fc.tuple(size, size).map(([length, width]): OutlineShape => ({ shape: "oval", length, width }));
const cushion = fc
  .tuple(size, share(0.4, 1), share(2, 12))
  .map(([length, flat, exponent]): OutlineShape => ({ shape: "cushion", length, width: length * flat, exponent }));
const rectangle = fc
  .tuple(size, size, share(0, 1))
  .map(([length, width, r]): OutlineShape => ({ shape: "rectangle", length, width, corner: (r * Math.min(length, width)) / 2 }));
const pear = fc.tuple(size, share(0.3, 1)).map(([length, flat]): OutlineShape => ({ shape: "pear", length, width: length * flat }));
const marquise = fc.tuple(size, share(0.2, 1)).map(([length, flat]): OutlineShape => ({ shape: "marquise", length, width: length * flat }));
const triangle = fc.tuple(size, share(0, 0.9), share(0, 0.9)).map(([side, round, out]): OutlineShape => {
  const inner = side / (2 * Math.sqrt(3));
  const bulge = out * inner;
  return { shape: "triangle", side, bulge, corner: round * (inner + bulge) };
});
export const heart = fc.tuple(size, share(0.02, 0.25), share(1.05, 1.6)).map(([width, deep, long]): OutlineShape => {
  const cleft = deep * width;
  const lobe = (width + 2 * cleft) / 2 - Math.sqrt(width * cleft);
  return { shape: "heart", width, cleft, length: (width / 2 + lobe) * long };
});
/** A wavy ring of points: smooth, seldom convex. */
export const free = fc
  .tuple(fc.integer({ min: 8, max: 40 }), size, share(0.5, 1), share(0, 0.12), fc.integer({ min: 2, max: 5 }))
  .map(([count, long, flat, wave, waves]): OutlineShape => {
    const points = Array.from({ length: count }, (_, i): Point => {
      const angle = (2 * Math.PI * i) / count;
      const out = 1 + wave * Math.cos(waves * angle);
      return [(long / 2) * out * Math.cos(angle), (long / 2) * flat * out * Math.sin(angle)];
    });
    return { shape: "free", points };
  });

export const convexShape = fc.oneof(round, oval, cushion, rectangle, pear, marquise, triangle);
export const anyShape = fc.oneof(convexShape, heart, free);
