import { arrivingAt, type PractisedHeat } from "./heat";
import { type HeatBody } from "./body";
import { EMISSIVITY, lossFrom } from "./materials";
import { Playing, type Flame } from "./play";
import { isDecided } from "./outcome";
import { LEAST_SIZE, MOST_DISTANCE, MOST_SIZE, type TorchMoment, USUAL_TOWARD, bestDistance, distanceFor, powerOf } from "./torch";

/** ms from one look to the next. */
const LOOKS = 100;
/** mm that it moves between two looks at most. */
const MOST_MOVED = 5;
/** Degrees a second that a body is brought up by, and seconds in which it nears the end. */
const RISE = 35;
const NEARS_IN = 1.2;
/** Places tried at each look. */
const TRIED = 24;
/** Times what a body loses at working heat that its flame brings. */
const SPARE = 1.3;
/** With less than this share of its flame wanted it takes a smaller one. */
const LITTLE = 0.5;
/** Degrees that the flame is put ahead of what is joined. */
const AHEAD = 4;
/** Degrees under the solder's flow at which it waits for a side that lags by more than so many. */
const WAITS = 12;
const MOST_APART = 20;
/** Degrees that it keeps from what melts or opens, and above the solder's flow. */
const CLEAR = 2;
const PAST_FLOW = 30;
/** Where a joint made before would hold it nearer to the flow than this, the plan says that it softens. */
const LEAST_PAST = 3;

/**
 * The careful hand: at each look it puts the flame where heat is most wanting, by what each part takes up (section 7 of the formulas), as strong as brings
 * the hottest place no further than it may come. It sees the heat, as nobody does.
 */
export function carefulHand(body: HeatBody): Flame {
  const playing = new Playing(body);
  const hand = new Hand(body);
  const flame: TorchMoment[] = [];
  while (!playing.isOver) {
    if (playing.ms % LOOKS === 0) {
      const next = hand.next(playing.heat, playing.ms);
      flame.push(next);
      playing.heat.setTorch(next);
    }
    if (!playing.isOver) playing.step();
  }
  return { flame, acts: [] };
}

/** W that reach each bit from a flame at a place, and all of them. */
interface Reach {
  readonly arrives: Float64Array;
  readonly sum: number;
}

/** Where it holds the flame next. */
export class Hand {
  private readonly places: readonly { readonly x: number; readonly y: number; readonly isBelow: boolean }[];
  /** What reaches each bit from each of the places, for a flame of one size: it does not change with the heat. */
  private reached: { readonly size: number; readonly from: readonly Reach[] } | null = null;
  private readonly arrives: Float64Array;
  private readonly most: Float64Array;
  private size: number;
  private readonly largest: number;
  /** Degrees C at which the heat's solder flows. */
  private readonly runs: number;
  /** J/K of all of it. */
  private readonly capacity: number;
  /** By bit: how much it counts, less the further it lies from what is joined. */
  private readonly counts: Float64Array;
  private readonly wants: Float64Array;
  private readonly joined: readonly number[];
  /** W that reach the body at most: a flame that reaches much less of it is worth less. */
  private reaches = 0;
  private at: { x: number; y: number; isBelow: boolean } | null = null;

  constructor(private readonly body: HeatBody) {
    const { length } = body.x;
    this.arrives = new Float64Array(length);
    this.wants = new Float64Array(length);
    this.most = mostOf(body);
    this.capacity = body.capacity.reduce((all, each) => all + each, 0);
    this.joined = body.joints.flatMap(({ isWanted, places }) => (isWanted ? places.flatMap(({ sides }) => sides) : []));
    this.runs = Math.max(...body.joints.filter(({ isWanted }) => isWanted).map(({ runs }) => runs));
    this.counts = countsOf(body, this.joined);
    const every = Math.max(1, Math.floor(length / TRIED));
    const tried = [
      ...Array.from({ length: Math.ceil(length / every) }, (_, i) => i * every),
      ...this.joined.filter((_, i) => i % Math.max(1, Math.floor(this.joined.length / (TRIED / 2))) === 0),
    ];
    const sides = body.support === "mesh" ? [false, true] : [false];
    this.places = sides.flatMap((isBelow) => tried.map((bit) => ({ x: body.x[bit]!, y: body.y[bit]!, isBelow })));
    this.largest = this.sizeWanted();
    this.size = this.largest;
  }

  /** The smallest flame that brings a body up as fast as is wished, and holds it at working heat; the strongest where none does. */
  private sizeWanted(): number {
    const { body } = this;
    let loses = 0;
    for (let i = 0; i < body.bare.length; i++) loses += lossFrom(body.working, EMISSIVITY.fluxed) * (body.bare[i]! + body.under[i]!) * 1e-6;
    const wanted = SPARE * loses + this.capacity * RISE;
    let [best, found] = [0, LEAST_SIZE as number];
    const above = this.places.filter(({ isBelow }) => !isBelow);
    for (let size: number = LEAST_SIZE; size <= MOST_SIZE; size += 0.5) {
      const reach = above.map(({ x, y }) => arrivingAt(body, { ...AT_FIRST, x, y, size, distance: bestDistance(size) }, this.arrives));
      const mean = reach.reduce((all, each) => all + each, 0) / reach.length;
      if (mean > best) [best, found] = [mean, size];
      this.reaches = best / 2;
      if (mean >= wanted) break;
    }
    return found;
  }

  /** Taken away as soon as it is decided. */
  next(heat: PractisedHeat, ms: number): TorchMoment {
    const { body } = this;
    if (isDecided(heat)) return { ...this.moment(ms, this.at?.x ?? 0, this.at?.y ?? 0, false, MOST_DISTANCE), isOn: false };
    const wanting = this.wanting(heat);
    const reaches = (this.reaches * powerOf(this.size, 0)) / powerOf(this.largest, 0);
    let [best, found] = [-Infinity, { x: 0, y: 0, isBelow: false }];
    this.reaching().forEach(({ sum, arrives }, p) => {
      let good = 0;
      for (let i = 0; i < wanting.length; i++) good += arrives[i]! * wanting[i]!;
      const worth = good / (sum + reaches);
      if (sum > 0 && worth > best) [best, found] = [worth, this.places[p]!];
    });
    this.at = this.at && this.at.isBelow === found.isBelow ? moved(this.at, found) : found;
    const { x, y, isBelow } = this.at;
    const full = this.moment(ms, x, y, isBelow, bestDistance(this.size));
    const arriving = arrivingAt(body, full, this.arrives);
    const power = this.wantedPower(heat);
    const share = power / Math.max(arriving, 1e-9);
    if (share < LITTLE && this.body.support === "hand") this.size = Math.max(LEAST_SIZE, this.size - 0.5);
    if (share > 1) this.size = Math.min(this.largest, this.size + 0.5);
    const isOff = share <= powerOf(full.size, MOST_DISTANCE) / powerOf(full.size, 0) / 2;
    return { ...full, isOn: !isOff, distance: distanceFor(full.size, share) };
  }

  private reaching(): readonly Reach[] {
    const { body, size } = this;
    if (this.reached?.size === size) return this.reached.from;
    const from = this.places.map(({ x, y, isBelow }): Reach => {
      const arrives = new Float64Array(body.x.length);
      return { arrives, sum: arrivingAt(body, this.moment(0, x, y, isBelow, bestDistance(size)), arrives) };
    });
    this.reached = { size, from };
    return from;
  }

  private moment(ms: number, x: number, y: number, isBelow: boolean, distance: number): TorchMoment {
    return { ms, x, y, size: this.size, isOn: true, isBelow, distance, toward: USUAL_TOWARD };
  }

  /** By bit: how far it is behind the hottest of what is joined, and a little, so that an even body is heated all the same. */
  private wanting({ temperatures }: PractisedHeat): Float64Array {
    const { joined, counts, wants } = this;
    let wanted = 0;
    for (const bit of joined) wanted = Math.max(wanted, temperatures[bit]! + AHEAD);
    for (let i = 0; i < wants.length; i++) wants[i] = counts[i]! * (wanted - temperatures[i]!);
    return wants;
  }

  /** Whether the flux has cleared everywhere and no side is far behind: else it waits under the solder's flow. */
  private isEven(heat: PractisedHeat): boolean {
    return this.body.joints.every((joint, j) => {
      if (!joint.isWanted || joint.isFused || heat.solder[j]!.isMade) return true;
      return joint.places.every((_, p) => {
        const [cooler, hotter] = [heat.coolestAt(joint, p), heat.hottestAt(joint, p)];
        return hotter - cooler < MOST_APART && heat.fluxAt(j, p) === "clear";
      });
    });
  }

  /** W: what is lost, and what brings the place that is nearest to its most there in a while. */
  private wantedPower(heat: PractisedHeat): number {
    const { temperatures, losing } = heat;
    let room = Infinity;
    const most = this.isEven(heat) ? Infinity : this.runs - WAITS;
    for (let i = 0; i < temperatures.length; i++) room = Math.min(room, Math.min(most, this.most[i]!) - temperatures[i]!);
    return losing + this.capacity * Math.min(RISE, room / NEARS_IN);
  }
}

/** mm from what is joined at which metal counts half. */
const NEAR = 10;

function countsOf({ x, y }: HeatBody, joined: readonly number[]): Float64Array {
  return Float64Array.from(x, (at, i) => {
    let nearest = Infinity;
    for (const bit of joined) {
      const [dx, dy] = [x[bit]! - at, y[bit]! - y[i]!];
      nearest = Math.min(nearest, dx * dx + dy * dy);
    }
    return 1 / (1 + nearest / (NEAR * NEAR));
  });
}

const AT_FIRST: TorchMoment = { ms: 0, x: 0, y: 0, size: LEAST_SIZE, isOn: true, isBelow: false, distance: 0, toward: USUAL_TOWARD };

/** Degrees C that each bit may come to: no further than the heat asks for, and clear of melting and of joints made before. */
function mostOf(body: HeatBody): Float64Array {
  const runs = Math.max(...body.joints.filter(({ isWanted }) => isWanted).map((joint) => joint.runs));
  const most = Float64Array.from(body.solidus, (solidus) => Math.min(runs + PAST_FLOW, solidus - CLEAR));
  for (const { isWanted, isShielded, softens, places } of body.joints) {
    if (isWanted || isShielded || softens - CLEAR < runs + LEAST_PAST) continue;
    for (const { sides } of places) for (const side of sides) most[side] = Math.min(most[side]!, softens - CLEAR);
  }
  return most;
}

function moved(from: { x: number; y: number }, to: { x: number; y: number; isBelow: boolean }) {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const far = Math.sqrt(dx * dx + dy * dy);
  const share = far > MOST_MOVED ? MOST_MOVED / far : 1;
  return { x: from.x + dx * share, y: from.y + dy * share, isBelow: to.isBelow };
}
