/** A solder on the maker's shelf; temperatures in degrees C. */
export interface Grade {
  readonly id: string;
  /** Order of hardness: a lower rank runs hotter. */
  readonly rank: number;
  readonly gives: number;
  readonly runs: number;
  readonly forms?: readonly SolderForm[];
}

export interface SolderForm {
  readonly type: "sheet" | "wire" | "paste";
  /** mm; paste has none. */
  readonly thickness?: number;
}

export interface Shelf {
  readonly id: string;
  readonly grades: readonly Grade[];
}

/** The next grade of a shelf that runs lower than another; null where there is none, or that is on no shelf. */
export function lowerGrade({ grades }: Shelf, than: string): string | null {
  const runs = grades.find(({ id }) => id === than)?.runs ?? -Infinity;
  const lower = grades.filter((each) => each.runs < runs).sort((a, b) => b.runs - a.runs);
  return lower[0]?.id ?? null;
}

const SHEET: readonly SolderForm[] = [{ type: "sheet", thickness: 0.25 }];

/** Typical published values; a maker edits them from their supplier's sheet. */
export const SHIPPED_SHELVES: readonly Shelf[] = [
  {
    id: "typical",
    grades: [
      { id: "hard", rank: 1, gives: 740, runs: 787, forms: SHEET },
      { id: "medium", rank: 2, gives: 690, runs: 738, forms: SHEET },
      { id: "easy", rank: 3, gives: 671, runs: 718, forms: SHEET },
      { id: "extra-easy", rank: 4, gives: 618, runs: 652, forms: SHEET },
    ],
  },
  {
    id: "narrow",
    grades: [
      { id: "hard", rank: 1, gives: 745, runs: 778, forms: SHEET },
      { id: "medium", rank: 2, gives: 720, runs: 765, forms: SHEET },
      { id: "easy", rank: 3, gives: 705, runs: 723, forms: SHEET },
      { id: "extra-easy", rank: 4, gives: 667, runs: 709, forms: SHEET },
    ],
  },
];
