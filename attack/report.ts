/** A line of what an attack found. */
export interface Line {
  readonly what: string;
  readonly tries: number;
  readonly bad: number;
  readonly found: string;
}

const lines: Line[] = [];

export function report(line: Line): void {
  lines.push(line);
  console.log(`${line.bad === 0 ? "ok " : "BAD"} ${line.what}: ${line.tries} tries, ${line.bad} bad; ${line.found}`);
}

/** All that was found as a table; returns whether any of it is bad. */
export function conclude(seed: number): boolean {
  console.log(`\n| attack (seed ${seed}) | tries | bad | found |\n|---|---:|---:|---|`);
  for (const { what, tries, bad, found } of lines) console.log(`| ${what} | ${tries} | ${bad} | ${found} |`);
  return lines.some(({ bad }) => bad > 0);
}

/** Runs `work` again and again until its time is over, at most so often. Returns how often. */
export function until(seconds: number, most: number, work: (i: number) => void): number {
  const end = performance.now() + seconds * 1000;
  let i = 0;
  for (; i < most && performance.now() < end; i++) work(i);
  return i;
}
