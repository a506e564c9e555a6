import { type Bail, type BailDrawing } from "../../bail/bail";
import { type BentWire, type EarWire } from "../../earring/ear-wire";
import { type DrawnPost, type Post } from "../../earring/post";
import { type Outline } from "../../geometry/outline";
import { type HoopDrawing } from "../../hoop/drawing";
import { type Hoop } from "../../hoop/hoop";
import { type Contribution } from "../../joint/contribution";
import { type Band } from "../../mount/backs/back";
import { type PlannedSetting } from "../../mount/setting";
import { type Hung } from "../../mount/weights";
import { type BenchEntry } from "../bench";
import { type Fault, fault } from "../fault";
import { type Carrier, type Mount } from "../piece";

/** What a carrier draws, and what it comes to with every value settled. */
export type CarrierDrawing =
  | ({ readonly type: "hoop" } & HoopDrawing)
  | ({ readonly type: "bail"; readonly earWire: BentWire | null } & BailDrawing)
  | ({ readonly type: "posts" } & DrawnPost)
  | { readonly type: "none" };
export type SettledCarrier =
  | ({ readonly type: "hoop" } & Hoop)
  | ({ readonly type: "bail"; readonly earWire: EarWire | null } & Bail)
  | ({ readonly type: "posts" } & Post)
  | { readonly type: "none" };

/** A setting that is carried: as it was asked for, as it was planned, and with what is put on it as it hangs. */
export interface Carried {
  readonly mount: Mount;
  readonly setting: PlannedSetting;
  readonly hung: () => Hung;
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
  /** Ids of what something can be put on. */
  parts(entry: Entry): readonly string[];
  /** How many joints it has with so many mounts. */
  jointCount(entry: Entry, mounts: number): number;
  /** What it cannot mean. */
  faults(entry: Entry, mounts: readonly Mount[], bench: BenchEntry): readonly Fault[];
  plan(entry: Entry, carried: readonly Carried[], bench: BenchEntry): CarrierPlan;
}

/** An earring that is worn by itself has one setting. */
export function oneSetting(mounts: readonly Mount[]): Fault[] {
  return mounts.length === 1 ? [] : [fault("/carrier/type", "one-setting", { got: mounts.length })];
}
