import { EXAMPLES, examplePiece } from "@demo/examples";
import { DEMO_PIECES, demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { benchDifferences } from "@/core/piece/bench-differences";
import { type FaultCode, fault } from "@/core/piece/fault";
import { type FindingCode, type FindingValues, finding } from "@/core/measure/finding";
import { planPiece } from "@/core/piece/plan-piece";
import { benchName } from "./bench";
import { faultLine, faultMessage } from "./faults";
import { FIGURE_NAMES } from "./figures";
import { findingText, sayFinding } from "./findings";
import { pallionsText } from "./heats";
import { capital, counted, flameName, lengthRuleName } from "./names";
import { METRIC, showFigureValue } from "./show";
import { stageOf } from "./stages";
import { sayStep } from "./steps";
import { termText } from "./terms";

const planned = planPiece(demoPiece("tern-ring"), SHIPPED_BENCH);

test("every figure that can be looked for is in some plan, and none is named twice", () => {
  const examples = EXAMPLES.map((each) => examplePiece(each, "example", SHIPPED_BENCH));
  const keys = new Set([...DEMO_PIECES, ...examples].flatMap((piece) => Object.keys(planPiece(piece, SHIPPED_BENCH).figures)));
  const missing = FIGURE_NAMES.filter(({ key }) => !keys.has(key) && !keys.has(`m1.${key}`));
  expect(missing).toEqual([]);
  expect(new Set(FIGURE_NAMES.map(({ name }) => name)).size).toBe(FIGURE_NAMES.length);
});

test("every default in which benches can differ has a name", () => {
  const other = {
    ...SHIPPED_BENCH,
    losses: { wall: { squaring: 1, mark: 1, foot: 1, top: 1 }, hoop: { squaring: 1, mark: 1, sawPasses: 2, kerf: 1 } },
    seatOf: { fit: 1, catch: 1 },
    overshoot: 1,
    way: "step-down" as const,
    wideBand: [],
    mandrel: [{ label: "54", diameter: 17.2 }],
    strips: [],
    shelves: [{ id: "mine", grades: [{ id: "hard", rank: 1, gives: 740, runs: 787 }] }],
  };
  const keys = benchDifferences(other, SHIPPED_BENCH).map(({ key }) => key);
  expect(keys).toHaveLength(16);
  for (const key of keys) expect(benchName(key)).not.toBe(key);
});

test("a fault names its path, what would be right and what was found, cut short and printable", () => {
  expect(faultLine(fault("/a", "above", { limit: 0, got: -3 }))).toBe("/a: must be more than 0, got -3");
  expect(faultLine(fault("", "not-json"))).toBe("/: is not JSON");
  expect(faultLine(fault("/carrier/form", "not-planned", { got: "open" }))).toBe("not planned yet: /carrier/form open");
  expect(faultMessage(fault("/a", "not-an-id", { got: "x".repeat(100) }))).toMatch(/, got x{60}…$/);
  expect(faultMessage(fault("/a", "not-an-id", { got: "x".repeat(60) }))).toMatch(/, got x{60}$/);
  expect(faultMessage(fault("/a", "reserved", { got: "\u001b[1mhoop" }))).toBe(
    "must not be hoop, bail, hang, bridge, applied or piece, got [1mhoop",
  );
  const codes: FaultCode[] = ["no-mandrel", "off-mandrel", "no-finger", "duplicate", "too-deep", "whole-number", "gives-above-runs"];
  for (const code of codes)
    expect(faultMessage(fault("/a", code, { limit: 1, runs: 2, smallest: 10, largest: 30 }))).not.toMatch(/undefined/);
});

test("a finding whose values are misspelt, missing or of another kind does not compile", () => {
  // @ts-expect-error it is called off
  finding("stone.tape-off", "note", "m1.stone", { of: 0.1 });
  // @ts-expect-error the other is missing
  finding("applied.overlap", "note", "disc", { over: 0.1 });
  // @ts-expect-error a length is a number
  expect(finding("wall.teeth-deep", "note", "m1.wall", { depth: "2", lip: 1 }).values).toEqual({ depth: "2", lip: 1 });
});

test("a finding says what is wrong and by how much, then what to do", () => {
  const say = <C extends FindingCode>(code: C, values: FindingValues[C]) =>
    sayFinding(finding(code, "warning", "m1.wall", values), planned, METRIC);
  expect(say("stone.tape-off", { off: -0.031 }).what).toBe("The tape reads 3.1% less than the measures give.");
  expect(say("wall.point", { strain: 0.1, points: 1 }).what).toBe("The bezel goes round a point.");
  expect(say("wall.point", { strain: 0.25, points: 0 }).what).toBe("The top gathers 25.0% at its tightest.");
  expect(say("heats.impossible", { clash: "", way: "free" }).what).toMatch(/without melting one/);
  expect(
    findingText(
      finding("heats.runs", "error", "m1.foot", {
        joint: "m1.foot",
        seam: "none",
        heat: 4,
        making: "hoop.mount.m1",
        grade: "medium",
        gradeMeans: "solder",
        working: 748,
      }),
      planned,
      METRIC,
    ),
  ).toBe(
    "Bezel to plate runs again as hoop to plate is made. That heat (medium) reaches 748 °C. Shield that joint, or use a softer grade for it.",
  );
});

test("small words", () => {
  expect([
    counted(1, "piece"),
    counted(2, "piece"),
    capital("wall"),
    flameName({ means: "solder", grade: "extra-easy" }),
    flameName({ means: "fuse", grade: "fuse" }),
  ]).toEqual(["1 piece", "2 pieces", "Wall", "extra easy", "fused"]);
  expect([lengthRuleName("fibre"), lengthRuleName("thickness"), lengthRuleName({ multiplier: 3.15 })]).toEqual([
    "fibre",
    "half thickness",
    "times 3.15",
  ]);
  expect(pallionsText({ form: "sheet", count: 7, size: [1, 1, 0.25], spacing: 6.504, rows: 1, evenGap: 3 }, "inside", METRIC)).toBe(
    "7 pallions 1.0 × 1.0 mm inside, one every 6.5 mm",
  );
  expect([
    showFigureValue(1.5, "mm2", METRIC),
    showFigureValue(0.068, "ratio", METRIC),
    showFigureValue(2, "g", METRIC),
    showFigureValue(18.5, "deg", METRIC),
    showFigureValue(7, "count", METRIC),
  ]).toEqual(["1.5 mm²", "6.8%", "2.00 g", "18.5°", "7"]);
  expect([
    stageOf({ code: "wall.too-low", mount: "m1" }, "m1"),
    stageOf({ code: "wall.too-low", mount: "m2" }, "m1"),
    stageOf({ code: "heats.runs", mount: null }, "m1"),
    stageOf({ code: "hoop.wide-band", mount: null }, "m1"),
  ]).toEqual(["wall", null, "heats", "hoop"]);
  expect(termText({ label: "mark", value: 0.1, from: "bench" })).toBe("mark");
  expect(termText({ label: "formula", value: 1, from: "formula", note: "density" })).toBe("volume times density");
});

test("a step that aims at a figure that is not there is our own mistake, and says so", () => {
  const step = planned.steps.find(({ target }) => target !== null)!;
  expect(() => sayStep(step, { ...planned, figures: {} }, METRIC)).toThrow(/aims at .* which is not there/);
});
