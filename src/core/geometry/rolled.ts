import { type Point } from "./outline";

/** How far a disc may dip between two places it is rolled over (mm). */
const DIP = 2.5e-4;
/** Steps of the arcs that its middle goes round a place it touches (radians). */
const ARC_STEP = Math.PI / 90;
/** However long a curve is, no more places of it are rolled over. */
const MOST_PLACES = 200_000;

/**
 * The way that the middle of a disc of radius `d` goes as it is rolled round a closed polygon, anticlockwise, on its outside: the
 * polygon pushed out by `d`, but for bays that it rolls into and whose mouth is too narrow to let it, where it crosses itself. What wavers is passed over: a place is
 * left out as soon as a disc that touches those before and after it does not reach it, so that the work grows as the polygon is long.
 */
export function rolledRound(polygon: readonly Point[], d: number): Point[] {
  const places = laidOut(polygon, Math.sqrt(8 * DIP * d));
  const touched: number[] = [];
  for (let i = 0; i <= places.length; i++) {
    const next = i % places.length;
    while (touched.length > 1 && isPassedOver(places[touched.at(-2)!]!, places[touched.at(-1)!]!, places[next]!, d)) touched.pop();
    touched.push(next);
  }
  touched.pop();
  return wayOfMiddle(places, touched, d);
}

/** Places along the polygon, from one that every disc touches, close enough together. */
function laidOut(polygon: readonly Point[], wanted: number): Point[] {
  const n = polygon.length;
  let first = 0;
  for (let i = 1; i < n; i++) if (polygon[i]![0] > polygon[first]![0]) first = i;
  const sides = polygon.map((_, k) => {
    const [a, b] = [polygon[(first + k) % n]!, polygon[(first + k + 1) % n]!];
    return { a, b, length: Math.sqrt((b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2) };
  });
  const whole = sides.reduce((sum, { length }) => sum + length, 0);
  const step = Math.max(wanted, whole / MOST_PLACES);
  const places: Point[] = [];
  for (const { a, b, length } of sides) {
    const steps = Math.max(1, Math.ceil(length / step));
    for (let k = 0; k < steps; k++) places.push([a[0] + ((b[0] - a[0]) * k) / steps, a[1] + ((b[1] - a[1]) * k) / steps]);
  }
  return places;
}

/** The middle of the disc that touches two places from the right of the way from one to the other; null where they are too far apart. */
function middleOf([ax, ay]: Point, [bx, by]: Point, d: number): Point | null {
  const [dx, dy] = [bx - ax, by - ay];
  const squared = dx * dx + dy * dy;
  const rest = d * d - squared / 4;
  if (rest < 0 || squared === 0) return null;
  const out = Math.sqrt(rest / squared);
  return [(ax + bx) / 2 + dy * out, (ay + by) / 2 - dx * out];
}

function isPassedOver(a: Point, b: Point, c: Point, d: number): boolean {
  const middle = middleOf(a, c, d);
  return middle !== null && (b[0] - middle[0]) ** 2 + (b[1] - middle[1]) ** 2 >= d * d;
}

/** Round each place touched; straight along the side between two that follow each other. */
function wayOfMiddle(places: readonly Point[], touched: readonly number[], d: number): Point[] {
  const n = touched.length;
  const way: Point[] = [];
  const isSide = (from: number, to: number) => (from + 1) % places.length === to;
  /** The direction from a place to the disc's middle as it leaves `a` for `b`, at either. */
  const direction = (at: Point, from: number, to: number) => {
    const [a, b] = [places[from]!, places[to]!];
    const middle = isSide(from, to) ? null : middleOf(a, b, d);
    return middle ? Math.atan2(middle[1] - at[1], middle[0] - at[0]) : Math.atan2(a[0] - b[0], b[1] - a[1]);
  };
  for (let i = 0; i < n; i++) {
    const [before, here, after] = [touched[(i + n - 1) % n]!, touched[i]!, touched[(i + 1) % n]!];
    const [x, y] = places[here]!;
    const from = direction([x, y], before, here);
    const turn = direction([x, y], here, after) - from;
    const sweep = turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
    const steps = Math.max(1, Math.ceil(Math.abs(sweep) / ARC_STEP));
    // At a hollow the disc touches the other side before it has come quite to the end of this one: it goes over from where it touches both.
    const [first, last] = sweep >= 0 ? [0, steps] : isSide(before, here) ? [steps, steps] : isSide(here, after) ? [0, 0] : [0, steps];
    for (let k = first; k <= last; k++) {
      const angle = from + (sweep * k) / steps;
      way.push([x + d * Math.cos(angle), y + d * Math.sin(angle)]);
    }
  }
  return way;
}
