import { type Point } from "../geometry/outline";
import { distanceToPolygon } from "../geometry/polygon";
import { outlineOfShape } from "../stone/shapes/shapes";
import { type MadeUp, madeUpPicture } from "./made-up";
import { MADE_UP_PICTURES } from "./made-up-pictures";
import { type Spot } from "./pixels";
import { placeAt, spotAt } from "./placing";
import { roundIn } from "./round";
import { type Tilt, straightened, tiltDegrees, tilted } from "./tilt";
import { tracePicture } from "./trace";

const PX = 18;
const COPPER = [150, 98, 64] as const;
const RUST = [176, 76, 44] as const;

function outlineOf(points: (share: number) => Point, at: Point): Point[] {
  return Array.from({ length: 1200 }, (_, i) => {
    const [x, y] = points(i / 1200);
    return [x + at[0], y + at[1]];
  });
}

const OVAL = { shape: "oval", length: 13, width: 10 } as const;
const stone = (at: Point) => {
  const outline = outlineOfShape(OVAL);
  return outlineOf((share) => [outline.stationAt(share).x, outline.stationAt(share).y], at);
};
const coin = (diameter: number, at: Point) =>
  outlineOf((share) => [(diameter / 2) * Math.cos(2 * Math.PI * share), (diameter / 2) * Math.sin(2 * Math.PI * share)], at);

/** A stone at the left and a coin at the right, seen tilted. */
function shown(tilt: Tilt | undefined): { readonly made: MadeUp; readonly truth: readonly Point[]; readonly onCoin: Spot } {
  // the picture's y points down, the paper's up
  const seen = ([x, y]: Point): Point => {
    const [sx, sy] = tilted([x, -y], tilt);
    return [sx, -sy];
  };
  const { made } = MADE_UP_PICTURES[1]!;
  const things = [
    { outline: stone([-9, 0.5]).map(seen), tint: RUST },
    { outline: coin(16, [9, 0]).map(seen), tint: COPPER },
  ];
  const [x, y] = seen([9, 0]);
  return {
    made: { ...made, width: 720, height: 440, pxPerMm: PX, things },
    truth: stone([0, 0]),
    onCoin: [360 + x * PX, 220 - y * PX],
  };
}

test.each([
  [1, 0],
  [0.985, 0.4],
  [0.975, -1.1],
])("a coin seen %d as wide as long gives the scale, and its ellipse undoes the tilt", (ratio, turn) => {
  const { made, truth, onCoin } = shown({ ratio, turn });
  const picture = madeUpPicture(made);
  const round = roundIn(picture, onCoin);
  if (!round.ok) throw new Error(round.refusal.code);
  expect(Math.abs(round.value.across / (16 * PX) - 1)).toBeLessThan(0.002);
  expect(Math.abs(round.value.tilt.ratio - ratio)).toBeLessThan(0.003);
  const scale = { pxPerMm: round.value.across / 16, tilt: round.value.tilt };
  const traced = tracePicture(picture, { ...scale, not: round.value.middle });
  if (!traced.ok) throw new Error(traced.refusal.code);
  const { outline, middle } = traced.value;
  const { extent, stations } = outlineOfShape(outline);
  expect(Math.abs(extent(0) - 13)).toBeLessThan(0.06);
  expect(Math.abs(extent(Math.PI / 2) - 10)).toBeLessThan(0.06);
  expect(Math.max(...stations.map(({ x, y }) => distanceToPolygon(truth, [x, y])))).toBeLessThan(0.07);
  for (const place of [
    [3, -2],
    [-4, 1.5],
  ] as const) {
    const [x, y] = placeAt(middle, scale, spotAt(middle, scale, place));
    expect(x).toBeCloseTo(place[0], 9);
    expect(y).toBeCloseTo(place[1], 9);
  }
});

test("what is said not to be the stone is not taken for it; too much tilt, and what is no round, are refused", () => {
  const { made } = shown(undefined);
  const blue = { ...made, things: [made.things[0]!, { ...made.things[1]!, tint: [52, 66, 140] as const }] };
  const long = (not?: Spot) => {
    const traced = tracePicture(madeUpPicture(blue), { pxPerMm: PX, ...(not && { not }) });
    return traced.ok && outlineOfShape(traced.value.outline).extent(0);
  };
  expect(long()).toBeCloseTo(16, 1);
  expect(long([made.width / 2 + 9 * PX, made.height / 2])).toBeCloseTo(13, 1);
  const tilt = shown({ ratio: 0.95, turn: 0.3 });
  expect(roundIn(madeUpPicture(tilt.made), tilt.onCoin)).toMatchObject({ refusal: { code: "too-tilted", values: { least: 0.97 } } });
  const square = outlineOf(
    (share) => {
      const [side, along] = [Math.floor(share * 4), (share * 4) % 1];
      const [x, y] = [5.5, 11 * along - 5.5];
      return (
        [
          [x, y],
          [-y, x],
          [-x, -y],
          [y, -x],
        ] as const
      )[side]!;
    },
    [9, 0],
  );
  const squared = { ...made, things: [made.things[0]!, { outline: square, tint: COPPER }] };
  expect(roundIn(madeUpPicture(squared), [made.width / 2 + 9 * PX, made.height / 2])).toMatchObject({ refusal: { code: "not-a-round" } });
});

test("a stone is looked for within a box, and cut off where the box cuts it", () => {
  const { made, truth } = shown(undefined);
  const picture = madeUpPicture(made);
  const box = { x: 40, y: 80, width: 310, height: 300 };
  const coin = [made.width / 2 + 9 * PX, made.height / 2] as const;
  const traced = tracePicture(picture, { pxPerMm: PX, within: box, not: coin });
  if (!traced.ok) throw new Error(traced.refusal.code);
  expect(traced.value.middle[0]).toBeCloseTo(made.width / 2 - 9 * PX, -0.5);
  expect(traced.value.middle[1]).toBeCloseTo(made.height / 2 - 0.5 * PX, -0.5);
  const { stations } = outlineOfShape(traced.value.outline);
  expect(Math.max(...stations.map(({ x, y }) => distanceToPolygon(truth, [x, y])))).toBeLessThan(0.07);
  expect(tracePicture(picture, { pxPerMm: PX, within: { ...box, width: 150 } })).toMatchObject({ ok: false });
  const at = [made.width / 2 - 9 * PX, made.height / 2] as const;
  expect(tracePicture(picture, { pxPerMm: PX, within: box, at })).toMatchObject({ ok: true });
});

test("straightening is the reverse of tilting, and a ratio is an angle", () => {
  const tilt = { ratio: 0.97, turn: 0.7 };
  const [x, y] = straightened(tilted([3, -5], tilt), tilt);
  expect(x).toBeCloseTo(3, 12);
  expect(y).toBeCloseTo(-5, 12);
  // along the long axis nothing is shortened, across it all of it
  expect(Math.hypot(...tilted([Math.cos(0.7), Math.sin(0.7)], tilt))).toBeCloseTo(1, 12);
  expect(Math.hypot(...tilted([-Math.sin(0.7), Math.cos(0.7)], tilt))).toBeCloseTo(0.97, 12);
  expect(tiltDegrees({ ratio: 0.97, turn: 0 })).toBeCloseTo(14.07, 2);
});
