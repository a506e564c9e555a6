import { closeSync, openSync, readSync } from "node:fs";
import { resolve } from "node:path";
import { type BenchEntry, SHIPPED, SHIPPED_BENCH } from "@/core/piece/bench";
import { bestHeats } from "@/core/heats/best";
import { type Fault, fault } from "@/core/piece/fault";
import { type Readings } from "@/core/piece/measured";
import { type Piece } from "@/core/piece/piece";
import { attemptPlan } from "@/formats/attempt";
import { decodeBench } from "@/formats/bench-codec";
import { decodeMake } from "@/formats/make-codec";
import { decodePiece } from "@/formats/piece-codec";
import { planFile } from "@/formats/plan-file";
import { MOST_BYTES, textOf } from "@/formats/read-json";
import { faultLine } from "@/words/faults";
import { printable } from "@/words/show";
import { benchCard } from "./card";

const USAGE = "usage: npm run --silent plan -- FILE [--json] [--bench FILE] [--make FILE]   (FILE may be -, standard input)";

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
  readonly make: string | null;
}

function commandOf(args: readonly string[]): Command {
  const files: string[] = [];
  const given: { bench: string | null; make: string | null } = { bench: null, make: null };
  let json = false;
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!;
    if (arg === "--json") json = true;
    else if (arg === "--bench" || arg === "--make") {
      const file = args[++i];
      if (file === undefined) throw new Misused(USAGE);
      given[arg === "--bench" ? "bench" : "make"] = file;
    } else if (arg.startsWith("--")) throw new Misused(`unknown option ${printable(arg).slice(0, 60)}\n${USAGE}`);
    else files.push(arg);
  }
  if (files.length !== 1) throw new Misused(USAGE);
  return { file: files[0]!, json, ...given };
}

/** A file's text; a path is taken from where the command was given. No more of it is read than a file may hold. */
function fileText(file: string): string {
  const read = textOf(readBytes(file));
  if (!read.ok) throw new Refused(read.faults, file);
  return read.text;
}

function readBytes(file: string): Buffer {
  let open: number | null = null;
  try {
    open = file === "-" ? 0 : openSync(resolve(process.env.INIT_CWD ?? process.cwd(), file), "r");
    const bytes = Buffer.alloc(MOST_BYTES + 1);
    let length = 0;
    while (length < bytes.length) {
      const more = readSome(open, bytes, length);
      if (more === 0) break;
      length += more;
    }
    return bytes.subarray(0, length);
  } catch (error) {
    if (error instanceof Error && "code" in error) throw new Misused(`cannot read ${printable(file).slice(0, 200)}: ${String(error.code)}`);
    throw error;
  } finally {
    if (open !== null && open !== 0) closeSync(open);
  }
}

/** Standard input may have nothing to give yet. */
function readSome(open: number, bytes: Buffer, at: number): number {
  for (;;) {
    try {
      return readSync(open, bytes, at, bytes.length - at, null);
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === "EOF") return 0;
      if ((error as NodeJS.ErrnoException).code !== "EAGAIN") throw error;
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 20);
    }
  }
}

/** A search for better heats that is not over by then gives the best found (ms). */
const SEARCHES = 10_000;

function run(args: readonly string[]): string {
  const { file, json, bench: benchFile, make: makeFile } = commandOf(args);
  const bench = benchFile === null ? undefined : decoded(decodeBench(fileText(benchFile)), benchFile);
  const piece = decoded(decodePiece(fileText(file), bench), file);
  const used = bench ?? piece.benchUsed ?? SHIPPED_BENCH;
  const measured = makeFile === null ? [] : measuredIn(makeFile, piece, used);
  const end = performance.now() + SEARCHES;
  const attempt = attemptPlan(piece, used, (assembly, wishes) => bestHeats(assembly, wishes, () => performance.now() > end), measured);
  if (!attempt.ok) throw new Refused(attempt.faults, file);
  const { plan } = attempt;
  return json ? `${JSON.stringify(planFile(plan), null, 2)}\n` : benchCard(piece, plan, { ...SHIPPED.units, ...used.units });
}

/** What was measured in a making of this piece. */
function measuredIn(file: string, piece: Piece, bench: BenchEntry): Readings {
  const make = decoded(decodeMake(fileText(file), bench), file);
  if (make.piece !== piece.id) throw new Refused([fault("/piece", "other-piece", { expected: piece.id, got: make.piece })], file);
  return make.measured;
}

function decoded<T>(result: { ok: true; value: T } | { ok: false; faults: readonly Fault[] }, file: string): T {
  if (!result.ok) throw new Refused(result.faults, file);
  return result.value;
}

/** Whoever reads the plan may stop reading; a place that cannot be written to is told. */
process.stdout.on("error", (error: NodeJS.ErrnoException) => {
  if (error.code !== "EPIPE") process.stderr.write(`cannot write the plan: ${error.code ?? error.message}\n`);
  process.exit(1);
});

try {
  process.stdout.write(run(process.argv.slice(2)));
} catch (error) {
  if (error instanceof Refused) {
    process.stderr.write(error.faults.map((each) => `${faultLine(each)}\n`).join(""));
    process.exitCode = 2;
  } else {
    process.stderr.write(`${error instanceof Misused ? error.message : `plan failed: ${printable(String(error))}`}\n`);
    process.exitCode = 1;
  }
}
