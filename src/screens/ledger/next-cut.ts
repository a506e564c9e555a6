import { insideFor } from "@/core/hoop/what-if";
import { sizeText } from "@/core/hoop/sizes";
import { type BenchEntry, type LossKind } from "@/core/piece/bench";
import { type Learned } from "@/core/piece/ledger";
import { type Piece } from "@/core/piece/piece";
import { sizePiece } from "@/core/piece/size-piece";
import { SYSTEM_NAMES } from "@/words/names";

/** The figure that a loss goes into, of a piece's first setting or its hoop, and what is left of it. */
const CUTS: Readonly<Record<LossKind, (piece: Piece) => { readonly cut: string; readonly net: string }>> = {
  "wall.length": ({ mounts }) => ({ cut: `${mounts[0]!.id}.wall.cutLength`, net: `${mounts[0]!.id}.wall.netLength` }),
  "wall.height": ({ mounts }) => ({ cut: `${mounts[0]!.id}.wall.cutHeight`, net: `${mounts[0]!.id}.wall.netHeight` }),
  "hoop.length": () => ({ cut: "hoop.cutLength", net: "hoop.netLength" }),
};

/** What is cut next with the figure that is used now, and with the maker's own. Lengths in mm. */
export interface NextCut {
  readonly piece: Piece;
  /** What is wanted: a size, or the length it comes to. */
  readonly wanted: string;
  readonly now: Cut;
  readonly mine: Cut;
  /** Length without what comes off. */
  readonly net: number;
}

export interface Cut {
  readonly length: number;
  /** What it lands at when the maker's own loss comes off. */
  readonly lands: number;
  /** The size that is; empty of what has none. */
  readonly size: string;
}

/** The maker's bench with their own loss by a method; of its kind it counts first, those by other methods where a piece asks for them. */
export function withMine(bench: BenchEntry, { kind, method, estimate, spread, kept }: Learned): BenchEntry {
  const others = (bench.allowances ?? []).filter((each) => each.kind !== kind || each.method !== method);
  return {
    ...bench,
    allowances: [{ kind, method, value: estimate, ...(spread !== null && { spread }), count: kept.length }, ...others],
  };
}

/** The first of these pieces that a loss goes into, cut both ways; null where there is none. */
export function nextCut(pieces: readonly Piece[], bench: BenchEntry, learned: Learned): NextCut | null {
  const mine = withMine(bench, learned);
  for (const piece of pieces) {
    const own = { ...piece };
    delete own.benchUsed;
    const { cut, net } = CUTS[learned.kind](own);
    const [now, then] = [sized(own, bench), sized(own, mine)];
    const before = now?.contribution.figures[cut];
    const after = then?.contribution.figures[cut];
    const left = now?.contribution.figures[net];
    if (!now || !before || !after || !left || !after.terms.some(({ label }) => label === "yours")) continue;
    const { carrier } = now.settled;
    const isHoop = learned.kind === "hoop.length" && carrier.type === "hoop";
    const lands = (length: number): Cut => {
      const comes = length - learned.estimate;
      if (!isHoop) return { length, lands: comes, size: "" };
      const system = carrier.asked.system === "mandrel" ? "us" : carrier.asked.system;
      const inside = insideFor(carrier, left.value + comes - (after.value - learned.estimate));
      return { length, lands: comes, size: `${SYSTEM_NAMES[system]} ${sizeText(system, inside - carrier.wideBand.value) ?? ""}` };
    };
    return {
      piece,
      wanted: isHoop ? `${SYSTEM_NAMES[carrier.asked.system]} ${carrier.asked.value}` : "",
      now: lands(before.value),
      mine: lands(after.value),
      net: after.value - learned.estimate,
    };
  }
  return null;
}

function sized(piece: Piece, bench: BenchEntry) {
  try {
    return sizePiece(piece, bench);
  } catch (error) {
    // A piece that this bench cannot plan says so on its own row of the tray.
    if (error instanceof RangeError) return null;
    throw error;
  }
}
