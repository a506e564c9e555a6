/** Between two ticks further apart than this nobody was at the bench (minutes). */
export const PAUSE = 30;

const MINUTE = 60_000;

/** Minutes at the bench from the first tick to the last, by their times in ms; long pauses taken off, to a whole one. null where fewer than two are known. */
export function workedMinutes(ticks: readonly number[]): number | null {
  const times = ticks.filter((time) => Number.isFinite(time)).sort((a, b) => a - b);
  if (times.length < 2) return null;
  const gaps = times.slice(1).map((time, i) => (time - times[i]!) / MINUTE);
  return Math.round(gaps.filter((gap) => gap <= PAUSE).reduce((all, gap) => all + gap, 0));
}
