import { produce } from "immer";
import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { planPiece } from "@/core/piece/plan-piece";
import { marksOf } from "./heats/joint-marks";
import { type Moved, addPin, freeJointId, leaveOut, movePins, pinTo, pinnedTo, putMeans } from "./heats/pins";

const tern = demoPiece("tern-ring");
const pinsOf = (piece: Piece) => piece.heats?.pins ?? [];
type Editing = Parameters<typeof addPin>[0];
const edited = (...edits: ((piece: Editing) => void)[]) =>
  pinsOf(edits.reduce<Piece>((piece, edit) => produce(piece, edit), { ...tern, heats: { pins: [] } }));

test("where solder goes is wished beside the grade; what is fused has no place, and what is cold no grade", () => {
  const both = [(piece: Editing) => pinTo(piece, "m1.foot", { grade: "easy" }), (piece: Editing) => putMeans(piece, "m1.foot", "wire")];
  expect(edited(...both)).toEqual([
    { joint: "m1.foot", grade: "easy" },
    { joint: "m1.foot", means: "wire" },
  ]);
  expect(edited(...both, (piece) => pinTo(piece, "m1.foot", { grade: "hard" }))).toEqual([
    { joint: "m1.foot", means: "wire" },
    { joint: "m1.foot", grade: "hard" },
  ]);
  expect(edited(...both, (piece) => pinTo(piece, "m1.foot", { means: "fuse" }))).toEqual([{ joint: "m1.foot", means: "fuse" }]);
  expect(edited(...both, (piece) => putMeans(piece, "m1.foot", "cold"))).toEqual([{ joint: "m1.foot", means: "cold" }]);
  expect(edited(...both, (piece) => putMeans(piece, "m1.foot", null))).toEqual([{ joint: "m1.foot", grade: "easy" }]);
  expect(pinnedTo([{ joint: "m1.foot", means: "wire" }], "m1.foot")).toBeNull();
});

test("a move sets the wishes between the joints moved and those moved to, in place of those it undoes", () => {
  const move = (moved: Moved) => (piece: Editing) => movePins(piece, moved);
  expect(edited(move({ joints: ["a", "b"], where: "before", others: ["c"] }))).toEqual([{ before: ["a", "c"] }, { before: ["b", "c"] }]);
  expect(
    edited(
      (piece) => addPin(piece, { together: ["c", "a"] }),
      (piece) => addPin(piece, { before: ["c", "a"] }),
      (piece) => addPin(piece, { before: ["c", "d"] }),
      move({ joints: ["c"], where: "after", others: ["a"] }),
    ),
  ).toEqual([{ before: ["c", "d"] }, { before: ["a", "c"] }]);
  expect(
    edited(move({ joints: ["a"], where: "before", others: ["b"] }), move({ joints: ["b"], where: "with", others: ["a", "c"] })),
  ).toEqual([{ together: ["b", "a"] }]);
});

test("leaving a joint out takes its other wishes with it, and takes one of the maker's own away", () => {
  expect(
    edited(
      (piece) => addPin(piece, { shield: "m1.foot" }),
      (piece) => addPin(piece, { before: ["m1.foot", "hoop.seam"] }),
      (piece) => addPin(piece, { forbid: ["hoop.seam", "easy"] }),
      (piece) => leaveOut(piece, "m1.foot"),
    ),
  ).toEqual([{ forbid: ["hoop.seam", "easy"] }, { leave: "m1.foot" }]);
  expect(
    edited(
      (piece) => addPin(piece, { add: { id: "own-1", parts: ["hoop"], length: 1 } }),
      (piece) => leaveOut(piece, "own-1"),
    ),
  ).toEqual([]);
  expect([freeJointId([]), freeJointId([{ id: "own-1" }, { id: "own-3" }])]).toEqual(["own-1", "own-2"]);
});

test("every joint of every kind of piece can be pointed at in the small drawing", () => {
  for (const id of ["tern-ring", "turnstone-ring", "limpet-pendant", "dunlin-earrings", "slate-ring", "curlew-ring"]) {
    const plan = planPiece(demoPiece(id), SHIPPED_BENCH);
    for (const joint of plan.joints) expect([id, joint.id, marksOf(plan, joint).length > 0]).toEqual([id, joint.id, true]);
  }
  const plan = planPiece(tern, SHIPPED_BENCH);
  const spot = (id: string) =>
    marksOf(
      plan,
      plan.joints.find((joint) => joint.id === id)!,
    )[0]!;
  expect(spot("hoop.seam").spot![1]).toBeLessThan(-8);
  expect(spot("hoop.mount.m1").spot![1]).toBeGreaterThan(8);
  expect(spot("m1.seam").view).toBe("above");
});
