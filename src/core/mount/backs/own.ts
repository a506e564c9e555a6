import { outward } from "../../geometry/outline";
import { rimOn } from "../../geometry/rim";
import { type Sourced, single, sum, term } from "../../measure/figure";
import { massOf } from "../../metal/metals";
import { type BackAsked, type BackType } from "./back";
import { domedSizes } from "./domed";
import { overEdge } from "./on-plate";
import { planPlate } from "./plate";
import { type Sizes } from "./sized";

/** A plate of any outline, which the stone lies somewhere on. */
export const own: BackType = {
  plan: (asked) => {
    const sizes = domedSizes(ownSizes(asked), asked);
    return planPlate(asked, sizes, overEdge(asked, sizes.rim.loop));
  },
};

/** All of it from the plate's own outline. @throws for a back that has none. */
function ownSizes({ outline, back }: BackAsked): Sizes {
  const { own: plate } = back;
  if (!plate) throw new RangeError("a plate of its own without an outline");
  const across = (direction: number, saw?: Sourced<number>) =>
    sum("mm", [term("plate", plate.extent(direction), "piece"), ...(saw ? [term("saw", 2 * saw.value, saw.from)] : [])]);
  const [length, width] = [0, Math.PI / 2] as const;
  return {
    rim: rimOn(outline, (by) => outward(plate, by)),
    length: across(length),
    width: across(width),
    area: sum("mm2", [term("plate", plate.area, "piece", "area")]),
    mass: single("g", massOf(back.metal, plate.area * back.thickness), "density"),
    sphere: null,
    flatBy: 0,
    blank: (saw) => ({ length: across(length, saw), width: across(width, saw) }),
  };
}
