/** What of a stone a caliper reads. */
export type MeasureKind = "across" | "length" | "width";
