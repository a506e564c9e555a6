import { changed } from "./bench-changes";
import { clearJournal, putAside, readJournal, writeJournal } from "./journal";
import { RepositoryError, type Outcome, type Trouble } from "./repository";
import { makeChange } from "./makings";
import { benchChange } from "./my-bench";
import { type piecesOn } from "./pieces";
import { type JournalEntry } from "./read-kept";
import { type TrayBase, now } from "./tray-state";

/** While there is no room, it is tried again so often (ms). */
const AGAIN_MS = 4000;
/** Entries of the journal that found no room: no session writes over them. */
const WAITING = "waiting-";

/** Puts what the journal holds where it belongs, and tries again what found no room. */
export function replayOn({ repository, store }: TrayBase, settlePiece: ReturnType<typeof piecesOn>["settlePiece"]) {
  const get = store.getState;
  const openHere = new Set<string>();
  let again: ReturnType<typeof setTimeout> | null = null;

  function inTrouble(now: Trouble): void {
    store.setState({ trouble: now });
    again ??= setTimeout(() => {
      again = null;
      void replay();
    }, AGAIN_MS);
  }

  /** Puts what the journal holds where it belongs. What finds no room waits, and is tried again; what cannot be read was set aside. */
  async function replay(): Promise<void> {
    for (const { name, entry } of readJournal()) {
      if (!name.startsWith(WAITING) && openHere.has(name)) continue;
      try {
        const [put] = await settleEntry(entry);
        if (put && !put.ok && put.faults) putAside(name, entry);
        else clearJournal(name);
      } catch (error) {
        if (!(error instanceof RepositoryError)) throw error;
        const waits = name.startsWith(WAITING) ? name : `${WAITING}${Date.now()}-${name}`;
        writeJournal(waits, entry);
        if (waits !== name) clearJournal(name);
        inTrouble(error.trouble);
        return;
      }
    }
    if (get().trouble === "full" || get().trouble === "failed") store.setState({ trouble: null });
  }

  async function settleEntry(entry: JournalEntry): Promise<readonly Outcome[]> {
    if (entry.kind === "piece") return settlePiece(entry.record, entry.madeOn);
    if (entry.kind === "making") return repository.write([makeChange(entry.make, entry.edit, now())]);
    return repository.write([benchChange((kept) => changed(kept, entry.edits))]);
  }

  return {
    inTrouble,
    replay,

    /** Says that a session writes this piece's journal itself, until it says otherwise. */
    isOpenHere: (id: string, isOpen: boolean) => void (isOpen ? openHere.add(id) : openHere.delete(id)),

    close(): void {
      if (again !== null) clearTimeout(again);
      again = null;
    },
  };
}
