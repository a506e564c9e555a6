import { arcOutline } from "../../geometry/arcs";
import { arcOf } from "../../geometry/pieces";
import { flankOf, flanksToRight } from "./flank";
import { type ShapeKind } from "./shape";

/** Four flanks, a point at each end. */
export interface Marquise {
  readonly shape: "marquise";
  readonly length: number;
  readonly width: number;
}

export const marquise: ShapeKind<Marquise> = {
  measures: { length: "length", width: "width" },
  faults: ({ length, width }) =>
    length < width ? [{ field: "length", code: "length-under-width", values: { limit: width, got: length } }] : [],
  outline: ({ length, width }) => {
    const r = width / 2;
    const flank = flankOf(r, length / 2);
    const { upper, lower } = flanksToRight(r, flank);
    const pieces = [
      upper,
      arcOf(upper.x, upper.y, flank.radius, Math.PI / 2, flank.sweep),
      arcOf(lower.x, lower.y, flank.radius, (3 * Math.PI) / 2 - flank.sweep, flank.sweep),
      lower,
    ];
    return arcOutline({ pieces, inscribedRadius: r });
  },
  scaled: (shape, by) => ({ ...shape, length: shape.length * by, width: shape.width * by }),
};
