import { readingsOf, toCaliper } from "../demo/maker";
import { normal, seeded } from "@/core/measure/seeded";
import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { learnedFrom } from "@/core/piece/ledger";
import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";

/** Makers whose hands take off anything from `least` to `most` (mm), each with a scatter of their own. */
const HANDS = { least: 0.4, most: 3, scatter: [0.1, 0.3] } as const;
/** Hoops made with the shipped figure, and those after them that are judged. */
const [LEARNING, JUDGED] = [9, 4];

export interface Replayed {
  /** Mean error of the inside diameter reached, in mm, with the shipped figure and with the maker's own. */
  readonly shipped: number;
  readonly own: number;
}

/** Simulated makers make one ring nine times with the shipped figure, agree to their own, and make it again both ways. */
export function replay(piece: Piece, makers: number, seed: number): Replayed {
  const random = seeded(seed);
  const errors = { shipped: 0, own: 0 };
  for (let maker = 0; maker < makers; maker++) {
    const mean = HANDS.least + (HANDS.most - HANDS.least) * random();
    const scatter = HANDS.scatter[0] + (HANDS.scatter[1] - HANDS.scatter[0]) * random();
    const loss = () => mean + scatter * normal(random);
    const bench = agreed(Array.from({ length: LEARNING }, (_, i) => makeOf(piece, `m${maker}-${i}`, loss())));
    for (let i = 0; i < JUDGED; i++) {
      const lost = loss();
      errors.shipped += errorOf(piece, SHIPPED_BENCH, lost);
      errors.own += errorOf(piece, bench, lost);
    }
  }
  const of = makers * JUDGED;
  return { shipped: errors.shipped / of, own: errors.own / of };
}

const INSIDE = "hoop.insideDiameter";

function readings(piece: Piece, bench: BenchEntry, lost: number) {
  return readingsOf(piece, bench, { "wall.length": 0, "wall.height": 0, "hoop.length": lost }).filter(({ figure }) =>
    figure.startsWith("hoop."),
  );
}

function errorOf(piece: Piece, bench: BenchEntry, lost: number): number {
  const reached = readings(piece, bench, lost).find(({ figure }) => figure === INSIDE)!.value;
  const wanted = readings(piece, { ...SHIPPED_BENCH, allowances: [{ kind: "hoop.length", method: "", value: 0 }] }, 0).find(
    ({ figure }) => figure === INSIDE,
  )!.value;
  return Math.abs(toCaliper(reached) - wanted);
}

function makeOf(piece: Piece, id: string, lost: number): Make {
  return {
    ...{
      format: "hoop-ledger/make",
      version: 3,
      id,
      piece: piece.id,
      pieceFile: piece,
      started: "",
      finished: "",
      done: [],
      remedies: [],
      notes: "",
    },
    measured: readings(piece, SHIPPED_BENCH, lost).map((each) => ({ ...each, at: "", by: "caliper", method: "file" })),
  };
}

function agreed(makes: readonly Make[]): BenchEntry {
  const { kind, method, estimate, spread, kept } = learnedFrom(makes)[0]!;
  return { ...SHIPPED_BENCH, allowances: [{ kind, method, value: estimate, ...(spread !== null && { spread }), count: kept.length }] };
}
