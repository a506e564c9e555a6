import { type BenchEntry } from "@/core/piece/bench";
import { type Shelf } from "@/core/metal/shelf";
import { type StockItem } from "@/core/metal/stock";
import { type Fault, fault } from "@/core/piece/fault";
import { type Decoded, decode } from "./decode";
import { BENCH } from "./kinds";
import { type Json, asObject, readJson } from "./read-json";

export function decodeBench(text: string): Decoded<BenchEntry> {
  return checkedBench(decode<BenchEntry>(BENCH, readJson(text, BENCH.format, BENCH.lists)));
}

export function benchFromJson(value: Json): Decoded<BenchEntry> {
  return checkedBench(decode<BenchEntry>(BENCH, asObject(value, BENCH.format, BENCH.lists)));
}

function checkedBench(decoded: Decoded<BenchEntry>): Decoded<BenchEntry> {
  if (!decoded.ok) return decoded;
  const faults = benchFaults(decoded.value, "");
  return faults.length > 0 ? { ok: false, faults } : decoded;
}

/** What a bench that fits its schema cannot mean. */
export function benchFaults({ shelves = [], stock = [] }: BenchEntry, path: string): Fault[] {
  return [...shelfFaults(shelves, path), ...stockFaults(stock, path)];
}

/** What each form cannot do without, beside what all have; a sheet's outline says its sides too. */
const SIDES: Readonly<Record<StockItem["form"], readonly (keyof StockItem)[]>> = {
  strip: ["width"],
  wire: ["section"],
  sheet: ["width"],
  tube: ["outside", "inside"],
};

function stockFaults(stock: readonly StockItem[], path: string): Fault[] {
  return stock.flatMap((item, i) => {
    const at = `${path}/stock/${i}`;
    const missing = item.outline ? [] : SIDES[item.form].filter((side) => item[side] === undefined);
    return [
      ...(stock.findIndex(({ id }) => id === item.id) < i ? [fault(`${at}/id`, "duplicate", { got: item.id })] : []),
      ...missing.map((side) => fault(`${at}/${side}`, "missing")),
    ];
  });
}

function shelfFaults(shelves: readonly Shelf[], path: string): Fault[] {
  return shelves.flatMap((shelf, s) => [
    ...(shelves.findIndex(({ id }) => id === shelf.id) < s ? [fault(`${path}/shelves/${s}/id`, "duplicate", { got: shelf.id })] : []),
    ...shelf.grades.flatMap(({ id, gives, runs }, g) => [
      ...(shelf.grades.findIndex((grade) => grade.id === id) < g
        ? [fault(`${path}/shelves/${s}/grades/${g}/id`, "duplicate", { got: id })]
        : []),
      ...(gives > runs ? [fault(`${path}/shelves/${s}/grades/${g}/gives`, "gives-above-runs", { runs, got: gives })] : []),
    ]),
  ]);
}
