import { demoMakes } from "@demo/makes";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { answerFile, collected } from "@/workers/files/handler";
import { type FileReply, type Opened } from "@/workers/files/protocol";
import { pieceOfTry, tryFile } from "@/formats/flame-file";
import { onMyBench, makeText, pieceText } from "./files";
import { freeId } from "./ids";

const piece = tern as unknown as Piece;
const tried = tryFile({
  ...{ id: "t-1", at: "2026-12-01", pieceFile: pieceOfTry(piece, SHIPPED_BENCH), joints: ["m1.seam"] },
  ...{ flame: { flame: [{ ms: 0, x: 0, y: 0, size: 4, isOn: false, isBelow: false, distance: 40, toward: 90 }], acts: [] } },
  result: { ran: [], dry: ["m1.seam"], softened: [], opened: [], lost: [], seconds: 3, evenness: null },
});

test("ids are made of names, and are free", () => {
  expect(freeId(new Set(), "Tern ring")).toBe("tern-ring");
  expect(freeId(new Set(["tern-ring", "tern-ring-2"]), "Tern ring")).toBe("tern-ring-3");
  expect(freeId(new Set(), "  É 18 - Ö! ")).toBe("e-18-o");
  expect(freeId(new Set(), "18")).toBe("piece");
  expect(freeId(new Set(), "x".repeat(200))).toMatch(/^[a-z][a-z0-9-]{0,31}$/);
});

/** What a file turned out to be. */
function opened(text: string, bench: BenchEntry, taken: readonly string[] = []): Opened {
  let last: Opened | null = null;
  answerFile({ file: "a.json", bytes: new TextEncoder().encode(text), bench, taken: new Set(taken) }, (reply) => {
    if (reply.kind === "opened") last = reply.opened;
  });
  return last!;
}

test("a saved piece carries its bench, and opening it says what differs here and whether its id is taken", () => {
  const mine = { ...SHIPPED_BENCH, overshoot: 8 };
  const text = pieceText(piece, SHIPPED_BENCH);
  expect(opened(text, SHIPPED_BENCH)).toMatchObject({ kind: "piece", isTaken: false, differences: [] });
  expect(opened(text, mine, [piece.id])).toMatchObject({
    kind: "piece",
    isTaken: true,
    differences: [{ key: "overshoot", theirs: "10", mine: "8" }],
  });
  expect(opened(JSON.stringify(mine), SHIPPED_BENCH)).toMatchObject({ kind: "bench", bench: { overshoot: 8 } });
  expect(opened("{", SHIPPED_BENCH)).toMatchObject({ kind: "refused", faults: [{ code: "not-json" }] });
  expect(onMyBench({ ...piece, benchUsed: mine })).toEqual(piece);
});

test("a making or a try saved by itself is taken as a backup of it alone; what only looks like a format is not", () => {
  const [make] = demoMakes();
  const replies: FileReply[] = [];
  const ask = (text: string) =>
    answerFile({ file: "m.json", bytes: new TextEncoder().encode(text), bench: SHIPPED_BENCH, taken: new Set() }, (reply) =>
      replies.push(reply),
    );
  ask(makeText(make!));
  expect(replies).toMatchObject([
    { kind: "part", part: { makes: [make] } },
    { kind: "opened", opened: { kind: "backup", backup: { bench: null, unread: [] } } },
  ]);
  const { result: _result, ...bare } = tried;
  replies.length = 0;
  ask(JSON.stringify(tried));
  expect(replies).toMatchObject([{ kind: "part", part: { tries: [tried] } }, { opened: { kind: "backup" } }]);
  expect(opened(JSON.stringify(bare), SHIPPED_BENCH)).toMatchObject({ kind: "refused", faults: [{ path: "/result" }] });
  expect(opened(JSON.stringify({ ...make, done: 5 }), SHIPPED_BENCH)).toMatchObject({ kind: "refused", faults: [{ path: "/done" }] });
  expect(opened('{"format":"constructor"}', SHIPPED_BENCH)).toMatchObject({ kind: "refused" });
});

test("a backup is handed over in parts with its progress, and put together again", () => {
  const pieces = Array.from({ length: 450 }, (_, i) => ({ ...piece, id: `p${i}` }));
  const file = { format: "hoop-ledger/backup", version: 1, bench: SHIPPED_BENCH, pieces, makes: [] };
  const replies: FileReply[] = [];
  const bytes = new TextEncoder().encode(JSON.stringify(file));
  answerFile({ file: "b.json", bytes, bench: SHIPPED_BENCH, taken: new Set(["p3"]) }, (reply) => replies.push(reply));
  expect(replies.map(({ kind }) => kind)).toEqual(["progress", "progress", "part", "part", "part", "opened"]);
  const last = replies.at(-1)!;
  if (last.kind !== "opened") throw new Error(last.kind);
  const whole = collected(
    last.opened,
    replies.filter((reply) => reply.kind === "part"),
  );
  expect(whole).toMatchObject({ kind: "backup" });
  expect(whole.kind === "backup" && whole.backup.pieces).toEqual(pieces);
});

test("bytes that are no text are refused by their place, and a file that is too long by its length", () => {
  const bytes = new Uint8Array([0x7b, 0x22, 0xe2, 0x82, 0xac, 0xff, 0x22, 0x7d]);
  let told: unknown = null;
  answerFile({ file: "c", bytes, bench: SHIPPED_BENCH, taken: new Set() }, (reply) => (told = reply));
  expect(told).toMatchObject({ opened: { kind: "refused", faults: [{ code: "not-utf8", values: { byte: 5 } }] } });
  expect(opened(JSON.stringify({ ...piece, notes: "x".repeat(3_000_000) }), SHIPPED_BENCH)).toMatchObject({
    faults: [{ code: "too-large" }],
  });
});
