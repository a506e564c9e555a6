import { type Assembly } from "@/core/heats/assembly";
import { type BestHeats } from "@/core/heats/best";
import { type HeatWishes } from "@/core/heats/problem";

export interface HeatsAsk {
  readonly assembly: Assembly;
  readonly wishes: HeatWishes;
}

export type HeatsReply = BestHeats;
