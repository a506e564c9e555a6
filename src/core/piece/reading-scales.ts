import { hasSeam } from "../hoop/hoop";
import { MOST_STRETCH } from "../hoop/what-if";
import { type AskedReading, type ReadingKind } from "../making/step";
import { figureOf, type Figures } from "../measure/figure";
import { type HowRead, type LengthReading, goodWithin } from "../mount/closed-length";
import { heightThatHolds } from "../mount/plan-wall";
import { type Wall } from "../mount/wall";
import { greatestTurnIn } from "../stone/stone";
import { type SettledCarrier } from "./carriers/carrier";
import { type Piece } from "./piece";

/** A piece as it was planned before what is read now. */
export interface PlannedBefore {
  readonly piece: Piece;
  readonly figures: Figures;
  readonly settled: { readonly mounts: Readonly<Record<string, { readonly wall: Wall }>>; readonly carrier: SettledCarrier };
}

/** What a reading means for what was read. */
export type VerdictCode = "again" | "too-low" | "cut-in" | "stretch" | "good" | "trim" | "cut-out" | "take-down" | "open" | "close";

/**
 * A scale for a reading, in mm. Below `low` it is one thing, from there to `near` another, up to `high` it is good, and beyond a fourth; where there is
 * nothing between, `low` is `near`. `by` is how much is to be done about it: mm, or of a wall that stretches a ratio.
 */
export interface ReadingScale {
  readonly wanted: number;
  readonly low: number;
  readonly near: number;
  readonly high: number;
  readonly codes: { readonly below: VerdictCode; readonly between: VerdictCode; readonly over: VerdictCode };
  readonly by: (code: VerdictCode, value: number) => number;
}

/** What cannot be mended on the part that was read: it is made anew. */
const START_AGAIN: ReadonlySet<VerdictCode> = new Set(["again", "too-low"]);

export function startsAgain({ code }: Pick<Verdict, "code">): boolean {
  return START_AGAIN.has(code);
}

export interface Verdict {
  readonly code: VerdictCode;
  readonly by: number;
}

/** A size is where it was wanted within so much (mm). */
export const NEAR = 0.05;

export function verdictOf({ low, near, high, codes, by }: ReadingScale, value: number): Verdict {
  const code = value < low ? codes.below : value < near ? codes.between : value <= high ? "good" : codes.over;
  return { code, by: by(code, value) };
}

type Kind = (planned: PlannedBefore, asked: AskedReading, how: HowRead | null) => ReadingScale | null;

/** A wall's length by its window, from what it stretches to fit to what is too large; `losses` still to come off it. */
function wallLength(over: "trim" | "cut-out", lossesOf: (figures: Figures, mount: string) => number): Kind {
  return ({ figures }, { mount }, how) => {
    const of = (name: string) => figures[`${mount}.wall.${name}`]?.value;
    const [net, low] = [of("netLength"), of("windowLow")];
    if (net === undefined || low === undefined) return null;
    const losses = lossesOf(figures, mount!);
    const wanted = net + losses;
    const within = goodWithin(how);
    const near = wanted - within;
    return {
      wanted,
      low: Math.min(low + losses, near),
      near,
      high: wanted + within,
      codes: { below: "again", between: "stretch", over },
      by: (code, value) => (code === "stretch" ? net / (value - losses) - 1 : Math.abs(value - wanted)),
    };
  };
}

/** A wall's height by what still holds; `losses` still to come off it. */
function wallHeight(below: "again" | "too-low", lossesOf: (figures: Figures, mount: string) => number): Kind {
  return ({ piece, figures, settled }, { mount }) => {
    const { stone } = piece.mounts.find(({ id }) => id === mount)!;
    const losses = lossesOf(figures, mount!);
    const net = figureOf(figures, `${mount}.wall.netHeight`).value;
    const holds =
      heightThatHolds(greatestTurnIn(stone), figureOf(figures, `${mount}.wall.lip`).value) + settled.mounts[mount!]!.wall.lift.value;
    const [wanted, least] = [net + losses, Math.min(net + NEAR, holds) + losses];
    return {
      wanted,
      low: least,
      near: least,
      high: wanted + NEAR,
      codes: { below, between: below, over: "take-down" },
      by: (code, value) => (code === below ? holds + losses - value : Math.abs(value - wanted)),
    };
  };
}

const lost = (cut: string, net: string) => (figures: Figures, mount: string) =>
  figureOf(figures, `${mount}.wall.${cut}`).value - figureOf(figures, `${mount}.wall.${net}`).value;
const nothing = () => 0;

/** A row for each kind of reading: its scale, or null where there is none. */
export const SCALES: Readonly<Record<ReadingKind, Kind>> = {
  strip: wallLength("trim", lost("cutLength", "netLength")),
  "wall-open": wallLength("trim", nothing),
  "wall-closed": wallLength("cut-out", nothing),
  "strip-height": wallHeight("again", lost("cutHeight", "netHeight")),
  "wall-height": wallHeight("too-low", nothing),
  /** As far out as its size may be, at the length that a millimetre of it takes. */
  blank: ({ figures }) => {
    const wanted = figureOf(figures, "hoop.cutLength").value;
    const lengthOf = (inside: number) => inside / figureOf(figures, "hoop.lostPerMillimetre").value;
    return {
      wanted,
      low: wanted - lengthOf(MOST_STRETCH),
      near: wanted - lengthOf(NEAR),
      high: wanted + lengthOf(NEAR),
      codes: { below: "again", between: "stretch", over: "trim" },
      by: (_code, value) => Math.abs(value - wanted),
    };
  },
  /** A hoop without a seam is opened or closed, however far. */
  size: ({ figures, settled: { carrier } }) => {
    const wanted = figureOf(figures, "hoop.insideDiameter").value;
    const isSeamed = carrier.type === "hoop" && hasSeam(carrier);
    return {
      wanted,
      low: wanted - (isSeamed ? MOST_STRETCH : NEAR),
      near: wanted - NEAR,
      high: wanted + NEAR,
      codes: isSeamed ? { below: "cut-in", between: "stretch", over: "cut-out" } : { below: "open", between: "open", over: "close" },
      by: (code, value) => (code === "stretch" || code === "good" ? Math.abs(wanted - value) : Math.PI * Math.abs(value - wanted)),
    };
  },
  thickness: () => null,
  "stone-across": () => null,
  "stone-length": () => null,
  "stone-width": () => null,
  "stone-tape": () => null,
  "stone-leans": () => null,
  "stone-height": () => null,
};

/** The scale of a reading, by the piece as it was planned before it, and by how it is read. */
export function scaleOf(planned: PlannedBefore, asked: AskedReading, how: HowRead | null = null): ReadingScale | null {
  return SCALES[asked.kind](planned, asked, how);
}

/** The same scale on what is read in the place of the length. */
export function scaleRead(scale: ReadingScale, { lengthOf, readingOf }: LengthReading): ReadingScale {
  const { wanted, low, near, high, by } = scale;
  return {
    ...scale,
    wanted: readingOf(wanted),
    low: readingOf(low),
    near: readingOf(near),
    high: readingOf(high),
    by: (code, read) => by(code, lengthOf(read)),
  };
}
