import { csvFormatRows, csvParseRows } from "d3-dsv";
import { sheetEdge } from "@/core/cutting/sheet";
import { type SheetLines, sheetOfLines } from "@/core/cutting/sheet-lines";
import { METALS, type Metal } from "@/core/metal/metals";
import { STOCK_FORMS, type StockItem, WIRE_SECTIONS, sheetSides } from "@/core/metal/stock";
import { oneLine } from "@/core/measure/one-line";
import { cornersCell, readCorners } from "./corners";
import { asText } from "./ledger-file";

/** What tells a metal's form and sizes, in a table of the drawer and in one of what is ordered: what was bought can be added to the drawer as it is. */
export const SIZE_HEADS = ["form", "metal", "section", "width", "thickness", "outside", "inside", "length", "count"] as const;
const HEADS = [...SIZE_HEADS, "coil", "least", "outline", "taken", "note"] as const;
type Head = (typeof HEADS)[number];

/** What each form must have, beside its metal and length. */
const NEEDED: Readonly<Record<StockItem["form"], readonly Head[]>> = {
  strip: ["width", "thickness"],
  wire: ["section", "thickness"],
  sheet: ["width", "thickness"],
  tube: ["outside", "inside"],
};
/** A drawer has at most so many entries, and a table of it so many bytes. */
const MOST_ROWS = 1000;
export const MOST_STOCK_BYTES = 300_000;

/** The drawer as a table for other programs, in mm; a sheet by the sides of the box round it, and by its corners where it is no rectangle. */
export function stockCsv(stock: readonly StockItem[]): string {
  const rows = stock.map((item) => {
    const sides = item.form === "sheet" ? sheetSides(item) : { length: item.length, width: item.width };
    const { form, metal, section, thickness, outside, inside, count, coil, least, outline, taken, note } = item;
    const cells = [
      form,
      metal,
      section,
      sides.width,
      thickness,
      outside,
      inside,
      sides.length,
      count,
      coil ? "yes" : undefined,
      least,
      outline && cornersCell([outline]),
      taken && cornersCell(taken),
      note,
    ];
    return cells.map((cell) => asText(cell === undefined ? "" : String(cell)));
  });
  return csvFormatRows([[...HEADS], ...rows]);
}

export type ReadStock =
  | { readonly ok: true; readonly items: readonly Omit<StockItem, "id">[] }
  | { readonly ok: false; readonly tooMany: number; readonly limit: number }
  /** The line, from 1, the column that cannot be read, and what stands there. */
  | { readonly ok: false; readonly line: number; readonly column: string; readonly got: string };

/** What lies in a drawer, out of such a table; columns are found by their names, in any order. Nothing is read of one that has a wrong line. */
export function readStockCsv(text: string): ReadStock {
  const [columns = [], ...rows] = csvParseRows(text.replace(/^\ufeff/, ""));
  const heads = new Map(columns.map((column, i) => [column.trim().toLowerCase(), i]));
  const missing = (["form", "metal", "length"] as const).find((head) => !heads.has(head));
  if (missing) return { ok: false, line: 1, column: missing, got: "" };
  if (rows.length > MOST_ROWS) return { ok: false, tooMany: rows.length, limit: MOST_ROWS };
  const items: Omit<StockItem, "id">[] = [];
  for (const [i, row] of rows.entries()) {
    const cell = (head: Head) => (row[heads.get(head) ?? -1] ?? "").trim().replace(/^'/, "");
    const read = itemOf(cell);
    if (typeof read === "string") return { ok: false, line: i + 2, column: read, got: cell(read) };
    items.push(read);
  }
  return items.length === 0 ? { ok: false, line: 2, column: "form", got: "" } : { ok: true, items };
}

/** A row's item, or the column that cannot be read. */
function itemOf(cell: (head: Head) => string): Omit<StockItem, "id"> | Head {
  const form = STOCK_FORMS.find((each) => each === cell("form").toLowerCase());
  if (!form) return "form";
  const metal = metalCalled(cell("metal"));
  if (!metal) return "metal";
  const number = (head: Head) => (cell(head) === "" ? undefined : Number(cell(head)));
  const numbers = (["width", "thickness", "outside", "inside", "length", "least"] as const).map((head) => [head, number(head)] as const);
  const wrong = numbers.find(([, value]) => value !== undefined && !(value > 0 && Number.isFinite(value)));
  if (wrong) return wrong[0];
  const { width, thickness, outside, inside, length, least } = Object.fromEntries(numbers) as Partial<Record<Head, number>>;
  const section = WIRE_SECTIONS.find((each) => each === cell("section").toLowerCase());
  if (cell("section") !== "" && !section) return "section";
  const lacking = ["length" as const, ...NEEDED[form]].find((head) => cell(head) === "");
  if (lacking) return lacking;
  if (form === "tube" && !(outside! > inside!)) return "inside";
  const sheet = form === "sheet" ? sheetIn(cell) : null;
  if (typeof sheet === "string") return sheet;
  const count = cell("count") === "" ? 1 : Number(cell("count"));
  if (!Number.isInteger(count) || count < 1) return "count";
  const note = oneLine(cell("note"));
  return {
    ...{ form, metal, length: length!, count },
    thickness: thickness ?? (outside! - inside!) / 2,
    ...(form === "wire" && { section: section!, width: width ?? thickness! }),
    ...((form === "strip" || form === "sheet") && { width: width! }),
    ...sheet,
    ...(form === "tube" && { outside: outside!, inside: inside! }),
    ...(/^(yes|true|1|x)$/i.test(cell("coil")) && { coil: true }),
    ...(least !== undefined && { least }),
    ...(note !== "" && { note }),
  };
}

/** A row's sides and those of the box round its corners differ by no more (mm). */
const MOST_APART = 0.1;

/** What the corners of a row say of its sheet, null where it has none; or the column that cannot be read, or says another size than they do. */
function sheetIn(cell: (head: Head) => string): SheetLines | null | Head {
  if (cell("outline") === "" && cell("taken") === "") return null;
  const own = readCorners(cell("outline"), "mm");
  if (!own.ok || own.lines.length > 1) return "outline";
  const holes = readCorners(cell("taken"), "mm");
  if (!holes.ok) return "taken";
  const edge = own.lines[0] ?? sheetEdge({ length: Number(cell("length")), width: Number(cell("width")), outline: null });
  const sheet = sheetOfLines([edge, ...holes.lines]);
  if (!sheet.ok) return sheet.fault.line === 0 ? "outline" : "taken";
  return (["length", "width"] as const).find((side) => Math.abs(Number(cell(side)) - sheet.lines[side]) > MOST_APART) ?? sheet.lines;
}

/** A metal by its name in files, or as it is said. */
function metalCalled(text: string): Metal | undefined {
  const called = text.toLowerCase();
  return (Object.keys(METALS) as Metal[]).find((metal) => metal === called || METALS[metal].name === called);
}
