import { type Point } from "../geometry/outline";
import { fibre, sectionCurve } from "../metal/section";
import { type Hoop, type HoopPlan } from "./hoop";

/** The hoop seen along the finger, its centre at (0, 0), the front upward; and its wire cut across. All in mm. */
export interface HoopDrawing {
  readonly inside: number;
  readonly outside: number;
  readonly fibre: number;
  /** Half the flat's width and its height above the centre, or the height at which a base rests on a saddle. */
  readonly seat: { readonly half: number; readonly level: number } | null;
  readonly wire: { readonly curve: readonly Point[]; readonly fibre: number; readonly width: number; readonly thickness: number };
  /** The finished blank, from its end at the seam: where the front comes. */
  readonly front: number;
}

export function drawHoop(hoop: Hoop, plan: HoopPlan): HoopDrawing {
  const value = (key: string) => plan.figures[key]?.value ?? 0;
  const inside = value("hoop.insideDiameter") / 2;
  const outside = inside + hoop.section.thickness;
  const { distance } = fibre(hoop.section);
  const foot = plan.feet[0];
  return {
    inside,
    outside,
    fibre: inside + distance,
    seat: foot ? { half: foot.length / 2, level: Math.sqrt(Math.max(0, outside ** 2 - foot.length ** 2 / 4)) } : null,
    wire: { curve: sectionCurve(hoop.section), fibre: distance, width: hoop.section.width, thickness: hoop.section.thickness },
    front: value("hoop.netLength") / 2,
  };
}
