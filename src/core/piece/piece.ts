import { type HoopForm, type LengthRule } from "../hoop/hoop";
import { type SizeSystem } from "../hoop/sizes";
import { type Pin, type Way } from "../heats/problem";
import { type Metal } from "../metal/metals";
import { type SectionShape } from "../metal/section";
import { type HeightRule, type WallSource } from "../mount/wall";
import { type Stone } from "../stone/stone";
import { type BenchEntry } from "./bench";

/** A piece as its file has it: what a field leaves out is taken from the bench. Lengths in mm. */
export interface Piece {
  readonly format: "hoop-ledger/piece";
  readonly version: 1;
  readonly id: string;
  readonly name: string;
  readonly kind: "ring" | "pendant" | "earrings";
  readonly copies?: number;
  readonly mounts: readonly Mount[];
  readonly carrier: Carrier;
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
  readonly plate: PlateEntry;
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
  readonly notch?: { readonly pitch: number };
  readonly tube?: { readonly outside: number; readonly inside: number };
}

export interface PlateEntry {
  readonly style: "flush" | "border" | "open";
  readonly metal: Metal;
  readonly thickness: number;
  readonly border?: number;
  readonly sawMargin?: number;
  readonly ornament?: readonly OrnamentEntry[];
  readonly ledge?: { readonly width: number; readonly height: number; readonly metal: Metal };
}

export interface OrnamentEntry {
  readonly id: string;
  readonly type: "wire" | "twist" | "bead-wire" | "granules";
  readonly width: number;
  readonly metal: Metal;
  readonly extent?: "all" | readonly (readonly [number, number])[];
  readonly from?: { readonly wire: number } | { readonly strip: readonly [number, number] };
}

export type Carrier = HoopEntry | BailEntry | JumpRingEntry | { readonly type: "none" };

export interface HoopEntry {
  readonly type: "hoop";
  readonly size: { readonly system: SizeSystem; readonly value: string };
  readonly stock: { readonly section: SectionShape; readonly width: number; readonly thickness: number; readonly metal: Metal };
  readonly form: HoopForm;
  readonly lengthRule?: LengthRule;
  readonly flatWidth?: number;
  readonly plateAbove?: number;
  readonly slit?: { readonly length: number; readonly kerf?: number; readonly spread: number };
  readonly twin?: { readonly soldered: number; readonly spread: number };
  readonly saddleWidth?: number;
  readonly losses?: { readonly squaring?: number; readonly mark?: number; readonly sawPasses?: number; readonly kerf?: number };
}

export interface BailEntry {
  readonly type: "bail";
  readonly bore: number;
  readonly drop: number;
  readonly thickness: number;
  readonly chainEnd?: number;
  readonly metal?: Metal;
  readonly eye?: { readonly at: number };
  readonly hangAxis?: number;
}

export interface JumpRingEntry {
  readonly type: "jump-ring";
  readonly inside: number;
  readonly wire: number;
  readonly metal?: Metal;
  readonly eye?: { readonly at: number };
  readonly hangAxis?: number;
}

export interface HeatsEntry {
  readonly shelf?: string;
  readonly way?: Way;
  readonly overshoot?: number;
  readonly pins?: readonly Pin[];
}
