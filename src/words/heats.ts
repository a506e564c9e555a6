import { type JointKind } from "@/core/heats/assembly";
import { type Way } from "@/core/heats/problem";
import { type Pallions } from "@/core/heats/solder";
import { counted } from "./names";
import { type Units, lengthUnit, showLength } from "./show";

/** Where the solder goes, where the flame goes, and what to look for, by the kind of joint. */
export const JOINT_ADVICE: Readonly<Record<JointKind, { readonly solder: string; readonly flame: string; readonly look: string }>> = {
  seam: { solder: "under the seam, on charcoal", flame: "On and off at the join.", look: "it drops flat, a bright line top to foot." },
  foot: { solder: "inside", flame: "From below.", look: "a bright line all the way round." },
  "hoop-seam": { solder: "across the seam", flame: "The whole hoop, then the seam.", look: "a bright line inside and out." },
  "hoop-mount": {
    solder: "along the seat",
    flame: "The hoop first, the setting last.",
    look: "a bright line both sides, the hoop square both ways.",
  },
};

/** What a way of grading does. */
export const WAY_ADVICE: Readonly<Record<Way, string>> = {
  free: "whatever moves least",
  "step-down": "no heat hotter than the last on a body",
  "one-grade": "one solder throughout",
  "fuse-first": "fuse what can be fused, then step down",
  "seams-hard": "hard for seams, easy for the rest",
};

/** While a search for better heats goes on. */
export const SETTLING = "settling: looking for the best order";

/** "7 pieces 1.0 × 1.0 mm inside, one every 6.5". */
export function piecesText({ count, size, spacing }: Pallions, where: string, units: Units): string {
  const side = showLength(size[0], "blank", units);
  const place = where === "" ? "" : ` ${where}`;
  return `${counted(count, "piece")} ${side} × ${side} ${lengthUnit(units)}${place}${spacing === null ? "" : `, one every ${showLength(spacing, "blank", units)}`}`;
}
