import { isUnderWay } from "@/core/piece/make";
import { type Attempt } from "@/formats/attempt";
import { type Makes, begunMake } from "@/store/tray-state";
import { type PieceRecord } from "@/store/repository";
import { doubtsOf } from "@/ui/doubt";
import { stoneAndSize } from "./rows";

/** Where a piece is: being made, still to be made, or made. */
export type Standing = "under-way" | "to-make" | "made";
export type Filter = "all" | Standing | "to-put-right";
export type Sort = "under-way" | "changed" | "name";

export const FILTERS: readonly Filter[] = ["all", "under-way", "to-make", "made", "to-put-right"];
export const SORTS: readonly Sort[] = ["under-way", "changed", "name"];

/** Makes as far as they are read: `isWhole` once they are all. */
export interface KnownMakes {
  readonly makes: Makes;
  readonly isWhole: boolean;
}

/** Whether it has a making that is under way with something done, a finished one, or neither; null while a making of it may still be read. */
export function standingOfPiece({ makes, isWhole }: KnownMakes, piece: string): Standing | null {
  if (begunMake(makes, piece)) return "under-way";
  if (makes[piece]?.some((each) => !isUnderWay(each))) return "made";
  return isWhole ? "to-make" : null;
}

/** Whether something is wrong with a piece: it cannot be planned, or its plan has an error that rests on no guess. Null while it is not planned. */
export function isToPutRight(record: PieceRecord, attempt: Attempt | null): boolean | null {
  if (attempt === null) return null;
  if (!attempt.ok) return true;
  const doubtOf = doubtsOf(record);
  return attempt.plan.findings.some(({ level, at }) => level === "error" && !doubtOf(at));
}

export interface Choosing {
  readonly filter: Filter;
  readonly sort: Sort;
  readonly search: string;
}

/** Those records that are asked for, in their order; `attemptOf` gives the plan of one where it is known. */
export function chosenRecords(
  records: readonly PieceRecord[],
  { filter, sort, search }: Choosing,
  makes: KnownMakes,
  attemptOf: (record: PieceRecord) => Attempt | null,
): readonly PieceRecord[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found = records.filter(
    (record) => isOf(filter, record, makes, attemptOf) && (words.length === 0 || words.every((word) => textOf(record).includes(word))),
  );
  return sort === "changed" ? found : [...found].sort(ORDER[sort](makes));
}

function isOf(filter: Filter, record: PieceRecord, makes: KnownMakes, attemptOf: (record: PieceRecord) => Attempt | null): boolean {
  if (filter === "all") return true;
  if (filter === "to-put-right") return isToPutRight(record, attemptOf(record)) === true;
  return standingOfPiece(makes, record.id) === filter;
}

/** What a piece is found by: its name, stone and size. */
function textOf(record: PieceRecord): string {
  return `${record.piece.name} ${stoneAndSize(record.piece, doubtsOf(record))} ${record.piece.kind}`.toLowerCase();
}

/** Sorting is stable: what is alike stays as it was changed last. */
const ORDER: Readonly<Record<Exclude<Sort, "changed">, (makes: KnownMakes) => (a: PieceRecord, b: PieceRecord) => number>> = {
  "under-way": (makes) => {
    const rank = ({ id }: PieceRecord) => (standingOfPiece(makes, id) === "under-way" ? 0 : 1);
    return (a, b) => rank(a) - rank(b);
  },
  name: () => (a, b) => a.piece.name.localeCompare(b.piece.name, "en"),
};
