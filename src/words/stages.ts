import { type Finding, type FindingCode } from "@/core/measure/finding";

/** The stages of a piece, in the order they are made. */
export const STAGES = ["stone", "wall", "plate", "hoop", "heats", "making"] as const;
export type StageId = (typeof STAGES)[number];

export const STAGE_NAMES: Readonly<Record<StageId, string>> = {
  stone: "Stone",
  wall: "Wall",
  plate: "Plate",
  hoop: "Hoop",
  heats: "Heats",
  making: "Making",
};

/** The stage at which each finding is shown. */
const FINDING_STAGES: Readonly<Record<FindingCode, StageId>> = {
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
  "plate.border-thin": "plate",
  "plate.wire-room": "plate",
  "plate.stamp-off": "plate",
  "plate.stamp-under-hoop": "plate",
  "plate.drain-off": "plate",
  "plate.drain-under-hoop": "plate",
  "plate.closed-cavity": "plate",
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
  "applied.crushed": "heats",
  "applied.near-seam": "heats",
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
};

/** The stage that a finding is shown at; null for another setting's. */
export function stageOf({ code, mount }: Pick<Finding, "code" | "mount">, shown: string): StageId | null {
  return mount === null || mount === shown ? FINDING_STAGES[code] : null;
}
