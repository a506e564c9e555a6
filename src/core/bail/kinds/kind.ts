import { type WorkedJoint } from "../../joint/contribution";
import { type PartKind } from "../../joint/joint";
import { type Step } from "../../making/step";
import { type Blank } from "../../measure/blank";
import { type Figure } from "../../measure/figure";
import { type Bail, type BailDrawing } from "../bail";

/** All that the rest knows of what a setting hangs by. Lengths in mm. */
export interface BailKind {
  readonly part: PartKind;
  /** The key of what is cut for it. */
  readonly figure: "bail.blankLength" | "bail.jumpRingLength";
  blank(bail: Bail): Figure;
  /** mm3 */
  volume(bail: Bail): number;
  /** From the setting's edge to where it hangs. */
  pastEdge(bail: Bail): number;
  /** Where it meets the edge: mm along, mm2 of the faces. */
  foot(bail: Bail): { readonly length: number; readonly area: number };
  /** What closes it on itself; null where nothing does. */
  seam(bail: Bail, part: string): WorkedJoint | null;
  /** How it is made, as far as its seam. */
  making(bail: Bail, part: string): readonly Step[];
  marks(bail: Bail): Blank["marks"];
  shape(bail: Bail): BailDrawing["shape"];
  pattern(bail: Bail): BailDrawing["pattern"];
}
