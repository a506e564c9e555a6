import { oneLine } from "@/core/measure/one-line";
import { type Piece } from "@/core/piece/piece";
import { faultLine } from "@/words/faults";
import { freeId } from "./ids";
import {
  type Change,
  type Drafts,
  RepositoryError,
  type Outcome,
  type PieceRecord,
  type ReadStore,
  type Unrevised,
  newestFirst,
} from "./repository";
import { pieceRecord } from "./restoring";
import { type TrayBase, now } from "./tray-state";

/** Past so many the whole store is read again rather than each. */
const MOST_ONE_BY_ONE = 40;
const MOST_TRIES = 5;
const LONGEST_NAME = 120;

/** The pieces of a tray. */
export function piecesOn({ repository, store, write, reading, noteUnreadable }: TrayBase) {
  const get = store.getState;

  /** Ids of all pieces kept by now, in whatever window. */
  async function allIds(): Promise<ReadonlySet<string>> {
    const ids = await repository.ids();
    store.setState({ ids });
    return new Set(ids);
  }

  /** The rest, which a page that stands already can wait for. */
  async function readAll(): Promise<void> {
    if (!get().isWhole) await readPieces();
  }

  async function readPieces(): Promise<void> {
    const found: ReadStore<PieceRecord> | null = await reading(() => repository.pieces());
    if (!found) return;
    const { records, unreadable } = found;
    const pieces = [...records].sort(newestFirst);
    noteUnreadable("pieces", unreadable);
    store.setState({ pieces, ids: [...pieces.map(({ id }) => id), ...unreadable.map(({ key }) => String(key))], isWhole: true });
  }

  /** Reads these pieces again, as they are kept now. */
  async function read(ids: readonly string[]): Promise<void> {
    if (ids.length > MOST_ONE_BY_ONE) return readPieces();
    const found = await reading(() => Promise.all(ids.map((id) => repository.piece(id))));
    if (!found) return;
    const now = found.filter((record) => record !== null);
    store.setState(({ pieces, ids: all }) => ({
      pieces: [...pieces.filter(({ id }) => !ids.includes(id)), ...now].sort(newestFirst),
      ids: [...all.filter((id) => !ids.includes(id)), ...now.map(({ id }) => id)],
    }));
  }

  /** Where the kept piece has not moved on since; else as a copy, so that nothing typed is lost. */
  async function settlePiece(record: Unrevised<PieceRecord>, madeOn: number | null): Promise<Outcome[]> {
    const outcomes = await repository.write([{ store: "pieces", put: record, madeOn }]);
    const [put] = outcomes;
    const newer = put && !put.ok ? (put.newer as PieceRecord | null) : null;
    const isKept = !put || put.ok || (newer && JSON.stringify(newer.piece) === JSON.stringify(record.piece));
    if (isKept || put.faults) return outcomes;
    const name = `${record.piece.name} (kept)`.slice(0, LONGEST_NAME);
    await lay((id) => ({ ...record, id, piece: { ...record.piece, id, name } }), record.id);
    return [];
  }

  /** Lays down a piece under an id like this one that no other has, whatever other windows do meanwhile. Returns the id. */
  async function lay(make: (id: string) => Unrevised<PieceRecord>, like: string): Promise<string> {
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const taken = await allIds();
      const id = taken.has(like) ? freeId(taken, like) : like;
      const [put] = await write([{ store: "pieces", put: make(id), madeOn: null }]);
      if (put?.ok) return id;
      if (put?.faults) throw new RepositoryError("failed", new RangeError(put.faults.map(faultLine).join("; ")));
    }
    throw new RepositoryError("failed", new RangeError(`no id like ${like} is free`));
  }

  return {
    readAll,
    read,
    allIds,
    settlePiece,

    /** An id like this name that no piece known of has. */
    idFor: (name: string) => freeId(new Set(get().ids), name),

    /** Adds those pieces whose ids are free, under their own, all at once, the last given the newest. @throws RepositoryError */
    async addAll(pieces: readonly Piece[]): Promise<void> {
      const start = Date.now();
      // Two added within a millisecond would lie in no order.
      await write(
        pieces.map((piece, i) => ({ store: "pieces", put: pieceRecord(piece, new Date(start + i).toISOString()), madeOn: null })),
      );
    },

    /** Adds one piece, under another id where its own is taken, with what is typed beside it and what is not measured yet. Returns its id. @throws RepositoryError */
    add: (piece: Piece, unmeasured: readonly string[] = [], drafts: Drafts = {}) =>
      lay((id) => ({ ...pieceRecord({ ...piece, id }, now()), unmeasured, drafts }), piece.id),

    /** A copy under a name and id of its own. Returns its id. @throws RepositoryError */
    duplicate: ({ piece, unmeasured, drafts }: Pick<PieceRecord, "piece" | "unmeasured" | "drafts">) =>
      lay(
        (id) => ({ ...pieceRecord({ ...piece, id, name: `${piece.name.slice(0, LONGEST_NAME - 6)}, copy` }, now()), unmeasured, drafts }),
        piece.id,
      ),

    /** Puts a piece in the place of the one that has its id, as a change of it. Returns the id. @throws RepositoryError */
    async replace(piece: Piece): Promise<string> {
      await write([{ store: "pieces", put: pieceRecord(piece, now()), madeOn: "any" }]);
      return piece.id;
    },

    /** Marks pieces deleted, or not; what is deleted can be had back. @throws RepositoryError */
    async setDeleted(ids: readonly string[], deleted: boolean): Promise<void> {
      const change = (kept: PieceRecord | null) =>
        kept && (kept.deleted !== null) !== deleted ? { ...kept, deleted: deleted ? now() : null } : null;
      await write(ids.map((id) => ({ store: "pieces", id, change })));
    },

    /** Gives a piece another name, as one line. @throws RepositoryError */
    async rename(id: string, text: string): Promise<void> {
      const name = oneLine(text).trim().slice(0, LONGEST_NAME);
      await write([{ store: "pieces", id, change: (kept) => kept && { ...kept, piece: { ...kept.piece, name }, changed: now() } }]);
    },

    /** Removes pieces and their makings for good. Returns how to have them back, for as long as the page is open. @throws RepositoryError */
    async remove(ids: readonly string[]): Promise<() => Promise<void>> {
      const gone = new Set(ids);
      const pieces = (await Promise.all(ids.map((id) => repository.piece(id)))).filter((record) => record !== null);
      const makes = (await Promise.all([...gone].map((id) => repository.makesOf(id)))).flat();
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
  };
}
