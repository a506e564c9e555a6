import { bestHeats } from "@/core/heats/best";
import { entriesOf } from "@/core/making/step";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { sizeRead } from "@/core/piece/ledger";
import { type Make, type Measured } from "@/core/piece/make";
import { planPiece } from "@/core/piece/plan-piece";
import { normal, seeded } from "@/core/measure/seeded";
import { type Losses, readingsOf, toCaliper } from "./maker";
import { demoPiece } from "./pieces";

/** One making of the Marram Workshop's year. */
interface Row {
  readonly day: string;
  readonly piece: string;
  readonly words: string;
  readonly minutes: number;
  /** How the maker worked; "file" where nothing is said. */
  readonly method?: string;
  /** mm lost beyond what the hands take off, where something went wrong. */
  readonly beyond?: Partial<Losses>;
  readonly remedies?: readonly (readonly [code: string, figure: string])[];
}

/** Two lie far out and say why; one ring came out small, and what was done stands with it. */
const YEAR: readonly Row[] = [
  { day: "2025-12-03", piece: "limpet-ring", words: "first hoop written down", minutes: 266 },
  { day: "2025-12-11", piece: "slate-ring", words: "coarse file, took more a stroke", minutes: 243, beyond: { "hoop.length": 0.55 } },
  {
    day: "2026-01-08",
    piece: "tern-ring",
    words: "came out small: rounded up and stretched one size, 0.05 thinner",
    minutes: 287,
    beyond: { "hoop.length": 0.6 },
    remedies: [["hoop.small", "hoop.insideDiameter"]],
  },
  { day: "2026-01-20", piece: "knot-ring", words: "seat a hair deep, cushion under it", minutes: 139 },
  { day: "2026-02-04", piece: "samphire-ring", words: "cup's rim thinned 0.10", minutes: 141 },
  {
    day: "2026-02-16",
    piece: "thrift-ring",
    words: "sawn through twice, the join was crooked",
    minutes: 268,
    beyond: { "hoop.length": 2.4 },
  },
  { day: "2026-03-05", piece: "strand-ring", words: "sawn to the mark, ends not filed", minutes: 198, method: "saw" },
  { day: "2026-03-17", piece: "whelk-ring", words: "stretched up to size, 0.03 thinner", minutes: 221 },
  { day: "2026-04-02", piece: "plover-ring", words: "stretched a quarter size", minutes: 148 },
  { day: "2026-04-14", piece: "dunlin-earrings", words: "pair 0.06 g apart", minutes: 188 },
  { day: "2026-04-28", piece: "limpet-pendant", words: "eye moved 2.0 left, hangs straight", minutes: 172 },
  {
    day: "2026-05-12",
    piece: "turnstone-ring",
    words: "strip slipped in the cutters, filed back",
    minutes: 231,
    beyond: { "wall.length": 0.9 },
  },
  { day: "2026-05-26", piece: "cockle-ring", words: "third heat a touch long", minutes: 209 },
  { day: "2026-06-09", piece: "dotterel-ring", words: "bezel pushed by hand, stone taped", minutes: 195 },
  { day: "2026-06-23", piece: "limpet-ring", words: "points filed thin first", minutes: 226 },
  { day: "2026-07-07", piece: "curlew-ring", words: "arch sprung a little, bound it", minutes: 274 },
  { day: "2026-07-21", piece: "strand-ring", words: "sawn again, clean join", minutes: 176, method: "saw" },
  { day: "2026-08-12", piece: "slate-ring", words: "corners thinned, then pushed", minutes: 205 },
  { day: "2026-08-25", piece: "redshank-ring", words: "second flat filed after the first heat", minutes: 262 },
  { day: "2026-09-15", piece: "thrift-ring", words: "notch pressed in after the seam", minutes: 214 },
  { day: "2026-09-29", piece: "plover-ring", words: "third of the height again, rocked a little", minutes: 151 },
  { day: "2026-10-13", piece: "whelk-ring", words: "easy ran first go", minutes: 203 },
  { day: "2026-11-04", piece: "cockle-ring", words: "nothing to say", minutes: 187 },
  { day: "2026-11-21", piece: "kelp-ring", words: "points pushed first, no crimp", minutes: 236 },
];

const SEED = 20261121;
/** What the workshop's hands take off with a file, and by how much that varies (mm). */
const HANDS: Readonly<Record<keyof Losses, readonly [mean: number, varies: number]>> = {
  "wall.length": [0.56, 0.05],
  "wall.height": [0.23, 0.03],
  "hoop.length": [1.6, 0.2],
};
/** A sawn end loses so much less than a filed one (mm). */
const SAWN = 0.7;

/** The Marram Workshop's ledger: 24 makings over a year, the same each time. */
export function demoMakes(): Make[] {
  const random = seeded(SEED);
  return YEAR.map((row) => makeOf(row, random));
}

function makeOf({ day, piece: id, words, minutes, method = "file", beyond = {}, remedies = [] }: Row, random: () => number): Make {
  const piece = { ...demoPiece(id), benchUsed: SHIPPED_BENCH };
  const taken = (kind: keyof Losses) => {
    const [mean, varies] = HANDS[kind];
    return mean - (method === "saw" && kind === "hoop.length" ? SAWN : 0) + varies * normal(random) + (beyond[kind] ?? 0);
  };
  const losses: Losses = { "wall.length": taken("wall.length"), "wall.height": taken("wall.height"), "hoop.length": taken("hoop.length") };
  const { steps } = planPiece(piece, SHIPPED_BENCH, [], (assembly, wishes) => bestHeats(assembly, wishes, () => true));
  const begun = Date.parse(`${day}T09:10:00.000Z`);
  const at = (share: number) => new Date(begun + Math.round(share * minutes * 60_000)).toISOString();
  const steady = steps.flatMap((step, i) => entriesOf(step).map((entry) => ({ step: entry, at: at((i + 1) / steps.length) })));
  const readAt = (figure: string) => {
    const i = steps.findIndex(({ reads }) => reads.some((each) => each.figure === figure));
    return at((Math.max(0, i) + 0.6) / steps.length);
  };
  const measured = readingsOf(piece, SHIPPED_BENCH, losses, toCaliper(0.06 * normal(random))).map((reading): Measured => ({
    ...reading,
    at: readAt(reading.figure),
    by: "caliper",
    method,
  }));
  const inside = measured.find(({ figure }) => figure === "hoop.insideDiameter")?.value;
  const size = inside === undefined ? "" : sizeRead(piece, inside);
  return {
    format: "hoop-ledger/make",
    version: 3,
    id: `${id}-${day.replaceAll("-", "")}`,
    piece: id,
    pieceFile: piece,
    started: at(0),
    finished: at(1),
    done: steady,
    measured: [...measured].sort((a, b) => a.at.localeCompare(b.at)),
    remedies: remedies.map(([code, figure]) => ({ code, figure, at: readAt(figure) })),
    result: { ...(size !== "" && { size }), minutes, words },
    notes: "",
  };
}
