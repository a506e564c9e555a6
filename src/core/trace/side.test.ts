import fc from "fast-check";
import { runs } from "../../runs.testing";
import { type Point } from "../geometry/outline";
import { type Free } from "../stone/shapes/free";
import { outlineOfShape } from "../stone/shapes/shapes";
import { MADE_UP_PICTURES, standing } from "./made-up-pictures";
import { madeUpPicture } from "./made-up";
import { type Outcome } from "./refusal";
import { type SideReading, endsOf, sideOf } from "./side";
import { tracePicture } from "./trace";

function read(outcome: Outcome<SideReading>): SideReading {
  if (!outcome.ok) throw new Error(`refused: ${outcome.refusal.code}`);
  return outcome.value;
}

/** An outline through many points of a polygon, turned by so many radians. */
function outlined(polygon: readonly Point[], turn: number): Free {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const dense = polygon.flatMap(([x, y], i): Point[] => {
    const [qx, qy] = polygon[(i + 1) % polygon.length]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(qx - x, qy - y) / 0.5));
    return Array.from({ length: steps }, (_, k) => [x + ((qx - x) * k) / steps, y + ((qy - y) * k) / steps]);
  });
  return { shape: "free", points: dense.map(([x, y]) => [x * cos - y * sin, x * sin + y * cos]) };
}

test("height, both turn-ins and the dome are read off an exact section, however it is tipped", () => {
  const stones = fc.record({
    radius: fc.double({ min: 5, max: 12, noNaN: true }),
    height: fc.double({ min: 3.5, max: 7, noNaN: true }),
    left: fc.double({ min: 0.3, max: 0.6, noNaN: true }),
    right: fc.double({ min: 0.3, max: 0.6, noNaN: true }),
    dome: fc.double({ min: 1.5, max: 3, noNaN: true }),
    turn: fc.double({ min: -0.2, max: 0.2, noNaN: true }),
  });
  fc.assert(
    fc.property(stones, ({ radius, height, left, right, dome, turn }) => {
      const stone = { height, turnIn: { left: left * height, right: right * height }, dome };
      const found = read(sideOf(outlined(standing(stone, radius), turn)));
      expect(Math.abs(found.height - height)).toBeLessThan(0.02);
      expect(Math.abs(found.turnIn.left - stone.turnIn.left)).toBeLessThan(0.12);
      expect(Math.abs(found.turnIn.right - stone.turnIn.right)).toBeLessThan(0.12);
      expect(Math.abs(found.dome! - dome)).toBeLessThan(0.12);
      expect(found.off).toBeLessThan(0.02);
    }),
    { numRuns: runs(8), endOnFailure: true },
  );
});

test.each(MADE_UP_PICTURES.map((each) => [each.id, each] as const))(
  "%s is read from its picture from the side",
  (_, { fromSide, side }) => {
    const traced = tracePicture(madeUpPicture(fromSide), { pxPerMm: fromSide.pxPerMm });
    if (!traced.ok) throw new Error(traced.refusal.code);
    const found = read(sideOf(traced.value.outline));
    expect(Math.abs(found.height - side.height)).toBeLessThan(0.04);
    for (const end of ["left", "right"] as const) expect(Math.abs(found.turnIn[end] - side.turnIn[end])).toBeLessThan(0.1);
    expect(Math.abs(found.dome! - side.dome)).toBeLessThan(0.06);
    expect(found.off).toBeLessThan(0.02);
  },
);

test("the section that is told is that of the numbers, and lies on the outline", () => {
  const stone = { height: 5, turnIn: { left: 2, right: 2.6 }, dome: 2 };
  const { section, height, turnIn } = read(sideOf(outlined(standing(stone, 8), 0.1)));
  const stood = section.map(([x, y]): Point => [x * Math.cos(0.1) + y * Math.sin(0.1), y * Math.cos(0.1) - x * Math.sin(0.1)]);
  const [base, top] = [Math.min(...stood.map(([, y]) => y)), Math.max(...stood.map(([, y]) => y))];
  expect(base).toBeCloseTo(-2.5, 1);
  expect(top - base).toBeCloseTo(height, 2);
  const widest = (side: 1 | -1) => stood.filter(([x]) => side * x > 7.95).map(([, y]) => y - base);
  expect(Math.max(...widest(1))).toBeGreaterThan(turnIn.right);
  expect(Math.max(...widest(-1))).toBeGreaterThan(turnIn.left);
  expect(Math.max(...widest(1)) - Math.max(...widest(-1))).toBeCloseTo(0.6, 0.5);
});

test("a round seen from the side stands on nothing, and a flat face has no dome", () => {
  const round: Free = {
    shape: "free",
    points: Array.from({ length: 60 }, (_, i) => [6 * Math.cos(i * 0.10472), 6 * Math.sin(i * 0.10472)]),
  };
  expect(sideOf(round)).toMatchObject({ refusal: { code: "no-flat-base" } });
  const slab = outlined(standing({ height: 4, turnIn: { left: 3.6, right: 3.6 }, dome: 14 }, 8), 0);
  expect(read(sideOf(slab)).dome).toBeNull();
});

test("the ends of a stone lie where its outline is widest", () => {
  expect(endsOf(outlineOfShape({ shape: "oval", length: 14, width: 10 }))).toEqual({ left: 0.5, right: 0 });
  const { left, right } = endsOf(outlineOfShape(MADE_UP_PICTURES[0]!.outline));
  const outline = outlineOfShape(MADE_UP_PICTURES[0]!.outline);
  const xs = Array.from({ length: 4000 }, (_, i) => outline.stationAt(i / 4000).x);
  expect(outline.stationAt(left).x).toBeCloseTo(Math.min(...xs), 2);
  expect(outline.stationAt(right).x).toBeCloseTo(Math.max(...xs), 2);
});
