import { type Outline } from "../../geometry/outline";
import { type Reach } from "../../geometry/stepped";
import { type Contribution } from "../../joint/contribution";
import { type Tie } from "../../joint/joint";
import { type Metal } from "../../metal/metals";
import { type Sourced } from "../../measure/figure";
import { type LaidLayer } from "../layers/layer";

/** What closes a setting from below. */
export type BackKind = "plate" | "own";

/** A back with every value settled: flush is a border of 0; a cup's own base is neither cut nor sawn. Lengths in mm. */
export interface Back {
  readonly kind: BackKind;
  readonly metal: Metal;
  readonly thickness: number;
  readonly border: Sourced<number>;
  readonly sawMargin: Sourced<number>;
  /** As the maker asked for it. */
  readonly style: "flush" | "border";
  /** Whether its edge follows what lies on it, or is even all round. */
  readonly edge: "follows" | "even";
}

/** What a back is told of the wall that stands on it. */
export interface StandingWall {
  readonly part: string;
  readonly fit: Sourced<number>;
  readonly thickness: Sourced<number>;
  readonly netLength: number;
  /** That its foot stands on, in mm2. */
  readonly footArea: number;
  /** Its seams. */
  readonly joints: readonly string[];
}

export interface BackAsked {
  readonly mount: string;
  readonly outline: Outline;
  readonly wall: StandingWall;
  readonly layers: readonly LaidLayer[];
  readonly back: Back;
}

export interface BackPlan extends Contribution {
  /** How far its edge and its saw line lie outside the stone's outline. */
  readonly edge: readonly Reach[];
  readonly sawLine: readonly Reach[];
  readonly tie: Tie;
}

/** All that the rest knows of a kind of back. */
export interface BackType {
  plan(asked: BackAsked): BackPlan;
}
