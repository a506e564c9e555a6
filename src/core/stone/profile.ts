import { tolerance } from "../measure/tolerances";
import { type Stone } from "./stone";

/** The height at which the side leans in, at a share of the outline. */
export type Profile = (at: number) => number;

interface Node {
  readonly at: number;
  readonly height: number;
}

/**
 * The turn-in round the outline: one height, or a periodic curve through those given that rises and falls only between
 * them (cubic Hermite, slopes by weighted harmonic means: Fritsch and Butland, 1984). Nodes at the same place after the first are left out.
 */
export function turnInProfile({ turnIn }: Pick<Stone, "turnIn">): Profile {
  if (typeof turnIn === "number") return () => turnIn;
  const nodes = ordered(turnIn);
  if (nodes.length === 1) return () => nodes[0]!.height;
  const n = nodes.length;
  const gap = (i: number) => {
    const [from, to] = [nodes[i % n]!.at, nodes[(i + 1) % n]!.at];
    return to > from ? to - from : to + 1 - from;
  };
  const rise = (i: number) => (nodes[(i + 1) % n]!.height - nodes[i % n]!.height) / gap(i);
  const slopes = nodes.map((_, i) => slopeAt(gap(i + n - 1), rise(i + n - 1), gap(i), rise(i)));
  return (at) => {
    const share = at - Math.floor(at);
    const next = nodes.findIndex((node) => node.at > share);
    const i = ((next < 0 ? n : next) + n - 1) % n;
    const past = share - nodes[i]!.at;
    return hermite(nodes[i]!.height, nodes[(i + 1) % n]!.height, slopes[i]!, slopes[(i + 1) % n]!, gap(i), past < 0 ? past + 1 : past);
  };
}

function ordered(turnIn: readonly Node[]): Node[] {
  const sorted = turnIn.map(({ at, height }) => ({ at: at - Math.floor(at), height })).sort((a, b) => a.at - b.at);
  const isApart = (at: number, i: number) => i === 0 || at - sorted[i - 1]!.at > tolerance.samePlace;
  return sorted.filter(({ at }, i) => isApart(at, i) && (i === 0 || sorted[0]!.at + 1 - at > tolerance.samePlace));
}

function slopeAt(before: number, riseBefore: number, after: number, riseAfter: number): number {
  if (riseBefore * riseAfter <= 0) return 0;
  const [w1, w2] = [2 * after + before, after + 2 * before];
  return (w1 + w2) / (w1 / riseBefore + w2 / riseAfter);
}

function hermite(from: number, to: number, slopeFrom: number, slopeTo: number, gap: number, past: number): number {
  const t = past / gap;
  const value =
    from * (1 + 2 * t) * (1 - t) ** 2 + slopeFrom * gap * t * (1 - t) ** 2 + to * t * t * (3 - 2 * t) - slopeTo * gap * t * t * (1 - t);
  return Math.min(Math.max(from, to), Math.max(Math.min(from, to), value));
}

/** The turn-in with another height at one end of the stone; the other end keeps the height it has. `ends` are their places on the outline. */
export function withEnd(
  stone: Pick<Stone, "turnIn">,
  ends: Readonly<Record<"left" | "right", number>>,
  end: "left" | "right",
  height: number,
): readonly Node[] {
  const profile = turnInProfile(stone);
  const nodes: readonly Node[] =
    typeof stone.turnIn === "number" ? [ends.left, ends.right].map((at) => ({ at, height: profile(at) })) : stone.turnIn;
  const others = nodes.filter(({ at }) => distanceRound(at, ends[end]) > END);
  return [...others, { at: ends[end], height }].sort((a, b) => a.at - b.at);
}

/** A height nearer to an end than this share of the way round is that end's. */
const END = 0.01;

function distanceRound(a: number, b: number): number {
  const far = Math.abs(a - b) % 1;
  return Math.min(far, 1 - far);
}

/** Whether the side leans in at different heights round the stone. */
export function isUneven({ turnIn }: Stone): boolean {
  return typeof turnIn !== "number" && turnIn.some(({ height }) => height !== turnIn[0]!.height);
}

/** The middle of the widest gap between places round the outline. */
export function widestGap(places: readonly number[]): number {
  const sorted = [...places].sort((a, b) => a - b);
  const gaps = sorted.map((at, i) => ({ at, gap: (sorted[i + 1] ?? sorted[0]! + 1) - at }));
  const { at, gap } = gaps.reduce((best, each) => (each.gap > best.gap ? each : best));
  return Math.round(((at + gap / 2) % 1) * 1000) / 1000;
}
