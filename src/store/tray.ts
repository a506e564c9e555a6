import { createStore } from "zustand/vanilla";
import { type Make } from "@/core/piece/make";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { deviceKeeper } from "./device";
import { freeId } from "./ids";
import { replayJournal } from "./journal";
import { KeepError, type Keeper, type PieceRecord, type Trouble, newestFirst } from "./keeper";
import { memoryKeeper } from "./memory";
import { type News, listen, tell } from "./news";

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
  readonly trouble: Trouble | null;
}

/** The pieces, the bench, and where they are kept: one for the page. */
export type Tray = ReturnType<typeof trayOn>;

/** Opens what this browser keeps, or memory where it keeps nothing; `demo` gives what a tray that has never held a piece is filled with. */
export async function openTray(demo: (() => Promise<readonly Piece[]>) | null): Promise<Tray> {
  let trouble: Trouble | null = null;
  const keeper = await deviceKeeper().catch((error: unknown) => {
    if (!(error instanceof KeepError)) throw error;
    trouble = error.trouble;
    return memoryKeeper();
  });
  if (keeper.kind === "device") {
    await replayJournal(keeper, freeId);
    void navigator.storage?.persist?.();
  }
  const tray = trayOn(keeper, trouble);
  await tray.readNewest();
  if (demo && tray.store.getState().pieces.length === 0) await tray.addAll(await demo());
  void tray.readMakes();
  return tray;
}

function trayOn(keeper: Keeper, trouble: Trouble | null) {
  const store = createStore<TrayState>()(() => ({
    keeper,
    bench: SHIPPED_BENCH,
    pieces: [],
    isWhole: false,
    ids: [],
    makes: {},
    trouble,
  }));

  /** As many pieces as a screen first shows. */
  async function readNewest(): Promise<void> {
    const [pieces, bench] = await Promise.all([keeper.newest(FIRST_SHOWN), keeper.bench()]);
    store.setState({
      pieces,
      ids: pieces.map(({ id }) => id),
      isWhole: pieces.length < FIRST_SHOWN,
      bench: bench ?? SHIPPED_BENCH,
    });
  }

  /** Ids of all pieces kept by now, in whatever window. */
  async function allIds(): Promise<readonly string[]> {
    const ids = await keeper.ids();
    store.setState({ ids });
    return ids;
  }

  /** An id like this one that no kept piece has. */
  async function idLike(id: string): Promise<string> {
    return (await keeper.piece(id)) === null ? id : freeId(await allIds(), id);
  }

  /** The rest, which a page that stands already can wait for. */
  async function readAll(): Promise<void> {
    await allIds();
    if (store.getState().isWhole) return;
    const all = await keeper.pieces();
    store.setState({ pieces: all.sort(newestFirst), ids: all.map(({ id }) => id), isWhole: true });
  }

  async function readMakes(): Promise<void> {
    store.setState({ makes: newestMakes(await keeper.allMakes()) });
  }

  /** Reads these pieces again, as they are kept now. */
  async function read(ids: readonly string[]): Promise<void> {
    const now = (await Promise.all(ids.map((id) => keeper.piece(id)))).filter((record) => record !== null);
    store.setState(({ pieces, ids: all }) => ({
      pieces: [...pieces.filter(({ id }) => !ids.includes(id)), ...now].sort(newestFirst),
      ids: [...all.filter((id) => !ids.includes(id)), ...now.map(({ id }) => id)],
    }));
  }

  async function hear(news: News): Promise<void> {
    if (news.kind === "piece") await read([news.id]);
    if (news.kind === "tray") await Promise.all([read(news.ids), readMakes()]);
    if (news.kind === "bench") store.setState({ bench: (await keeper.bench()) ?? SHIPPED_BENCH });
  }
  listen((news) => void hear(news));

  /** Changes what is kept of these pieces, and tells this and the other windows. */
  async function changed<T>(ids: readonly string[], work: () => Promise<T>): Promise<T> {
    try {
      return await work();
    } catch (error) {
      if (!(error instanceof KeepError)) throw error;
      store.setState({ trouble: error.trouble });
      throw error;
    } finally {
      await read(ids);
      tell({ kind: "tray", ids });
    }
  }

  const now = () => new Date().toISOString();
  const fresh = (piece: Piece, unmeasured: readonly string[]) => ({
    id: piece.id,
    piece,
    drafts: {},
    unmeasured,
    changed: now(),
    deleted: null,
  });
  const idFor = (name: string) => freeId(store.getState().ids, name);

  return {
    store,
    readNewest,
    readAll,
    readMakes,
    read,
    idFor,
    allIds,

    /** Adds pieces under their own ids, in the order given. @throws KeepError */
    addAll: (pieces: readonly Piece[]) =>
      changed(
        pieces.map(({ id }) => id),
        async () => {
          const start = Date.now();
          for (const [i, piece] of pieces.entries()) {
            // Two added within a millisecond would lie in no order.
            await keeper.putPiece({ ...fresh(piece, []), changed: new Date(start + i).toISOString() }, null);
          }
        },
      ),

    /** Adds one piece, under another id where its own is taken; the keys are of fields not measured yet. Returns its id. @throws KeepError */
    async add(piece: Piece, unmeasured: readonly string[] = []): Promise<string> {
      const id = await idLike(piece.id);
      return changed([id], async () => (await keeper.putPiece(fresh({ ...piece, id }, unmeasured), null), id));
    },

    /** Puts a piece in the place of the one that has its id, as a change of it. Returns the id. @throws KeepError */
    replace: (piece: Piece) =>
      changed([piece.id], async () => {
        const kept = await keeper.piece(piece.id);
        await keeper.putPiece(fresh(piece, []), kept?.revision ?? null);
        return piece.id;
      }),

    /** Marks pieces deleted, or not; what is deleted can be had back. @throws KeepError */
    setDeleted: (ids: readonly string[], deleted: boolean) =>
      changed(ids, async () => {
        for (const id of ids) {
          const kept = await keeper.piece(id);
          if (kept && (kept.deleted !== null) !== deleted)
            await keeper.putPiece({ ...kept, deleted: deleted ? now() : null }, kept.revision);
        }
      }),

    /** @throws KeepError */
    rename: (id: string, name: string) =>
      changed([id], async () => {
        const kept = await keeper.piece(id);
        if (kept) await keeper.putPiece({ ...kept, piece: { ...kept.piece, name }, changed: now() }, kept.revision);
      }),

    /** A copy under a name and id of its own. Returns its id. @throws KeepError */
    async duplicate(piece: Piece): Promise<string> {
      const id = await idLike(piece.id);
      return changed([id], async () => {
        await keeper.putPiece(fresh({ ...piece, id, name: `${piece.name.slice(0, 114)}, copy` }, []), null);
        return id;
      });
    },

    /** Removes pieces for good. @throws KeepError */
    remove: (ids: readonly string[]) => changed(ids, () => keeper.removePieces(ids)),

    /** Ticks a step of a piece's making off, or on again; the first tick starts it. @throws KeepError */
    async tick(piece: Piece, step: string, isDone: boolean): Promise<void> {
      const make = store.getState().makes[piece.id] ?? startMake(piece, now());
      const done = isDone ? [...make.done.filter((each) => each !== step), step] : make.done.filter((each) => each !== step);
      const next = { ...make, done };
      store.setState(({ makes }) => ({ makes: { ...makes, [piece.id]: next } }));
      await changed([], () => keeper.putMake(next));
    },

    /** Adds makes as they were saved. @throws KeepError */
    addMakes: (makes: readonly Make[]) =>
      changed([], async () => {
        for (const make of makes) await keeper.putMake(make);
        await readMakes();
      }),

    /** @throws KeepError */
    async setBench(bench: BenchEntry): Promise<void> {
      store.setState({ bench });
      await keeper.putBench(bench).catch((error: unknown) => {
        if (!(error instanceof KeepError)) throw error;
        store.setState({ trouble: error.trouble });
      });
      tell({ kind: "bench" });
    },
  };
}

/** Pieces that stand on the tray before the rest is read. */
const FIRST_SHOWN = 40;

function newestMakes(makes: readonly Make[]): Record<string, Make> {
  const newest: Record<string, Make> = {};
  for (const make of makes) if ((newest[make.piece]?.started ?? "") <= make.started) newest[make.piece] = make;
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
