import { type Loop, type Outline, type Point } from "../../geometry/outline";
import { type Rim } from "../../geometry/rim";
import { type Contribution } from "../../joint/contribution";
import { type Tie } from "../../joint/joint";
import { type Step } from "../../making/step";
import { type Metal } from "../../metal/metals";
import { type Sourced } from "../../measure/figure";
import { type LaidLayer } from "../layers/layer";
import { type WallLosses } from "../wall";

/**
 * What closes a setting from below: a plate as wide as what stands on it, one of its own outline, another setting's, a cup's own base, a ledge that
 * the stone stands on, or nothing but the floor of its tube.
 */
export type BackKind = "plate" | "own" | "shared" | "base" | "open" | "none";

/** A ring of wire inside the wall: how far it reaches in, and how high it stands (mm). */
export interface Ledge {
  readonly width: number;
  readonly height: number;
  readonly metal: Metal;
}

/** What is struck into a back, or drilled through it; null where its place is left to the plan. Degrees anticlockwise. */
export interface Stamp {
  readonly width: number;
  readonly height: number;
  readonly at: Point | null;
  readonly turn: number;
}

export interface Drain {
  readonly diameter: number;
  readonly at: Point | null;
}

/** A back with every value settled: flush is a border of 0; a cup's own base is neither cut nor sawn. Lengths in mm. */
export interface Back {
  readonly kind: BackKind;
  readonly metal: Metal;
  readonly thickness: number;
  readonly border: Sourced<number>;
  readonly sawMargin: Sourced<number>;
  /** As the maker asked for it. */
  readonly style: "flush" | "border" | "open" | "own" | "shared" | "none";
  /** The outline of a plate of its own. */
  readonly own: Outline | null;
  /** mm that it is domed by; 0 flat. */
  readonly rise: number;
  /** What is worked into it. */
  readonly texture: string | null;
  /** Whether its edge follows what lies on it, or is even all round. */
  readonly edge: "follows" | "even";
  readonly ledge: Ledge | null;
  readonly stamp: Stamp | null;
  readonly drain: Drain | null;
}

/** What a back is told of the wall that stands on it. */
export interface StandingWall {
  readonly part: string;
  readonly fit: Sourced<number>;
  readonly thickness: Sourced<number>;
  readonly netLength: number;
  /** mm that the stone stands above the foot. */
  readonly lift: number;
  /** That its foot stands on, in mm2. */
  readonly footArea: number;
  /** Its seams. */
  readonly joints: readonly string[];
}

/** A plate as those are told of it that stand on it beside the setting whose it is. */
export interface SharedPlate {
  readonly mount: string;
  readonly part: string;
  readonly metal: Metal;
  readonly thickness: number;
  /** Its finished edge, and so much further out. */
  readonly edge: (by: number) => Loop;
  readonly sawMargin: number;
  readonly sphere: number | null;
  readonly rise: number;
  /** How it is made ready for what stands on it. */
  readonly before: readonly Step[];
  /** What is worked on it once all that lies on it has been joined. */
  readonly finishing: readonly Step[];
}

/** Where a carrier lies across a back: a band through its middle, so wide to each side, along a direction in radians from the outline's length. */
export interface Band {
  readonly half: number;
  readonly along: number;
}

export interface BackAsked {
  readonly mount: string;
  readonly outline: Outline;
  /** Radians that the stone is turned by in its plane. */
  readonly turn: number;
  /** The plate that it shares; null where its back is its own. */
  readonly on: SharedPlate | null;
  readonly wall: StandingWall;
  readonly layers: readonly LaidLayer[];
  readonly back: Back;
  readonly losses: Pick<WallLosses, "squaring" | "mark">;
  /** Places on the outline that a seam had better not lie at. */
  readonly taken: readonly number[];
  readonly band: Band | null;
  /** Whether the stone over it suffers from water. */
  readonly isTenderToWater: boolean;
}

/** What is struck or drilled, where it lies: from above, as everything else. */
export interface BackDrawing {
  /** The plate, by its part: sawn to its edge, and shown from behind; null where there is none. */
  readonly plate: string | null;
  /** What of it lies outside everything that stands on it, from within outward, in mm. */
  readonly outer: readonly { readonly code: "border" | "saw"; readonly width: number }[];
  /** Corners of the stamp, and how far it lies from the edge and from the carrier's band; below 0 it lies over one of them. */
  readonly stamp: { readonly corners: readonly Point[]; readonly at: Point; readonly clear: number } | null;
  readonly drain: { readonly at: Point; readonly diameter: number } | null;
  /** Where the carrier lies; null where it lies nowhere. */
  readonly band: Band | null;
}

export interface BackPlan extends Contribution {
  /** Its edge, and the line it is sawn along first. */
  readonly rim: Rim;
  readonly sawLine: Rim;
  readonly tie: Tie;
  /** What is worked on it once all that lies on it has been joined. */
  readonly finishing: readonly Step[];
  /** mm that a carrier can be let into it. */
  readonly thickness: number;
  /** mm of metal under the whole stone; 0 where the back is open. */
  readonly base: number;
  /** What the stone stands on: how far inside the outline it reaches, and how high; null where it stands on the back. */
  readonly ledge: { readonly reach: number; readonly height: number } | null;
  /** What others can stand on; null where they cannot. */
  readonly plate: SharedPlate | null;
  /** Radius of the sphere that its foot is filed to, and how far that rises over the plate's edge (mm); null where it stands on what is flat. */
  readonly sphere: number | null;
  readonly rise: number;
  readonly drawn: BackDrawing;
}

/** All that the rest knows of a kind of back. */
export interface BackType {
  plan(asked: BackAsked): BackPlan;
}

/** A back that has no plate of its own. */
export const NO_PLATE: BackDrawing = { plate: null, outer: [], stamp: null, drain: null, band: null };
