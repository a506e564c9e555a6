import { type Outline, type Place } from "./outline";

const known = new WeakMap<Outline, readonly Place[] | null>();
/** What a hull is shorter by before an outline counts as notched (mm). */
const NOTCHED = 1e-6;

/** Places of an outline that can lie in the way of what goes out from another; null where it has no notch, so that none does. */
function placesOf(outline: Outline): readonly Place[] | null {
  const found = known.get(outline);
  if (found !== undefined) return found;
  const places = outline.perimeter - outline.hullPerimeter > NOTCHED ? outline.stations : null;
  known.set(outline, places);
  return places;
}

/** Whether an outline has a place that its own hull bridges. */
export function isNotched(outline: Outline): boolean {
  return placesOf(outline) !== null;
}

/**
 * How far straight out of a place one can go before another place of the outline is nearer (mm): without end but in a notch, where the two flanks
 * meet. A point t along the normal n from p is as near to q where t = |q - p|^2 / (2 n (q - p)).
 */
export function clearOut(outline: Outline, { x, y, nx, ny }: Pick<Place, "x" | "y" | "nx" | "ny">): number {
  let least = Infinity;
  for (const q of placesOf(outline) ?? []) {
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
  if (placesOf(outline) === null) return { from, to };
  const isClear = (at: number) => clearOut(outline, outline.stationAt(at)) >= out;
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
