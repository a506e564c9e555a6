import { type HeatBody } from "./body";
import { type BodyJoint } from "./body-joints";
import { Conduction } from "./conduction";
import { expOfMinus } from "./exponential";
import { type FluxStage, FluxAt } from "./flux";
import { BETWEEN, EMISSIVITY, INTO_GRIP, INTO_SUPPORT, ROOM, STAINS, lossFrom } from "./materials";
import { JointSolder } from "./solder-run";
import { METALS } from "../metal/metals";
import { THROUGH_MESH, type TorchMoment, powerOf } from "./torch";

/** ms of a step, and steps from one look at flux, solder and damage to the next. */
export const STEP_MS = 5;
const STEPS_A_LOOK = 4;
const STEP = STEP_MS / 1000;
const LOOK = STEP * STEPS_A_LOOK;
/** Seconds over its solidus after which a place is lost. */
const LOST_AFTER = 0.5;

export type TorchAct = "flux" | "quench" | "clean";

/** J since the start: what the flame brought, what went to air, room, support and water. */
export interface Energy {
  in: number;
  lost: number;
}

/** What a joint that was made before has gone through. */
export interface Disturbed {
  /** Seconds for which it was soft, and whether it has run. */
  soft: number;
  hasRun: boolean;
}

/**
 * A body under a flame (section 13 of the formulas), stepped in fixed steps of 5 ms. What the flame brings and what is lost is added at each step; heat
 * flows along rows and lines, then along columns, implicitly; then between parts that touch, pair by pair, each pair exactly. Only + - x / and square
 * roots: the same flame gives the same to the bit everywhere. A step allocates nothing.
 */
export class PractisedHeat {
  readonly temperatures: Float64Array;
  readonly energy: Energy = { in: 0, lost: 0 };
  readonly flux: readonly FluxAt[][];
  readonly solder: readonly JointSolder[];
  readonly disturbed: readonly Disturbed[];
  /** By part: whether a place of it has melted. */
  readonly lost: boolean[];
  steps = 0;

  private readonly arrives: Float64Array;
  private readonly emissivity: Float64Array;
  private readonly bareFor: Float64Array;
  private readonly overFor: Float64Array;
  private readonly fluxedBits: Uint8Array;
  private readonly rows: Conduction;
  private readonly columns: Conduction;
  /** Pairs of bits that touch, W/K between them, by joint and place; those of lines that are closed already are none. */
  private readonly pairs: {
    readonly a: Int32Array;
    readonly b: Int32Array;
    readonly area: Float64Array;
    readonly conductance: Float64Array;
  };
  private readonly firstPair: Int32Array[];
  private torch: TorchMoment | null = null;
  private arriving = 0;
  /** W that it lost in the last step. */
  losing = 0;

  constructor(readonly body: HeatBody) {
    const count = body.x.length;
    this.temperatures = new Float64Array(count).fill(ROOM);
    this.arrives = new Float64Array(count);
    this.emissivity = new Float64Array(count).fill(EMISSIVITY.bright);
    this.bareFor = new Float64Array(count);
    this.overFor = new Float64Array(count);
    this.fluxedBits = new Uint8Array(count);
    this.rows = new Conduction(body.rows, body.capacity, STEP);
    this.columns = new Conduction(body.columns, body.capacity, STEP);
    this.flux = body.joints.map(({ isWanted, isFused, places }) => (isWanted && !isFused ? places.map(() => new FluxAt()) : []));
    this.solder = body.joints.map((joint) => new JointSolder(joint));
    this.disturbed = body.joints.map(() => ({ soft: 0, hasRun: false }));
    this.lost = body.parts.map(() => false);
    const pairs: [number, number, number][] = [];
    this.firstPair = body.joints.map(({ places, isTied }) =>
      Int32Array.from(
        places.map(({ sides, area }) => {
          const first = pairs.length;
          if (!isTied) for (let k = 1; k < sides.length; k++) pairs.push([sides[0]!, sides[k]!, area / (sides.length - 1)]);
          return first;
        }),
      ),
    );
    this.pairs = {
      a: Int32Array.from(pairs, ([a]) => a),
      b: Int32Array.from(pairs, ([, b]) => b),
      area: Float64Array.from(pairs, ([, , area]) => area),
      conductance: new Float64Array(pairs.length),
    };
    this.doFlux();
    this.tie();
  }

  get seconds(): number {
    return this.steps * STEP;
  }

  /** J in the metal beyond what it held at the start. */
  get stored(): number {
    let sum = 0;
    for (let i = 0; i < this.temperatures.length; i++) sum += this.body.capacity[i]! * (this.temperatures[i]! - ROOM);
    return sum;
  }

  /** The flame from now on. */
  setTorch(torch: TorchMoment): void {
    this.torch = torch;
    this.arriving = arrivingAt(this.body, torch, this.arrives);
  }

  get torchNow(): TorchMoment | null {
    return this.torch;
  }

  act(act: TorchAct): void {
    if (act !== "flux") this.quench();
    if (act === "clean") {
      for (const places of this.flux) for (const place of places) place.clean();
      for (const joint of this.solder) joint.layAnew();
      this.fluxedBits.fill(0);
      this.emissivity.fill(EMISSIVITY.bright);
      this.bareFor.fill(0);
    }
    if (act === "flux") this.doFlux();
    this.tie();
  }

  /** All of it at once at a temperature: what a check begins with. */
  holdAt(celsius: number): void {
    this.temperatures.fill(celsius);
  }

  private quench(): void {
    this.energy.lost += this.stored;
    this.temperatures.fill(ROOM);
  }

  private doFlux(): void {
    this.body.joints.forEach((joint, j) => {
      this.flux[j]!.forEach((place, p) => {
        place.flux(this.coolestAt(joint, p), this.hottestAt(joint, p));
        for (const bit of joint.places[p]!.sides) this.coverBit(bit);
      });
    });
  }

  private coverBit(bit: number): void {
    this.fluxedBits[bit] = 1;
    this.emissivity[bit] = EMISSIVITY.fluxed;
  }

  /** The temperature of a joint's coolest side at a place. */
  coolestAt({ places }: BodyJoint, place: number): number {
    const { sides } = places[place]!;
    let least = this.temperatures[sides[0]!]!;
    for (let k = 1; k < sides.length; k++) least = Math.min(least, this.temperatures[sides[k]!]!);
    return least;
  }

  /** And of its hottest one. */
  hottestAt({ places }: BodyJoint, place: number): number {
    const { sides } = places[place]!;
    let most = this.temperatures[sides[0]!]!;
    for (let k = 1; k < sides.length; k++) most = Math.max(most, this.temperatures[sides[k]!]!);
    return most;
  }

  step(): void {
    this.exchange();
    this.rows.step(this.temperatures);
    this.columns.step(this.temperatures);
    this.meet();
    this.steps++;
    if (this.steps % STEPS_A_LOOK === 0) this.look();
  }

  /** What arrives, less what is lost. */
  private exchange(): void {
    const { temperatures, arrives, emissivity } = this;
    const { bare, under, capacity, support, grip } = this.body;
    const into = support === "hand" ? null : INTO_SUPPORT[support];
    let lost = 0;
    for (let i = 0; i < temperatures.length; i++) {
      const t = temperatures[i]!;
      const face = lossFrom(t, emissivity[i]!);
      const loses = (face * bare[i]! + (into === null ? face : into * (t - ROOM)) * under[i]!) * 1e-6;
      lost += loses;
      temperatures[i] = t + ((arrives[i]! - loses) * STEP) / capacity[i]!;
    }
    if (grip !== null) {
      const loses = INTO_GRIP * (temperatures[grip]! - ROOM);
      lost += loses;
      temperatures[grip] = temperatures[grip]! - (loses * STEP) / capacity[grip]!;
    }
    this.energy.in += this.arriving * STEP;
    this.energy.lost += lost * STEP;
    this.losing = lost;
  }

  /** Heat between parts that touch: two bits come nearer by what an implicit step of the pair alone gives. */
  private meet(): void {
    const { a, b, conductance } = this.pairs;
    const { capacity } = this.body;
    const { temperatures } = this;
    for (let k = 0; k < a.length; k++) {
      const i = a[k]!;
      const j = b[k]!;
      const g = conductance[k]! * STEP;
      const flows = (g * (temperatures[i]! - temperatures[j]!)) / (1 + g * (1 / capacity[i]! + 1 / capacity[j]!));
      temperatures[i] = temperatures[i]! - flows / capacity[i]!;
      temperatures[j] = temperatures[j]! + flows / capacity[j]!;
    }
  }

  /** Flux, solder, what softens and what melts. */
  private look(): void {
    const { body, temperatures } = this;
    let hasChanged = false;
    for (let j = 0; j < body.joints.length; j++) {
      const joint = body.joints[j]!;
      const flux = this.flux[j]!;
      for (let p = 0; p < flux.length; p++) {
        hasChanged = flux[p]!.heat(this.coolestAt(joint, p), this.hottestAt(joint, p), LOOK) || hasChanged;
      }
      if (joint.isWanted) hasChanged = this.solder[j]!.heat(this, j) || hasChanged;
      else this.disturb(j);
    }
    if (hasChanged) this.tie();
    for (let i = 0; i < temperatures.length; i++) {
      const t = temperatures[i]!;
      if (t > body.solidus[i]!) {
        this.overFor[i] = this.overFor[i]! + LOOK;
        if (this.overFor[i]! > LOST_AFTER) this.lost[body.partOf[i]!] = true;
      } else this.overFor[i] = 0;
      if (t <= STAINS.over || this.fluxedBits[i] === 1 || this.bareFor[i]! > STAINS.after) continue;
      this.bareFor[i] = this.bareFor[i]! + LOOK;
      if (this.bareFor[i]! > STAINS.after && METALS[body.parts[body.partOf[i]!]!.metal].firestains) this.emissivity[i] = EMISSIVITY.stained;
    }
  }

  private disturb(j: number): void {
    const joint = this.body.joints[j]!;
    if (joint.isShielded) return;
    const state = this.disturbed[j]!;
    let most = 0;
    for (let p = 0; p < joint.places.length; p++) {
      most = Math.max(most, (this.coolestAt(joint, p) + this.hottestAt(joint, p)) / 2);
    }
    if (most >= joint.runs) state.hasRun = true;
    else if (most > joint.softens) state.soft += LOOK;
  }

  /** W/K of each place as it is now: soldered, with clear flux, or dry. */
  private tie(): void {
    const { area, conductance } = this.pairs;
    this.body.joints.forEach(({ places, isWanted, isTied }, j) => {
      if (isTied) return;
      for (let p = 0; p < places.length; p++) {
        const isMade = !isWanted || this.solder[j]!.isMadeAt(p);
        const per = isMade ? BETWEEN.soldered : this.flux[j]![p]?.isFilm ? BETWEEN.fluxed : BETWEEN.dry;
        const first = this.firstPair[j]![p]!;
        for (let k = 0; k < places[p]!.sides.length - 1; k++) conductance[first + k] = per * area[first + k]! * 1e-6;
      }
    });
  }

  /** The stage of flux at a place of a joint; null where it takes none. */
  fluxAt(joint: number, place: number): FluxStage | null {
    return this.flux[joint]![place]?.stage ?? null;
  }
}

/** W that arrive at each bit from a flame, into `arrives`: of a plane by its grid's lines, of which each is worked out once. Gives their sum. */
export function arrivingAt(body: HeatBody, torch: TorchMoment, arrives: Float64Array): number {
  arrives.fill(0);
  const reach = torch.isBelow ? (body.support === "mesh" ? THROUGH_MESH : 0) : 1;
  if (!torch.isOn || reach === 0) return 0;
  const spread = 2 * torch.size * torch.size;
  const middle = (reach * powerOf(torch.size, torch.distance)) / (Math.PI * spread);
  const faces = torch.isBelow ? body.below : body.above;
  let sum = 0;
  for (const { grid, from, to } of body.parts) {
    if (!grid) {
      for (let i = from; i < to; i++) {
        const [dx, dy] = [body.x[i]! - torch.x, body.y[i]! - torch.y];
        arrives[i] = middle * faces[i]! * expOfMinus((dx * dx + dy * dy) / spread) * awayFrom(body.depth[i]!, spread);
        sum += arrives[i]!;
      }
      continue;
    }
    for (let i = 0; i < grid.wide; i++) {
      const dx = grid.left + (i + 0.5) * grid.spacing - torch.x;
      ALONG[i] = expOfMinus((dx * dx) / spread);
    }
    for (let j = 0; j < grid.tall; j++) {
      const dy = grid.low + (j + 0.5) * grid.spacing - torch.y;
      const across = middle * expOfMinus((dy * dy) / spread);
      for (let i = 0; i < grid.wide; i++) {
        const bit = grid.bits[j * grid.wide + i]!;
        if (bit < 0) continue;
        arrives[bit] = across * ALONG[i]! * faces[bit]!;
        sum += arrives[bit];
      }
    }
  }
  return sum;
}

/** What of a flame on the middle of a depth reaches the whole of it: the mean of its heat at the middles of five parts. */
function awayFrom(depth: number, spread: number): number {
  if (depth === 0) return 1;
  const part = (depth * depth) / 25 / spread;
  return (1 + 2 * expOfMinus(part) + 2 * expOfMinus(4 * part)) / 5;
}

/** As many columns as any plane has: the longest side there is, in the smallest cells. */
const ALONG = new Float64Array(4096);
