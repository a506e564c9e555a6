import { type BailStyle } from "../bail";
import { folded } from "./folded";
import { type BailKind } from "./kind";
import { ring } from "./ring";
import { tube } from "./tube";

/** Everything that a setting can hang by. */
export const BAILS: Readonly<Record<BailStyle, BailKind>> = { folded, tube, ring };
