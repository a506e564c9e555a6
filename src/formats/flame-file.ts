import { type BenchEntry, benchOf } from "@/core/piece/bench";
import { type Fault, fault } from "@/core/piece/fault";
import { type ActAt, type Course, type Flame } from "@/core/practice/play";
import { type TryResult } from "@/core/practice/outcome";
import { type Piece } from "@/core/piece/piece";
import { withoutPictures } from "@/core/piece/pictures";
import { type TorchMoment, USUAL_TOWARD, bestDistance } from "@/core/practice/torch";
import { type TorchAct } from "@/core/practice/heat";
import { type Decoded, decode, faultsUnder } from "./decode";
import { validatePlayedFlame } from "./generated/validators";
import { TRY } from "./kinds";
import { pieceOnBench } from "./piece-codec";
import { type Json, asObject, parsed } from "./read-json";
import { schemaFaults } from "./validate";

/** A flame at a moment as a file has it: ms, x, y, size, on; below, distance and toward may be left out. */
type FlameEntry = readonly [
  ms: number,
  x: number,
  y: number,
  size: number,
  isOn: boolean,
  isBelow?: boolean,
  distance?: number,
  toward?: number,
];

interface FlameFile {
  readonly flame: readonly FlameEntry[];
  readonly acts?: readonly { readonly ms: number; readonly do: TorchAct }[];
}

/** A flame from a file's text: the list of its moments alone, or a try that holds one with its acts. */
export function decodeFlame(text: string): Decoded<Flame> {
  const json = parsed(text)?.value;
  if (json === undefined) return { ok: false, faults: [fault("", "not-json")] };
  const file = Array.isArray(json) ? { flame: json } : json;
  const faults = schemaFaults(validatePlayedFlame, file);
  if (faults.length > 0) return { ok: false, faults };
  const played = file as unknown as FlameFile;
  const late = orderFaults(played);
  return late.length > 0 ? { ok: false, faults: late } : { ok: true, value: flameOf(played), migratedFrom: null };
}

/** The flame of a file. */
export function flameOf({ flame, acts = [] }: FlameFile): Flame {
  return { flame: flame.map(momentOf), acts };
}

/** What of a flame stands out of its order. */
function orderFaults({ flame, acts = [] }: FlameFile): Fault[] {
  return [...lateFaults("/flame", flame.map(([ms]) => ms)), ...lateFaults("/acts", acts.map(({ ms }) => ms))]; // prettier-ignore
}

/** What comes before the one before it. */
function lateFaults(path: string, times: readonly number[]): Fault[] {
  return times.flatMap((ms, i) =>
    i > 0 && ms < times[i - 1]! ? [fault(`${path}/${i}`, "at-least", { limit: times[i - 1]!, got: ms })] : [],
  );
}

function momentOf([ms, x, y, size, isOn, isBelow = false, distance = bestDistance(size), toward = USUAL_TOWARD]: FlameEntry): TorchMoment {
  return { ms, x, y, size, isOn, isBelow, distance, toward };
}

/** A try at the torch as it is kept and as its file has it; see the contract of `try`. */
export interface TryFile {
  readonly format: "hoop-ledger/try";
  readonly version: 1;
  readonly model: number;
  readonly id: string;
  /** The id of its piece. */
  readonly piece: string;
  /** The piece as it was then, with the bench it was planned with. */
  readonly pieceFile: Piece;
  readonly joints: readonly string[];
  /** ISO time it ended. */
  readonly at: string;
  readonly flame: readonly FlameEntry[];
  readonly acts: readonly ActAt[];
  readonly result: TryResult;
}

/** Which model a try is played by: played again by the same it comes to the same. */
export const MODEL = 1;

/** A piece as a try keeps it: with the bench it is planned with, without pictures and the bench's drawer, of which nothing of a heat comes. */
export function pieceOfTry(piece: Piece, mine: BenchEntry): Piece {
  const { stock: _stock, scrap: _scrap, rates: _rates, bought: _bought, useful: _useful, ...bench } = benchOf(piece, mine);
  return { ...withoutPictures(piece), benchUsed: bench };
}

/** What a try is made of; `id` and `at` are the page's. */
export interface EndedTry extends Pick<TryFile, "id" | "at" | "pieceFile" | "joints" | "result"> {
  readonly flame: Flame;
}

export function tryFile({ id, at, pieceFile, joints, flame: { flame, acts }, result }: EndedTry): TryFile {
  const head = { format: "hoop-ledger/try", version: 1, model: MODEL } as const;
  return { ...head, id, piece: pieceFile.id, pieceFile, joints, at, flame: flameEntries(flame), acts, result };
}

/** A try from what was parsed, its copy of the piece read by the piece's decoder. `mine` is the bench that a copy without one was planned with. */
export function tryFromJson(value: Json, mine: BenchEntry): Decoded<TryFile> {
  const decoded = decode<TryFile>(TRY, asObject(value, TRY.format, TRY.lists));
  if (!decoded.ok) return decoded;
  const tried = decoded.value;
  const piece = pieceOnBench(tried.pieceFile as unknown as Json, mine);
  const isOther = piece.ok && piece.value.id !== tried.piece;
  const faults = [
    ...faultsUnder("/pieceFile", piece),
    ...orderFaults(tried),
    ...(isOther ? [fault("/pieceFile/id", "one-of", { expected: tried.piece, got: tried.pieceFile.id })] : []),
  ];
  if (!piece.ok || faults.length > 0) return { ok: false, faults };
  return { ...decoded, value: { ...tried, pieceFile: piece.value, result: { ...tried.result, opened: tried.result.opened ?? [] } } };
}

/** A flame as a file has it. */
function flameEntries(flame: readonly TorchMoment[]): FlameEntry[] {
  return flame.map(({ ms, x, y, size, isOn, isBelow, distance, toward }) => [ms, x, y, size, isOn, isBelow, distance, toward]);
}

/** How a heat went, as a file has it; see the contract of `torch`. */
export function courseFile({ every, parts, energy, outcome }: Course): object {
  return {
    format: "hoop-ledger/course",
    version: 1,
    every,
    parts: Object.fromEntries(parts.map(({ part, ...course }) => [part, course])),
    energy,
    result: outcome.result,
  };
}
