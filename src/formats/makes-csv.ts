import { csvFormatRows, csvParseRows } from "d3-dsv";
import { type BenchEntry, LOSS_KINDS } from "@/core/piece/bench";
import { fault } from "@/core/piece/fault";
import { observationsOf } from "@/core/piece/ledger";
import { MASS_FIGURE, type Make, type Measured, pieceNow } from "@/core/piece/make";
import { EMPTY_BACKUP, type ReadBackup, type Unread } from "./backup-codec";
import { type Decoded } from "./decode";
import { cellsOf, headName, nameIn, readCell, valueOf, written } from "./flat-table";
import { asText } from "./ledger-file";
import { makeFromJson } from "./make-codec";
import { type Json, type JsonObject, parsed } from "./read-json";

/** What is worked out for whoever reads the table, and not read back. */
const TOLD = ["piece", "stones", "metals", "wanted", "strip lost mm", "height lost mm", "hoop lost mm"] as const;
/** Heads that a maker reads, and the names that lead there in a making. */
const NAMED: Readonly<Record<string, string>> = {
  "piece id": "piece",
  begun: "started",
  finished: "finished",
  reached: "result/size",
  minutes: "result/minutes (number)",
  words: "result/words",
  notes: "notes",
};
/** What an empty cell says under such a head: still under way, nothing noted. */
const EMPTY = new Set(["finished (nothing)", "notes (empty text)"]);
const NAMES = new Map(Object.entries(NAMED).map(([head, path]) => [path, head]));
const FIRST = ["begun", "finished", ...TOLD.slice(0, 4), "reached", "minutes", ...TOLD.slice(4), "words", "notes"];
/** The head of a table of before, whose last column held each making whole in the notation of its file. */
const WHOLE = "make";

/**
 * Makings as a table for other programs: a column for each reading, and for all else of a making, so that the table can be read in again without loss.
 * Lengths are in mm, as their heads say.
 */
export function makesCsv(makes: readonly Make[]): string {
  const rows = makes.map(rowOf);
  const others = new Set(rows.flatMap((row) => [...row.keys()]));
  for (const head of FIRST) others.delete(head);
  const order = [...FIRST, ...[...others].sort(byReadingFirst)];
  return csvFormatRows([order, ...rows.map((row) => order.map((head) => row.get(head) ?? ""))]);
}

function rowOf(make: Make): Map<string, string> {
  const { measured, ...rest } = make;
  const { mounts, carrier, name } = pieceNow(make);
  const observed = observationsOf(make);
  const told = [
    name,
    mounts.map(({ stone }) => stone.material?.name ?? stone.name ?? "").join(", "),
    [...new Set(mounts.map(({ wall }) => wall.metal))].join(", "),
    carrier.type === "hoop" ? `${carrier.size.system} ${carrier.size.value}` : "",
    ...LOSS_KINDS.map((kind) => observed.find((each) => each.kind === kind)?.value.toFixed(3) ?? ""),
  ];
  const own = [...cellsOf(rest as unknown as Json)].flatMap(([path, cell]) =>
    EMPTY.has(path) ? [] : [[NAMES.get(path) ?? path, cell] as const],
  );
  return new Map([...TOLD.map((head, i) => [head, asText(told[i]!)] as const), ...readingCells(measured), ...own]);
}

const READ = "read ";
const ORDER = new Intl.Collator("en", { numeric: true });

function byReadingFirst(a: string, b: string): number {
  return Number(b.startsWith(READ)) - Number(a.startsWith(READ)) || ORDER.compare(a, b);
}

/** A reading's value under its figure's name, the second of the same figure with a 2 behind it; what else is known of it beside. */
function readingCells(measured: readonly Measured[]): [string, string][] {
  const times = new Map<string, number>();
  return measured.flatMap(({ figure, value, ...rest }, i) => {
    const nth = (times.get(figure) ?? 0) + 1;
    times.set(figure, nth);
    const head = `${READ}${headName(figure)}${nth === 1 ? "" : ` ${nth}`}`;
    const beside = cellsOf({ ...rest, order: i + 1 });
    return [
      [`${head} ${unitOf(figure)}`, String(value)],
      ...[...beside].map(([path, cell]): [string, string] => [`${head}: ${path}`, cell]),
    ];
  });
}

function unitOf(figure: string): "g" | "mm" {
  return figure === MASS_FIGURE ? "g" : "mm";
}

/** Whether a text is such a table. */
export function isMakesCsv(text: string): boolean {
  return text.replace(/^\ufeff/, "").startsWith(FIRST.slice(0, 3).join(","));
}

/** Makings out of such a table, as a backup of them alone; a line that cannot be read keeps no other from being read. */
export function readMakesCsv(text: string, mine: BenchEntry): Decoded<ReadBackup> {
  const [heads = [], ...rows] = csvParseRows(text.replace(/^\ufeff/, ""));
  const [whole, name] = [heads.indexOf(WHOLE), heads.indexOf("piece")];
  if (whole < 0 && !heads.includes("id")) return { ok: false, faults: [fault("/id", "missing")] };
  const makes: Make[] = [];
  const unread: Unread[] = [];
  for (const [i, row] of rows.entries()) {
    const json = whole < 0 ? makeIn(heads, row) : (parsed(row[whole] ?? "")?.value ?? null);
    const read: Decoded<Make> = json === null ? { ok: false, faults: [fault("", "not-a-row")] } : makeFromJson(json, mine);
    if (read.ok) makes.push(read.value);
    else unread.push({ path: `/${i + 1}`, name: readCell(row[name] ?? ""), faults: read.faults });
  }
  return { ok: true, migratedFrom: null, value: { ...EMPTY_BACKUP, makes, unread } };
}

/** A line as a making's file has it; null where its cells are none. */
function makeIn(heads: readonly string[], row: readonly string[]): JsonObject | null {
  const cells: [string, string][] = [];
  const readings = new Map<string, [string, string][]>();
  for (const [i, head] of heads.entries()) {
    const cell = row[i] ?? "";
    if (TOLD.some((told) => told === head) || cell === "") continue;
    const reading = READING.exec(head);
    if (!reading) {
      cells.push([NAMED[head] ?? head, cell]);
      continue;
    }
    const [, figure = "", nth = "1", path, unit] = reading;
    const key = `${figure} ${nth}`;
    const known = readings.get(key) ?? [["figure", written(nameIn(figure) ?? figure)]];
    known.push(unit ? ["value (number)", cell] : [path!, cell]);
    readings.set(key, known);
  }
  const measured = [...readings.values()].map((each) => valueOf(each));
  const rest = valueOf(cells);
  if (rest === null || !measured.every((each) => each !== null)) return null;
  const ordered = measured.sort((a, b) => Number(a.order) - Number(b.order)).map(({ order: _order, ...each }) => each);
  return { ...rest, finished: rest.finished ?? null, notes: rest.notes ?? "", measured: ordered };
}

/** "read hoop.insideDiameter 2 mm" and what is known beside it, "read hoop.insideDiameter 2: by". */
const READING = /^read (\S+?)(?: (\d+))?(?:: (.+)| (mm|g))$/;
