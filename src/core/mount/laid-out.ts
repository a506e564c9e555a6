import { bezelCurvature } from "../geometry/bezel-curvature";
import { type Corner, type Loop, type Outline, type Place, type Point } from "../geometry/outline";
import { type Blank, layBlank } from "../measure/blank";
import { tolerance } from "../measure/tolerances";
import { type Dome, cover } from "../stone/dome";
import { isUneven, turnInProfile } from "../stone/profile";
import { type Stone } from "../stone/stone";
import { lipFigure } from "./lip";
import { lossesAlong } from "./losses";
import { type Back, type BackPlan } from "./backs/back";
import { type DrawnLayer } from "./layers/layer";
import { lengthOf } from "./ready-wall";
import { type Run, foldedCorners, runsWhere } from "./seam";
import { type Stock, type Wall, type WallPlan } from "./wall";

/** What of a setting's wall is drawn along its rule beside the blank. */
export interface LaidOut {
  /** What the wall is made of as it lies on a rule: how tall it is, and the gaps sawn into its top edge, in mm from its end. */
  readonly stock: { readonly tall: number; readonly gaps: readonly Gap[] };
  /** The top edge of an uneven stone's wall along its strip, height over length, from the seam; null where it is even. */
  readonly top: readonly Point[] | null;
  /** Where the side leans in along the tape, height over length; the heights it is drawn through, by the same. */
  readonly turnIn: { readonly curve: readonly Point[]; readonly nodes: readonly Point[] };
}

/** Sawn from the top edge down. */
export interface Gap {
  readonly from: number;
  readonly to: number;
  readonly depth: number;
}

/** A setting with all that was worked out for it. */
export interface Setting {
  readonly outline: Outline;
  /** Radians that it is turned by in the setting's plane. */
  readonly turn: number;
  /** Where its middle lies there, and whose plate it stands on. */
  readonly middle: Point;
  readonly host: string;
  readonly stone: Stone;
  readonly dome: Dome;
  readonly wall: Wall;
  readonly wallPlan: WallPlan;
  readonly back: Back;
  readonly backPlan: BackPlan;
  /** The back's edge. */
  readonly rim: Loop;
  readonly layers: readonly DrawnLayer[];
  /** mm of cushion under the stone. */
  readonly cushion: number;
}

export function layOut(setting: Setting): LaidOut {
  const { stock } = setting.wallPlan;
  return { stock: { tall: tallOf(stock), gaps: gapsAlong(stock) }, top: topEdge(setting), turnIn: turnInAlong(setting) };
}

/** A wall's stock along a rule: a strip from its end at the seam, a tube from its foot, a cup along its length. */
export function layStock(stock: Stock): Blank {
  const { outline, wall, seamAt, netHeight } = stock;
  if (seamAt !== null) return unroll(stock, seamAt);
  if (wall.source === "cup") {
    const { value: gap } = wall.fit;
    const across = lengthOf(outline);
    return layBlank(across + 2 * gap, 0, 0, [
      { code: "stoneEdge", at: gap },
      { code: "stoneEdge", at: across + gap },
    ]);
  }
  const { foot } = wall.losses;
  const lost = stock.cutHeight - netHeight;
  const atFoot = Math.min(foot.value, lost);
  return layBlank(netHeight, atFoot, lost - atFoot, [
    { code: "foot", at: 0 },
    { code: "seat", at: Math.min(netHeight, wall.lift.value) },
  ]);
}

function tallOf({ outline, wall, seamAt, cutHeight }: Stock): number {
  if (seamAt !== null || wall.source === "cup") return cutHeight;
  return wall.ready?.at?.outside ?? lengthOf(outline) + 2 * (wall.fit.value + wall.thickness);
}

/** The seam falls in the middle of a gap: each end of the net length is half of one. */
function gapsAlong({ wall, teeth, netLength }: Stock): Gap[] {
  if (!teeth || teeth.count > MOST_TEETH) return [];
  const { lead } = lossesAlong(wall);
  const { count, gap, depth } = teeth;
  return Array.from({ length: count + 1 }, (_, i) => {
    const middle = (i * netLength) / count;
    return { from: lead + Math.max(0, middle - gap / 2), to: lead + Math.min(netLength, middle + gap / 2), depth };
  });
}

/** More than this are not told apart in any drawing. */
const MOST_TEETH = 400;

/** Marks and gathering runs along the strip, measured on the wall's middle. */
function unroll(stock: Stock, seamAt: number): Blank {
  const { outline, wall, netLength } = stock;
  const along = pastSeam(stock, seamAt);
  const place = (at: number) => along(outline.stationAt(at));
  const marks = [
    { code: "seam" as const, at: 0 },
    ...ends(outline).map(({ code, place }) => ({ code, at: along(place) })),
    { code: "farSide" as const, at: netLength / 2 },
  ];
  const gathers = stock.gathers.flatMap(({ from, to }) => {
    if (to - from >= 1) return [{ from: 0, to: netLength }];
    const [start, end] = [place(from), place(to)];
    if (start <= end) return [{ from: start, to: end }];
    return [
      { from: start, to: netLength },
      { from: 0, to: end },
    ];
  });
  const { lead, trail } = lossesAlong(wall);
  return layBlank(
    netLength,
    lead,
    trail,
    marks.sort((a, b) => a.at - b.at),
    gathers,
  );
}

/** How far along the wall, in mm of its net length from the seam, the place lies that is level with one of the outline. */
function pastSeam({ outline, middle, netLength }: Stock, seamAt: number): (place: Place) => number {
  const seam = middle.lengthTo(outline.stationAt(seamAt));
  return (place) => {
    const past = (middle.lengthTo(place) - seam + middle.length) % middle.length;
    const isAtSeam = past < tolerance.sameLength || middle.length - past < tolerance.sameLength;
    return isAtSeam ? 0 : (past * netLength) / middle.length;
  };
}

const PROFILE_STEPS = 64;
/** Lips worked out between the least and the greatest turn-in; those between them lie on chords. */
const LIP_STEPS = 12;

/** Lift, turn-in and lip at each place, filed to by the turn-in rule. */
function topEdge(setting: Setting): Point[] | null {
  const { outline, stone, wall, wallPlan } = setting;
  const { seamAt, netLength } = wallPlan.stock;
  if (!isUneven(stone) || wall.height.rule !== "turn-in" || seamAt === null) return null;
  const profile = turnInProfile(stone);
  const lipAt = lipsBetween(setting);
  const along = pastSeam(wallPlan.stock, seamAt);
  const edge = Array.from({ length: PROFILE_STEPS }, (_, i): Point => {
    const at = seamAt + i / PROFILE_STEPS;
    return [i === 0 ? 0 : along(outline.stationAt(at)), wall.lift.value + profile(at) + lipAt(profile(at))];
  });
  return [...edge, [netLength, edge[0]![1]]];
}

/** The lip over each height at which the side leans in. */
function lipsBetween({ stone, dome, wall }: Setting): (turnIn: number) => number {
  const heights = typeof stone.turnIn === "number" ? [stone.turnIn] : stone.turnIn.map(({ height }) => height);
  const [least, most] = [Math.min(...heights), Math.max(...heights)];
  const step = (most - least) / LIP_STEPS;
  const lips = Array.from({ length: LIP_STEPS + 1 }, (_, i) => {
    const leaning = { ...dome, turnIn: least + i * step };
    return lipFigure(leaning, cover(leaning, wall.catch.value), wall).value;
  });
  return (turnIn) => {
    const steps = step > 0 ? Math.min(LIP_STEPS, Math.max(0, (turnIn - least) / step)) : 0;
    const i = Math.min(LIP_STEPS - 1, Math.floor(steps));
    return lips[i]! + (lips[i + 1]! - lips[i]!) * (steps - i);
  };
}

function turnInAlong({ outline, stone }: Setting): LaidOut["turnIn"] {
  const profile = turnInProfile(stone);
  const length = outline.perimeter;
  const nodes = typeof stone.turnIn === "number" ? [{ at: 0, height: stone.turnIn }] : stone.turnIn;
  const steps = isUneven(stone) ? PROFILE_STEPS : 1;
  return {
    curve: Array.from({ length: steps + 1 }, (_, i): Point => [(i / steps) * length, profile(i / steps)]),
    nodes: nodes.map(({ at, height }): Point => [at * length, height]),
  };
}

/** A tape round the stone, from the datum, which is an end of most outlines. */
export function tapeRound(outline: Outline): Blank {
  const marks = ends(outline).map(({ code, place }) => ({ code, at: place.at * outline.perimeter }));
  return layBlank(outline.perimeter, 0, 0, marks.length > 0 ? marks : [{ code: "farSide", at: outline.perimeter / 2 }]);
}

const TURN = 2 * Math.PI;
/** A run counts where the outline turns this many times faster than a circle of its length, and so far in all; more than two are corners. */
const SHARPER = 1.1;
const LEAST_CORNER = TURN / 8;
const MOST_ENDS = 2;

type SideEnd = "leftEnd" | "rightEnd" | "topEnd" | "bottomEnd";

/** Which end it is as the stone is drawn: of two by where they lie from each other, of one by where it faces. */
function sideEnd(place: Place, all: readonly Place[]): SideEnd {
  const other = all.find((each) => each !== place);
  const [across, up] = other ? [place.x - other.x, place.y - other.y] : [place.nx, place.ny];
  if (Math.abs(across) >= Math.abs(up)) return across > 0 ? "rightEnd" : "leftEnd";
  return up > 0 ? "topEnd" : "bottomEnd";
}

interface End {
  readonly code: SideEnd | "corner" | "point" | "notch";
  readonly place: Place;
}

const knownEnds = new WeakMap<Outline, readonly End[]>();

/** Points and notches, and the middles of the runs that turn fastest; looked for once for each outline. */
function ends(outline: Outline): readonly End[] {
  const known = knownEnds.get(outline);
  if (known) return known;
  const found = endsOf(outline);
  knownEnds.set(outline, found);
  return found;
}

function endsOf(outline: Outline): End[] {
  const limit = (SHARPER * TURN) / outline.perimeter;
  const tight = runsWhere(outline, (curvature) => curvature - limit).filter(
    (run) => run.to - run.from < 1 && turnAlong(outline, run) >= LEAST_CORNER,
  );
  const middles = tight.map(({ from, to }) => outline.stationAt((from + to) / 2));
  return [
    ...foldedCorners(outline).map((place): End => ({ code: cornerCode(place), place })),
    ...middles.map((place): End => ({ code: tight.length > MOST_ENDS ? "corner" : sideEnd(place, middles), place })),
  ];
}

export function cornerCode({ turn }: Corner): "point" | "notch" {
  return turn > 0 ? "point" : "notch";
}

/** How far the outline turns along a run, in radians: the mean curvature of the places there, times its length. */
function turnAlong(outline: Outline, { from, to }: Run): number {
  let [sum, count] = [0, 0];
  for (const { at, curvature } of bezelCurvature(outline).places) {
    if ((at < from || at > to) && (at + 1 < from || at + 1 > to)) continue;
    sum += curvature;
    count += 1;
  }
  return count > 0 ? (sum / count) * (to - from) * outline.perimeter : 0;
}
