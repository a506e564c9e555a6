import { fusingFlame, holds } from "@/core/heats/thermal";
import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { METALS, type Metal } from "@/core/metal/metals";

/** A joint's band: from where it gives to where it runs, through every heat of the body it lies in. */
export interface Band {
  readonly joint: string;
  readonly letter: string;
  /** Degrees C; `gives` is where it softens a second time. */
  readonly gives: number;
  readonly runs: number;
  /** Stretches in heats, where heat 0 stands at 0: broken where the joint lies in another body. */
  readonly stretches: readonly { readonly from: number; readonly to: number }[];
}

export interface Disturbed {
  readonly heat: number;
  readonly band: Band;
  readonly what: "runs" | "softens";
}

export interface Ladder {
  readonly bands: readonly Band[];
  readonly disturbed: readonly Disturbed[];
  /** Degrees C shown, from the lowest to the highest. */
  readonly range: readonly [number, number];
  readonly melting: readonly { readonly metal: Metal; readonly at: number; readonly isBeyond: boolean }[];
  /** Grades used, with where each gives and runs. */
  readonly grades: readonly { readonly id: string; readonly gives: number; readonly runs: number }[];
}

const BEFORE = 0.24;
const AFTER = 0.42;
const HEADROOM = 34;
const FOOTROOM = 60;
const TICK = 10;

export function letterOf(plan: Plan, joint: string): string {
  const i = plan.joints.findIndex(({ id }) => id === joint);
  return i < 26 ? String.fromCharCode(97 + i) : `${String.fromCharCode(97 + (i % 26))}${Math.floor(i / 26)}`;
}

/** The heats as they are drawn: temperature upward, heats left to right. */
export function ladderOf(plan: Plan): Ladder {
  const { heats, settled } = plan;
  const grades = settled.heats.shelf.grades
    .filter(({ id }) => heats.some(({ means, grade }) => means === "solder" && grade === id))
    .map((grade) => ({ id: grade.id, ...holds(grade) }));
  const bands = heats.flatMap((heat, i) => heat.joints.map((joint) => bandOf(plan, joint, heat, i)));
  const working = heats.map((heat) => heat.working);
  const highest = Math.max(...working, ...grades.map(({ runs }) => runs), 700);
  const lowest = Math.min(...bands.map(({ gives }) => gives), ...working, 700);
  const range = [Math.floor((lowest - FOOTROOM) / TICK) * TICK, Math.ceil((highest + HEADROOM) / TICK) * TICK] as const;
  const metals = [...new Set(plan.parts.map(({ metal }) => metal))];
  return {
    bands,
    grades,
    range,
    disturbed: heats.flatMap((heat, i) => bands.flatMap((band) => disturbedBy(heat, i, band))),
    melting: metals
      .map((metal) => ({ metal, at: METALS[metal].solidus, isBeyond: METALS[metal].solidus > range[1] }))
      .sort((a, b) => a.at - b.at),
  };
}

/** Pixels that a letter takes, at the size of the names under the heats. */
const LETTER = 6.4;

/**
 * What stands under heats that stand close, `room` pixels to each: of grades alike in a row the first name alone, in a second row where it would
 * cover the one before, and left to the names beside the ladder where it would there too.
 */
export function gradesUnder(
  names: readonly string[],
  room: number,
): readonly { readonly heat: number; readonly text: string; readonly row: number }[] {
  const over = [-Infinity, -Infinity];
  return names.flatMap((text, heat) => {
    if (names[heat - 1] === text) return [];
    const [at, half] = [heat * room, (text.length * LETTER) / 2];
    const row = over.findIndex((end) => at - half >= end);
    if (row < 0) return [];
    over[row] = at + half;
    return [{ heat, text, row }];
  });
}

interface TagUnder {
  readonly joint: string;
  readonly heat: number;
  readonly row: number;
  /** Pixels right of its heat. */
  readonly aside: number;
}

/** Where heats stand close, `room` pixels to each, their joints' letters stand under their numbers, `step` apart, as many side by side as there is room for. */
export function tagsUnder(heats: readonly Pick<PlannedHeat, "joints">[], room: number, step: number): TagUnder[] {
  const abreast = Math.max(1, Math.floor(room / step));
  return heats.flatMap(({ joints }, heat) =>
    joints.map((joint, i) => {
      const row = Math.floor(i / abreast);
      const inRow = Math.min(abreast, joints.length - row * abreast);
      return { joint, heat, row, aside: ((i % abreast) - (inRow - 1) / 2) * step };
    }),
  );
}

function bandOf(plan: Plan, joint: string, heat: PlannedHeat, made: number): Band {
  const parts = plan.joints.find(({ id }) => id === joint)!.parts;
  const shelf = plan.settled.heats.shelf.grades.find(({ id }) => id === heat.grade);
  const { metal } = plan.parts.find(({ id }) => id === parts[0])!;
  const { gives, runs } = holds(heat.means === "fuse" || !shelf ? fusingFlame(metal) : shelf);
  const reached = plan.heats.map((each, i) => i >= made && each.flame.some(({ part }) => part === parts[0]));
  const stretches: { from: number; to: number }[] = [];
  reached.forEach((isReached, i) => {
    if (!isReached) return;
    const to = i === plan.heats.length - 1 ? i + 0.5 : i + AFTER;
    if (i > made && reached[i - 1]) stretches[stretches.length - 1]!.to = to;
    else stretches.push({ from: i === made ? i : i - BEFORE, to });
  });
  return { joint, letter: letterOf(plan, joint), gives, runs, stretches };
}

function disturbedBy(heat: PlannedHeat, i: number, band: Band): Disturbed[] {
  if (heat.runs.includes(band.joint)) return [{ heat: i, band, what: "runs" }];
  return heat.softens.includes(band.joint) ? [{ heat: i, band, what: "softens" }] : [];
}
