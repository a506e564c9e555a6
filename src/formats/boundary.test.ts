import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import ternFile from "@/core/piece/reference/tern-ring.piece.json";
import { faultLine } from "@/words/faults";
import { attemptPlan } from "./attempt";
import { decodeBackup, encodeParts, kindOf, readBackup } from "./backup-codec";
import { benchFaults, decodeBench } from "./bench-codec";
import { BENCH, MAKE, PIECE } from "./kinds";
import { makeFromJson } from "./make-codec";
import { decodePlanRequest } from "./plan-request";
import { decodePiece, fitsSchema, pieceFaults, pieceOnBench } from "./piece-codec";
import {
  type Json,
  type JsonObject,
  MOST_BACKUP_BYTES,
  MOST_BYTES,
  MOST_FAULTS,
  WIDEST,
  asObject,
  lengthFaults,
  parsed,
  pointer,
  readJson,
  structureFaults,
  textOf,
  tooWide,
} from "./read-json";
import { schemaFaults } from "./validate";

const tern = ternFile as unknown as Piece;
const json = (value: unknown) => JSON.parse(JSON.stringify(value)) as Json;
const make = (more: object = {}) => ({
  ...{ format: "hoop-ledger/make", version: 3, id: "tern-1", piece: "tern-ring", pieceFile: tern, started: "2026-11-12", finished: null },
  ...{ done: [{ step: "m1.wall.cut", at: "" }], measured: [], remedies: [], notes: "" },
  ...more,
});
const onMandrel: Piece = { ...tern, id: "mine", carrier: { ...tern.carrier, size: { system: "mandrel", value: "K" } } as Piece["carrier"] };
const mandrelBench = { ...SHIPPED_BENCH, mandrel: [{ label: "K", diameter: 17 }] };
const backup = (more: object = {}) =>
  json({ format: "hoop-ledger/backup", version: 1, bench: SHIPPED_BENCH, pieces: [tern], makes: [], ...more }) as JsonObject;

test("one bad part of a backup keeps no other from being read, and is told by its place and its name", () => {
  const heard: string[] = [];
  const read = readBackup(
    backup({
      pieces: [tern, { ...tern, id: "b", name: "Bad", kind: "hat" }, { ...tern, id: "c" }, tern, 7],
      makes: [
        make(),
        make({
          done: [
            { step: "a", at: "" },
            { step: "a", at: "" },
          ],
          id: "two",
        }),
      ],
    }),
    (done, of) => heard.push(`${done}/${of}`),
  );
  if (!read.ok) throw new Error("refused");
  expect(read.value.pieces.map(({ id }) => id)).toEqual(["tern-ring", "c"]);
  expect(read.value.makes.map(({ id }) => id)).toEqual(["tern-1"]);
  expect(read.value.unread.map(({ path, name, faults }) => `${path} ${name}: ${faults.map(faultLine).join("; ")}`)).toEqual([
    '/pieces/1 Bad: /kind: must be one of ring, pendant, earrings, got "hat"',
    "/pieces/3 Tern ring: /id: must not be an id used elsewhere, got tern-ring",
    "/pieces/4 : /: must be an object, got 7",
    "/makes/1 two: /done: must not be an id used elsewhere, got a",
  ]);
  expect(heard).toEqual(["1/7", "2/7", "3/7", "4/7", "5/7", "6/7", "7/7"]);
});

test("a backup is read with its own bench: a piece sized by its mandrel is whole, and a broken bench is told and hides no piece", () => {
  const whole = readBackup(backup({ bench: mandrelBench, pieces: [onMandrel], makes: [make({ pieceFile: onMandrel })] }));
  expect(whole).toMatchObject({ ok: true, value: { pieces: [{ id: "mine" }], makes: [{ id: "tern-1" }], unread: [] } });
  const broken = readBackup(backup({ bench: { ...SHIPPED_BENCH, overshoot: 99 }, pieces: [tern, onMandrel] }));
  expect(broken).toMatchObject({
    ok: true,
    value: { bench: null, pieces: [{ id: "tern-ring" }], unread: [{ path: "/bench" }, { path: "/pieces/1" }] },
  });
  expect(pieceOnBench(json(onMandrel), mandrelBench).ok).toBe(true);
  expect(pieceOnBench(json({ ...onMandrel, benchUsed: SHIPPED_BENCH }), mandrelBench).ok).toBe(false);
  expect(decodePiece(JSON.stringify({ ...onMandrel, benchUsed: mandrelBench })).ok).toBe(true);
  expect(decodePiece(JSON.stringify({ ...onMandrel, benchUsed: mandrelBench }), SHIPPED_BENCH).ok).toBe(false);
});

test("a piece with one thing against it is not planned, and told by that", () => {
  expect(attemptPlan(onMandrel, SHIPPED_BENCH)).toMatchObject({ ok: false, faults: [{ path: "/carrier/size/value", code: "no-mandrel" }] });
  expect(attemptPlan(onMandrel, mandrelBench).ok).toBe(true);
});

test("a stone's measures are taken together: each may be impossible without the other, and the one that is wrong is told", () => {
  const read = (name: string, value: number) => ({ figure: `m1.stone.${name}`, value });
  const [high, leans] = [read("height", 1.6), read("turnIn", 0.9)];
  expect(attemptPlan(tern, SHIPPED_BENCH, undefined, [high, leans]).ok).toBe(true);
  expect(attemptPlan(tern, SHIPPED_BENCH, undefined, [leans, high]).ok).toBe(true);
  const alone = attemptPlan(tern, SHIPPED_BENCH, undefined, [read("outline.length", 16.2), high]);
  expect(alone).toMatchObject({ ok: false, faults: [{ path: "/measured/1/value", code: "turn-in-above-height" }] });
  expect(attemptPlan(tern, SHIPPED_BENCH, undefined, [{ ...high, scrapped: "m1.wall" }]).ok).toBe(true);
});

test("when its parts were changed goes out with a backup and comes back; times that are none are refused by their place", () => {
  const changed = { bench: "2026-11-12T09:41:00.000Z", pieces: { "tern-ring": "2026-11-11T09:00:00.000Z" } };
  const text = [
    ...encodeParts({
      format: "hoop-ledger/backup",
      version: 2,
      bench: SHIPPED_BENCH,
      pieces: [tern],
      makes: [],
      tries: [],
      cuts: [],
      changed,
    }),
  ].join("");
  expect(decodeBackup(text)).toMatchObject({ ok: true, value: { changed } });
  const path = (wrong: unknown) => {
    const read = readBackup(backup({ changed: wrong, pieces: [tern] }));
    return read.ok ? [] : read.faults.map((each) => each.path);
  };
  expect([
    path({ pieces: {} }),
    path(7),
    path({ pieces: {}, more: 1 }),
    path({ bench: 1, pieces: {} }),
    path({ pieces: { "a/b": 1 } }),
  ]).toEqual([[], ["/changed"], ["/changed"], ["/changed/bench"], ["/changed/pieces/a~1b"]]);
  expect(readBackup(backup({ pieces: [tern] }))).toMatchObject({ ok: true, value: { changed: { pieces: {} } } });
});

test("what is no backup is refused, all that is wrong with it at once", () => {
  const lines = (file: object) => {
    const read = readBackup(json(file) as JsonObject);
    return read.ok ? [] : read.faults.map(faultLine);
  };
  expect(lines({ format: "x", version: 3, bench: 1, pieces: {}, "a/b~": 1 })).toEqual([
    '/format: must be "hoop-ledger/backup"',
    "/version: was written by a newer Hoop Ledger; this one reads up to version 2, got 3",
    "/a~1b~0: is not a field of this file",
    "/pieces: must be a list",
    "/makes: is missing",
  ]);
  for (const text of ["[]", "null", "7"]) expect(decodeBackup(text)).toMatchObject({ ok: false, faults: [{ code: "wrong-type" }] });
  expect(decodeBackup("{")).toMatchObject({ ok: false, faults: [{ code: "not-json" }] });
  expect([kindOf(null), kindOf({ format: 7 })]).toEqual(["piece", "piece"]);
  const two = [...encodeParts(backup({ pieces: [tern, tern], makes: [make(), make()], tries: [], cuts: [] }) as never)].join("");
  expect(JSON.parse(two)).toEqual(backup({ pieces: [tern, tern], makes: [make(), make()] }));
});

test("a making is read with its copy of the piece by the piece's own decoder", () => {
  const lines = (value: object) => {
    const read = makeFromJson(json(value), SHIPPED_BENCH);
    return read.ok ? [] : read.faults.map(faultLine);
  };
  expect(lines(make())).toEqual([]);
  expect(lines(make({ pieceFile: { ...tern, kind: "hat" }, started: 5 }))).toEqual([
    "/started: must be text, got 5",
    '/pieceFile/kind: must be one of ring, pendant, earrings, got "hat"',
  ]);
  expect(lines(make({ pieceFile: undefined }))).toEqual(["/pieceFile: is missing"]);
  expect(lines({ ...make(), format: "x" })).toEqual(['/format: must be "hoop-ledger/make", got "x"']);
});

test("shelves and grades of one bench have ids of their own, and none gives above where it runs", () => {
  const grade = { id: "hard", rank: 1, gives: 740, runs: 740 };
  const shelves = [
    { id: "a", grades: [grade, { ...grade, id: "easy", gives: 741 }] },
    { id: "b", grades: [grade, grade] },
    { id: "a", grades: [grade] },
  ];
  expect(benchFaults({ ...SHIPPED_BENCH, shelves }, "/benchUsed").map(faultLine)).toEqual([
    "/benchUsed/shelves/0/grades/1/gives: must be at most runs, 740, got 741",
    "/benchUsed/shelves/1/grades/1/id: must not be an id used elsewhere, got hard",
    "/benchUsed/shelves/2/id: must not be an id used elsewhere, got a",
  ]);
  expect(benchFaults(SHIPPED_BENCH, "")).toEqual([]);
  expect(decodeBench(JSON.stringify({ ...SHIPPED_BENCH, shelves })).ok).toBe(false);
  expect(pieceFaults({ ...tern, benchUsed: { ...SHIPPED_BENCH, shelves } }, SHIPPED_BENCH)).toHaveLength(3);
});

test("a file is as deep as 32 levels and no deeper, and brackets in a text count for none", () => {
  const deep = (levels: number): Json => (levels === 1 ? {} : { a: deep(levels - 1) });
  expect(structureFaults(deep(32))).toEqual([]);
  expect(structureFaults(deep(33))).toMatchObject([{ path: "/a".repeat(32), code: "too-deep", values: { limit: 32 } }]);
  expect(structureFaults(deep(34), 2)).toEqual([]);
  const brackets = JSON.stringify({ a: `${"[".repeat(90)}\\"{` });
  expect(parsed(brackets)?.value).toEqual(JSON.parse(brackets));
  expect(parsed(`${"[".repeat(36)}${"]".repeat(36)}`)?.value).toEqual(JSON.parse(`${"[".repeat(36)}${"]".repeat(36)}`));
  const side = `[${"[],".repeat(200)}[]]`;
  expect(parsed(side)?.value).toEqual(JSON.parse(side));
  expect(structureFaults(parsed("[".repeat(50_000))!.value)).toMatchObject([{ code: "too-deep" }]);
  expect(parsed("\ufeff7")?.value).toBe(7);
});

test("a list or object longer than any file's is told by its path before it is read in; commas in texts are none", () => {
  const list = (length: number) => Array.from({ length }, () => 0);
  expect(tooWide(JSON.stringify({ a: list(WIDEST), b: [{}, { "c/d": list(WIDEST) }] }))).toBeNull();
  expect(tooWide(JSON.stringify({ a: [1, 2], b: [{}, { "c/d": list(WIDEST + 1) }] }))).toEqual({
    path: "/b/1/c~1d",
    code: "too-many",
    values: { limit: WIDEST },
  });
  expect(tooWide(JSON.stringify(Object.fromEntries(list(WIDEST + 1).map((_, i) => [`x${i}`, i]))))).toMatchObject({ path: "" });
  expect(tooWide(JSON.stringify({ a: ",".repeat(5000), b: '",\\"'.repeat(3000) }))).toBeNull();
  expect(tooWide(`${"[".repeat(50)}${"0,".repeat(5000)}`)).toBeNull();
  expect(tooWide("]]]}}}")).toBeNull();
  const wide = JSON.stringify({ ...tern, heats: { pins: list(WIDEST + 1) } });
  expect(decodePiece(wide)).toMatchObject({ ok: false, faults: [{ path: "/heats/pins", code: "too-many" }] });
  expect(decodePlanRequest(`{"piece":${wide}}`)).toMatchObject({ ok: false, faults: [{ path: "/piece/heats/pins", code: "too-many" }] });
});

test("a piece in a request may lie a level deeper than its file, and no deeper", () => {
  const deep = (levels: number): Json => (levels === 1 ? {} : { a: deep(levels - 1) });
  const codes = (levels: number) => {
    const decoded = decodePlanRequest(JSON.stringify({ piece: tern, more: deep(levels) }));
    return decoded.ok ? [] : decoded.faults.map(({ code }) => code);
  };
  expect([codes(32), codes(33)]).toEqual([["unknown-field"], ["too-deep"]]);
});

test("names that reach into the language, numbers that are none and too many fields are told by an escaped path", () => {
  const strange = JSON.parse('{"a/b":{"c~d":[{"__proto__":1},1e999,-1e999]}}') as Json;
  expect(structureFaults(strange).map(({ path, code }) => `${path} ${code}`)).toEqual([
    "/a~1b/c~0d/2 not-finite",
    "/a~1b/c~0d/1 not-finite",
    "/a~1b/c~0d/0/__proto__ forbidden-key",
  ]);
  expect(pointer("~/")).toBe("~0~1");
  const wide = (fields: number) => Object.fromEntries(Array.from({ length: fields }, (_, i) => [`f${i}`, 1]));
  expect(structureFaults(wide(200))).toEqual([]);
  expect(structureFaults(wide(201))).toMatchObject([{ code: "too-many", values: { limit: 200, got: 201 } }]);
  expect(structureFaults(Array.from({ length: 5000 }, () => Infinity))).toHaveLength(MOST_FAULTS + 1);
});

test("bytes are bounded exactly, and what is not UTF-8 is told by its place", () => {
  expect([MOST_BYTES, MOST_BACKUP_BYTES]).toEqual([2 ** 21, 2 ** 27]);
  expect(textOf(new Uint8Array(4), 4).ok).toBe(true);
  expect(textOf(new Uint8Array(5), 4)).toMatchObject({ ok: false, faults: [{ code: "too-large", values: { limit: 4 } }] });
  const bytes = new TextEncoder().encode("ab\u00e9cdefgh");
  bytes[7] = 0xff;
  expect(textOf(bytes)).toMatchObject({ ok: false, faults: [{ code: "not-utf8", values: { byte: 7 } }] });
  const file = (letters: number, letter: string) => `{"format":"hoop-ledger/piece","a":"${letter.repeat(letters)}"}`;
  const around = file(0, "").length;
  expect(readJson(file(MOST_BYTES - around, "x"), "hoop-ledger/piece").ok).toBe(true);
  expect(readJson(file(MOST_BYTES - around + 1, "x"), "hoop-ledger/piece").ok).toBe(false);
  expect(readJson(file(MOST_BYTES / 2, "\u00e9"), "hoop-ledger/piece")).toMatchObject({ ok: false, faults: [{ code: "too-large" }] });
});

test("lists that are too long are told and not gone into; a hundred faults are told and the others counted", () => {
  const pins = Array.from({ length: 81 }, () => ({}));
  const long = { ...tern, name: 7, heats: { pins } } as unknown as Piece;
  expect(pieceFaults(long, SHIPPED_BENCH)).toMatchObject([{ path: "/heats/pins", code: "too-many", values: { limit: 80 } }]);
  expect(asObject(json(long), PIECE.format, PIECE.lists)).toMatchObject({ ok: false, faults: [{ path: "/heats/pins" }] });
  const faults = schemaFaults(PIECE.validate, { ...tern, ...Object.fromEntries(Array.from({ length: 150 }, (_, i) => [`x${i}`, 1])) });
  expect(faults).toHaveLength(MOST_FAULTS + 1);
  expect(faults.at(-1)).toMatchObject({ path: "", code: "and-more", values: { more: 50 } });
  const one = schemaFaults(PIECE.validate, {
    ...tern,
    ...Object.fromEntries(Array.from({ length: MOST_FAULTS + 1 }, (_, i) => [`x${i}`, 1])),
  });
  expect(one.at(-1)).toMatchObject({ code: "and-more", values: { more: 1 } });
  expect(lengthFaults({ at: { a: { most: 2, in: { most: 1 } } } }, { a: [[1], [1, 2]] }, "").map(({ path }) => path)).toEqual(["/a/1"]);
  expect([fitsSchema(tern), fitsSchema(long)]).toEqual([true, false]);
});

test("no more of a text is told than two hundred letters", () => {
  const [found] = schemaFaults(PIECE.validate, { ...tern, kind: "k".repeat(300) });
  expect(found!.values.got).toBe(JSON.stringify("k".repeat(200)));
});

test("each kind has its format, its newest version and a limit to its lists", () => {
  expect([PIECE, BENCH, MAKE].map(({ format, newest }) => `${format} ${newest}`)).toEqual([
    "hoop-ledger/piece 3",
    "hoop-ledger/bench 3",
    "hoop-ledger/make 3",
  ]);
  expect(PIECE.lists.at!.mounts!.most).toBe(12);
  for (const version of [0, 1.5, "1", null, undefined])
    expect(decodePiece(JSON.stringify({ ...tern, version }))).toMatchObject({
      ok: false,
      faults: [{ path: "/version", code: "whole-number" }],
    });
  expect(decodePiece(JSON.stringify({ ...tern, version: 99 }))).toMatchObject({ ok: false, faults: [{ code: "too-new" }] });
});

test("a request or a file that is no object is told what it is", () => {
  for (const [text, got] of [
    ["null", "null"],
    ["[]", "a list"],
    ['"x"', "a text"],
    ["7", "7"],
  ] as const) {
    const told = [{ code: "wrong-type", values: { expected: "an object", got } }];
    for (const read of [decodePlanRequest(text), decodeBackup(text), decodePiece(text)])
      expect(read).toMatchObject({ ok: false, faults: told });
  }
  expect(decodePlanRequest("{")).toMatchObject({ ok: false, faults: [{ code: "not-json" }] });
});
