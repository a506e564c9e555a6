import { arcOutline, inscribedOnAxis } from "../../geometry/arcs";
import { type Segment, arcOf } from "../../geometry/pieces";
import { flankOf, flanksToRight } from "./flank";
import { type ShapeFault, type ShapeKind } from "./shape";

/** Two lobes with a cleft between them, and two flanks that meet at the point, on +x. */
export interface Heart {
  readonly shape: "heart";
  readonly length: number;
  readonly width: number;
  /** Its depth, from the lobes' far edge. */
  readonly cleft: number;
}

export const heart: ShapeKind<Heart> = {
  measures: { length: "length", width: "width" },
  faults: ({ length, width, cleft }) => {
    const faults: ShapeFault[] = [];
    if (!(cleft > 0 && cleft <= width / 4))
      faults.push({ field: "cleft", code: "cleft-too-deep", values: { limit: width / 4, got: cleft } });
    else if (length - lobeRadius(width, cleft) < width / 2)
      faults.push({ field: "length", code: "heart-too-short", values: { limit: width / 2 + lobeRadius(width, cleft), got: length } });
    return faults;
  },
  outline: ({ length, width, cleft }) => {
    const [r, a] = [width / 2, lobeRadius(width, cleft)];
    const h = length - a;
    const flank = flankOf(r, h);
    const { upper, lower } = flanksToRight(r, flank);
    const middle = r - a;
    const toCleft = Math.PI / 2 + Math.atan2(middle, a - cleft);
    const pieces: Segment[] = [
      upper,
      arcOf(0, middle, a, Math.PI / 2, toCleft),
      arcOf(0, -middle, a, (3 * Math.PI) / 2 - toCleft, toCleft),
      lower,
    ];
    const hullPerimeter = 2 * (flank.radius * flank.sweep + (a * Math.PI) / 2 + middle);
    return arcOutline({ pieces, inscribedRadius: Math.max(a, inscribedOnAxis(pieces, cleft - a, h)), hullPerimeter });
  },
  scaled: (shape, by) => ({ ...shape, length: shape.length * by, width: shape.width * by, cleft: shape.cleft * by }),
};

/** The radius at which two lobes as wide as the heart meet `cleft` below their far edge. */
function lobeRadius(width: number, cleft: number): number {
  return (width + 2 * cleft) / 2 - Math.sqrt(width * cleft);
}
