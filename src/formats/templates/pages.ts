import { type Point } from "@/core/geometry/outline";
import { type Template } from "./sheet";

export type Paper = "a4" | "letter";

/** Width and height in mm. */
export const PAPERS: Readonly<Record<Paper, readonly [number, number]>> = { a4: [210, 297], letter: [215.9, 279.4] };
/** Round every page (mm). */
export const MARGIN = 10;
const HEAD = 10;
/** For the bars that check the printer's scale. */
const FOOT = 20;
const GAP = 9;
/** How tall a title is (mm). */
export const TITLE = 3;
/** Under a template for the words at its marks. */
const UNDER = 5;

/** A template, or a part of one, where it lies on a page: the place on paper of its frame's origin, in mm from the lower left. */
export interface Placed {
  readonly template: Template;
  readonly x: number;
  readonly y: number;
  /** Of one that is larger than the paper: the part that is printed, in the paper's mm, and which it is of how many. */
  readonly part: {
    readonly at: Point;
    readonly width: number;
    readonly height: number;
    readonly number: number;
    readonly of: number;
  } | null;
}

/** Templates one under the other, page after page; one that is larger than the paper goes over several. */
export function layOut(templates: readonly Template[], paper: Paper): Placed[][] {
  const [width, height] = PAPERS[paper];
  const room: Point = [width - 2 * MARGIN, height - 2 * MARGIN - HEAD - FOOT];
  const top = height - MARGIN - HEAD;
  const pages: Placed[][] = [];
  let left = 0;
  for (const template of templates) {
    const { box } = template;
    const [wide, tall] = [box.right - box.left, box.high - box.low];
    const needed = tall + TITLE + UNDER + GAP;
    if (wide > room[0] || needed > room[1]) {
      pages.push(...tiled(template, room, [MARGIN, MARGIN + FOOT]));
      left = 0;
      continue;
    }
    if (needed > left) {
      pages.push([]);
      left = room[1];
    }
    const y = top - (room[1] - left) - TITLE - tall;
    pages.at(-1)!.push({ template, x: MARGIN - box.left, y: y - box.low, part: null });
    left -= needed;
  }
  return pages;
}

/** One page for each part, the parts edge to edge. */
function tiled(template: Template, [wide, tall]: Point, [left, low]: Point): Placed[][] {
  const { box } = template;
  const height = tall - TITLE - GAP;
  const [columns, rows] = [Math.ceil((box.right - box.left) / wide), Math.ceil((box.high - box.low + UNDER) / height)];
  return Array.from({ length: columns * rows }, (_, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const at: Point = [left, low];
    return [
      {
        template,
        x: left - box.left - column * wide,
        y: low + height - box.high + row * height,
        part: { at, width: Math.min(wide, box.right - box.left - column * wide), height, number: i + 1, of: columns * rows },
      },
    ];
  });
}
