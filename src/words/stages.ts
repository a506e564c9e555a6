import { type Plan, bailIn, postIn } from "@/core/piece/plan";
import { type Finding, type FindingCode } from "@/core/measure/finding";

/** The stages of a piece, in the order they are made. */
export const STAGES = ["stone", "wall", "plate", "hoop", "bail", "heats", "making"] as const;
export type StageId = (typeof STAGES)[number];

export const STAGE_NAMES: Readonly<Record<StageId, string>> = {
  stone: "Stone",
  wall: "Bezel",
  plate: "Plate",
  hoop: "Hoop",
  bail: "Bail",
  heats: "Heats",
  making: "Making",
};

/** What a stage of a piece, or of its making, is called: what an earring is worn by is no bail. */
export function stageName(name: string, stage: string, plan: Pick<Plan, "settled" | "drawing">): string {
  if (stage !== "bail") return name;
  return postIn(plan) ? "Post" : bailIn(plan)?.drawn.earWire ? "Ear wire" : name;
}

/** The stage at which each finding is shown; of what can be of a setting or of the hoop, for each. */
const FINDING_STAGES: Readonly<Record<FindingCode, StageId | readonly [ofSetting: StageId, ofHoop: StageId]>> = {
  "stone.tape-off": "stone",
  "stone.unusual": "stone",
  "wall.unusual": "wall",
  "plate.unusual": "plate",
  "hoop.unusual": "hoop",
  "wall.too-low": "wall",
  "wall.hides-stone": "wall",
  "wall.gathers": "wall",
  "wall.point": "wall",
  "wall.wrapped-short": "wall",
  "wall.seam-near-corner": "wall",
  "wall.no-strip": "wall",
  "wall.tube-loose": "wall",
  "wall.shelf-narrow": "wall",
  "wall.seat-through": "wall",
  "wall.cup-small": "wall",
  "wall.cup-large": "wall",
  "wall.left-thin": "wall",
  "wall.left-thick": "wall",
  "wall.heavy-on-soft": "wall",
  "wall.teeth-deep": "wall",
  "plate.border-thin": "plate",
  "plate.wire-room": "plate",
  "plate.stamp-off": "plate",
  "plate.stamp-under-hoop": "plate",
  "plate.drain-off": "plate",
  "plate.drain-under-hoop": "plate",
  "plate.closed-cavity": "plate",
  "plate.no-drain": "plate",
  "plate.wall-over-edge": "plate",
  "plate.walls-close": "plate",
  "loss.no-such-method": "making",
  "ledge.hides": "plate",
  "ledge.no-plate": "plate",
  "ornament.off-plate": "plate",
  "ornament.too-short": "plate",
  "ornament.no-bead": "plate",
  "ornament.small-bead": "plate",
  "ornament.pits": "plate",
  "ornament.notch-ball": "plate",
  "ornament.twist-width": "plate",
  "hoop.wide-band": "hoop",
  "hoop.flat-too-deep": "hoop",
  "hoop.saddle-too-deep": "hoop",
  "hoop.saddle-no-room": "hoop",
  "hoop.mounts-touch": "hoop",
  "hoop.rule-large": "hoop",
  "hoop.no-foot": "hoop",
  "hoop.feet-miss": "hoop",
  "hoop.wont-stand": "hoop",
  "hoop.slit-long": "hoop",
  "hoop.seam-under": "hoop",
  "hoop.plate-wide": "hoop",
  "bridge.no-meeting": "hoop",
  "bridge.short-arm": "hoop",
  "bail.bore-small": "bail",
  "bail.tube-apart": "bail",
  "bail.unequal": "bail",
  "bail.ring-thick": "bail",
  "ear.wire-thick": "bail",
  "ear.wire-thin": "bail",
  "ear.metal": "bail",
  "earwire.short": "bail",
  "post.off": "bail",
  "post.over-stamp": "bail",
  "post.low": "bail",
  "hang.turned-past": "bail",
  "hang.crooked": "bail",
  "hang.stone-guessed": "bail",
  "applied.crushed": "heats",
  "applied.near-seam": "heats",
  "applied.overlap": ["plate", "hoop"],
  "applied.under-stone": "plate",
  "applied.under-setting": "hoop",
  "applied.over-ornament": "plate",
  "applied.over-edge": ["plate", "hoop"],
  "heats.runs": "heats",
  "heats.softens": "heats",
  "heats.at-risk": "heats",
  "heats.overshoot": "heats",
  "heats.impossible": "heats",
  "heats.unproven": "heats",
  "heats.not-found": "heats",
  "heats.shelf-missing": "heats",
  "heats.pin-unknown": "heats",
  "heats.better-unpinned": "heats",
  "heats.add-no-part": "heats",
  "heats.add-taken": "heats",
  "heats.apart": "heats",
  "heats.not-in-hand": "heats",
  "heats.sweat": "heats",
};

/** The stage that a finding is shown at; null for another setting's. */
export function stageOf({ code, mount }: Pick<Finding, "code" | "mount">, shown: string): StageId | null {
  if (mount !== null && mount !== shown) return null;
  const stage = FINDING_STAGES[code];
  return typeof stage === "string" ? stage : stage[mount === null ? 1 : 0];
}
