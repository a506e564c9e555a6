/** A setting on a hoop: how far from the front, how far across the finger it reaches, and at what height its underside stands (mm). */
export interface Placed {
  readonly along: number;
  readonly extent: number;
  readonly level: number;
}

/** How far apart round a hoop two settings touch: of half-extents h1 >= h2 on R, a1 + asin(min(1, h2 cos a1 / R)), a1 = atan(h1 / R). */
export function touchAt(outside: number, one: Omit<Placed, "along">, other: Omit<Placed, "along">): number {
  const level = Math.min(one.level, other.level);
  const [narrow, wide] = [one.extent / 2, other.extent / 2].sort((a, b) => a - b) as [number, number];
  const lean = Math.atan2(wide, level);
  return outside * (lean + Math.asin(Math.min(1, (narrow * Math.cos(lean)) / level)));
}

/** What is called touching: a hair that no eye sees, so that none presses on the other (mm). */
const HAIR = 0.05;

/**
 * Where settings lie side by side over the front, in their order: a gap between each and the next, or where `isEven` their middles as far apart as the
 * widest two need. mm from the front.
 */
export function sideBySide(outside: number, settings: readonly Omit<Placed, "along">[], gap: number, isEven: boolean): number[] {
  const steps = settings.slice(1).map((each, i) => touchAt(outside, settings[i]!, each) + Math.max(HAIR, gap));
  const even = Math.max(0, ...steps);
  const alongs = steps.reduce((all, step) => [...all, all.at(-1)! + (isEven ? even : step)], [0]);
  const middle = (alongs[0]! + alongs.at(-1)!) / 2;
  return alongs.map((along) => along - middle);
}

/** Where one more finds room beside those there are, nearest to the front; beside the last where it finds none. */
export function freeBeside(outside: number, settings: readonly Placed[], added: Omit<Placed, "along">, gap: number): number {
  const clear = (along: number) =>
    settings.every((each) => roundTheHoop(outside, along - each.along) >= touchAt(outside, each, added) + gap - HAIR);
  const beside = settings.flatMap((each) => [1, -1].map((side) => each.along + side * (touchAt(outside, each, added) + gap)));
  const free = beside.filter(clear).sort((a, b) => roundTheHoop(outside, a) - roundTheHoop(outside, b));
  return free[0] ?? beside.at(-2) ?? 0;
}

/** The shorter way round between two places this far apart. */
export function roundTheHoop(outside: number, apart: number): number {
  const round = 2 * Math.PI * outside;
  const ahead = Math.abs(apart) % round;
  return Math.min(ahead, round - ahead);
}
