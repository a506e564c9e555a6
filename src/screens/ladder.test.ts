import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Mount, type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { planPiece } from "@/core/piece/plan-piece";
import { gradesUnder, ladderOf, letterOf, tagsUnder } from "./heats/ladder";

const tern = demoPiece("tern-ring");
const plan = (heats: NonNullable<Piece["heats"]>) => planPiece({ ...tern, heats }, SHIPPED_BENCH);

test("the ladder shows from well under the coolest band to over the hottest heat, in whole tens", () => {
  const ladder = ladderOf(plan({}));
  expect(ladder.range).toEqual([640, 840]);
  expect(ladder.grades.map(({ id, gives, runs }) => `${id} ${gives} ${runs}`)).toEqual(["hard 780 787", "medium 730 738", "easy 711 718"]);
  const soft = ladderOf(plan({ pins: [{ joint: "hoop.mount.m1", grade: "extra-easy" }] }));
  expect(soft.range[0]).toBe(590);
  const cool = ladderOf(plan({ overshoot: 0 }));
  expect(cool.range[1]).toBe(830);
});

test("a fused joint has a band where its metal melts, and no grade beside it", () => {
  const ladder = ladderOf(plan({ pins: [{ joint: "m1.seam", means: "fuse" }] }));
  const band = ladder.bands.find(({ joint }) => joint === "m1.seam")!;
  expect([band.gives, band.runs]).toEqual([962, 962]);
  expect(ladder.range[1]).toBe(1000);
  expect(ladder.grades.map(({ id }) => id)).not.toContain("fuse");
  expect(ladder.melting.every(({ isBeyond }) => !isBeyond)).toBe(true);
});

test("a joint that runs again, or softens, is marked at the heat that does it", () => {
  const runs = ladderOf(plan({ way: "one-grade", pins: [{ joint: "m1.seam", grade: "easy" }] }));
  expect(runs.disturbed.map(({ heat, what, band }) => `${heat} ${what} ${band.joint}`)).toEqual(
    expect.arrayContaining([expect.stringMatching(/ runs m1\.seam$/)]),
  );
  for (const { heat, band } of runs.disturbed) {
    const made = runs.bands.find(({ joint }) => joint === band.joint)!.stretches[0]!.from;
    expect(heat).toBeGreaterThan(made);
  }
});

test("joints have letters in the order of the plan, past z with a number", () => {
  const mounts = Array.from({ length: 12 }, (_, i): Mount => ({ ...tern.mounts[0]!, id: `m${i + 1}`, place: { along: i } }));
  const joints = mounts.flatMap(({ id }) => [`${id}.seam`, `${id}.foot`, `hoop.mount.${id}`]).map((id) => ({ id }));
  const many = { joints } as unknown as Plan;
  expect(["m1.seam", "m1.foot", "m9.foot", "m9.seam", "hoop.mount.m9"].map((id) => letterOf(many, id))).toEqual(["a", "b", "z", "y", "a1"]);
});

test("where heats stand close each run of a grade is named once, in a second row where it would cover the one before", () => {
  const names = ["hard", "hard", "medium", "easy", "extra easy", "hard"];
  expect(gradesUnder(names, 60)).toEqual([
    { heat: 0, text: "hard", row: 0 },
    { heat: 2, text: "medium", row: 0 },
    { heat: 3, text: "easy", row: 0 },
    { heat: 4, text: "extra easy", row: 0 },
    { heat: 5, text: "hard", row: 0 },
  ]);
  expect(gradesUnder(names, 40).map(({ row }) => row)).toEqual([0, 0, 0, 1, 0]);
  expect(gradesUnder(names, 20).map(({ text, row }) => `${text} ${row}`)).toEqual(["hard 0", "medium 0", "easy 1", "hard 0"]);
});

test("letters stand under their heats, in the middle, and in rows where they do not fit side by side", () => {
  const heats = [{ joints: ["a"] }, { joints: ["b", "c", "d"] }];
  const told = (room: number) => tagsUnder(heats, room, 17).map(({ joint, heat, row, aside }) => `${joint} ${heat} ${row} ${aside}`);
  expect(told(60)).toEqual(["a 0 0 0", "b 1 0 -17", "c 1 0 0", "d 1 0 17"]);
  expect(told(40)).toEqual(["a 0 0 0", "b 1 0 -8.5", "c 1 0 8.5", "d 1 1 0"]);
  expect(told(10)).toEqual(["a 0 0 0", "b 1 0 0", "c 1 1 0", "d 1 2 0"]);
});
