import { type Draft as Editable, produce } from "immer";
import { temporal } from "zundo";
import { createStore } from "zustand/vanilla";
import { type Piece } from "@/core/piece/piece";
import { type BenchEntry } from "@/core/piece/bench";
import { fitsSchema, pieceFaults } from "@/formats/piece-codec";
import { faultMessage } from "@/words/faults";
import { type Fault } from "@/core/piece/fault";
import { clearJournal, writeJournal } from "./journal";
import { type Drafts, KeepError, type Keeper, type PieceRecord, type Trouble, type Unrevised } from "./keeper";
import { listen, tell } from "./news";

export type Recipe = (piece: Editable<Piece>) => void;

/** What a field's text was read as. */
export type FieldReading<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string };

/** A field that is typed in: how its text is read, and how its value is put into the piece. */
export interface TypedField<T> {
  readonly key: string;
  read(text: string): FieldReading<T>;
  write(piece: Editable<Piece>, value: T): void;
}

/** How the piece is kept right now. */
export type Keeping =
  | { readonly state: "kept"; readonly at: string }
  | { readonly state: "writing" }
  | { readonly state: "memory" }
  | { readonly state: "trouble"; readonly trouble: Trouble }
  | { readonly state: "elsewhere"; readonly newer: PieceRecord }
  /** Another window deleted it; `newer` is how it is kept, null once it is gone for good. */
  | { readonly state: "deleted"; readonly newer: PieceRecord | null };

export interface SessionState {
  readonly piece: Piece;
  readonly drafts: Drafts;
  readonly unmeasured: readonly string[];
  readonly keeping: Keeping;
  /** Why what is being dragged cannot lie where it was dragged to; null while it can. */
  readonly refused: string | null;
  /** Whether something of a drawing is being dragged. */
  readonly isHeld: boolean;
}

const WAIT_MS = 300;
/** While it is not kept, it is tried again so often. */
const AGAIN_MS = 3000;
const MOST_UNDO = 200;

/** One piece being worked on: its edits, its undo, and its keeping. */
export type Session = ReturnType<typeof openSession>;

export function openSession(record: PieceRecord, keeper: Keeper, bench: () => BenchEntry) {
  const store = createStore<SessionState>()(
    temporal(
      (): SessionState => ({
        piece: record.piece,
        drafts: record.drafts,
        unmeasured: record.unmeasured,
        keeping: keeper.kind === "memory" ? { state: "memory" } : { state: "kept", at: record.changed },
        refused: null,
        isHeld: false,
      }),
      {
        partialize: ({ piece, unmeasured }) => ({ piece, unmeasured }),
        equality: (a, b) => a.piece === b.piece && a.unmeasured === b.unmeasured,
        limit: MOST_UNDO,
      },
    ),
  );
  const history = store.temporal;
  const fields = new Map<string, TypedField<unknown>>();
  /** The piece before the field or drag at hand, while one is. */
  let before: Pick<SessionState, "piece" | "unmeasured"> | null = null;
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
    store.setState({ keeping: keeper.kind === "memory" ? { state: "memory" } : { state: "kept", at: keptAt } });
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
      const [put] = await keeper.write([{ store: "pieces", put: next, madeOn: revision }]);
      if (!put) throw new RangeError("a keeper answered nothing");
      const record = (put.ok ? put.record : put.newer) as PieceRecord | null;
      if (!put.ok && (!record || !isSame(record, next))) return overtaken(record);
      revision = record!.revision;
      written = { piece: next.piece, drafts: next.drafts, unmeasured: next.unmeasured };
      keptAt = next.changed;
      settle();
      tell({ kind: "pieces", ids: [record!.id] });
    } catch (error) {
      if (!(error instanceof KeepError)) throw error;
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
    if (document.visibilityState !== "hidden" || !isUnwritten() || keeper.kind === "memory") return;
    if (!isOvertaken()) writeJournal(record.id, { kind: "piece", record: toKeep(), madeOn: revision });
    void flush();
  };
  document.addEventListener("visibilitychange", onHide);
  window.addEventListener("pagehide", onHide);

  const stopListening = listen((news) => {
    if (news.kind !== "pieces" || !news.ids.includes(record.id)) return;
    void keeper.piece(record.id).then((newer) => {
      if (!newer || newer.revision > (revision ?? 0)) overtaken(newer);
    });
  });

  const faultsNow = (piece: Piece): Fault[] => pieceFaults(piece, piece.benchUsed ?? bench());

  /**
   * The piece with a change made, or why it cannot be. One that is at fault already takes what leaves fewer faults and no new one; of a choice
   * also what leaves the fields at fault that were.
   */
  function tried(recipe: Recipe, isChoice = false): FieldReading<Piece> {
    const piece = produce(get().piece, recipe);
    const faults = faultsNow(piece);
    if (faults.length === 0) return { ok: true, value: piece };
    const known = faultsNow(get().piece);
    const isNew = (fault: Fault) => !known.some(({ path, code }) => path === fault.path && code === fault.code);
    const added = faults.find(isNew);
    const isNoWorse = isChoice && known.length > 0 && faults.every(({ path }) => known.some((each) => each.path === path));
    const isBetter = (!added && faults.length < known.length) || isNoWorse;
    if (isBetter || (!fitsSchema(get().piece) && fitsSchema(piece))) return { ok: true, value: piece };
    return { ok: false, problem: faultMessage(added ?? faults[0]!) };
  }

  function take(piece: Piece, drafts: Drafts, key: string | null): void {
    const { unmeasured } = get();
    const isMeasured = key !== null && unmeasured.includes(key);
    store.setState({ piece, drafts, unmeasured: isMeasured ? unmeasured.filter((each) => each !== key) : unmeasured, refused: null });
  }

  /** What was typed and could not be taken may fit now. */
  function retry(): void {
    for (const [key, draft] of Object.entries(get().drafts)) {
      const field = fields.get(key);
      if (!field || draft.problem === null) continue;
      const reading = field.read(draft.text);
      const result = reading.ok ? tried((piece) => field.write(piece, reading.value)) : reading;
      if (result.ok) take(result.value, { ...get().drafts, [key]: { text: draft.text, problem: null } }, key);
    }
  }

  /** Opens a step of undo, which `commit` closes. */
  function begin(): void {
    if (before !== null) return;
    const { piece, unmeasured } = get();
    before = { piece, unmeasured };
    history.getState().pause();
  }

  /** Opens a step of undo for a drag, in whose time drawings keep their scale. */
  function hold(): void {
    begin();
    store.setState({ isHeld: true });
  }

  /** Closes the step of undo that typing or dragging opened. */
  function commit(): void {
    if (get().isHeld) store.setState({ isHeld: false });
    if (before === null) return;
    const { piece, unmeasured } = get();
    const [first, last] = [before, { piece, unmeasured }];
    before = null;
    if (JSON.stringify(first) === JSON.stringify(last)) return history.getState().resume();
    store.setState(first);
    history.getState().resume();
    store.setState(last);
  }

  /** Makes a change that is not typed: a choice, or one move of a drag. Returns why it could not be, or null. */
  function change(recipe: Recipe, key: string | null = null): string | null {
    const result = tried(recipe, true);
    if (!result.ok) return result.problem;
    const { [key ?? ""]: _dropped, ...drafts } = get().drafts;
    take(result.value, key === null ? get().drafts : drafts, key);
    retry();
    return null;
  }

  return {
    store,
    history,
    id: record.id,
    hold,
    commit,
    flush,

    /** Says how a field is read, so that what is wrong in it can be tried again when another changes. */
    register<T>(field: TypedField<T>): void {
      fields.set(field.key, field);
    },

    /** Takes what was typed so far. The text is kept whatever it is; the piece takes it if it can. */
    type<T>(field: TypedField<T>, text: string): void {
      begin();
      const reading = field.read(text);
      const result = reading.ok ? tried((piece) => field.write(piece, reading.value)) : reading;
      const drafts = { ...get().drafts, [field.key]: { text, problem: result.ok ? null : result.problem } };
      if (!result.ok) return store.setState({ drafts });
      take(result.value, drafts, field.key);
      retry();
    },

    change,

    /** Makes a choice by which fields come to be guessed, or are no longer. Returns why it could not be, or null. */
    choose(recipe: Recipe, guessed: (before: readonly string[]) => readonly string[]): string | null {
      begin();
      const problem = change(recipe);
      if (problem === null) store.setState({ unmeasured: guessed(get().unmeasured) });
      commit();
      return problem;
    },

    /** Says why a drag stops short, until it goes on. */
    refuse(refused: string | null): void {
      if (get().refused !== refused) store.setState({ refused });
    },

    undo: (): void => {
      commit();
      history.getState().undo();
    },

    redo: (): void => {
      commit();
      history.getState().redo();
    },

    /** Takes what another window wrote, in place of what is here. */
    takeNewer(): void {
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
    async putBack(): Promise<void> {
      const { keeping } = get();
      if (keeping.state !== "deleted") return;
      revision = keeping.newer?.revision ?? null;
      store.setState({ keeping: { state: "writing" } });
      await put(toKeep());
    },

    async close(): Promise<void> {
      commit();
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
