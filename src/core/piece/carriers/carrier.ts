import { type Outline } from "../../geometry/outline";
import { type HoopDrawing } from "../../hoop/drawing";
import { type Hoop } from "../../hoop/hoop";
import { type Contribution } from "../../joint/contribution";
import { type Band } from "../../mount/backs/back";
import { type PlannedSetting } from "../../mount/setting";
import { type BenchEntry } from "../bench";
import { type Carrier, type Mount } from "../piece";

/** What a carrier draws, and what it comes to with every value settled. */
export type CarrierDrawing = ({ readonly type: "hoop" } & HoopDrawing) | { readonly type: "none" };
export type SettledCarrier = ({ readonly type: "hoop" } & Hoop) | { readonly type: "none" };

/** A setting that is carried: as it was asked for, and as it was planned. */
export interface Carried {
  readonly mount: Mount;
  readonly setting: PlannedSetting;
}

export interface CarrierPlan {
  /** What it weighs stands with its parts. */
  readonly contribution: Contribution;
  readonly drawing: CarrierDrawing;
  readonly settled: SettledCarrier;
}

/** All that the rest knows of a kind of carrier. */
export interface CarrierKind<Entry extends Carrier> {
  /** Where it meets a setting's outline: places that a seam keeps clear of. */
  places(entry: Entry, mount: Mount, outline: Outline): readonly number[];
  /** Where it lies across a setting's back; null where it does not. */
  band(entry: Entry, mount: Mount): Band | null;
  plan(entry: Entry, carried: readonly Carried[], bench: BenchEntry): CarrierPlan;
}
