/** Nodes and weights of the 8-point Gauss-Legendre rule on [-1, 1], positive half. */
const NODES = [0.1834346424956498, 0.525532409916329, 0.7966664774136267, 0.9602898564975363] as const;
const WEIGHTS = [0.362683783378362, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763] as const;

/** Visits the nodes of one panel, each with its weight: for several integrals of the same costly function at once. */
export function visitPanel(from: number, to: number, visit: (x: number, weight: number) => void): void {
  const middle = (from + to) / 2;
  const half = (to - from) / 2;
  for (let i = 0; i < 4; i++) {
    visit(middle - half * NODES[i]!, half * WEIGHTS[i]!);
    visit(middle + half * NODES[i]!, half * WEIGHTS[i]!);
  }
}

/** The integral of a smooth function from `from` to `to`, by one panel of the 8-point Gauss-Legendre rule. */
export function smoothPanel(f: (x: number) => number, from: number, to: number): number {
  const middle = (from + to) / 2;
  const half = (to - from) / 2;
  let total = 0;
  for (let i = 0; i < 4; i++) total += WEIGHTS[i]! * (f(middle - half * NODES[i]!) + f(middle + half * NODES[i]!));
  return total * half;
}

/** The same in `panels` equal panels. */
export function smoothIntegral(f: (x: number) => number, from: number, to: number, panels: number): number {
  const step = (to - from) / panels;
  let total = 0;
  for (let i = 0; i < panels; i++) total += smoothPanel(f, from + i * step, from + (i + 1) * step);
  return total;
}

const LEVEL_STEP = 1 / 16;
const REACH = 3.4;

/**
 * The integral from `from` to `to` of a function that may be steep, or infinite though integrable, at either end:
 * the double exponential rule (Takahasi and Mori, 1974). `f` receives the place and its distances from both ends, so
 * that it need not lose digits there.
 */
export function steepIntegral(f: (x: number, fromStart: number, toEnd: number) => number, from: number, to: number): number {
  const length = to - from;
  if (length === 0) return 0;
  let total = 0;
  for (let i = -REACH / LEVEL_STEP; i <= REACH / LEVEL_STEP; i++) {
    const u = i * LEVEL_STEP;
    const e = Math.exp(-Math.PI * Math.sinh(u));
    const toEnd = length * (e / (1 + e));
    const fromStart = length / (1 + e);
    const weight = (Math.PI * Math.cosh(u) * e * length) / (1 + e) ** 2;
    if (toEnd > 0 && fromStart > 0 && weight > 0) total += weight * f(from + fromStart, fromStart, toEnd);
  }
  return total * LEVEL_STEP;
}
