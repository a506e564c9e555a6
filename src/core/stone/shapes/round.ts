import { ellipse } from "../../geometry/ellipse";
import { type ShapeKind } from "./shape";

export interface Round {
  readonly shape: "round";
  readonly diameter: number;
}

export const round: ShapeKind<Round> = {
  measures: { diameter: "across" },
  faults: () => [],
  outline: ({ diameter }) => ellipse(diameter / 2, diameter / 2),
  scaled: (shape, by) => ({ ...shape, diameter: shape.diameter * by }),
};
