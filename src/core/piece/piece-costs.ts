import { type CostInputs } from "../cutting/cost";
import { schedule } from "../making/schedule";
import { type Piece } from "./piece";
import { type Plan } from "./plan";

/** g/cm3 of silver solder, between 9.1 and 9.6 by its grade. */
const SOLDER_DENSITY = 9.4;

/** What a piece takes that is not cut, for so many of it: solder as it is laid, stones as they were bought, hours as they are scheduled. */
export function costInputsOf(piece: Piece, plan: Plan, count: number): CostInputs {
  const copies = piece.copies ?? 1;
  const solder = plan.heats
    .flatMap((heat) => heat.solder)
    .reduce((sum, { form, count: pieces, size }) => sum + pieces * VOLUMES[form](size), 0);
  const stones = piece.mounts.map(({ stone }) => stone.cost ?? null);
  return {
    solder: (solder * SOLDER_DENSITY * count * copies) / 1000,
    stones: Array.from({ length: count * copies }, () => stones).flat(),
    hours: plan.tasks && (schedule(plan.tasks).finish * count) / 60,
  };
}

type Size = readonly [number, number, number];

/** mm3 of a piece of each form as it is cut; half of paste is flux. */
const VOLUMES: Readonly<Record<"sheet" | "wire" | "paste", (size: Size) => number>> = {
  sheet: ([length, width, thickness]) => length * width * thickness,
  wire: ([length, , thickness]) => (Math.PI / 4) * thickness * thickness * length,
  paste: ([across]) => (Math.PI / 12) * across ** 3,
};
