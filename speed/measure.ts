/** Median time of one run in ms, after a warm-up. */
export function median(work: () => unknown, runs: number): number {
  for (let i = 0; i < runs / 4; i++) work();
  const times = Array.from({ length: runs }, () => {
    const start = process.hrtime.bigint();
    work();
    return Number(process.hrtime.bigint() - start) / 1e6;
  });
  return share(times, 0.5);
}

/** The value that a share of the values lie under. */
export function share(values: readonly number[], at: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * at))]!;
}

/** One line: what was measured, the figure, and the target or ratio beside it. */
export function row(name: string, figure: number, unit: "ms" | "kB" | "times" | "bytes", beside: string): void {
  console.log(`${name.padEnd(48)} ${figure.toFixed(unit === "kB" ? 1 : 4).padStart(10)} ${unit}   ${beside}`);
}
