import { type Point } from "../geometry/outline";
import { type Blank, layBlank } from "../measure/blank";
import { figureOf } from "../measure/figure";
import { fibre, sectionCurve } from "../metal/section";
import { type Hoop, type HoopPlan } from "./hoop";
import { type Seat } from "./seat";

/** The hoop seen along the finger, its centre at (0, 0), the front upward; and its wire cut across. All in mm. */
export interface HoopDrawing {
  readonly inside: number;
  readonly outside: number;
  readonly fibre: number;
  /** By mount: what is filed, half its width, and the height above the centre at which the base rests. */
  readonly seats: Readonly<Record<string, Pick<Seat, "act"> & { readonly half: number; readonly level: number }>>;
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
    seats: Object.fromEntries(plan.seats.map(({ act, foot: { mount, length, level } }) => [mount, { act, half: length / 2, level }])),
    wire: { curve: sectionCurve(hoop.section), fibre: distance, width: hoop.section.width, thickness: hoop.section.thickness },
    blank: layBlank(net, squaring / 2, cut - net - squaring / 2, [
      { code: "seam", at: 0 },
      { code: "front", at: net / 2 },
    ]),
  };
}
