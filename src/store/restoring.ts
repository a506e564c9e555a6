import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type CutRecord } from "@/core/cutting/cut-record";
import { benchDifferences } from "@/core/piece/bench-differences";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type ReadBackup } from "@/formats/backup-codec";
import { type TryFile } from "@/formats/flame-file";
import { freeId } from "./ids";
import { type Change, type Repository, type StoreName, type Stores, type TryRecord, type Unrevised, type Writing } from "./repository";
import { type Choice, type KeptHere, type RestoreItem, restoreItems } from "./restore-items";
import { type TrayBase } from "./tray-state";

/** What becomes of each item of a backup, by its key; one that is not named stays as it is here. */
export type Choices = ReadonlyMap<string, Choice>;

/**
 * The changes that restore what was chosen of a backup, all to be made at once; pieces keep the time they were last changed, and those whose time is
 * not known become the newest, the first of them first. Pieces kept beside one of their id get an id of their own, and so do makes; makes that only the
 * backup has go with their piece. On the maker's own bench a piece goes on with the one it was saved with, where they differ.
 */
export function restoreChanges(backup: ReadBackup, choices: Choices, here: KeptHere, now: number): Change[] {
  const items = restoreItems(backup, here);
  const chosen = (item: RestoreItem) => choices.get(item.key) ?? "mine";
  const coming = items.filter((item) => item.standing !== "same" && chosen(item) !== "mine");
  const theirs = coming.some(({ kind }) => kind === "bench") ? null : backup.bench;
  const mine = here.bench?.bench ?? SHIPPED_BENCH;
  const isOther = theirs !== null && benchDifferences(theirs, mine).length > 0;
  const onTheirs = (piece: Piece): Piece => (isOther && !piece.benchUsed ? { ...piece, benchUsed: theirs } : piece);
  const own = new Map<string, string>();
  const pieceIds = new Set(here.pieces.keys());
  const at = (i: number) => new Date(now + coming.length - 1 - i).toISOString();
  const changes = coming.map((item, i): Change | null => {
    if (item.kind === "bench")
      return { store: "settings", put: { id: "bench", bench: item.there, changed: backup.changed.bench ?? at(0) }, madeOn: "any" };
    if (item.kind === "make" || item.kind === "try") return null;
    const id = chosen(item) === "both" ? freeId(pieceIds, item.there.id) : item.there.id;
    pieceIds.add(id);
    own.set(item.there.id, id);
    const changed = (chosen(item) === "both" ? undefined : backup.changed.pieces[item.there.id]) ?? at(i);
    return { store: "pieces", put: pieceRecord(onTheirs({ ...item.there, id }), changed), madeOn: "any" };
  });
  const makeIds = new Set(here.makes.keys());
  const makes = coming.map((item): Change | null => {
    if (item.kind !== "make") return null;
    const isReplaced = item.here !== null && chosen(item) === "theirs";
    const piece = isReplaced ? item.there.piece : (own.get(item.there.piece) ?? item.there.piece);
    const id = chosen(item) === "both" ? freeId(makeIds, item.there.id) : item.there.id;
    makeIds.add(id);
    const make = { ...item.there, id, piece, pieceFile: { ...item.there.pieceFile, id: piece } };
    return { store: "makes", put: makeRecord(make, make.started), madeOn: "any" };
  });
  const tryIds = new Set(here.tries.keys());
  const tries = coming.map((item): Change | null => {
    if (item.kind !== "try") return null;
    const piece = own.get(item.there.piece) ?? item.there.piece;
    const id = chosen(item) === "both" ? freeId(tryIds, item.there.id) : item.there.id;
    tryIds.add(id);
    const tried = { ...item.there, id, piece, pieceFile: { ...item.there.pieceFile, id: piece } };
    return { store: "tries", put: tryRecord(tried), madeOn: "any" };
  });
  // cuts are of the drawer, which is the bench's
  const cuts = theirs === null && backup.bench !== null ? backup.cuts.map(cutChange) : [];
  return [...changes, ...makes, ...tries, ...cuts].filter((change) => change !== null);
}

/** A piece as it is first kept. */
export function pieceRecord(piece: Piece, changed: string) {
  return { id: piece.id, piece, drafts: {}, unmeasured: [] as readonly string[], changed, deleted: null };
}

export function makeRecord(make: Make, changed: string) {
  return { id: make.id, piece: make.piece, make, changed };
}

export function cutChange(cut: CutRecord): Change {
  return { store: "cuts", put: { id: cut.id, cut, changed: cut.at }, madeOn: "any" };
}

export function tryRecord(tried: TryFile, lines?: TryRecord["lines"]): Unrevised<TryRecord> {
  return { id: tried.id, piece: tried.piece, tried, changed: tried.at, ...(lines && { lines }) };
}

/**
 * Makes changes, and returns how to put everything back as it was before them, but what was changed since; that gives how many those are.
 * @throws RepositoryError
 */
export async function putBackOn(
  repository: Repository,
  write: TrayBase["write"],
  changes: readonly Change[],
  how: Writing,
): Promise<() => Promise<number>> {
  const before = await recordsOf(repository, changes);
  const outcomes = await write(changes, how);
  return async () => {
    const now = await recordsOf(repository, changes);
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
async function recordsOf(repository: Repository, changes: readonly Change[]): Promise<ReadonlyMap<string, Stores[StoreName]>> {
  const places = new Set(changes.map(placeOf));
  const [pieces, makes, tries, cuts, bench] = await Promise.all([
    repository.pieces(),
    repository.makes(),
    repository.tries(),
    repository.cuts(),
    repository.bench(),
  ]);
  const of = (store: StoreName, records: readonly Stores[StoreName][]) =>
    records.map((record): [string, Stores[StoreName]] => [`${store} ${record.id}`, record]);
  const all = [
    ...of("pieces", pieces.records),
    ...of("makes", makes.records),
    ...of("tries", tries.records),
    ...of("cuts", cuts.records),
    ...of("settings", bench.records),
  ];
  return new Map(all.filter(([place]) => places.has(place)));
}
