import { MaxRectsPacker } from "maxrects-packer";
import { nested } from "@/core/cutting/nest";
import { type CuttingWay } from "@/core/cutting/cutting-way";
import { laidLengths } from "@/core/cutting/lengths";
import { polygonArea } from "@/core/geometry/polygon";
import { type Point } from "@/core/geometry/outline";
import { seeded } from "@/core/measure/seeded";
import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";
import { row, share } from "./measure";

const SEEDS = 50;
const KERF = 0.28;
const WIDTH = 50;

function timed<T>(run: () => T): { readonly ms: number; readonly value: T } {
  const start = performance.now();
  const value = run();
  return { ms: performance.now() - start, value };
}

function median(values: readonly number[]): number {
  return share(values, 0.5);
}

/** Sixty cuts of twelve lengths from twenty of the drawer's, to a twentieth of a millimetre. */
function sixtyCuts(seed: number, way: CuttingWay) {
  const random = seeded(seed);
  const between = (from: number, to: number) => Math.round((from + random() * (to - from)) * 20) / 20;
  const lengths = Array.from({ length: 12 }, () => between(8, 80));
  const stock = Array.from({ length: 20 }, () => ({ length: between(40, 300), isBought: false }));
  return {
    bars: [...stock, { length: 300, isBought: true }],
    cuts: Array.from({ length: 60 }, (_, i) => lengths[i % 12]!),
    trim: () => 0,
    ...{ kerf: KERF, useful: 30, way },
  };
}

for (const way of ["spoil", "ends-first", "fewest"] as const) {
  const runs = Array.from({ length: SEEDS }, (_, seed) => timed(() => laidLengths(sixtyCuts(seed + 1, way))));
  const proven = runs.filter(({ value }) => value.isProven).length;
  row(
    `sixty cuts from twenty lengths, ${way}`,
    median(runs.map(({ ms }) => ms)),
    "ms",
    `proven ${proven} of ${SEEDS}; target under 20, proven`,
  );
}

/** Thirty blanks of six shapes. */
function thirtyBlanks(seed: number): Point[][] {
  const random = seeded(seed);
  return Array.from({ length: 30 }, (_, i) => {
    const length = 10 + 14 * random();
    const width = length * (0.6 + 0.35 * random());
    const shapes: readonly OutlineShape[] = [
      { shape: "oval", length, width },
      { shape: "pear", length, width: width * 0.8 },
      { shape: "heart", length, width, cleft: width * 0.15 },
      { shape: "round", diameter: length },
      { shape: "marquise", length, width: width * 0.6 },
      { shape: "triangle", side: length, corner: 1, bulge: 1 },
    ];
    return outlineOfShape(shapes[i % shapes.length]!)
      .stations.filter((_station, at) => at % 2 === 0)
      .map(({ x, y }): Point => [x, y]);
  });
}

/** The shortest sheet on which a packer of rectangles, turned by quarters, finds room for all (mm). */
function packedLength(blanks: readonly (readonly Point[])[]): number {
  for (let length = 80; ; length += 0.5) {
    const packer = new MaxRectsPacker(length, WIDTH, KERF, { smart: false, pot: false, square: false, allowRotation: true });
    for (const blank of blanks) {
      const [xs, ys] = [blank.map(([x]) => x), blank.map(([, y]) => y)];
      packer.add(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), {});
    }
    if (packer.bins.length === 1) return length;
  }
}

const nests = [4, 5, 6, 7, 8].map((seed) => {
  const blanks = thirtyBlanks(seed);
  const { ms, value } = timed(() =>
    nested({ sheets: [{ length: 400, width: WIDTH, outline: null, taken: [], isBought: true }], blanks, kerf: KERF }, 1),
  );
  const area = blanks.reduce((sum, blank) => sum + Math.abs(polygonArea(blank)), 0);
  return { ms, density: area / (WIDTH * value.sheets[0]!.used), ratio: packedLength(blanks) / value.sheets[0]!.used };
});
row(
  "thirty blanks nested, first try",
  median(nests.map(({ ms }) => ms)),
  "ms",
  `density ${median(nests.map(({ density }) => density)).toFixed(2)}; target under 500`,
);
row("density beside a packer of rectangles", median(nests.map(({ ratio }) => ratio)), "times", "target 1.15 or more");
