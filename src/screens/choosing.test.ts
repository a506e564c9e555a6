import { demoMakes } from "@demo/makes";
import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { planPiece } from "@/core/piece/plan-piece";
import { type PieceRecord } from "@/store/repository";
import { type Choosing, type KnownMakes, chosenRecords, isToPutRight, standingOfPiece } from "./tray/choosing";
import { shareDone } from "./tray/rows";

const record = (id: string): PieceRecord => ({
  id,
  piece: demoPiece(id),
  revision: 1,
  changed: "2026-01-01T00:00:00.000Z",
  deleted: null,
  drafts: {},
  unmeasured: [],
});
const [tern, plover, limpet] = ["tern-ring", "plover-ring", "limpet-pendant"].map(record) as [PieceRecord, PieceRecord, PieceRecord];
const attemptOf = ({ piece }: PieceRecord) => ({ ok: true as const, plan: planPiece(piece, SHIPPED_BENCH) });
const ALL: Choosing = { filter: "all", sort: "changed", search: "" };
const finished = demoMakes().find(({ piece }) => piece === "tern-ring")!;
const first = attemptOf(limpet).plan.steps[0]!.id;
const begun: Make = { ...finished, id: "now", piece: "limpet-pendant", finished: null, done: [{ step: first, at: finished.started }] };
const makes: KnownMakes = { makes: { "tern-ring": [finished], "limpet-pendant": [begun] }, isWhole: true };
const shown = (choosing: Partial<Choosing>) =>
  chosenRecords([tern, plover, limpet], { ...ALL, ...choosing }, makes, attemptOf).map(({ id }) => id);

test("pieces are under way, made, or to make; one that was opened at the bench with nothing done is still to make", () => {
  expect([tern, plover, limpet].map(({ id }) => standingOfPiece(makes, id))).toEqual(["made", "to-make", "under-way"]);
  expect(standingOfPiece({ makes: { "tern-ring": [{ ...begun, done: [] }] }, isWhole: true }, "tern-ring")).toBe("to-make");
  expect(shown({ filter: "under-way" })).toEqual(["limpet-pendant"]);
  expect(shown({ filter: "to-make" })).toEqual(["plover-ring"]);
  expect(shown({ filter: "made" })).toEqual(["tern-ring"]);
});

test("while makes are still read, a piece without one is not said to be still to make", () => {
  const partly = { ...makes, isWhole: false };
  expect([tern, plover, limpet].map(({ id }) => standingOfPiece(partly, id))).toEqual(["made", null, "under-way"]);
  expect(chosenRecords([tern, plover], { ...ALL, filter: "to-make" }, partly, attemptOf)).toEqual([]);
});

test("what is to be put right has an error that rests on no guess, or no plan; what is not planned yet is not known", () => {
  expect(shown({ filter: "to-put-right" })).toEqual(["plover-ring"]);
  expect(isToPutRight({ ...plover, unmeasured: ["m1.stone.height", "m1.stone.turnIn"] }, attemptOf(plover))).toBe(false);
  expect(isToPutRight(tern, { ok: false, faults: [] })).toBe(true);
  expect(isToPutRight(tern, null)).toBeNull();
});

test("every word that is searched for has to be found, in name, stone or size", () => {
  expect(shown({ search: "moonstone us" })).toEqual(["plover-ring"]);
  expect(shown({ search: "  RING " })).toEqual(["tern-ring", "plover-ring"]);
  expect(shown({ search: "ring pear" })).toEqual([]);
});

test("those under way come first and the rest as they were changed; or all by name", () => {
  expect(shown({ sort: "under-way" })).toEqual(["limpet-pendant", "tern-ring", "plover-ring"]);
  expect(shown({ sort: "name" })).toEqual(["limpet-pendant", "plover-ring", "tern-ring"]);
});

test("a making is as far as its steps are done; none that is finished or has not begun", () => {
  const { plan } = attemptOf(limpet);
  expect(shareDone(begun, plan)).toBeCloseTo(1 / plan.steps.length, 9);
  expect(shareDone(finished, attemptOf(tern).plan)).toBeNull();
  expect(shareDone({ ...begun, done: [] }, plan)).toBeNull();
  expect(shareDone(undefined, plan)).toBeNull();
});
