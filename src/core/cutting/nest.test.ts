import fc from "fast-check";
import { runs } from "../../runs.testing";
import { type Point } from "../geometry/outline";
import { distanceInside, nearestOn, polygonArea } from "../geometry/polygon";
import { seeded } from "../measure/seeded";
import { type OutlineShape, outlineOfShape } from "../stone/shapes/shapes";
import { anticlockwise, convexParts, overlapping } from "./convex";
import { type NestProblem, type Nested, type Placed, nested } from "./nest";
import { type Sheet, sheetArea } from "./sheet";

const KERF = 0.28;

function lineOf(shape: OutlineShape): Point[] {
  return outlineOfShape(shape)
    .stations.filter((_, i) => i % 3 === 0)
    .map(({ x, y }): Point => [x, y]);
}

const anySize = fc.double({ min: 5, max: 14, noNaN: true });
const anyLine: fc.Arbitrary<Point[]> = fc.oneof(
  fc
    .record({ length: anySize, share: fc.double({ min: 0.5, max: 1, noNaN: true }) })
    .map(({ length, share }) => lineOf({ shape: "oval", length, width: length * share })),
  anySize.map((length) => lineOf({ shape: "heart", length, width: length, cleft: length / 6 })),
  anySize.map((length) => lineOf({ shape: "pear", length, width: length * 0.7 })),
  fc.record({ length: anySize, width: fc.double({ min: 2, max: 6, noNaN: true }) }).map(({ length, width }): Point[] => [
    [0, 0],
    [length, 0],
    [length, width],
    [0, width],
  ]),
  // a crescent about its own corner, deeply notched
  anySize.map((size) => [
    ...Array.from({ length: 13 }, (_, i): Point => [size * Math.cos((i * Math.PI) / 12), size * Math.sin((i * Math.PI) / 12)]),
    ...Array.from({ length: 13 }, (_, i): Point => [-0.6 * size * Math.cos((i * Math.PI) / 12), 0.6 * size * Math.sin((i * Math.PI) / 12)]),
  ]),
);

function laidOut(line: readonly Point[], { x, y, turn }: Placed): Point[] {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return line.map(([px, py]): Point => [px * cos - py * sin + x, px * sin + py * cos + y]);
}

/** How far two polygons are apart, side by side; below 0 where one lies in the other. */
function apart(a: readonly Point[], b: readonly Point[]): number {
  if (distanceInside(b, a[0]!) > 0 || distanceInside(a, b[0]!) > 0) return -1;
  let least = Infinity;
  const look = (points: readonly Point[], others: readonly Point[]) =>
    points.forEach((point) =>
      others.forEach((p, i) => {
        const [x, y] = nearestOn(p, others[(i + 1) % others.length]!, point);
        least = Math.min(least, Math.hypot(x - point[0], y - point[1]));
      }),
    );
  look(a, b);
  look(b, a);
  return least;
}

function isSound(problem: NestProblem): Nested {
  const { sheets, blanks, kerf } = problem;
  const found = nested(problem, 2);
  const every = [...found.sheets.flatMap(({ placed }) => placed.map(({ blank }) => blank)), ...found.leftOut].sort((a, b) => a - b);
  expect(every).toEqual(blanks.map((_, i) => i));
  for (const { sheet, placed, used } of found.sheets) {
    const { length, width, outline, taken } = sheets[sheet]!;
    const whole: readonly Point[] = outline ?? [
      [0, 0],
      [length, 0],
      [length, width],
      [0, width],
    ];
    const lines = placed.map((each) => laidOut(blanks[each.blank]!, each));
    for (const line of lines) for (const point of line) expect(distanceInside(whole, point)).toBeGreaterThan(-1e-3);
    lines.forEach((line, i) => {
      for (const other of [...lines.slice(i + 1), ...taken]) expect(apart(line, other)).toBeGreaterThan(kerf - 1e-3);
    });
    expect(Math.max(...lines.flat().map(([x]) => x))).toBeLessThan(used + 0.07);
  }
  return found;
}

test("no two blanks are nearer than the kerf, none lies outside, or on what is taken", () => {
  const taken = lineOf({ shape: "round", diameter: 14 }).map(([x, y]): Point => [x + 18, y + 20]);
  const corner: Point[] = [
    [0, 0],
    [52, 0],
    [52, 20],
    [36, 36],
    [0, 36],
  ];
  const cases = fc.record({ blanks: fc.array(anyLine, { minLength: 2, maxLength: 9 }), isOutlined: fc.boolean() });
  fc.assert(
    fc.property(cases, ({ blanks, isOutlined }) => {
      const stock = { length: 52, width: 36, outline: isOutlined ? corner : null, taken: [taken], isBought: false };
      isSound({ sheets: [stock, { length: 60, width: 30, outline: null, taken: [], isBought: true }], blanks, kerf: KERF });
    }),
    { numRuns: runs(60), endOnFailure: true },
  );
});

test("what is wished to lie in a place lies there or as near as it can, and all else round it", () => {
  const taken = lineOf({ shape: "round", diameter: 12 }).map(([x, y]): Point => [x + 30, y + 18]);
  const sheet: Sheet = { length: 60, width: 40, outline: null, taken: [taken], isBought: false };
  const place = fc.record({
    x: fc.double({ min: -5, max: 65, noNaN: true }),
    y: fc.double({ min: -5, max: 45, noNaN: true }),
    turn: fc.integer({ min: 0, max: 359 }),
  });
  const cases = fc.record({ blanks: fc.array(anyLine, { minLength: 2, maxLength: 6 }), places: fc.tuple(place, place), seed: fc.nat() });
  const isClear = (line: readonly Point[], others: readonly (readonly Point[])[]) =>
    line.every(([x, y]) => x > 0 && y > 0 && x < sheet.length && y < sheet.width) &&
    others.every((other) => apart(line, other) > KERF + 0.2);
  fc.assert(
    fc.property(cases, ({ blanks, places, seed }) => {
      const wished = places.map((each, blank) => ({ ...each, blank, sheet: 0 }));
      const found = isSound({ sheets: [sheet, { ...sheet, taken: [], isBought: true }], blanks, kerf: KERF, wished });
      const on = found.sheets.find((each) => each.sheet === 0)!;
      const before: Point[][] = [taken];
      const random = seeded(seed);
      for (const wish of wished) {
        const own = on.placed.find(({ blank }) => blank === wish.blank)!;
        const line = blanks[wish.blank]!;
        if (!found.kept.includes(wish.blank)) continue;
        expect(own.turn).toBe(wish.turn);
        // by another method: no place nearer to the wish is clear, of many tried
        const inRoom = clampedWish(line, wish, sheet);
        const far = Math.hypot(own.x - inRoom.x, own.y - inRoom.y);
        for (let i = 0; i < 40; i++) {
          const [angle, nearer] = [random() * 2 * Math.PI, Math.max(0, far - 0.4) * Math.sqrt(random())];
          const tried = { ...wish, x: inRoom.x + nearer * Math.cos(angle), y: inRoom.y + nearer * Math.sin(angle) };
          if (far > 0.4) expect(isClear(laidOut(line, tried), before)).toBe(false);
        }
        before.push(laidOut(line, own));
      }
    }),
    { numRuns: runs(40), endOnFailure: true },
  );
  const square = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ] as const;
  const one = (x: number, y: number, turn = 0) =>
    nested({ sheets: [{ ...sheet, taken: [] }], blanks: [square, square], kerf: KERF, wished: [{ blank: 1, sheet: 0, x, y, turn }] });
  expect(one(33, 12).sheets[0]!.placed[0]).toEqual({ blank: 1, x: 33, y: 12, turn: 0 });
  expect(one(33, -8).sheets[0]!.placed[0]).toEqual({ blank: 1, x: 33, y: expect.closeTo(0, 9) as number, turn: 0 });
  const crowded = nested({
    ...{ sheets: [{ ...sheet, taken: [] }], blanks: [square, square], kerf: KERF },
    wished: [
      { blank: 0, sheet: 0, x: 20, y: 20, turn: 0 },
      { blank: 1, sheet: 0, x: 27, y: 21, turn: 0 },
    ],
  });
  expect(crowded.sheets[0]!.placed[1]!.x).toBeCloseTo(30.28, 6);
  expect(crowded.sheets[0]!.placed[1]!.y).toBeCloseTo(21, 6);
});

test("what has no room where it is wished is laid as all others, and what is bought for one is bought once", () => {
  const bar: Point[] = [
    [0, 0],
    [30, 0],
    [30, 4],
    [0, 4],
  ];
  const sheet: Sheet = { length: 40, width: 20, outline: null, taken: [], isBought: false };
  const bought = { ...sheet, isBought: true };
  const upright = nested({ sheets: [sheet], blanks: [bar], kerf: KERF, wished: [{ blank: 0, sheet: 0, x: 5, y: 5, turn: 90 }] });
  expect(upright.kept).toEqual([]);
  expect(upright.sheets[0]!.placed[0]!.turn).toBe(0);
  const six = Array.from({ length: 6 }, () => bar);
  const found = nested({ sheets: [bought, bought], blanks: six, kerf: KERF, wished: [{ blank: 0, sheet: 0, x: 5, y: 8, turn: 0 }] });
  expect(found.sheets.map((each) => each.sheet)).toEqual([0, 1]);
  expect(found.leftOut).toEqual([]);
});

/** The place nearest to a wish where a blank does not reach past a sheet's sides. */
function clampedWish(line: readonly Point[], { turn, x, y }: Omit<Placed, "blank">, { length, width }: Sheet) {
  const turned = laidOut(line, { blank: 0, x: 0, y: 0, turn });
  const [xs, ys] = [turned.map(([px]) => px), turned.map(([, py]) => py)];
  return {
    x: Math.min(length - Math.max(...xs), Math.max(-Math.min(...xs), x)),
    y: Math.min(width - Math.max(...ys), Math.max(-Math.min(...ys), y)),
  };
}

test("squares that fill a sheet to the kerf fill it; one that is wider does not go on", () => {
  const square = (side: number): Point[] => [
    [0, 0],
    [side, 0],
    [side, side],
    [0, side],
  ];
  const sheet = { length: 31, width: 21, outline: null, taken: [], isBought: false };
  const filled = nested({ sheets: [sheet], blanks: Array.from({ length: 6 }, () => square(10)), kerf: KERF });
  expect(filled.leftOut).toEqual([]);
  expect(filled.sheets[0]!.used).toBeGreaterThan(30.56 - 1e-3);
  expect(filled.sheets[0]!.used).toBeLessThan(30.9);
  expect(nested({ sheets: [sheet], blanks: [square(21.1)], kerf: KERF }).leftOut).toEqual([0]);
});

test("a small sheet that holds all is begun before a large one, and one is bought only where there is no room", () => {
  const line = lineOf({ shape: "oval", length: 12, width: 9 });
  const small: Sheet = { length: 14, width: 11, outline: null, taken: [], isBought: false };
  const large = { ...small, length: 60, width: 40 };
  const bought = { ...small, length: 100, width: 50, isBought: true };
  const on = (count: number, sheets = [large, small, bought]) =>
    nested({ sheets, blanks: Array.from({ length: count }, () => line), kerf: KERF }).sheets.map(({ sheet }) => sheet);
  expect(on(1)).toEqual([1]);
  expect(on(4)).toEqual([0]);
  expect(on(2, [small, bought])).toEqual([0, 1]);
  const cornered = {
    ...small,
    outline: [
      [0, 0],
      [14, 0],
      [14, 10],
      [13, 11],
      [0, 11],
    ] as const,
  };
  expect(on(1, [cornered, bought])).toEqual([0]);
  const halved = {
    ...small,
    outline: [
      [0, 0],
      [14, 0],
      [0, 11],
    ] as const,
  };
  expect(on(1, [halved, bought])).toEqual([1]);
});

test("convex parts cover a crescent and hardly more; the sum of two says where they overlap", () => {
  const crescent = anticlockwise([
    ...Array.from({ length: 25 }, (_, i): Point => [10 * Math.cos((i * Math.PI) / 24), 10 * Math.sin((i * Math.PI) / 24)]),
    ...Array.from({ length: 25 }, (_, i): Point => [-7 * Math.cos((i * Math.PI) / 24), 7 * Math.sin((i * Math.PI) / 24)]),
  ]);
  const parts = convexParts(crescent);
  const area = parts.reduce((sum, part) => sum + polygonArea(part), 0);
  expect(area / polygonArea(crescent)).toBeGreaterThan(0.999);
  expect(area / polygonArea(crescent)).toBeLessThan(1.06);
  for (const point of crescent) expect(Math.max(...parts.map((part) => distanceInside(part, point)))).toBeGreaterThan(-1e-9);
  const square: Point[] = [
    [0, 0],
    [4, 0],
    [4, 4],
    [0, 4],
  ];
  const triangle: Point[] = [
    [0, 0],
    [3, 0],
    [0, 2],
  ];
  const sum = overlapping(square, triangle);
  expect(polygonArea(sum)).toBeCloseTo(16 + 3 + 4 * (3 + 2), 9);
  expect(distanceInside(sum, [-2.9, -1.9])).toBeLessThan(0);
  expect(distanceInside(sum, [-0.9, -0.9])).toBeGreaterThan(0);
  expect(distanceInside(sum, [3.9, -1.9])).toBeGreaterThan(0);
});

test("what was taken is no metal", () => {
  const taken: Point[] = [
    [0, 0],
    [0, 5],
    [4, 5],
    [4, 0],
  ];
  expect(sheetArea({ length: 10, width: 8, outline: null, taken: [taken], isBought: false })).toBe(60);
});
