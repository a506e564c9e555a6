import { type Way } from "../heats/problem";
import { type StepMinutes, USUAL_MINUTES } from "../making/minutes";
import { type StepCode } from "../making/step";
import { type MandrelMark, type SizeSystem } from "../hoop/sizes";
import { type LengthUnit } from "../measure/reading";
import { type OwnLoss, type Sourced } from "../measure/figure";
import { type Metal } from "../metal/metals";
import { type Scrap, type StockItem } from "../metal/stock";
import { type Shelf, SHIPPED_SHELVES } from "../metal/shelf";

/** A kind of loss whose size a maker can have learned, by method; `value` in mm. */
export interface Allowance {
  readonly kind: string;
  readonly method: string;
  readonly value: number;
  readonly spread?: number;
  readonly count?: number;
}

export interface Strip {
  readonly metal: Metal;
  readonly thickness: number;
  readonly heights: readonly number[];
}

/** A maker's defaults as their file has them; what is left out is the shipped default. */
export interface BenchEntry {
  readonly format: "hoop-ledger/bench";
  readonly version: 3;
  readonly name?: string;
  readonly units?: { readonly length?: LengthUnit; readonly temperature?: "C" | "F" };
  readonly sizeSystem?: SizeSystem;
  readonly mandrel?: readonly MandrelMark[];
  readonly losses?: {
    readonly wall?: { readonly squaring?: number; readonly mark?: number; readonly foot?: number; readonly top?: number };
    readonly hoop?: { readonly squaring?: number; readonly mark?: number; readonly sawPasses?: number; readonly kerf?: number };
  };
  readonly allowances?: readonly Allowance[];
  readonly wideBand?: readonly { readonly over: number; readonly add: number }[];
  readonly strips?: readonly Strip[];
  readonly shelves?: readonly Shelf[];
  readonly overshoot?: number;
  readonly way?: Way;
  readonly seatOf?: { readonly fit?: number; readonly catch?: number };
  readonly tubes?: readonly { readonly metal: Metal; readonly outside: number; readonly inside: number }[];
  readonly cups?: readonly {
    readonly metal: Metal;
    readonly length: number;
    readonly width: number;
    readonly thickness: number;
    readonly height?: number;
  }[];
  /** By step. */
  readonly minutes?: Readonly<Record<string, StepMinutes>>;
  readonly screen?: { readonly pxPerMm?: number };
  /** What lies in the drawer, and what is owed by the refiner. */
  readonly stock?: readonly StockItem[];
  readonly scrap?: readonly Scrap[];
  /** What is bought: the length of strip, wire and tube, and a sheet's sides. */
  readonly bought?: { readonly length?: number; readonly sheet?: readonly [number, number] };
  /** From what length, and what sides, a leftover is kept. */
  readonly useful?: { readonly length?: number; readonly sheet?: readonly [number, number] };
  readonly rates?: Rates;
}

/** Prices in a currency: of an hour, of a gram of each metal, of solder; who gave them, and when. */
export interface Rates {
  readonly currency: string;
  readonly hour?: number;
  readonly metals?: Readonly<Partial<Record<Metal, number>>>;
  readonly solder?: number;
  readonly by: "typed" | "stand-in";
  readonly at: string;
}

/** What the program ships with; each value can be overruled by a bench, and there by a piece. */
export const SHIPPED = {
  units: { length: "mm", temperature: "C" },
  sizeSystem: "eu",
  mandrel: [],
  losses: {
    wall: { squaring: 0.44, mark: 0.1, foot: 0.1, top: 0.1 },
    hoop: { squaring: 0.5, mark: 0.1, sawPasses: 1, kerf: 0.28 },
  },
  wideBand: [
    { over: 6, add: 0.2 },
    { over: 8, add: 0.4 },
  ],
  strips: [
    { metal: "fine-silver", thickness: 0.32, heights: [2.5, 3.2, 4, 4.8] },
    { metal: "fine-silver", thickness: 0.4, heights: [2.5, 3.2, 4, 4.8, 6.4] },
  ],
  shelves: SHIPPED_SHELVES,
  overshoot: 10,
  way: "free",
  seatOf: { fit: 0.05, catch: 0.25 },
  minutes: USUAL_MINUTES,
  bought: { length: 300, sheet: [100, 50] },
  useful: { length: 30, sheet: [15, 15] },
} as const satisfies Omit<BenchEntry, "format" | "version" | "allowances" | "name">;

export const SHIPPED_BENCH: BenchEntry = { format: "hoop-ledger/bench", version: 3 };

/** The first that is given: the piece's value, the bench's, the shipped one; with where it came from. */
export function choose<T>(piece: T | undefined, bench: T | undefined, shipped: T): Sourced<T> {
  if (piece !== undefined) return { value: piece, from: "piece" };
  return bench !== undefined ? { value: bench, from: "bench" } : { value: shipped, from: "shipped" };
}

/** The bench a piece came with, else the maker's own. */
export function benchOf({ benchUsed }: { readonly benchUsed?: BenchEntry }, mine: BenchEntry): BenchEntry {
  return benchUsed ?? mine;
}

/** A piece that carries the bench it is planned on. */
export function withBench<P extends { readonly benchUsed?: BenchEntry }>(piece: P, mine: BenchEntry): P {
  return { ...piece, benchUsed: benchOf(piece, mine) };
}

/** How long a step takes by the bench. */
export function minutesOf(bench: BenchEntry, code: StepCode): Sourced<StepMinutes> {
  return choose(undefined, bench.minutes?.[code], USUAL_MINUTES[code]);
}

/** Losses that a maker's own hands can teach. */
export const LOSS_KINDS = ["wall.length", "wall.height", "hoop.length"] as const;
export type LossKind = (typeof LOSS_KINDS)[number];

/** The bench as a piece's chosen methods leave it: of a kind of loss that one is chosen for, only allowances of that method. */
export function withMethods(bench: BenchEntry, methods: Readonly<Record<string, string>> | undefined): BenchEntry {
  if (!methods || !bench.allowances) return bench;
  return { ...bench, allowances: bench.allowances.filter(({ kind, method }) => (methods[kind] ?? method) === method) };
}

/** What the bench has agreed to take for a loss; a piece that says one of its parts itself keeps to that. The first of a kind counts. */
export function learnedLoss(bench: BenchEntry, kind: LossKind, ofPiece: readonly (number | undefined)[]): OwnLoss | null {
  const agreed = bench.allowances?.find((each) => each.kind === kind);
  if (!agreed || ofPiece.some((each) => each !== undefined)) return null;
  return { value: agreed.value, spread: agreed.spread ?? null, count: agreed.count ?? null };
}

/** A value the bench has no say in. */
export function chosen<T>(piece: T | undefined, shipped: T): Sourced<T> {
  return choose(piece, undefined, shipped);
}

export function mandrelOf(bench: BenchEntry): readonly MandrelMark[] {
  return bench.mandrel ?? SHIPPED.mandrel;
}

/** The shelf of that name, or the bench's first where it has none such. */
export function shelfNamed(bench: BenchEntry, id: string | undefined): { readonly shelf: Shelf; readonly missing: boolean } {
  const shelves = bench.shelves?.length ? bench.shelves : SHIPPED.shelves;
  const shelf = id === undefined ? shelves[0] : shelves.find((each) => each.id === id);
  return { shelf: shelf ?? shelves[0]!, missing: shelf === undefined };
}

/** What the bench adds to the inside diameter of a band this wide: the widest limit it passes counts. */
export function wideBandAddition(bench: BenchEntry, width: number): Sourced<number> {
  const passed = (bench.wideBand ?? SHIPPED.wideBand).filter((each) => width > each.over);
  const widest = passed.reduce((most, each) => (each.over >= most.over ? each : most), { over: 0, add: 0 });
  return { value: widest.add, from: bench.wideBand ? "bench" : "shipped" };
}

/** Heights of the strips on the shelf of this metal and thickness (to 0.005 mm, as strips are sold). */
export function stripHeights(bench: BenchEntry, metal: Metal, thickness: number): number[] {
  const strips: readonly Strip[] = bench.strips ?? SHIPPED.strips;
  return strips
    .filter((strip) => strip.metal === metal && Math.abs(strip.thickness - thickness) < STRIP_MATCH)
    .flatMap((strip) => strip.heights);
}

const STRIP_MATCH = 0.005;
