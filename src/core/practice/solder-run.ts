import { type BodyJoint } from "./body-joints";
import { type PractisedHeat } from "./heat";

/** With more degrees than this between the sides it climbs the hotter one. */
const MOST_BETWEEN = 30;

/** Of what a place takes so much closes it. */
const ENOUGH = 0.9;

export type PallionState = "laid" | "melted" | "joined" | "climbed";

/** A joint's solder as it melts, joins and spreads (section 13 of the formulas); of one that is fused its own metal. */
export class JointSolder {
  readonly pallions: PallionState[];
  /** The part whose side it has climbed, by the pallion; -1 where it has not. */
  readonly climbed: number[];
  /** How much hotter that side was (degrees). */
  readonly climbedBy: number[];
  /** When its last place was made, in seconds; null while one is not. */
  madeAt: number | null = null;
  private readonly made: Uint8Array;
  private readonly left: Float64Array;
  /** mm3 that has run into each place. */
  private readonly filled: Float64Array;
  private readonly whole: number;
  private count = 0;

  constructor(private readonly joint: BodyJoint) {
    this.pallions = joint.pallions.map(() => "laid");
    this.climbed = joint.pallions.map(() => -1);
    this.climbedBy = joint.pallions.map(() => 0);
    this.left = Float64Array.from(joint.pallions, () => joint.pallionVolume);
    this.made = new Uint8Array(joint.places.length);
    this.filled = new Float64Array(joint.places.length);
    this.whole = joint.places.reduce((all, { length }) => all + length, 0);
  }

  isMadeAt(place: number): boolean {
    return this.made[place] === 1;
  }

  get isMade(): boolean {
    return this.count === this.made.length;
  }

  /** Places that are made, as a share of the joint. */
  get share(): number {
    let length = 0;
    for (let p = 0; p < this.made.length; p++) if (this.made[p]) length += this.joint.places[p]!.length;
    return length / this.whole;
  }

  /** Whether nothing of it can run any more, though it is not made. */
  get isDry(): boolean {
    return (
      !this.isMade &&
      !this.joint.isFused &&
      this.pallions.every((state, i) => state === "climbed" || (state === "joined" && this.left[i]! === 0))
    );
  }

  /** Fresh pallions in the place of those that have climbed. */
  layAnew(): void {
    this.pallions.forEach((state, i) => {
      if (state !== "climbed" && !(state === "joined" && !this.isMade)) return;
      this.pallions[i] = "laid";
      this.left[i] = this.joint.pallionVolume;
      this.climbed[i] = -1;
    });
  }

  /** What it has melted, joined and filled by now. Gives whether a place has been made. */
  heat(heat: PractisedHeat, j: number): boolean {
    const before = this.count;
    const { joint } = this;
    if (this.isMade) return false;
    if (joint.isFused) {
      for (let p = 0; p < joint.places.length; p++) if (heat.coolestAt(joint, p) >= joint.runs) this.make(p);
    }
    for (let i = 0; i < this.pallions.length; i++) {
      const place = joint.pallions[i]!;
      const cooler = heat.coolestAt(joint, place);
      const hotter = heat.hottestAt(joint, place);
      if (this.pallions[i] === "laid" && hotter >= joint.runs && heat.fluxAt(j, place) === "clear") {
        if (hotter - cooler > MOST_BETWEEN) this.climb(i, place, hotter - cooler, heat);
        else this.pallions[i] = "melted";
      }
      if (this.pallions[i] === "melted" && cooler >= joint.runs) this.pallions[i] = "joined";
      if (this.pallions[i] === "joined") this.spread(i, heat, j);
    }
    if (this.isMade && this.madeAt === null) this.madeAt = heat.seconds;
    return this.count > before;
  }

  private climb(i: number, place: number, by: number, { temperatures, body }: PractisedHeat): void {
    this.pallions[i] = "climbed";
    this.climbedBy[i] = by;
    const { sides } = this.joint.places[place]!;
    let hottest = sides[0]!;
    for (const side of sides) if (temperatures[side]! > temperatures[hottest]!) hottest = side;
    this.climbed[i] = body.partOf[hottest]!;
  }

  /** From its place to both sides, through what is made, to the next that is not, as far as both sides are hot enough and the flux works. */
  private spread(i: number, heat: PractisedHeat, j: number): void {
    const start = this.joint.pallions[i]!;
    this.fill(i, start, heat, j);
    for (let way = -1; way <= 1; way += 2) {
      let place = start;
      for (let n = 1; n < this.made.length; n++) {
        place += way;
        if (place < 0 || place >= this.made.length) {
          if (!this.joint.isClosed) break;
          place = place < 0 ? this.made.length - 1 : 0;
        }
        if (!this.fill(i, place, heat, j)) break;
      }
    }
  }

  /** Whether a place is full once it has what is left of a pallion: what one cannot fill the next does. */
  private fill(i: number, place: number, heat: PractisedHeat, j: number): boolean {
    if (this.made[place]) return true;
    if (this.left[i] === 0 || heat.coolestAt(this.joint, place) < this.joint.runs || heat.fluxAt(j, place) !== "clear") return false;
    const takes = this.joint.places[place]!.length * this.joint.volumePerMm;
    const runs = Math.min(this.left[i]!, takes - this.filled[place]!);
    this.left[i] = this.left[i]! - runs;
    this.filled[place] = this.filled[place]! + runs;
    if (this.filled[place] < ENOUGH * takes) return false;
    this.make(place);
    return true;
  }

  private make(place: number): void {
    if (this.made[place]) return;
    this.made[place] = 1;
    this.count++;
  }
}
