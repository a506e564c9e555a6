import { type BenchEntry } from "@/core/piece/bench";
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
export function benchFaults({ shelves = [] }: BenchEntry, path: string): Fault[] {
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
