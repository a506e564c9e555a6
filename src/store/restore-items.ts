import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type ReadBackup } from "@/formats/backup-codec";
import { type TryFile } from "@/formats/flame-file";
import { type PieceRecord } from "./repository";
import { isSame, told } from "@/core/measure/same";

/**
 * How something of a backup stands beside what is kept here: newer by the time it was last changed; it differs where that time is not known, or where
 * each holds something that the other does not.
 */
export type Standing = "newer-here" | "differs" | "newer-there" | "deleted-here" | "only-there" | "same";

/** What becomes of it: what is here stays, the backup's takes its place, or both are kept. */
export type Choice = "mine" | "theirs" | "both";

interface Of<K extends string, T> {
  readonly kind: K;
  readonly key: string;
  readonly standing: Standing;
  readonly there: T;
  /** null where it is only in the backup. */
  readonly here: T | null;
}
export type RestoreItem = Of<"bench", BenchEntry> | Of<"piece", Piece> | Of<"make", Make> | Of<"try", TryFile>;

/** What is kept already. */
export interface KeptHere {
  readonly pieces: ReadonlyMap<string, Pick<PieceRecord, "piece" | "changed" | "deleted">>;
  readonly makes: ReadonlyMap<string, Make>;
  readonly tries: ReadonlyMap<string, TryFile>;
  /** null where the maker has changed nothing of the bench that ships. */
  readonly bench: { readonly bench: BenchEntry; readonly changed: string } | null;
}

/** What can be chosen for it, the usual first: nothing newer, and nothing whose age is not known, is overwritten unasked. */
export function choicesFor({ kind, standing }: Pick<RestoreItem, "kind" | "standing">): readonly [Choice, ...Choice[]] {
  if (standing === "same") return ["mine"];
  if (standing === "only-there" || standing === "deleted-here") return ["theirs", "mine"];
  const both: readonly Choice[] = kind === "bench" ? [] : ["both"];
  return standing === "newer-there" ? ["theirs", "mine", ...both] : ["mine", "theirs", ...both];
}

/** The bench first, then pieces, makes and tries as the backup has them. */
export function restoreItems(backup: ReadBackup, here: KeptHere): RestoreItem[] {
  return [...benchItems(backup, here), ...pieceItems(backup, here), ...makeItems(backup, here), ...tryItems(backup, here)];
}

function benchItems({ bench, changed }: ReadBackup, { bench: own }: KeptHere): RestoreItem[] {
  if (bench === null) return [];
  const isNew = own === null && !isSame(SHIPPED_BENCH, bench);
  const standing = isNew ? "only-there" : standingOf(own?.bench ?? SHIPPED_BENCH, bench, own?.changed ?? "", changed.bench);
  return [{ kind: "bench", key: "bench", standing, there: bench, here: own?.bench ?? null }];
}

function pieceItems({ changed, pieces: of }: ReadBackup, { pieces }: KeptHere): RestoreItem[] {
  return of.map((there): RestoreItem => {
    const own = pieces.get(there.id);
    const key = `piece ${there.id}`;
    if (!own) return { kind: "piece", key, standing: "only-there", there, here: null };
    const standing = standingOf(own.piece, there, own.changed, changed.pieces[there.id]);
    const isDeleted = own.deleted !== null && standing !== "newer-here";
    return { kind: "piece", key, standing: isDeleted ? "deleted-here" : standing, there, here: own.piece };
  });
}

function makeItems({ makes: of }: ReadBackup, { makes }: KeptHere): RestoreItem[] {
  return of.map((there): RestoreItem => {
    const here = makes.get(there.id) ?? null;
    return { kind: "make", key: `make ${there.id}`, standing: here ? makeStanding(here, there) : "only-there", there, here };
  });
}

/** Nothing of a try is ever changed: of two with an id, what differs is another's. */
function tryItems({ tries: of }: ReadBackup, { tries }: KeptHere): RestoreItem[] {
  return of.map((there): RestoreItem => {
    const here = tries.get(there.id) ?? null;
    return {
      kind: "try",
      key: `try ${there.id}`,
      standing: here === null ? "only-there" : isSame(here, there) ? "same" : "differs",
      there,
      here,
    };
  });
}

function standingOf(here: object, there: object, changedHere: string, changedThere: string | undefined): Standing {
  if (isSame(here, there)) return "same";
  if (changedThere === undefined || changedThere === changedHere) return "differs";
  return changedHere > changedThere ? "newer-here" : "newer-there";
}

/** A make that holds all of the other and more is newer; where each holds more, the one in which something was done last. */
function makeStanding(here: Make, there: Make): Standing {
  if (isSame(here, there)) return "same";
  const [isFurtherHere, isFurtherThere] = [isFurther(here, there), isFurther(there, here)];
  if (isFurtherHere !== isFurtherThere) return isFurtherHere ? "newer-here" : "newer-there";
  const [lastHere, lastThere] = [lastAt(here), lastAt(there)];
  return lastHere === lastThere ? "differs" : lastHere > lastThere ? "newer-here" : "newer-there";
}

/** When something was last done in a make, as far as it says. */
function lastAt({ started, finished, result, ...make }: Make): string {
  const lists = [make.done, make.remedies, make.held, make.photos, make.taken, make.notesWas, make.datesWas, result?.was];
  const told = lists.flatMap((list) => (list ?? []).map(({ at }) => at));
  const read = make.measured.flatMap(({ at, was = [] }) => [at, ...was.map((each) => each.at)]);
  return [started, finished ?? "", ...told, ...read].reduce((last, at) => (at > last ? at : last));
}

/** Whether a make holds anything that the other, of the same id, does not: a step, a reading, a picture, its end or its words. */
export function isFurther(make: Make, other: Make): boolean {
  const lists = ["done", "measured", "remedies", "held", "photos", "taken", "notesWas", "datesWas"] as const;
  const holdsMore = lists.some((list) => {
    const theirs = new Set((other[list] ?? []).map(told));
    return (make[list] ?? []).some((entry) => !theirs.has(told(entry)));
  });
  const isEnded = make.finished !== null && other.finished === null;
  const says = make.notes !== "" && make.notes !== other.notes;
  const came = Object.entries(make.result ?? {}).some(
    ([key, value]) => told(other.result?.[key as keyof NonNullable<Make["result"]>]) !== told(value),
  );
  return holdsMore || isEnded || says || came;
}
