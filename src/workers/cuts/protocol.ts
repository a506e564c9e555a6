import { type CuttingWay } from "@/core/cutting/cutting-way";
import { type CutsPlan, type CutsRequest } from "@/core/cutting/plan-cuts";

/** What is to be cut, in each of these ways. */
export interface CutsAsk {
  readonly request: Omit<CutsRequest, "way">;
  readonly ways: readonly CuttingWay[];
}

/** A plan in each way, in the order they were asked for. */
export type CutsReply = readonly CutsPlan[];
