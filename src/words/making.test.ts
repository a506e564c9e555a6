import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { mishapsAt } from "@/core/piece/mishaps";
import { planPiece } from "@/core/piece/plan-piece";
import { type VerdictCode } from "@/core/piece/reading-scales";
import { clockText, dayParts, dayText, fullDayText } from "./dates";
import { giveOrTake } from "./hoop-size";
import { mishapName, readText, readingWithUnit, sayMishap, sayVerdict } from "./making";
import { namesIn } from "./names";
import { METRIC } from "./show";

const tern = demoPiece("tern-ring");
const asked = (kind: Parameters<typeof sayVerdict>[0]["kind"]) => ({ figure: "f", kind, mount: "m1" });
const said = (kind: Parameters<typeof sayVerdict>[0]["kind"], code: VerdictCode, by: number) => {
  const { what, advice } = sayVerdict(asked(kind), { code, by }, 45.53, 45.2, METRIC);
  return `${what} ${advice}`.trim();
};

test("what a reading means is said in a word and what to do", () => {
  expect([
    said("wall-closed", "good", 0),
    said("wall-closed", "stretch", 0.0073),
    said("blank", "stretch", 0.3),
    said("size", "stretch", 0.3),
    said("strip", "again", 0.9),
    said("wall-height", "too-low", 0.2),
    said("size", "cut-in", 3.1),
    said("strip", "trim", 0.4),
    said("wall-closed", "cut-out", 1.3),
    said("wall-height", "take-down", 0.25),
  ]).toEqual([
    "Good.",
    "Stretch 0.7%. 0.33 mm short: anneal it and stretch it on the mandrel.",
    "Small by 0.30 mm. It can be stretched up once it is closed.",
    "Small by 0.30 mm. Anneal and stretch it up.",
    "Start again. 0.90 mm too small: it cannot come to size.",
    "Too low by 0.20 mm. It would not hold the stone.",
    "Cut a piece in, 3.10 mm. Too far to stretch.",
    "Trim 0.40 mm.",
    "Cut out 1.30 mm at the seam. Then close it again.",
    "Take down 0.25 mm.",
  ]);
});

test("every mishap of the workshop's pieces is said whole, with numbers of the piece and what pressing it does", () => {
  const pins = (["wire", "paste", "sweat"] as const).map((means, i) => ({ joint: ["m1.foot", "m1.seam", "hoop.mount.m1"][i]!, means }));
  const pieces = ["tern-ring", "turnstone-ring", "samphire-ring", "whelk-ring"].map(demoPiece);
  const all = [...pieces, { ...pieces[0]!, heats: { pins } }].flatMap((piece) => {
    const plan = planPiece(piece, SHIPPED_BENCH);
    const names = namesIn(plan);
    return plan.steps.flatMap((step) => mishapsAt(piece, plan, step).map((mishap) => ({ mishap, said: sayMishap(mishap, names, METRIC) })));
  });
  for (const { mishap, said: each } of all) {
    expect(`${each.what} ${each.advice} ${each.take ?? ""}`).not.toMatch(/undefined|NaN|null|\s{2}/);
    expect(each.take === null).toBe(mishap.act === null);
  }
  const of = (code: string) => all.find(({ mishap }) => mishap.code === code)!.said;
  expect(of("hoop.small")).toEqual({
    what: "The ring is small",
    advice: "Round it up and stretch it, by one size at most; beyond that, cut in 3.14 times what is missing of its diameter.",
    take: "Cut a piece in and redo the seam",
  });
  expect([of("solder.flooded").what, of("paste.pitted").take, of("part.slid").what]).toEqual([
    "The solder flooded past the joint",
    "Run it again",
    "The part slid as it sank",
  ]);
  expect(of("joint.opened").advice).toMatch(/^Prop it, clean it, and run .+ again with hard at 797 °C; then use medium for this joint\.$/);
  expect([mishapName("wall.low"), mishapName("of another program")]).toEqual(["The bezel is too low", "of another program"]);
});

test("a size says how far the maker's own losses spread, in its own system, and nothing where they are not used", () => {
  const bench = { ...SHIPPED_BENCH, allowances: [{ kind: "hoop.length", method: "", value: 1.6, spread: 0.4, count: 9 }] };
  const give = (id: string) => giveOrTake(planPiece(demoPiece(id), bench));
  expect([give("tern-ring"), give("plover-ring"), give("whelk-ring"), give("limpet-pendant")]).toEqual([
    ", give or take 0.4",
    ", give or take 0.16",
    ", give or take 0.3",
    "",
  ]);
  expect(giveOrTake(planPiece(tern, SHIPPED_BENCH))).toBe("");
  const alone = { ...bench, allowances: [{ kind: "hoop.length", method: "", value: 1.6 }] };
  expect(giveOrTake(planPiece(tern, alone))).toBe("");
});

test("a time is told as a day and a clock, and a text that is none as nothing", () => {
  const at = new Date(2026, 10, 21, 9, 52).toISOString();
  expect([dayText(at), fullDayText(at), clockText(at), clockText(at, 12), dayParts(at)]).toEqual([
    "21 Nov",
    "21 November 2026",
    "09:52",
    "9:52 am",
    { year: "2026", month: "Nov", day: "21" },
  ]);
  expect([dayText("soon"), clockText(""), dayParts("x")]).toEqual(["", "", { year: "", month: "", day: "–" }]);
});

test("a reading is told with its own unit, how it was read, and whether it counts", () => {
  const inches = { ...METRIC, length: "inch" } as const;
  expect(readingWithUnit({ figure: "piece.mass", value: 3.834 }, inches)).toBe("3.83 g");
  expect([METRIC, inches].map((units) => readingWithUnit({ figure: "hoop.cutLength", value: 59.1 }, units))).toEqual([
    "59.10 mm",
    "2.327 in",
  ]);
  const read = { figure: "m1.wall.netLength", value: 45.2, at: "", by: "caliper" } as const;
  expect(readText({ ...read, how: "extents", extents: [16.64, 12.63], madeUp: true }, METRIC)).toBe(
    "by two outside sizes, 16.64 by 12.63 mm, made up by the stand-in",
  );
  expect(readText({ ...read, method: "file", scrapped: "m1.wall" }, METRIC)).toBe(
    "by the caliper, file, of the part before it was made anew",
  );
});
