import { type StandingWall } from "./backs/back";
import { type Loop, type Outline } from "../geometry/outline";
import { type Run } from "./seam";
import { type Contribution } from "../joint/contribution";
import { type Step } from "../making/step";
import { type Finding } from "../measure/finding";
import { type Figures, type OwnLoss, type Source, type Sourced } from "../measure/figure";
import { type Cut } from "../metal/cut";
import { type Metal } from "../metal/metals";
import { type Cover } from "../stone/dome";

export type WallSource = "strip" | "sheet" | "tube" | "cup" | "notched";
export type HeightRule = "turn-in" | "third" | "fixed";

/** The wall's way through the shop: what each end and edge loses (mm in all). */
export interface WallLosses {
  readonly squaring: Sourced<number>;
  readonly mark: Sourced<number>;
  readonly foot: Sourced<number>;
  readonly top: Sourced<number>;
}

/** A wall that comes round already. Across its outside and its inside in mm; of a cup that is not round, along its length. */
export interface ReadyMade {
  readonly kind: "tube" | "cup";
  /** The maker's own; null while one is still to be found. */
  readonly at: { readonly outside: number; readonly inside: number } | null;
  /** Thickness and gap the maker wants, in mm. */
  readonly wanted: { readonly thickness: number; readonly fit: Sourced<number> };
}

/** From one notch to the next where nobody said (mm). */
export const USUAL_PITCH = 1.5;

/** A wall with every value settled. */
export interface Wall {
  readonly source: WallSource;
  /** What is wanted of a notched wall: from one gap to the next, how deep gaps are sawn and how wide, in mm; null where that is left to the plan. */
  readonly notch: { readonly pitch: number; readonly depth: number | null; readonly gap: number | null } | null;
  readonly metal: Metal;
  /** As it stands: of a tube what its burr leaves, of a cup what is left once it is thinned. */
  readonly thickness: number;
  readonly thicknessFrom: Source;
  /** A tube or a cup; null for what is bent from strip or sheet. */
  readonly ready: ReadyMade | null;
  readonly fit: Sourced<number>;
  readonly catch: Sourced<number>;
  readonly lift: Sourced<number>;
  readonly height: { readonly rule: "turn-in" | "third" } | { readonly rule: "fixed"; readonly height: number };
  readonly seamAt: number | "auto";
  readonly losses: WallLosses;
  /** What the maker's own hands take off its length and its height, in place of those; null where the bench has not agreed to one. */
  readonly learned: { readonly length: OwnLoss | null; readonly height: OwnLoss | null };
  /** Heights in mm of the strip on the maker's shelf, of this metal and thickness. */
  readonly stripHeights: readonly number[];
}

/** What follows from where the wall comes from. */
export interface SourcePlan {
  readonly figures: Figures;
  readonly findings: readonly Finding[];
  /** null where there is no seam. */
  readonly seamAt: number | null;
  /** What is left of a tube under its seat: a ring the stone stands on, its radius inside in mm and its area in mm2. */
  readonly shelf: { readonly inside: number; readonly area: number } | null;
  /** mm that come off a cup's rim; 0 where none do. */
  readonly thin: number;
  /** What is made ready of it cold, before any heat. */
  readonly first: readonly Step[];
  /** What is cut for it; nothing of a cup, which is bought as it is. */
  readonly cuts: readonly Cut[];
}

/** What one of the three schools of height makes of a wall. */
export interface HeightBySchool {
  readonly rule: HeightRule;
  /** mm as it stands when done. */
  readonly height: number;
  /** Share of the stone's height that is behind it. */
  readonly behind: number;
  /** mm past the turn-in; below 0 it does not reach it. */
  readonly past: number;
  readonly holds: boolean;
}

/** A wall as it is laid out flat, and where it goes round the stone. Lengths in mm. */
export interface Stock {
  readonly outline: Outline;
  readonly wall: Wall;
  /** The wall's middle: the outline's parallel curve at the fit and half the thickness. */
  readonly middle: Loop;
  /** null where there is no seam. */
  readonly seamAt: number | null;
  /** Teeth that close at the seam: how many, and the gaps between them in mm; null where it is not notched. */
  readonly teeth: { readonly count: number; readonly gap: number; readonly depth: number } | null;
  /** Runs of the outline where it gathers enough to be seen. */
  readonly gathers: readonly Run[];
  readonly netLength: number;
  readonly netHeight: number;
  readonly cutHeight: number;
}

export interface WallPlan extends Contribution, Omit<SourcePlan, "first" | "cuts"> {
  /** What stands on a back. */
  readonly standing: StandingWall;
  readonly stock: Stock;
  readonly schools: readonly HeightBySchool[];
  readonly cover: Cover;
  /** Whether it is set at its points before the rest. */
  readonly isPointed: boolean;
}
