import { type Outline, type Place } from "./outline";

/** Places of an outline by the square that they lie in, so that those near a point are found without all others. */
interface Squares {
  readonly left: number;
  readonly low: number;
  readonly wide: number;
  readonly tall: number;
  /** Row by row from the low side. */
  readonly places: readonly (readonly Place[])[];
}

const known = new WeakMap<Outline, Squares | null>();
/** What a hull is shorter by before an outline counts as notched (mm). */
const NOTCHED = 1e-6;
/** Side of a square (mm), and how many there are along an outline's box at most. */
const SIDE = 0.5;
const MOST_SQUARES = 400;

/** Places of an outline that can lie in the way of what goes out from another; null where it has no notch, so that none does. */
function squaresOf(outline: Outline): Squares | null {
  const found = known.get(outline);
  if (found !== undefined) return found;
  const squares = outline.perimeter - outline.hullPerimeter > NOTCHED ? squared(outline.stations) : null;
  known.set(outline, squares);
  return squares;
}

function squared(stations: readonly Place[]): Squares {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of stations) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  const [wide, tall] = [right - left, high - low].map((long) => Math.min(MOST_SQUARES, 1 + Math.floor(long / SIDE))) as [number, number];
  const places = Array.from({ length: wide * tall }, (): Place[] => []);
  for (const place of stations) {
    const [i, j] = [squareAlong(place.x - left, wide), squareAlong(place.y - low, tall)];
    places[j * wide + i]!.push(place);
  }
  return { left, low, wide, tall, places };
}

/** Which of so many squares in a row; what lies past the last is in it. */
function squareAlong(mm: number, count: number): number {
  return Math.max(0, Math.min(count - 1, Math.floor(mm / SIDE)));
}

/** Whether an outline has a place that its own hull bridges. */
export function isNotched(outline: Outline): boolean {
  return squaresOf(outline) !== null;
}

/**
 * How far straight out of a place one can go, up to so many mm, before another place of the outline is nearer: as far as that but in a notch, where the
 * two flanks meet. A point t along the normal n from p is as near to q where t = |q - p|^2 / (2 n (q - p)), so that only places within 2 t count.
 */
export function clearOut(outline: Outline, { x, y, nx, ny }: Pick<Place, "x" | "y" | "nx" | "ny">, most: number): number {
  const squares = squaresOf(outline);
  if (!squares) return most;
  const { left, low, wide, tall, places } = squares;
  const reach = 2 * most + SIDE;
  const [fromI, toI] = [squareAlong(x - left - reach, wide), squareAlong(x - left + reach, wide)];
  const [fromJ, toJ] = [squareAlong(y - low - reach, tall), squareAlong(y - low + reach, tall)];
  let least = most;
  for (let j = fromJ; j <= toJ; j++)
    for (let i = fromI; i <= toI; i++)
      for (const q of places[j * wide + i]!) {
        const [dx, dy] = [q.x - x, q.y - y];
        const ahead = nx * dx + ny * dy;
        if (ahead <= 1e-9) continue;
        const t = (dx * dx + dy * dy) / (2 * ahead);
        if (t < least) least = t;
      }
  return least;
}

/** Steps in which a stretch is looked along, and halvings of the last of them. */
const STEPS = 48;
const HALVINGS = 24;

/**
 * The part of a stretch, by its ends as shares of the outline, that a line so far out still follows: what the flanks of a notch leave of it. null
 * where none of it is left.
 */
export function clearPart(
  outline: Outline,
  { from, to }: { readonly from: number; readonly to: number },
  out: number,
): { readonly from: number; readonly to: number } | null {
  if (!isNotched(outline)) return { from, to };
  const isClear = (at: number) => clearOut(outline, outline.stationAt(at), out) >= out;
  const places = Array.from({ length: STEPS + 1 }, (_, i) => from + ((to - from) * i) / STEPS);
  const clear = places.map(isClear);
  const [first, last] = [clear.indexOf(true), clear.lastIndexOf(true)];
  if (first < 0) return null;
  const edge = (inside: number, outside: number) => {
    let [good, bad] = [inside, outside];
    for (let n = 0; n < HALVINGS; n++) {
      const middle = (good + bad) / 2;
      if (isClear(middle)) good = middle;
      else bad = middle;
    }
    return good;
  };
  return {
    from: first === 0 ? from : edge(places[first]!, places[first - 1]!),
    to: last === STEPS ? to : edge(places[last]!, places[last + 1]!),
  };
}
