import { type Curve, polygonCurve } from "../geometry/curve";
import { type Metal } from "./metals";
import { type SectionShape, sectionArea } from "./section";

/** What something is cut from, in mm. A strip is as wide as what is cut from it. */
export type CutStock =
  | { readonly form: "strip"; readonly width: number; readonly thickness: number }
  | { readonly form: "wire"; readonly section: SectionShape; readonly width: number; readonly thickness: number }
  | { readonly form: "sheet"; readonly thickness: number }
  | { readonly form: "tube"; readonly outside: number; readonly inside: number };

/** A length sawn or snipped off, or a blank sawn out of sheet round an outline. */
export type CutShape =
  | { readonly kind: "length"; readonly length: number }
  | {
      readonly kind: "outline";
      /** The line it is sawn along, in mm. */
      readonly outline: Curve;
      /** Sides of the blank round it, in mm. */
      readonly length: number;
      readonly width: number;
    };

/** What is cut for a part before it is shaped. */
export interface Cut {
  readonly part: string;
  /** The setting it belongs to, or null. */
  readonly mount: string | null;
  readonly metal: Metal;
  readonly stock: CutStock;
  readonly shape: CutShape;
  /** The key of its length's figure, and of its width's; null where nothing of its width is worked out. */
  readonly figure: string;
  readonly across: string | null;
  /** How many alike, of one copy of the piece. */
  readonly count: number;
}

export function roundWire(diameter: number): CutStock {
  return { form: "wire", section: "round", width: diameter, thickness: diameter };
}

/** A rectangle of sheet from one corner. */
export function rectangle(length: number, width: number): CutShape {
  return {
    kind: "outline",
    ...{ length, width },
    outline: polygonCurve([
      [0, 0],
      [length, 0],
      [length, width],
      [0, width],
    ]),
  };
}

/** One length for a part. */
export function cutToLength(of: Pick<Cut, "part" | "mount" | "metal">, stock: CutStock, figure: string, length: number): Cut {
  return {
    ...{ part: of.part, mount: of.mount, metal: of.metal },
    stock,
    figure,
    across: null,
    count: 1,
    shape: { kind: "length", length },
  };
}

/** mm2 of metal across a length; of a sheet mm2 a mm of its width. */
export function areaAcross(stock: CutStock): number {
  switch (stock.form) {
    case "wire":
      return sectionArea({ shape: stock.section, width: stock.width, thickness: stock.thickness });
    case "strip":
      return stock.width * stock.thickness;
    case "tube":
      return (Math.PI / 4) * (stock.outside ** 2 - stock.inside ** 2);
    case "sheet":
      return stock.thickness;
  }
}
