import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { bestDistance } from "@/core/practice/torch";
import { readBackup } from "./backup-codec";
import { type TryFile, decodeFlame, pieceOfTry, tryFile, tryFromJson } from "./flame-file";
import { type Json, type JsonObject } from "./read-json";

const piece = tern as unknown as Piece;
const flame = [
  { ms: 0, x: 1, y: -2, size: 4, isOn: true, isBelow: false, distance: bestDistance(4), toward: 90 },
  { ms: 250, x: 1, y: -2, size: 4, isOn: false, isBelow: true, distance: 60, toward: 45 },
];
const result = { ran: ["m1.seam"], dry: [], softened: [], opened: [], lost: [], seconds: 12.5, evenness: 8 };
const file = tryFile({
  ...{ id: "t-1", at: "2026-12-01T10:00:00.000Z", pieceFile: pieceOfTry(piece, SHIPPED_BENCH), joints: ["m1.seam"] },
  ...{ flame: { flame, acts: [{ ms: 0, do: "clean" as const }] }, result },
});
const read = (change: object) => tryFromJson({ ...(JSON.parse(JSON.stringify(file)) as JsonObject), ...change }, SHIPPED_BENCH);
const told = (change: object) => {
  const answer = read(change);
  return answer.ok ? [] : answer.faults.map(({ path, code }) => `${path} ${code}`);
};

test("a flame's moments are read with what may be left out; what stands out of order is told by its place", () => {
  const decoded = decodeFlame(JSON.stringify([[0, 1, -2, 4, true], [250, 1, -2, 4, false, true, 60, 45]])); // prettier-ignore
  expect(decoded).toEqual({ ok: true, migratedFrom: null, value: { flame, acts: [] } });
  const late = decodeFlame(JSON.stringify({ flame: [[5, 0, 0, 4, true], [4, 0, 0, 4, true]], acts: [{ ms: 9, do: "flux" }, { ms: 8, do: "flux" }] })); // prettier-ignore
  expect(!late.ok && late.faults).toMatchObject([
    { path: "/flame/1", code: "at-least", values: { limit: 5, got: 4 } },
    { path: "/acts/1", code: "at-least", values: { limit: 9, got: 8 } },
  ]);
  for (const bad of ["{", "[]", "[[0,0,0,1,true]]", '[[0,0,0,4,"on"]]', "[[0.5,0,0,4,true]]"]) expect(decodeFlame(bad).ok).toBe(false);
});

test("a try is read as it was written; one whose result says nothing of what opened is read with none", () => {
  expect(read({})).toEqual({ ok: true, migratedFrom: null, value: file });
  const { opened: _opened, ...less } = result;
  expect(read({ result: less })).toEqual(read({}));
});

test("a try that is wrong in a part is refused by its path", () => {
  const { x: _x, ...unknown } = { x: 1, ...file };
  expect(told(unknown)).toEqual([]);
  expect(told({ version: 2 })).toEqual(["/version too-new"]);
  expect(told({ joints: [] })).toEqual(["/joints too-few"]);
  expect(told({ more: 1 })).toEqual(["/more unknown-field"]);
  expect(told({ piece: "plover-ring" })).toEqual(["/pieceFile/id one-of"]);
  expect(told({ pieceFile: { ...file.pieceFile, name: 7 } })).toEqual(["/pieceFile/name wrong-type"]);
  expect(told({ flame: [...file.flame].reverse() })).toEqual(["/flame/1 at-least"]);
  expect(told({ result: { ...result, seconds: -1 } })).toEqual(["/result/seconds at-least"]);
});

test("a try's copy of the piece has its bench, without the drawer and without pictures", () => {
  const [first] = piece.mounts;
  const picture = { jpeg: "", pxPerMm: 10, at: [0, 0] as const, turn: 0 };
  const pictured: Piece = { ...piece, mounts: [{ ...first!, stone: { ...first!.stone, picture } }] };
  const mine = { ...SHIPPED_BENCH, overshoot: 7, stock: [], scrap: [], useful: { length: 4 } };
  expect(pieceOfTry(pictured, mine)).toEqual({ ...piece, benchUsed: { ...SHIPPED_BENCH, overshoot: 7 } });
  const own = { ...piece, benchUsed: { ...SHIPPED_BENCH, overshoot: 3 } };
  expect(pieceOfTry(own, mine).benchUsed).toEqual(own.benchUsed);
});

test("a backup holds tries from version 2 on; one that cannot be read hides no other", () => {
  const backup = (more: object) =>
    readBackup({ format: "hoop-ledger/backup", version: 2, bench: SHIPPED_BENCH, pieces: [], makes: [], ...more } as unknown as JsonObject);
  const other: TryFile = { ...file, id: "t-2" };
  const bad = { ...file, id: "t-3", flame: [] };
  expect(backup({ tries: [file, bad, other, file] as unknown as Json })).toMatchObject({
    ok: true,
    value: {
      tries: [{ id: "t-1" }, { id: "t-2" }],
      unread: [
        { path: "/tries/1", name: "t-3", faults: [{ path: "/flame" }] },
        { path: "/tries/3", faults: [{ code: "duplicate" }] },
      ],
    },
  });
  expect(backup({ tries: {} })).toMatchObject({ ok: false, faults: [{ path: "/tries", code: "wrong-type" }] });
  expect(backup({})).toMatchObject({ ok: true, value: { tries: [] } });
});
