import { normal, seeded } from "@/core/measure/seeded";
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
  const listeners = new Set<(value: number) => void>();
  return {
    by,
    name,
    isStandIn: true,
    onReading: (hear) => {
      listeners.add(hear);
      return () => void listeners.delete(hear);
    },
    press: () => {
      const value = Math.round(readingOf(metal) / metal.step) * metal.step;
      listeners.forEach((hear) => hear(Math.max(metal.step, value)));
    },
  };
}

/** Where this metal came out. */
export function readingOf({ wanted, scatter, seed }: Metal): number {
  const hash = [...seed].reduce((all, letter) => Math.imul(all ^ letter.codePointAt(0)!, FNV.times), FNV.start);
  return wanted + scatter * normal(seeded(hash));
}

/** Of a hash that spreads texts over numbers. */
const FNV: { readonly start: number; readonly times: number } = { start: 2166136261, times: 16777619 };
