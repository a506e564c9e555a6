import { type Assembly } from "@/core/joint/joint";
import { type BestHeats } from "@/core/heats/best";
import { type HeatWishes } from "@/core/heats/problem";

export interface HeatsAsk {
  readonly assembly: Assembly;
  readonly wishes: HeatWishes;
}

export type HeatsReply = BestHeats;
