import fc from "fast-check";
import { runs } from "@/runs.testing";
import { SHIPPED_BENCH } from "./bench";
import { type Piece } from "./piece";
import { planPiece } from "./plan-piece";
import { type HowRead, lengthReading } from "../mount/closed-length";
import { type ReadingScale, type VerdictCode, scaleOf, scaleRead, verdictOf } from "./reading-scales";
import { sizePiece } from "./size-piece";
import ternFile from "./reference/tern-ring.piece.json";

const tern = ternFile as unknown as Piece;
const { contribution, settled } = sizePiece(tern, SHIPPED_BENCH);
const { steps } = planPiece(tern, SHIPPED_BENCH);
const value = (key: string) => contribution.figures[key]!.value;
const asked = steps.flatMap(({ reads }) => reads);
const scale = (figure: string, kind: string): ReadingScale => {
  const found = asked.find((each) => each.figure === figure && each.kind === kind)!;
  return scaleOf({ piece: tern, figures: contribution.figures, settled }, found)!;
};
const near = (mm: number) => expect.closeTo(mm, 9) as number;

test("steps ask for what is cut, what it came to, and the stock in hand, in the order it is made", () => {
  expect(asked.map(({ figure, kind }) => `${figure} ${kind}`)).toEqual([
    "m1.stone.outline.length stone-length",
    "m1.stone.outline.width stone-width",
    "m1.stone.measuredPerimeter stone-tape",
    "m1.stone.turnIn stone-leans",
    "m1.stone.height stone-height",
    "m1.wall.cutHeight strip-height",
    "m1.wall.thickness thickness",
    "m1.wall.cutLength strip",
    "m1.wall.netLength wall-open",
    "m1.wall.netLength wall-closed",
    "hoop.cutLength blank",
    "hoop.thickness thickness",
    "hoop.insideDiameter size",
    "m1.plate.thickness thickness",
    "m1.wall.netHeight wall-height",
  ]);
});

test("a strip as it is cut has the wall's own window, moved by what still comes off it", () => {
  const lost = 0.54;
  const [net, low, high] = [value("m1.wall.netLength"), value("m1.wall.windowLow"), value("m1.wall.windowHigh")];
  const strip = scale("m1.wall.cutLength", "strip");
  expect(strip).toMatchObject({ wanted: near(net + lost), low: near(low + lost), near: near(net + lost - 0.05), high: near(high + lost) });
  expect(verdictOf(strip, 46.5)).toEqual({ code: "trim", by: near(46.5 - net - lost) });
  expect(verdictOf(strip, 45.5)).toEqual({ code: "stretch", by: near(net / (45.5 - lost) - 1) });
  expect(verdictOf(strip, 45)).toEqual({ code: "again", by: near(net + lost - 45) });
  expect(verdictOf(scale("m1.wall.netLength", "wall-closed"), 46.8)).toEqual({ code: "cut-out", by: near(46.8 - net) });
});

test("a closed wall is good within what its way of reading tells; a tape's scale is the same scale, a turn of the thickness further out", () => {
  const [net, low] = [value("m1.wall.netLength"), value("m1.wall.windowLow")];
  const found = asked.find(({ kind }) => kind === "wall-closed")!;
  const by = (how: HowRead) => scaleOf({ piece: tern, figures: contribution.figures, settled }, found, how)!;
  for (const [how, w] of [
    ["tape", 0.15],
    ["extents", 0.1],
    ["rounded", 0.06],
  ] as const) {
    expect(by(how)).toMatchObject({ low: near(low), near: near(net - w), high: near(net + w) });
    const read = (mm: number) =>
      sizePiece(tern, SHIPPED_BENCH, [{ figure: "m1.wall.netLength", value: net + mm, how }]).remedies.map(({ code }) => code);
    expect([read(-w - 0.001), read(-w + 0.001), read(w - 0.001), read(w + 0.001)]).toEqual([["wall.stretch"], [], [], ["wall.cut-out"]]);
  }
  const tape = scaleRead(by("tape"), lengthReading("tape", 0.32));
  expect(tape.wanted).toBeCloseTo(net + Math.PI * 0.32, 9);
  expect(verdictOf(tape, net + Math.PI * 0.32 + 1)).toEqual({ code: "cut-out", by: near(1) });
  expect(verdictOf(tape, low + Math.PI * 0.32 - 1).code).toBe("again");
});

test("a wall so small that its window lies within what a tape tells is good there, and never stretched and good at once", () => {
  const small: Piece = {
    ...tern,
    mounts: [{ ...tern.mounts[0]!, stone: { ...tern.mounts[0]!.stone, outline: { shape: "round", diameter: 1.5 } } }],
  };
  const sized = sizePiece(small, SHIPPED_BENCH);
  const found = asked.find(({ kind }) => kind === "wall-closed")!;
  const {
    low,
    near: from,
    wanted,
  } = scaleOf({ piece: small, figures: sized.contribution.figures, settled: sized.settled }, found, "tape")!;
  expect([low, from]).toEqual([near(wanted - 0.15), near(wanted - 0.15)]);
});

test("a stone as it was measured at the bench takes the place of the file's; each of its measures by its own field", () => {
  const read = (name: string, value: number) => ({ figure: `m1.stone.${name}`, value });
  const { piece } = sizePiece(tern, SHIPPED_BENCH, [
    read("outline.length", 16.2),
    read("outline.width", 11.9),
    read("turnIn", 2),
    read("height", 5.1),
  ]);
  const { stone } = piece.mounts[0]!;
  expect(stone).toMatchObject({ outline: { shape: "oval", length: 16.2, width: 11.9 }, turnIn: 2, height: 5.1 });
  const taped = sizePiece(tern, SHIPPED_BENCH, [read("measuredPerimeter", 44.6)]);
  expect(taped.contribution.figures["m1.outline.perimeter"]!.value).toBeCloseTo(44.6, 6);
  const flat: Piece = {
    ...tern,
    mounts: [{ ...tern.mounts[0]!, stone: { ...tern.mounts[0]!.stone, dome: "flat", height: 3, turnIn: 3 } }],
  };
  expect(sizePiece(flat, SHIPPED_BENCH, [read("height", 2.6)]).piece.mounts[0]!.stone).toMatchObject({ height: 2.6, turnIn: 2.6 });
});

test("a wall's height is good from what holds to a hair too tall; a blank and a hoop as far as a size stretches", () => {
  const holds = 1.9 + 0.6 * value("m1.wall.lip");
  const [tall, stands] = [scale("m1.wall.cutHeight", "strip-height"), scale("m1.wall.netHeight", "wall-height")];
  expect([tall.low, stands.low]).toEqual([near(holds + 0.2), near(holds)]);
  expect(verdictOf(stands, holds - 0.1)).toEqual({ code: "too-low", by: near(0.1) });
  expect(verdictOf(tall, 3.5)).toEqual({ code: "take-down", by: near(3.5 - value("m1.wall.cutHeight")) });
  const [blank, size] = [scale("hoop.cutLength", "blank"), scale("hoop.insideDiameter", "size")];
  expect(blank.wanted - blank.low).toBeCloseTo(Math.PI * 0.8128, 6);
  expect(blank.high - blank.wanted).toBeCloseTo(Math.PI * 0.05, 6);
  expect(verdictOf(size, value("hoop.insideDiameter") - 1)).toEqual({ code: "cut-in", by: near(Math.PI) });
  expect(verdictOf(size, value("hoop.insideDiameter") + 0.2)).toEqual({ code: "cut-out", by: near(0.2 * Math.PI) });
  expect(verdictOf(size, value("hoop.insideDiameter") - 0.3)).toEqual({ code: "stretch", by: near(0.3) });
});

test("whatever is read, a scale and what the plan says to do about it agree", () => {
  const told: Partial<Record<VerdictCode, string>> = { again: "wall.too-short", stretch: "wall.stretch", "cut-out": "wall.cut-out" };
  const closed = scale("m1.wall.netLength", "wall-closed");
  fc.assert(
    fc.property(fc.double({ min: 43, max: 48, noNaN: true }), (read) => {
      const { code, by } = verdictOf(closed, read);
      const { remedies } = sizePiece(tern, SHIPPED_BENCH, [{ figure: "m1.wall.netLength", value: read }]);
      expect(remedies.map((each) => [each.code, each.values.by])).toEqual(told[code] ? [[told[code], by]] : []);
    }),
    { numRuns: runs(60) },
  );
});
