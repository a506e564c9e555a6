import { type Metal } from "../metal/metals";

/** A metal at working heat (section 13 of the formulas): kg/m3, J/gK, W/mK. */
export interface Material {
  readonly density: number;
  readonly heatCapacity: number;
  readonly conductivity: number;
}

const STERLING: Material = { density: 10_360, heatCapacity: 0.275, conductivity: 330 };

export const MATERIALS: Readonly<Record<Metal, Material>> = {
  "fine-silver": { density: 10_490, heatCapacity: 0.265, conductivity: 370 },
  sterling: STERLING,
  "sterling-935": STERLING,
  copper: { density: 8930, heatCapacity: 0.42, conductivity: 355 },
  brass: { density: 8470, heatCapacity: 0.43, conductivity: 130 },
};

/** Degrees C of the room, and kelvin at 0 degrees C. */
export const ROOM = 20;
const KELVIN = 273.15;
const STEFAN_BOLTZMANN = 5.67e-8;
const ROOM_RADIATES = (ROOM + KELVIN) * (ROOM + KELVIN) * (ROOM + KELVIN) * (ROOM + KELVIN);
/** W/m2K to still air. */
const TO_AIR = 12;

/** Bright, where flux lies, and sterling that has been bare and hot. */
export const EMISSIVITY = { bright: 0.15, fluxed: 0.3, stained: 0.5 } as const;
/** Sterling stains once it has been bare over so many degrees for so many seconds. */
export const STAINS = { over: 500, after: 20 } as const;

/** W/m2 that a bare face loses at so many degrees C: what it radiates beyond what the room does, and to the air. */
export function lossFrom(celsius: number, emissivity: number): number {
  const kelvin = celsius + KELVIN;
  const square = kelvin * kelvin;
  return emissivity * STEFAN_BOLTZMANN * (square * square - ROOM_RADIATES) + TO_AIR * (celsius - ROOM);
}

/** W/m2K into what a piece lies on, in the place of air and radiation; a mesh adds and takes nothing. */
export const INTO_SUPPORT = { charcoal: 40, brick: 70, mesh: null } as const;
export type Support = keyof typeof INTO_SUPPORT;
/** W/K where a third hand grips. */
export const INTO_GRIP = 0.005;

/** W/m2K between parts that touch: unsoldered and dry, with a film of clear flux between, and soldered (a film of solder 0.05 mm thick). */
export const BETWEEN = { dry: 1500, fluxed: 30_000, soldered: 3_000_000 } as const;
