import { type FindingCode } from "@/core/measure/finding";

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

const OF_A_SETTING: readonly string[] = ["stone", "wall", "plate"];

/** The stage that a finding is shown at; null for another setting's. */
export function stageOf(code: FindingCode, at: string, mount: string): StageId | null {
  const stage = code.slice(0, code.indexOf(".")) as StageId;
  return OF_A_SETTING.includes(stage) && !at.startsWith(`${mount}.`) ? null : stage;
}
