import fc from "fast-check";
import { runs } from "@/runs.testing";
import { anyShape, share } from "../stone/shapes/any-shape.testing";
import { type OutlineShape, outlineOfShape } from "../stone/shapes/shapes";
import { clearOut, clearPart, isNotched } from "./clearance";
import { type Outline, type Place } from "./outline";

/** How far out one can go before another place is nearer, by looking at all of them. */
function byAll({ stations }: Outline, { x, y, nx, ny }: Place, most: number): number {
  return stations.reduce((least, q) => {
    const [dx, dy] = [q.x - x, q.y - y];
    const ahead = nx * dx + ny * dy;
    return ahead <= 1e-9 ? least : Math.min(least, (dx * dx + dy * dy) / (2 * ahead));
  }, most);
}

/** A heart with a notch at half of its way round. */
const anyHeart = fc.record({ shape: fc.constant("heart" as const), length: share(8, 20), width: share(8, 20), cleft: share(0.1, 0.35) });
/** A square with a slot from above: from one of its walls the other lies straight ahead. */
const anySlot = share(1, 6).map((wide): OutlineShape => ({
  shape: "free",
  closed: "polyline",
  points: [[10, -10], [10, 10], [wide / 2, 10], [wide / 2, -6], [-wide / 2, -6], [-wide / 2, 10], [-10, 10], [-10, -10]], // prettier-ignore
}));

test("what is clear straight out of a place is what it is among all places of the outline, up to what is asked for", () => {
  let notched = 0;
  fc.assert(
    fc.property(
      fc.oneof(anyShape, anyHeart, anySlot),
      fc.array(fc.tuple(share(0.2, 0.7), share(0.05, 8)), { minLength: 12, maxLength: 12 }),
      (shape, asked) => {
        const outline = outlineOfShape(shape);
        if (isNotched(outline)) notched++;
        for (const [at, most] of asked) {
          const place = outline.stationAt(at);
          const clear = isNotched(outline) ? byAll(outline, place, most) : most;
          expect(clearOut(outline, place, most)).toBe(clear);
          expect(clearOut(outline, place, clear * 1.001)).toBe(clear < most ? clear : clear * 1.001);
        }
      },
    ),
    { numRuns: runs(150), endOnFailure: true },
  );
  expect(notched).toBeGreaterThan(9);
});

test("of a stretch over a notch its flanks leave two ends apart, each clear; none in its depth, all on a bulge", () => {
  const heart = outlineOfShape({ shape: "heart", length: 14, width: 14, cleft: 0.3 });
  const notch = heart.corners.find(({ turn }) => turn < 0)!;
  const part = clearPart(heart, { from: notch.at + 0.002, to: notch.at + 0.2 }, 1)!;
  expect(part.from).toBeGreaterThan(notch.at + 0.004);
  expect(part.to).toBe(notch.at + 0.2);
  expect(clearOut(heart, heart.stationAt(part.from), 1)).toBe(1);
  expect(clearOut(heart, heart.stationAt(part.from - 1e-6), 1)).toBeLessThan(1);
  expect(clearPart(heart, { from: notch.at + 0.001, to: notch.at + 0.004 }, 1.5)).toBeNull();
});
