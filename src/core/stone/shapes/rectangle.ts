import { arcOutline } from "../../geometry/arcs";
import { type Point } from "../../geometry/outline";
import { type Segment, arcOf, lineBetween } from "../../geometry/pieces";
import { type ShapeKind } from "./shape";

/** Corners are rounded by `corner`; at 0 they are sharp. */
export interface Rectangle {
  readonly shape: "rectangle";
  readonly length: number;
  readonly width: number;
  readonly corner: number;
}

export const rectangle: ShapeKind<Rectangle> = {
  measures: { length: "length", width: "width" },
  faults: ({ length, width, corner }) => {
    const limit = Math.min(length, width) / 2;
    return corner > limit ? [{ field: "corner", code: "corner-too-round", values: { limit, got: corner } }] : [];
  },
  outline: ({ length, width, corner: r }) => {
    const [x, y] = [length / 2, width / 2];
    const turn = Math.PI / 2;
    const side = (from: Point, to: Point) => lineBetween(from, to);
    const pieces: Segment[] = [
      side([x, 0], [x, y - r]),
      arcOf(x - r, y - r, r, 0, turn),
      side([x - r, y], [-x + r, y]),
      arcOf(-x + r, y - r, r, turn, turn),
      side([-x, y - r], [-x, -y + r]),
      arcOf(-x + r, -y + r, r, 2 * turn, turn),
      side([-x + r, -y], [x - r, -y]),
      arcOf(x - r, -y + r, r, 3 * turn, turn),
      side([x, -y + r], [x, 0]),
    ];
    return arcOutline({ pieces, inscribedRadius: Math.min(x, y) });
  },
  scaled: (shape, by) => ({ ...shape, length: shape.length * by, width: shape.width * by, corner: shape.corner * by }),
};
