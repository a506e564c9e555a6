import { type BenchEntry } from "@/core/piece/bench";
import { benchDifferences } from "@/core/piece/bench-differences";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type ReadBackup } from "@/formats/backup-codec";
import { freeId } from "./ids";
import { type Change, type Keeper, type StoreName, type Stores, type Writing } from "./keeper";
import { type TrayBase } from "./tray-state";

/** What a maker answers before a backup is restored. */
export interface RestoreAnswers {
  /** What becomes of pieces whose id is taken. */
  readonly how: "replace" | "both";
  readonly bench: "theirs" | "mine";
  /** What becomes of makes that are further on here than in the backup. */
  readonly further: "mine" | "theirs";
}

/** What is kept already. */
export interface Taken {
  readonly pieces: ReadonlySet<string>;
  readonly makes: ReadonlyMap<string, Make>;
  readonly bench: BenchEntry;
}

/**
 * The changes that restore a backup, all to be made at once; its first piece becomes the newest on the tray. Pieces kept beside one of their
 * id get an id of their own, and so do their makes. On the maker's own bench a piece goes on with the one it was saved with, where they differ.
 */
export function restoreChanges(backup: ReadBackup, { how, bench, further }: RestoreAnswers, taken: Taken, now: number): Change[] {
  const own = new Map<string, string>();
  const pieceIds = new Set(taken.pieces);
  const theirs = backup.bench;
  const isOther = bench === "mine" && theirs !== null && benchDifferences(theirs, taken.bench).length > 0;
  const onTheirs = (piece: Piece): Piece => (isOther && !piece.benchUsed ? { ...piece, benchUsed: theirs } : piece);
  const pieces = backup.pieces.map((piece) => {
    const id = how === "both" && pieceIds.has(piece.id) ? freeId(pieceIds, piece.id) : piece.id;
    pieceIds.add(id);
    own.set(piece.id, id);
    return onTheirs({ ...piece, id });
  });
  const makeIds = new Set(taken.makes.keys());
  const stays = (make: Make) => {
    const own = taken.makes.get(make.id);
    return how === "replace" && further === "mine" && own !== undefined && isFurther(own, make);
  };
  const comes = backup.makes.filter((make) => !stays(make));
  const makes = comes.map((make): Make => {
    const piece = own.get(make.piece) ?? make.piece;
    const id = how === "both" && makeIds.has(make.id) ? freeId(makeIds, make.id) : make.id;
    makeIds.add(id);
    return { ...make, id, piece, pieceFile: { ...make.pieceFile, id: piece } };
  });
  const at = (i: number) => new Date(now + pieces.length - 1 - i).toISOString();
  return [
    ...pieces.map((piece, i): Change => ({ store: "pieces", put: pieceRecord(piece, at(i)), madeOn: "any" })),
    ...makes.map((make): Change => ({ store: "makes", put: makeRecord(make, make.started), madeOn: "any" })),
    ...(bench === "theirs" && theirs
      ? [{ store: "settings" as const, put: { id: "bench" as const, bench: theirs, changed: at(0) }, madeOn: "any" as const }]
      : []),
  ];
}

/** A piece as it is first kept. */
export function pieceRecord(piece: Piece, changed: string) {
  return { id: piece.id, piece, drafts: {}, unmeasured: [] as readonly string[], changed, deleted: null };
}

export function makeRecord(make: Make, changed: string) {
  return { id: make.id, piece: make.piece, make, changed };
}

/** Whether a make holds anything that the other, of the same id, does not: a step, a reading, a picture, its end or its words. */
export function isFurther(make: Make, other: Make): boolean {
  const lists = ["done", "measured", "remedies", "photos", "taken"] as const;
  const told = (entry: unknown) => JSON.stringify(entry);
  const holdsMore = lists.some((list) => {
    const theirs = new Set((other[list] ?? []).map(told));
    return (make[list] ?? []).some((entry) => !theirs.has(told(entry)));
  });
  const isEnded = make.finished !== null && other.finished === null;
  const says = make.notes !== "" && make.notes !== other.notes;
  const came = Object.entries(make.result ?? {}).some(([key, value]) => other.result?.[key as keyof NonNullable<Make["result"]>] !== value);
  return holdsMore || isEnded || says || came;
}

/**
 * Makes changes, and returns how to put everything back as it was before them, but what was changed since; that gives how many those are.
 * @throws KeepError
 */
export async function putBackOn(
  keeper: Keeper,
  write: TrayBase["write"],
  changes: readonly Change[],
  how: Writing,
): Promise<() => Promise<number>> {
  const before = await recordsOf(keeper, changes);
  const outcomes = await write(changes, how);
  return async () => {
    const now = await recordsOf(keeper, changes);
    const back = changes.flatMap((change, i): Change[] => {
      const key = placeOf(change);
      const outcome = outcomes[i]!;
      if (!outcome.ok || now.get(key)?.revision !== outcome.record?.revision) return [];
      const was = before.get(key);
      if (was) return [{ store: change.store, put: was, madeOn: outcome.record!.revision } as Change];
      return [{ store: change.store, remove: outcome.record!.id }];
    });
    await write(back);
    return outcomes.filter(({ ok }) => ok).length - back.length;
  };
}

function placeOf(change: Change): string {
  if (!("put" in change)) throw new RangeError("only what puts a record can be put back");
  return `${change.store} ${change.put.id}`;
}

/** The records that changes put, as they are kept now. */
async function recordsOf(keeper: Keeper, changes: readonly Change[]): Promise<ReadonlyMap<string, Stores[StoreName]>> {
  const places = new Set(changes.map(placeOf));
  const [pieces, makes, bench] = await Promise.all([keeper.pieces(), keeper.makes(), keeper.bench()]);
  const of = (store: StoreName, records: readonly Stores[StoreName][]) =>
    records.map((record): [string, Stores[StoreName]] => [`${store} ${record.id}`, record]);
  const all = [...of("pieces", pieces.records), ...of("makes", makes.records), ...of("settings", bench.records)];
  return new Map(all.filter(([place]) => places.has(place)));
}
