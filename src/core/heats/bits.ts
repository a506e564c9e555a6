// Sets of up to 30 things, such as joints, as the bits of a number.

export function maskOf(count: number, has: (i: number) => boolean): number {
  let mask = 0;
  for (let i = 0; i < count; i++) if (has(i)) mask |= 1 << i;
  return mask;
}

export function members(mask: number): number[] {
  const list: number[] = [];
  for (let rest = mask; rest; rest &= rest - 1) list.push(lowest(rest));
  return list;
}

export function size(mask: number): number {
  let n = 0;
  for (let rest = mask; rest; rest &= rest - 1) n++;
  return n;
}

export function every(mask: number, holds: (i: number) => boolean): boolean {
  for (let rest = mask; rest; rest &= rest - 1) if (!holds(lowest(rest))) return false;
  return true;
}

export function filterMask(mask: number, holds: (i: number) => boolean): number {
  let kept = 0;
  for (let rest = mask; rest; rest &= rest - 1) if (holds(lowest(rest))) kept |= rest & -rest;
  return kept;
}

/** The sum of what each member adds. */
export function sumOver(mask: number, of: (i: number) => number): number {
  let sum = 0;
  for (let rest = mask; rest; rest &= rest - 1) sum += of(lowest(rest));
  return sum;
}

export function unionOver(mask: number, of: (i: number) => number): number {
  let union = 0;
  for (let rest = mask; rest; rest &= rest - 1) union |= of(lowest(rest));
  return union;
}

/** The number of the lowest member of a set that has one. */
export function lowest(mask: number): number {
  return 31 - Math.clz32(mask & -mask);
}

/** The subsets of a set, but for the empty one. */
export function* subsets(mask: number): Generator<number> {
  for (let sub = mask; sub; sub = (sub - 1) & mask) yield sub;
}

/** The parts that a set falls into when each member is linked to those of `links`. */
export function sets(mask: number, links: (i: number) => number): number[] {
  const found: number[] = [];
  for (let rest = mask; rest;) {
    let reached = rest & -rest;
    for (let edge = reached; edge;) {
      const next = unionOver(edge, links) & mask & ~reached;
      reached |= next;
      edge = next;
    }
    found.push(reached);
    rest &= ~reached;
  }
  return found;
}
