import { ellipse } from "../../geometry/ellipse";
import { type ShapeKind } from "./shape";

/** An ellipse. */
export interface Oval {
  readonly shape: "oval";
  readonly length: number;
  readonly width: number;
}

export const oval: ShapeKind<Oval> = {
  measures: { length: "length", width: "width" },
  faults: () => [],
  outline: ({ length, width }) => ellipse(length / 2, width / 2),
  scaled: (shape, by) => ({ ...shape, length: shape.length * by, width: shape.width * by }),
};
