import { bestHeats } from "@/core/heats/best";
import { type BenchEntry, SHIPPED, SHIPPED_BENCH, benchOf } from "@/core/piece/bench";
import { fault } from "@/core/piece/fault";
import { type Readings } from "@/core/piece/measured";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { attemptPlan } from "@/formats/attempt";
import { decodeBench } from "@/formats/bench-codec";
import { decodeMake } from "@/formats/make-codec";
import { decodePiece } from "@/formats/piece-codec";
import { type Units } from "@/words/show";
import { Refused, decoded, fileText } from "./files";

/** A search for better heats that is not over by then gives the best found (ms). */
const SEARCHES = 10_000;

interface Asked {
  readonly file: string;
  readonly bench?: string | undefined;
  readonly make?: string | undefined;
}

/** A piece's file, planned on a bench's file or its own, after a making's where one is given. @throws Refused with what stands against it. */
export function planned(asked: Asked): { readonly piece: Piece; readonly plan: Plan; readonly units: Units } {
  const bench = asked.bench === undefined ? undefined : decoded(decodeBench(fileText(asked.bench)), asked.bench);
  const piece = decoded(decodePiece(fileText(asked.file), bench), asked.file);
  const used = bench ?? benchOf(piece, SHIPPED_BENCH);
  const measured = asked.make === undefined ? [] : measuredIn(asked.make, piece, used);
  const end = performance.now() + SEARCHES;
  const attempt = attemptPlan(piece, used, (assembly, wishes) => bestHeats(assembly, wishes, () => performance.now() > end), measured);
  if (!attempt.ok) throw new Refused(attempt.faults, asked.file);
  return { piece, plan: attempt.plan, units: { ...SHIPPED.units, ...used.units } };
}

/** What was measured in a making of this piece. */
function measuredIn(file: string, piece: Piece, bench: BenchEntry): Readings {
  const make = decoded(decodeMake(fileText(file), bench), file);
  if (make.piece !== piece.id) throw new Refused([fault("/piece", "other-piece", { expected: piece.id, got: make.piece })], file);
  return make.measured;
}
