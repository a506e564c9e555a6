import { type Finding, type FindingCode, finding } from "./finding";

/** What makers use, in mm: outside it a size is likely a slip of the finger. */
export const USUAL = {
  "stone.unusual": { least: 3, most: 60 },
  "wall.unusual": { least: 0.2, most: 1.6 },
  "plate.unusual": { least: 0.4, most: Infinity },
  "hoop.unusual": { least: 0.8, most: Infinity },
} as const satisfies Partial<Record<FindingCode, { readonly least: number; readonly most: number }>>;

/** A note where a size lies outside what makers use. */
export function unusualFindings(code: keyof typeof USUAL, value: number, at: string, mount: string | null = null): Finding[] {
  const { least, most } = USUAL[code];
  if (value >= least && value <= most) return [];
  const values = Number.isFinite(most) ? { value, least, most } : { value, least };
  return [finding(code, "note", at, values, mount)];
}
