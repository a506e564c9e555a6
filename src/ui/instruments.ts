import { type Measured } from "@/core/piece/make";

/** Something that sends its reading when its button is pressed. A real one stands behind the same. */
export interface Instrument {
  readonly by: Exclude<Measured["by"], "typed">;
  readonly name: string;
  /** Whether it only stands in for a real one: then the screen says so. */
  readonly isStandIn: boolean;
  /** Calls with each reading, in mm or g. Returns how to stop. */
  onReading(hear: (value: number) => void): () => void;
  /** Presses its button. */
  press(): void;
}

/** Metal that a stand-in reads: what it would be after a maker's work, and how far two readings of it lie apart. */
export interface Metal {
  readonly wanted: number;
  /** How far a maker's work lies from what was wanted, as a standard deviation. */
  readonly scatter: number;
  /** Smallest step the instrument shows. */
  readonly step: number;
  /** What this metal is told from other metal by: the same reads the same. */
  readonly seed: string;
}

/** An instrument that ships with the program in place of one that is plugged in. */
export function standIn(by: Instrument["by"], name: string, metal: Metal): Instrument {
  const hearers = new Set<(value: number) => void>();
  return {
    by,
    name,
    isStandIn: true,
    onReading: (hear) => {
      hearers.add(hear);
      return () => void hearers.delete(hear);
    },
    press: () => {
      const value = Math.round(readingOf(metal) / metal.step) * metal.step;
      hearers.forEach((hear) => hear(Math.max(metal.step, value)));
    },
  };
}

/** Where this metal came out: the sum of twelve even numbers less six is all but normal. */
export function readingOf({ wanted, scatter, seed }: Metal): number {
  const random = seeded(seed);
  const off = Array.from({ length: 12 }, random).reduce((all, each) => all + each, -6);
  return wanted + scatter * off;
}

/** Even numbers from 0 to 1, the same for the same seed. */
export function seeded(seed: string): () => number {
  let state = [...seed].reduce((hash, letter) => Math.imul(hash ^ letter.codePointAt(0)!, 16777619), 2166136261) >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}
