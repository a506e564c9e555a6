import { createStore } from "zustand/vanilla";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type ReadBackup } from "@/formats/backup-codec";
import { deviceKeeper } from "./device";
import { halfTypedOn } from "./half-typed";
import { dropAside, noteAsked, setAside, wasAsked, watchJournal } from "./journal";
import {
  type Change,
  RepositoryError,
  idIn,
  type Repository,
  type MakeRecord,
  type Outcome,
  type Trouble,
  type Unreadable,
  type Writing,
} from "./repository";
import { makingsOn } from "./makings";
import { memoryKeeper } from "./memory";
import { benchChange, benchOn } from "./my-bench";
import { listen, tell } from "./news";
import { piecesOn } from "./pieces";
import { type News } from "./read-kept";
import { replayOn } from "./replay";
import { type KeptHere, type RestoreItem, restoreItems } from "./restore-items";
import { cutsOn } from "./cuts";
import { type Choices, cutChange, makeRecord, pieceRecord, putBackOn, restoreChanges } from "./restoring";
import { type TrayBase, type TrayState, isTold } from "./tray-state";
import { triesOn } from "./tries";

/** The pieces, the bench, and where they are kept: one for the page. */
export type Tray = ReturnType<typeof trayOn>;

/** Pieces that stand on the tray before the rest is read. */
const FIRST_SHOWN = 40;

/** What a tray that has never held a piece is filled with: pieces, and what was made of them, which a page that stands can wait for. */
export interface Demo {
  readonly bench: BenchEntry;
  readonly pieces: readonly Piece[];
  readonly makes: () => Promise<readonly Make[]>;
}

/**
 * Opens what this browser keeps, or memory where it keeps nothing; `demo` gives what a tray that has never held a piece is filled with.
 * Always ends with a tray: what goes wrong on the way is its trouble, or stands among what could not be read.
 */
export async function openTray(demo: (() => Promise<Demo>) | null): Promise<Tray> {
  let trouble: Trouble | null = null;
  const repository = await deviceKeeper().catch((error: unknown) => {
    if (!(error instanceof RepositoryError)) throw error;
    trouble = error.trouble;
    return memoryKeeper();
  });
  const tray = trayOn(repository, trouble);
  if (repository.kind === "device") {
    await tray.replay();
    void tray.readPersistence();
  }
  const isRead = await tray.readNewest();
  const { pieces, unreadable, isWhole } = tray.store.getState();
  const isEmpty = isRead && isWhole && pieces.length === 0 && unreadable.every(({ store }) => store !== "pieces");
  const laid = demo && isEmpty && trouble !== "newer" ? await demo() : null;
  if (laid) await tray.layPieces(laid).catch(isTold);
  void tray.readNewestMakes().then(() => demo && tray.goOnWithDemo(demo));
  return tray;
}

/** Troubles that are over once something could be kept. */
const PASSING: ReadonlySet<Trouble | null> = new Set(["full", "failed"]);

function trayOn(repository: Repository, trouble: Trouble | null) {
  const store = createStore<TrayState>()(() => ({
    repository,
    bench: SHIPPED_BENCH,
    pieces: [],
    isWhole: false,
    ids: [],
    makes: {},
    unreadable: [],
    trouble,
    areMakesWhole: false,
    makeSteps: {},
    isJournalFull: false,
    isPersistent: null,
    drafts: {},
    tries: {},
    cuts: null,
    benchSteps: { past: 0, future: 0 },
  }));
  const get = store.getState;
  const base: TrayBase = { repository, store, write, reading, noteUnreadable, inTrouble: (trouble) => journal.inTrouble(trouble) };
  const [pieces, makings, myBench, halfTyped, tries] = [piecesOn(base), makingsOn(base), benchOn(base), halfTypedOn(base), triesOn(base)];
  const cuts = cutsOn(base, myBench);
  const journal = replayOn(base, pieces.settlePiece);

  /** What of a store cannot be read takes the place of what was known of it. */
  function noteUnreadable(where: Unreadable["store"], found: readonly Unreadable[]): void {
    const others = get().unreadable.filter(({ store }) => store !== where);
    if (others.length + found.length > 0 || get().unreadable.length > 0) store.setState({ unreadable: [...others, ...found] });
  }

  async function reading<T>(work: () => Promise<T>): Promise<T | null> {
    // What this page still holds would give way to nothing.
    if (get().trouble === "cleared") return null;
    try {
      return await work();
    } catch (error) {
      isTold(error);
      journal.inTrouble((error as RepositoryError).trouble);
      return null;
    }
  }

  void repository.lost.then((why) => store.setState({ trouble: why }));
  const stopWatchingJournal = watchJournal((isFull) => get().isJournalFull !== isFull && store.setState({ isJournalFull: isFull }));

  /** Asks the browser, at the first piece that is the maker's own, not to throw away what is kept: some answer by themselves, some ask. */
  async function askToPersist(): Promise<void> {
    noteAsked();
    const isPersistent = await Promise.resolve(navigator.storage?.persist?.()).catch(() => false);
    store.setState({ isPersistent: isPersistent ?? false });
  }

  /** What the browser answered before, if it was asked. */
  async function readPersistence(): Promise<void> {
    if (!wasAsked()) return;
    const isPersistent = await Promise.resolve(navigator.storage?.persisted?.()).catch(() => false);
    store.setState({ isPersistent: isPersistent ?? false });
  }

  /** As many pieces as a screen first shows. Returns whether they could be read. */
  async function readNewest(): Promise<boolean> {
    try {
      const [newest] = await Promise.all([repository.newest(FIRST_SHOWN), myBench.readBench()]);
      const { records, unreadable, of } = newest;
      noteUnreadable("pieces", unreadable);
      noteUnreadable("journal", repository.kind === "device" ? setAside() : []);
      store.setState({ pieces: records, ids: records.map(({ id }) => id), isWhole: records.length + unreadable.length >= of });
      return true;
    } catch (error) {
      console.error("the tray could not be read", error);
      store.setState({ trouble: "failed" });
      return false;
    }
  }

  async function hear(news: News): Promise<void> {
    if (news.kind === "pieces") await pieces.read(news.ids);
    if (news.kind === "makes") await makings.readMakesOf(news.ids);
    if (news.kind === "bench") await myBench.readBench();
    if (news.kind === "tries") await tries.readAgain();
    // null where this window has not shown any
    if (news.kind === "cuts" && get().cuts !== null) await cuts.readCuts();
  }
  const stopListening = listen((news) => void hear(news).catch((error: unknown) => console.error("news not followed", error)));

  /** Makes changes, and shows and tells what has changed. @throws RepositoryError, with the tray's trouble set to it */
  async function write(changes: readonly Change[], how: Writing = {}): Promise<Outcome[]> {
    const of = (name: Change["store"]) => changes.filter((change) => change.store === name);
    const ids = of("pieces").map(idIn);
    const made = [...new Set(of("makes").flatMap(pieceMade))];
    /** What is kept is known already: nothing of it needs to be read again. */
    let isNoted = false;
    try {
      const outcomes = await repository.write(changes, how);
      how.onKept?.(outcomes);
      isNoted = how.onKept !== undefined && outcomes.every((outcome) => outcome.ok && outcome.record !== null);
      if (PASSING.has(get().trouble)) store.setState({ trouble: null });
      return outcomes;
    } catch (error) {
      if (error instanceof RepositoryError && error.trouble !== "stopped") journal.inTrouble(error.trouble);
      throw error;
    } finally {
      if (ids.length > 0) await pieces.read(ids);
      if (made.length > 0 && !isNoted) await makings.readMakesOf(made);
      if (of("settings").length > 0) await myBench.readBench();
      if (of("tries").length > 0) await tries.readAgain();
      if (of("cuts").length > 0) await cuts.readCuts();
      if (ids.length > 0) tell({ kind: "pieces", ids });
      if (made.length > 0) tell({ kind: "makes", ids: made });
      if (of("settings").length > 0) tell({ kind: "bench" });
      for (const kind of ["tries", "cuts"] as const) if (of(kind).length > 0) tell({ kind });
    }
  }

  async function keptHere(): Promise<KeptHere> {
    const [all, made, tried, benches] = await Promise.all([
      repository.pieces(),
      repository.makes(),
      repository.tries(),
      repository.bench(),
    ]);
    return {
      pieces: new Map(all.records.map((record) => [record.id, record])),
      makes: new Map(made.records.map(({ id, make }) => [id, make])),
      tries: new Map(tried.records.map((record) => [record.id, record.tried])),
      bench: benches.records[0] ?? null,
    };
  }

  /** The piece whose making a change is of. */
  function pieceMade(change: Change): string[] {
    if ("piece" in change) return [change.piece];
    if ("put" in change && change.store === "makes") return [change.put.piece];
    const gone = idIn(change);
    return Object.keys(get().makes).filter((piece) => get().makes[piece]!.some(({ id }) => id === gone));
  }

  return {
    store,
    ...pieces,
    ...makings,
    ...myBench,
    ...halfTyped,
    ...tries,
    ...cuts,
    readNewest,
    readPersistence,
    replay: journal.replay,

    /** What no screen shows at first: all other pieces, then all other makings. */
    readTheRest: async (): Promise<void> => {
      await pieces.readAll();
      await makings.readRestOfMakes();
    },

    /** Hears and tries again no more. */
    close(): void {
      stopListening();
      stopWatchingJournal();
      journal.close();
    },

    /** Says that a session writes this piece's journal itself, until it says otherwise. */
    isOpenHere: journal.isOpenHere,

    /** Gives up something that cannot be read. @throws RepositoryError */
    async drop({ store: where, key, isPart }: Unreadable): Promise<void> {
      const make = Object.values(get().makes)
        .flat()
        .find(({ id }) => id === key);
      if (where === "journal") dropAside(String(key));
      else if (isPart && make)
        await write([{ store: "makes", piece: make.piece, only: null, change: (kept) => withoutOver(kept, make.id) }]);
      else await write([{ store: where, remove: key }]);
      store.setState(({ unreadable }) => ({ unreadable: unreadable.filter((each) => each.store !== where || each.key !== key) }));
    },

    add: async (...piece: Parameters<typeof pieces.add>): Promise<string> => {
      const id = await pieces.add(...piece);
      if (repository.kind === "device" && get().isPersistent === null) void askToPersist();
      return id;
    },

    /** Lays out the demo's pieces, and notes that its makes are still to come. @throws RepositoryError */
    async layPieces(demo: Demo): Promise<void> {
      const start = Date.now();
      const at = (i: number) => new Date(start + i).toISOString();
      await write([
        ...demo.pieces.map((piece, i): Change => ({ store: "pieces", put: pieceRecord(piece, at(i)), madeOn: null })),
        { store: "pending", put: { id: "demo-makes", changed: at(0) }, madeOn: "any" },
        benchChange((kept) => kept ?? demo.bench),
      ]);
    },

    /** Lays out the demo's makes where its pieces were laid out by this page or one before, all at once. */
    async goOnWithDemo(demo: () => Promise<Demo>): Promise<void> {
      const pending = await reading(() => repository.pending());
      if (!pending?.includes("demo-makes")) return;
      const makes = await (await demo()).makes();
      await write([
        ...makes.map((make): Change => ({ store: "makes", put: makeRecord(make, make.started), madeOn: null })),
        { store: "pending", remove: "demo-makes" },
      ]).catch(isTold);
    },

    /** Keeps again what this page still holds, after the browser has cleared what was kept. @throws RepositoryError */
    async keepAgain(): Promise<void> {
      const { pieces: all, makes, tries: tried, cuts: cut, bench } = get();
      await write([
        ...all.map((put): Change => ({ store: "pieces", put, madeOn: null })),
        ...Object.values(makes)
          .flat()
          .map((make): Change => ({ store: "makes", put: makeRecord(make, make.started), madeOn: null })),
        ...Object.values(tried)
          .flat()
          .map((put): Change => ({ store: "tries", put, madeOn: null })),
        ...(cut ?? []).map(cutChange),
        { store: "settings", put: { id: "bench", bench, changed: new Date().toISOString() }, madeOn: null },
      ]);
      store.setState({ trouble: null });
    },

    /** How each part of a backup stands beside what is kept here. @throws RepositoryError */
    restoreItems: async (backup: ReadBackup): Promise<RestoreItem[]> => restoreItems(backup, await keptHere()),

    /**
     * Restores what was chosen of a backup, all of it or none. Returns how to put everything back as it was, but what was changed since; that gives
     * how many those are. @throws RepositoryError, "stopped" where it was cancelled
     */
    async restore(backup: ReadBackup, choices: Choices, how: Writing): Promise<() => Promise<number>> {
      return putBackOn(repository, write, restoreChanges(backup, choices, await keptHere(), Date.now()), how);
    },
  };
}

function withoutOver(kept: readonly MakeRecord[], id: string): MakeRecord | null {
  const record = kept.find((each) => each.id === id);
  if (!record?.over) return null;
  const { over: _dropped, ...rest } = record;
  return rest;
}
