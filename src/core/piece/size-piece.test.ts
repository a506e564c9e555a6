import { SHIPPED, SHIPPED_BENCH, stripHeights, wideBandAddition, shelfNamed } from "./bench";
import { type HoopEntry, type Mount, type Piece } from "./piece";
import { type OutlineShape } from "../stone/shapes/shapes";
import ternFile from "./reference/tern-ring.piece.json";
import { sizePiece } from "./size-piece";

const tern = ternFile as unknown as Piece;
const mountWith = (more: Partial<Mount>): Mount => ({ ...tern.mounts[0]!, ...more });
const sized = (mount: Partial<Mount>, carrier: Partial<HoopEntry> = {}) =>
  sizePiece({ ...tern, mounts: [mountWith(mount)], carrier: { ...(tern.carrier as HoopEntry), ...carrier } }, SHIPPED_BENCH);
const value = (piece: ReturnType<typeof sizePiece>, key: string) => piece.contribution.figures[key]!.value;
const bar: Mount["stone"] = { ...tern.mounts[0]!.stone, outline: { shape: "rectangle", length: 14, width: 10, corner: 2 } };

test("the seam of a stone on a hoop keeps clear of the places the shank meets, where they lie as it is turned", () => {
  expect(value(sized({ stone: bar }), "m1.wall.seamAt")).toBeCloseTo(0, 9);
  expect(value(sized({ stone: bar, place: { turn: 90 } }), "m1.wall.seamAt")).toBeCloseTo(0.25, 9);
  const loose = sizePiece({ ...tern, mounts: [mountWith({ stone: bar })], carrier: { type: "none" } }, SHIPPED_BENCH);
  expect(value(loose, "m1.wall.seamAt")).toBeCloseTo(0.25, 9);
});

test("a setting meets the finger's curve with its width, turned with its length, and what the plate adds on both sides", () => {
  const closed = { form: "closed" } as const;
  const plate = { ...tern.mounts[0]!.plate!, thickness: 3 };
  const width = (turn: number, outline: OutlineShape = { shape: "oval", length: 10, width: 7 }) =>
    value(sized({ stone: { ...bar, outline }, place: { turn }, plate }, closed), "hoop.saddleWidth");
  const edges = 2 * (0.05 + 0.32);
  expect(width(0)).toBeCloseTo(7 + edges, 9);
  expect(width(90)).toBeCloseTo(10 + edges, 9);
  expect(width(30)).toBeCloseTo(2 * Math.hypot(5 * Math.sin(Math.PI / 6), 3.5 * Math.cos(Math.PI / 6)) + edges, 9);
  const points = [
    [5, 0],
    [1, 3],
    [-4, 1],
    [-2, -3],
  ] as const;
  const extent = (degrees: number) => {
    const reach = points.map(([x, y]) => x * Math.cos((degrees * Math.PI) / 180) + y * Math.sin((degrees * Math.PI) / 180));
    return Math.max(...reach) - Math.min(...reach);
  };
  for (const turn of [30, -30, 75])
    expect(width(turn, { shape: "free", closed: "polyline", points })).toBeCloseTo(extent(90 - turn) + edges, 9);
});

test("a tube's foot stands on its wall and the shelf under the stone", () => {
  const stone: Mount["stone"] = { ...tern.mounts[0]!.stone, outline: { shape: "round", diameter: 6 }, height: 3, turnIn: 1.2 };
  const wall = { ...tern.mounts[0]!.wall, source: "tube", tube: { outside: 6.9, inside: 5 }, lift: 1 } as const;
  const piece = sized({ stone, wall });
  const foot = piece.contribution.joints.find(({ kind }) => kind === "foot")!;
  const outer = Math.PI * (6.9 ** 2 - 6.1 ** 2) * 0.25;
  const shelf = Math.PI * (6.1 ** 2 - 5 ** 2) * 0.25;
  expect(foot.area).toBeCloseTo(outer + shelf, 6);
});

test("a cup and its base are one part, as heavy as both; a plate is heavier before it is sawn", () => {
  const stone: Mount["stone"] = { ...tern.mounts[0]!.stone, outline: { shape: "oval", length: 10, width: 8 }, height: 4, turnIn: 1.5 };
  const wall = { ...tern.mounts[0]!.wall, source: "cup", metal: "copper", thickness: 0.4, cup: { length: 10.9, thickness: 0.4 } } as const;
  const cup = sized({ stone, wall, plate: { style: "flush", metal: "sterling", thickness: 0.5 } });
  const [part, ...others] = cup.contribution.parts;
  expect(part!.mass).toBeCloseTo(value(cup, "m1.wall.mass") + value(cup, "m1.plate.mass"), 12);
  expect([part!.metal, others.map(({ id }) => id)]).toEqual(["copper", ["hoop"]]);
  const plate = sized({}).contribution.parts.find(({ id }) => id === "m1.plate")!;
  const blank = value(sized({}), "m1.plate.blankLength") * value(sized({}), "m1.plate.blankWidth") * 0.6 * 0.01036;
  expect(plate.blankMass).toBeCloseTo(blank, 9);
  expect(plate.mass).toBeLessThan(plate.blankMass!);
});

test("settings come first in file order, then the carrier; each foot after its seam, each mount after foot and hoop", () => {
  const mounts = ["m1", "m2"].map((id, i) => mountWith({ id, place: { along: 20 * i } }));
  const { parts, joints } = sizePiece({ ...tern, mounts }, SHIPPED_BENCH).contribution;
  expect(parts.map(({ id }) => id)).toEqual(["m1.wall", "m1.plate", "m2.wall", "m2.plate", "hoop"]);
  expect(joints.map(({ id, kind, mount, after }) => [id, kind, mount, ...after])).toEqual([
    ["m1.seam", "seam", "m1"],
    ["m1.foot", "foot", "m1", "m1.seam"],
    ["m2.seam", "seam", "m2"],
    ["m2.foot", "foot", "m2", "m2.seam"],
    ["hoop.seam", "seam", null],
    ["hoop.mount.m1", "mount", "m1", "m1.foot", "hoop.seam"],
    ["hoop.mount.m2", "mount", "m2", "m2.foot", "hoop.seam"],
  ]);
});

test("what nobody gave is the shipped default: losses, fit, wide bands, strips and the first shelf", () => {
  expect(SHIPPED).toMatchObject({
    losses: { wall: { squaring: 0.44, mark: 0.1, foot: 0.1, top: 0.1 }, hoop: { squaring: 0.5, mark: 0.1, sawPasses: 1, kerf: 0.28 } },
    wideBand: [
      { over: 6, add: 0.2 },
      { over: 8, add: 0.4 },
    ],
    overshoot: 10,
    way: "free",
    seatOf: { fit: 0.05, catch: 0.25 },
    minutes: { "join.pickle": { hands: 1, wait: 8 } },
    units: { length: "mm", temperature: "C" },
    sizeSystem: "eu",
  });
  const band = (width: number) => wideBandAddition(SHIPPED_BENCH, width);
  expect([band(6), band(6.01), band(8), band(8.01)].map(({ value: add }) => add)).toEqual([0, 0.2, 0.2, 0.4]);
  expect([band(7).from, wideBandAddition({ ...SHIPPED_BENCH, wideBand: [{ over: 5, add: 0.3 }] }, 5.5)]).toEqual([
    "shipped",
    { value: 0.3, from: "bench" },
  ]);
  const strips = (thickness: number) => stripHeights(SHIPPED_BENCH, "fine-silver", thickness);
  expect([strips(0.32), strips(0.4), strips(0.3249), strips(0.3251), stripHeights(SHIPPED_BENCH, "sterling", 0.32)]).toEqual([
    [2.5, 3.2, 4, 4.8],
    [2.5, 3.2, 4, 4.8, 6.4],
    [2.5, 3.2, 4, 4.8],
    [],
    [],
  ]);
  expect(shelfNamed(SHIPPED_BENCH, undefined)).toMatchObject({ shelf: { id: "typical" }, missing: false });
  expect(shelfNamed(SHIPPED_BENCH, "narrow")).toMatchObject({ shelf: { id: "narrow" }, missing: false });
  expect(shelfNamed(SHIPPED_BENCH, "mine")).toMatchObject({ shelf: { id: "typical" }, missing: true });
});
