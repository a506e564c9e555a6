import { cutLength, netLength } from "../hoop/hoop";
import { FORMS } from "../hoop/forms/forms";
import { type Estimate, estimateOf } from "../measure/estimate";
import { readSize, sizeText } from "../hoop/sizes";
import { type TermCode } from "../measure/figure";
import { type LossKind, SHIPPED, SHIPPED_BENCH, mandrelOf, benchOf } from "./bench";
import { type Make, inUse } from "./make";
import { type Piece } from "./piece";
import { lastReadings } from "./remedies";
import { settleHoop } from "./settle";

/** What one making shows of a loss, in mm, by the maker's word for how it was worked; empty where none was said. */
export interface Observation {
  readonly kind: LossKind;
  readonly method: string;
  readonly make: string;
  readonly value: number;
}

/** What all makings show of one loss by one method. */
export interface Learned extends Estimate {
  readonly kind: LossKind;
  readonly method: string;
  readonly prior: number;
  readonly observed: readonly Observation[];
}

const { wall, hoop } = SHIPPED.losses;
/** What the program ships with: squaring and mark; foot and top; squaring, mark and saw. */
export const PRIORS: Readonly<Record<LossKind, number>> = {
  "wall.length": wall.squaring + wall.mark,
  "wall.height": wall.foot + wall.top,
  "hoop.length": hoop.squaring + hoop.mark + hoop.sawPasses * hoop.kerf,
};

/** What a making shows where both ends were measured: what was cut, less what it came to. Nothing of a making that cannot be planned. */
export function observationsOf(make: Make): Observation[] {
  const taken = inUse(make.measured).filter(({ madeUp }) => !madeUp);
  const read = lastReadings(taken);
  const firstInside = taken.find(({ figure }) => figure === INSIDE)?.value;
  const methodOf = (finished: string) => taken.findLast(({ figure }) => figure === finished)?.method;
  const shown = (kind: LossKind, cut: string, finished: string, lost: (cut: number, finished: number) => number | null): Observation[] => {
    const [from, to] = [read.get(cut)?.value, read.get(finished)?.value];
    const value = from === undefined || to === undefined ? null : lost(from, to);
    if (value === null) return [];
    // Of two words that differ the finished measure's counts.
    return [{ kind, method: methodOf(finished) ?? methodOf(cut) ?? "", make: make.id, value }];
  };
  const less = (cut: number, finished: number) => cut - finished;
  return [
    ...make.pieceFile.mounts.flatMap(({ id }) => [
      ...shown("wall.length", `${id}.wall.cutLength`, `${id}.wall.netLength`, less),
      ...shown("wall.height", `${id}.wall.cutHeight`, `${id}.wall.netHeight`, less),
    ]),
    // What it was first, before it was stretched or cut out.
    ...shown("hoop.length", "hoop.cutLength", INSIDE, (cut) => hoopLost(make.pieceFile, cut, firstInside!)),
  ];
}

const INSIDE = "hoop.insideDiameter";

/** cut - N(d') - padding - what a slit and the fitting take + hammering, of a form with a seam; null of any other, and of a size that cannot be read. */
function hoopLost(piece: Piece, cut: number, inside: number): number | null {
  const { carrier } = piece;
  const bench = benchOf(piece, SHIPPED_BENCH);
  if (carrier.type !== "hoop" || !readSize(carrier.size.system, carrier.size.value, mandrelOf(bench)).ok) return null;
  const hoop = settleHoop(carrier, bench);
  if (FORMS[hoop.form].seams(hoop).length === 0) return null;
  const { terms } = cutLength(hoop, netLength(hoop, hoop.size.value + hoop.wideBand.value));
  const planned = (label: TermCode) => terms.find((each) => each.label === label)?.value ?? 0;
  return cut - netLength(hoop, inside).value - planned("padding") - planned("slit") - planned("fitting") - planned("hammer");
}

/** A hoop's inside diameter as a size of the maker's own system; empty where there is no hoop, or its size is told by a mandrel or cannot be read. */
export function sizeRead(piece: Piece, inside: number): string {
  const { carrier } = piece;
  const bench = benchOf(piece, SHIPPED_BENCH);
  if (carrier.type !== "hoop" || carrier.size.system === "mandrel") return "";
  if (!readSize(carrier.size.system, carrier.size.value, mandrelOf(bench)).ok) return "";
  return sizeText(carrier.size.system, inside - settleHoop(carrier, bench).wideBand.value) ?? "";
}

/** What all makings teach, by kind and method, in the order they are first met. */
export function learnedFrom(makes: readonly Make[]): Learned[] {
  return learnedBy(makes.flatMap(observationsOf));
}

/** The same of what makings have shown. */
export function learnedBy(observations: readonly Observation[]): Learned[] {
  const groups: Observation[][] = [];
  const known = new Map<LossKind, Map<string, Observation[]>>();
  for (const each of observations) {
    const methods = known.get(each.kind) ?? new Map<string, Observation[]>();
    if (methods.size === 0) known.set(each.kind, methods);
    const group = methods.get(each.method);
    if (group) group.push(each);
    else {
      groups.push([each]);
      methods.set(each.method, groups.at(-1)!);
    }
  }
  return groups.map((observed) => {
    const { kind, method } = observed[0]!;
    const prior = PRIORS[kind];
    return {
      kind,
      method,
      prior,
      observed,
      ...estimateOf(
        prior,
        observed.map(({ value }) => value),
      ),
    };
  });
}
