import { type Track, trackOf } from "../../geometry/chords";
import { clearPart } from "../../geometry/clearance";
import { type Outline, type Point, outward } from "../../geometry/outline";
import { type LaidLayer, type Stretch, isAllRound } from "./layer";

/** A stretch of the line along a layer's middle: where it begins along the loop, and how long it is (mm). */
export interface LinePiece extends Stretch {
  readonly along: number;
  readonly length: number;
}

/** The line along the middle of a layer: the outline's parallel curve where it starts and half its width further out. */
export interface MiddleLine {
  /** mm from the outline. */
  readonly out: number;
  readonly isRound: boolean;
  readonly pieces: readonly LinePiece[];
  /** mm, of all pieces together. */
  readonly length: number;
  readonly track: Track;
}

/**
 * Over a smooth convex stretch the line is (to - from) P + d times the angle that the tangent turns by: the way along the parallel curve between the
 * places that lie straight out of its ends. In a notch it is what its flanks leave of that.
 */
export function middleLine(outline: Outline, { start, width, extent }: Pick<LaidLayer, "start" | "width" | "extent">): MiddleLine {
  const out = start + width / 2;
  const loop = outward(outline, out);
  const isRound = isAllRound(extent);
  const alongTo = (at: number) => loop.lengthTo(outline.stationAt(at));
  const between = (stretch: Stretch) => {
    const clear = clearPart(outline, stretch, out);
    const along = alongTo((clear ?? stretch).from);
    return { along, length: clear ? (alongTo(clear.to) - along + loop.length) % loop.length : 0 };
  };
  const pieces = isRound
    ? [{ from: 0, to: 1, along: 0, length: loop.length }]
    : extent.map((stretch) => ({ ...stretch, ...between(stretch) }));
  return { out, isRound, pieces, length: pieces.reduce((all, { length }) => all + length, 0), track: trackOf(loop) };
}

/** Points along a piece no further apart than this (mm), for drawing. */
const FINE = 0.25;

/** Points along a piece, each moved out by what `aside` says for how far along the piece it lies. */
export function pointsAlong(
  { track }: MiddleLine,
  { along, length }: LinePiece,
  aside: (s: number) => number = () => 0,
  fine = FINE,
): Point[] {
  const steps = Math.max(2, Math.ceil(length / fine));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const s = (length * i) / steps;
    const [x, y] = track.pointAt(along + s);
    const out = aside(s);
    if (out === 0) return [x, y] as const;
    const [ax, ay] = track.pointAt(along + s - NEAR);
    const [bx, by] = track.pointAt(along + s + NEAR);
    const long = Math.hypot(bx - ax, by - ay) || 1;
    return [x + ((by - ay) / long) * out, y - ((bx - ax) / long) * out] as const;
  });
}

const NEAR = 0.01;
