import { type Point, type Outline } from "../geometry/outline";
import { facing } from "../geometry/facing";
import { type Figures, single } from "../measure/figure";
import { type Finding, finding } from "../measure/finding";
import { type Weight } from "../mount/weights";
import { type Bail, type Hanging } from "./bail";
import { balanceOf, outAt, straightFrom, tiltBetween } from "./hang";

/** It hangs crooked beyond so many degrees. */
const CROOKED = 3;

/** A setting as it hangs, in its own plane: mm, degrees. */
export interface DrawnHang {
  readonly mount: string;
  /** Where it is hung up, on its edge; of a connector both. */
  readonly eyes: readonly { readonly at: number; readonly edge: Point; readonly pivot: Point }[];
  readonly balance: Point;
  readonly mass: number;
  /** Each with how far it lies to the left of the axis through the stone's middle, as it hangs (mm). */
  readonly weights: readonly (Weight & { readonly left: number })[];
  readonly left: number;
  /** Degrees from +x: what should point down, and how far from it it hangs. */
  readonly axis: number;
  readonly tilt: number;
  /** From where it hangs straight; null where it does not from anywhere. */
  readonly straight: { readonly at: number; readonly edge: Point; readonly pivot: Point; readonly along: number } | null;
  /** mm along the edge from what would be its top to the eye, counter-clockwise. */
  readonly aside: number;
  /** Degrees that a millimetre along the edge tilts it by. */
  readonly perMillimetre: number;
  /** Whole degrees of tilt where they lie along its edge, and straight out from it. */
  readonly scale: readonly { readonly edge: Point; readonly out: Point; readonly tilt: number }[];
}

/**
 * mm of the outline to each side of the eye that the scale goes round, how closely it is read, the degrees between its marks and to
 * each side, and how far out it stands. */
const SCALE = { reach: 8, places: 40, every: 2, degrees: 35, out: 1 } as const;

/**
 * How a setting hangs: by one eye its balance comes to lie straight under it, by two it is pulled along the line through both.
 */
export function hangOf(
  bail: Bail,
  { mount, hung }: Hanging,
  pastEdge: number,
  isOnly: boolean,
): { readonly figures: Figures; readonly findings: readonly Finding[]; readonly drawn: DrawnHang } {
  const { outline } = hung;
  const { axis } = bail;
  const { at: balance, mass } = balanceOf(hung.weights);
  const asked = bail.eyes.filter((eye) => eye.mount === mount);
  const usual = facing(outline, ((axis + 180) * Math.PI) / 180);
  const chosen = asked.map(({ at }) => at ?? usual);
  const pivot = (at: number) => outAt(hung, at, pastEdge);
  const [first = usual, last = first] = [chosen[0], chosen[1]];
  const isPulled = chosen.length > 1;
  const tiltAt = (at: number) => (isPulled ? tiltBetween(pivot(first), pivot(at), axis) : tiltBetween(pivot(at), balance, axis));
  const straightAt = straightFrom(tiltAt, last);
  const isFree = asked.length > 0 && asked.at(-1)!.at === null;
  const eye = isFree && straightAt !== null ? straightAt : last;
  const tilt = tiltAt(eye);
  const key = (name: string) => `${isOnly ? "" : `${mount}.`}hang.${name}`;
  const placed = (at: number) => ({ at, edge: outAt(hung, at, 0), pivot: pivot(at) });
  const mm = 1 / outline.perimeter;
  return {
    figures: {
      [key("tilt")]: single("deg", tilt, isPulled ? "hang.pulled" : "hang.tilt"),
      ...(straightAt !== null && { [key("eyeAt")]: single("ratio", straightAt, "hang.straight") }),
    },
    findings: [
      ...(Math.abs(tilt) > CROOKED
        ? [
            finding(
              "hang.crooked",
              "warning",
              "hang",
              { tilt, ...(straightAt !== null && { by: alongBetween(outline, eye, straightAt) }) },
              mount,
            ),
          ]
        : []),
      ...(hung.isGuess ? [finding("hang.stone-guessed", "note", `${mount}.stone`, {}, mount)] : []),
    ],
    drawn: {
      mount,
      eyes: (isPulled ? [first, eye] : [eye]).map(placed),
      ...{ balance, mass, axis, tilt },
      weights: hung.weights.map((weight) => ({ ...weight, left: leftOf(weight.at, outline.centre, axis) })),
      left: leftOf(balance, outline.centre, axis),
      straight: straightAt === null ? null : { ...placed(straightAt), along: alongBetween(outline, eye, straightAt) },
      aside: alongBetween(outline, usual, eye),
      perMillimetre: Math.abs(tiltAt(eye + mm / 2) - tiltAt(eye - mm / 2)),
      scale: scaleRound(eye, outline.perimeter, tiltAt).map(({ at, tilt: mark }) => ({
        edge: outAt(hung, at, 0),
        out: outAt(hung, at, SCALE.out),
        tilt: mark,
      })),
    },
  };
}

/** How far a point lies to the left of the line through another along an axis that points down. */
function leftOf([x, y]: Point, [cx, cy]: Point, axis: number): number {
  const [ax, ay] = [Math.cos((axis * Math.PI) / 180), Math.sin((axis * Math.PI) / 180)];
  return (x - cx) * ay - (y - cy) * ax;
}

/** Where round the outline the tilt is a whole mark, from the eye to both sides as far as it goes on tilting one way, and no further than is of use. */
function scaleRound(eye: number, perimeter: number, tiltAt: (at: number) => number): { at: number; tilt: number }[] {
  const own = tiltAt(eye);
  const toSide = (side: 1 | -1) => {
    const marks: { at: number; tilt: number }[] = [];
    let [from, way] = [{ at: eye, tilt: own }, 0];
    for (let i = 1; i <= SCALE.places; i++) {
      const at = eye + (side * i * SCALE.reach) / SCALE.places / perimeter;
      const to = { at, tilt: tiltAt(at) };
      const grows = Math.sign(to.tilt - from.tilt);
      way ||= grows;
      if (grows !== way || Math.abs(to.tilt - own) > SCALE.degrees) break;
      marks.push(...marksBetween(from, to));
      from = to;
    }
    return marks;
  };
  return [...toSide(1), ...toSide(-1)];
}

function marksBetween(from: { readonly at: number; readonly tilt: number }, to: typeof from): { at: number; tilt: number }[] {
  const [low, high] = [Math.min(from.tilt, to.tilt), Math.max(from.tilt, to.tilt)];
  const first = Math.ceil(low / SCALE.every);
  const count = Math.max(0, Math.ceil(high / SCALE.every) - first);
  return Array.from({ length: count }, (_, n) => {
    const tilt = (first + n) * SCALE.every;
    return { tilt, at: from.at + ((to.at - from.at) * (tilt - from.tilt)) / (to.tilt - from.tilt) };
  });
}

/** mm along the outline from one place to another, the shorter way, counter-clockwise positive. */
function alongBetween({ perimeter }: Outline, from: number, to: number): number {
  const share = to - from - Math.round(to - from);
  return share * perimeter;
}
