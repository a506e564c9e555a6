import { type Assembly } from "../joint/joint";
import { type BestHeats } from "./best";
import { type HeatWishes } from "./problem";

const MOST_REMEMBERED = 500;

/** What the best heats depend on: joints and metals, not sizes. Pieces that differ in their measures alone share it. */
function keyOf({ parts, joints }: Assembly, { shelf, way, overshoot, pins }: HeatWishes): string {
  return JSON.stringify([
    parts.map(({ id, metal }) => [id, metal]),
    joints.map(({ id, parts, after, hold }) => [id, parts, after, hold ?? null]),
    shelf.grades.map(({ id, rank, gives, runs }) => [id, rank, gives, runs]),
    way,
    overshoot,
    pins,
  ]);
}

const jointsKey = ({ joints }: Assembly) => joints.map(({ id }) => id).join(" ");

/** Best heats by what they depend on; the oldest are forgotten. */
export class RememberedHeats {
  private readonly known = new Map<string, BestHeats>();
  private readonly latest = new Map<string, BestHeats>();

  find(assembly: Assembly, wishes: HeatWishes): BestHeats | null {
    return this.known.get(keyOf(assembly, wishes)) ?? null;
  }

  /** The last kept for the same joints, whatever their metals and the wishes. */
  lastFor(assembly: Assembly): BestHeats | null {
    return this.latest.get(jointsKey(assembly)) ?? null;
  }

  keep(assembly: Assembly, wishes: HeatWishes, best: BestHeats): BestHeats {
    put(this.known, keyOf(assembly, wishes), best);
    put(this.latest, jointsKey(assembly), best);
    return best;
  }
}

function put<T>(map: Map<string, T>, key: string, value: T): void {
  map.delete(key);
  map.set(key, value);
  if (map.size > MOST_REMEMBERED) map.delete(map.keys().next().value!);
}
