import { doneSteps } from "@/core/making/done";
import { type Make, isUnderWay } from "@/core/piece/make";
import { type Attempt } from "@/formats/attempt";
import { type Makes, underWay } from "@/store/tray-state";
import { type PieceRecord } from "@/store/repository";
import { doubtsOf } from "@/ui/doubt";
import { stoneAndSize } from "./rows";

/** Where a piece is: being made, still to be made, or made. */
export type Standing = "under-way" | "to-make" | "made";
export type Filter = "all" | Standing | "to-put-right";
export type Sort = "under-way" | "changed" | "name";

export const FILTERS: readonly Filter[] = ["all", "under-way", "to-make", "made", "to-put-right"];
export const SORTS: readonly Sort[] = ["under-way", "changed", "name"];

/** Whether it has a making that is under way with something done, a finished one, or neither. */
export function standingOfPiece(makes: Makes, piece: string): Standing {
  const make = underWay(makes, piece);
  if (make && make.done.length > 0) return "under-way";
  return makes[piece]?.some((each) => !isUnderWay(each)) ? "made" : "to-make";
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
  makes: Makes,
  attemptOf: (record: PieceRecord) => Attempt | null,
): readonly PieceRecord[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found = records.filter(
    (record) => isOf(filter, record, makes, attemptOf) && (words.length === 0 || words.every((word) => textOf(record).includes(word))),
  );
  return sort === "changed" ? found : [...found].sort(ORDER[sort](makes));
}

function isOf(filter: Filter, record: PieceRecord, makes: Makes, attemptOf: (record: PieceRecord) => Attempt | null): boolean {
  if (filter === "all") return true;
  if (filter === "to-put-right") return isToPutRight(record, attemptOf(record)) === true;
  return standingOfPiece(makes, record.id) === filter;
}

/** What a piece is found by: its name, stone and size. */
function textOf(record: PieceRecord): string {
  return `${record.piece.name} ${stoneAndSize(record.piece, doubtsOf(record))} ${record.piece.kind}`.toLowerCase();
}

/** Sorting is stable: what is alike stays as it was changed last. */
const ORDER: Readonly<Record<Exclude<Sort, "changed">, (makes: Makes) => (a: PieceRecord, b: PieceRecord) => number>> = {
  "under-way": (makes) => {
    const rank = ({ id }: PieceRecord) => (standingOfPiece(makes, id) === "under-way" ? 0 : 1);
    return (a, b) => rank(a) - rank(b);
  },
  name: () => (a, b) => a.piece.name.localeCompare(b.piece.name, "en"),
};

/** How far a making is, as a share of its steps; null where none is under way. */
export function shareDone(make: Make | undefined, attempt: Attempt | null): number | null {
  if (!make || make.finished !== null || make.done.length === 0 || !attempt?.ok) return null;
  const { steps } = attempt.plan;
  return steps.length === 0 ? null : doneSteps(steps, make.done).size / steps.length;
}
