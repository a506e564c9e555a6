import { type BenchEntry } from "@/core/piece/bench";
import { type Readings } from "@/core/piece/measured";
import { type Piece } from "@/core/piece/piece";
import { type Attempt } from "@/formats/attempt";

/** What the server answers a program that asks for a plan. */
export interface PlanReply {
  readonly status: number;
  /** JSON. */
  readonly body: string;
}

/** A piece that takes too long to be planned on the page. */
export interface PlanJob {
  readonly piece: Piece;
  readonly bench: BenchEntry;
  /** What was read of it in a making. */
  readonly measured: Readings;
}

export type BesideReply = Attempt;
