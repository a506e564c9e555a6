import { type Draft as Editable, produce } from "immer";
import { temporal } from "zundo";
import { createStore } from "zustand/vanilla";
import { type Piece } from "@/core/piece/piece";
import { type BenchEntry } from "@/core/piece/bench";
import { pieceFromJson } from "@/formats/piece-codec";
import { type Json } from "@/formats/read-json";
import { faultMessage } from "@/words/faults";
import { clearJournal, writeJournal } from "./journal";
import { type Drafts, KeepError, type Keeper, type PieceRecord, type Trouble } from "./keeper";
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
  | { readonly state: "elsewhere"; readonly newer: PieceRecord };

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
      { partialize: ({ piece }) => ({ piece }), equality: (a, b) => a.piece === b.piece, limit: MOST_UNDO },
    ),
  );
  const history = store.temporal;
  const fields = new Map<string, TypedField<unknown>>();
  /** The piece before the field or drag at hand, while one is. */
  let before: Piece | null = null;
  let revision: number | null = record.revision;
  let written = { piece: record.piece, drafts: record.drafts, unmeasured: record.unmeasured };
  let keptAt = record.changed;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let writing: Promise<void> = Promise.resolve();

  const get = store.getState;
  const isUnwritten = () => get().piece !== written.piece || get().drafts !== written.drafts || get().unmeasured !== written.unmeasured;
  const toKeep = (): Omit<PieceRecord, "revision"> => {
    const { piece, drafts, unmeasured } = get();
    return { id: record.id, piece, drafts, unmeasured, changed: new Date().toISOString(), deleted: null };
  };

  /** Says that everything is kept, if it is: also after a change that was taken back before it was written. */
  function settle(): void {
    if (isUnwritten()) return;
    clearJournal(record.id);
    store.setState({ keeping: keeper.kind === "memory" ? { state: "memory" } : { state: "kept", at: keptAt } });
  }

  async function write(): Promise<void> {
    if (get().keeping.state === "elsewhere") return;
    if (!isUnwritten()) return settle();
    const next = toKeep();
    try {
      const put = await keeper.putPiece(next, revision);
      if (!put.ok) return store.setState({ keeping: { state: "elsewhere", newer: put.newer } });
      revision = put.record.revision;
      written = { piece: next.piece, drafts: next.drafts, unmeasured: next.unmeasured };
      keptAt = next.changed;
      settle();
      tell({ kind: "piece", id: record.id, revision });
    } catch (error) {
      if (!(error instanceof KeepError)) throw error;
      store.setState({ keeping: { state: "trouble", trouble: error.trouble } });
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
    if (now.keeping.state === "elsewhere") return;
    if (now.keeping.state === "kept") store.setState({ keeping: { state: "writing" } });
    timer ??= setTimeout(() => void flush(), WAIT_MS);
  });

  const onHide = () => {
    if (document.visibilityState !== "hidden" || !isUnwritten() || keeper.kind === "memory") return;
    if (get().keeping.state !== "elsewhere") writeJournal(toKeep(), revision);
    void flush();
  };
  document.addEventListener("visibilitychange", onHide);
  window.addEventListener("pagehide", onHide);

  const stopListening = listen((news) => {
    if (news.kind !== "piece" || news.id !== record.id || revision === null || news.revision <= revision) return;
    void keeper.piece(record.id).then((newer) => {
      if (newer && newer.revision > (revision ?? 0)) store.setState({ keeping: { state: "elsewhere", newer } });
    });
  });

  /** The piece with a change made, or why it cannot be. */
  function tried(recipe: Recipe): FieldReading<Piece> {
    const piece = produce(get().piece, recipe);
    const decoded = pieceFromJson(piece as unknown as Json, piece.benchUsed ?? bench());
    return decoded.ok ? { ok: true, value: piece } : { ok: false, problem: faultMessage(decoded.faults[0]!) };
  }

  function take(piece: Piece, drafts: Drafts, key: string | null): void {
    store.setState({ piece, drafts, unmeasured: get().unmeasured.filter((each) => each !== key), refused: null });
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
    before = get().piece;
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
    const [first, last] = [before, get().piece];
    before = null;
    if (JSON.stringify(first) === JSON.stringify(last)) return history.getState().resume();
    store.setState({ piece: first });
    history.getState().resume();
    store.setState({ piece: last });
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

    /** Makes a change that is not typed: a choice, or one move of a drag. Returns why it could not be, or null. */
    change(recipe: Recipe, key: string | null = null): string | null {
      const result = tried(recipe);
      if (!result.ok) return result.problem;
      const { [key ?? ""]: _dropped, ...drafts } = get().drafts;
      take(result.value, key === null ? get().drafts : drafts, key);
      retry();
      return null;
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
      store.setState({
        piece: newer.piece,
        drafts: newer.drafts,
        unmeasured: newer.unmeasured,
        keeping: { state: "kept", at: newer.changed },
      });
    },

    async close(): Promise<void> {
      commit();
      stopListening();
      document.removeEventListener("visibilitychange", onHide);
      window.removeEventListener("pagehide", onHide);
      await flush();
      stopWatching();
    },
  };
}
