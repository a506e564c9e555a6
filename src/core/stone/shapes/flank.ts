import { type Arc, arcOf } from "../../geometry/pieces";

/** A circular flank that leaves a circle of radius R straight and meets its mirror image on the x axis at h. */
export interface Flank {
  readonly radius: number;
  /** Radians it sweeps. */
  readonly sweep: number;
}

/** rho = (R^2 + h^2) / (2R), alpha = atan2(h, rho - R). */
export function flankOf(r: number, h: number): Flank {
  const radius = (r * r + h * h) / (2 * r);
  return { radius, sweep: Math.atan2(h, radius - r) };
}

/** The flank from the point at (h, 0) up to (0, R), and its mirror image back to the point. */
export function flanksToRight(r: number, { radius, sweep }: Flank): { readonly upper: Arc; readonly lower: Arc } {
  return {
    upper: arcOf(0, r - radius, radius, Math.PI / 2 - sweep, sweep),
    lower: arcOf(0, radius - r, radius, (3 * Math.PI) / 2, sweep),
  };
}
