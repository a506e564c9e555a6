import { type Spot } from "./pixels";

/** Which blocks of a picture belong to something: 1 or 0, row by row. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly bits: Uint8Array;
}

/** Whether the block at a spot, in blocks, belongs to it; outside the picture none does. */
export function holds({ width, height, bits }: Mask, [x, y]: Spot): boolean {
  return x >= 0 && y >= 0 && x < width && y < height && bits[Math.floor(y) * width + Math.floor(x)] === 1;
}

/** A region of a mask that hangs together, by its sides. */
export interface Region {
  readonly mask: Mask;
  readonly size: number;
  /** How many of its blocks lie on the picture's own edge. */
  readonly onEdge: number;
}

/** What is left when everything narrower than about 2 x reach blocks is taken away. */
export function opened(mask: Mask, reach: number): Mask {
  return grown(shrunk(mask, reach), reach);
}

/** With gaps closed that are narrower than about 2 x reach blocks. */
export function closedUp(mask: Mask, reach: number): Mask {
  return shrunk(grown(mask, reach), reach);
}

function grown({ width, height, bits }: Mask, reach: number): Mask {
  const far = distances(width, height, bits, 1);
  return { width, height, bits: far.map((each) => (each <= STRAIGHT * reach ? 1 : 0)) };
}

function shrunk({ width, height, bits }: Mask, reach: number): Mask {
  const far = distances(width, height, bits, 0);
  return { width, height, bits: far.map((each) => (each <= STRAIGHT * reach ? 0 : 1)) };
}

/** What a step to the side and one across a corner count in a distance: within 8 % of the true one (Borgefors 1986). */
const STRAIGHT = 3;
const SLANT = 4;
const FARTHEST = 255;

/** How far each block is from the nearest one of `value`, in thirds of a block; 255 where it is that or more. */
function distances(width: number, height: number, bits: Uint8Array, value: 0 | 1): Uint8Array {
  const wide = width + 2;
  const far = new Uint8Array(wide * (height + 2)).fill(FARTHEST);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0, at = (y + 1) * wide + 1; x < width; x++, i++, at++) if (bits[i] === value) far[at] = 0;
  for (let y = 1; y <= height; y++) for (let at = y * wide + 1; at <= y * wide + width; at++) nearer(far, at, 1, wide);
  for (let y = height; y >= 1; y--) for (let at = y * wide + width; at > y * wide; at--) nearer(far, at, -1, wide);
  const inner = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) inner.set(far.subarray((y + 1) * wide + 1, (y + 1) * wide + 1 + width), y * width);
  return inner;
}

/** Nearer by way of the four neighbours that were looked at before, in a sweep one way or the other. */
function nearer(far: Uint8Array, at: number, way: 1 | -1, wide: number): void {
  let now = far[at]!;
  if (now === 0) return;
  const [beside, above] = [far[at - way]! + STRAIGHT, far[at - way * wide]! + STRAIGHT];
  const [one, other] = [far[at - way * (wide + 1)]! + SLANT, far[at - way * (wide - 1)]! + SLANT];
  if (beside < now) now = beside;
  if (above < now) now = above;
  if (one < now) now = one;
  if (other < now) now = other;
  far[at] = now;
}

/** The regions of a mask, the largest first, each with its holes filled. */
export function regionsOf({ width, height, bits }: Mask, least: number): Region[] {
  const seen = new Uint8Array(width * height);
  const queue = new Int32Array(width * height);
  const regions: Region[] = [];
  for (let start = 0; start < bits.length; start++) {
    if (seen[start] === 1 || bits[start] === 0) continue;
    const count = flood(start, width, height, seen, bits, 1, queue);
    if (count < least) continue;
    const own = new Uint8Array(width * height);
    for (let i = 0; i < count; i++) own[queue[i]!] = 1;
    const mask = filled({ width, height, bits: own }, queue);
    regions.push({ mask, size: mask.bits.reduce((sum, bit) => sum + bit, 0), onEdge: edgeBlocks(mask) });
  }
  return regions.sort((a, b) => b.size - a.size);
}

/** Marks as seen what hangs together with a block by its sides and has its value; the first so many of the queue are then its members. */
function flood(start: number, width: number, height: number, seen: Uint8Array, bits: Uint8Array, value: 0 | 1, queue: Int32Array): number {
  const last = width * height - width;
  let count = 1;
  queue[0] = start;
  seen[start] = 1;
  const take = (next: number) => {
    if (seen[next] === 1 || bits[next] !== value) return;
    seen[next] = 1;
    queue[count++] = next;
  };
  for (let at = 0; at < count; at++) {
    const i = queue[at]!;
    const x = i % width;
    if (x > 0) take(i - 1);
    if (x < width - 1) take(i + 1);
    if (i >= width) take(i - width);
    if (i < last) take(i + width);
  }
  return count;
}

/** Everything that cannot be reached from the picture's edge. */
function filled({ width, height, bits }: Mask, queue: Int32Array): Mask {
  const seen = new Uint8Array(width * height);
  const from = (i: number) => {
    if (seen[i] === 0 && bits[i] === 0) flood(i, width, height, seen, bits, 0, queue);
  };
  for (let x = 0; x < width; x++) {
    from(x);
    from((height - 1) * width + x);
  }
  for (let y = 0; y < height; y++) {
    from(y * width);
    from(y * width + width - 1);
  }
  return { width, height, bits: seen.map((outside) => 1 - outside) };
}

function edgeBlocks({ width, height, bits }: Mask): number {
  let count = 0;
  for (let x = 0; x < width; x++) count += bits[x]! + bits[(height - 1) * width + x]!;
  for (let y = 1; y < height - 1; y++) count += bits[y * width]! + bits[y * width + width - 1]!;
  return count;
}

/** The line round a region, anticlockwise as seen with y down turned up, through the corners of its blocks (in blocks). */
export function borderOf({ width, height, bits }: Mask): Spot[] {
  const isIn = (x: number, y: number) => x >= 0 && y >= 0 && x < width && y < height && bits[y * width + x] === 1;
  const first = bits.indexOf(1);
  if (first < 0) return [];
  let [x, y] = [first % width, Math.floor(first / width)];
  let [dx, dy] = [0, 1];
  const [startX, startY] = [x, y];
  const border: Spot[] = [];
  do {
    border.push([x, y]);
    [x, y] = [x + dx, y + dy];
    // the region lies on the left of the way, as seen with y up: where it ends, turn left; where it goes on to the right too, turn right
    const aheadLeft = isIn(x + (dx + dy - 1) / 2, y + (dy - dx - 1) / 2);
    const aheadRight = isIn(x + (dx - dy - 1) / 2, y + (dy + dx - 1) / 2);
    if (!aheadLeft) [dx, dy] = [dy, -dx];
    else if (aheadRight) [dx, dy] = [-dy, dx];
  } while (x !== startX || y !== startY);
  return border;
}
