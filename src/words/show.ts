import { type Figure, type Unit } from "@/core/measure/figure";
import { type LengthUnit, MM_PER_INCH, type TemperatureUnit } from "@/core/measure/reading";

export interface Units {
  readonly length: LengthUnit;
  readonly temperature: TemperatureUnit;
}

export const METRIC: Units = { length: "mm", temperature: "C" };

/** Strips are shown short rather than long, heights tall rather than low, blanks and plates to what a saw can do. */
export type Rounding = "strip" | "height" | "blank" | "measured";

const MM_STEP: Readonly<Record<Rounding, number>> = { strip: 0.05, height: 0.05, blank: 0.1, measured: 0.01 };
const INCH_STEP = 0.001;
/** A value this near below a step is on it: what is left of adding decimals in binary. */
const ON_STEP = 1e-7;

function roundTo(value: number, step: number, rounding: Rounding): number {
  const steps = value / step;
  if (rounding === "strip") return Math.floor(steps + ON_STEP) * step;
  if (rounding === "height") return Math.ceil(steps - ON_STEP) * step;
  return Math.round(steps + ON_STEP) * step;
}

/** A length in mm as it is shown, without its unit. */
export function showLength(mm: number, rounding: Rounding, { length }: Units): string {
  if (length === "inch") return roundTo(mm / MM_PER_INCH, INCH_STEP, rounding).toFixed(3);
  return roundTo(mm, MM_STEP[rounding], rounding).toFixed(rounding === "blank" ? 1 : 2);
}

export function lengthUnit({ length }: Units): string {
  return length === "inch" ? "in" : "mm";
}

export function withUnit(mm: number, rounding: Rounding, units: Units): string {
  return `${showLength(mm, rounding, units)} ${lengthUnit(units)}`;
}

/** A temperature in degrees C as it is shown, in whole degrees, without its unit. */
export function showTemperature(celsius: number, units: Units): string {
  return String(Math.round(inDegrees(celsius, units)));
}

/** A temperature in the maker's unit. */
export function inDegrees(celsius: number, { temperature }: Units): number {
  return temperature === "F" ? (celsius * 9) / 5 + 32 : celsius;
}

/** So many degrees C more, as it is shown, in whole degrees of the maker's unit, or tenths where that is finer than it was typed. */
export function showRise(celsius: number, { temperature }: Units): string {
  const shown = temperature === "F" ? (celsius * 9) / 5 : celsius;
  return String(Number(shown.toFixed(1)));
}

/** Degrees C between two temperatures, in whole degrees of the maker's unit. */
export function showApart(celsius: number, units: Units): string {
  return String(Math.round(inDegrees(celsius, units) - inDegrees(0, units)));
}

export function degrees(units: Units): string {
  return `°${units.temperature}`;
}

export function showPercent(ratio: number, decimals = 0): string {
  return `${(ratio * 100).toFixed(decimals)}%`;
}

/** The step of the last digit in which a unit's values are told, in that unit. */
export function shownStep(unit: Unit, { length }: Units): number {
  const isInch = length === "inch";
  return {
    mm: isInch ? INCH_STEP * MM_PER_INCH : MM_STEP.measured,
    mm2: isInch ? INCH_STEP * MM_PER_INCH ** 2 : 0.1,
    g: 0.01,
    deg: 0.1,
    ratio: 0.001,
    count: 1,
  }[unit];
}

/** A value to the digits its terms are told in, with its unit. */
export function showFigureValue(value: number, unit: Unit, units: Units): string {
  const step = shownStep(unit, units);
  const on = Math.round(value / step + ON_STEP) * step;
  switch (unit) {
    case "mm":
      return withUnit(value, "measured", units);
    case "mm2":
      return showArea(on, units);
    case "g":
      return `${on.toFixed(2)} g`;
    case "deg":
      return `${on.toFixed(1)}°`;
    case "ratio":
      return showPercent(on, 1);
    case "count":
      return String(value);
  }
}

/** An area in mm2 as it is shown, with its unit. */
export function showArea(mm2: number, { length }: Units, decimals = 1): string {
  return length === "inch" ? `${(mm2 / MM_PER_INCH ** 2).toFixed(3)} in²` : `${mm2.toFixed(decimals)} mm²`;
}

/** A side of a piece of solder, or what it is cut from, as it is snipped, without its unit: tenths of a millimetre, hundredths of an inch. */
export function snipped(mm: number, { length }: Units): string {
  return length === "inch" ? (mm / MM_PER_INCH).toFixed(2) : mm.toFixed(1);
}

/** So many turns in 10 mm as a maker of either unit counts them: "3.0 turns in 10 mm", "7.6 turns in an inch". */
export function turnsText(turns: number, { length }: Units): string {
  return length === "inch" ? `${(turns * TEN_PER_INCH).toFixed(1)} turns in an inch` : `${turns.toFixed(1)} turns in 10 mm`;
}

/** Tens of millimetres in an inch. */
const TEN_PER_INCH = MM_PER_INCH / 10;

/** What a twist's turns are counted in, and how many tens of millimetres that is. */
export const TURNS_IN: Readonly<Record<LengthUnit, string>> = { mm: "Turns in 10 mm", inch: "Turns in an inch" };
export const TURNS_PER: Readonly<Record<LengthUnit, number>> = { mm: 1, inch: TEN_PER_INCH };

/** A length that goes off or on in a sentence that asks what if: a millimetre, or a thirty-second of an inch (mm), and how it is said. */
export function smallLength({ length }: Units): { readonly mm: number; readonly text: string; readonly each: string } {
  return length === "inch"
    ? { mm: MM_PER_INCH / 32, text: "1/32 in", each: "each 1/32 in" }
    : { mm: 1, text: "1 mm", each: "each millimetre" };
}

export function showFigure({ value, unit }: Figure, units: Units): string {
  return showFigureValue(value, unit, units);
}

/** Control characters, marks that turn the line round, and what takes no room. */
const UNPRINTABLE = /[\p{Cc}\p{Cf}\p{Co}\p{Cs}\u2028\u2029\u115f\u1160\u3164\uffa0]/gu;

/** Text from a file as it may be printed: without what is not seen, or turns the line round. */
export function printable(text: string): string {
  return text.replace(UNPRINTABLE, "");
}
