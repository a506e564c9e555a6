import { rimOf } from "../../geometry/rim";
import { NOTHING } from "../../joint/contribution";
import { type BackType, NO_PLATE } from "./back";

/** Least floor that a tube or a cup keeps under its seat to stand without a plate (mm). */
export const LEAST_FLOOR = 0.3;

/** No plate: what the seat leaves of a tube is its floor, and it is mounted by its wall. */
export const none: BackType = {
  plan: ({ outline, wall, back }) => {
    const rim = rimOf(outline, [{ from: 0, to: 1, out: wall.fit.value + wall.thickness.value }], 0);
    return {
      ...NOTHING,
      rim,
      sawLine: rim,
      tie: { part: wall.part, after: wall.joints },
      thickness: back.thickness,
      base: 0,
      finishing: [],
      ledge: null,
      plate: null,
      sphere: null,
      rise: 0,
      drawn: NO_PLATE,
    };
  },
};
