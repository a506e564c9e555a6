import { type Curve } from "../geometry/curve";
import { type Loop, type Outline, type Place, type Point, type Station, loopsOf, outward } from "../geometry/outline";
import { domeCurve, domeShoulder } from "../stone/dome";
import { facing } from "../geometry/facing";
import { type BackDrawing } from "./backs/back";
import { domeStep } from "./backs/domed";
import { type DrawnLayer, type LayerType, covers } from "./layers/layer";
import { type LaidOut, type Setting, cornerCode, layOut } from "./laid-out";
import { type Run, foldedCorners } from "./seam";
import { type WallPlan } from "./wall";

/** The setting from above, in mm, y upward. */
export interface SettingPlan {
  readonly stone: Curve;
  readonly wallInside: Curve;
  readonly wallOutside: Curve;
  /** Edges of the face left open; none where the catch closes over it. */
  readonly face: readonly Curve[];
  readonly plateEdge: Curve;
  readonly sawLine: Curve;
  readonly layers: readonly DrawnLayer[];
  readonly back: BackDrawing;
  /** What lies outside the stone one after the other: from where to where, in mm from the outline. */
  readonly bands: readonly OuterBand[];
  /** Edges of what a ledge leaves open; none where there is none. */
  readonly opening: readonly Curve[];
  /** null where there is none: a tube or a cup. */
  readonly seam: Station | null;
  /** Places the seam can be put. */
  readonly places: readonly Station[];
  /** Runs along the wall's middle where it gathers enough to be seen. */
  readonly gathers: readonly (readonly Point[])[];
  /** Where it is folded. */
  readonly corners: readonly { readonly code: "point" | "notch"; readonly place: Place }[];
}

/** "several" lie on one band where their stretches do not overlap. */
export interface OuterBand {
  readonly code: "wall" | LayerType | "several" | "border" | "saw";
  readonly from: number;
  readonly to: number;
}

/** A plate cut through, in mm from the axis of the stone: to its left and right edge, and the further of both. */
export interface CutPlate {
  readonly left: number;
  readonly right: number;
  readonly half: number;
  readonly thickness: number;
  /** Radius of the sphere it is domed to; null flat. */
  readonly sphere: number | null;
  /** From its edge's underside to its top at the axis. */
  readonly rises: number;
}

/** The setting cut through its narrow middle, right half: x from the axis, y above the plate. */
export interface SettingSection {
  readonly stone: readonly Point[];
  readonly wall: { readonly inside: number; readonly outside: number; readonly height: number };
  /** What the stone stands on inside the wall, from this far from the axis: what is left of a tube under its seat, or a ledge. */
  readonly shelf: { readonly inside: number; readonly height: number } | null;
  /** mm of cushion between the metal under the stone and the stone. */
  readonly cushion: number;
  /** Ornament where it is cut through. */
  readonly layers: readonly (DrawnLayer["cut"] & { readonly part: string; readonly inside: number; readonly width: number })[];
  /** A cup's outside before it is thinned to the wall; null where nothing is thinned. */
  readonly rim: number | null;
  /** The wall's middle as it lies once pushed over. */
  readonly folded: readonly Point[];
  readonly thickness: number;
  readonly plate: CutPlate;
  readonly lift: number;
  /** Where the dome is dragged by, above the plate; null on a flat face. */
  readonly shoulder: Point | null;
  readonly radius: number;
  readonly turnIn: number;
  readonly third: number;
  readonly top: number;
}

export interface SettingDrawing extends LaidOut {
  /** The setting whose plate it stands on: itself, but where it shares one. */
  readonly host: string;
  /** Where its stone's middle lies in its plane. */
  readonly middle: Point;
  readonly plan: SettingPlan;
  readonly section: SettingSection;
  /** The three schools of height, side by side. */
  readonly schools: WallPlan["schools"];
}

export function drawSetting(setting: Setting): SettingDrawing {
  return {
    host: setting.host,
    middle: setting.middle,
    plan: drawPlan(setting),
    section: drawSection(setting),
    schools: setting.wallPlan.schools,
    ...layOut(setting),
  };
}

function drawPlan({ outline, wall, wallPlan, backPlan, rim, layers }: Setting): SettingPlan {
  const fit = wall.fit.value;
  const at = (d: number) => outward(outline, d).curve();
  return {
    stone: at(0),
    wallInside: at(fit),
    wallOutside: at(fit + wall.thickness),
    face: loopsOf(outline.parallel(-wall.catch.value)).map((loop) => loop.curve()),
    plateEdge: rim.curve(),
    sawLine: backPlan.sawLine.loop.curve(),
    layers,
    back: backPlan.drawn,
    bands: outwardBands(fit + wall.thickness, layers, backPlan.drawn),
    opening: backPlan.ledge ? loopsOf(outline.parallel(-backPlan.ledge.reach)).map((loop) => loop.curve()) : [],
    seam: wallPlan.seamAt === null ? null : outline.stationAt(wallPlan.seamAt),
    places: outline.stations,
    gathers: alongMiddle(outline, wallPlan.stock.middle, wallPlan.stock.gathers).filter((run) => run.length > 1),
    corners: foldedCorners(outline).map((place) => ({ code: cornerCode(place), place })),
  };
}

/** The wall from the stone's outline on, ornament where it starts, and what the plate has outside all of it. */
function outwardBands(face: number, layers: readonly DrawnLayer[], { outer }: BackDrawing): OuterBand[] {
  const starts = [...new Set(layers.map(({ cut }) => cut.start))].sort((a, b) => a - b);
  const ornament = starts.map((from): OuterBand => {
    const here = layers.filter(({ cut }) => cut.start === from);
    return { code: here.length > 1 ? "several" : here[0]!.type, from, to: from + Math.max(...here.map(({ width }) => width)) };
  });
  let edge = Math.max(face, ...ornament.map(({ to }) => to));
  const outside = outer.map(({ code, width }): OuterBand => {
    const from = edge;
    edge += width;
    return { code, from, to: edge };
  });
  return [{ code: "wall", from: 0, to: face }, ...ornament, ...outside];
}

/** The parts of the wall's middle that are level with runs of the outline; a notch cuts them short as it does the wall. */
function alongMiddle(outline: Outline, middle: Loop, runs: readonly Run[]): Point[][] {
  const points = middle.points();
  const lengths = lengthsAlong(points, middle.length);
  return runs.map(({ from, to }) => {
    if (to - from >= 1) return [...points, points[0]!];
    const [start, end] = [from, to].map((at) => middle.lengthTo(outline.stationAt(at))) as [number, number];
    const past = (s: number) => (s - start + middle.length) % middle.length;
    const first = lengths.findIndex((s) => s >= start);
    const inside: Point[] = [];
    for (let i = 0; i < points.length; i++) {
      const k = (Math.max(0, first) + i) % points.length;
      if (past(lengths[k]!) > past(end)) break;
      inside.push(points[k]!);
    }
    return inside;
  });
}

/** How far along a closed line each of its points lies, its chords stretched to the curve's true length. */
function lengthsAlong(points: readonly Point[], length: number): number[] {
  const sums = [0];
  points.forEach(([x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    sums.push(sums[i]! + Math.hypot(nx - x, ny - y));
  });
  return sums.slice(0, -1).map((sum) => (sum / sums.at(-1)!) * length);
}

const DOME_STEPS = 48;
const ACROSS = Math.PI / 2;

function drawSection(setting: Setting): SettingSection {
  const { outline, turn, dome, wall, wallPlan, layers } = setting;
  const across = turn + ACROSS;
  const lift = wall.lift.value;
  const { netHeight } = wallPlan.stock;
  const places = domeCurve(dome, DOME_STEPS);
  const fit = wall.fit.value;
  const half = wall.thickness / 2;
  const shoulder = domeShoulder(dome);
  const covered = places.filter((place) => place.x >= dome.radius - wall.catch.value - half);
  const folded: Point[] = [
    [dome.radius + fit + half, 0],
    [dome.radius + fit + half, lift + dome.turnIn],
    ...covered.slice(1).map(({ x, y, lean }): Point => [x + half * Math.cos(lean), y + lift + half * Math.sin(lean)]),
  ];
  if (dome.exponent === "flat") folded.push([dome.radius - wall.catch.value, lift + dome.height + half]);
  return {
    stone: [[0, lift], [dome.radius, lift], ...places.map(({ x, y }): Point => [x, y + lift])],
    wall: { inside: dome.radius + fit, outside: dome.radius + fit + wall.thickness, height: netHeight },
    shelf: shelfOf(setting),
    cushion: setting.cushion,
    layers: layers
      .filter(({ extent }) => covers(extent, facing(outline, across)))
      .map(({ cut, part, width }) => ({ ...cut, part, width, inside: dome.radius + cut.start })),
    rim: wallPlan.thin > 0 ? dome.radius + fit + wall.thickness + wallPlan.thin : null,
    folded: cutOff(folded, netHeight),
    thickness: wall.thickness,
    plate: cutPlate(setting, across),
    lift,
    shoulder: shoulder && [shoulder.x, shoulder.y + lift],
    radius: dome.radius,
    turnIn: lift + dome.turnIn,
    third: lift + dome.height / 3,
    top: lift + dome.height,
  };
}

/** A plate that the stone is the middle of reaches as far to both sides; on another as far as its edge lies there. */
function cutPlate({ outline, dome, middle, back, backPlan: { rim, base, sphere, rise } }: Setting, across: number): CutPlate {
  const isRound = back.own === null && back.kind !== "shared";
  const [right, left] = isRound
    ? [dome.radius + rim.past(across), dome.radius + rim.past(across)]
    : [across, across + Math.PI].map((way) => {
        const at = facing(outline, way);
        const { x, y } = outline.stationAt(at);
        return Math.hypot(x - middle[0], y - middle[1]) + rim.outAt(at);
      });
  const falls = sphere === null ? 0 : domeStep(sphere, 2 * Math.hypot(...middle));
  return { left: left!, right: right!, half: Math.max(left!, right!), thickness: base, sphere, rises: base + rise - falls };
}

function shelfOf({ dome, wall, wallPlan, backPlan }: Setting): SettingSection["shelf"] {
  if (backPlan.ledge) return { inside: dome.radius - backPlan.ledge.reach, height: backPlan.ledge.height };
  return wallPlan.shelf && { inside: wallPlan.shelf.inside, height: wall.lift.value };
}

/** The first `length` mm of a line. */
function cutOff(line: readonly Point[], length: number): Point[] {
  const kept: Point[] = [line[0]!];
  let left = length;
  for (let i = 1; i < line.length && left > 0; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const step = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const share = step > left ? left / step : 1;
    kept.push([a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share]);
    left -= step;
  }
  return kept;
}
