import { type Fault, fault } from "@/core/piece/fault";
import { type Course, type Flame } from "@/core/practice/play";
import { type TryResult } from "@/core/practice/outcome";
import { type Piece } from "@/core/piece/piece";
import { type TorchMoment, USUAL_TOWARD, bestDistance } from "@/core/practice/torch";
import { type TorchAct } from "@/core/practice/heat";
import { type Decoded } from "./decode";
import { validatePlayedFlame } from "./generated/validators";
import { parsed } from "./read-json";
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
  const { flame, acts = [] } = file as unknown as FlameFile;
  const late = [...lateFaults("/flame", flame.map(([ms]) => ms)), ...lateFaults("/acts", acts.map(({ ms }) => ms))]; // prettier-ignore
  if (late.length > 0) return { ok: false, faults: late };
  return { ok: true, value: { flame: flame.map(momentOf), acts }, migratedFrom: null };
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

/** A try that is over, as it is saved: `id` and `at` are the page's. */
export interface SavedTry {
  readonly id: string;
  readonly at: string;
  readonly pieceFile: Piece;
  readonly joints: readonly string[];
  readonly flame: Flame;
  readonly result: TryResult;
}

/** Which model a try was played by: played again by the same it comes to the same. */
const MODEL = 1;

/** A try as its file's text; see the contract of `try`. */
export function tryText({ id, at, pieceFile, joints, flame: { flame, acts }, result }: SavedTry): string {
  const file = { format: "hoop-ledger/try", version: 1, model: MODEL, id, piece: pieceFile.id, pieceFile, joints, at };
  return `${JSON.stringify({ ...file, flame: flameEntries(flame), acts, result })}\n`;
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
