import { createStore } from "zustand/vanilla";
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
  readonly trouble: Trouble | null;
}

/** The pieces, the bench, and where they are kept: one for the page. */
export type Tray = ReturnType<typeof trayOn>;

/** Opens what this browser keeps, or memory where it keeps nothing; `demo` fills a tray that has never held a piece. */
export async function openTray(demo: readonly Piece[]): Promise<Tray> {
  let trouble: Trouble | null = null;
  const keeper = await deviceKeeper(() => (trouble = "blocked")).catch((error: unknown) => {
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
  const store = createStore<TrayState>()(() => ({ keeper, bench: SHIPPED_BENCH, pieces: [], trouble }));

  async function reload(): Promise<void> {
    const [pieces, bench] = await Promise.all([keeper.pieces(), keeper.bench()]);
    store.setState({ pieces: pieces.sort((a, b) => (a.changed < b.changed ? 1 : -1)), bench: bench ?? SHIPPED_BENCH });
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
  const fresh = (piece: Piece, unmeasured: readonly string[]) => ({ id: piece.id, piece, drafts: {}, unmeasured, changed: now(), deleted: null });
  const idFor = (name: string) => freeId(store.getState().pieces.map(({ id }) => id), name);

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
    add: (piece: Piece, unmeasured: readonly string[] = []) => changed(async () => (await keeper.putPiece(fresh(piece, unmeasured), null), piece.id)),

    /** Puts a piece in the place of the one that has its id, as a change of it. @throws KeepError */
    replace: (piece: Piece) =>
      changed(async () => {
        const kept = await keeper.piece(piece.id);
        await keeper.putPiece(fresh(piece, []), kept?.revision ?? null);
      }),

    /** Marks a piece deleted, or not. @throws KeepError */
    setDeleted: (id: string, deleted: boolean) =>
      changed(async () => {
        const kept = await keeper.piece(id);
        if (kept) await keeper.putPiece({ ...kept, deleted: deleted ? now() : null }, kept.revision);
      }),

    /** @throws KeepError */
    rename: (id: string, name: string) =>
      changed(async () => {
        const kept = await keeper.piece(id);
        if (kept) await keeper.putPiece({ ...kept, piece: { ...kept.piece, name }, changed: now() }, kept.revision);
      }),

    /** Removes pieces for good. @throws KeepError */
    remove: (ids: readonly string[]) => changed(() => keeper.removePieces(ids)),

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
