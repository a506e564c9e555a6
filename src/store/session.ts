import { type Draft as Editable, produce } from "immer";
import { type Piece } from "@/core/piece/piece";
import { type BenchEntry, benchOf } from "@/core/piece/bench";
import { fitsSchema, pieceFaults } from "@/formats/piece-codec";
import { faultMessage } from "@/words/faults";
import { nameNow } from "@/words/piece-name";
import { type Fault } from "@/core/piece/fault";
import { type Drafts, type Repository, type PieceRecord } from "./repository";
import { keepingOf } from "./session-keeping";
import { sessionStore } from "./session-state";
import { undoOf } from "./session-undo";

export type Recipe = (piece: Editable<Piece>) => void;

/** What a field's text was read as. */
export type FieldReading<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string };

/** A field that is typed in: how its text is read, and how its value is put into the piece. */
export interface TypedField<T> {
  readonly key: string;
  /** The field that is measured by it too, where it is another way to say the same. */
  readonly measures?: string;
  read(text: string): FieldReading<T>;
  /** What is wrong with a value that the piece cannot have, in the maker's unit. */
  say?(fault: Fault): string;
  write(piece: Editable<Piece>, value: T): void;
}

/** One piece being worked on: its edits, its undo, and its keeping. */
export type Session = ReturnType<typeof openSession>;

export function openSession(record: PieceRecord, repository: Repository, bench: () => BenchEntry) {
  const store = sessionStore(record, repository);
  const { history, begin, hold, commit, undo, redo } = undoOf(store);
  const { flush, isUnwritten, takeNewer, putBack, close: closeKeeping } = keepingOf(store, record, repository);
  const fields = new Map<string, TypedField<unknown>>();
  const get = store.getState;

  const faultsNow = (piece: Piece): Fault[] => pieceFaults(piece, benchOf(piece, bench()));

  /**
   * The piece after an edit, or why the edit is refused. A piece that has faults accepts an edit that leaves fewer and adds none; for a choice, the
   * same fields may stay at fault.
   */
  function tried(recipe: Recipe, isChoice = false, say: (fault: Fault) => string = faultMessage): FieldReading<Piece> {
    const before = get().piece;
    const piece = produce(before, (draft) => {
      recipe(draft);
      draft.name = nameNow(before, draft);
    });
    const faults = faultsNow(piece);
    if (faults.length === 0) return { ok: true, value: piece };
    const known = faultsNow(get().piece);
    const isNew = (fault: Fault) => !known.some(({ path, code }) => path === fault.path && code === fault.code);
    const added = faults.find(isNew);
    const isNoWorse = isChoice && known.length > 0 && faults.every(({ path }) => known.some((each) => each.path === path));
    const isBetter = (!added && faults.length < known.length) || isNoWorse;
    if (isBetter || (!fitsSchema(get().piece) && fitsSchema(piece))) return { ok: true, value: piece };
    return { ok: false, problem: say(added ?? faults[0]!) };
  }

  const sayOf = (field: Pick<TypedField<unknown>, "say">) => (fault: Fault) => field.say?.(fault) ?? faultMessage(fault);

  function take(piece: Piece, drafts: Drafts, ...keys: readonly (string | null | undefined)[]): void {
    const { unmeasured } = get();
    const isMeasured = unmeasured.some((each) => keys.includes(each));
    store.setState({
      piece,
      drafts,
      unmeasured: isMeasured ? unmeasured.filter((each) => !keys.includes(each)) : unmeasured,
      refused: null,
    });
  }

  /** What was typed and could not be taken may fit now. */
  function retry(): void {
    for (const [key, draft] of Object.entries(get().drafts)) {
      const field = fields.get(key);
      if (!field || draft.problem === null) continue;
      const reading = field.read(draft.text);
      const result = reading.ok ? tried((piece) => field.write(piece, reading.value), false, sayOf(field)) : reading;
      if (result.ok) take(result.value, { ...get().drafts, [key]: { text: draft.text, problem: null } }, key);
    }
  }

  /** Makes a change that is not typed: a choice, or one move of a drag. Returns why it could not be, or null. */
  function change(recipe: Recipe, key: string | null = null): string | null {
    const result = tried(recipe, true);
    if (!result.ok) return result.problem;
    take(result.value, key === null ? get().drafts : without(get().drafts, key), key);
    retry();
    return null;
  }

  return {
    store,
    id: record.id,
    history,
    hold,
    commit,
    undo,
    redo,
    flush,
    isUnwritten,
    takeNewer,
    putBack,

    /** Says how a field is read, so that what is wrong in it can be tried again when another changes. */
    register<T>(field: TypedField<T>): void {
      fields.set(field.key, field);
    },

    /** Takes what was typed so far. The text is kept whatever it is; the piece takes it if it can. */
    type<T>(field: TypedField<T>, text: string): void {
      begin();
      const reading = field.read(text);
      const result = reading.ok ? tried((piece) => field.write(piece, reading.value), false, sayOf(field)) : reading;
      const drafts = { ...get().drafts, [field.key]: { text, problem: result.ok ? null : result.problem } };
      if (!result.ok) return store.setState({ drafts });
      take(result.value, drafts, field.key, field.measures);
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

    async close(): Promise<void> {
      commit();
      await closeKeeping();
    },
  };
}

/** Returns the same object if the key has no draft, so that subscribers are not notified at each drag move. */
function without(drafts: Drafts, key: string): Drafts {
  if (!(key in drafts)) return drafts;
  const { [key]: _dropped, ...rest } = drafts;
  return rest;
}
