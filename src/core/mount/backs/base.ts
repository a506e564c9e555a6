import { NOTHING } from "../../joint/contribution";
import { type BackType, NO_PLATE } from "./back";
import { laidLengthwise, sizesOf } from "./sized";

/** A cup's own base: one with the wall, so that it adds to its mass and has no joint of its own. Ornament round it lies outside it. */
export const base: BackType = {
  plan: (asked) => {
    const { mount, wall, back } = asked;
    const { rim, length, width, area, mass } = sizesOf({ ...asked, layers: [] });
    const key = (name: string) => `${mount}.plate.${name}`;
    return {
      ...NOTHING,
      rim,
      sawLine: rim,
      laid: { [`${mount}.plate`]: laidLengthwise(asked.outline, rim, 0) },
      figures: { [key("length")]: length, [key("width")]: width, [key("area")]: area, [key("mass")]: mass },
      parts: [{ id: wall.part, kind: "wall", mount, metal: back.metal, mass: mass.value, thickness: wall.thickness.value }],
      tie: { part: wall.part, after: wall.joints },
      thickness: back.thickness,
      base: back.thickness,
      finishing: [],
      ledge: null,
      plate: null,
      sphere: null,
      rise: 0,
      drawn: NO_PLATE,
    };
  },
};
