import { type Contribution } from "../../joint/contribution";
import { type Step } from "../../making/step";
import { type Reach } from "../../geometry/rim";
import { type Outline, type Point, withinOne } from "../../geometry/outline";
import { tolerance } from "../../measure/tolerances";
import { type LayerType } from "../../joint/joint";
import { type Metal } from "../../metal/metals";
import { type StandingWall } from "../backs/back";
import { type WallLosses } from "../wall";

/** A stretch of an outline, as shares of its length; `to` may pass 1. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

export const ALL_ROUND: readonly Stretch[] = [{ from: 0, to: 1 }];

export type { LayerType };
/** A half-round wire lies flat side down. */
export type WireSection = "round" | "square" | "half-round";
/** Wire of so many mm, twisted so many turns in 10 mm; or strip [thickness, height], cut every so many notches of a pitch in mm. */
export type MadeFrom =
  | { readonly wire: number; readonly turns?: number }
  | { readonly strip: readonly [number, number]; readonly notches?: number; readonly pitch?: number };

/** Ornament round a wall as it is asked for. Lengths in mm. */
export interface Layer {
  readonly id: string;
  readonly type: LayerType;
  /** Out from where it starts. */
  readonly width: number;
  readonly metal: Metal;
  readonly extent: readonly Stretch[];
  readonly section: WireSection;
  readonly height: number;
  /** What it is made undersize by. */
  readonly tight: number;
  readonly from: MadeFrom | null;
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
  readonly wall: StandingWall;
  /** The part it is joined to. */
  readonly onto: string;
  /** What is worked on that part once all that lies on it has been joined. */
  readonly finishing: readonly Step[];
  readonly losses: Pick<WallLosses, "squaring" | "mark">;
  /** Places on the outline that a seam had better not lie at. */
  readonly taken: readonly number[];
}

/** A layer as it is drawn from above, in mm. */
export interface DrawnLayer {
  readonly id: string;
  readonly part: string;
  readonly type: LayerType;
  readonly width: number;
  /** The middle of each stretch; one all round ends where it began. */
  readonly middles: readonly (readonly Point[])[];
  /** Runs of wires that do not lie along the middle, where they pass under and where they pass over, and how thick they are. */
  readonly strands: { readonly under: readonly (readonly Point[])[]; readonly over: readonly (readonly Point[])[] } | null;
  readonly strandWidth: number;
  readonly balls: readonly { readonly at: Point; readonly radius: number }[];
  /** As it lies along a rule, in mm from the end of what is cut: where beads have their middles, and turns in a mm of a twist. */
  readonly onRule: { readonly balls: readonly number[]; readonly turns: number };
  /** Where each stretch can be dragged by; none all round. */
  readonly ends: readonly { readonly from: Point; readonly to: Point }[];
  readonly extent: readonly Stretch[];
  /** Figures of what is made for it: the lengths of the pieces that are cut, and how many beads are counted; null where none are. */
  readonly made: { readonly pieces: readonly string[]; readonly counted: string | null };
  /** As it is cut through: how far out it starts, and how high it stands. */
  readonly cut: { readonly start: number; readonly height: number; readonly shape: WireSection };
}

export interface LayerPlan extends Contribution {
  readonly drawn: DrawnLayer;
}

/** What of a layer does not go with its kind: the field, and what is wrong with it. */
export interface LayerFault {
  readonly field: string;
  readonly code: "not-of-ornament" | "notch-pair" | "made-of-nothing";
  readonly values: Readonly<Record<string, string | number>>;
}

/** All that the rest knows of a kind of ornament. */
export interface LayerKind {
  plan(asked: LayerAsked): LayerPlan;
  faults(layer: Pick<Layer, "type" | "from">): readonly LayerFault[];
}

/** Each layer starts at the greatest outer edge of the earlier ones whose stretches overlap its own, or at the wall. */
export function laid(layers: readonly Layer[], wallFace: number): LaidLayer[] {
  return layers.reduce<LaidLayer[]>((before, layer) => {
    const under = before.filter(({ extent }) => extent.some((a) => layer.extent.some((b) => overlap(a, b))));
    const start = Math.max(wallFace, ...under.map(({ start: inner, width }) => inner + width));
    return [...before, { ...layer, start }];
  }, []);
}

/** Whether stretches lie at a place of the outline. */
export function covers(extent: readonly Stretch[], at: number): boolean {
  return extent.some(({ from, to }) => [0, 1].some((turn) => at + turn >= from && at + turn <= to));
}

/** Whether two stretches share more than an end. */
export function overlap(a: Stretch, b: Stretch): boolean {
  return [-1, 0, 1].some((turn) => Math.min(a.to, b.to + turn) - Math.max(a.from, b.from + turn) > tolerance.samePlace);
}

export function isAllRound(extent: readonly Stretch[]): boolean {
  return extent.length === 1 && extent[0]!.to - extent[0]!.from >= 1;
}

/** How far out the layers reach from the outline at each place, all round: no less than the wall. */
export function reachOf(layers: readonly LaidLayer[], wallFace: number): Reach[] {
  const stretches = layers.flatMap(({ extent, start, width }) => extent.map((stretch) => ({ ...stretch, out: start + width })));
  const ends = stretches.flatMap(({ from, to }) => [from, to]).map(withinOne);
  const places = ends.sort((a, b) => a - b).filter((at, i) => i === 0 || at - ends[i - 1]! > tolerance.samePlace);
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
