import { tolerance } from "../measure/tolerances";
import { type Outline, withinOne } from "./outline";

/** The place of an outline that faces furthest along a direction (radians from +x): of a flat side its middle. */
export function facing({ stations }: Outline, direction: number): number {
  const [dx, dy] = [Math.cos(direction), Math.sin(direction)];
  const reach = stations.map(({ x, y }) => x * dx + y * dy);
  let most = -Infinity;
  for (const each of reach) if (each > most) most = each;
  const places = stations.filter((_, i) => most - reach[i]! < tolerance.sameLength);
  const first = places[0]!.at;
  const across = places.map(({ at }) => (at - first > 0.5 ? at - 1 : at));
  const middle = (Math.min(...across) + Math.max(...across)) / 2;
  return withinOne(middle);
}
