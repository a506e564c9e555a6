import { type MetalCode } from "../measure/figure";

/** A metal by its name in files. */
export type Metal = MetalCode;

/** What a screen offers metals for. */
export type MetalUse = "wall" | "plate" | "hoop" | "bail" | "ornament" | "strip";

export interface MetalFacts {
  /** As it is said within a sentence. */
  readonly name: string;
  /** g/cm3 */
  readonly density: number;
  /** Degrees C at which it starts to melt, and at which it is all liquid; a pure metal has one of both. */
  readonly solidus: number;
  readonly liquidus: number;
  /** J/gK */
  readonly heatCapacity: number;
  /** Two clean parts of it can be joined by heat alone. */
  readonly fuses: boolean;
  /** Copper in it stains deep below the surface in the flame: it blooms, pits when melted to beads, and suffers from overshoot. */
  readonly firestains: boolean;
  /** An ear bears it day and night. */
  readonly isWornInEar: boolean;
  /** How it is made soft. */
  readonly anneals: "briefly" | "red-black-quench" | "red-quench" | "red-black-cool";
  readonly offeredFor: readonly MetalUse[];
  /** What it is usually used for: it is offered first there. */
  readonly usualFor: readonly MetalUse[];
}

const EVERY_USE: readonly MetalUse[] = ["wall", "plate", "hoop", "bail", "ornament", "strip"];

/** Typical published values, a row for each metal; all that differs between metals is here. */
export const METALS: Readonly<Record<Metal, MetalFacts>> = {
  "fine-silver": {
    ...{ name: "fine silver", density: 10.49, solidus: 962, liquidus: 962, heatCapacity: 0.235 },
    ...{ fuses: true, firestains: false, isWornInEar: true, anneals: "briefly" },
    ...{ offeredFor: EVERY_USE, usualFor: ["wall", "ornament", "strip"] },
  },
  sterling: {
    ...{ name: "sterling", density: 10.36, solidus: 802, liquidus: 893, heatCapacity: 0.245 },
    ...{ fuses: false, firestains: true, isWornInEar: true, anneals: "red-black-quench" },
    ...{ offeredFor: EVERY_USE, usualFor: ["plate", "hoop", "bail"] },
  },
  "sterling-935": {
    ...{ name: "sterling 935", density: 10.3, solidus: 766, liquidus: 877, heatCapacity: 0.245 },
    ...{ fuses: true, firestains: false, isWornInEar: true, anneals: "red-black-quench" },
    ...{ offeredFor: EVERY_USE, usualFor: [] },
  },
  copper: {
    ...{ name: "copper", density: 8.96, solidus: 1085, liquidus: 1085, heatCapacity: 0.385 },
    ...{ fuses: false, firestains: false, isWornInEar: false, anneals: "red-quench" },
    ...{ offeredFor: EVERY_USE, usualFor: [] },
  },
  brass: {
    ...{ name: "brass", density: 8.47, solidus: 905, liquidus: 930, heatCapacity: 0.38 },
    ...{ fuses: false, firestains: false, isWornInEar: false, anneals: "red-black-cool" },
    ...{ offeredFor: EVERY_USE, usualFor: [] },
  },
};

/** The metals offered for a use, the usual ones first. */
export function metalsFor(use: MetalUse): readonly Metal[] {
  const offered = (Object.keys(METALS) as Metal[]).filter((metal) => METALS[metal].offeredFor.includes(use));
  const isUsual = (metal: Metal) => METALS[metal].usualFor.includes(use);
  return [...offered.filter(isUsual), ...offered.filter((metal) => !isUsual(metal))];
}

/** It melts at one temperature, not over a range. */
export function isPure(metal: Metal): boolean {
  return METALS[metal].solidus === METALS[metal].liquidus;
}

/** Mass in g of a volume in mm3. */
export function massOf(metal: Metal, volume: number): number {
  return (METALS[metal].density * volume) / 1000;
}
