import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { type Planned } from "@/ui/planner";
import { type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { figureOf } from "@/core/measure/figure";
import { type Level } from "@/core/measure/finding";
import { ifSure } from "@/words/doubt";
import { SHAPE_NAMES, SYSTEM_NAMES, counted } from "@/words/names";
import { type Units, showLength } from "@/words/show";
import { wallStock } from "@/words/wall-stock";
import { SETTLING } from "@/words/heats";
import { STAGES, type StageId, stageOf } from "@/words/stages";

export interface StemEntry {
  readonly id: StageId;
  /** The stage's one result. */
  readonly result: string;
  /** Its gravest finding, notes apart. */
  readonly level: Exclude<Level, "note"> | null;
  readonly isDone: boolean;
}

/** Stages a piece has: without a hoop there is no hoop stage, and a cup has its own base. */
export function stagesOf(piece: Piece, mount: string): StageId[] {
  const isCup = piece.mounts.find(({ id }) => id === mount)!.wall.source === "cup";
  return STAGES.filter((stage) => (stage !== "hoop" || piece.carrier.type === "hoop") && (stage !== "plate" || !isCup));
}

/** The piece in the order it is made, each stage with its result. `done` counts steps ticked off. */
export function stemOf(
  piece: Piece,
  { plan, isSettling }: Planned,
  mount: string,
  units: Units,
  done: number,
  doubtOf: DoubtOf,
): StemEntry[] {
  return stagesOf(piece, mount).map((id) => {
    const doubt = doubtAmong(RESTS[id](mount), doubtOf);
    return {
      id,
      result: id === "heats" && isSettling ? SETTLING : ifSure(doubt, resultOf(id, piece, plan, mount, units, done)),
      level: doubt ? null : levelOf(id, plan, mount),
      isDone: !doubt && (id !== "making" || done === plan.steps.length),
    };
  });
}

/** What the result of each stage can be doubted by: parts of the piece, by their keys. */
const RESTS: Readonly<Record<StageId, (mount: string) => readonly string[]>> = {
  stone: (mount) => [`${mount}.stone`],
  wall: (mount) => [`${mount}.wall`],
  plate: (mount) => [`${mount}.plate`],
  hoop: (mount) => ["hoop.cutLength", `${mount}.hoop`],
  heats: () => ["heats"],
  making: () => [],
};

function resultOf(stage: StageId, piece: Piece, plan: Plan, mountId: string, units: Units, done: number): string {
  const mount = piece.mounts.find(({ id }) => id === mountId)!;
  const value = (key: string) => figureOf(plan.figures, key).value;
  const { stone, plate } = mount;
  switch (stage) {
    case "stone":
      return `${stoneSize(stone.outline, units)}, ${showLength(stone.height, "blank", units)} tall`;
    case "wall":
      return wallResult(plan, mountId, units);
    case "plate":
      return `${showLength(value(`${mountId}.plate.length`), "blank", units)} × ${showLength(value(`${mountId}.plate.width`), "blank", units)} × ${showLength(plate.thickness, "measured", units)}, ${plate.style}`;
    case "hoop":
      return piece.carrier.type === "hoop"
        ? `${SYSTEM_NAMES[piece.carrier.size.system]} ${piece.carrier.size.value}, blank ${showLength(value("hoop.cutLength"), "blank", units)}`
        : "";
    case "heats":
      return heatsResult(plan);
    case "making":
      return `${done} of ${counted(plan.steps.length, "step")}`;
  }
}

function wallResult(plan: Plan, id: string, units: Units): string {
  const { name, size, sense } = wallStock(plan, id, units);
  const thickness = showLength(plan.settled.mounts[id]!.wall.thickness, "measured", units);
  return name === "strip" ? `strip ${size} × ${thickness}` : `${name} ${size}, ${sense}`;
}

export function stoneSize(outline: Piece["mounts"][number]["stone"]["outline"], units: Units): string {
  switch (outline.shape) {
    case "round":
      return `${showLength(outline.diameter, "blank", units)} round`;
    case "triangle":
      return `${SHAPE_NAMES.triangle}, side ${showLength(outline.side, "blank", units)}`;
    case "free":
      return `${SHAPE_NAMES.free}, ${counted(outline.points.length, "point")}`;
    default: {
      const size = `${showLength(outline.length, "blank", units)} × ${showLength(outline.width, "blank", units)}`;
      return outline.shape === "oval" ? size : `${size} ${SHAPE_NAMES[outline.shape]}`;
    }
  }
}

/** "4 heats, all hold", or what moves in them. */
function heatsResult({ heats, heatPlan }: Plan): string {
  if (heatPlan.status === "impossible") return "no order works";
  const [runs, softens] = [heats.flatMap((heat) => heat.runs).length, heats.flatMap((heat) => heat.softens).length];
  const moves = [
    ...(runs ? [`${counted(runs, "joint")} ${runs === 1 ? "runs" : "run"}`] : []),
    ...(softens ? [`${softens} ${softens === 1 ? "softens" : "soften"}`] : []),
  ];
  return `${counted(heats.length, "heat")}, ${moves.join(", ") || "all hold"}`;
}

function levelOf(stage: StageId, { findings }: Plan, mount: string): StemEntry["level"] {
  const here = findings.filter((finding) => stageOf(finding, mount) === stage).map(({ level }) => level);
  return here.includes("error") ? "error" : here.includes("warning") ? "warning" : null;
}
