import { type Outline } from "../geometry/outline";
import { type Finding, finding } from "../measure/finding";
import { type Figure, type Figures, single, sum } from "../measure/figure";
import { tolerance } from "../measure/tolerances";
import { type Cut, cutToLength, rectangle } from "../metal/cut";
import { lengthLosses } from "./losses";
import { isClearOfCorners, straightestPlace } from "./seam";
import { type SourcePlan, type Wall } from "./wall";

const STRETCH = 1.02;
const TOO_LARGE_BY = 0.05;

/** What a wall bent from strip or sheet has that others have not: a length to cut, a seam, a strip on the shelf, notches that close. */
export function planStrip(
  id: string,
  outline: Outline,
  wall: Wall,
  net: Figure,
  cutHeight: number,
  carrierPlaces: readonly number[],
  lip: number,
): SourcePlan {
  const seamAt = wall.seamAt === "auto" ? straightestPlace(outline, carrierPlaces) : wall.seamAt;
  const isAuto = wall.seamAt === "auto";
  const strip = wall.source === "sheet" ? null : stripFor(cutHeight, wall.stripHeights);
  const wrapped = hullLength(outline, wall);
  const key = (name: string) => `${id}.wall.${name}`;
  const notched = notchFigures(key, wall, net.value, lip);
  const cut = sum("mm", [...net.terms, ...lengthLosses(wall)]);
  return {
    seamAt,
    shelf: null,
    thin: 0,
    first: [],
    cuts: [cutOf(id, wall, cut.value, cutHeight)],
    figures: {
      [key("cutLength")]: cut,
      [key("hullLength")]: wrapped,
      ...notched,
      [key("windowLow")]: single("mm", net.value / STRETCH, "window.low"),
      [key("windowHigh")]: single("mm", net.value + TOO_LARGE_BY, "window.high"),
      [key("seamAt")]: single("ratio", seamAt, isAuto ? "seam.straightest" : "seam.chosen", isAuto ? "formula" : "piece"),
      ...(strip && { [key("stripHeight")]: strip.height, [key("trim")]: strip.trim }),
    },
    findings: [
      ...shortfallFindings(id, net.value, wrapped.value),
      ...seamFindings(id, outline, seamAt, carrierPlaces),
      ...teethFindings(id, notched, lip),
      ...(strip || wall.source === "sheet" || wall.stripHeights.length === 0
        ? []
        : [finding("wall.no-strip", "note", `${id}.wall`, { needed: cutHeight, tallest: Math.max(...wall.stripHeights) }, id)]),
    ],
  };
}

/** A length of strip, or sliced from sheet. */
function cutOf(id: string, { metal, source, thickness }: Wall, length: number, height: number): Cut {
  const of = { part: `${id}.wall`, mount: id, metal };
  const figure = `${id}.wall.cutLength`;
  const strip = { ...cutToLength(of, { form: "strip", width: height, thickness }, figure, length), across: `${id}.wall.cutHeight` };
  if (source !== "sheet") return strip;
  return { ...strip, stock: { form: "sheet", thickness }, shape: rectangle(length, height) };
}

/** The net length wrapped over the notches: the hull has none, so its parallel curve is longer by a turn of the distance. */
function hullLength(outline: Outline, wall: Wall): Figure {
  return single("mm", outline.hullPerimeter + 2 * Math.PI * (wall.fit.value + wall.thickness / 2), "hull");
}

/** What a gap is of the pitch, and deep of the lip, where nobody said. */
const USUAL_GAP = 0.4;
const USUAL_DEPTH = 0.5;

/**
 * How a pattern of teeth closes at the seam: as many as come nearest to the pitch wanted, at least one. Gaps are half the lip deep from the top and
 * 0.4 of the pitch wide where nobody said; each end of the net length is half a gap.
 */
function notchFigures(key: (name: string) => string, { notch }: Wall, net: number, lip: number): Figures {
  if (notch === null) return {};
  const { pitch, depth, gap } = notch;
  const count = Math.max(1, Math.round(net / pitch));
  return {
    [key("notches")]: single("count", count, "notch.count"),
    [key("notchPitch")]: single("mm", net / count, "notch.pitch"),
    [key("notchDepth")]: depth === null ? single("mm", USUAL_DEPTH * lip, "notch.depth") : single("mm", depth, "notch.chosen", "piece"),
    [key("notchGap")]: gap === null ? single("mm", USUAL_GAP * pitch, "notch.gap") : single("mm", gap, "notch.chosen", "piece"),
  };
}

/** Gaps deeper than the lip reach under the place where the side leans in: what holds the stone is cut away. */
function teethFindings(id: string, figures: Figures, lip: number): Finding[] {
  const depth = figures[`${id}.wall.notchDepth`]?.value ?? 0;
  return depth > lip ? [finding("wall.teeth-deep", "warning", `${id}.wall`, { depth, lip }, id)] : [];
}

/** A strip wrapped over a notch comes out short of what lies in it. */
function shortfallFindings(id: string, net: number, wrapped: number): Finding[] {
  const short = net - wrapped;
  return short > tolerance.seen ? [finding("wall.wrapped-short", "note", `${id}.wall`, { short, wrapped, net }, id)] : [];
}

function seamFindings(id: string, outline: Outline, seamAt: number, carrierPlaces: readonly number[]): Finding[] {
  if (isClearOfCorners(outline, seamAt)) return [];
  const better = straightestPlace(outline, carrierPlaces);
  return isClearOfCorners(outline, better) ? [finding("wall.seam-near-corner", "warning", `${id}.wall`, { at: seamAt, better }, id)] : [];
}

/** The lowest strip on the shelf that is tall enough, and what comes off it; null where there is none. */
function stripFor(cutHeight: number, heights: readonly number[]): { height: Figure; trim: Figure } | null {
  const enough = heights.filter((height) => height >= cutHeight);
  if (enough.length === 0) return null;
  const height = Math.min(...enough);
  return { height: single("mm", height, "strip.shelf", "bench"), trim: single("mm", height - cutHeight, "strip.trim") };
}
