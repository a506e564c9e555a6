import { type Joint } from "./joint";

/** How far off the top of a hoop something still lies by itself, to each side (radians). */
const ON_ONE_FACE = Math.PI / 4;

/**
 * Whether two joints of one heat can be held in it together. What is laid on loose stays where its face lies up: on a hoop where that place is on
 * top, on a setting while its face is. What is held by hand or by wire has no say, but turns the piece as it needs it.
 */
export function canBeHeldTogether({ hold: a }: Pick<Joint, "hold">, { hold: b }: Pick<Joint, "hold">): boolean {
  if (!a || !b || (!a.isLoose && !b.isLoose)) return true;
  if (a.up === null || b.up === null) return a.up === b.up && a.mount === b.mount;
  return apart(a.up, b.up) <= ON_ONE_FACE;
}

/** Between two directions, the short way round (radians). */
function apart(a: number, b: number): number {
  const turn = Math.abs(a - b) % (2 * Math.PI);
  return Math.min(turn, 2 * Math.PI - turn);
}
