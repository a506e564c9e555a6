import { type Curve, boxOf } from "@/core/geometry/curve";
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
/** To both sides of the plan a figure of five letters stands beside its upright line (pixels). */
const BESIDE_PLAN = 42;
/** The section's lines reach this far past the plate. */
export const SECTION_MARGIN_MM = 1;

/** Whether the section goes under the plan. */
function isStacked({ width }: Size): boolean {
  return width < NARROW;
}

/** The box round a line, and round ornament that lies outside it: round an open back there is no plate under it. */
export function around(line: Curve, layers: SettingDrawing["plan"]["layers"]) {
  const boxes = layers.map(({ middles, width }) => {
    const [xs, ys] = [0, 1].map((i) => middles.flatMap((points) => points.map((point) => point[i]!))) as [number[], number[]];
    const half = width / 2;
    return { left: Math.min(...xs) - half, right: Math.max(...xs) + half, low: Math.min(...ys) - half, high: Math.max(...ys) + half };
  });
  return [boxOf(line), ...boxes].reduce((a, b) => ({
    left: Math.min(a.left, b.left),
    right: Math.max(a.right, b.right),
    low: Math.min(a.low, b.low),
    high: Math.max(a.high, b.high),
  }));
}

/** How the height of a narrow sheet is shared out: to the plan, and down to where the section ends and the back begins. */
const STACKED = { alone: { plan: PLAN_SHARE, section: 1 }, overBack: { plan: 0.42, section: 0.68 } } as const;

function stackedShares(hasBack: boolean) {
  return hasBack ? STACKED.overBack : STACKED.alone;
}

/** The plan's box. */
export function planBox(size: Size, { plan }: SettingDrawing, hasBack = false): Box {
  const { left, right, low, high } = around(plan.sawLine, plan.layers);
  const [wide, tall] = [right - left, high - low];
  const width = isStacked(size) ? size.width : size.width * PLAN_SHARE;
  const height = isStacked(size) ? size.height * stackedShares(hasBack).plan : size.height;
  const middle = [(right + left) / 2, (high + low) / 2] as const;
  return { wide, tall, width: width - 2 * BESIDE_PLAN, height: height - 120, x: width / 2, y: height / 2 - 4, middle };
}

/** A box, with where its caption stands. */
type Captioned = Box & { readonly captionX: number; readonly captionY: number };

/** The section's box, with where its caption stands. Its origin is the middle of the plate's top. */
export function sectionBox(size: Size, { section }: SettingDrawing, hasBack = false): Captioned {
  const wide = 2 * (section.plate.half + SECTION_MARGIN_MM);
  const tall = section.top + section.plate.rises;
  const middle: Point = [0, (section.plate.thickness - section.plate.rises) / 2];
  if (isStacked(size)) {
    const shares = stackedShares(hasBack);
    const [top, bottom] = [size.height * shares.plan, size.height * shares.section];
    return {
      wide,
      tall,
      width: size.width - 160,
      height: bottom - top - 130,
      x: size.width / 2,
      y: bottom - 58,
      middle,
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
    height: hasBack ? size.height * ABOVE_BACK - 120 : size.height - 240,
    x: left + width / 2 + 4,
    y: size.height * (hasBack ? ABOVE_BACK - 0.12 : 0.68),
    middle,
    captionX: left + 30,
    captionY: 24,
  };
}

/** The section's share of the height where the back stands under it. */
const ABOVE_BACK = 0.5;

/** The back's box, under the section. */
export function backBox(size: Size, { plan }: SettingDrawing): Captioned {
  const { left, right, low, high } = boxOf(plan.plateEdge);
  const from = isStacked(size) ? 0 : size.width * PLAN_SHARE;
  const [width, top] = [size.width - from, size.height * (isStacked(size) ? stackedShares(true).section : ABOVE_BACK)];
  const height = size.height - top;
  return {
    ...{ wide: right - left, tall: high - low, width: width - 40, height: height - 64 },
    ...{ x: from + width / 2 + 4, y: top + height / 2 + 12, middle: [-(right + left) / 2, (high + low) / 2] },
    ...{ captionX: from + (isStacked(size) ? 14 : 30), captionY: top + 22 },
  };
}
