import { readFileSync } from "node:fs";
import { resolve } from "node:path";
import { SHIPPED, SHIPPED_BENCH } from "@/core/piece/bench";
import { type Fault, fault } from "@/core/piece/fault";
import { planPiece } from "@/core/piece/plan-piece";
import { decodeBench } from "@/formats/bench-codec";
import { decodePiece } from "@/formats/piece-codec";
import { planFile } from "@/formats/plan-file";
import { MOST_BYTES } from "@/formats/read-json";
import { faultLine } from "@/words/faults";
import { benchCard } from "./card";

const USAGE = "usage: npm run --silent plan -- FILE [--json] [--bench FILE]   (FILE may be -, standard input)";

/** A file that cannot be planned: its faults are printed a line each, and the exit code is 2. */
class Refused extends Error {
  constructor(
    readonly faults: readonly Fault[],
    readonly file: string,
  ) {
    super("refused");
  }
}

/** A command line that cannot be followed, or a file that cannot be read: exit code 1. */
class Misused extends Error {}

interface Command {
  readonly file: string;
  readonly json: boolean;
  readonly bench: string | null;
}

function commandOf(args: readonly string[]): Command {
  const files: string[] = [];
  let [json, bench] = [false, null as string | null];
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!;
    if (arg === "--json") json = true;
    else if (arg === "--bench") bench = args[++i] ?? null;
    else if (arg.startsWith("--")) throw new Misused(`unknown option ${arg}\n${USAGE}`);
    else files.push(arg);
  }
  if (files.length !== 1 || (args.includes("--bench") && bench === null)) throw new Misused(USAGE);
  return { file: files[0]!, json, bench };
}

/** A file's text; a path is taken from where the command was given. */
function textOf(file: string): string {
  const bytes = readBytes(file);
  if (bytes.length > MOST_BYTES) throw new Refused([fault("", "too-large", { limit: MOST_BYTES })], file);
  return bytes.toString("utf8");
}

function readBytes(file: string): Buffer {
  try {
    return file === "-" ? readFileSync(0) : readFileSync(resolve(process.env.INIT_CWD ?? process.cwd(), file));
  } catch (error) {
    if (error instanceof Error && "code" in error) throw new Misused(`cannot read ${file}: ${String(error.code)}`);
    throw error;
  }
}

function run(args: readonly string[]): string {
  const { file, json, bench: benchFile } = commandOf(args);
  const bench = benchFile === null ? undefined : decoded(decodeBench(textOf(benchFile)), benchFile);
  const piece = decoded(decodePiece(textOf(file), bench), file);
  const used = bench ?? piece.benchUsed ?? SHIPPED_BENCH;
  const plan = planPiece(piece, used);
  return json ? `${JSON.stringify(planFile(plan), null, 2)}\n` : benchCard(piece, plan, { ...SHIPPED.units, ...used.units });
}

function decoded<T>(result: { ok: true; value: T } | { ok: false; faults: readonly Fault[] }, file: string): T {
  if (!result.ok) throw new Refused(result.faults, file);
  return result.value;
}

try {
  process.stdout.write(run(process.argv.slice(2)));
} catch (error) {
  if (error instanceof Refused) {
    process.stderr.write(error.faults.map((each) => `${faultLine(each)}\n`).join(""));
    process.exitCode = 2;
  } else {
    process.stderr.write(`${error instanceof Misused ? error.message : `plan failed: ${String(error)}`}\n`);
    process.exitCode = 1;
  }
}
