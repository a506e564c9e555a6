import { type Outline, type Point, type Station } from "../geometry/outline";
import { facing } from "../geometry/facing";
import { type Figures, single } from "../measure/figure";
import { type Finding, finding } from "../measure/finding";
import { tolerance } from "../measure/tolerances";
import { type Hung, type Weight } from "../mount/weights";
import { type Bail, type Hanging } from "./bail";
import { flattened } from "../geometry/curve";
import { isNotched } from "../geometry/clearance";
import { foldedCorners } from "../mount/seam";
import { type BailKind } from "./kinds/kind";
import { type Spot, balanceOf, halfArc, pointAt, restOf, straightFrom, tiltBetween, wayOut } from "./hang";

/** It hangs crooked beyond so many degrees. */
const CROOKED = 3;

/** A setting as it hangs, in its own plane: mm, degrees. */
export interface DrawnHang {
  readonly mount: string;
  /** Where it is hung up, on its edge; of a connector both. */
  readonly eyes: readonly DrawnEye[];
  /** The outline that its eyes go round: its length (mm), and places on it. */
  readonly perimeter: number;
  readonly places: readonly Station[];
  readonly balance: Point;
  readonly mass: number;
  /** Each with how far it lies to the left of the axis through the stone's middle, as it hangs (mm). */
  readonly weights: readonly (Weight & { readonly left: number })[];
  readonly left: number;
  /** Degrees from +x: what should point down, and how far from it it hangs. */
  readonly axis: number;
  readonly tilt: number;
  /** From where it hangs straight; null where it does not from anywhere. */
  readonly straight: (DrawnEye & { readonly along: number }) | null;
  /** mm along the edge from what would be its top to the eye, anticlockwise. */
  readonly aside: number;
  /** Degrees that a millimetre along the edge tilts it by. */
  readonly perMillimetre: number;
  /** Whole degrees of tilt where they lie along its edge, and straight out from it. */
  readonly scale: readonly { readonly edge: Point; readonly out: Point; readonly tilt: number }[];
  /** The points of the outline, which an eye can be turned round: degrees to each side of the middle of each. */
  readonly points: readonly {
    readonly at: number;
    readonly x: number;
    readonly y: number;
    readonly middle: number;
    readonly half: number;
  }[];
}

/** Where something is hung up. */
export interface DrawnEye extends Spot {
  /** Where what it hangs by stands on the edge. */
  readonly edge: Point;
  readonly pivot: Point;
  /** Whether it lies against both flanks of a notch. */
  readonly isBetween: boolean;
  /** At a point of the outline: how far it can be turned there, to each side (degrees); else null. */
  readonly half: number | null;
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
  kind: Pick<BailKind, "pastEdge" | "restsBy">,
  isOnly: boolean,
): { readonly figures: Figures; readonly findings: readonly Finding[]; readonly drawn: DrawnHang } {
  const { outline } = hung;
  const { axis } = bail;
  const { at: balance, mass } = balanceOf(hung.weights);
  const asked = bail.eyes.filter((eye) => eye.mount === mount);
  const usual: Spot = { at: facing(outline, ((axis + 180) * Math.PI) / 180), turn: 0 };
  const chosen = asked.map(({ at, turn }): Spot => ({ at: at ?? usual.at, turn }));
  const placed = placedOn(hung, kind.restsBy(bail), kind.pastEdge(bail));
  const pivot = (spot: Spot) => placed(spot).pivot;
  const [first = usual, last = first] = [chosen[0], chosen[1]];
  const isPulled = chosen.length > 1;
  const pulledFrom = pivot(first);
  const tiltAt = (spot: Spot) => (isPulled ? tiltBetween(pulledFrom, pivot(spot), axis) : tiltBetween(pivot(spot), balance, axis));
  const straight = straightFrom(tiltAt, last.at, outline);
  const isFree = asked.length > 0 && asked.at(-1)!.at === null;
  const eye = isFree && straight !== null ? straight : last;
  const tilt = tiltAt(eye);
  const key = (name: string) => `${isOnly ? "" : `${mount}.`}hang.${name}`;
  const tiltFrom = (at: number) => tiltAt({ at, turn: 0 });
  const mm = 1 / outline.perimeter;
  return {
    figures: {
      [key("tilt")]: single("deg", tilt, isPulled ? "hang.pulled" : "hang.tilt"),
      ...(straight !== null && { [key("eyeAt")]: single("ratio", straight.at, "hang.straight") }),
      ...(straight !== null && pointAt(outline, straight.at) && { [key("eyeTurn")]: single("deg", straight.turn, "hang.straight") }),
    },
    findings: [
      ...chosen.flatMap(({ at, turn }) => turnFinding(hung, at, turn, mount)),
      ...(Math.abs(tilt) > CROOKED
        ? [finding("hang.crooked", "warning", "hang", { tilt, ...(straight !== null && straightened(hung, eye, straight)) }, mount)]
        : []),
      ...(hung.isGuess ? [finding("hang.stone-guessed", "note", `${mount}.stone`, {}, mount)] : []),
    ],
    drawn: {
      mount,
      eyes: (isPulled ? [first, eye] : [eye]).map(placed),
      perimeter: outline.perimeter,
      places: outline.stations,
      ...{ balance, mass, axis, tilt },
      weights: hung.weights.map((weight) => ({ ...weight, left: leftOf(weight.at, outline.centre, axis) })),
      left: leftOf(balance, outline.centre, axis),
      straight: straight === null ? null : { ...placed(straight), along: alongBetween(outline, eye.at, straight.at) },
      aside: alongBetween(outline, usual.at, eye.at),
      perMillimetre: Math.abs(tiltFrom(eye.at + mm / 2) - tiltFrom(eye.at - mm / 2)),
      scale: scaleRound(eye.at, outline.perimeter, tiltFrom).map(({ at, tilt: mark }) => ({
        edge: outAt(hung, at, 0),
        out: outAt(hung, at, SCALE.out),
        tilt: mark,
      })),
      points: foldedCorners(outline)
        .filter(({ turn }) => turn > 0)
        .map((point) => ({
          ...{ at: point.at, x: point.x, y: point.y, half: halfArc(point) },
          middle: (Math.atan2(point.ny, point.nx) * 180) / Math.PI,
        })),
    },
  };
}

/** How closely an edge is followed (mm). */
const DRAWN = 0.01;

/** Where an eye comes to lie: straight out of the edge; what is round lies in a notch as deep as its flanks let it. */
function placedOn(hung: Hung, rests: number | null, pastEdge: number): (spot: Spot) => DrawnEye {
  const { outline, edge } = hung;
  const flanks = rests !== null && isNotched(outline) ? flattened(edge.loop.curve(), DRAWN) : null;
  return (spot) => {
    const out = wayOut(hung, spot);
    const { foot, isBetween } = flanks ? restOf(flanks, out, rests!) : { foot: out.from, isBetween: false };
    const point = pointAt(outline, spot.at);
    const [nx, ny] = out.way;
    return { ...spot, edge: foot, pivot: [foot[0] + nx * pastEdge, foot[1] + ny * pastEdge], isBetween, half: point && halfArc(point) };
  };
}

function outAt(hung: Hung, at: number, past: number): Point {
  const { from, way } = wayOut(hung, { at, turn: 0 });
  return [from[0] + way[0] * past, from[1] + way[1] * past];
}

/** What is turned further than the arc of its point goes, or where there is no point, stands where it ends. */
function turnFinding({ outline }: Hung, at: number, turn: number, mount: string): Finding[] {
  const point = pointAt(outline, at);
  const most = point ? halfArc(point) : 0;
  return Math.abs(turn) > most + tolerance.seen ? [finding("hang.turned-past", "warning", "hang", { turn, most }, mount)] : [];
}

/** What puts it straight: so far along the edge, or on the point that it stands at so many degrees round. */
function straightened({ outline }: Hung, eye: Spot, straight: Spot): Readonly<Record<string, number>> {
  const by = alongBetween(outline, eye.at, straight.at);
  return Math.abs(by) < tolerance.seen ? { turn: straight.turn - eye.turn } : { by };
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

/** mm along the outline from one place to another, the shorter way, anticlockwise positive. */
function alongBetween({ perimeter }: Outline, from: number, to: number): number {
  const share = to - from - Math.round(to - from);
  return share * perimeter;
}
