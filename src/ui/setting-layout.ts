import { boxOf } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { type SettingDrawing } from "@/core/mount/drawing";
import { NARROW } from "./Drawing";
import { type Size } from "./useSize";

/** A box of the sheet, in pixels, with the size in mm of what is drawn in it and where its origin lies. */
export interface Box {
  readonly wide: number;
  readonly tall: number;
  readonly width: number;
  readonly height: number;
  readonly x: number;
  readonly y: number;
  /** The middle of what is drawn, in mm from the origin of its frame; it comes to lie at (x, y). */
  readonly middle: Point;
}

const PLAN_SHARE = 0.6;
/** The section's lines reach this far past the plate. */
export const SECTION_MARGIN_MM = 1;

/** Whether the section goes under the plan. */
function isStacked({ width }: Size): boolean {
  return width < NARROW;
}

/** The plan's box. */
export function planBox(size: Size, { plan }: SettingDrawing): Box {
  const { left, right, low, high } = boxOf(plan.sawLine);
  const [wide, tall] = [right - left, high - low];
  const width = isStacked(size) ? size.width : size.width * PLAN_SHARE;
  const height = isStacked(size) ? size.height * PLAN_SHARE : size.height;
  const middle = [(right + left) / 2, (high + low) / 2] as const;
  return { wide, tall, width: width - 60, height: height - 120, x: width / 2, y: height / 2 - 4, middle };
}

/** The section's box, with where its caption stands. Its origin is the middle of the plate's top. */
export function sectionBox(size: Size, { section }: SettingDrawing): Box & { readonly captionX: number; readonly captionY: number } {
  const wide = 2 * (section.plate.half + SECTION_MARGIN_MM);
  const tall = section.top + section.plate.thickness;
  if (isStacked(size)) {
    const top = size.height * PLAN_SHARE;
    return {
      wide,
      tall,
      width: size.width - 160,
      height: size.height - top - 130,
      x: size.width / 2,
      y: size.height - 58,
      middle: [0, 0],
      captionX: 14,
      captionY: top + 14,
    };
  }
  const left = size.width * PLAN_SHARE;
  const width = size.width - left;
  return {
    wide,
    tall,
    width: width - 18,
    height: size.height - 240,
    x: left + width / 2 + 4,
    y: size.height * 0.68,
    middle: [0, 0],
    captionX: left + 30,
    captionY: 24,
  };
}
