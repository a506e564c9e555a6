import { type Point } from "../geometry/outline";
import { type Blank, layBlank } from "../measure/blank";
import { figureOf } from "../measure/figure";
import { fibre, sectionCurve } from "../metal/section";
import { type Hoop, type HoopPlan } from "./hoop";

/** The hoop seen along the finger, its centre at (0, 0), the front upward; and its wire cut across. All in mm. */
export interface HoopDrawing {
  readonly inside: number;
  readonly outside: number;
  readonly fibre: number;
  /** By mount: half the flat's width and its height above the centre, or the height at which a base rests on a saddle. */
  readonly seats: Readonly<Record<string, { readonly half: number; readonly level: number }>>;
  readonly wire: { readonly curve: readonly Point[]; readonly fibre: number; readonly width: number; readonly thickness: number };
  /** The blank as it is cut, from its end at the seam. */
  readonly blank: Blank;
}

export function drawHoop(hoop: Hoop, plan: HoopPlan): HoopDrawing {
  const value = (key: string) => figureOf(plan.figures, key).value;
  const inside = value("hoop.insideDiameter") / 2;
  const outside = inside + hoop.section.thickness;
  const { distance } = fibre(hoop.section);
  const [net, cut, squaring] = [value("hoop.netLength"), value("hoop.cutLength"), hoop.losses.squaring.value];
  return {
    inside,
    outside,
    fibre: inside + distance,
    seats: Object.fromEntries(plan.feet.map(({ mount, length, level }) => [mount, { half: length / 2, level }])),
    wire: { curve: sectionCurve(hoop.section), fibre: distance, width: hoop.section.width, thickness: hoop.section.thickness },
    blank: layBlank(net, squaring / 2, cut - net - squaring / 2, [
      { code: "seam", at: 0 },
      { code: "front", at: net / 2 },
    ]),
  };
}
