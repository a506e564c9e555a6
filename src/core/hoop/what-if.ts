import { tolerance } from "../measure/tolerances";
import { fibre } from "../metal/section";
import { FORMS } from "./forms/forms";
import { type Hoop, netLength } from "./hoop";
import { sizeLost } from "./sizes";

/** What can go otherwise with a hoop, by how much its length is out (mm; below 0 it is longer), and the inside diameter that it then lands at. */
export interface WhatIf {
  readonly code: "saw" | "hammered" | "short";
  readonly lost: number;
  readonly inside: number;
  /** mm of thickness left once one that came out small is stretched to its size; null where it needs none. */
  readonly left: number | null;
  /** Whether that is further than a hoop stretches. */
  readonly isFar: boolean;
}

/** A US size in mm of diameter: as far as a plain band is stretched. */
export const MOST_STRETCH = 0.8128;
/** Steps of the secant rule, more than a length that is all but straight in the diameter wants. */
const STEPS = 5;

/** The inside diameter round which a hoop's net length is so long. */
export function insideFor(hoop: Hoop, net: number): number {
  let [before, at] = [hoop.size.value, hoop.size.value + 1];
  let [was, is] = [netLength(hoop, before).value, netLength(hoop, at).value];
  for (let i = 0; i < STEPS && Math.abs(is - net) > tolerance.sum && is !== was; i++) {
    const next = at + ((net - is) * (at - before)) / (is - was);
    [before, was, at, is] = [at, is, next, netLength(hoop, next).value];
  }
  return at;
}

/** How many sizes of the maker's own system their losses spread over, to either side; null where they have not agreed to their own. */
export function sizeSpread({ learned, asked }: Pick<Hoop, "learned" | "asked">, inside: number, lostPerMillimetre: number): number | null {
  if (!learned || learned.spread === null) return null;
  const by = learned.spread * lostPerMillimetre;
  return sizeLost(asked.system === "mandrel" ? "us" : asked.system, inside + by, 2 * by) / 2;
}

/** Thickness left of a hoop that is stretched from one inside diameter to another: no less than t (ID + 2e) / (ID' + 2e). */
export function stretchedTo({ section }: Pick<Hoop, "section">, from: number, to: number): number {
  const e = fibre(section).distance;
  return (section.thickness * (from + 2 * e)) / (to + 2 * e);
}

/** One more saw pass where there is a seam; hammered longer or cut short by so much (mm). */
export function whatIfs(hoop: Hoop, inside: number, by: number): WhatIf[] {
  const net = netLength(hoop, inside).value;
  const lost = { saw: hoop.losses.kerf.value, hammered: -by, short: by };
  const codes = FORMS[hoop.form].seams(hoop).length > 0 ? (["saw", "hammered", "short"] as const) : (["hammered", "short"] as const);
  return codes.map((code) => {
    const lands = insideFor(hoop, net - lost[code]);
    const isSmall = lands < inside;
    return {
      code,
      lost: lost[code],
      inside: lands,
      left: isSmall ? stretchedTo(hoop, lands, inside) : null,
      isFar: inside - lands > MOST_STRETCH,
    };
  });
}
