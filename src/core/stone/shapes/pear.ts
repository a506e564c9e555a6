import { arcOutline } from "../../geometry/arcs";
import { arcOf } from "../../geometry/pieces";
import { flankOf, flanksToRight } from "./flank";
import { type ShapeKind } from "./shape";

/** A half circle and two flanks that leave it straight and meet at the point, on +x. */
export interface Pear {
  readonly shape: "pear";
  readonly length: number;
  readonly width: number;
}

export const pear: ShapeKind<Pear> = {
  measures: { length: "length", width: "width" },
  faults: ({ length, width }) =>
    length < width ? [{ field: "length", code: "length-under-width", values: { limit: width, got: length } }] : [],
  outline: ({ length, width }) => {
    const r = width / 2;
    const { upper, lower } = flanksToRight(r, flankOf(r, length - r));
    return arcOutline({ pieces: [upper, arcOf(0, 0, r, Math.PI / 2, Math.PI), lower], inscribedRadius: r });
  },
  scaled: (shape, by) => ({ ...shape, length: shape.length * by, width: shape.width * by }),
};
