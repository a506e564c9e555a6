import { type Keeper, type PieceRecord } from "./keeper";

const PREFIX = "hoop-ledger/journal/";

interface Entry {
  readonly record: Omit<PieceRecord, "revision">;
  readonly madeOn: number | null;
}

/** Keeps a change that the database has not taken yet, at once, while the page is being hidden. */
export function writeJournal(record: Entry["record"], madeOn: number | null): void {
  try {
    localStorage.setItem(PREFIX + record.id, JSON.stringify({ record, madeOn } satisfies Entry));
  } catch (error) {
    console.error("journal not written", error);
  }
}

export function clearJournal(id: string): void {
  try {
    localStorage.removeItem(PREFIX + id);
  } catch (error) {
    console.error("journal not cleared", error);
  }
}

/** Puts what the journal holds, where the kept piece has not moved on since; else as a copy, so that nothing typed is lost. */
export async function replayJournal(keeper: Keeper, copyId: (taken: readonly string[], id: string) => string): Promise<void> {
  for (const key of journalKeys()) {
    const { record, madeOn } = JSON.parse(localStorage.getItem(key)!) as Entry;
    const put = await keeper.putPiece(record, madeOn);
    if (!put.ok && JSON.stringify(put.newer.piece) !== JSON.stringify(record.piece)) {
      const id = copyId(await keeper.ids(), record.id);
      await keeper.putPiece({ ...record, id, piece: { ...record.piece, id, name: `${record.piece.name} (kept)`.slice(0, 120) } }, null);
    }
    localStorage.removeItem(key);
  }
}

function journalKeys(): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(PREFIX));
  } catch (error) {
    console.error("journal not read", error);
    return [];
  }
}
