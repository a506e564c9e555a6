import { type Figure, sum, term } from "../measure/figure";
import { type Cover, type Dome } from "../stone/dome";
import { type Wall } from "./wall";

/** The lip that a catch takes: along the dome, or over a flat face, and the fold of the metal. */
export function lipFigure(dome: Dome, covered: Cover, wall: Wall): Figure {
  return sum("mm", [
    dome.exponent === "flat" ? term("catch", covered.arc, wall.catch.from, "lip.flat") : term("arc", covered.arc, "formula"),
    term("fold", (wall.thickness / 2) * covered.lean, "formula"),
  ]);
}
