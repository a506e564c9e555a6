import { type HoopForm, type LengthRule } from "../hoop/hoop";
import { type SizeSystem } from "../hoop/sizes";
import { type PinEntry } from "../heats/pins";
import { type Way } from "../heats/problem";
import { type Metal } from "../metal/metals";
import { type SectionShape } from "../metal/section";
import { type LayerType, type MadeFrom, type WireSection } from "../mount/layers/layer";
import { type HeightRule, type WallSource } from "../mount/wall";
import { type OutlineShape } from "../stone/shapes/shapes";
import { type Stone } from "../stone/stone";
import { type BenchEntry } from "./bench";

/** A piece as its file has it: what a field leaves out is taken from the bench. Lengths in mm. */
export interface Piece {
  readonly format: "hoop-ledger/piece";
  readonly version: 3;
  readonly id: string;
  readonly name: string;
  readonly kind: "ring" | "pendant" | "earrings";
  readonly copies?: number;
  /** How many are meant to be made next; 1 where it is left out. */
  readonly count?: number;
  /** By the kind of loss: the method whose allowance on the bench counts. */
  readonly methods?: Readonly<Record<string, string>>;
  readonly mounts: readonly Mount[];
  readonly carrier: Carrier;
  readonly applied?: readonly AppliedEntry[];
  readonly heats?: HeatsEntry;
  readonly notes?: string;
  /** The maker's defaults it was planned with. */
  readonly benchUsed?: BenchEntry;
}

export interface Mount {
  readonly id: string;
  readonly place?: { readonly along?: number; readonly turn?: number };
  readonly stone: Stone;
  readonly wall: WallEntry;
  /** Left out where it stands on another's. */
  readonly plate?: PlateEntry;
  /** The mount whose plate it stands on, where it lies there (mm) and how it is turned (degrees). */
  readonly on?: string;
  readonly at?: Spot;
  readonly turn?: number;
  /** Of one that stands on another's plate: its own, in its plate's stead. */
  readonly ornament?: readonly OrnamentEntry[];
}

export interface WallEntry {
  readonly source?: WallSource;
  readonly metal: Metal;
  readonly thickness: number;
  readonly fit?: number;
  readonly heightRule?: HeightRule;
  readonly fixedHeight?: number;
  readonly catch?: number;
  readonly lift?: number;
  readonly seamAt?: number | "auto";
  readonly losses?: { readonly squaring?: number; readonly mark?: number; readonly foot?: number; readonly top?: number };
  readonly notch?: { readonly pitch: number; readonly depth?: number; readonly gap?: number };
  readonly tube?: { readonly outside: number; readonly inside: number };
  /** Outside along the stone's length; `height` is inside, above its base. */
  readonly cup?: { readonly length: number; readonly thickness: number; readonly height?: number };
}

/** Of style "none" nothing else is said: the tube or cup carries its own floor. */
export interface PlateEntry {
  readonly style: "flush" | "border" | "open" | "own" | "none";
  /** Of a plate of its own: its outline, and where the stone lies on it (mm, degrees). */
  readonly outline?: OutlineShape;
  readonly at?: Spot;
  readonly turn?: number;
  /** How far a round plate is domed (mm). */
  readonly domed?: { readonly rise: number };
  /** Worked into it while it is flat. */
  readonly texture?: { readonly name: string };
  readonly metal?: Metal;
  readonly thickness?: number;
  readonly border?: number;
  readonly sawMargin?: number;
  readonly edge?: "follows" | "even";
  readonly stamp?: { readonly width: number; readonly height: number; readonly at?: Spot; readonly turn?: number };
  readonly drain?: { readonly diameter: number; readonly at?: Spot };
  readonly ornament?: readonly OrnamentEntry[];
  readonly ledge?: { readonly width: number; readonly height: number; readonly metal: Metal };
}

export interface OrnamentEntry {
  readonly id: string;
  readonly type: LayerType;
  readonly width: number;
  readonly metal: Metal;
  readonly extent?: "all" | readonly (readonly [number, number])[];
  readonly section?: WireSection;
  readonly height?: number;
  /** mm that a wire all round is made undersize. */
  readonly tight?: number;
  readonly from?: MadeFrom;
}

/** A place [x, y] in a plane, in mm. */
export type Spot = readonly [number, number];

/** A disc, ball, ring or strip sweated on. */
export interface AppliedEntry {
  readonly id: string;
  readonly name?: string;
  readonly metal: Metal;
  readonly on: string;
  readonly when?: "flat" | "formed";
  readonly disc?: { readonly diameter: number; readonly thickness: number };
  readonly ball?: { readonly diameter: number };
  readonly ring?: { readonly inside: number; readonly wire: number; readonly section?: "round" | "square" };
  readonly strip?: { readonly length: number; readonly width: number; readonly thickness: number };
  readonly at?: Spot;
  readonly along?: number;
  readonly turn?: number;
}

export type Carrier = HoopEntry | BailEntry | JumpRingEntry | PostsEntry | EarWiresEntry | { readonly type: "none" };

export interface HoopEntry {
  readonly type: "hoop";
  readonly size: { readonly system: SizeSystem; readonly value: string };
  readonly stock: {
    readonly section: SectionShape;
    readonly width: number;
    readonly thickness: number;
    readonly metal: Metal;
    readonly backWidth?: number;
    /** Worked into it before it is bent. */
    readonly texture?: { readonly name: string };
    readonly twist?: { readonly wire: number; readonly turns: number; readonly plies: number; readonly soldered?: boolean };
  };
  readonly form: HoopForm;
  readonly lengthRule?: LengthRule;
  readonly flatWidth?: number;
  readonly plateAbove?: number;
  readonly slit?: { readonly length: number; readonly kerf?: number; readonly spread: number };
  readonly bridge?: { readonly inside: number; readonly thickness: number; readonly gap?: number; readonly metal?: Metal };
  readonly openGap?: number;
  readonly strands?: { readonly count: number; readonly soldered: number | "all"; readonly spread?: number };
  readonly sleeve?: {
    readonly name?: string;
    readonly thickness: number;
    readonly layers?: number;
    readonly inlay?: { readonly width: number; readonly depth: number; readonly metal?: Metal };
  };
  readonly saddleWidth?: number;
  readonly losses?: {
    readonly squaring?: number;
    readonly mark?: number;
    readonly sawPasses?: number;
    readonly kerf?: number;
    readonly hammer?: number;
  };
}

/** A place on the outline; at a point of it `turn` degrees from the middle of its arc. */
export interface EyeEntry {
  readonly at: number;
  readonly turn?: number;
}

export interface BailEntry {
  readonly type: "bail";
  readonly style?: "folded" | "tube";
  readonly widest?: number;
  readonly foot?: number;
  readonly bore: number;
  readonly drop: number;
  readonly thickness: number;
  readonly ring?: { readonly inside: number; readonly wire: number };
  readonly chainEnd?: number;
  readonly metal?: Metal;
  readonly eye?: EyeEntry;
  readonly eyes?: readonly ({ readonly mount: string } & EyeEntry)[];
  readonly hangAxis?: number;
}

export interface JumpRingEntry {
  readonly type: "jump-ring";
  readonly inside: number;
  readonly wire: number;
  readonly metal?: Metal;
  readonly eye?: EyeEntry;
  readonly eyes?: readonly ({ readonly mount: string } & EyeEntry)[];
  readonly hangAxis?: number;
}

export interface PostsEntry {
  readonly type: "posts";
  readonly metal?: Metal;
  readonly wire: number;
  readonly length: number;
  /** mm from the middle of the setting's back, in its plane. */
  readonly at: Spot;
}

export interface EarWiresEntry {
  readonly type: "ear-wires";
  readonly metal?: Metal;
  readonly wire: number;
  readonly length: number;
  readonly eye: EyeEntry;
}

export interface HeatsEntry {
  readonly shelf?: string;
  readonly way?: Way;
  readonly overshoot?: number;
  readonly pins?: readonly PinEntry[];
}
