import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { type ReadBackup } from "@/formats/backup-codec";
import { type TryFile } from "@/formats/flame-file";
import { type Change } from "./repository";
import { type Choice, type KeptHere, choicesFor, isFurther, restoreItems } from "./restore-items";
import { makeRecord, restoreChanges } from "./restoring";

const piece = tern as unknown as Piece;
const [BEFORE, THEN, AFTER] = ["2026-11-11T09:00:00.000Z", "2026-11-12T09:41:00.000Z", "2026-11-13T08:00:00.000Z"];
const called = (id: string, name = id): Piece => ({ ...piece, id, name });
const whole: Make = {
  ...{ format: "hoop-ledger/make", version: 3, id: "m-1", piece: "a", pieceFile: called("a"), started: THEN, finished: null },
  ...{ done: [{ step: "a", at: THEN }], measured: [], remedies: [], notes: "" },
};
const backup = (more: Partial<ReadBackup> = {}): ReadBackup => ({
  ...{ bench: null, pieces: [], makes: [], tries: [], cuts: [], changed: { pieces: {} }, unread: [] },
  ...more,
});
const here = (
  more: {
    pieces?: readonly Piece[];
    makes?: readonly Make[];
    tries?: readonly TryFile[];
    changed?: string;
    deleted?: string;
    bench?: KeptHere["bench"];
  } = {},
): KeptHere => ({
  pieces: new Map(
    (more.pieces ?? []).map((each) => [each.id, { piece: each, changed: more.changed ?? THEN, deleted: more.deleted ?? null }]),
  ),
  makes: new Map((more.makes ?? []).map((each) => [each.id, each])),
  tries: new Map((more.tries ?? []).map((each) => [each.id, each])),
  bench: more.bench ?? null,
});
const puts = (changes: readonly Change[], store: Change["store"]) =>
  changes.flatMap((change) => ("put" in change && change.store === store ? [change.put as unknown as Record<string, unknown>] : []));
const choosing = (saved: ReadBackup, kept: KeptHere, choice: Choice) =>
  restoreChanges(saved, new Map(restoreItems(saved, kept).map(({ key }) => [key, choice])), kept, Date.parse(AFTER));
const usual = (saved: ReadBackup, kept: KeptHere) => {
  const items = restoreItems(saved, kept);
  return restoreChanges(saved, new Map(items.map((item) => [item.key, choicesFor(item)[0]])), kept, Date.parse(AFTER));
};

test("a piece is the same, newer here, newer there, of unknown age, deleted here or only there; nothing newer is overwritten unasked", () => {
  const standing = (kept: KeptHere, changed?: string) => {
    const saved = backup({ pieces: [called("a", "Theirs")], changed: { pieces: changed ? { a: changed } : {} } });
    return [restoreItems(saved, kept)[0]!.standing, usual(saved, kept).length];
  };
  const mine = { pieces: [called("a", "Mine")] };
  expect([
    standing(here({ pieces: [called("a", "Theirs")] }), BEFORE),
    standing(here({ ...mine, changed: AFTER }), THEN),
    standing(here({ ...mine, changed: BEFORE }), THEN),
    standing(here(mine)),
    standing(here(mine), THEN),
    standing(here({ pieces: [called("a", "Theirs")], deleted: AFTER }), THEN),
    standing(here({ ...mine, changed: AFTER, deleted: AFTER }), THEN),
    standing(here()),
  ]).toEqual([
    ["same", 0],
    ["newer-here", 0],
    ["newer-there", 1],
    ["differs", 0],
    ["differs", 0],
    ["deleted-here", 1],
    ["newer-here", 0],
    ["only-there", 1],
  ]);
});

test("what names its fields in another order is the same", () => {
  const { id, ...rest } = called("a");
  expect(restoreItems(backup({ pieces: [{ ...rest, id }] }), here({ pieces: [called("a")] }))[0]!.standing).toBe("same");
});

test("of two makes the one that holds all of the other and more is newer; where each holds more, the one in which something was done last", () => {
  const more = (step: string, at: string): Make => ({ ...whole, done: [...whole.done, { step, at }] });
  const standing = (mine: Make, theirs: Make) => restoreItems(backup({ makes: [theirs] }), here({ makes: [mine] }))[0]!.standing;
  expect([
    standing(whole, whole),
    standing(more("b", AFTER), whole),
    standing(whole, more("b", AFTER)),
    standing(more("b", AFTER), more("c", THEN)),
    standing(more("b", THEN), more("c", AFTER)),
    standing({ ...whole, result: { words: "x" } }, { ...whole, result: { words: "y" } }),
    standing({ ...whole, notesWas: [{ value: "", at: AFTER }], notes: "x" }, { ...whole, notes: "y" }),
  ]).toEqual(["same", "newer-here", "newer-there", "newer-here", "newer-there", "differs", "newer-here"]);
});

test("a make is further on than another where it holds a step, a reading, a picture, a correction or words that the other does not", () => {
  expect(isFurther(whole, whole)).toBe(false);
  for (const more of [
    { done: [...whole.done, { step: "b", at: THEN }] },
    { measured: [{ figure: "hoop.cutLength", value: 59, at: THEN, by: "typed" as const }] },
    { photos: [{ name: "p", at: THEN, jpeg: "" }] },
    { held: [{ step: "a", figure: "b", value: 1, at: THEN }] },
    { datesWas: [{ started: BEFORE, at: THEN }] },
    { finished: THEN },
    { notes: "more" },
    { result: { size: "54" } },
  ]) {
    const further: Make = { ...whole, ...more };
    expect([isFurther(further, whole), isFurther(whole, further)]).toEqual([true, false]);
  }
});

test("a restored piece keeps the time it was last changed; those without one become the newest, the first of them first", () => {
  const saved = backup({ pieces: [called("a"), called("b"), called("c")], changed: { pieces: { b: BEFORE } } });
  expect(puts(choosing(saved, here(), "theirs"), "pieces").map(({ id, changed }) => [id, changed])).toEqual([
    ["a", "2026-11-13T08:00:00.002Z"],
    ["b", BEFORE],
    ["c", "2026-11-13T08:00:00.000Z"],
  ]);
  expect(choosing(saved, here(), "theirs").every((change) => "madeOn" in change && change.madeOn === "any")).toBe(true);
});

test("chosen one by one: only what is chosen comes, and what is the same is never written", () => {
  const saved = backup({ pieces: [called("a", "A"), called("b", "B"), called("c")], makes: [whole] });
  const kept = here({ pieces: [called("a"), called("b"), called("c")] });
  const changes = restoreChanges(
    saved,
    new Map([
      ["piece b", "theirs"],
      ["piece c", "theirs"],
    ]),
    kept,
    0,
  );
  expect([puts(changes, "pieces").map(({ id }) => id), puts(changes, "makes")]).toEqual([["b"], []]);
});

test("kept beside what is there, pieces and makes get free ids that know each other; replaced, they keep theirs", () => {
  const theirs = { ...whole, done: [] };
  const saved = backup({ pieces: [called("a", "Theirs"), called("a-2")], makes: [theirs, { ...theirs, id: "m-2" }] });
  const kept = here({ pieces: [called("a")], makes: [whole] });
  const both = choosing(saved, kept, "both");
  expect(puts(both, "pieces").map(({ id }) => id)).toEqual(["a-2", "a-2-2"]);
  expect(puts(both, "makes")).toMatchObject([
    { id: "m-1-2", piece: "a-2", make: { id: "m-1-2", piece: "a-2", pieceFile: { id: "a-2" } }, changed: THEN },
    { id: "m-2", piece: "a-2" },
  ]);
  const replaced = choosing(saved, kept, "theirs");
  expect([puts(replaced, "pieces").map(({ id }) => id), puts(replaced, "makes").map(({ id }) => id)]).toEqual([
    ["a", "a-2"],
    ["m-1", "m-2"],
  ]);
  const piecesOnly = restoreChanges(
    saved,
    new Map([
      ["piece a", "both"],
      ["make m-1", "theirs"],
    ]),
    kept,
    0,
  );
  expect(puts(piecesOnly, "makes")).toMatchObject([{ id: "m-1", piece: "a" }]);
  expect(makeRecord(whole, THEN)).toEqual({ id: "m-1", piece: "a", make: whole, changed: THEN });
});

test("on my own bench a piece goes on with the one it was saved with where they differ; theirs is put where it is chosen", () => {
  const theirs = { ...SHIPPED_BENCH, overshoot: 4 };
  const own = { ...called("b"), benchUsed: { ...SHIPPED_BENCH, overshoot: 7 } };
  const saved = backup({ bench: theirs, pieces: [called("a"), own], changed: { bench: BEFORE, pieces: {} } });
  const restored = (bench: Choice, mine: KeptHere["bench"]) => {
    const kept = here({ bench: mine });
    return restoreChanges(
      saved,
      new Map<string, Choice>([
        ["bench", bench],
        ["piece a", "theirs"],
        ["piece b", "theirs"],
      ]),
      kept,
      0,
    );
  };
  const used = (changes: readonly Change[]) => puts(changes, "pieces").map((put) => (put.piece as Piece).benchUsed?.overshoot);
  expect(used(restored("mine", null))).toEqual([4, 7]);
  expect(used(restored("mine", { bench: theirs, changed: THEN }))).toEqual([undefined, 7]);
  expect(used(restored("theirs", { bench: SHIPPED_BENCH, changed: THEN }))).toEqual([undefined, 7]);
  expect(puts(restored("theirs", null), "settings")).toEqual([{ id: "bench", bench: theirs, changed: BEFORE }]);
  const bench = (kept: KeptHere["bench"]) => restoreItems(saved, here({ bench: kept }))[0]!.standing;
  expect([bench(null), bench({ bench: theirs, changed: AFTER }), bench({ bench: SHIPPED_BENCH, changed: AFTER })]).toEqual([
    "only-there",
    "same",
    "newer-here",
  ]);
  expect(choicesFor({ kind: "bench", standing: "newer-here" })).toEqual(["mine", "theirs"]);
});
