import { type Term, taken, yours } from "../measure/figure";
import { type Wall } from "./wall";

type Lossy = Pick<Wall, "losses" | "learned">;

/** What comes off a strip's length: squaring and mark, or what the maker's own hands take off. */
export function lengthLosses({ losses, learned }: Lossy): Term[] {
  return learned.length ? [yours(learned.length)] : [taken("squaring", losses.squaring), taken("mark", losses.mark)];
}

/** What comes off a wall's height: its foot and its top, or what the maker's own hands take off. */
export function heightLosses({ losses, learned }: Lossy): Term[] {
  return learned.height ? [yours(learned.height)] : [taken("foot", losses.foot), taken("top", losses.top)];
}

/** mm that come off a strip before its start, half of what squaring takes, and past its end, all else. */
export function lossesAlong(wall: Lossy): { readonly lead: number; readonly trail: number } {
  const lost = lengthLosses(wall).reduce((all, { value }) => all + value, 0);
  const lead = Math.min(wall.losses.squaring.value, lost) / 2;
  return { lead, trail: lost - lead };
}
