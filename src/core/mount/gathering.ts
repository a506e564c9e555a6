import { bezelCurvature } from "../geometry/bezel-curvature";
import { type Outline } from "../geometry/outline";
import { type Finding, finding } from "../measure/finding";
import { type Figure, sum, taken, term } from "../measure/figure";
import { type Cover } from "../stone/dome";
import { apart, foldedCorners } from "./seam";
import { type Wall } from "./wall";

/** Gathering from which it is drawn, needs several passes, and needs the place set first. */
export const GATHERS = { drawn: 0.05, passes: 0.1, first: 0.2 } as const;

export interface Gathering {
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

/** Where the wall gathers as it is pushed over, and how much. */
export function gathering(outline: Outline, wall: Wall, covered: Cover): Gathering {
  const isPoint = (curvature: number) => curvature * wall.catch.value >= 1;
  const { places, greatest } = bezelCurvature(outline);
  const smooth = places.filter(({ curvature, isCorner }) => !isCorner && !isPoint(curvature));
  const most = isPoint(greatest) ? Math.max(0, ...smooth.map(({ curvature }) => curvature)) : greatest;
  const [fit, reach, tilt] = strainTerms(most, wall, covered);
  const pointed = places.filter(({ curvature, isCorner }) => !isCorner && isPoint(curvature)).map(({ at }) => at);
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

/** Whether the wall is set at its points, or where it gathers most, before the rest. */
export function isPointed({ figure, points }: Gathering): boolean {
  return points.length > 0 || figure.value > GATHERS.first;
}

export function gatherFindings(id: string, gather: Gathering): Finding[] {
  const { figure, points } = gather;
  if (isPointed(gather)) {
    return [finding("wall.point", "warning", `${id}.wall`, { strain: figure.value, points: points.length }, id)];
  }
  return figure.value > GATHERS.passes ? [finding("wall.gathers", "warning", `${id}.wall`, { strain: figure.value }, id)] : [];
}
