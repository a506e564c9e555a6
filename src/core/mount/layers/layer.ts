import { type Contribution } from "../../joint/contribution";
import { type Reach } from "../../geometry/stepped";
import { type Outline, withinOne } from "../../geometry/outline";
import { tolerance } from "../../measure/tolerances";
import { type Metal } from "../../metal/metals";

/** A stretch of an outline, as shares of its length; `to` may pass 1. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

export const ALL_ROUND: readonly Stretch[] = [{ from: 0, to: 1 }];

/** Ornament round a wall as it is asked for. */
export interface Layer {
  readonly id: string;
  readonly type: string;
  /** mm out from where it starts. */
  readonly width: number;
  readonly metal: Metal;
  readonly extent: readonly Stretch[];
}

/** A layer where it lies. */
export interface LaidLayer extends Layer {
  /** mm from the outline to its inner edge. */
  readonly start: number;
}

/** What a kind of layer is asked with. */
export interface LayerAsked {
  readonly mount: string;
  readonly outline: Outline;
  readonly layer: LaidLayer;
  /** The parts it is joined to. */
  readonly wall: string;
  readonly plate: string;
}

/** All that the rest knows of a kind of ornament. */
export interface LayerKind {
  plan(asked: LayerAsked): Contribution;
}

/** Each layer starts at the greatest outer edge of the earlier ones whose stretches overlap its own, or at the wall. */
export function laid(layers: readonly Layer[], wallFace: number): LaidLayer[] {
  return layers.reduce<LaidLayer[]>((before, layer) => {
    const under = before.filter(({ extent }) => extent.some((a) => layer.extent.some((b) => overlap(a, b))));
    const start = Math.max(wallFace, ...under.map(({ start: inner, width }) => inner + width));
    return [...before, { ...layer, start }];
  }, []);
}

function overlap(a: Stretch, b: Stretch): boolean {
  return [-1, 0, 1].some((turn) => Math.min(a.to, b.to + turn) - Math.max(a.from, b.from + turn) > tolerance.samePlace);
}

/** How far out the layers reach from the outline at each place, all round: no less than the wall. */
export function reachOf(layers: readonly LaidLayer[], wallFace: number): Reach[] {
  const stretches = layers.flatMap(({ extent, start, width }) => extent.map((stretch) => ({ ...stretch, out: start + width })));
  const ends = stretches.flatMap(({ from, to }) => [from, to]).map(withinOne);
  const places = [...new Set(ends)].sort((a, b) => a - b);
  const [first = 0] = places;
  const outAt = (at: number) =>
    Math.max(
      wallFace,
      ...stretches.filter(({ from, to }) => [0, 1].some((turn) => at + turn > from && at + turn < to)).map(({ out }) => out),
    );
  if (places.length < 2) return [{ from: first, to: first + 1, out: outAt(withinOne(first + 0.5)) }];
  return places.map((from, i) => {
    const to = places[i + 1] ?? first + 1;
    const middle = (from + to) / 2;
    return { from, to, out: outAt(withinOne(middle)) };
  });
}
