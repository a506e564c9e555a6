import { demoMakes } from "@demo/makes";
import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { learnedFrom } from "@/core/piece/ledger";
import { type Make } from "@/core/piece/make";
import { planPiece } from "@/core/piece/plan-piece";
import { sizePiece } from "@/core/piece/size-piece";
import { readingOf, standIn } from "@/ui/instruments";
import { METRIC } from "@/words/show";
import { changesBetween } from "./at-bench/changes";
import { leftText, outOf, waitingIn } from "./at-bench/timers";
import { type Asked, askedFor, entryOf } from "./ledger/entries";
import { nextCut, withMine } from "./ledger/next-cut";

const tern = demoPiece("tern-ring");
const plan = planPiece(tern, SHIPPED_BENCH);
const makes = demoMakes();
const entries = makes.map(entryOf);
const learned = learnedFrom(makes);
const hoops = learned.find(({ kind, method }) => kind === "hoop.length" && method === "file")!;

test("what a step leaves waiting is timed from when it was done, what went in together once, until it is taken out", () => {
  const at = (seconds: number) => new Date(Date.UTC(2026, 0, 1, 9, 0, seconds)).toISOString();
  const make = (done: Make["done"]) => ({ ...makes[0]!, done });
  const pickled = [
    { step: "m1.seam.pickle", at: at(0) },
    { step: "hoop.seam.pickle", at: at(30) },
    { step: "m1.foot.pickle", at: at(600) },
    { step: "m1.set.surface", at: at(700) },
    { step: "hoop.cut", at: at(800) },
  ];
  const waits = waitingIn(make(pickled), plan.steps, SHIPPED_BENCH);
  expect(waits.map(({ isUsual }) => isUsual)).toEqual([true, true, true]);
  expect(waits.map(({ steps, since, until }) => [steps.map(({ id }) => id), (until - since) / 60_000])).toEqual([
    [["m1.seam.pickle", "hoop.seam.pickle"], 8.5],
    [["m1.set.surface"], 5],
    [["m1.foot.pickle"], 8],
  ]);
  const out = [...pickled, { step: outOf("m1.foot.pickle"), at: at(900) }, { step: outOf("m1.set.surface"), at: "" }];
  expect(waitingIn(make(out), plan.steps, SHIPPED_BENCH)).toHaveLength(1);
  const again = [...pickled.slice(0, 1), { step: outOf("m1.seam.pickle"), at: at(-60) }];
  expect(waitingIn(make(again), plan.steps, SHIPPED_BENCH)).toHaveLength(1);
  expect(waitingIn(make([{ step: "m1.seam.pickle", at: "" }]), plan.steps, SHIPPED_BENCH)).toEqual([]);
  const mine = { ...SHIPPED_BENCH, minutes: { "join.pickle": { hands: 1, wait: 3 } } };
  expect(waitingIn(make(pickled.slice(0, 1)), plan.steps, mine)[0]).toMatchObject({ until: Date.parse(at(180)), isUsual: false });
  expect([leftText(250_000), leftText(59_001), leftText(-5)]).toEqual(["4:10", "1:00", "0:00"]);
});

test("what is different in an edited piece is told of the steps that are still to be done", () => {
  const [mount] = tern.mounts;
  const thicker = planPiece({ ...tern, mounts: [{ ...mount!, wall: { ...mount!.wall, thickness: 0.4 } }] }, SHIPPED_BENCH);
  const ids = (done: readonly string[]) => changesBetween(plan, thicker, new Set(done), METRIC).map(({ id }) => id);
  expect(ids([])).toEqual(expect.arrayContaining(["m1.wall.cut", "m1.wall.wrap", "m1.plate.cut"]));
  expect(ids(["m1.wall.cut"])).not.toContain("m1.wall.cut");
  expect(changesBetween(plan, plan, new Set(), METRIC)).toEqual([]);
  const without = { ...plan, steps: plan.steps.slice(1) };
  expect(changesBetween(plan, without, new Set(), METRIC)).toEqual([
    { id: "m1.stone.look", before: "Look the stone over, edge and back", after: null },
  ]);
});

test("the ledger's lines are found in names, stones and notes, kept by kind, metal and stone, and ordered, what is not measured last", () => {
  const all: Asked = { search: "", kind: null, metal: null, stone: null, sort: "date", isDown: true };
  const found = (asked: Partial<Asked>) => askedFor(entries, { ...all, ...asked }).map(({ make }) => make.id);
  expect(found({})[0]).toBe("kelp-ring-20261121");
  expect(found({ isDown: false })[0]).toBe("limpet-ring-20251203");
  expect(found({ search: "SLATE corners" })).toEqual(["slate-ring-20260812"]);
  expect(found({ search: "rhodonite" })).toEqual(["thrift-ring-20260915", "limpet-pendant-20260428", "thrift-ring-20260216"]);
  expect(found({ kind: "earrings" })).toEqual(["dunlin-earrings-20260414"]);
  expect(found({ metal: "sterling", stone: "labradorite" })).toEqual(["kelp-ring-20261121"]);
  expect(found({ sort: "hoop" })[0]).toBe("thrift-ring-20260216");
  expect(found({ sort: "hoop" }).slice(-3)).toEqual(expect.arrayContaining(["dunlin-earrings-20260414", "kelp-ring-20261121"]));
  expect(found({ sort: "hoop", isDown: false }).slice(-3)).toEqual(expect.arrayContaining(["kelp-ring-20261121"]));
  expect(found({ sort: "name", isDown: false })[0]).toBe("cockle-ring-20260526");
  expect(entryOf(makes[2]!)).toMatchObject({
    wanted: "EU 54",
    reached: "52.6",
    minutes: 287,
    metals: ["fine silver", "sterling"],
    stones: ["chrysoprase"],
  });
  const { result: _none, ...plain } = makes[2]!;
  expect(entryOf(plain as Make).reached).toBe("52.6");
});

test("what is cut next is cut by the figure used now and by the maker's own, and lands where the maker's own loss leaves it", () => {
  const next = nextCut([demoPiece("kelp-ring"), tern], SHIPPED_BENCH, hoops)!;
  expect(next.piece.id).toBe("tern-ring");
  const net = sizePiece(tern, SHIPPED_BENCH).contribution.figures["hoop.netLength"]!.value;
  expect(next.net).toBeCloseTo(net, 9);
  expect(next.mine.length).toBeCloseTo(net + hoops.estimate, 9);
  expect(next.now.lands).toBeCloseTo(net + 0.88 - hoops.estimate, 9);
  expect([next.mine.size, next.now.size]).toEqual(["EU 54.0", `EU ${(54 + 0.88 - hoops.estimate).toFixed(1)}`]);
  const bench = withMine({ ...SHIPPED_BENCH, allowances: [{ kind: "hoop.length", method: "saw", value: 9 }] }, hoops);
  expect(bench.allowances).toEqual([
    { kind: "hoop.length", method: "file", value: hoops.estimate, spread: hoops.spread, count: hoops.kept.length },
    { kind: "hoop.length", method: "saw", value: 9 },
  ]);
  expect(withMine(bench, hoops).allowances).toEqual(bench.allowances);
  expect(nextCut([], SHIPPED_BENCH, hoops)).toBeNull();
});

test("a stand-in says that it is one, reads the same metal the same, and other metal about as far off as its scatter", () => {
  const metal = { wanted: 46.05, scatter: 0.12, step: 0.01, seed: "a" };
  const caliper = standIn("caliper", "Caliper", metal);
  const heard: number[] = [];
  const stop = caliper.onReading((value) => heard.push(value));
  caliper.press();
  caliper.press();
  stop();
  caliper.press();
  expect(caliper.isStandIn).toBe(true);
  expect(heard).toEqual([heard[0], heard[0]]);
  expect(heard[0]! * 100).toBeCloseTo(Math.round(heard[0]! * 100), 6);
  const off = Array.from({ length: 400 }, (_, i) => readingOf({ ...metal, seed: `s${i}` }) - metal.wanted);
  const mean = off.reduce((all, each) => all + each, 0) / off.length;
  const spread = Math.sqrt(off.reduce((all, each) => all + (each - mean) ** 2, 0) / off.length);
  expect(Math.abs(mean)).toBeLessThan(0.03);
  expect(spread).toBeGreaterThan(0.1);
  expect(spread).toBeLessThan(0.14);
});
