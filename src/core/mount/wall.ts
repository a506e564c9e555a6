import { type Outline, loopsOf, outward } from "../geometry/outline";
import { type Finding, finding } from "../measure/finding";
import { type Figure, type Figures, type School, type Sourced, single, sum, taken, term } from "../measure/figure";
import { type Metal, massOf } from "../metal/metals";
import { type Cover, type Dome, cover } from "../stone/dome";
import { apart, foldedCorners, isClearOfCorners, straightestPlace } from "./seam";

export type WallSource = "strip" | "sheet" | "tube" | "cup" | "notched";
export type HeightRule = "turn-in" | "third" | "fixed";

/** The wall's way through the shop: what each end and edge loses (mm in all). */
export interface WallLosses {
  readonly squaring: Sourced<number>;
  readonly mark: Sourced<number>;
  readonly foot: Sourced<number>;
  readonly top: Sourced<number>;
}

/** A wall with every value settled. */
export interface Wall {
  readonly source: WallSource;
  /** The pitch wanted of a notched wall, in mm. */
  readonly notch: number | null;
  readonly metal: Metal;
  readonly thickness: number;
  readonly fit: Sourced<number>;
  readonly catch: Sourced<number>;
  readonly lift: Sourced<number>;
  readonly height: { readonly rule: "turn-in" | "third" } | { readonly rule: "fixed"; readonly height: number };
  readonly seamAt: number | "auto";
  readonly losses: WallLosses;
  /** Heights in mm of the strip on the maker's shelf, of this metal and thickness. */
  readonly stripHeights: readonly number[];
}

export interface WallPlan {
  readonly figures: Figures;
  readonly findings: readonly Finding[];
  readonly seamAt: number;
  readonly cover: Cover;
}

/** A wall that stands this far past the turn-in, as a share of the lip, still holds. */
const HOLDING_SHARE = 0.6;
/** A wall taller than this share of the stone hides it. */
const HIDING_SHARE = 0.65;
const STRETCH = 1.02;
const TOO_LARGE_BY = 0.05;
/** Gathering from which it is drawn, needs several passes, and needs the place set first. */
export const GATHERS = { drawn: 0.05, passes: 0.1, first: 0.2 } as const;

/** Figures, findings and seam of a wall round one stone. `id` is the mount's, `shankPlaces` where a hoop's ends meet the outline. */
export function planWall(id: string, outline: Outline, dome: Dome, wall: Wall, shankPlaces: readonly number[]): WallPlan {
  const covered = cover(dome, wall.catch.value);
  const net = netLength(outline, wall);
  const lip = lipFigure(dome, covered, wall);
  const heights = netHeights(dome, wall, lip);
  const netHeight = heights[wall.height.rule];
  const { foot, top } = wall.losses;
  const cutHeight = sum("mm", [...netHeight.terms, taken("foot", foot), taken("top", top)]);
  const seamAt = wall.seamAt === "auto" ? straightestPlace(outline, shankPlaces) : wall.seamAt;
  const gather = gathering(outline, wall, covered);
  const strip = wall.source === "sheet" ? null : stripFor(cutHeight.value, wall.stripHeights);
  const wrapped = hullLength(outline, wall);
  const key = (name: string) => `${id}.wall.${name}`;
  return {
    seamAt,
    cover: covered,
    figures: {
      [key("netLength")]: net,
      [key("cutLength")]: sum("mm", [...net.terms, taken("squaring", wall.losses.squaring), taken("mark", wall.losses.mark)]),
      [key("hullLength")]: wrapped,
      ...notchFigures(key, wall, net.value),
      [key("windowLow")]: single("mm", net.value / STRETCH, "window.low"),
      [key("windowHigh")]: single("mm", net.value + TOO_LARGE_BY, "window.high"),
      [key("lip")]: lip,
      [key("netHeight")]: { ...netHeight, schools: otherHeights(heights, wall.height.rule) },
      [key("cutHeight")]: cutHeight,
      [key("thirdHeight")]: heights.third,
      [key("faceShown")]: faceShown(outline, wall),
      [key("gather")]: gather.figure,
      [key("mass")]: single("g", massOf(wall.metal, net.value * netHeight.value * wall.thickness), "density"),
      [key("seamAt")]: single(
        "ratio",
        seamAt,
        wall.seamAt === "auto" ? "seam.straightest" : "seam.chosen",
        wall.seamAt === "auto" ? "formula" : "piece",
      ),
      ...(strip && { [key("stripHeight")]: strip.height, [key("trim")]: strip.trim }),
    },
    findings: [
      ...heightFindings(id, dome, wall, netHeight.value, lip.value, heights.third.value),
      ...gatherFindings(id, gather),
      ...shortfallFindings(id, net.value, wrapped.value),
      ...seamFindings(id, outline, seamAt, shankPlaces),
      ...(strip || wall.source === "sheet" || wall.stripHeights.length === 0
        ? []
        : [finding("wall.no-strip", "note", `${id}.wall`, { needed: cutHeight.value, tallest: Math.max(...wall.stripHeights) })]),
    ],
  };
}

/** Net length of the strip, at the wall's middle: the outline's parallel curve at fit + half the thickness. */
function netLength(outline: Outline, wall: Wall): Figure {
  const fit = wall.fit.value;
  const middle = fit + wall.thickness / 2;
  const round = outward(outline, middle).length - outline.perimeter;
  const fitShare = (round * fit) / middle;
  return sum("mm", [
    term("outline", outline.perimeter, "stone", "perimeter"),
    term("wall", round - fitShare, "formula", "parallel"),
    { ...taken("fit", wall.fit), value: fitShare },
  ]);
}

/** The same, wrapped over the notches: the hull has none, so its parallel curve is longer by a turn of the distance. */
function hullLength(outline: Outline, wall: Wall): Figure {
  return single("mm", outline.hullPerimeter + 2 * Math.PI * (wall.fit.value + wall.thickness / 2), "hull");
}

function lipFigure(dome: Dome, covered: Cover, wall: Wall): Figure {
  return sum("mm", [
    dome.exponent === "flat" ? term("catch", covered.arc, wall.catch.from, "lip.flat") : term("arc", covered.arc, "formula"),
    term("fold", (wall.thickness / 2) * covered.lean, "formula"),
  ]);
}

/** Net height by each of the three schools; "fixed" is the chosen height, or the turn-in's where none is chosen. */
function netHeights(dome: Dome, wall: Wall, lip: Figure): Record<HeightRule, Figure> {
  const lift = taken("lift", wall.lift);
  const turnIn = sum("mm", [lift, term("turnIn", dome.turnIn, "stone"), term("lip", lip.value, "formula")]);
  return {
    "turn-in": turnIn,
    third: sum("mm", [lift, term("third", dome.height / 3, "stone")]),
    fixed: wall.height.rule === "fixed" ? sum("mm", [term("fixed", wall.height.height, "piece")]) : turnIn,
  };
}

function otherHeights(heights: Record<HeightRule, Figure>, chosen: HeightRule): School[] {
  return (["turn-in", "third"] as const).filter((rule) => rule !== chosen).map((rule) => ({ rule, value: heights[rule].value }));
}

/** Share of the stone's face that the lip leaves open. Nothing shows once the catch meets itself in the middle. */
function faceShown(outline: Outline, wall: Wall): Figure {
  const inner = outline.parallel(-wall.catch.value);
  const shown = loopsOf(inner).reduce((sum, { area }) => sum + area, 0) / outline.area;
  return sum("ratio", [term("whole", 1, "formula"), term("covered", shown - 1, wall.catch.from)]);
}

/** How a pattern of notches closes at the seam: as many as come nearest to the pitch wanted, at least one. */
function notchFigures(key: (name: string) => string, { notch }: Wall, net: number): Figures {
  if (notch === null) return {};
  const count = Math.max(1, Math.round(net / notch));
  return {
    [key("notches")]: single("count", count, "notch.count"),
    [key("notchPitch")]: single("mm", net / count, "notch.pitch"),
  };
}

/** A strip wrapped over a notch comes out short of what lies in it. */
function shortfallFindings(id: string, net: number, wrapped: number): Finding[] {
  const short = net - wrapped;
  return short > SHOWN ? [finding("wall.wrapped-short", "note", `${id}.wall`, { short, wrapped, net })] : [];
}

/** Less than this is not seen on any rule (mm). */
const SHOWN = 0.005;

function seamFindings(id: string, outline: Outline, seamAt: number, shankPlaces: readonly number[]): Finding[] {
  if (isClearOfCorners(outline, seamAt)) return [];
  const better = straightestPlace(outline, shankPlaces);
  return isClearOfCorners(outline, better) ? [finding("wall.seam-near-corner", "warning", `${id}.wall`, { at: seamAt, better })] : [];
}

interface Gathering {
  /** Greatest strain of the wall's middle over the smooth part of the outline. */
  readonly figure: Figure;
  /** Places whose radius is no more than the catch: points, not curves. */
  readonly points: readonly number[];
}

/** What one place of the outline adds to the strain, by where it comes from. Curvature 1/mm, positive outward. */
function strainTerms(curvature: number, wall: Wall, covered: Cover): readonly [fit: number, reach: number, tilt: number] {
  const by = curvature / (1 + curvature * (wall.fit.value + wall.thickness / 2));
  return [by * wall.fit.value, by * wall.catch.value, by * (wall.thickness / 2) * (1 - Math.cos(covered.lean))];
}

/** How much the wall's middle is shortened where the outline has this curvature, as a share of its length. */
export function strainAt(curvature: number, wall: Wall, covered: Cover): number {
  const [fit, reach, tilt] = strainTerms(curvature, wall, covered);
  return fit + reach + tilt;
}

function gathering(outline: Outline, wall: Wall, covered: Cover): Gathering {
  const isPoint = (curvature: number) => curvature * wall.catch.value >= 1;
  const smooth = outline.stations.filter((s) => !isPoint(s.curvature)).map((s) => s.curvature);
  const [fit, reach, tilt] = strainTerms(Math.max(0, ...smooth), wall, covered);
  const pointed = outline.stations.filter((s) => isPoint(s.curvature)).map((s) => s.at);
  return {
    figure: sum("ratio", [
      { ...taken("fit", wall.fit), value: fit },
      { ...taken("catch", wall.catch), value: reach },
      term("tilt", tilt, "formula"),
    ]),
    points: mergeNear(
      [
        ...foldedCorners(outline)
          .filter(({ turn }) => turn > 0)
          .map(({ at }) => at),
        ...pointed,
      ],
      outline.perimeter,
    ),
  };
}

/** Places within half a millimetre of each other are one point to the pusher. */
function mergeNear(places: readonly number[], perimeter: number): number[] {
  const merged: number[] = [];
  for (const at of places) if (merged.every((other) => apart(at, other) * perimeter > 0.5)) merged.push(at);
  return merged;
}

function gatherFindings(id: string, { figure, points }: Gathering): Finding[] {
  if (points.length > 0 || figure.value > GATHERS.first) {
    return [finding("wall.point", "warning", `${id}.wall`, { strain: figure.value, points: points.length })];
  }
  return figure.value > GATHERS.passes ? [finding("wall.gathers", "warning", `${id}.wall`, { strain: figure.value })] : [];
}

function heightFindings(id: string, dome: Dome, wall: Wall, netHeight: number, lip: number, third: number): Finding[] {
  const at = `${id}.wall`;
  const standing = netHeight - wall.lift.value;
  const needed = dome.turnIn + HOLDING_SHARE * lip;
  const findings: Finding[] = [];
  if (standing < needed) {
    findings.push(finding("wall.too-low", "error", at, { height: standing, needed, turnIn: dome.turnIn, rule: wall.height.rule }));
  } else if (wall.height.rule !== "third" && third - wall.lift.value < needed) {
    findings.push(
      finding("wall.third-fails", "note", at, { third: third - wall.lift.value, needed, turnIn: dome.turnIn, height: dome.height }),
    );
  }
  if (dome.exponent !== "flat" && standing > HIDING_SHARE * dome.height) {
    findings.push(finding("wall.hides-stone", "warning", at, { height: standing, limit: HIDING_SHARE * dome.height, stone: dome.height }));
  }
  return findings;
}

/** The lowest strip on the shelf that is tall enough, and what comes off it; null where there is none. */
function stripFor(cutHeight: number, heights: readonly number[]): { height: Figure; trim: Figure } | null {
  const enough = heights.filter((height) => height >= cutHeight);
  if (enough.length === 0) return null;
  const height = Math.min(...enough);
  return { height: single("mm", height, "strip.shelf", "bench"), trim: single("mm", height - cutHeight, "strip.trim") };
}
