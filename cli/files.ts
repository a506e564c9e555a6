import { closeSync, openSync, readSync } from "node:fs";
import { resolve } from "node:path";
import { type Fault } from "@/core/piece/fault";
import { MOST_BYTES, textOf } from "@/formats/read-json";
import { faultLine } from "@/words/faults";
import { printable } from "@/words/show";

/** A file that cannot be planned: its faults are printed a line each, and the exit code is 2. */
export class Refused extends Error {
  constructor(
    readonly faults: readonly Fault[],
    readonly file: string,
  ) {
    super("refused");
  }
}

/** A command line that cannot be followed, or a file that cannot be read: exit code 1. */
export class Misused extends Error {}

/** A path is taken from where the command was given. */
export function fromHere(path: string): string {
  return resolve(process.env.INIT_CWD ?? process.cwd(), path);
}

/** A file's text; no more of it is read than a file of its kind may hold. */
export function fileText(file: string, most = MOST_BYTES): string {
  const read = textOf(readBytes(file, most), most);
  if (!read.ok) throw new Refused(read.faults, file);
  return read.text;
}

function readBytes(file: string, most: number): Buffer {
  let open: number | null = null;
  try {
    open = file === "-" ? 0 : openSync(fromHere(file), "r");
    const bytes = Buffer.alloc(most + 1);
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

export function decoded<T>(result: { ok: true; value: T } | { ok: false; faults: readonly Fault[] }, file: string): T {
  if (!result.ok) throw new Refused(result.faults, file);
  return result.value;
}

/** Runs a command: what it says goes to standard output, its faults to standard error, its exit code is 0, 2 or 1. */
export async function command(what: string, run: (args: readonly string[]) => string | Promise<string>): Promise<void> {
  // Whoever reads what it says may stop reading; a place that cannot be written to is told.
  process.stdout.on("error", (error: NodeJS.ErrnoException) => {
    if (error.code !== "EPIPE") process.stderr.write(`cannot write the ${what}: ${error.code ?? error.message}\n`);
    process.exit(1);
  });
  try {
    process.stdout.write(await run(process.argv.slice(2)));
  } catch (error) {
    if (error instanceof Refused) {
      process.stderr.write(error.faults.map((each) => `${faultLine(each)}\n`).join(""));
      process.exitCode = 2;
    } else {
      process.stderr.write(`${error instanceof Misused ? error.message : `${what} failed: ${printable(String(error))}`}\n`);
      process.exitCode = 1;
    }
  }
}

/** A command line's one file, and what its options say; those of `flags` stand alone. @throws Misused for any other. */
export function argsOf(args: readonly string[], usage: string, options: readonly string[], flags: readonly string[] = []) {
  const { files, given } = manyArgsOf(args, usage, options, flags);
  if (files.length !== 1) throw new Misused(usage);
  return { file: files[0]!, given };
}

/** The same for a command that takes several files. */
export function manyArgsOf(args: readonly string[], usage: string, options: readonly string[], flags: readonly string[] = []) {
  const files: string[] = [];
  const given = new Map<string, string>();
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!;
    if (flags.includes(arg)) given.set(arg, "");
    else if (options.includes(arg)) {
      const value = args[++i];
      if (value === undefined) throw new Misused(usage);
      given.set(arg, value);
    } else if (arg.startsWith("--")) throw new Misused(`unknown option ${printable(arg).slice(0, 60)}\n${usage}`);
    else files.push(arg);
  }
  if (files.length === 0) throw new Misused(usage);
  return { files, given };
}
