import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { onMyBench, openText, pieceText } from "./files";
import { freeId } from "./ids";
import { memoryKeeper } from "./memory";

const piece = tern as unknown as Piece;
const record = { id: piece.id, piece, drafts: {}, unmeasured: [], changed: "2026-11-12T09:41:00Z", deleted: null };

test("a write names the revision it was made on; one made on an older one is refused with the newer piece", async () => {
  const keeper = memoryKeeper();
  expect(await keeper.putPiece(record, null)).toMatchObject({ ok: true, record: { revision: 1 } });
  expect(await keeper.putPiece({ ...record, changed: "later" }, 1)).toMatchObject({ ok: true, record: { revision: 2 } });
  expect(await keeper.putPiece(record, 1)).toMatchObject({ ok: false, newer: { revision: 2, changed: "later" } });
  expect(await keeper.putPiece(record, null)).toMatchObject({ ok: false });
  await keeper.removePieces([piece.id]);
  expect(await keeper.pieces()).toEqual([]);
});

test("ids are made of names, and are free", () => {
  expect(freeId([], "Tern ring")).toBe("tern-ring");
  expect(freeId(["tern-ring", "tern-ring-2"], "Tern ring")).toBe("tern-ring-3");
  expect(freeId([], "  É 18 - Ö! ")).toBe("e-18-o");
  expect(freeId([], "18")).toBe("piece");
  expect(freeId([], "x".repeat(200))).toMatch(/^[a-z][a-z0-9-]{0,31}$/);
});

test("a saved piece carries its bench, and opening it says what differs here and whether its id is taken", () => {
  const mine = { ...SHIPPED_BENCH, overshoot: 8 };
  const text = pieceText(piece, SHIPPED_BENCH);
  expect(openText("a.json", text, SHIPPED_BENCH, [])).toMatchObject({ kind: "piece", isTaken: false, differences: [] });
  expect(openText("a.json", text, mine, [piece.id])).toMatchObject({
    kind: "piece",
    isTaken: true,
    differences: [{ key: "overshoot", theirs: "10", mine: "8" }],
  });
  expect(openText("b.json", JSON.stringify(mine), SHIPPED_BENCH, [])).toMatchObject({ kind: "bench", bench: { overshoot: 8 } });
  expect(openText("c.json", "{", SHIPPED_BENCH, [])).toMatchObject({ kind: "refused", faults: [{ code: "not-json" }] });
  expect(onMyBench({ ...piece, benchUsed: mine })).toEqual(piece);
});
