import { METALS } from "@/core/metal/metals";
import { type LossKind } from "@/core/piece/bench";
import { type Observation, observationsOf, sizeRead } from "@/core/piece/ledger";
import { type Make, pieceNow, inUse } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { SHAPE_NAMES, SYSTEM_NAMES } from "@/words/names";

/** One making as the ledger's page has it. */
export interface Entry {
  readonly make: Make;
  readonly piece: Piece;
  readonly kind: Piece["kind"];
  readonly metals: readonly string[];
  readonly stones: readonly string[];
  readonly note: string;
  /** "EU 54"; empty where there is no hoop. */
  readonly wanted: string;
  readonly reached: string;
  readonly minutes: number | null;
  /** What it shows of each loss, the first of each kind. */
  readonly lost: Partial<Readonly<Record<LossKind, Observation>>>;
  readonly observed: readonly Observation[];
  /** What it is searched in, in small letters. */
  readonly text: string;
}

const known = new WeakMap<Make, Entry>();

/** Read out of a making once, for as long as it does not change. */
export function entryOf(make: Make): Entry {
  const before = known.get(make);
  if (before) return before;
  const entry = read(make);
  known.set(make, entry);
  return entry;
}

function read(make: Make): Entry {
  const piece = pieceNow(make);
  const { carrier, mounts } = piece;
  const metals = [
    ...new Set([
      ...mounts.flatMap(({ wall, plate }) => [wall.metal, ...(plate?.metal ? [plate.metal] : [])]),
      ...(carrier.type === "hoop" ? [carrier.stock.metal] : []),
    ]),
  ];
  const stones = [...new Set(mounts.map(({ stone }) => stone.material?.name ?? stone.name ?? SHAPE_NAMES[stone.outline.shape]))];
  const note = make.result?.words ?? make.notes;
  const lost: Partial<Record<LossKind, Observation>> = {};
  const observed = observationsOf(make);
  for (const each of observed) lost[each.kind] ??= each;
  return {
    make,
    piece,
    kind: piece.kind,
    metals: metals.map((metal) => METALS[metal].name),
    stones,
    note,
    wanted: carrier.type === "hoop" ? `${SYSTEM_NAMES[carrier.size.system]} ${carrier.size.value}` : "",
    reached: reachedOf(make, piece),
    minutes: make.result?.minutes ?? null,
    lost,
    observed,
    text: [piece.name, ...stones, ...mounts.map(({ stone }) => stone.name ?? ""), note, make.notes, piece.notes ?? ""]
      .join(" ")
      .toLowerCase(),
  };
}

/** What the maker wrote, else what was read last; empty where neither is. */
function reachedOf(make: Make, piece: Piece): string {
  if (make.result?.size !== undefined) return make.result.size;
  const inside = inUse(make.measured).findLast(({ figure }) => figure === "hoop.insideDiameter")?.value;
  return inside === undefined ? "" : sizeRead(piece, inside);
}

export type SortKey = "date" | "name" | "minutes" | "strip" | "hoop";

/** What of the ledger is shown, and in which order. */
export interface Asked {
  readonly search: string;
  readonly kind: Piece["kind"] | null;
  readonly metal: string | null;
  readonly stone: string | null;
  readonly sort: SortKey;
  readonly isDown: boolean;
}

const NUMBERS: Readonly<Record<Exclude<SortKey, "date" | "name">, (entry: Entry) => number | null>> = {
  minutes: ({ minutes }) => minutes,
  strip: ({ lost }) => lost["wall.length"]?.value ?? null,
  hoop: ({ lost }) => lost["hoop.length"]?.value ?? null,
};

/** The entries that are asked for; those without what they are ordered by come last. */
export function askedFor(entries: readonly Entry[], { search, kind, metal, stone, sort, isDown }: Asked): Entry[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found = entries.filter(
    (entry) =>
      (kind === null || entry.kind === kind) &&
      (metal === null || entry.metals.includes(metal)) &&
      (stone === null || entry.stones.includes(stone)) &&
      words.every((word) => entry.text.includes(word)),
  );
  const way = isDown ? -1 : 1;
  if (sort === "date") return found.sort((a, b) => way * compare(a.make.started, b.make.started));
  if (sort === "name") return found.sort((a, b) => way * a.piece.name.localeCompare(b.piece.name));
  const of = NUMBERS[sort];
  return found.sort((a, b) => {
    const [x, y] = [of(a), of(b)];
    if (x === null || y === null) return Number(x === null) - Number(y === null);
    return way * (x - y);
  });
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
