import { type Box, type Curve, polygonCurve } from "@/core/geometry/curve";
import { placedCurve } from "@/core/geometry/placed";
import { widthAcross } from "@/core/cutting/match";
import { type CutsPlan, type PlannedLength, type PlannedSheet, goesOn } from "@/core/cutting/plan-cuts";
import { sheetEdge } from "@/core/cutting/sheet";
import { sawLine } from "@/core/cutting/wanted";
import { CUT_LIST, type CutListRow, ORDER_LIST, cutListRows, lengthTitle, orderRows, sheetTitle } from "@/words/cuts";
import { type Rates } from "@/core/piece/bench";
import { type Units } from "@/words/show";
import { type Template, type TemplateLabel, type TemplateLine, boxRound } from "./sheet";

type NameOf = (piece: string) => string;

/** mm high; and a letter's width as a share of that. */
const LABEL = 2.4;
const LETTER = 0.55;
/** A length whose end is far off is drawn so far past its last cut (mm), and a thin one at least so high that its marks can be told. */
const PAST = 12;
const LEAST_HIGH = 2;

/** Each sheet with its saw lines and each length with its marks, at true size. Cuts are numbered as in the list. */
export function cutTemplates(plan: CutsPlan, nameOf: NameOf, units: Units): Template[] {
  const before = countsBefore([...plan.sheets.map(({ placed }) => placed.length), ...plan.lengths.map(({ cuts }) => cuts.length)]);
  return [
    ...plan.sheets.map((sheet, i) => cutSheet(sheet, `sheet-${i + 1}`, before[i]!, nameOf, units)),
    ...plan.lengths.map((length, i) => cutLength(length, `length-${i + 1}`, before[plan.sheets.length + i]!, nameOf, units)),
  ];
}

/** How many cuts come before each. */
function countsBefore(counts: readonly number[]): number[] {
  let sum = 0;
  return counts.map((count) => {
    sum += count;
    return sum - count;
  });
}

/** A sheet with all its saw lines: its own edge, what was taken before, and each blank with its number and the name of its piece. */
function cutSheet(sheet: PlannedSheet, id: string, before: number, nameOf: NameOf, units: Units): Template {
  const blanks = sheet.placed.map(({ wanted, x, y, turn }): TemplateLine => {
    return { curve: placedCurve(sawLine(wanted), { at: [x, y], turn }), isClosed: true, kind: "cut" };
  });
  const lines: TemplateLine[] = [
    { curve: polygonCurve(sheetEdge(sheet.sheet)), isClosed: true, kind: "edge" },
    ...sheet.sheet.taken.map((each): TemplateLine => ({ curve: polygonCurve(each), isClosed: true, kind: "mark" })),
    ...blanks,
  ];
  const labels = sheet.placed.map(({ wanted }, i): TemplateLabel => {
    const { left, right, low, high } = boxRound([blanks[i]!]);
    const text = fitting(before + i + 1, nameOf(wanted.piece), right - left);
    return { at: [(left + right) / 2, (low + high) / 2 - LABEL / 3], text, size: LABEL, isMiddle: true };
  });
  return { id, title: sheetTitle(sheet, units), lines, labels, box: boxRound(lines) };
}

/** A length as it lies along a rule, with the mark that each of its cuts ends at. */
function cutLength(length: PlannedLength, id: string, before: number, nameOf: NameOf, units: Units): Template {
  const last = length.cuts.at(-1)!;
  const shown = goesOn(length) ? Math.min(length.length, last.at + last.length + PAST) : length.length;
  const high = Math.max(LEAST_HIGH, widthAcross(length.form.stock));
  const lines: TemplateLine[] = [
    { curve: polygonCurve(sheetEdge({ length: shown, width: high, outline: null })), isClosed: true, kind: "edge" },
    ...length.cuts.flatMap(({ at, length: long }): TemplateLine[] => [
      ...(at > 0 ? [upright(at, high, "mark")] : []),
      upright(at + long, high, "cut"),
    ]),
  ];
  const labels = length.cuts.map(({ wanted, at, length: long }, i): TemplateLabel => {
    return { at: [at + 0.5, -LABEL - 0.6], text: fitting(before + i + 1, nameOf(wanted.piece), long), size: LABEL, isMiddle: false };
  });
  return { id, title: lengthTitle(length, units), lines, labels, box: boxRound(lines) };
}

/** A number with a name, where there is room for it (mm). */
function fitting(number: number, name: string, room: number): string {
  const whole = `${number} ${name}`;
  return whole.length * LABEL * LETTER < room ? whole : String(number);
}

function upright(at: number, high: number, kind: TemplateLine["kind"]): TemplateLine {
  const curve: Curve = polygonCurve([
    [at, 0],
    [at, high],
  ]);
  return { curve, isClosed: false, kind };
}

/** Rows of the list are so far apart and so high, less in columns (mm); so many stand in a column, and columns this far apart. */
const PITCH = 5;
const [TEXT, TEXT_IN_COLUMNS] = [2.8, 2.3];
const ROWS = 40;
/** What is cut stands so far in under what it is cut from (mm). */
const UNDER = 6;
const COLUMN = 95;
const COLUMNS = 2;

/** What is cut, one after another as it is numbered, on a page; on more where one is too short. */
export function cutLists(plan: CutsPlan, nameOf: NameOf, units: Units): Template[] {
  return listed("cut-list", CUT_LIST, cutListRows(plan, nameOf, units));
}

/** What is to be ordered, by metal and form; nothing where all is in the drawer. */
export function orderLists({ order }: CutsPlan, rates: Partial<Rates>, units: Units): Template[] {
  return order.length === 0 ? [] : listed("order", ORDER_LIST, orderRows(order, rates, units));
}

function listed(id: string, title: string, rows: readonly CutListRow[]): Template[] {
  const perPage = rows.length <= ROWS ? ROWS : ROWS * COLUMNS;
  const pages = Array.from({ length: Math.ceil(rows.length / perPage) }, (_, i) => rows.slice(i * perPage, (i + 1) * perPage));
  return pages.map((page, i): Template => {
    const box: Box = { left: 0, right: COLUMN * COLUMNS, low: -Math.min(page.length, ROWS) * PITCH, high: 0 };
    const labels = page.map(({ text, isUnder }, k): TemplateLabel => ({
      at: [Math.floor(k / ROWS) * COLUMN + (isUnder ? UNDER : 0), -((k % ROWS) + 1) * PITCH],
      ...{ text, size: rows.length <= ROWS ? TEXT : TEXT_IN_COLUMNS, isMiddle: false },
    }));
    return { id: i === 0 ? id : `${id}-${i + 1}`, title, lines: [], labels, box };
  });
}
