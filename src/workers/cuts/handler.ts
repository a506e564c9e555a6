import { planCuts } from "@/core/cutting/plan-cuts";
import { type CutsAsk, type CutsReply } from "./protocol";

export function answerCuts({ request, ways }: CutsAsk): CutsReply {
  return ways.map((way) => planCuts({ ...request, way }));
}
