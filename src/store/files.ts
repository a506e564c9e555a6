import { type BenchEntry, withBench } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { encode, encodeParts } from "@/formats/backup-codec";
import { type Repository, newestFirst } from "./repository";

/** A piece without the bench it came with: planned with the maker's own from now on. */
export function onMyBench(piece: Piece): Piece {
  const { benchUsed: _theirs, ...own } = piece;
  return own;
}

/** A piece as it is saved: with the defaults it is planned with. */
export function pieceText(piece: Piece, bench: BenchEntry): string {
  return encode(withBench(piece, bench));
}

/** A making as it is saved, for `plan --make` and other devices. */
export function makeText(make: Make): string {
  return encode(make);
}

export function benchText(bench: BenchEntry): string {
  return encode(bench);
}

/** Characters written before the page gets a turn. */
const TURN = 500_000;

/** Everything kept, in the order of the tray, but what is deleted; in parts. */
export async function everythingText(repository: Repository, bench: BenchEntry): Promise<string[]> {
  const [pieces, makes, tries, cuts, benches] = await Promise.all([
    repository.pieces(),
    repository.makes(),
    repository.tries(),
    repository.cuts(),
    repository.bench(),
  ]);
  const changed = benches.records[0]?.changed;
  const lying = [...pieces.records].sort(newestFirst).filter(({ deleted }) => deleted === null);
  const parts: string[] = [];
  let length = 0;
  for (const part of encodeParts({
    format: "hoop-ledger/backup",
    version: 2,
    bench,
    pieces: lying.map(({ piece }) => piece),
    makes: makes.records.map(({ make }) => make),
    tries: tries.records.map(({ tried }) => tried),
    cuts: cuts.records.map(({ cut }) => cut),
    changed: { ...(changed !== undefined && { bench: changed }), pieces: Object.fromEntries(lying.map(({ id, changed: at }) => [id, at])) },
  })) {
    parts.push(part);
    length += part.length;
    if (length < TURN) continue;
    length = 0;
    await new Promise((resolve) => setTimeout(resolve));
  }
  return parts;
}

/** "hoop-ledger-everything-2026-11-25.json": files saved on several days lie side by side. */
export function everythingName(day: Date): string {
  const two = (n: number) => String(n).padStart(2, "0");
  return `hoop-ledger-everything-${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}.json`;
}
