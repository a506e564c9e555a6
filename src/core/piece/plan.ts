import { type Cost } from "../heats/cost";
import { type FlameShare } from "../heats/flame";
import { type JointKind, type PartKind } from "../joint/joint";
import { type Placing } from "../joint/placing";
import { type CarrierDrawing, type SettledCarrier } from "./carriers/carrier";
import { type Conflict, type Means } from "../heats/best";
import { type Pallions } from "../heats/solder";
import { type HeatWishes } from "../heats/problem";
import { type PlannedTask } from "../making/schedule";
import { type Step } from "../making/step";
import { type Blank } from "../measure/blank";
import { type Figures } from "../measure/figure";
import { type Finding } from "../measure/finding";
import { type Cut } from "../metal/cut";
import { type Metal } from "../metal/metals";
import { type Applied } from "../applied/applied";
import { type SettingDrawing } from "../mount/drawing";
import { type Back } from "../mount/backs/back";
import { type Remedy } from "./remedies";
import { type Wall } from "../mount/wall";

/** What a piece comes to. Its file leaves out `cuts`, `drawing` and `settled`. */
export interface Plan {
  readonly format: "hoop-ledger/plan";
  readonly version: 1;
  readonly piece: string;
  readonly figures: Figures;
  readonly parts: readonly PlannedPart[];
  readonly joints: readonly PlannedJoint[];
  /** Joints that are wished away, by what they would be. */
  readonly leftOut: readonly Pick<PlannedJoint, "id" | "kind" | "mount" | "parts">[];
  readonly heatPlan: HeatPlan;
  readonly heats: readonly PlannedHeat[];
  readonly steps: readonly Step[];
  /** The steps as they take time; null where no order of heats was found. */
  readonly tasks: readonly PlannedTask[] | null;
  readonly findings: readonly Finding[];
  /** What is to be done about what was read in the making. */
  readonly remedies: readonly Remedy[];
  /** What is cut for each part, in the order it is made; of one copy. Its file leaves it out. */
  readonly cuts: readonly Cut[];
  readonly drawing: Drawing;
  readonly settled: Settled;
}

export interface PlannedPart {
  readonly id: string;
  readonly kind: PartKind;
  readonly name?: string;
  /** The setting it belongs to, or null. */
  readonly mount: string | null;
  readonly metal: Metal;
  /** g */
  readonly mass: number;
}

export interface PlannedJoint {
  readonly id: string;
  readonly kind: JointKind;
  /** The setting it belongs to, or null. */
  readonly mount: string | null;
  /** Where its solder is put, or how it is made without. */
  readonly means: Placing | "fuse" | "cold";
  readonly parts: readonly string[];
  /** mm */
  readonly length: number;
  /** mm2 */
  readonly area: number;
  readonly place: string;
  readonly after: readonly string[];
  readonly follows: readonly string[];
  /** What it may be made with under the way of grading and the pins. */
  readonly grades: readonly string[];
  readonly pinned: boolean;
}

export interface HeatPlan {
  readonly status: "best" | "unproven" | "impossible";
  /** A cost that no plan can beat, where the plan is not proven to be the best. */
  readonly bound: Cost | null;
  readonly conflicts: readonly Conflict[];
}

export interface PlannedHeat {
  readonly joints: readonly string[];
  readonly means: Means;
  readonly grade: string;
  /** Degrees C. */
  readonly working: number;
  readonly softens: readonly string[];
  readonly runs: readonly string[];
  readonly atRisk: readonly string[];
  /** All the solder of the heat, its size null where the joints' pieces differ; null where it is fused. */
  readonly pallions: (Omit<Pallions, "size"> & { readonly size: Pallions["size"] | null }) | null;
  /** The solder of each joint, in the order of `joints`. */
  readonly solder: readonly Pallions[];
  readonly flame: readonly FlameShare[];
  /** The part to keep the flame off. */
  readonly thin: string | null;
}

/** Every value that went into the plan, with where it came from. */
export interface Settled {
  readonly mounts: Readonly<Record<string, { readonly wall: Wall; readonly back: Back }>>;
  readonly carrier: SettledCarrier;
  readonly heats: HeatWishes;
}

/** The heat in which a joint is made, and its solder there, null where it is fused; null for one that is made cold, or where no order of heats works. */
export function heatOf(
  { heats }: Pick<Plan, "heats">,
  joint: string,
): { readonly heat: PlannedHeat; readonly solder: Pallions | null } | null {
  const heat = heats.find(({ joints }) => joints.includes(joint));
  return heat ? { heat, solder: heat.solder[heat.joints.indexOf(joint)] ?? null } : null;
}

/** A plan's hoop, with every value settled and as it is drawn; null where something else or nothing carries it. */
export function hoopIn({ settled, drawing }: Pick<Plan, "settled" | "drawing">) {
  const { carrier } = settled;
  const drawn = drawing.carrier;
  return carrier.type === "hoop" && drawn.type === "hoop" ? { settled: carrier, drawn } : null;
}

/** What a plan's settings hang by, with every value settled and as it is drawn; null where something else or nothing carries them. */
export function bailIn({ settled, drawing }: Pick<Plan, "settled" | "drawing">) {
  const { carrier } = settled;
  const drawn = drawing.carrier;
  return carrier.type === "bail" && drawn.type === "bail" ? { settled: carrier, drawn } : null;
}

/** The post of a plan's studs; null where they are worn by something else. */
export function postIn({ settled, drawing }: Pick<Plan, "settled" | "drawing">) {
  const { carrier } = settled;
  const drawn = drawing.carrier;
  return carrier.type === "posts" && drawn.type === "posts" ? { settled: carrier, drawn } : null;
}

export interface Drawing {
  readonly settings: Readonly<Record<string, SettingDrawing>>;
  readonly carrier: CarrierDrawing;
  /** What is put on. */
  readonly applied: readonly Applied[];
  /** What lies along a rule, by the part it is cut for; the tape round a stone by its own. */
  readonly laid: Readonly<Record<string, Blank>>;
}

/** The settings that stand on the plate of another, each with how it is drawn. */
export function sharersOf(settings: Drawing["settings"], host: string): [id: string, drawing: SettingDrawing][] {
  return Object.entries(settings).filter(([id, drawing]) => id !== host && drawing.host === host);
}

/** How far a setting's axis lies from the middle of its seat, along the finger's curve (mm). */
export function besideSeat({ host, middle: [x, y] }: SettingDrawing, settings: Drawing["settings"]): number {
  const { band } = settings[host]!.plan.back;
  const way = (band?.along ?? 0) + Math.PI / 2;
  return x * Math.cos(way) + y * Math.sin(way);
}
