import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { SURE, doubter } from "@/core/piece/doubt";
import { UNMEASURED, UNMEASURED_FIELDS, newPiece } from "@/core/piece/new-piece";
import { planPiece } from "@/core/piece/plan-piece";
import { doubtsOf } from "@/ui/doubt";
import { METRIC } from "@/words/show";
import { stagesOf, stemOf } from "./piece/stages";
import { rowOf, stoneAndSize } from "./tray/rows";

const piece = newPiece("a", "A", SHIPPED_BENCH, UNMEASURED);
const plan = planPiece(piece, SHIPPED_BENCH);
const unsure = (unmeasured: readonly string[], refused: readonly string[] = []) => doubter({ unmeasured, refused });
const stem = (doubtOf: ReturnType<typeof unsure>, done = 0) =>
  Object.fromEntries(
    stemOf(piece, { plan, isSettling: false }, "m1", METRIC, done, doubtOf).map(({ id, result, level, isDone }) => [
      id,
      { result, level, isDone },
    ]),
  );

test("a stage whose result is a guess says so with a ring; once it is measured it has its tick and its number", () => {
  const guessed = stem(unsure(UNMEASURED_FIELDS.ring));
  for (const stage of ["stone", "wall", "plate", "hoop"])
    expect(guessed[stage]).toEqual({ result: "not measured yet", level: null, isDone: false });
  expect(guessed.heats).toMatchObject({ result: "4 heats, all hold", isDone: true });
  const sized = stem(unsure(["hoop.size.value"]));
  expect(sized.hoop!.isDone).toBe(false);
  expect(sized.wall).toMatchObject({ result: expect.stringMatching(/^strip \d/) as string, isDone: true });
  const refused = stem(unsure([], ["m1.stone.height"]));
  expect([refused.stone!.result, refused.wall!.result, refused.plate!.isDone]).toEqual([
    "uses a refused entry",
    "uses a refused entry",
    true,
  ]);
  expect(stem(unsure([], ["heats.overshoot"])).heats).toMatchObject({ result: "uses a refused entry", isDone: false });
  expect(stem(SURE).stone).toEqual({ result: "14.0 × 10.0, 4.8 tall", level: null, isDone: true });
  expect([stem(SURE).making!.isDone, stem(SURE, plan.steps.length).making!.isDone]).toEqual([false, true]);
});

test("a row of the list leaves out what is guessed, and its marks count only what is known", () => {
  const row = (doubtOf: ReturnType<typeof unsure>) => rowOf(piece, { plan, isSettling: false }, undefined, METRIC, doubtOf);
  expect(row(unsure(UNMEASURED_FIELDS.ring))).toMatchObject({
    strip: ["—", "not measured yet"],
    plate: ["—", "not measured yet"],
    carrier: ["—", "not measured yet"],
    heats: ["4", "all hold"],
    next: "Planned",
  });
  expect(row(unsure(["hoop.size.value"]))).toMatchObject({ plate: [expect.stringMatching(/^\d/), "flush"] });
  expect(row(SURE)).toMatchObject({
    carrier: [expect.stringMatching(/^blank 59/), "closed, flat on top, half-round"],
  });
  expect([UNMEASURED_FIELDS.ring, ["hoop.size.value"], []].map((guessed) => stoneAndSize(piece, unsure(guessed)))).toEqual([
    "oval",
    "oval",
    "oval, EU 54.0",
  ]);
  expect(stoneAndSize(demoPiece("redshank-ring"), SURE)).toBe("garnet oval and 1 more, EU 53");
  const plover = demoPiece("plover-ring");
  const low = (doubtOf: ReturnType<typeof unsure>) =>
    rowOf(plover, { plan: planPiece(plover, SHIPPED_BENCH), isSettling: false }, undefined, METRIC, doubtOf).level;
  expect([low(SURE), low(unsure(["m1.stone.height"])), low(unsure(["hoop.size.value"]))]).toEqual(["error", null, "error"]);
});

test("a record's guesses and the entries it refused are its doubts; an entry that was taken is none", () => {
  const doubtOf = doubtsOf({
    piece: demoPiece("plover-ring"),
    unmeasured: ["hoop.size.value"],
    drafts: { "m1.stone.height": { text: "tall", problem: "is not a number" }, "m1.wall.thickness": { text: "0.4", problem: null } },
  });
  expect(["hoop.cutLength", "m1.wall.cutHeight", "m1.wall.cutLength", "m1.plate.length"].map(doubtOf)).toEqual([
    "unmeasured",
    "refused",
    null,
    null,
  ]);
});

test("every field that a new piece guesses is one of it, and a piece without a hoop or with a cup has no such stage", () => {
  for (const field of UNMEASURED_FIELDS.ring) {
    const path = field.replace(/^m1/, "mounts.0").replace(/^hoop/, "carrier").split(".");
    expect(path.reduce<unknown>((at, name) => (at as Record<string, unknown>)[name], piece)).toBeDefined();
  }
  expect(stagesOf({ ...piece, carrier: { type: "none" } }, "m1")).toEqual(["stone", "wall", "plate", "heats", "making"]);
  expect(stagesOf(demoPiece("samphire-ring"), "m1")).toEqual(["stone", "wall", "hoop", "heats", "making"]);
});

test("a new piece takes its sizes in the maker's own system, and in EU where that is their mandrel", () => {
  const size = (sizeSystem: "us" | "uk" | "mandrel") => newPiece("a", "A", { ...SHIPPED_BENCH, sizeSystem }, UNMEASURED).carrier;
  expect([size("us"), size("uk"), size("mandrel")]).toMatchObject([
    { size: { system: "us", value: "6.85" } },
    { size: { system: "uk", value: "N 1/4" } },
    { size: { system: "eu", value: "54.0" } },
  ]);
});
