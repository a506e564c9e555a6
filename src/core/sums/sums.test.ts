import fc from "fast-check";
import { runs } from "@/runs.testing";
import { massOf } from "../metal/metals";
import { SHIPPED_BENCH } from "../piece/bench";
import { faultsOf } from "../piece/faults";
import { newPiece } from "../piece/new-piece";
import { type HoopEntry, type Piece } from "../piece/piece";
import { sizePiece } from "../piece/size-piece";
import { type AnswerCode, type QuickSum, SUM_KINDS } from "./sum";
import { SUMS, readSum } from "./sums";

const sumOf = (text: string, shown: "mm" | "inch" = "mm", bench = SHIPPED_BENCH): QuickSum => {
  const read = readSum(text, shown, bench);
  if (!read.ok) throw new Error(`"${text}" is not read; it began as ${read.began}`);
  return read.sum;
};
const answer = (sum: QuickSum, code: AnswerCode) => sum.answers.find((each) => each.code === code)!.figure.value;
const began = (text: string) => {
  const read = readSum(text, "mm", SHIPPED_BENCH);
  return read.ok ? "read" : read.began;
};

test.each<readonly [line: string, code: AnswerCode, value: number]>([
  ["18ga", "thickness", 0.127 * 92 ** (18 / 39)],
  ["28 gauge", "thickness", 0.127 * 92 ** (8 / 39)],
  ["1.02 mm", "gauge", 18],
  ["us 6 1/4", "inside", 16.71],
  ["UK N", "inside", (40 + 1.25 * 11) / Math.PI],
  ["JP 14", "inside", 17.33333],
  ["EU 54", "inside", 17.18873],
  ["continental 14", "inside", 17.18873],
  ["inside 17.3", "circumference", 54.3496],
  ["EU 54 less 1", "inside", 53 / Math.PI],
  ["EU 54 more 0,5", "inside", 54.5 / Math.PI],
  ["dome 20 rise 3", "disc", 2 * Math.hypot(10, 3)],
  ["ball 2.0 from 0.8", "snippet", 25 / 3],
  ["ball from 6 of 0.8", "ball", Math.cbrt(1.5 * 0.64 * 6)],
  ["ball 2 from 0.5 x 4", "snippet", (Math.PI * 8) / 12],
  ["oval 16 x 12", "perimeter", 44.20698],
  ["pear 16×11", "perimeter", 41.9308],
  ["marquise 20 x 9 in 0.4", "perimeter", 45.19839],
  ["4 pieces on 46", "every", 11.5],
  ["4 pieces of 1 on 46", "gap", 10.5],
  ["twist 0.6 for 60", "wire", 60 * Math.hypot(1, Math.PI / 6)],
  ["twist 0.6", "stands", 1.2],
  ["sheet 50 x 20 x 0.6 sterling", "mass", 6.216],
  ["wire 1.2 x 100 copper", "mass", Math.PI * 0.36 * 100 * 0.00896],
  ["wire 3 x 1.5 x 100", "mass", 450 * 0.01036],
])("%s: %s", (line, code, value) => expect(answer(sumOf(line), code)).toBeCloseTo(value, 4));

const stone = fc.double({ min: 3, max: 40, noNaN: true }).map((mm) => Number(mm.toFixed(3)));
const size = fc.integer({ min: 44, max: 70 });

test("a blank is the one that a piece with that hoop is cut", () =>
  fc.assert(
    fc.property(size, fc.constantFrom("flat", "half-round", "d", "oval"), stone, stone, (eu, section, a, b) => {
      const [width, thickness] = [Number((a / 4).toFixed(3)), Number((b / 12).toFixed(3))];
      const sum = sumOf(`eu ${eu} x ${width} x ${thickness} ${section}`);
      const piece = newPiece("p", "", SHIPPED_BENCH, { length: 10, width: 8, height: 4, turnIn: 1 });
      const stock = { section: section === "flat" ? "rectangle" : section, width, thickness, metal: "sterling" } as HoopEntry["stock"];
      const carrier = { type: "hoop", size: { system: "eu", value: String(eu) }, stock, form: "closed" } as const;
      const { figures } = sizePiece({ ...piece, carrier }, SHIPPED_BENCH).contribution;
      expect(answer(sum, "blank")).toBe(figures["hoop.cutLength"]!.value);
      expect(answer(sum, "net")).toBe(figures["hoop.netLength"]!.value);
    }),
    { numRuns: runs(100) },
  ));

test("a strip round a stone is the one that a piece with that stone is cut, with the maker's own losses", () =>
  fc.assert(
    fc.property(fc.constantFrom("oval", "round", "rectangle"), stone, stone, (shape, a, b) => {
      const [length, width] = [Math.max(a, b), Math.min(a, b)];
      const bench = { ...SHIPPED_BENCH, losses: { wall: { squaring: 0.6 } } };
      const sum = sumOf(shape === "round" ? `round ${length} in 0.4` : `${shape} ${length} x ${width} in 0.4`, "mm", bench);
      const piece = newPiece("p", "", bench, { length, width, height: 4, turnIn: 1 });
      const [mount] = piece.mounts as [Piece["mounts"][number]];
      const outlines = {
        oval: { shape: "oval", length, width },
        round: { shape: "round", diameter: length },
        rectangle: { shape: "rectangle", length, width, corner: 0 },
      } as const;
      const mounts = [{ ...mount, stone: { ...mount.stone, outline: outlines[shape] }, wall: { ...mount.wall, thickness: 0.4 } }];
      const { figures } = sizePiece({ ...piece, mounts, carrier: { type: "none" } }, bench).contribution;
      expect(answer(sum, "strip")).toBe(figures["m1.wall.cutLength"]!.value);
    }),
    { numRuns: runs(100) },
  ));

test("bare numbers are in the unit on screen, written ones in their own", () => {
  const inches = sumOf("sheet 2 x 1 x 20ga", "inch");
  expect(answer(inches, "mass")).toBeCloseTo(massOf("sterling", 50.8 * 25.4 * 0.8118), 3);
  expect(answer(sumOf("dome 20mm rise 3mm", "inch"), "disc")).toBeCloseTo(2 * Math.hypot(10, 3), 9);
  expect(answer(sumOf('oval 1/2" x 3/8in'), "perimeter")).toBeCloseTo(answer(sumOf("oval 12.7 x 9.525"), "perimeter"), 9);
});

test("what nobody said is told as taken, and what was said is not", () => {
  expect(sumOf("US 7 x 1.6").assumed).toEqual(["section", "width"]);
  expect(sumOf("US 7 x 1.6 flat").assumed).toEqual(["width"]);
  expect(sumOf("US 7 x 2 round").assumed).toEqual([]);
  expect([sumOf("oval 16 x 12"), sumOf("twist 0.6"), sumOf("sheet 5 x 5 x 1")].map(({ assumed }) => assumed)).toEqual([
    ["thickness"],
    ["length"],
    ["metal"],
  ]);
});

test("what begins as a sum and does not go on so says which; anything else is none", () => {
  expect(
    [
      "dome 20",
      "dome 20 rise 11",
      "oval 16",
      "round 8 x 9",
      "us",
      "eu 540",
      "US 7 x 1.6 half-round",
      "4 pieces of 20 on 46",
      "0 pieces on 9",
    ].map(began),
  ).toEqual(["dome", "dome", "round", "round", "size", "size", "blank", "spacing", "spacing"]);
  expect(["", "tern", "16", "sterling", "ballet", "a".repeat(5000)].map(began)).toEqual([null, null, null, null, null, null]);
});

test("nothing that is typed breaks it", () =>
  fc.assert(
    fc.property(fc.constantFrom(...SUM_KINDS), fc.string({ maxLength: 30 }), fc.nat(40), (code, text, at) => {
      const line = SUMS[code].line(Object.fromEntries(SUMS[code].fields.map(({ name, start }) => [name, String(start)])));
      const read = readSum(line.slice(0, at) + text + line.slice(at), "mm", SHIPPED_BENCH);
      if (read.ok) for (const { figure } of read.sum.answers) expect(Number.isFinite(figure.value)).toBe(true);
    }),
    { numRuns: runs(500) },
  ));

test.each(SUM_KINDS)(
  "the form of %s starts with a line of its kind, and begins a piece that can be planned where it begins one",
  (code) => {
    const { fields, line } = SUMS[code];
    const sum = sumOf(line(Object.fromEntries(fields.map(({ name, start }) => [name, String(start)]))));
    expect(sum.code).toBe(code);
    const begun = sum.begin?.("new", "New ring");
    if (!begun) return;
    expect(faultsOf(begun.piece, SHIPPED_BENCH)).toEqual([]);
    const { figures } = sizePiece(begun.piece, SHIPPED_BENCH).contribution;
    const told = { blank: "hoop.netLength", size: "hoop.insideDiameter", round: "m1.wall.cutLength", dome: "m1.plate.disc" } as const;
    const asked = { blank: "net", size: "inside", round: "strip", dome: "disc" } as const;
    const key = code as keyof typeof told;
    expect(figures[told[key]]!.value).toBeCloseTo(answer(sum, asked[key]), 9);
  },
);

test("along a rule lies an answer at its own length, or the length that was asked of with its pieces", () => {
  const along = (line: string) => SUMS[sumOf(line).code].along(sumOf(line));
  expect(along("EU 54")).toMatchObject({ length: expect.closeTo(54, 4) as number, answer: "circumference", height: null });
  expect(along("EU 54 less 1")).toMatchObject({ length: expect.closeTo(53, 4) as number, answer: "circumference" });
  expect(along("EU 54 x 4 x 1.8 half-round")).toMatchObject({ answer: "blank", height: 4 });
  expect(along("dome 20 rise 3")).toMatchObject({ length: expect.closeTo(2 * Math.hypot(10, 3), 9) as number, answer: "disc" });
  expect(along("18ga")).toMatchObject({ length: expect.closeTo(0.127 * 92 ** (18 / 39), 9) as number, answer: "thickness" });
  expect(along("sheet 50 x 20 x 0.6")).toEqual({ length: 50, answer: null, height: 20, pieces: [] });
  expect(along("wire 3 x 1.5 x 100")).toMatchObject({ length: 100, height: 1.5 });
  const pieces = (side: number | null) => [1, 3].map((share) => ({ at: 11.5 * share, side }));
  expect(along("2 pieces on 46")).toEqual({ length: 46, answer: null, height: null, pieces: pieces(null) });
  expect(along("2 pieces of 1 on 46").pieces).toEqual(pieces(1));
});
