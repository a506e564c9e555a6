import { clearJournal, writeJournal } from "./journal";
import { RepositoryError, type Repository, type PieceRecord, type Unrevised } from "./repository";
import { listen, tell } from "./news";
import { type SessionStore } from "./session-state";
import { isTold } from "./tray-state";
import { faultLine } from "@/words/faults";

const WAIT_MS = 120;
/** While it is not kept, it is tried again so often. */
const AGAIN_MS = 3000;

/** Keeps the piece of a session as it changes, and hears of what other windows make of it. */
export function keepingOf(store: SessionStore, record: PieceRecord, repository: Repository) {
  let revision: number | null = record.revision;
  let written = { piece: record.piece, drafts: record.drafts, unmeasured: record.unmeasured };
  let keptAt = record.changed;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let writing: Promise<void> = Promise.resolve();

  const get = store.getState;
  const isUnwritten = () => get().piece !== written.piece || get().drafts !== written.drafts || get().unmeasured !== written.unmeasured;
  const toKeep = (): Unrevised<PieceRecord> => {
    const { piece, drafts, unmeasured } = get();
    return { id: record.id, piece, drafts, unmeasured, changed: new Date().toISOString(), deleted: null };
  };

  /** Says that everything is kept, if it is: also after a change that was taken back before it was written. */
  function settle(): void {
    if (isUnwritten()) return;
    clearJournal(record.id);
    store.setState({ keeping: repository.kind === "memory" ? { state: "memory" } : { state: "kept", at: keptAt } });
  }

  /** Whether another window has the last word, and the maker has not answered yet. */
  const isOvertaken = () => get().keeping.state === "elsewhere" || get().keeping.state === "deleted";

  /** Tells that what is kept is no longer what this was made on. */
  function overtaken(newer: PieceRecord | null): void {
    const isGone = newer === null || newer.deleted !== null;
    store.setState({ keeping: isGone ? { state: "deleted", newer } : { state: "elsewhere", newer } });
  }

  async function write(): Promise<void> {
    if (isOvertaken()) return;
    if (!isUnwritten()) return settle();
    await put(toKeep());
  }

  async function put(next: Unrevised<PieceRecord>): Promise<void> {
    try {
      const [outcome] = await repository.write([{ store: "pieces", put: next, madeOn: revision }]);
      if (!outcome) throw new RangeError("a repository answered nothing");
      const record = (outcome.ok ? outcome.record : outcome.newer) as PieceRecord | null;
      if (!outcome.ok && outcome.faults) return store.setState({ keeping: { state: "refused", problem: faultLine(outcome.faults[0]!) } });
      // What the browser cleared was not deleted by its maker: it is kept anew.
      if (!outcome.ok && !record && repository.wasCleared() && revision !== null) {
        revision = null;
        return await put(next);
      }
      if (!outcome.ok && (!record || !isSame(record, next))) return overtaken(record);
      revision = record!.revision;
      written = { piece: next.piece, drafts: next.drafts, unmeasured: next.unmeasured };
      keptAt = next.changed;
      settle();
      tell({ kind: "pieces", ids: [record!.id] });
    } catch (error) {
      if (!(error instanceof RepositoryError)) throw error;
      store.setState({ keeping: { state: "trouble", trouble: error.trouble } });
      timer ??= setTimeout(() => void flush(), AGAIN_MS);
    }
  }

  /** Writes one after the other, so that each is made on the revision before it. */
  function flush(): Promise<void> {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    writing = writing.then(write);
    return writing;
  }

  const stopWatching = store.subscribe((now, then) => {
    if (now.piece === then.piece && now.drafts === then.drafts && now.unmeasured === then.unmeasured) return;
    if (isOvertaken()) return;
    if (now.keeping.state === "kept") store.setState({ keeping: { state: "writing" } });
    timer ??= setTimeout(() => void flush(), WAIT_MS);
  });

  const onHide = () => {
    if (document.visibilityState !== "hidden" || !isUnwritten() || repository.kind === "memory") return;
    if (!isOvertaken()) writeJournal(record.id, { kind: "piece", record: toKeep(), madeOn: revision });
    void flush();
  };
  document.addEventListener("visibilitychange", onHide);
  window.addEventListener("pagehide", onHide);

  const stopListening = listen((news) => {
    if (news.kind !== "pieces" || !news.ids.includes(record.id)) return;
    void repository.piece(record.id).then((newer) => {
      if (newer ? newer.revision > (revision ?? 0) : !repository.wasCleared()) overtaken(newer);
    }, isTold);
  });

  return {
    flush,

    /** Whether something of what is here is not written yet. */
    isUnwritten,

    /** Takes what another window wrote, in place of what is here. */
    takeNewer: (): void => {
      const { keeping } = get();
      if (keeping.state !== "elsewhere") return;
      const { newer } = keeping;
      revision = newer.revision;
      keptAt = newer.changed;
      written = { piece: newer.piece, drafts: newer.drafts, unmeasured: newer.unmeasured };
      clearJournal(record.id);
      store.setState({ ...written, keeping: { state: "kept", at: newer.changed } });
    },

    /** Puts a piece that another window deleted back, as it is here. */
    putBack: async (): Promise<void> => {
      const { keeping } = get();
      if (keeping.state !== "deleted") return;
      revision = keeping.newer?.revision ?? null;
      store.setState({ keeping: { state: "writing" } });
      await put(toKeep());
    },

    close: async (): Promise<void> => {
      stopListening();
      document.removeEventListener("visibilitychange", onHide);
      window.removeEventListener("pagehide", onHide);
      await flush();
      if (timer !== null) clearTimeout(timer);
      timer = null;
      stopWatching();
    },
  };
}

/** Whether what is kept is what was to be kept, written by another window or an earlier start. */
function isSame(kept: PieceRecord, next: Unrevised<PieceRecord>): boolean {
  const told = ({ piece, drafts, unmeasured, deleted }: Unrevised<PieceRecord>) => JSON.stringify([piece, drafts, unmeasured, deleted]);
  return told(kept) === told(next);
}
