import { type Piece } from "@/core/piece/piece";
import { type Plan, bailIn, postIn } from "@/core/piece/plan";
import { eyeText, hangsText } from "./hang";
import { type Units, withUnit } from "./show";
import { postAside } from "./steps";

/** What is told of the second of a pair, the first's mirror: where its eye or its post lies, and how it hangs; null for what is no pair. */
export function secondText(plan: Pick<Plan, "settled" | "drawing">, { copies }: Pick<Piece, "copies">, units: Units): string | null {
  if (copies !== 2) return null;
  const length = (mm: number) => withUnit(mm, "measured", units);
  const hang = bailIn(plan)?.drawn.hangs[0];
  const post = postIn(plan)?.drawn;
  const where = hang
    ? `eye ${eyeText(-hang.aside, length)}, ${hangsText(-hang.tilt)}`
    : post
      ? `post ${postAside(-post.at[1], length)}`
      : null;
  return ["mirrored", ...(where === null ? [] : [where]), "its seam on the other side"].join("; ");
}
