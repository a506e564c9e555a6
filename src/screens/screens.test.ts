import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { SURE } from "@/core/piece/doubt";
import { planPiece } from "@/core/piece/plan-piece";
import { namesIn } from "@/words/names";
import { pinText } from "@/words/pins";
import { METRIC } from "@/words/show";
import { ladderOf } from "./heats/ladder";
import { addPin, optionOf, pinTo, pinnedTo, removePin } from "./heats/pins";
import { stemOf } from "./piece/stages";
import { rowOf } from "./tray/rows";
import { produce } from "immer";

const [tern, whelk, plover] = ["tern-ring", "whelk-ring", "plover-ring"].map(demoPiece) as [Piece, Piece, Piece];

test("on the ladder a joint's band is broken where it lies in another body, and goes on to the end of its own", () => {
  const ladder = ladderOf(planPiece(tern, SHIPPED_BENCH));
  const stretches = (joint: string) => ladder.bands.find((band) => band.joint === joint)!.stretches;
  expect(stretches("m1.seam")).toEqual([
    { from: 0, to: 0.42 },
    { from: 1.76, to: 3.5 },
  ]);
  expect(stretches("hoop.seam")).toEqual([
    { from: 1, to: 1.42 },
    { from: 2.76, to: 3.5 },
  ]);
  expect(stretches("m1.foot")).toEqual([{ from: 2, to: 3.5 }]);
  expect(ladder.melting).toEqual([
    { metal: "sterling", at: 802, isBeyond: false },
    { metal: "fine-silver", at: 962, isBeyond: true },
  ]);
  expect(ladder.disturbed).toEqual([]);
  expect(ladderOf(planPiece(whelk, SHIPPED_BENCH)).disturbed).toMatchObject([
    { heat: 3, what: "softens", band: { joint: "m1.foot", letter: "b" } },
  ]);
});

test("pins are put, said, replaced and taken away", () => {
  const pinned = produce(tern, (piece) => {
    pinTo(piece, "m1.foot", { grade: "easy" });
    pinTo(piece, "m1.foot", { grade: "hard" });
    pinTo(piece, "m1.seam", { means: "fuse" });
    addPin(piece, { shield: "m1.seam" });
    addPin(piece, { shield: "m1.seam" });
    addPin(piece, { before: ["hoop.seam", "m1.seam"] });
  });
  const pins = pinned.heats!.pins!;
  expect(pins.map((pin) => pinText(pin, namesIn(planPiece(pinned, SHIPPED_BENCH))))).toEqual([
    "bezel to plate: hard",
    "bezel seam: fused",
    "bezel seam shielded",
    "hoop seam before bezel seam",
  ]);
  expect(["m1.foot", "m1.seam", "hoop.seam"].map((joint) => optionOf(pinnedTo(pins, joint)))).toEqual(["grade hard", "fuse", "free"]);
  const free = produce(pinned, (piece) => pinTo(piece, "m1.foot", null));
  expect(pinnedTo(free.heats!.pins!, "m1.foot")).toBeNull();
  expect(produce(pinned, (piece) => removePin(piece, 0)).heats!.pins).toHaveLength(3);
});

test("the stem and the list say each stage's one result, and carry its gravest finding", () => {
  const stem = (piece: Piece) =>
    stemOf(piece, { plan: planPiece(piece, SHIPPED_BENCH), isSettling: false }, "m1", METRIC, 3, SURE).map(({ id, result, level }) => [
      id,
      result,
      level,
    ]);
  expect(stem(tern)).toEqual([
    ["stone", "16.0 × 12.0, 5.2 tall", null],
    ["wall", "strip 46.05 × 3.20 × 0.32", null],
    ["plate", "16.7 × 12.7 × 0.60, flush", null],
    ["hoop", "EU 54, blank 59.1", null],
    ["heats", "4 heats, all hold", null],
    ["making", "3 of 41 steps", null],
  ]);
  expect(stem(plover)[1]).toEqual(["wall", "strip 33.25 × 2.00 × 0.32", "error"]);
  expect(stem(whelk)[4]).toEqual(["heats", "4 heats, 1 softens", "warning"]);
  const short = (piece: Piece) =>
    stemOf(piece, { plan: planPiece(piece, SHIPPED_BENCH), isSettling: false }, "m1", METRIC, 3, SURE).map((entry) => entry.short);
  expect(short(tern)).toEqual(["16.0 × 12.0", "46.05", "16.7 long", "blank 59.1", "4, hold", "3 of 41"]);
  expect(short(whelk)[4]).toBe("4, 1 softens");
  const told = (piece: Piece) =>
    rowOf(piece, { plan: planPiece(piece, SHIPPED_BENCH), isSettling: false }, undefined, METRIC, SURE).finding;
  expect([told(tern), told(plover), told(whelk)]).toEqual([
    null,
    "A third of the height won't hold this stone.",
    "Bezel to plate softens as hoop to plate is made.",
  ]);
  const row = (piece: Piece) => rowOf(piece, { plan: planPiece(piece, SHIPPED_BENCH), isSettling: false }, undefined, METRIC, SURE);
  const held: Piece = { ...tern, heats: { pins: ["m1.foot", "hoop.mount.m1", "m1.seam"].map((joint) => ({ joint, grade: "medium" })) } };
  expect([tern, whelk, held].map(row).map(({ heats, heatsLevel }) => [...heats, heatsLevel])).toEqual([
    ["4", "all hold", null],
    ["4", "1 softens", "warning"],
    ["4", "2 run again", "error"],
  ]);
  const plan = planPiece(tern, SHIPPED_BENCH);
  const planned = { plan, isSettling: false };
  const make = { done: plan.steps.slice(0, 4).map(({ id }) => ({ step: id, at: "" })), finished: null } as unknown as Parameters<
    typeof rowOf
  >[2];
  expect([null, undefined].map((none) => rowOf(tern, planned, none, METRIC, SURE).next)).toEqual(["", "Planned"]);
  expect(rowOf(tern, planned, make, METRIC, SURE)).toMatchObject({
    next: "Step 5: cut the strip 46.05 mm long",
    heats: ["4", "all hold"],
    isUnderWay: true,
    level: null,
  });
  expect(rowOf(tern, { plan, isSettling: true }, make, METRIC, SURE)).toMatchObject({
    heats: ["–", "looking for the best order"],
    next: "",
  });
  expect([null, undefined, { ...make!, done: [] }].map((each) => rowOf(tern, planned, each, METRIC, SURE).isUnderWay)).toEqual([
    false,
    false,
    false,
  ]);
});
