/** The flame at a moment, as it is kept and played: mm from the body's middle, y upward. */
export interface TorchMoment {
  /** From the start. */
  readonly ms: number;
  readonly x: number;
  readonly y: number;
  /** Standard deviation of its heat across it (mm): 2 a needle, 5 a bushy flame, 9 a large one. */
  readonly size: number;
  readonly isOn: boolean;
  /** From below, through the mesh. */
  readonly isBelow: boolean;
  /** mm from the metal. */
  readonly distance: number;
  /** Degrees, anticlockwise from +x, that it comes from. */
  readonly toward: number;
}

/** Sizes between which a flame is set, W that reach metal from the best distance, and that (mm). */
const SIZES = [
  { size: 2, power: 25, best: 30 },
  { size: 5, power: 55, best: 60 },
  { size: 9, power: 130, best: 90 },
] as const;

export const LEAST_SIZE = SIZES[0].size;
export const MOST_SIZE = SIZES[2].size;
/** As far as a flame is held. */
export const MOST_DISTANCE = 300;
/** Straight up the picture. */
export const USUAL_TOWARD = 90;
/** Beyond the best distance half is left at so many times it more. */
const FALLS = 0.6;
/** What of a flame passes through a mesh. */
export const THROUGH_MESH = 0.7;

function between(size: number, of: "power" | "best"): number {
  const [low, high] = size <= SIZES[1].size ? [SIZES[0], SIZES[1]] : [SIZES[1], SIZES[2]];
  const share = (Math.min(Math.max(size, LEAST_SIZE), MOST_SIZE) - low.size) / (high.size - low.size);
  return low[of] + (high[of] - low[of]) * share;
}

/** mm from which a flame of a size gives the most. */
export function bestDistance(size: number): number {
  return between(size, "best");
}

/** W that reach the metal: all of them up to the best distance, beyond it P / (1 + ((d / best - 1) / 0.6)^2). */
export function powerOf(size: number, distance: number): number {
  const past = Math.max(0, distance / bestDistance(size) - 1) / FALLS;
  return between(size, "power") / (1 + past * past);
}

/** How far off a flame of a size is held so that a share of its power arrives. */
export function distanceFor(size: number, share: number): number {
  if (share >= 1) return bestDistance(size);
  return Math.min(MOST_DISTANCE, bestDistance(size) * (1 + FALLS * Math.sqrt(1 / Math.max(share, 1e-3) - 1)));
}
