import { type Point } from "../geometry/outline";
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
}

export function drawHoop(hoop: Hoop, plan: HoopPlan): HoopDrawing {
  const value = (key: string) => figureOf(plan.figures, key).value;
  const inside = value("hoop.insideDiameter") / 2;
  const outside = inside + hoop.section.thickness;
  const { distance } = fibre(hoop.section);
  return {
    inside,
    outside,
    fibre: inside + distance,
    seats: Object.fromEntries(plan.seats.map(({ act, foot: { mount, length, level } }) => [mount, { act, half: length / 2, level }])),
    wire: { curve: sectionCurve(hoop.section), fibre: distance, width: hoop.section.width, thickness: hoop.section.thickness },
  };
}
