import { csvFormatRows, csvParseRows } from "d3-dsv";
import { type Grade, type Shelf, type SolderForm } from "@/core/metal/shelf";
import { benchLists } from "./generated/validators";
import { plainId } from "./plain-id";

const HEADS = ["shelf", "grade", "rank", "gives at C", "runs at C", "in hand"] as const;
const TYPES = ["sheet", "wire", "paste"] as const;

/** "sheet 0.25, wire 0.5, paste", in mm. */
export function formsText(forms: readonly SolderForm[] = []): string {
  return forms.map(({ type, thickness }) => (thickness === undefined ? type : `${type} ${thickness}`)).join(", ");
}

/** What is in hand as it is typed; null where a word is none of sheet, wire and paste, or a thickness no number. Lengths by `mmOf`. */
export function readForms(text: string, mmOf: (text: string) => number | null): SolderForm[] | null {
  const read = text
    .split(/[,;]/)
    .map((each) => each.trim())
    .filter(Boolean)
    .map((each): SolderForm | null => {
      const [word = "", ...rest] = each.split(/\s+/);
      const type = TYPES.find((one) => one === word.toLowerCase());
      if (!type) return null;
      if (rest.length === 0) return { type };
      const thickness = mmOf(rest.join(" "));
      return thickness === null || thickness <= 0 ? null : { type, thickness };
    });
  return read.every((each) => each !== null) ? read : null;
}

/** The shelves as a table for other programs, a grade a line, in mm and degrees C. */
export function shelvesCsv(shelves: readonly Shelf[]): string {
  const rows = shelves.flatMap(({ id, grades }) =>
    grades.map((grade) => [id, grade.id, String(grade.rank), String(grade.gives), String(grade.runs), formsText(grade.forms)]),
  );
  return csvFormatRows([[...HEADS], ...rows]);
}

/** A bench holds so many shelves of so many grades each, and the table a line of heads. */
const MOST_LINES = (benchLists.at?.shelves?.most ?? 0) * (benchLists.at?.shelves?.in?.at?.grades?.most ?? 0) + 1;

function linesIn(text: string): number {
  let lines = 0;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (code === LINE_FEED || (code === RETURN && text.charCodeAt(at + 1) !== LINE_FEED)) lines++;
  }
  return lines + (/[\r\n]$/.test(text) ? 0 : 1);
}

const [LINE_FEED, RETURN] = [0x0a, 0x0d];

/** No table of a bench's shelves has more bytes. */
export const MOST_TABLE_BYTES = 1_000_000;

export type ReadShelves =
  | { readonly ok: true; readonly shelves: readonly Shelf[] }
  /** More lines, or more bytes, than all shelves of a bench can have: how many, and how many there may be. */
  | { readonly ok: false; readonly tooMany: number; readonly limit: number }
  /** The line, from 1, the column that cannot be read, what stands there, and whether a grade of that name stood on its shelf before. */
  | { readonly ok: false; readonly line: number; readonly column: string; readonly got: string; readonly isTwice: boolean };

/** Shelves out of such a table; columns are found by their names, in any order, and shelves and grades may be called as a maker calls them. */
export function readShelvesCsv(text: string): ReadShelves {
  // Counted before anything is read in: a table of another kind may have millions.
  const lines = linesIn(text);
  if (lines > MOST_LINES) return { ok: false, tooMany: lines, limit: MOST_LINES };
  const [heads = [], ...rows] = csvParseRows(text.replace(/^\ufeff/, ""));
  const at = new Map(HEADS.map((head) => [head, heads.map((each) => each.trim().toLowerCase()).indexOf(head.toLowerCase())]));
  const missing = HEADS.slice(0, 5).find((head) => at.get(head)! < 0);
  if (missing) return { ok: false, line: 1, column: missing, got: "", isTwice: false };
  const shelves = new Map<string, Grade[]>();
  for (const [i, row] of rows.entries()) {
    const cell = (head: (typeof HEADS)[number]) => (row[at.get(head)!] ?? "").trim();
    const number = (head: (typeof HEADS)[number]) => (cell(head) === "" ? NaN : Number(cell(head)));
    const wrong = (["rank", "gives at C", "runs at C"] as const).find((head) => !Number.isFinite(number(head)));
    const forms = readForms(cell("in hand"), (mm) => (Number.isFinite(Number(mm)) ? Number(mm) : null));
    const [shelf, id] = [plainId(cell("shelf")), plainId(cell("grade"))];
    const before = shelves.get(shelf) ?? [];
    const isTwice = before.some((each) => each.id === id);
    const unnamed = shelf === "" ? "shelf" : id === "" || isTwice ? "grade" : null;
    const column = wrong ?? unnamed ?? (forms === null ? "in hand" : null);
    if (column !== null) return { ok: false, line: i + 2, column, got: cell(column), isTwice: column === unnamed && isTwice };
    const grade = { id, rank: number("rank"), gives: number("gives at C"), runs: number("runs at C") };
    shelves.set(shelf, [...before, forms!.length > 0 ? { ...grade, forms: forms! } : grade]);
  }
  if (shelves.size === 0) return { ok: false, line: 2, column: "shelf", got: "", isTwice: false };
  return { ok: true, shelves: [...shelves].map(([id, grades]) => ({ id, grades })) };
}
