import { createStore } from "zustand/vanilla";
import { type Make } from "@/core/piece/make";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { deviceKeeper } from "./device";
import { freeId } from "./ids";
import { replayJournal } from "./journal";
import { KeepError, type Keeper, type PieceRecord, type Trouble } from "./keeper";
import { memoryKeeper } from "./memory";
import { listen, tell } from "./news";

export interface TrayState {
  readonly keeper: Keeper;
  readonly bench: BenchEntry;
  /** All pieces, newest change first, the deleted ones among them. */
  readonly pieces: readonly PieceRecord[];
  /** The newest making of each piece, by the piece's id. */
  readonly makes: Readonly<Record<string, Make>>;
  readonly trouble: Trouble | null;
}

/** The pieces, the bench, and where they are kept: one for the page. */
export type Tray = ReturnType<typeof trayOn>;

/** Opens what this browser keeps, or memory where it keeps nothing; `demo` fills a tray that has never held a piece. */
export async function openTray(demo: readonly Piece[]): Promise<Tray> {
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
  await tray.reload();
  if (demo.length > 0 && tray.store.getState().pieces.length === 0) await tray.addAll(demo);
  return tray;
}

function trayOn(keeper: Keeper, trouble: Trouble | null) {
  const store = createStore<TrayState>()(() => ({ keeper, bench: SHIPPED_BENCH, pieces: [], makes: {}, trouble }));

  async function reload(): Promise<void> {
    const [pieces, bench, makes] = await Promise.all([keeper.pieces(), keeper.bench(), keeper.allMakes()]);
    store.setState({
      makes: newestMakes(makes),
      pieces: pieces.sort((a, b) => (a.changed < b.changed ? 1 : -1)),
      bench: bench ?? SHIPPED_BENCH,
    });
  }
  listen(() => void reload());

  /** Changes what is kept, and tells this and the other windows. */
  async function changed<T>(work: () => Promise<T>): Promise<T> {
    try {
      return await work();
    } catch (error) {
      if (!(error instanceof KeepError)) throw error;
      store.setState({ trouble: error.trouble });
      throw error;
    } finally {
      await reload();
      tell({ kind: "tray" });
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
  const idFor = (name: string) =>
    freeId(
      store.getState().pieces.map(({ id }) => id),
      name,
    );

  return {
    store,
    reload,
    idFor,

    /** Adds pieces under their own ids, in the order given. @throws KeepError */
    addAll: (pieces: readonly Piece[]) =>
      changed(async () => {
        for (const piece of pieces) await keeper.putPiece(fresh(piece, []), null);
      }),

    /** Adds one piece; the keys are of fields not measured yet. Returns its id. @throws KeepError */
    add: (piece: Piece, unmeasured: readonly string[] = []) =>
      changed(async () => (await keeper.putPiece(fresh(piece, unmeasured), null), piece.id)),

    /** Puts a piece in the place of the one that has its id, as a change of it. @throws KeepError */
    replace: (piece: Piece) =>
      changed(async () => {
        const kept = await keeper.piece(piece.id);
        await keeper.putPiece(fresh(piece, []), kept?.revision ?? null);
      }),

    /** Marks pieces deleted, or not; what is deleted can be had back. @throws KeepError */
    setDeleted: (ids: readonly string[], deleted: boolean) =>
      changed(async () => {
        for (const id of ids) {
          const kept = await keeper.piece(id);
          if (kept && (kept.deleted !== null) !== deleted)
            await keeper.putPiece({ ...kept, deleted: deleted ? now() : null }, kept.revision);
        }
      }),

    /** @throws KeepError */
    rename: (id: string, name: string) =>
      changed(async () => {
        const kept = await keeper.piece(id);
        if (kept) await keeper.putPiece({ ...kept, piece: { ...kept.piece, name }, changed: now() }, kept.revision);
      }),

    /** A copy under a name and id of its own. Returns its id. @throws KeepError */
    duplicate: (piece: Piece) =>
      changed(async () => {
        const id = idFor(piece.id);
        await keeper.putPiece(fresh({ ...piece, id, name: `${piece.name.slice(0, 114)}, copy` }, []), null);
        return id;
      }),

    /** Removes pieces for good. @throws KeepError */
    remove: (ids: readonly string[]) => changed(() => keeper.removePieces(ids)),

    /** Ticks a step of a piece's making off, or on again; the first tick starts it. @throws KeepError */
    async tick(piece: Piece, step: string, isDone: boolean): Promise<void> {
      const make = store.getState().makes[piece.id] ?? startMake(piece, now());
      const done = isDone ? [...make.done.filter((each) => each !== step), step] : make.done.filter((each) => each !== step);
      const next = { ...make, done };
      store.setState(({ makes }) => ({ makes: { ...makes, [piece.id]: next } }));
      await changed(() => keeper.putMake(next));
    },

    /** Adds makes as they were saved. @throws KeepError */
    addMakes: (makes: readonly Make[]) =>
      changed(async () => {
        for (const make of makes) await keeper.putMake(make);
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
