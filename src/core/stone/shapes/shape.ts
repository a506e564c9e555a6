import { type Outline } from "../../geometry/outline";
import { type MeasureKind } from "../../measure/stone-measures";

/** Something a shape's dimensions cannot be, with the field of the shape and the numbers that say why. */
export interface ShapeFault {
  readonly field: string;
  readonly code:
    | "length-under-width"
    | "cleft-too-deep"
    | "heart-too-short"
    | "corner-too-round"
    | "bulge-too-round"
    | "points-coincide"
    | "crosses-itself"
    | "too-large-across"
    | "too-small-across"
    | "no-area";
  readonly values: Readonly<Record<string, string | number>>;
}

/** All that the rest knows of a shape. */
export interface ShapeKind<S> {
  /** Its lengths that a caliper reads off the stone, in the order they are read, each by what it is. */
  readonly measures: { readonly [K in keyof S]?: MeasureKind };
  /** None if the dimensions make an outline. */
  faults(shape: S): readonly ShapeFault[];
  /** @throws for dimensions that `faults` refuses. */
  outline(shape: S): Outline;
  /** The shape so many times as large. */
  scaled(shape: S, by: number): S;
}
