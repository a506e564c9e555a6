import { type Point } from "../geometry/outline";

/** A small bit of a part as heat sees it: where it lies (mm), and faces in mm2. */
export interface Bit {
  readonly x: number;
  readonly y: number;
  /** Its share of the part's mass. */
  readonly share: number;
  /** mm of the line it is of, or across a plane's cell. */
  readonly length: number;
  /** mm that it reaches away from who looks, where a flame's heat thins out too; 0 where it is seen from above. */
  readonly depth: number;
  /** That loses heat to the air and the room. */
  readonly bare: number;
  /** That lies on what the piece lies on. */
  readonly under: number;
  /** That a flame reaches from above, and from below. */
  readonly above: number;
  readonly below: number;
}

/** Bits side by side that heat flows along, by number; `across` is mm2 of metal from each to the next, over so many mm. */
export interface Run {
  readonly bits: readonly number[];
  readonly across: readonly number[];
  readonly apart: number;
  readonly isClosed: boolean;
}

/** A plane's bits on their grid: -1 where there is none. */
export interface Grid {
  readonly left: number;
  readonly low: number;
  readonly spacing: number;
  readonly wide: number;
  readonly tall: number;
  readonly bits: Int32Array;
  /** What it fills. */
  readonly outline: readonly Point[];
}

/** A part as it is laid out for its heat. */
export interface Laid extends LaidPart {
  readonly volume: number;
  readonly mass: number;
  /** Where it was laid from above and is seen from the side: the bit that each of those is part of. */
  readonly ends: readonly [number, number] | null;
}

/** A part as it lies in the view of its heat. */
export interface LaidPart {
  readonly bits: readonly Bit[];
  /** Along a line, or a plane's rows. */
  readonly runs: readonly Run[];
  /** A plane's columns. */
  readonly columns: readonly Run[];
  readonly grid: Grid | null;
}

/** Places are held to this (mm), so that what a library's sine differs by in its last digit on another machine does not count. */
const GRAIN = 1 / 1024;

export function grained(mm: number): number {
  return Math.round(mm / GRAIN) * GRAIN;
}

/** The same for g and mm3, of which a bit may have very little; never nothing. */
const FINE_GRAIN = 1 / 2 ** 30;

export function fineGrained(amount: number): number {
  return Math.max(1, Math.round(amount / FINE_GRAIN)) * FINE_GRAIN;
}

/** What of a line's metal is seen, in mm of its girth: that loses heat, lies on the block, and is reached from above and from below. */
export interface Girth {
  readonly bare: number;
  readonly under: number;
  readonly above: number;
  readonly below: number;
}

/** A rod by what it is round (mm): half of it is reached from either side; it lies on a line of it. */
export function rodGirth(round: number): Girth {
  return { bare: 0.9 * round, under: 0.1 * round, above: round / 2, below: round / 2 };
}

/** Lines of an even section, in bits about as long as a spacing. `area` is mm2 of metal across. */
export function laidLines(
  lines: readonly { readonly points: readonly Point[]; readonly isClosed: boolean }[],
  area: number,
  girth: Girth,
  spacing: number,
  depth = 0,
): LaidPart {
  const whole = lines.reduce((all, { points, isClosed }) => all + lengthOf(points, isClosed), 0);
  const bits: Bit[] = [];
  const runs = lines.map(({ points, isClosed }): Run => {
    const length = lengthOf(points, isClosed);
    const count = Math.max(isClosed ? 3 : 2, Math.round(length / spacing));
    const each = length / count;
    const from = bits.length;
    for (const [x, y] of middlesAlong(points, isClosed, count)) {
      bits.push({
        ...{ x: grained(x), y: grained(y), length: each, depth, share: each / whole },
        ...{ bare: girth.bare * each, under: girth.under * each, above: girth.above * each, below: girth.below * each },
      });
    }
    return {
      bits: Array.from({ length: count }, (_, i) => from + i),
      across: Array.from({ length: isClosed ? count : count - 1 }, () => area),
      apart: each,
      isClosed,
    };
  });
  return { bits, runs, columns: [], grid: null };
}

/** Balls that only touch: each a bit by itself; half of its surface is reached from either side. */
export function laidBalls(balls: readonly { readonly at: Point; readonly radius: number }[]): LaidPart {
  const volumes = balls.map(({ radius }) => radius * radius * radius);
  const whole = volumes.reduce((all, each) => all + each, 0);
  return {
    bits: balls.map(({ at: [x, y], radius }, i): Bit => {
      const surface = 4 * Math.PI * radius * radius;
      return {
        ...{ x: grained(x), y: grained(y), length: 2 * radius, depth: 0, share: volumes[i]! / whole },
        ...{ bare: surface, under: 0, above: surface / 2, below: 0 },
      };
    }),
    ...{ runs: [], columns: [], grid: null },
  };
}

/** Bits of a cell's side are told apart to a share of it. */
const SUBDIVISIONS = 8;
/** What is less of a cell than this is left to its neighbours. */
const LEAST_SHARE = 0.02;

/** A plane has so many cells across at least, and so many in all at most: of a very small or large one they are smaller or larger. */
const LEAST_ACROSS = 4;
const MOST_CELLS = 8000;

/** A plane of an even thickness (mm) within a polygon, in square cells; those that its edge crosses count by what of them lies inside. */
export function laidPlane(outline: readonly Point[], thickness: number, asked: number): LaidPart {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [left, low] = [grained(Math.min(...xs)), grained(Math.min(...ys))];
  const [across, up] = [Math.max(...xs) - left, Math.max(...ys) - low];
  const spacing = Math.max(Math.min(asked, Math.min(across, up) / LEAST_ACROSS), Math.sqrt((across * up) / MOST_CELLS));
  const wide = Math.ceil(across / spacing);
  const tall = Math.ceil(up / spacing);
  const inside = insideOf(outline, left, low, spacing / SUBDIVISIONS, wide * SUBDIVISIONS, tall * SUBDIVISIONS);
  const at = (i: number, j: number) => inside[j * wide * SUBDIVISIONS + i]!;
  const shareOf = (i: number, j: number) => {
    let sum = 0;
    for (let b = 0; b < SUBDIVISIONS; b++) for (let a = 0; a < SUBDIVISIONS; a++) sum += at(i * SUBDIVISIONS + a, j * SUBDIVISIONS + b);
    return sum / (SUBDIVISIONS * SUBDIVISIONS);
  };
  const found = new Int32Array(wide * tall).fill(-1);
  const shares: number[] = [];
  const places: [number, number][] = [];
  for (let j = 0; j < tall; j++)
    for (let i = 0; i < wide; i++) {
      const share = shareOf(i, j);
      if (share < LEAST_SHARE) continue;
      found[j * wide + i] = shares.length;
      shares.push(share);
      places.push([i, j]);
    }
  const whole = shares.reduce((all, each) => all + each, 0);
  const cell = spacing * spacing;
  const bits = shares.map((share, n): Bit => {
    const [i, j] = places[n]!;
    const face = share * cell;
    return {
      ...{ x: left + (i + 0.5) * spacing, y: low + (j + 0.5) * spacing, length: spacing, depth: 0, share: share / whole },
      ...{ bare: face, under: face, above: face, below: face },
    };
  });
  /** mm2 of metal between a cell and the next, by how much of the side between them lies inside. */
  const open = (i: number, j: number, isRow: boolean) => {
    let sum = 0;
    for (let k = 0; k < SUBDIVISIONS; k++) {
      const [a, b] = isRow ? [(i + 1) * SUBDIVISIONS - 1, j * SUBDIVISIONS + k] : [i * SUBDIVISIONS + k, (j + 1) * SUBDIVISIONS - 1];
      sum += at(a, b) + (isRow ? at(a + 1, b) : at(a, b + 1));
    }
    return (thickness * spacing * sum) / (2 * SUBDIVISIONS);
  };
  const runsAlong = (isRow: boolean): Run[] => {
    const runs: Run[] = [];
    for (let n = 0; n < (isRow ? tall : wide); n++) {
      let current: { bits: number[]; across: number[] } | null = null;
      for (let m = 0; m < (isRow ? wide : tall); m++) {
        const [i, j] = isRow ? [m, n] : [n, m];
        const bit = found[j * wide + i]!;
        if (bit < 0) {
          current = null;
          continue;
        }
        if (current) {
          current.across.push(isRow ? open(i - 1, j, true) : open(i, j - 1, false));
          current.bits.push(bit);
        } else {
          current = { bits: [bit], across: [] };
          runs.push({ ...current, apart: spacing, isClosed: false });
        }
      }
    }
    return runs;
  };
  return { bits, runs: runsAlong(true), columns: runsAlong(false), grid: { left, low, spacing, wide, tall, bits: found, outline } };
}

/** For each small square, row by row, 1 where its middle lies inside a polygon, else 0. */
function insideOf(outline: readonly Point[], left: number, low: number, side: number, wide: number, tall: number): Uint8Array {
  const inside = new Uint8Array(wide * tall);
  for (let j = 0; j < tall; j++) {
    const y = low + (j + 0.5) * side;
    const crossings: number[] = [];
    outline.forEach(([ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length]!;
      if (ay > y !== by > y) crossings.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
    });
    crossings.sort((a, b) => a - b);
    for (let k = 0; k + 1 < crossings.length; k += 2) {
      const from = Math.max(0, Math.ceil((crossings[k]! - left) / side - 0.5));
      const to = Math.min(wide - 1, Math.floor((crossings[k + 1]! - left) / side - 0.5));
      for (let i = from; i <= to; i++) inside[j * wide + i] = 1;
    }
  }
  return inside;
}

/** A setting seen from the side: its direction along the view, and where a place so far along it, at a height, lies in that. */
export interface SideView {
  readonly along: (x: number, y: number) => number;
  readonly across: (x: number, y: number) => number;
  readonly at: (along: number) => Point;
  /** mm to each bin. */
  readonly spacing: number;
}

/** A part that is laid from above, seen from the side as a line: what lies at one place of it is one bit. */
export function laidFromSide(
  part: LaidPart,
  { along, across: away, at, spacing }: SideView,
  volume: number,
): LaidPart & { readonly bitOf: readonly number[] } {
  const places = part.bits.map(({ x, y }) => along(x, y));
  const least = Math.min(...places);
  const count = Math.max(2, Math.round((Math.max(...places) - least) / spacing));
  const width = (Math.max(...places) - least) / count || spacing;
  const binOf = places.map((place) => Math.min(count - 1, Math.floor((place - least) / width)));
  const used = Array.from({ length: count }, (_, bin) => bin).filter((bin) => binOf.includes(bin));
  const bits = used.map((bin): Bit => {
    const own = part.bits.filter((_, i) => binOf[i] === bin);
    const sum = (of: (bit: Bit) => number) => own.reduce((all, bit) => all + of(bit), 0);
    const [x, y] = at(least + (bin + 0.5) * width);
    const reach = own.map((bit) => away(bit.x, bit.y));
    return {
      ...{ x: grained(x), y: grained(y), share: sum((bit) => bit.share), length: width, depth: Math.max(...reach) - Math.min(...reach) },
      ...{ bare: sum(({ bare, under }) => bare + under), under: 0, above: sum(({ above }) => above), below: 0 },
    };
  });
  const areaOf = (i: number) => (volume * bits[i]!.share) / width;
  const across = bits.slice(1).map((_, i) => (2 * areaOf(i) * areaOf(i + 1)) / (areaOf(i) + areaOf(i + 1)));
  return {
    bits,
    runs: [{ bits: bits.map((_, i) => i), across, apart: width, isClosed: false }],
    ...{ columns: [], grid: null },
    bitOf: binOf.map((bin) => used.indexOf(bin)),
  };
}

export function lengthOf(points: readonly Point[], isClosed: boolean): number {
  let length = 0;
  for (let i = isClosed ? 0 : 1; i < points.length; i++) {
    const [[ax, ay], [bx, by]] = [points[i === 0 ? points.length - 1 : i - 1]!, points[i]!];
    length += Math.sqrt((bx - ax) * (bx - ax) + (by - ay) * (by - ay));
  }
  return length;
}

/** The middles of so many even lengths of a line. */
function middlesAlong(points: readonly Point[], isClosed: boolean, count: number): Point[] {
  const line = isClosed ? [...points, points[0]!] : points;
  const each = lengthOf(line, false) / count;
  const middles: Point[] = [];
  let passed = 0;
  for (let i = 1; i < line.length && middles.length < count; i++) {
    const [[ax, ay], [bx, by]] = [line[i - 1]!, line[i]!];
    const step = Math.sqrt((bx - ax) * (bx - ax) + (by - ay) * (by - ay));
    while (middles.length < count && step > 0 && (middles.length + 0.5) * each <= passed + step + 1e-9) {
      const share = Math.min(1, ((middles.length + 0.5) * each - passed) / step);
      middles.push([ax + (bx - ax) * share, ay + (by - ay) * share]);
    }
    passed += step;
  }
  return middles;
}
