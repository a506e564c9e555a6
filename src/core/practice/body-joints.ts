import { type Flame, fusingFlame, holds, solderFlames } from "../heats/thermal";
import { SPARE_SOLDER, solderVolume } from "../heats/solder";
import { type Plan, type PlannedHeat, type PlannedJoint, type PlannedPart } from "../piece/plan";
import { solderPlaces } from "../piece/solder-places";
import { type Laid, fineGrained } from "./laid";

/** A short length of a joint: what it ties there, and where. */
export interface JointPlace {
  /** A bit of each part. */
  readonly sides: readonly number[];
  /** mm2, mm. */
  readonly area: number;
  readonly length: number;
  readonly x: number;
  readonly y: number;
}

/** A joint within the body: to be made in this heat, or made before it. */
export interface BodyJoint {
  readonly id: string;
  readonly isWanted: boolean;
  readonly isClosed: boolean;
  /** Its parts' own line is tied there already: heat needs no other way. */
  readonly isTied: boolean;
  /** Degrees C: its solder melts; made before, it softens and runs. */
  readonly runs: number;
  readonly softens: number;
  readonly isShielded: boolean;
  readonly isFused: boolean;
  readonly places: readonly JointPlace[];
  /** The place that each pallion lies at; what one fills of it (mm3), and what a mm takes. */
  readonly pallions: readonly number[];
  readonly pallionVolume: number;
  readonly volumePerMm: number;
}

export interface JointAsked {
  readonly plan: Plan;
  readonly joint: PlannedJoint;
  /** The heat that it is made in. */
  readonly heat: PlannedHeat;
  readonly isWanted: boolean;
  readonly parts: readonly PlannedPart[];
  readonly laid: readonly Laid[];
  readonly starts: readonly number[];
  /** How the body is seen, which is how its pallions are drawn. */
  readonly view: "above" | "along";
  /** The joints that are made with it, or before it as it is. */
  readonly all: readonly PlannedJoint[];
}

/** A joint of a heat, or one that was made before it, by the bits that it ties. */
export function bodyJoint(asked: JointAsked): BodyJoint {
  const { plan, joint, heat, isWanted, parts, laid } = asked;
  const isFused = heat.means === "fuse";
  const metal = parts.find(({ id }) => id === joint.parts[0])!.metal;
  const { shelf, overshoot, pins } = plan.settled.heats;
  const made: Flame = isFused ? fusingFlame(metal) : solderFlames(shelf, overshoot).find(({ id }) => id === heat.grade)!;
  const { gives, runs } = holds(made);
  const isSelf = joint.parts.length === 1;
  const places = isSelf ? ownPlaces(asked) : sharedPlaces(asked);
  const solder = isWanted && !isFused ? heat.solder[heat.joints.indexOf(joint.id)]! : null;
  const [long, wide, thick] = solder?.size ?? [0, 0, 0];
  const sheet = long * wide * thick;
  const volume = !solder ? 0 : solder.form === "sheet" ? sheet : solder.form === "wire" ? (Math.PI / 4) * sheet : (Math.PI / 12) * sheet;
  // wire is fed from the hand, a little at each place
  const fed = solder?.form === "wire" ? Math.max(1, Math.ceil(joint.length / FED_EVERY)) : (solder?.count ?? 0);
  const line = laid[parts.findIndex(({ id }) => id === joint.parts[0])]!;
  return {
    ...{ id: joint.id, isWanted, runs, softens: gives, isFused, places },
    isClosed: !isSelf && places.length > 2 && line.runs.length === 1 && line.runs[0]!.isClosed && places.length === line.bits.length,
    isTied: isSelf && !isWanted,
    isShielded: pins.some((pin) => "shield" in pin && pin.shield === joint.id),
    pallions: solder ? laidPallions(asked, places, fed) : [],
    pallionVolume: fineGrained(solder?.form === "wire" ? volume / fed : volume),
    volumePerMm: solder ? solderVolume(joint) / SPARE_SOLDER / joint.length : 0,
  };
}

/** mm from where wire is fed to where it is fed next. */
const FED_EVERY = 4;
/** Where each pallion lies: at the place nearest to where it is drawn, else evenly along. */
function laidPallions({ plan, joint, view: seen }: JointAsked, places: readonly JointPlace[], count: number): number[] {
  const drawn = solderPlaces(plan, joint).filter(({ view }) => view === seen);
  if (drawn.length !== count || places.length < count)
    return Array.from({ length: count }, (_, i) => Math.floor(((i + 0.5) * places.length) / count));
  return drawn.map(({ at: [x, y] }) => nearestOf(places, x, y));
}

function nearestOf(places: readonly { readonly x: number; readonly y: number }[], x: number, y: number): number {
  let [best, found] = [Infinity, 0];
  places.forEach((place, i) => {
    const far = (place.x - x) * (place.x - x) + (place.y - y) * (place.y - y);
    if (far < best - 1e-9) [best, found] = [far, i];
  });
  return found;
}

/** A part closed on itself: its two ends. */
function ownPlaces({ joint, parts, laid, starts }: JointAsked): JointPlace[] {
  const p = parts.findIndex(({ id }) => id === joint.parts[0]);
  const { ends, bits } = laid[p]!;
  const [a, b] = ends ?? [0, bits.length - 1];
  const [x, y] = [(bits[a]!.x + bits[b]!.x) / 2, (bits[a]!.y + bits[b]!.y) / 2];
  return [{ sides: [starts[p]! + a, starts[p]! + b], area: joint.area, length: joint.length, x, y }];
}

/** Where one part lies nearest to another, as long as the joint; joints that tie the same two share out what there is, one after the other from the left. */
function sharedPlaces({ joint, parts, laid, starts, all }: JointAsked): JointPlace[] {
  const [one, other, ...more] = joint.parts.map((part) => parts.findIndex(({ id }) => id === part));
  const alike = all.filter((each) => each.parts.join() === joint.parts.join());
  const bits = laid[one!]!.bits;
  const nearest = bits.map((bit, i) => {
    const to = nearestOf(laid[other!]!.bits, bit.x, bit.y);
    const at = laid[other!]!.bits[to]!;
    const away = Math.sqrt((at.x - bit.x) * (at.x - bit.x) + (at.y - bit.y) * (at.y - bit.y));
    return { i, to, far: Math.round(away / SAME_DISTANCE) };
  });
  const sorted = [...nearest].sort((a, b) => a.far - b.far || a.i - b.i);
  const wanted = alike.reduce((sum, each) => sum + each.length, 0);
  const chosen: typeof nearest = [];
  let length = 0;
  for (const each of sorted) {
    if (length >= wanted - bits[each.i]!.length / 2 && chosen.length >= alike.length) break;
    chosen.push(each);
    length += bits[each.i]!.length;
  }
  const ordered = alike.length > 1 ? chosen.sort((a, b) => bits[a.i]!.x - bits[b.i]!.x || a.i - b.i) : chosen.sort((a, b) => a.i - b.i);
  const n = alike.indexOf(joint);
  const from = Math.min(ordered.length - 1, Math.floor((n * ordered.length) / alike.length));
  const own = ordered.slice(from, Math.max(from + 1, Math.floor(((n + 1) * ordered.length) / alike.length)));
  const whole = own.reduce((sum, { i }) => sum + bits[i]!.length, 0);
  return own.map(({ i, to }) => {
    const { x, y, length: each } = bits[i]!;
    const sides = [starts[one!]! + i, starts[other!]! + to, ...more.map((p) => starts[p]! + nearestOf(laid[p]!.bits, x, y))];
    return { sides, area: (joint.area * each) / whole, length: (joint.length * each) / whole, x, y };
  });
}

/** Nearer to the same than this is as near (mm). */
const SAME_DISTANCE = 0.05;
