import fc from "fast-check";
import { runs } from "@/runs.testing";
import { anyPiece } from "@/core/piece/any-piece.testing";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import ternNow from "@/core/piece/reference/tern-ring.piece.json";
import { planPiece } from "@/core/piece/plan-piece";
import { faultLine } from "@/words/faults";
import { decodeBench } from "./bench-codec";
import { makeFromJson } from "./make-codec";
import { benchMigrations, makeMigrations, pieceMigrations } from "./migrations";
import { decodePiece, pieceFromJson } from "./piece-codec";
import { type Json, type JsonObject } from "./read-json";
import bench from "./version-1/bench.json";
import forms from "./version-1/forms.piece.json";
import make from "./version-1/make.json";
import samphire from "./version-1/samphire-ring.piece.json";
import tern from "./version-1/tern-ring.piece.json";
import benchTwo from "./version-2/bench.json";
import makeTwo from "./version-2/make.json";
import ternTwo from "./version-2/tern-ring.piece.json";
import turnstoneTwo from "./version-2/turnstone-ring.piece.json";

const piece = (file: object) => {
  const decoded = decodePiece(JSON.stringify(file));
  if (!decoded.ok) throw new Error(decoded.faults.map(faultLine).join("; "));
  return decoded;
};
const values = (of: Piece) =>
  Object.fromEntries(Object.entries(planPiece(of, SHIPPED_BENCH).figures).map(([key, { value }]) => [key, value]));
const hoop = (more: object) => pieceMigrations[1]!({ ...tern, carrier: { ...tern.carrier, ...more } }).carrier;

test("a file of version 1 without what changed is the same in the newest, and plans the same", () => {
  const { value, migratedFrom } = piece(tern);
  expect(migratedFrom).toBe(1);
  expect(value).toEqual(ternNow);
  expect(values(value)).toEqual(values(ternNow as unknown as Piece));
  fc.assert(
    fc.property(anyPiece(), (any) => {
      const { cup: _cup, ...wall } = any.mounts[0]!.wall;
      fc.pre(any.mounts.every((mount) => mount.wall.source !== "cup" && mount.wall.cup === undefined) || wall.source === undefined);
      fc.pre(any.mounts.every((mount) => mount.wall.cup === undefined));
      // In version 1 a slit belonged to another form.
      fc.pre(any.carrier.type !== "hoop" || any.carrier.slit === undefined);
      const old = JSON.parse(JSON.stringify({ ...any, version: 1 })) as JsonObject;
      expect(pieceMigrations[1]!(old)).toEqual(JSON.parse(JSON.stringify({ ...any, version: 2 })));
    }),
    { numRuns: runs(40) },
  );
});

test("a cup is told by its length and thickness, and holds the same stone", () => {
  const { value } = piece(samphire);
  expect(value.mounts[0]!.wall).toMatchObject({ source: "cup", cup: { length: 11, thickness: expect.closeTo(0.45, 12) as number } });
  expect(value.mounts[0]!.wall.tube).toBeUndefined();
  const figures = values(value);
  expect([figures["m1.wall.gap"], figures["m1.wall.thin"]]).toEqual([expect.closeTo(0.05, 9), expect.closeTo(0.15, 9)]);
});

test("split is open with a slit, twin closed with two strands, and what another form left over goes", () => {
  const slit = { length: 8, spread: 9 };
  expect(hoop({ form: "split", slit })).toMatchObject({ form: "open", slit });
  expect(hoop({ form: "twin", twin: { soldered: 10, spread: 6 } })).toMatchObject({
    form: "closed",
    strands: { count: 2, soldered: 10, spread: 6 },
  });
  for (const form of ["split", "twin", "closed", "open"]) {
    const after = hoop({ form, slit, twin: { soldered: 1, spread: 6 } }) as JsonObject;
    expect([form, "twin" in after, "slit" in after, "strands" in after]).toEqual([form, false, form === "split", form === "twin"]);
  }
});

test("a mount called by a word that two keeps has another name, free of those there, and so have its joints", () => {
  const { value } = piece(forms);
  expect(value.mounts.map(({ id }) => id)).toEqual(["bridge-setting-2", "bridge-setting"]);
  expect(value.heats!.pins).toEqual([
    { joint: "bridge-setting-2.foot", grade: "medium" },
    { before: ["hoop.seam", "hoop.mount.bridge-setting-2"] },
    { shield: "bridge-setting.seam" },
    { forbid: ["bridge-setting-2.foot", "easy"] },
  ]);
  expect(value.carrier).not.toHaveProperty("slit");
  expect(value.benchUsed).toEqual({
    format: "hoop-ledger/bench",
    version: 3,
    overshoot: 8,
    minutes: { "join.pickle": { hands: 1, wait: 6 } },
  });
  expect(planPiece(value, value.benchUsed!).findings.filter(({ code }) => code === "heats.pin-unknown")).toEqual([]);
});

test("a bench's minutes are told by step, a making's steps with when they were done", () => {
  expect(decodeBench(JSON.stringify(bench))).toEqual({
    ok: true,
    migratedFrom: 1,
    value: { ...bench, version: 3, minutes: { "join.pickle": { hands: 1, wait: 12 } } },
  });
  expect(benchMigrations[1]!({ version: 1, minutes: {} })).toEqual({ version: 2, minutes: {} });
  const old = { ...make, pieceFile: samphire };
  const read = makeFromJson(old, SHIPPED_BENCH);
  if (!read.ok) throw new Error(read.faults.map(faultLine).join("; "));
  expect(read.value).toMatchObject({
    version: 3,
    done: [
      { step: "m1.wall.slit", at: "" },
      { step: "m1.wall.anneal", at: "" },
    ],
    measured: [{ figure: "m1.wall.netLength", value: 45.5, at: "2026-11-12T10:02:00Z", by: "typed" }],
    remedies: [],
    pieceFile: { version: 3, mounts: [{ wall: { cup: { length: 11 } } }] },
  });
});

test("what is not what it should be is left for the schema to tell, by its place in the file", () => {
  const strange: Json[] = [null, 7, "x", [], {}, [null, 7, { wall: 7, id: 7 }], { type: "hoop", form: 7, twin: 7, slit: [] }];
  for (const mounts of strange)
    for (const carrier of strange) {
      const file = {
        ...tern,
        mounts,
        carrier,
        heats: { pins: [7, null, { joint: 7 }, { forbid: [7] }] },
        benchUsed: 7,
      } as unknown as JsonObject;
      expect(pieceFromJson(file).ok).toBe(false);
      expect(makeMigrations[1]!({ done: mounts, measured: carrier })).toMatchObject({ version: 2, remedies: [] });
    }
  const bad = decodePiece(JSON.stringify({ ...tern, mounts: [{ ...tern.mounts[0], id: "piece", wall: 5 }] }));
  expect(bad.ok ? [] : bad.faults.map(faultLine)).toEqual(["/mounts/0/wall: must be an object, got 5"]);
});

test("files of version 2 are the same in 3 but for the number, their bench and every copy of a piece in them too, and plan the same", () => {
  for (const old of [ternTwo, turnstoneTwo]) {
    const carried = { ...old, benchUsed: benchTwo };
    const { value, migratedFrom } = piece(carried);
    expect(migratedFrom).toBe(2);
    expect(value).toEqual({ ...old, version: 3, benchUsed: { ...benchTwo, version: 3 } });
    expect(pieceMigrations[2]!(old as unknown as JsonObject)).toEqual({ ...old, version: 3 });
  }
  expect(values(piece(ternTwo).value)).toEqual(values(ternNow as unknown as Piece));
  expect(decodeBench(JSON.stringify(benchTwo))).toEqual({ ok: true, migratedFrom: 2, value: { ...benchTwo, version: 3 } });
  const make = { ...makeTwo, pieceFile: ternTwo, taken: [{ at: "2026-11-12T10:00:00Z", pieceFile: turnstoneTwo }] };
  const read = makeFromJson(make, SHIPPED_BENCH);
  if (!read.ok) throw new Error(read.faults.map(faultLine).join("; "));
  expect(read.value).toEqual({
    ...make,
    version: 3,
    pieceFile: { ...ternTwo, version: 3 },
    taken: [{ at: "2026-11-12T10:00:00Z", pieceFile: { ...turnstoneTwo, version: 3 } }],
  });
  expect(makeMigrations[2]!(make as unknown as JsonObject)).toEqual(read.value);
});
