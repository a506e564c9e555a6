import { type LossKind } from "@/core/piece/bench";
import { type Learned } from "@/core/piece/ledger";
import { counted } from "./names";
import { printable } from "./show";

/** What is cut with a loss in it. */
export const CUT_NAMES: Readonly<Record<LossKind, string>> = {
  "wall.length": "strip, long",
  "wall.height": "strip, tall",
  "hoop.length": "blank",
};

/** What it comes off. */
export const OFF_NAMES: Readonly<Record<LossKind, string>> = {
  "wall.length": "the strip's length",
  "wall.height": "the bezel's height",
  "hoop.length": "the blank",
};

/** What comes off, short. */
export const LOSS_NAMES: Readonly<Record<LossKind, string>> = {
  "wall.length": "Strip length",
  "wall.height": "Bezel height",
  "hoop.length": "Hoop length",
};

/** A kind of loss of a bench's file, which may name one that this program does not know. */
export function lossName(kind: string): string {
  return (LOSS_NAMES as Readonly<Record<string, string>>)[kind] ?? printable(kind);
}

const KIND_NAMES: Readonly<Record<LossKind, string>> = {
  "wall.length": "Off a strip's length",
  "wall.height": "Off a bezel's height",
  "hoop.length": "Off a hoop's blank",
};

/** What your hands take off, a line a kind and method. */
export function ledgerLines(learned: readonly Learned[]): string[] {
  if (learned.length === 0) return ["No make has both the size cut and the size reached."];
  return learned.map(({ kind, method, kept, outliers, estimate, spread, prior }) => {
    const how = method === "" ? "" : `, ${printable(method)}`;
    const give = spread === null ? "" : `, give or take ${spread.toFixed(2)}`;
    const out = outliers.length === 0 ? "" : `; ${outliers.length} left out`;
    return `${KIND_NAMES[kind]}${how}: ${estimate.toFixed(2)} mm${give}, from ${counted(kept.length, "make")}${out}; standard ${prior.toFixed(2)}`;
  });
}
