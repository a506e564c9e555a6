import { spawnSync } from "node:child_process";
import { demoMakes } from "@demo/makes";
import { DEMO_PIECES } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { bestHeats } from "@/core/heats/best";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { attemptPlan } from "@/formats/attempt";
import { decodeBackup } from "@/formats/backup-codec";
import { decodeBench } from "@/formats/bench-codec";
import { makeFromJson } from "@/formats/make-codec";
import { makesCsv, readMakesCsv } from "@/formats/makes-csv";
import { decodePiece } from "@/formats/piece-codec";
import { planFile } from "@/formats/plan-file";
import { type Json } from "@/formats/read-json";
import { faultLine } from "@/words/faults";
import { type Random, mutated } from "./random";
import { report, until } from "./report";

/** A refusal takes no longer than this, and a plan no longer than that (ms). */
const BOUND = { refusal: 200, plan: 2000 } as const;

interface Tally {
  threw: number;
  slow: number;
  slowest: number;
  planned: number;
}

/** Hands mutated files to a reader; what throws or takes too long is bad. `read` returns whether the file was taken. */
function attackReader(
  what: string,
  seconds: number,
  most: number,
  bound: number,
  make: (i: number) => string,
  read: (text: string) => boolean,
): void {
  const tally: Tally = { threw: 0, slow: 0, slowest: 0, planned: 0 };
  const tries = until(seconds, most, (i) => {
    const text = make(i);
    const start = performance.now();
    try {
      if (read(text)) tally.planned++;
    } catch (error) {
      if (tally.threw++ < 3) console.error(what, String(error).slice(0, 300), text.slice(0, 400));
    }
    const took = performance.now() - start;
    tally.slowest = Math.max(tally.slowest, took);
    if (took > bound) tally.slow++;
  });
  const found = `${tally.planned} taken, ${tally.threw} threw, slowest ${tally.slowest.toFixed(0)} ms`;
  report({ what, tries, bad: tally.threw + tally.slow, found });
}

const say = (faults: readonly Parameters<typeof faultLine>[0][]) => faults.map(faultLine).join("\n").length > 0;

function planned(piece: Piece, bench = SHIPPED_BENCH): boolean {
  const end = performance.now() + 1400;
  const attempt = attemptPlan(piece, bench, (assembly, wishes) => bestHeats(assembly, wishes, () => performance.now() > end));
  if (!attempt.ok) {
    if (attempt.faults.some(({ code }) => code === "not-worked-out")) throw new Error(faultLine(attempt.faults[0]!));
    return false;
  }
  const text = JSON.stringify(planFile(attempt.plan));
  if (/:null,"unit"|NaN|Infinity/.test(text)) throw new Error("a figure that is no number");
  return true;
}

const bench = {
  ...SHIPPED_BENCH,
  name: "Marram Workshop",
  mandrel: [{ label: "54", diameter: 17.22 }],
  losses: { wall: { squaring: 0.44 }, hoop: { kerf: 0.28 } },
  shelves: [{ id: "typical", grades: [{ id: "hard", rank: 1, gives: 740, runs: 787, forms: [{ type: "sheet", thickness: 0.25 }] }] }],
  strips: [{ metal: "fine-silver", thickness: 0.32, heights: [2.5, 3.2] }],
};

/** Makes as they are today: ticks, readings, remedies, a result, pictures, a piece taken since. */
const MAKES: readonly Make[] = demoMakes().map((each) => ({
  ...each,
  photos: [{ name: "shot.png", at: each.started, jpeg: "AAAA" }],
  taken: [{ at: each.started, pieceFile: each.pieceFile }],
}));

/** Pieces, benches, makes and backups, mutated, through decoders, planner and command line. */
export function attackCore(random: Random, seconds: number): void {
  const piece = () => mutated(random.of(DEMO_PIECES), random);
  const readAndPlanned = (text: string) => {
    const decoded = decodePiece(text);
    return decoded.ok ? planned(decoded.value) : !say(decoded.faults);
  };
  attackReader("mutated pieces, decoded and planned", seconds, 20_000, BOUND.plan, () => JSON.stringify(piece()), readAndPlanned);
  attackReader(
    "pieces with a text cut, doubled or scrambled",
    seconds / 3,
    5000,
    BOUND.plan,
    () => scrambled(JSON.stringify(random.of(DEMO_PIECES)), random),
    readAndPlanned,
  );
  attackReader(
    "mutated benches, decoded and planned with",
    seconds / 3,
    5000,
    BOUND.plan,
    () => JSON.stringify(mutated(bench, random)),
    (text) => {
      const decoded = decodeBench(text);
      return decoded.ok ? planned(random.of(DEMO_PIECES), decoded.value) : !say(decoded.faults);
    },
  );
  attackReader(
    "mutated makes, decoded",
    seconds / 6,
    5000,
    BOUND.refusal,
    () => JSON.stringify(mutated(random.of(MAKES), random)),
    (text) => {
      const decoded = makeFromJson(JSON.parse(text) as Json, SHIPPED_BENCH);
      return decoded.ok || !say(decoded.faults);
    },
  );
  attackReader(
    "tables of makes, a text cut, doubled or scrambled",
    seconds / 6,
    1000,
    BOUND.plan,
    () => scrambled(makesCsv(MAKES), random),
    (text) => readMakesCsv(text, SHIPPED_BENCH).ok,
  );
  const backup = {
    format: "hoop-ledger/backup",
    version: 1,
    bench,
    pieces: DEMO_PIECES,
    makes: MAKES,
  };
  attackReader(
    "mutated backups, read",
    seconds / 3,
    2000,
    BOUND.plan,
    () => JSON.stringify(mutated(backup, random)),
    (text) => decodeBackup(text).ok,
  );
  attackCommand(random, seconds / 3);
}

function scrambled(text: string, random: Random): string {
  const at = random.below(text.length);
  const kinds = [
    () => text.slice(0, at),
    () => text + text,
    () => text.slice(0, at) + random.of(["\u0000", "}", '"', "[", "1e999", "\ud800"]) + text.slice(at),
  ];
  return random.of(kinds)();
}

function attackCommand(random: Random, seconds: number): void {
  let [bad, slowest] = [0, 0];
  const tries = until(seconds, 60, () => {
    const start = performance.now();
    const { status, stderr } = spawnSync("node", [".build/plan.mjs", "-"], {
      input: JSON.stringify(mutated(random.of(DEMO_PIECES), random)),
      encoding: "utf8",
    });
    slowest = Math.max(slowest, performance.now() - start);
    if ((status !== 0 && status !== 2) || /\n\s+at /.test(stderr)) bad++;
  });
  report({
    what: "mutated pieces through the command line",
    tries,
    bad,
    found: `exit 0 or 2 each time, no stack, slowest ${slowest.toFixed(0)} ms`,
  });
}
