import { type Point } from "@/core/geometry/outline";
import { type CutPlate } from "@/core/mount/drawing";

/** Where a plate's top lies so far from the axis, from its top there; below 0 on a dome (mm). */
export function topAt({ sphere }: CutPlate, x: number): number {
  return sphere === null ? 0 : Math.sqrt(Math.max(0, sphere * sphere - x * x)) - sphere;
}

/** From one place on a dome to the next, as shares of its width. */
const DOME_STEPS = 24;

/** A plate's section: its top, and its underside back. */
export function plateShape(plate: CutPlate): Point[] {
  const { left, right, thickness, sphere } = plate;
  const steps = sphere === null ? 1 : DOME_STEPS;
  const top = Array.from({ length: steps + 1 }, (_, i): Point => {
    const x = -left + ((left + right) * i) / steps;
    return [x, topAt(plate, x)];
  });
  return [...top, ...top.map(([x, y]): Point => [x, y - thickness]).reverse()];
}
