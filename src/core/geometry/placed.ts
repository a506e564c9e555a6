import { type Curve, type Stroke } from "./curve";
import { type Loop, type Outline, type Parallel, type Place, type Point } from "./outline";

/** Where something lies in a plane: turned by so many degrees anticlockwise about its own origin, which comes to lie at `at` (mm). */
export interface Placement {
  readonly at: Point;
  readonly turn: number;
}

export const UNMOVED: Placement = { at: [0, 0], turn: 0 };

interface Move {
  readonly turn: number;
  readonly point: (point: Point) => Point;
  /** A direction of length 1. */
  readonly way: (way: Point) => Point;
  readonly back: (point: Point) => Point;
  readonly wayBack: (way: Point) => Point;
}

function moveOf({ at: [dx, dy], turn: degrees }: Placement): Move {
  const turn = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const way = ([x, y]: Point): Point => [x * cos - y * sin, x * sin + y * cos];
  const wayBack = ([x, y]: Point): Point => [x * cos + y * sin, -x * sin + y * cos];
  return {
    turn,
    way,
    wayBack,
    point: (point) => {
      const [x, y] = way(point);
      return [x + dx, y + dy];
    },
    back: ([x, y]) => wayBack([x - dx, y - dy]),
  };
}

function curveMoved({ from, strokes }: Curve, { point, turn }: Move): Curve {
  return {
    from: point(from),
    strokes: strokes.map((stroke): Stroke => {
      if (stroke.kind === "line") return { kind: "line", to: point(stroke.to) };
      if (stroke.kind === "bend") return { kind: "bend", out: point(stroke.out), into: point(stroke.into), to: point(stroke.to) };
      const [x, y] = point([stroke.x, stroke.y]);
      return { ...stroke, x, y, start: stroke.start + turn };
    }),
  };
}

/** A curve where it is put. */
export function placedCurve(curve: Curve, placement: Placement): Curve {
  return curveMoved(curve, moveOf(placement));
}

/** A place as it was before, for what is asked where it lies. */
function placeBack(place: Place, move: Move): Place {
  const [x, y] = move.back([place.x, place.y]);
  const [nx, ny] = move.wayBack([place.nx, place.ny]);
  return { at: place.at, x, y, nx, ny };
}

function placeMoved<P extends Place>(place: P, move: Move): P {
  const [x, y] = move.point([place.x, place.y]);
  const [nx, ny] = move.way([place.nx, place.ny]);
  return { ...place, x, y, nx, ny };
}

function loopMoved(loop: Loop, move: Move): Loop {
  return {
    length: loop.length,
    area: loop.area,
    extent: (direction) => loop.extent(direction - move.turn),
    balance: () => {
      const { area, line } = loop.balance();
      return { area: move.point(area), line: move.point(line) };
    },
    curve: () => curveMoved(loop.curve(), move),
    points: () => loop.points().map(move.point),
    lengthTo: (place) => loop.lengthTo(placeBack(place, move)),
  };
}

function parallelMoved(parallel: Parallel, move: Move): Parallel {
  switch (parallel.kind) {
    case "collapsed":
      return parallel;
    case "one":
      return { kind: "one", ...loopMoved(parallel, move) };
    case "split":
      return { kind: "split", parts: parallel.parts.map((part) => loopMoved(part, move)) };
  }
}

/** The last places that an outline was asked for at: what is worked out of an outline is kept with it. */
const known = new WeakMap<Outline, Map<string, Outline>>();
const MOST_KNOWN = 12;

/** An outline as it lies somewhere else, its places by the same shares of its length. Unmoved it is itself. */
export function placed(outline: Outline, placement: Placement): Outline {
  const { at, turn } = placement;
  if (at[0] === 0 && at[1] === 0 && turn === 0) return outline;
  const places = known.get(outline) ?? new Map<string, Outline>();
  known.set(outline, places);
  const key = `${at[0]} ${at[1]} ${turn}`;
  const found = places.get(key) ?? outlineMoved(outline, moveOf(placement));
  places.delete(key);
  places.set(key, found);
  if (places.size > MOST_KNOWN) places.delete(places.keys().next().value!);
  return found;
}

function outlineMoved(outline: Outline, move: Move): Outline {
  return {
    perimeter: outline.perimeter,
    area: outline.area,
    hullPerimeter: outline.hullPerimeter,
    inscribedRadius: outline.inscribedRadius,
    isTraced: outline.isTraced,
    centre: move.point(outline.centre),
    corners: outline.corners.map((corner) => placeMoved(corner, move)),
    stations: outline.stations.map((station) => placeMoved(station, move)),
    extent: (direction) => outline.extent(direction - move.turn),
    stationAt: (at) => placeMoved(outline.stationAt(at), move),
    parallel: (d) => parallelMoved(outline.parallel(d), move),
  };
}
