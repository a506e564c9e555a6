import { type BenchEntry } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { type Attempt } from "@/formats/attempt";

/** What the server answers a program that asks for a plan. */
export interface PlanReply {
  readonly status: number;
  /** JSON. */
  readonly body: string;
}

/** A piece that takes too long to be planned on the page. */
export interface BesideAsk {
  readonly piece: Piece;
  readonly bench: BenchEntry;
}

export type BesideReply = Attempt;
