import { arcOutline } from "../../geometry/arcs";
import { type Point } from "../../geometry/outline";
import { type Segment, arcOf, lineBetween } from "../../geometry/pieces";
import { tolerance } from "../../measure/tolerances";
import { type ShapeFault, type ShapeKind } from "./shape";

/** Three equal sides that may bulge, corners that may be rounded, one of them on +x. */
export interface Triangle {
  readonly shape: "triangle";
  /** Between the unrounded corners. */
  readonly side: number;
  readonly corner: number;
  /** Rise of a side over its chord. */
  readonly bulge: number;
}

const THIRD = (2 * Math.PI) / 3;

export const triangle: ShapeKind<Triangle> = {
  measures: {},
  faults: ({ side, corner, bulge }) => {
    const faults: ShapeFault[] = [];
    const roundest = side / (2 * Math.sqrt(3));
    if (bulge >= roundest) faults.push({ field: "bulge", code: "bulge-too-round", values: { limit: roundest, got: bulge } });
    else if (corner >= roundest + bulge)
      faults.push({ field: "corner", code: "corner-too-round", values: { limit: roundest + bulge, got: corner } });
    return faults;
  },
  outline: (shape) => {
    const { side, corner, bulge } = shape;
    const third = bulge > tolerance.sameLength ? bulgingThird(shape) : straightThird(side, corner);
    const [firstCorner, run] = third(0);
    const pieces = [...halves(firstCorner).second, run, ...third(THIRD), ...third(2 * THIRD), ...halves(firstCorner).first];
    return arcOutline({ pieces, inscribedRadius: side / (2 * Math.sqrt(3)) + bulge });
  },
  scaled: (shape, by) => ({ ...shape, side: shape.side * by, corner: shape.corner * by, bulge: shape.bulge * by }),
};

/** The corner at an angle from the middle, and the side that follows it. */
type Third = (angle: number) => readonly [Segment, Segment];

/** The datum lies in the middle of the first corner. */
function halves(corner: Segment): { readonly first: Segment[]; readonly second: Segment[] } {
  if (corner.kind === "line" || corner.radius === 0) return { first: [], second: [] };
  const half = { ...corner, sweep: corner.sweep / 2 };
  return { first: [half], second: [{ ...half, start: half.start + half.sweep }] };
}

function straightThird(side: number, corner: number): Third {
  const reach = side / Math.sqrt(3) - 2 * corner;
  return (angle) => {
    const out = (about: number): Point => [
      reach * Math.cos(about) + corner * Math.cos(angle + THIRD / 2),
      reach * Math.sin(about) + corner * Math.sin(angle + THIRD / 2),
    ];
    return [
      arcOf(reach * Math.cos(angle), reach * Math.sin(angle), corner, angle - THIRD / 2, THIRD),
      lineBetween(out(angle), out(angle + THIRD)),
    ];
  };
}

/** Each side is an arc round a place on the far side of the middle; the corner's circle touches both arcs from inside. */
function bulgingThird({ side, corner, bulge }: Triangle): Third {
  const radius = (side * side) / (8 * bulge) + bulge / 2;
  const back = radius - side / (2 * Math.sqrt(3)) - bulge;
  const inner = radius - corner;
  const cornerAt = -back / 2 + Math.sqrt(inner * inner - (3 * back * back) / 4);
  return (angle) => {
    const facing = angle + THIRD / 2;
    const [x, y] = [-back * Math.cos(facing), -back * Math.sin(facing)];
    const place = (about: number): Point => [cornerAt * Math.cos(about), cornerAt * Math.sin(about)];
    const [[ax, ay], [bx, by]] = [place(angle), place(angle + THIRD)];
    const start = Math.atan2(ay - y, ax - x);
    const half = wrapped(start - angle);
    const sweep = wrapped(Math.atan2(by - y, bx - x) - start);
    return [arcOf(ax, ay, corner, angle - half, 2 * half), arcOf(x, y, radius, start, sweep)];
  };
}

/** An angle as it is from 0 up to a whole turn. */
function wrapped(angle: number): number {
  const whole = 2 * Math.PI;
  return ((angle % whole) + whole) % whole;
}
