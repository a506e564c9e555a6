import { type Change, type DraftRecord, RepositoryError } from "./repository";
import { type TrayBase, now } from "./tray-state";

/** What is typed in fields at the bench and not taken yet: kept at each key, so that a page that ends loses none of it. */
export function halfTypedOn({ repository, store, reading, inTrouble }: TrayBase) {
  /** The newest text of a field that waits for the one before it to be written; null to drop it. */
  const waiting = new Map<string, { readonly piece: string; readonly field: string; readonly text: string | null }>();
  const writing = new Set<string>();

  async function write(id: string): Promise<void> {
    if (writing.has(id)) return;
    writing.add(id);
    for (let next = waiting.get(id); next; next = waiting.get(id)) {
      waiting.delete(id);
      const { piece, field, text } = next;
      const change: Change =
        text === null
          ? { store: "drafts", remove: id }
          : { store: "drafts", put: { id, piece, field, text: text.slice(0, LONGEST), changed: now() }, madeOn: "any" };
      await repository.write([change]).catch((error: unknown) => {
        if (!(error instanceof RepositoryError)) throw error;
        inTrouble(error.trouble);
      });
    }
    writing.delete(id);
  }

  /** Keeps what is typed in a field, or drops it. */
  function setDraft(piece: string, field: string, text: string | null): void {
    const { [field]: before, ...others } = store.getState().drafts[piece] ?? {};
    if ((before ?? null) === text) return;
    store.setState(({ drafts }) => ({ drafts: { ...drafts, [piece]: text === null ? others : { ...others, [field]: text } } }));
    const id = `${piece} ${field}`;
    waiting.set(id, { piece, field, text });
    void write(id);
  }

  return {
    /** Reads what is half typed for a piece, once. */
    async readDrafts(piece: string): Promise<void> {
      if (store.getState().drafts[piece]) return;
      const found = await reading(() => repository.drafts(piece));
      const own = Object.fromEntries((found ?? []).map(({ field, text }: DraftRecord) => [field, text]));
      store.setState(({ drafts }) => ({ drafts: { ...drafts, [piece]: { ...own, ...drafts[piece] } } }));
    },

    setDraft,

    /** Drops a text that was taken and kept, where the field still holds it: not before, or a page that ended in between would lose both. */
    dropDraft(piece: string, field: string, text: string): void {
      if (store.getState().drafts[piece]?.[field] === text) setDraft(piece, field, null);
    },
  };
}

const LONGEST = 2000;
