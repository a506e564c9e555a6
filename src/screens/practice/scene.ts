import { type BenchEntry, SHIPPED_BENCH, benchOf } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { planPiece } from "@/core/piece/plan-piece";
import { type HeatBody, bodyOf } from "@/core/practice/body";
import { isWon } from "@/core/practice/outcome";
import { MODEL, type TryFile, pieceOfTry } from "@/formats/flame-file";
import { isSame } from "@/core/measure/same";
import { type Names, namesIn } from "@/words/names";

/** A heat of a plan, laid out to be played. */
export interface Scene {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly index: number;
  readonly body: HeatBody;
  readonly names: Names;
}

export function sceneOf(piece: Piece, plan: Plan, index: number): Scene {
  return { piece, plan, index, body: bodyOf(plan, index), names: namesIn(plan) };
}

/** The heat that a try was played on, by its own copy of the piece; null where this program has no such heat, or another model. */
export function sceneOfTry({ model, pieceFile, joints }: TryFile): Scene | null {
  if (model !== MODEL) return null;
  const plan = planPiece(pieceFile, benchOf(pieceFile, SHIPPED_BENCH));
  const index = plan.heats.findIndex((heat) => joints.every((joint) => heat.joints.includes(joint)));
  return index < 0 ? null : sceneOf(pieceFile, plan, index);
}

/** Whether a try was played on this very heat: of the piece as it is now, on the bench as it is now; what they are called does not count. */
export function isOf({ pieceFile, joints }: TryFile, { piece, plan, index }: Scene, bench: BenchEntry): boolean {
  return isSame(plan.heats[index]!.joints, joints) && isSame(unnamed(pieceFile), unnamed(pieceOfTry(piece, bench)));
}

/** A piece without what no heat depends on. */
function unnamed({ name: _name, notes: _notes, count: _count, benchUsed, ...piece }: Piece): object {
  const { name: _bench, ...bench } = benchUsed ?? SHIPPED_BENCH;
  return { ...piece, bench };
}

/** Whether a try made what its heat was to make, by the plan of the heat it is listed at. */
export function isWonAt({ result }: TryFile, { plan, index }: Pick<Scene, "plan" | "index">): boolean {
  return isWon(result, plan.heats[index]!);
}
