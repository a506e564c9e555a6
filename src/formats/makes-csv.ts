import { csvFormatRows, csvParseRows } from "d3-dsv";
import { type BenchEntry } from "@/core/piece/bench";
import { type LossKind } from "@/core/piece/bench";
import { fault } from "@/core/piece/fault";
import { observationsOf } from "@/core/piece/ledger";
import { type Make, pieceNow } from "@/core/piece/make";
import { asText } from "./ledger-file";
import { type ReadBackup, type Unread } from "./backup-codec";
import { type Decoded } from "./decode";
import { makeFromJson } from "./make-codec";
import { parsed } from "./read-json";

const HEADS = [
  "begun",
  "finished",
  "piece",
  "stones",
  "metals",
  "wanted",
  "reached",
  "minutes",
  "strip lost mm",
  "height lost mm",
  "hoop lost mm",
  "words",
  "make",
] as const;
const LOSSES: readonly LossKind[] = ["wall.length", "wall.height", "hoop.length"];

/** Makings as a table for other programs; the last column holds each whole, so that it can be read in again without loss. */
export function makesCsv(makes: readonly Make[]): string {
  return csvFormatRows([[...HEADS], ...makes.map(cellsOf)]);
}

function cellsOf(make: Make): string[] {
  const { mounts, carrier, name } = pieceNow(make);
  const observed = observationsOf(make);
  const told = [
    ...[make.started, make.finished ?? "", name],
    mounts.map(({ stone }) => stone.material?.name ?? stone.name ?? "").join(", "),
    [...new Set(mounts.map(({ wall }) => wall.metal))].join(", "),
    carrier.type === "hoop" ? `${carrier.size.system} ${carrier.size.value}` : "",
    ...[make.result?.size ?? "", make.result?.minutes === undefined ? "" : String(make.result.minutes)],
    ...LOSSES.map((kind) => observed.find((each) => each.kind === kind)?.value.toFixed(3) ?? ""),
    make.result?.words ?? "",
  ];
  return [...told.map(asText), JSON.stringify(make)];
}

/** Whether a text is such a table. */
export function isMakesCsv(text: string): boolean {
  return text.replace(/^\ufeff/, "").startsWith(HEADS.slice(0, 3).join(","));
}

/** Makings out of such a table, as a backup of them alone; a line that cannot be read keeps no other from being read. */
export function readMakesCsv(text: string, mine: BenchEntry): Decoded<ReadBackup> {
  const [heads = [], ...rows] = csvParseRows(text.replace(/^\ufeff/, ""));
  const [at, name] = [heads.indexOf("make"), heads.indexOf("piece")];
  if (at < 0) return { ok: false, faults: [fault("/make", "missing")] };
  const makes: Make[] = [];
  const unread: Unread[] = [];
  for (const [i, row] of rows.entries()) {
    const json = parsed(row[at] ?? "");
    const read: Decoded<Make> = json ? makeFromJson(json.value, mine) : { ok: false, faults: [fault("", "not-json")] };
    if (read.ok) makes.push(read.value);
    else unread.push({ path: `/${i + 1}`, name: row[name] ?? "", faults: read.faults });
  }
  return { ok: true, migratedFrom: null, value: { bench: null, pieces: [], makes, unread } };
}
