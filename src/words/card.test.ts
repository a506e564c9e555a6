import { DEMO_PIECES, demoPiece } from "@demo/pieces";
import { runs } from "@/runs.testing";
import fc from "fast-check";
import { anyPiece } from "@/core/piece/any-piece.testing";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { doubter } from "@/core/piece/doubt";
import { type Piece } from "@/core/piece/piece";
import { planPiece } from "@/core/piece/plan-piece";
import { cardRows, cardSteps } from "./card";
import { findingText } from "./findings";
import { solderText } from "./heats";
import { namesIn } from "./names";
import { METRIC, showFigureValue } from "./show";
import { sayStep, stepText } from "./steps";
import { addingUp, percentsOf, sumParts, sumText } from "./sums";

const INCH = { length: "inch", temperature: "F" } as const;
const tern = demoPiece("tern-ring");
const plan = (piece: Piece) => planPiece(piece, SHIPPED_BENCH);
const said = (rows: ReturnType<typeof cardRows>) => rows.map(({ label, text }) => `${label}: ${text}`);

test("the card has every size with its sum, and each heat's solder with its place", () => {
  expect(said(cardRows(tern, plan(tern), METRIC))).toEqual([
    "Stone: chrysoprase, 16.00 × 12.00 mm, 44.21 perimeter, 5.20 tall, leans in at 1.90",
    "Cut strip: 46.05 mm long, slit to 3.20 mm tall; fine silver, 0.32 mm",
    "Finished: 45.53 × 2.96 mm, shows 93% of the face",
    "Plate: blank 18.7 × 14.7 × 0.60 mm, sterling; sawn to 16.7 × 12.7 mm, flush, 1.04 g",
    "Hoop: EU 54, inside 17.19 mm; closed, flat on top",
    "Cut blank: 59.1 mm of half-round 3.00 × 1.60 mm, sterling",
    "Seat: flat 0.64 mm deep",
    "Metal: 3.77 g: bezel 0.45 g, plate 1.04 g, hoop 2.28 g; fine silver 0.45 g, sterling 3.32 g",
  ]);
  expect(cardRows(tern, plan(tern), METRIC)[5]!.sum).toBe(
    "54.00 round the finger + 4.27 fibre + 0.50 squaring both ends + 0.28 saw through the seam + 0.10 mark = 59.15, cut at 59.1: a saw cuts no finer",
  );
  expect(cardRows({ ...tern, carrier: { type: "none" } }, plan({ ...tern, carrier: { type: "none" } }), METRIC)).toHaveLength(5);
  expect(plan(tern).heats.map((heat) => solderText(heat, plan(tern), METRIC))).toEqual([
    "1 pallion 0.7 × 0.7 mm under the seam, on charcoal",
    "2 pallions 1.0 × 1.0 mm across the seam, one every 1.5 mm",
    "7 pallions 1.0 × 1.0 mm inside, one every 6.5 mm",
    "4 pallions 1.0 × 1.0 mm along the seat, one every 1.8 mm",
  ]);
  const fused = plan({ ...tern, heats: { ...tern.heats, way: "fuse-first" } });
  expect(solderText(fused.heats[0]!, fused, METRIC)).toBe("no solder: fused");
  const knot = demoPiece("knot-ring");
  expect(said(cardRows(knot, plan(knot), METRIC)).slice(1, 3)).toEqual([
    "Tube: 6.90 × 3.45 mm, across and long; sterling, 0.40 mm",
    ": seat cut with a burr 6.10 mm across, 2.35 mm deep, 0.40 mm of wall left, a floor 0.55 mm wide",
  ]);
  const notched: Piece = {
    ...tern,
    mounts: [{ ...tern.mounts[0]!, wall: { ...tern.mounts[0]!.wall, source: "notched", notch: { pitch: 2 } } }],
  };
  expect(said(cardRows(notched, plan(notched), METRIC))[2]).toBe(": 23 teeth, every 1.98 mm, gaps 0.80 mm wide, 0.53 mm deep");
  const two = { ...tern, mounts: [tern.mounts[0]!, { ...tern.mounts[0]!, id: "m2", place: { along: 20 } }] };
  expect(cardRows(two, plan(two), METRIC).flatMap(({ label }) => /^(?:Stone|Seat).*/.exec(label) ?? [])).toEqual([
    "Stone 1",
    "Stone 2",
    "Seat 1",
    "Seat 2",
  ]);
  const both = plan(two);
  const told = [
    ...cardRows(two, both, METRIC).flatMap(({ label, text }) => [label, text]),
    ...both.steps.map((step) => stepText(step, both, METRIC)),
    ...both.findings.map((finding) => findingText(finding, both, METRIC)),
    ...both.joints.map(({ id }) => namesIn(both).joint(id)),
  ];
  expect(told.filter((text) => /\bm[12]\b/.test(text))).toEqual([]);
  expect(told.filter((text) => /\bstone 2\b/i.test(text)).length).toBeGreaterThan(20);
});

test("the making on a card has every step once, the steps of a heat in one line with all their cautions", () => {
  const dotterel = plan(demoPiece("dotterel-ring"));
  const lines = cardSteps(dotterel, METRIC);
  const range = (numbers: string) => {
    const [first, last = first] = numbers.split("–").map(Number) as [number, number?];
    return Array.from({ length: last - first + 1 }, (_, i) => first + i);
  };
  expect(lines.flatMap(({ numbers }) => range(numbers))).toEqual(dotterel.steps.map((_, i) => i + 1));
  for (const { numbers, title, cautions } of lines) {
    const steps = range(numbers).map((i) => dotterel.steps[i - 1]!);
    if (steps.length === 1) expect(title).toBe(sayStep(steps[0]!, dotterel, METRIC).title);
    else expect(title).toMatch(/^Solder /);
    expect(new Set(cautions)).toEqual(new Set(steps.flatMap((step) => step.cautions)));
  }
  expect(lines.filter(({ numbers }) => numbers.includes("–"))).toHaveLength(dotterel.heats.length);
});

test("what nobody measured is left blank on the card, and what rests on it: the size alone leaves the setting known", () => {
  const noSize = doubter({ unmeasured: ["hoop.size.value"], refused: [] });
  const rows = cardRows(tern, plan(tern), METRIC, noSize);
  expect(said(rows).slice(4)).toEqual([
    "Hoop: EU ______, inside ______ mm; closed, flat on top",
    "Cut blank: ______ mm of half-round 3.00 × 1.60 mm, sterling",
    "Seat: flat ______ deep",
    "Metal: ______",
  ]);
  expect(rows.map(({ doubt, sum }) => [doubt, sum !== undefined])).toEqual([
    [undefined, false],
    [undefined, true],
    [undefined, false],
    [undefined, false],
    ...Array.from({ length: 4 }, () => ["not measured yet", false]),
  ]);
  const steps = plan(tern).steps.map((step) => stepText(step, plan(tern), METRIC, noSize));
  expect(steps.filter((text) => text.includes("______")).map((text) => text.split(".")[0])).toEqual([
    "Cut the hoop's blank ______ mm long",
    "Round the hoop up and read its size: ______ mm inside",
    "File the flat on top, ______ mm deep at its middle, opposite the seam",
  ]);
  const noHeight = doubter({ unmeasured: [], refused: ["m1.stone.height"] });
  expect(said(cardRows(tern, plan(tern), METRIC, noHeight)).slice(0, 3)).toEqual([
    "Stone: chrysoprase, 16.00 × 12.00 mm, 44.21 perimeter, ______ tall, leans in at 1.90",
    "Cut strip: 46.05 mm long, slit to ______ mm tall; fine silver, 0.32 mm",
    "Finished: 45.53 × ______ mm, shows 93% of the face",
  ]);
  const doubts = cardRows(tern, plan(tern), METRIC, noHeight).map(({ doubt }) => doubt !== undefined);
  expect(doubts).toEqual([true, true, true, false, false, false, false, true]);
  const noLength = doubter({ unmeasured: ["m1.stone.outline.length"], refused: [] });
  expect(cardRows(tern, plan(tern), METRIC, noLength).map(({ doubt }) => doubt !== undefined)).toEqual([
    true,
    true,
    true,
    true,
    false,
    false,
    true,
    true,
  ]);
  const solder = plan(tern).heats.map((heat) => solderText(heat, plan(tern), METRIC, noHeight));
  expect([solder[0], solder[1]]).toEqual([
    "______ pallions under the seam, on charcoal, uses a refused entry",
    "2 pallions 1.0 × 1.0 mm across the seam, one every 1.5 mm",
  ]);
});

test("whatever the sum, in whatever unit, the terms add up as they are shown, each within a step of itself", () => {
  fc.assert(
    fc.property(anyPiece(), fc.constantFrom(METRIC, INCH), (piece, units) => {
      for (const figure of Object.values(plan(piece).figures)) {
        const values = figure.terms.map(({ value }) => value);
        const shown = addingUp(values, figure.unit, units);
        const number = (value: number) => Number(/-?[\d.]+/.exec(showFigureValue(value, figure.unit, units))![0]);
        const step = figure.unit === "mm2" || figure.unit === "deg" ? 0.1 : units.length === "inch" && figure.unit === "mm" ? 0.001 : 0.01;
        const total = shown.reduce((all, value) => all + number(value), 0);
        expect(Math.abs(total - number(figure.value))).toBeLessThan(0.4 * (figure.unit === "ratio" ? 0.1 : step));
        shown.forEach((each, i) =>
          expect(Math.abs(number(each) - number(values[i]!))).toBeLessThan(1.5 * (figure.unit === "ratio" ? 0.1 : step)),
        );
      }
    }),
    { numRuns: runs(60) },
  );
});

test("the odd hundredth goes to the term that lost most, and what is taken off is said as less", () => {
  expect(addingUp([1.004, 2.0042, 3.0035], "mm", METRIC).map((each) => each.toFixed(2))).toEqual(["1.00", "2.01", "3.00"]);
  expect(percentsOf([0.117, 0.278, 0.605])).toEqual(["12%", "28%", "60%"]);
  expect(addingUp([1.003, 2.004, 3.0045], "mm", METRIC).map((each) => each.toFixed(2))).toEqual(["1.00", "2.00", "3.01"]);
  const figure = {
    value: 54.6,
    unit: "mm",
    terms: [
      { label: "finger", value: 57.25, from: "stone" },
      { label: "saw", value: 0, from: "piece" },
      { label: "padding", value: -2.65, from: "piece" },
    ],
  } as const;
  expect(sumText(figure, METRIC)).toBe("57.25 round the finger - 2.65 padding = 54.60");
  expect(sumParts([{ name: "a", value: -1 }], "mm", METRIC)).toEqual([{ name: "a", text: "1.00", isLess: true }]);
});

test("what a piece hangs by, how it hangs and what it weighs stand on its card; of a pair what each weighs", () => {
  const rows = (id: string) => said(cardRows(demoPiece(id), plan(demoPiece(id)), METRIC));
  expect(rows("limpet-pendant").slice(-3)).toEqual([
    "Bail: folded of 18.0 mm, 3.40 at its widest, 1.20 at its feet, sheet 0.60; bore 3.20, drop 6.00 mm, chain's end 2.40; sterling",
    expect.stringMatching(/^Hangs: eye 1\.69 mm right of its top; tilts 1\d\.\d°$/),
    expect.stringMatching(/^Metal: \d\.\d\d g: bezel .* bail 0\.26 g; fine silver .*, sterling/),
  ]);
  expect(rows("dunlin-earrings").slice(-3, -1)).toEqual([
    "Hangs: eye 2.20 mm right of its top; hangs straight",
    "Second: mirrored; eye 2.20 mm left of its top, hangs straight; its seam on the other side",
  ]);
  expect(rows("whimbrel-ring").filter((each) => /^(Plate|Cut blank|Seat)/.test(each))).toEqual([
    "Plate: blank 19.2 × 19.2 × 0.70 mm, sterling; sawn to 17.0 × 17.0 mm, its own outline, domed 1.20, 1.68 g",
    ...Array<string>(4).fill("Plate: on the plate of another stone"),
    expect.stringMatching(/^Cut blank: 61\.6 mm of half-round 4\.00 × 1\.80 mm, sterling, texture: planished/),
    "Seat: saddle 0.40 mm deep",
  ]);
  expect(rows("dunlin-earrings").at(-1)).toMatch(/^Metal: \d\.\d\d g each, made twice, the second mirrored: /);
  expect(rows("kelp-ring").slice(-3, -1)).toEqual([
    ": slit 9.00 to each side, legs 1.56 wide, spread to 6.00 mm",
    "Seat: feet meet the plate at 18.8°, ends filed 71.2° off square",
  ]);
  expect(rows("redshank-ring").filter((each) => each.startsWith("Seat"))).toEqual([
    "Seat 1: flat 0.57 mm deep",
    "Seat 2: flat 0.41 mm deep",
  ]);
  const doubted = cardRows(
    demoPiece("limpet-pendant"),
    plan(demoPiece("limpet-pendant")),
    METRIC,
    doubter({ unmeasured: ["m1.stone.height"], refused: [] }),
  );
  expect(doubted.filter(({ doubt }) => doubt).map(({ label }) => label)).toEqual(expect.arrayContaining(["Hangs", "Metal"]));
});

test("the shown parts of a weight add up to the whole, in every demo piece", () => {
  for (const piece of DEMO_PIECES) {
    const { text } = cardRows(piece, plan(piece), METRIC).at(-1)!;
    const [whole, ...rest] = [...text.split(";")[0]!.matchAll(/(\d+\.\d\d) g/g)].map(([, grams]) => Math.round(Number(grams) * 100));
    expect(rest.reduce((all, each) => all + each, 0)).toBe(whole);
  }
});
