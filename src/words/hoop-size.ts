import { sizeSpread } from "@/core/hoop/what-if";
import { type OwnLoss, figureOf } from "@/core/measure/figure";
import { type Plan, hoopIn } from "@/core/piece/plan";
import { counted } from "./names";
import { type Units, showLength } from "./show";

/** "Yours, 1.53 from 9 makes, takes the place of squaring and mark." */
export function insteadText({ value, count }: OwnLoss, of: string, units: Units): string {
  const from = count === null ? "" : ` from ${counted(count, "make")}`;
  return `Your own ${showLength(value, "measured", units)}${from} replaces ${of}.`;
}

/** ", give or take 0.4" of the size asked for, where the maker's own losses are used; else empty. */
export function giveOrTake(plan: Pick<Plan, "figures" | "settled" | "drawing">): string {
  const hoop = hoopIn(plan)?.settled;
  if (!hoop) return "";
  const value = (key: string) => figureOf(plan.figures, key).value;
  const spread = sizeSpread(hoop, value("hoop.insideDiameter"), value("hoop.lostPerMillimetre"));
  return spread === null ? "" : `, give or take ${spread.toFixed(hoop.asked.system === "us" || hoop.asked.system === "mandrel" ? 2 : 1)}`;
}
