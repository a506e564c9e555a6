import { type FluxStage } from "@/core/practice/flux";

type Rgb = readonly [number, number, number];

/** The colours of a heat, as the page's tokens have them. */
export interface HeatColours {
  /** Metal as it glows in a dim room, by its whole degrees C. */
  readonly glow: Ramp;
  /** Where one place is hotter than another, from the coolest to the hottest there is. */
  readonly heat: Ramp;
  readonly flux: Readonly<Record<FluxStage, string | null>>;
  readonly ink: string;
  readonly soft: string;
  readonly solder: string;
  readonly bright: string;
  readonly water: string;
  readonly flame: string;
  readonly core: string;
  readonly mesh: string;
  readonly ground: string;
  /** The page's own type. */
  readonly font: string;
}

/** Colours in a row, three bytes each. */
export interface Ramp {
  readonly bytes: Uint8ClampedArray;
  readonly count: number;
}

/** Degrees C from which metal shows each colour in a dim room (section 13 of the formulas). */
const GLOW = [
  ["cold", 20],
  ["black", 480],
  ["faint", 550],
  ["dull", 600],
  ["cherry", 720],
  ["bright", 800],
  ["orange", 870],
  ["pale", 960],
] as const;
const HOTTEST = 1100;
/** From the coolest place to the hottest: shares of the way. */
const HEAT = [
  ["night-line", 0],
  ["heat-faint", 0.15],
  ["heat-dull", 0.35],
  ["heat-cherry", 0.55],
  ["heat-bright", 0.75],
  ["heat-orange", 0.9],
  ["heat-pale", 1],
] as const;
const HEAT_COUNT = 256;

export function heatColours(style: CSSStyleDeclaration): HeatColours {
  const token = (name: string) => style.getPropertyValue(`--color-${name}`).trim();
  return {
    glow: rampOf(
      GLOW.map(([name, at]) => [at, rgbOf(token(`heat-${name}`))]),
      HOTTEST + 1,
    ),
    heat: rampOf(
      HEAT.map(([name, at]) => [at * (HEAT_COUNT - 1), rgbOf(token(name))]),
      HEAT_COUNT,
    ),
    font: style.fontFamily,
    flux: {
      none: null,
      wet: token("water-pale"),
      white: token("white"),
      honey: token("ochre"),
      clear: token("flux-clear"),
      spent: token("flux-spent"),
    },
    ...{ ink: token("night-ink"), soft: token("night-soft"), solder: token("metal-bright"), bright: token("white") },
    ...{
      flame: token("flame-blue"),
      core: token("flame-core"),
      mesh: token("night-line"),
      ground: token("night"),
      water: token("water-pale"),
    },
  };
}

function rgbOf(hex: string): Rgb {
  const value = Number.parseInt(hex.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}

/** Colours mixed between stops: each stop by its place in the row. */
function rampOf(stops: readonly (readonly [number, Rgb])[], count: number): Ramp {
  const bytes = new Uint8ClampedArray(3 * count);
  for (let k = 0; k < count; k++) {
    const above = stops.findIndex(([at]) => at > k);
    const high = stops.at(above)!;
    const low = above <= 0 ? high : stops[above - 1]!;
    const share = high === low ? 0 : (k - low[0]) / (high[0] - low[0]);
    for (const c of [0, 1, 2] as const) bytes[3 * k + c] = low[1][c] + (high[1][c] - low[1][c]) * share;
  }
  return { bytes, count };
}

/** How temperatures are shown: which place of a ramp each has. */
export interface Shading {
  readonly ramp: Ramp;
  readonly from: number;
  readonly perDegree: number;
}

export function glowing({ glow }: HeatColours): Shading {
  return { ramp: glow, from: 0, perDegree: 1 };
}

/** A body that is even to less than this is shown as even (degrees). */
const LEAST_SPAN = 60;

/** The heat of a body from its coolest to its hottest place. */
export function heatShading({ heat }: HeatColours, least: number, most: number): Shading {
  const span = Math.max(LEAST_SPAN, most - least);
  return { ramp: heat, from: (least + most - span) / 2, perDegree: (heat.count - 1) / span };
}

/** Which place of the ramp a temperature has. */
export function placeOn({ ramp: { count }, from, perDegree }: Shading, celsius: number): number {
  const place = Math.round((celsius - from) * perDegree);
  return place < 0 ? 0 : place >= count ? count - 1 : place;
}

export function colourOf(shading: Shading, celsius: number): string {
  const k = 3 * placeOn(shading, celsius);
  const { bytes } = shading.ramp;
  return `rgb(${bytes[k]!} ${bytes[k + 1]!} ${bytes[k + 2]!})`;
}
