const SHARE = process.env.SOAK === "1" ? 1 : 0.2;

/** How many random cases a test runs: all of them in `npm run soak`, a fifth in `npm test`, but never fewer than ten. */
export function runs(all: number): number {
  return Math.max(Math.min(all, 10), Math.round(all * SHARE));
}
