import fc from "fast-check";
import { runs } from "../../runs.testing";
import { type Point, withinOne } from "../geometry/outline";
import { distanceToPolygon, polygonLength } from "../geometry/polygon";
import { type OutlineShape, outlineOfShape } from "../stone/shapes/shapes";
import { coarseOf, noiseOf } from "./coarse";
import { type MadeUp, type Thing, madeUpPicture } from "./made-up";
import { MADE_UP_PICTURES } from "./made-up-pictures";
import { type Pixels } from "./pixels";
import { type Outcome } from "./refusal";
import { squaresIn } from "./squares";
import { type Traced, stoneLine, tracePicture } from "./trace";
import { turned } from "./turned";

const PAPER = { tint: [230, 228, 222], lines: [172, 188, 224], pitch: 5, line: 0.4, turn: 0.11 } as const;

function drawn(shape: OutlineShape, turn = 0, at: Point = [0, 0]): Point[] {
  const outline = outlineOfShape(shape);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return Array.from({ length: 2400 }, (_, i): Point => {
    const { x, y } = outline.stationAt(i / 2400);
    return [x * cos - y * sin + at[0], x * sin + y * cos + at[1]];
  });
}

/** A stone as a hard light shows it: light uneven by a third, a shadow of 0.4, noise of 6 levels, an edge 1.2 pixels soft. */
function shown(pxPerMm: number, size: number, things: readonly Thing[], more: Partial<MadeUp> = {}): MadeUp {
  const side = Math.round((size + 13) * pxPerMm);
  return {
    seed: 5,
    width: side,
    height: side,
    pxPerMm,
    things,
    paper: PAPER,
    uneven: 0.33,
    lightFrom: 2.2,
    shadow: { strength: 0.4, reach: 0.8, soft: 0.5 },
    noise: 6,
    blur: 1.2,
    ...more,
  };
}

function traced(outcome: Outcome<Traced>): Traced {
  if (!outcome.ok) throw new Error(`refused: ${outcome.refusal.code}`);
  return outcome.value;
}

/** How far a traced outline lies from the true one in the picture: at most, root mean square, and its length against it (mm, mm, share). */
function errors(found: Traced, truth: readonly Point[], picture: Pixels, pxPerMm: number) {
  const outline = outlineOfShape(found.outline);
  const [dx, dy] = [(found.middle[0] - picture.width / 2) / pxPerMm, (picture.height / 2 - found.middle[1]) / pxPerMm];
  const places = Array.from({ length: 500 }, (_, i) => outline.stationAt(i / 500)).map(({ x, y }): Point => [x + dx, y + dy]);
  const far = [...places.map((place) => distanceToPolygon(truth, place))];
  const back = truth.filter((_, i) => i % 6 === 0).map((place) => distanceToPolygon(places, place));
  return {
    most: Math.max(...far, ...back),
    root: Math.sqrt(far.reduce((sum, each) => sum + each * each, 0) / far.length),
    length: Math.abs(outline.perimeter / polygonLength(truth) - 1),
  };
}

const GREEN = {
  tint: [70, 138, 98],
  stripes: { tint: [46, 90, 64], pitch: 3, turn: 0.8 },
  highlight: { at: [-2, 2], reach: 1.1 },
} as const;
const ONYX = { tint: [42, 40, 46], highlight: { at: [1, 2], reach: 1 } } as const;
const CARNELIAN = { tint: [176, 76, 44] } as const;

test.each<readonly [string, number, OutlineShape, number, Omit<Thing, "outline">]>([
  ["a moss agate", 15, MADE_UP_PICTURES[0]!.outline, 0, GREEN],
  ["an onyx with a corner radius", 15, { shape: "rectangle", length: 16, width: 12, corner: 2 }, 0.4, ONYX],
  ["a pointed pear", 15, { shape: "pear", length: 18, width: 12 }, 2.1, CARNELIAN],
  ["an oval", 40, { shape: "oval", length: 14, width: 10 }, 0.7, GREEN],
])("%s is traced at %d pixels a mm within the stated error", (_, pxPerMm, shape, turn, looks) => {
  const truth = drawn(shape, turn, [0.7, -0.4]);
  const picture = madeUpPicture(shown(pxPerMm, 18, [{ outline: truth, ...looks }]));
  const { most, root, length } = errors(traced(tracePicture(picture, { pxPerMm })), truth, picture, pxPerMm);
  const limits = pxPerMm >= 40 ? { most: 0.03, root: 0.008, length: 0.002 } : { most: 0.1, root: 0.03, length: 0.006 };
  expect(most).toBeLessThan(limits.most);
  expect(root).toBeLessThan(limits.root);
  expect(length).toBeLessThan(limits.length);
});

test("a round of any size is round to a fiftieth, wherever it lies", () => {
  const cases = fc.record({
    diameter: fc.double({ min: 8, max: 14, noNaN: true }),
    x: fc.double({ min: -2, max: 2, noNaN: true }),
    seed: fc.nat(1000),
  });
  fc.assert(
    fc.property(cases, ({ diameter, x, seed }) => {
      const truth = drawn({ shape: "round", diameter }, 0, [x, 0.3]);
      const picture = madeUpPicture(shown(14, diameter, [{ outline: truth, ...CARNELIAN }], { seed, noise: 3 }));
      const found = errors(traced(tracePicture(picture, { pxPerMm: 14 })), truth, picture, 14);
      expect(found.root).toBeLessThan(0.02);
      expect(found.length).toBeLessThan(0.003);
    }),
    { numRuns: runs(10), endOnFailure: true },
  );
}, 60_000);

test("a picture turned by a quarter, in a mirror or finer gives the outline turned, mirrored or as large", () => {
  const truth = drawn(MADE_UP_PICTURES[0]!.outline, 0.4);
  const picture = madeUpPicture(shown(12, 26, [{ outline: truth, ...GREEN }], { noise: 2 }));
  const as = (orientation: number, map: (p: Point) => Point) => {
    const other = turned(picture, orientation);
    return errors(traced(tracePicture(other, { pxPerMm: 12 })), truth.map(map), other, 12).most;
  };
  expect(as(1, (p) => p)).toBeLessThan(0.08);
  expect(as(6, ([x, y]) => [y, -x])).toBeLessThan(0.08);
  expect(as(2, ([x, y]) => [-x, y])).toBeLessThan(0.08);
  const fine = madeUpPicture(shown(20, 26, [{ outline: truth, ...GREEN }], { noise: 2 }));
  expect(errors(traced(tracePicture(fine, { pxPerMm: 20 })), truth, fine, 20).most).toBeLessThan(0.05);
});

test("the points begin at the greatest x, lie about the middle of their box, are few, and the scatter is the edge's", () => {
  const { made } = MADE_UP_PICTURES[2]!;
  const found = traced(tracePicture(madeUpPicture(made), { pxPerMm: made.pxPerMm }));
  const { points } = found.outline;
  const { extent, stations } = outlineOfShape(found.outline);
  expect(Math.max(...points.map(([x]) => x)) - points[0]![0]).toBeLessThan(0.02);
  expect(Math.max(...stations.map(({ x }) => x))).toBeCloseTo(extent(0) / 2, 2);
  expect(points.length).toBeLessThan(90);
  expect(found.scatter).toBeGreaterThan(0.003);
  expect(found.scatter).toBeLessThan(0.015);
  expect(found.doubtfulShare).toBe(0);
  // the blur is 1.1 pixels: an edge twice that wide, at 25 pixels a mm
  expect(found.edgeWidth).toBeCloseTo(2.2 / 25, 1.7);
});

test("a shine over the edge is bridged, and that run of it is doubtful", () => {
  const truth = drawn({ shape: "oval", length: 18, width: 13 });
  const picture = madeUpPicture(shown(20, 18, [{ outline: truth, ...CARNELIAN, highlight: { at: [8.4, 1], reach: 1.5 } }], { noise: 3 }));
  const found = traced(tracePicture(picture, { pxPerMm: 20 }));
  expect(errors(found, truth, picture, 20).most).toBeLessThan(0.8);
  const first = found.line.reduce((best, [x], i) => (x > found.line[best]![0] ? i : best), 0);
  const n = found.line.length;
  const isTold = (i: number) =>
    found.doubtful.some(({ from, to }) => withinOne((i - first) / n) >= from - 0.02 && withinOne((i - first) / n) <= to + 0.02);
  const off = found.line.map(([x, y]) => distanceToPolygon(truth, [(x - picture.width / 2) / 20, (picture.height / 2 - y) / 20]));
  expect(off.filter((far, i) => far > 0.15 && !isTold(i))).toEqual([]);
  expect(found.doubtfulShare).toBeLessThan(0.2);
});

describe("refused", () => {
  const oval = (at: Point = [0, 0], looks: Omit<Thing, "outline"> = CARNELIAN): Thing => ({
    outline: drawn({ shape: "oval", length: 12, width: 9 }, 0.3, at),
    ...looks,
  });
  const code = (made: MadeUp, pxPerMm = made.pxPerMm) => {
    const answer = tracePicture(madeUpPicture(made), { pxPerMm });
    return answer.ok ? "traced" : answer.refusal.code;
  };

  test("paper without a stone, two stones, one cut off, one blurred, and a picture that is too coarse or too small", () => {
    expect(code(shown(15, 12, []))).toBe("no-clear-stone");
    expect(code(shown(15, 26, [oval([-8, 0]), oval([8, 1])]))).toBe("two-stones");
    expect(code(shown(15, 12, [oval([9.5, 0])]))).toBe("cut-by-the-edge");
    expect(code(shown(15, 12, [oval()], { blur: 4.5 }))).toBe("too-blurred");
    expect(code(shown(15, 12, [oval()]), 5.9)).toBe("too-coarse");
    expect(code({ ...shown(15, 12, []), width: 40, height: 300 })).toBe("picture-too-small");
  });

  test("of two stones the one that was pressed is traced", () => {
    const made = shown(15, 26, [oval([-8, 0]), oval([8, 1], ONYX)]);
    const picture = madeUpPicture(made);
    const at = [picture.width / 2 + 8 * 15, picture.height / 2 - 15] as const;
    const found = traced(tracePicture(picture, { pxPerMm: 15, at }));
    expect(errors(found, made.things[1]!.outline, picture, 15).most).toBeLessThan(0.1);
  });
});

test("squared paper is found with its pitch and its turn, and none where there is none", () => {
  const { made } = MADE_UP_PICTURES[3]!;
  const picture = madeUpPicture({ ...made, paper: { ...made.paper, turn: 0.2 } });
  const squares = squaresIn(coarseOf(picture), stoneLine(picture))!;
  for (const pitch of squares.pitch) expect(Math.abs(pitch / 125 - 1)).toBeLessThan(0.002);
  expect(squares.turn).toBeCloseTo(-0.2, 2);
  const plain = madeUpPicture({ ...made, paper: { ...made.paper, lines: made.paper.tint } });
  expect(squaresIn(coarseOf(plain), stoneLine(plain))).toBeNull();
});

test("the noise of a picture is measured", () => {
  const { made } = MADE_UP_PICTURES[1]!;
  for (const noise of [2, 6]) expect(noiseOf(madeUpPicture({ ...made, width: 400, height: 300, noise }))).toBeCloseTo(noise, -0.3);
});
