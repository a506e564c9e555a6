import { createStore } from "zustand/vanilla";
import { type Make } from "@/core/piece/make";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { type ReadBackup } from "@/formats/backup-codec";
import { type BenchChange, type BenchRecipe } from "./bench-changes";
import { deviceKeeper } from "./device";
import { freeId } from "./ids";
import { clearJournal, dropAside, readJournal, setAside, writeJournal } from "./journal";
import {
  type Change,
  type Drafts,
  KeepError,
  type Keeper,
  type MakeRecord,
  type Outcome,
  type PieceRecord,
  type ReadStore,
  type Trouble,
  type Unreadable,
  type Unrevised,
  type Writing,
  newestFirst,
} from "./keeper";
import { memoryKeeper } from "./memory";
import { listen, tell } from "./news";
import { type JournalEntry, type News } from "./read-kept";
import { type RestoreAnswers, makeRecord, pieceRecord, restoreChanges } from "./restoring";

export interface TrayState {
  readonly keeper: Keeper;
  readonly bench: BenchEntry;
  /** The pieces read so far, newest change first, the deleted ones among them. */
  readonly pieces: readonly PieceRecord[];
  /** Whether those are all. */
  readonly isWhole: boolean;
  /** Ids of all pieces kept, as far as they are known. */
  readonly ids: readonly string[];
  /** The newest making of each piece, by the piece's id. */
  readonly makes: Readonly<Record<string, Make>>;
  /** What is kept and cannot be read. */
  readonly unreadable: readonly Unreadable[];
  readonly trouble: Trouble | null;
  /** Ticks of this page that can be taken back, and done again, by the piece's id. */
  readonly ticks: Readonly<Record<string, TickSteps>>;
  /** How many changes of the bench can be undone, and done again. */
  readonly benchSteps: { readonly past: number; readonly future: number };
}

interface Tick {
  readonly step: string;
  readonly isDone: boolean;
}

interface TickSteps {
  readonly past: readonly Tick[];
  readonly future: readonly Tick[];
}

const NO_TICKS: TickSteps = { past: [], future: [] };

/** The pieces, the bench, and where they are kept: one for the page. */
export type Tray = ReturnType<typeof trayOn>;

/** Pieces that stand on the tray before the rest is read. */
const FIRST_SHOWN = 40;
/** Past so many the whole store is read again rather than each. */
const MOST_ONE_BY_ONE = 40;
/** While there is no room, it is tried again so often (ms). */
const AGAIN_MS = 4000;
const MOST_UNDO = 200;

/**
 * Opens what this browser keeps, or memory where it keeps nothing; `demo` gives what a tray that has never held a piece is filled with.
 * Always ends with a tray: what goes wrong on the way is its trouble, or stands among what could not be read.
 */
export async function openTray(demo: (() => Promise<readonly Piece[]>) | null): Promise<Tray> {
  let trouble: Trouble | null = null;
  const keeper = await deviceKeeper().catch((error: unknown) => {
    if (!(error instanceof KeepError)) throw error;
    trouble = error.trouble;
    return memoryKeeper();
  });
  const tray = trayOn(keeper, trouble);
  if (keeper.kind === "device") {
    await tray.replay();
    void navigator.storage?.persist?.();
  }
  const isRead = await tray.readNewest();
  const { pieces, unreadable, isWhole } = tray.store.getState();
  const isEmpty = isRead && isWhole && pieces.length === 0 && unreadable.every(({ store }) => store !== "pieces");
  if (demo && isEmpty && trouble !== "newer") await tray.addAll(await demo()).catch(isTold);
  void tray.readMakes();
  return tray;
}

/** What a keeper refused is told as the tray's trouble; anything else is our own mistake. */
function isTold(error: unknown): void {
  if (!(error instanceof KeepError)) throw error;
}

function trayOn(keeper: Keeper, trouble: Trouble | null) {
  const store = createStore<TrayState>()(() => ({
    keeper,
    bench: SHIPPED_BENCH,
    pieces: [],
    isWhole: false,
    ids: [],
    makes: {},
    unreadable: [],
    trouble,
    ticks: {},
    benchSteps: { past: 0, future: 0 },
  }));
  const get = store.getState;
  let again: ReturnType<typeof setTimeout> | null = null;
  let kept: Readonly<Record<string, Make>> = {};
  const underWay = new Set<Tick & { readonly make: Make }>();
  const undone: { past: BenchChange[]; future: BenchChange[] } = { past: [], future: [] };

  /** What of a store cannot be read takes the place of what was known of it. */
  function noteUnreadable(where: Unreadable["store"], found: readonly Unreadable[]): void {
    const others = get().unreadable.filter(({ store }) => store !== where);
    if (others.length + found.length > 0 || get().unreadable.length > 0) store.setState({ unreadable: [...others, ...found] });
  }

  /** As many pieces as a screen first shows. Returns whether they could be read. */
  async function readNewest(): Promise<boolean> {
    try {
      const [newest] = await Promise.all([keeper.newest(FIRST_SHOWN), readBench()]);
      const { records, unreadable, of } = newest;
      noteUnreadable("pieces", unreadable);
      noteUnreadable("journal", keeper.kind === "device" ? setAside() : []);
      store.setState({ pieces: records, ids: records.map(({ id }) => id), isWhole: records.length + unreadable.length >= of });
      return true;
    } catch (error) {
      console.error("the tray could not be read", error);
      store.setState({ trouble: "failed" });
      return false;
    }
  }

  async function readBench(): Promise<void> {
    const { records, unreadable } = await keeper.bench();
    noteUnreadable("settings", unreadable);
    store.setState({ bench: records[0]?.bench ?? SHIPPED_BENCH });
  }

  /** Ids of all pieces kept by now, in whatever window. */
  async function allIds(): Promise<ReadonlySet<string>> {
    const ids = await keeper.ids();
    store.setState({ ids });
    return new Set(ids);
  }

  /** The rest, which a page that stands already can wait for. */
  async function readAll(): Promise<void> {
    if (!get().isWhole) await readPieces();
  }

  async function readPieces(): Promise<void> {
    const { records, unreadable }: ReadStore<PieceRecord> = await keeper.pieces();
    const pieces = [...records].sort(newestFirst);
    noteUnreadable("pieces", unreadable);
    store.setState({ pieces, ids: [...pieces.map(({ id }) => id), ...unreadable.map(({ key }) => String(key))], isWhole: true });
  }

  async function readMakes(): Promise<void> {
    const { records, unreadable } = await keeper.makes();
    noteUnreadable("makes", unreadable);
    kept = newestMakes(records);
    showMakes();
  }

  /** What is kept, with the ticks that are being kept now. */
  function showMakes(): void {
    const makes = { ...kept };
    for (const { make, step, isDone } of underWay) makes[make.piece] = ticked(makes[make.piece] ?? make, step, isDone);
    store.setState({ makes });
  }

  /** Reads these pieces again, as they are kept now. */
  async function read(ids: readonly string[]): Promise<void> {
    if (ids.length > MOST_ONE_BY_ONE) return readPieces();
    const now = (await Promise.all(ids.map((id) => keeper.piece(id)))).filter((record) => record !== null);
    store.setState(({ pieces, ids: all }) => ({
      pieces: [...pieces.filter(({ id }) => !ids.includes(id)), ...now].sort(newestFirst),
      ids: [...all.filter((id) => !ids.includes(id)), ...now.map(({ id }) => id)],
    }));
  }

  async function hear(news: News): Promise<void> {
    if (news.kind === "pieces") await read(news.ids);
    if (news.kind === "makes") await readMakes();
    if (news.kind === "bench") await readBench();
  }
  const stopListening = listen((news) => void hear(news).catch((error: unknown) => console.error("news not followed", error)));

  /** Makes changes, and shows and tells what has changed. @throws KeepError, with the tray's trouble set to it */
  async function write(changes: readonly Change[], how: Writing = {}): Promise<Outcome[]> {
    const of = (name: Change["store"]) => changes.filter((change) => change.store === name);
    const ids = of("pieces").map(keyOf);
    try {
      const outcomes = await keeper.write(changes, how);
      if (keeper.kind === "device" && get().trouble !== null) store.setState({ trouble: null });
      return outcomes;
    } catch (error) {
      if (error instanceof KeepError && error.trouble !== "stopped") inTrouble(error.trouble);
      throw error;
    } finally {
      if (ids.length > 0) await read(ids);
      if (of("makes").length > 0) await readMakes();
      if (of("settings").length > 0) await readBench();
      if (ids.length > 0) tell({ kind: "pieces", ids });
      if (of("makes").length > 0) tell({ kind: "makes", ids: [] });
      if (of("settings").length > 0) tell({ kind: "bench" });
    }
  }

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
      if (!name.startsWith(WAITING) && isOpenHere.has(name)) continue;
      try {
        await settleEntry(entry);
        clearJournal(name);
      } catch (error) {
        if (!(error instanceof KeepError)) throw error;
        const waits = name.startsWith(WAITING) ? name : `${WAITING}${Date.now()}-${name}`;
        writeJournal(waits, entry);
        if (waits !== name) clearJournal(name);
        inTrouble(error.trouble);
        return;
      }
    }
    if (get().trouble === "full" || get().trouble === "failed") store.setState({ trouble: null });
  }

  async function settleEntry(entry: JournalEntry): Promise<void> {
    if (entry.kind === "piece") return settlePiece(entry.record, entry.madeOn);
    if (entry.kind === "tick") return void (await keeper.write([tickChange(entry.make, entry.step, entry.isDone, now())]));
    const { changed } = await import("./bench-changes");
    await keeper.write([benchChange((kept) => changed(kept, entry.edits))]);
  }

  /** Where the kept piece has not moved on since; else as a copy, so that nothing typed is lost. */
  async function settlePiece(record: Unrevised<PieceRecord>, madeOn: number | null): Promise<void> {
    const [put] = await keeper.write([{ store: "pieces", put: record, madeOn }]);
    const newer = put && !put.ok ? (put.newer as PieceRecord | null) : null;
    if (!put || put.ok || (newer && JSON.stringify(newer.piece) === JSON.stringify(record.piece))) return;
    const name = `${record.piece.name} (kept)`.slice(0, LONGEST_NAME);
    await lay((id) => ({ ...record, id, piece: { ...record.piece, id, name } }), record.id);
  }

  /** Lays down a piece under an id like this one that no other has, whatever other windows do meanwhile. Returns the id. */
  async function lay(make: (id: string) => Unrevised<PieceRecord>, like: string): Promise<string> {
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const taken = await allIds();
      const id = taken.has(like) ? freeId(taken, like) : like;
      const [put] = await write([{ store: "pieces", put: make(id), madeOn: null }]);
      if (put?.ok) return id;
    }
    throw new KeepError("failed", new RangeError(`no id like ${like} is free`));
  }

  const now = () => new Date().toISOString();
  const idFor = (name: string) => freeId(new Set(get().ids), name);
  const isOpenHere = new Set<string>();

  async function stepBench(way: "past" | "future"): Promise<string | null> {
    const change = undone[way].at(-1);
    if (!change) return null;
    const { changed, takenBack } = await import("./bench-changes");
    const edits = way === "past" ? takenBack(change) : change;
    const problem = await keepBench(edits, (bench) => changed(bench, edits, true));
    undone[way].pop();
    if (problem === null) undone[way === "past" ? "future" : "past"].push(change);
    countBenchSteps();
    return problem;
  }

  function countBenchSteps(): void {
    store.setState({ benchSteps: { past: undone.past.length, future: undone.future.length } });
  }

  /** Returns why the bench is not kept so, or null. */
  async function keepBench(edits: BenchChange, next: (bench: BenchEntry) => BenchEntry | null): Promise<string | null> {
    const name = `bench-${Date.now()}-${crypto.randomUUID().slice(0, 8)}`;
    if (keeper.kind === "device") writeJournal(name, { kind: "bench", edits });
    try {
      const [put] = await write([benchChange((kept) => next(kept ?? SHIPPED_BENCH))]);
      return put?.ok ? null : "another window has changed it since";
    } catch (error) {
      isTold(error);
      return "it is not kept: see above";
    } finally {
      clearJournal(name);
    }
  }

  async function keepTick(piece: Piece, { step, isDone }: Tick, steps: TickSteps): Promise<boolean> {
    const make = get().makes[piece.id] ?? startMake(piece, now());
    const name = `tick-${make.id}-${step}`;
    if (keeper.kind === "device") writeJournal(name, { kind: "tick", piece: piece.id, make, step, isDone });
    const tick = { make, step, isDone };
    const before = get().ticks[piece.id] ?? NO_TICKS;
    const setSteps = (of: TickSteps) => store.setState(({ ticks }) => ({ ticks: { ...ticks, [piece.id]: of } }));
    underWay.add(tick);
    showMakes();
    setSteps(steps);
    try {
      await write([tickChange(make, step, isDone, now())]);
      return true;
    } catch (error) {
      isTold(error);
      setSteps(before);
      underWay.delete(tick);
      return false;
    } finally {
      clearJournal(name);
      // Until it is read back it stays laid over what is known: a tick beside it would else show it as never made.
      await readMakes().finally(() => underWay.delete(tick));
      showMakes();
    }
  }

  /** Changes the bench as it then is. Returns why it cannot be, or null. */
  async function changeBench(recipe: BenchRecipe): Promise<string | null> {
    const { changeOf, changed } = await import("./bench-changes");
    const made = changeOf(get().bench, recipe);
    if (!made.ok) return made.problem;
    const { change } = made;
    if (change.length === 0) return null;
    const problem = await keepBench(change, (bench) => changed(bench, change));
    if (problem !== null) return problem;
    undone.past = [...undone.past, change].slice(-MOST_UNDO);
    undone.future = [];
    countBenchSteps();
    return null;
  }

  return {
    store,
    readNewest,
    readAll,
    readMakes,
    read,
    replay,
    idFor,
    allIds,

    /** Hears and tries again no more. */
    close(): void {
      stopListening();
      if (again !== null) clearTimeout(again);
      again = null;
    },

    /** Says that a session writes this piece's journal itself, until it says otherwise. */
    isOpenHere: (id: string, isOpen: boolean) => void (isOpen ? isOpenHere.add(id) : isOpenHere.delete(id)),

    /** Adds those pieces whose ids are free, under their own, all at once, the last given the newest. @throws KeepError */
    async addAll(pieces: readonly Piece[]): Promise<void> {
      const start = Date.now();
      // Two added within a millisecond would lie in no order.
      await write(
        pieces.map((piece, i) => ({ store: "pieces", put: pieceRecord(piece, new Date(start + i).toISOString()), madeOn: null })),
      );
    },

    /** Adds one piece, under another id where its own is taken, with what is typed beside it and what is not measured yet. Returns its id. @throws KeepError */
    add: (piece: Piece, unmeasured: readonly string[] = [], drafts: Drafts = {}) =>
      lay((id) => ({ ...pieceRecord({ ...piece, id }, now()), unmeasured, drafts }), piece.id),

    /** A copy under a name and id of its own. Returns its id. @throws KeepError */
    duplicate: ({ piece, unmeasured, drafts }: Pick<PieceRecord, "piece" | "unmeasured" | "drafts">) =>
      lay(
        (id) => ({ ...pieceRecord({ ...piece, id, name: `${piece.name.slice(0, LONGEST_NAME - 6)}, copy` }, now()), unmeasured, drafts }),
        piece.id,
      ),

    /** Puts a piece in the place of the one that has its id, as a change of it. Returns the id. @throws KeepError */
    async replace(piece: Piece): Promise<string> {
      await write([{ store: "pieces", put: pieceRecord(piece, now()), madeOn: "any" }]);
      return piece.id;
    },

    /** Marks pieces deleted, or not; what is deleted can be had back. @throws KeepError */
    async setDeleted(ids: readonly string[], deleted: boolean): Promise<void> {
      const change = (kept: PieceRecord | null) =>
        kept && (kept.deleted !== null) !== deleted ? { ...kept, deleted: deleted ? now() : null } : null;
      await write(ids.map((id) => ({ store: "pieces", id, change })));
    },

    /** @throws KeepError */
    async rename(id: string, name: string): Promise<void> {
      await write([{ store: "pieces", id, change: (kept) => kept && { ...kept, piece: { ...kept.piece, name }, changed: now() } }]);
    },

    /** Removes pieces and their makings for good. Returns how to have them back, for as long as the page is open. @throws KeepError */
    async remove(ids: readonly string[]): Promise<() => Promise<void>> {
      const gone = new Set(ids);
      const pieces = (await Promise.all(ids.map((id) => keeper.piece(id)))).filter((record) => record !== null);
      const makes = (await keeper.makes()).records.filter(({ piece }) => gone.has(piece));
      await write([
        ...ids.map((id): Change => ({ store: "pieces", remove: id })),
        ...makes.map(({ id }): Change => ({ store: "makes", remove: id })),
      ]);
      return async () => {
        await write([
          ...pieces.map((put): Change => ({ store: "pieces", put, madeOn: null })),
          ...makes.map((put): Change => ({ store: "makes", put, madeOn: null })),
        ]);
      };
    },

    /** Gives up something that cannot be read. @throws KeepError */
    async drop({ store: where, key }: Unreadable): Promise<void> {
      if (where === "journal") dropAside(String(key));
      else await write([{ store: where, remove: key }]);
      store.setState(({ unreadable }) => ({ unreadable: unreadable.filter((each) => each.store !== where || each.key !== key) }));
    },

    /** Ticks a step of a piece's making off, or on again; the first tick starts it. Returns whether it is kept. */
    async tick(piece: Piece, step: string, isDone: boolean): Promise<boolean> {
      const { past } = get().ticks[piece.id] ?? NO_TICKS;
      return keepTick(piece, { step, isDone }, { past: [...past, { step, isDone }].slice(-MOST_UNDO), future: [] });
    },

    /** Takes the last tick back, or makes it again. Returns whether that is kept; true where there is none. */
    async stepTick(piece: Piece, way: "past" | "future"): Promise<boolean> {
      const { past, future } = get().ticks[piece.id] ?? NO_TICKS;
      const tick = (way === "past" ? past : future).at(-1);
      if (!tick) return true;
      const steps =
        way === "past" ? { past: past.slice(0, -1), future: [...future, tick] } : { past: [...past, tick], future: future.slice(0, -1) };
      return keepTick(piece, { step: tick.step, isDone: tick.isDone === (way === "future") }, steps);
    },

    /** Restores what was saved, all of it or none. @throws KeepError, "stopped" where it was cancelled */
    async restore(backup: ReadBackup, answers: RestoreAnswers, how: Writing): Promise<void> {
      const [pieces, makes] = await Promise.all([allIds(), keeper.makes()]);
      const taken = { pieces, makes: new Set(makes.records.map(({ id }) => id)), bench: get().bench };
      await write(restoreChanges(backup, answers, taken, Date.now()), how);
    },

    changeBench,

    /** Takes another bench in place of the maker's. Returns why it cannot be, or null. */
    takeBench: (bench: BenchEntry) =>
      changeBench((each) => {
        for (const key of Object.keys(each)) delete (each as Record<string, unknown>)[key];
        Object.assign(each, bench);
      }),

    /** Takes the last change of the bench back. Returns why it cannot be, or null. */
    undoBench: () => stepBench("past"),
    redoBench: () => stepBench("future"),
  };
}

/** Entries of the journal that found no room: no session writes over them. */
const WAITING = "waiting-";
const MOST_TRIES = 5;
const LONGEST_NAME = 120;

function keyOf(change: Change): string {
  if ("remove" in change) return String(change.remove);
  if ("put" in change) return change.put.id;
  return "id" in change ? change.id : change.piece;
}

function benchChange(next: (bench: BenchEntry | null) => BenchEntry | null): Change {
  return {
    store: "settings",
    id: "bench",
    change: (kept) => {
      const bench = next(kept?.bench ?? null);
      return bench && { id: "bench", bench, changed: new Date().toISOString() };
    },
  };
}

/** Ticks a step of the newest making kept of a piece; of the one given where there is none yet. */
function tickChange(make: Make, step: string, isDone: boolean, changed: string): Change {
  return {
    store: "makes",
    piece: make.piece,
    change: (kept) => {
      const now = newestMakes(kept)[make.piece] ?? make;
      return makeRecord(ticked(now, step, isDone), changed);
    },
  };
}

function ticked(make: Make, step: string, isDone: boolean): Make {
  const others = make.done.filter((each) => each !== step);
  return { ...make, done: isDone ? [...others, step] : others };
}

function newestMakes(records: readonly MakeRecord[]): Record<string, Make> {
  const newest: Record<string, Make> = {};
  for (const { make } of records) if ((newest[make.piece]?.started ?? "") <= make.started) newest[make.piece] = make;
  return newest;
}

/** A making that starts now, with its own copy of the piece. */
function startMake(piece: Piece, started: string): Make {
  const id = `${piece.id.slice(0, 20)}-${started.replace(/[^0-9]/g, "").slice(4, 14)}`;
  return {
    format: "hoop-ledger/make",
    version: 1,
    id,
    piece: piece.id,
    pieceFile: piece,
    started,
    finished: null,
    done: [],
    measured: [],
    notes: "",
  };
}
