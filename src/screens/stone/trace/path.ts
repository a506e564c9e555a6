import { type Spot } from "@/core/trace/pixels";

/** Spots as an open path. */
export function pathOf(spots: readonly Spot[]): string {
  return spots.length === 0 ? "" : `M${spots.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join("L")}`;
}
