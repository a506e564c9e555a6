import { type Spot } from "./pixels";

/** Which blocks of a picture belong to something: 1 or 0, row by row. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly bits: Uint8Array;
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
  const nearer = (at: number, way: 1 | -1) => {
    const now = far[at]!;
    if (now === 0) return;
    const straight = Math.min(far[at - way]!, far[at - way * wide]!) + STRAIGHT;
    const slant = Math.min(far[at - way * (wide + 1)]!, far[at - way * (wide - 1)]!) + SLANT;
    const next = straight < slant ? straight : slant;
    if (next < now) far[at] = next;
  };
  for (let y = 1; y <= height; y++) for (let x = 1; x <= width; x++) nearer(y * wide + x, 1);
  for (let y = height; y >= 1; y--) for (let x = width; x >= 1; x--) nearer(y * wide + x, -1);
  const inner = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) inner.set(far.subarray((y + 1) * wide + 1, (y + 1) * wide + 1 + width), y * width);
  return inner;
}

/** The regions of a mask, the largest first, each with its holes filled. */
export function regionsOf({ width, height, bits }: Mask, least: number): Region[] {
  const seen = new Uint8Array(width * height);
  const regions: Region[] = [];
  for (let start = 0; start < bits.length; start++) {
    if (seen[start] === 1 || bits[start] === 0) continue;
    const members = flood(start, width, height, seen, (i) => bits[i] === 1);
    if (members.length < least) continue;
    const own = new Uint8Array(width * height);
    for (const i of members) own[i] = 1;
    const mask = filled({ width, height, bits: own });
    regions.push({ mask, size: mask.bits.reduce((sum, bit) => sum + bit, 0), onEdge: edgeBlocks(mask) });
  }
  return regions.sort((a, b) => b.size - a.size);
}

function flood(start: number, width: number, height: number, seen: Uint8Array, isIn: (i: number) => boolean): number[] {
  const members = [start];
  seen[start] = 1;
  for (let at = 0; at < members.length; at++) {
    const i = members[at]!;
    const x = i % width;
    for (const next of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width < width * height ? i + width : -1]) {
      if (next < 0 || seen[next] === 1 || !isIn(next)) continue;
      seen[next] = 1;
      members.push(next);
    }
  }
  return members;
}

/** Everything that cannot be reached from the picture's edge. */
function filled({ width, height, bits }: Mask): Mask {
  const seen = new Uint8Array(width * height);
  for (let i = 0; i < bits.length; i++) {
    const x = i % width;
    const isEdge = x === 0 || x === width - 1 || i < width || i >= width * (height - 1);
    if (isEdge && seen[i] === 0 && bits[i] === 0) flood(i, width, height, seen, (at) => bits[at] === 0);
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
