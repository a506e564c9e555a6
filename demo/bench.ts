import { type BenchEntry } from "@/core/piece/bench";
import bench from "./bench.json";

/** The Marram Workshop's bench with its drawer; a test decodes it as a file. */
export const DEMO_BENCH = bench as unknown as BenchEntry;
