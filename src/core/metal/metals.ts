export type Metal = "fine-silver" | "sterling" | "sterling-935" | "copper" | "brass";

export interface MetalFacts {
  /** g/cm3 */
  readonly density: number;
  /** Degrees C at which it starts to melt, and at which it is all liquid. */
  readonly solidus: number;
  readonly liquidus: number;
  /** J/gK */
  readonly heatCapacity: number;
  /** Two clean parts of it can be joined by heat alone. */
  readonly fuses: boolean;
}

/** Typical published values. */
export const METALS: Readonly<Record<Metal, MetalFacts>> = {
  "fine-silver": { density: 10.49, solidus: 962, liquidus: 962, heatCapacity: 0.235, fuses: true },
  sterling: { density: 10.36, solidus: 802, liquidus: 893, heatCapacity: 0.245, fuses: false },
  "sterling-935": { density: 10.3, solidus: 766, liquidus: 877, heatCapacity: 0.245, fuses: true },
  copper: { density: 8.96, solidus: 1085, liquidus: 1085, heatCapacity: 0.385, fuses: false },
  brass: { density: 8.47, solidus: 905, liquidus: 930, heatCapacity: 0.38, fuses: false },
};

/** Mass in g of a volume in mm3. */
export function massOf(metal: Metal, volume: number): number {
  return (METALS[metal].density * volume) / 1000;
}
