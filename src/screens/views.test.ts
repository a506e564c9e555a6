import { demoPiece } from "@demo/pieces";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { planPiece } from "@/core/piece/plan-piece";
import { METRIC, type Units } from "@/words/show";
import { hoopView } from "./hoop/view";

import { stoneView } from "./stone/view";
import { wallView } from "./wall/view";

const INCH: Units = { length: "inch", temperature: "F" };
const tern = demoPiece("tern-ring");
const plan = (piece: Piece, bench: BenchEntry = SHIPPED_BENCH) => planPiece(piece, bench);

test("the Bezel stage says strip and height as they are cut, and the sum unrounded to a bench", () => {
  const view = wallView(plan(tern), tern.mounts[0]!, METRIC);
  expect(view).toMatchObject({
    stock: "strip",
    lands: "finished 45.53 × 2.96, shows 93% of the face",
    total: "46.07",
    gather: "gathers 6.7%",
    leansIn: "leans in at 1.90",
    stands: "bezel stands 2.96",
    third: "a third of the height, 1.73",
    thickness: "28 gauge",
    shelf: "3.20 mm on the shelf, nothing to trim",
    sawLine: "saw line, 1.0 mm outside",
    across: "16.0",
  });
  const knot = demoPiece("knot-ring");
  expect(wallView(plan(knot), knot.mounts[0]!, METRIC).third).toBe("a third of the height and the lift, 2.13");
  expect(view.sum.map(({ text, name }) => `${text} ${name}`)).toEqual([
    "44.21 outline",
    "1.32 bezel and fit",
    "0.44 squaring",
    "0.10 mark",
  ]);
  expect(wallView(plan(tern, { ...SHIPPED_BENCH, strips: [] }), tern.mounts[0]!, METRIC).shelf).toBeNull();
  const answers = (piece: Piece, units: Units = METRIC) => {
    const { answers, lands } = wallView(plan(piece), piece.mounts[0]!, units);
    return [...answers.map(({ lead, value, unit }) => `${lead} ${value} ${unit}`), lands].join("; ");
  };
  expect(answers(tern)).toBe("Cut strip 46.05 mm long; slit to 3.20 mm tall; finished 45.53 × 2.96, shows 93% of the face");
  expect(answers(tern, INCH)).toMatch(/^Cut strip 1\.813 in long; slit to 0\.125 in tall;/);
  expect(answers(demoPiece("knot-ring"))).toBe("Tube wanted 6.80 mm across; saw it 3.45 mm long; seat 2.35 mm deep; leaves 0.40 of wall");
  expect(answers(demoPiece("samphire-ring"))).toBe(
    "Cup wanted 10.10 mm inside; by 8.10 mm wide; file it to 2.35 mm tall; leaves 0.05 round it, thin by 0.15",
  );
  expect(view.schools.map(({ rule, holds }) => `${rule} ${holds}`)).toEqual(["turn-in true", "third false", "fixed true"]);
});

test("the Stone stage says what lies round it and how its dome is", () => {
  expect(stoneView(plan(tern), tern.mounts[0]!, METRIC)).toEqual({
    round: "44.21",
    leansIn: "1.90",
    tightest: "tightest radius 4.5 mm",
    long: "16.0",
    wide: "12.0",
    face: "151 mm²",
    dome: "round, a half ellipse",
  });
});

test("the Hoop stage converts into every system, and tells what a millimetre costs in the maker's own", () => {
  const view = hoopView(plan(tern), "m1", "eu", METRIC);
  expect(view).toMatchObject({
    cut: "59.1",
    seat: {
      figure: "flat",
      lead: "file the flat",
      text: "0.64",
      unit: "mm deep",
      words: ["flat 7.1 wide, 0.64 deep", "leaves 0.96 mm of the wire"],
      width: { field: "flatWidth", usual: "7.1" },
    },
    covers: "covers 67° of the finger",
    whatIfs: [
      "one more saw pass: EU 53.7, stretched back, 1.59 of 1.60 mm left",
      "hammered 1 mm longer: EU 55.0",
      "cut 1 mm short: EU 53.0, stretched back, 1.57 of 1.60 mm left",
    ],
    notes: ["cut long, wrapped and sawn through: 63.9 mm"],
    fibre: "0.68",
    total: "59.15",
    lost: "each millimetre lost costs 1.00 EU sizes",
  });
  expect(view.conversions.map(({ name, text }) => `${name} ${text}`)).toEqual([
    "US 6.84",
    "UK N 1/4",
    "EU 54.0",
    "Continental 14.0",
    "JP 13.6",
    "inside 17.19",
  ]);
  const lost = (system: Parameters<typeof hoopView>[2]) => hoopView(plan(tern), "m1", system, METRIC).lost;
  expect([lost("us"), lost("uk"), lost("jp"), lost("diameter"), lost("mandrel")]).toEqual([
    "each millimetre lost costs 0.39 US sizes",
    "each millimetre lost costs 0.80 UK sizes",
    "each millimetre lost costs 0.95 JP sizes",
    "each millimetre lost is 0.32 mm inside",
    "each millimetre lost costs 0.39 US sizes",
  ]);
  const saddle = hoopView(plan(demoPiece("plover-ring")), "m1", "us", METRIC);
  expect(saddle.seat).toMatchObject({ figure: "saddle", words: [expect.stringContaining("saddle"), "leaves 0.30 mm of the plate"] });
  const open = hoopView(plan(demoPiece("kelp-ring")), "m1", "eu", METRIC);
  expect(open.seat).toMatchObject({
    lead: "ends meet the plate at",
    text: "18.8",
    unit: "°",
    words: ["meets the plate at 18.8°", "file 71.2° off square; feet reach 5.1"],
    width: null,
  });
  expect([open.marks.foot, view.marks.foot]).toEqual(["foot, filed 71.2°", "foot"]);
  expect(open.whatIfs.map((each) => each.split(":")[0])).toEqual(["hammered 1 mm longer", "cut 1 mm short"]);
  const bridge = hoopView(plan(demoPiece("curlew-ring")), "m1", "eu", METRIC);
  expect([bridge.seat.words[0], bridge.also]).toEqual([
    "opening 8.7 mm",
    [{ figure: "bridge.blankLength", name: "Bridge's blank", lead: "bridge", text: "16.0" }],
  ]);
  const padded: Piece = {
    ...tern,
    carrier: { ...(tern.carrier as Extract<Piece["carrier"], { type: "hoop" }>), lengthRule: { multiplier: 3.15 } },
  };
  expect(hoopView(plan(padded), "m1", "eu", METRIC).sum.map(({ name }) => name)).toEqual([
    "round the fibre",
    "padding",
    "squaring",
    "saw",
    "mark",
  ]);
});
