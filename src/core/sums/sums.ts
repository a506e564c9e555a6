import { type LengthUnit } from "../measure/reading";
import { type BenchEntry } from "../piece/bench";
import { after } from "./kinds/after";
import { ball } from "./kinds/ball";
import { blank } from "./kinds/blank";
import { dome } from "./kinds/dome";
import { gauge } from "./kinds/gauge";
import { mass } from "./kinds/mass";
import { round } from "./kinds/round";
import { size } from "./kinds/size";
import { spacing } from "./kinds/spacing";
import { twist } from "./kinds/twist";
import { type QuickSum, SUM_KINDS, type SumCode, type SumKind, plainLine } from "./sum";

/** Every kind of sum. */
export const SUMS: Readonly<Record<SumCode, SumKind>> = { blank, size, after, round, dome, ball, twist, spacing, mass, gauge };

export type ReadSum =
  | { readonly ok: true; readonly sum: QuickSum }
  /** The kind that it began as, or null where it is none. */
  | { readonly ok: false; readonly began: SumCode | null };

/** The sum that a line asks for; a bare length is in `shown`. Nothing longer than a line is read. */
export function readSum(text: string, shown: LengthUnit, bench: BenchEntry): ReadSum {
  const line = { text: plainLine(text.slice(0, MOST_LETTERS)), shown, bench };
  let began: SumCode | null = null;
  for (const code of SUM_KINDS) {
    const read = SUMS[code].read(line);
    if (read === "misread") began ??= code;
    else if (read !== null) return { ok: true, sum: read };
  }
  return { ok: false, began };
}

const MOST_LETTERS = 120;
