import { type HeatBody } from "./body";
import { PractisedHeat, STEP_MS, type TorchAct } from "./heat";
import { type Outcome, evennessOf, isAllMade, isOver, outcomeOf } from "./outcome";
import { type TorchMoment } from "./torch";

/** A heat that is not over by then is ended (seconds). */
export const MOST_SECONDS = 240;

export interface ActAt {
  readonly ms: number;
  readonly do: TorchAct;
}

/** A flame as it was moved, and what was done beside; each moment holds until the next. In order of time. */
export interface Flame {
  readonly flame: readonly TorchMoment[];
  readonly acts: readonly ActAt[];
}

/** Temperatures of a part through a heat, every so many ms. */
export interface PartCourse {
  readonly part: string;
  /** g */
  readonly mass: number;
  readonly mean: readonly number[];
  readonly least: readonly number[];
  readonly most: readonly number[];
}

export interface Course {
  readonly every: number;
  readonly parts: readonly PartCourse[];
  readonly energy: { readonly in: number; readonly lost: number; readonly stored: number };
  readonly outcome: Outcome;
}

/** One play of a heat, a step at a time: what the screen, a file and the careful hand share, so that the same flame always comes to the same. */
export class Playing {
  readonly heat: PractisedHeat;
  evenness: number | null = null;

  constructor(body: HeatBody) {
    this.heat = new PractisedHeat(body);
  }

  get ms(): number {
    return this.heat.steps * STEP_MS;
  }

  get isOver(): boolean {
    return this.heat.seconds >= MOST_SECONDS || isOver(this.heat);
  }

  step(): void {
    this.heat.step();
    if (this.evenness === null && isAllMade(this.heat)) this.evenness = evennessOf(this.heat);
  }

  outcome(): Outcome {
    return outcomeOf(this.heat, this.evenness);
  }
}

/** ms between two temperatures of a course. */
const EVERY = 500;

/** Plays a flame to where the heat is over, or the flame's last moment takes it away. */
export function played(body: HeatBody, { flame, acts }: Flame): Course {
  const playing = new Playing(body);
  const courses = body.parts.map(() => ({ mean: [] as number[], least: [] as number[], most: [] as number[] }));
  let [moment, act] = [0, 0];
  const isTakenAway = () => moment === flame.length && act === acts.length && (flame.at(-1)?.isOn ?? false) === false;
  for (;;) {
    while (act < acts.length && acts[act]!.ms <= playing.ms) playing.heat.act(acts[act++]!.do);
    while (moment < flame.length && flame[moment]!.ms <= playing.ms) playing.heat.setTorch(flame[moment++]!);
    if (playing.ms % EVERY === 0) record(playing.heat, courses);
    if (playing.isOver || isTakenAway()) break;
    playing.step();
  }
  const { energy, stored } = playing.heat;
  return {
    every: EVERY,
    parts: body.parts.map(({ id, mass }, p) => ({ part: id, mass, ...courses[p]! })),
    energy: { ...energy, stored },
    outcome: playing.outcome(),
  };
}

function record(heat: PractisedHeat, courses: readonly { mean: number[]; least: number[]; most: number[] }[]): void {
  heat.body.parts.forEach((_, p) => {
    const { mean, least, most } = partNow(heat, p);
    courses[p]!.mean.push(mean);
    courses[p]!.least.push(least);
    courses[p]!.most.push(most);
  });
}

/** How hot a part is: all of it together, its coolest and its hottest place. */
export function partNow(
  { body, temperatures }: PractisedHeat,
  part: number,
): { readonly mean: number; readonly least: number; readonly most: number } {
  const { from, to } = body.parts[part]!;
  let [sum, capacity, least, most] = [0, 0, Infinity, -Infinity];
  for (let i = from; i < to; i++) {
    const t = temperatures[i]!;
    sum += t * body.capacity[i]!;
    capacity += body.capacity[i]!;
    least = Math.min(least, t);
    most = Math.max(most, t);
  }
  return { mean: sum / capacity, least, most };
}
