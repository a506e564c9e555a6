import { GAUGES, gaugeThickness } from "./gauge";

export type LengthUnit = "mm" | "inch";
export const MM_PER_INCH = 25.4;

export type Reading = { ok: true; value: number } | { ok: false; code: "empty" | "not-a-number" | "divided-by-zero" | "no-such-gauge" };

const FRACTIONS: Readonly<Record<string, string>> = {
  "¼": "1/4",
  "½": "1/2",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
  "⅓": "1/3",
  "⅔": "2/3",
};

/** A text with the digits and signs of other scripts as ASCII has them: full-width, Arabic and Persian. */
export function plainDigits(text: string): string {
  return text
    .replace(/[\uff01-\uff5e]/g, (wide) => String.fromCharCode(wide.charCodeAt(0) - FULL_WIDTH))
    .replace(/[\u0660-\u0669\u06f0-\u06f9]/g, (digit) => String(digit.charCodeAt(0) & 0xf))
    .replace(/\u066b/g, ".")
    .replace(/\u3000/g, " ");
}

/** How far full-width signs lie from their ASCII ones. */
const FULL_WIDTH = 0xfee0;

/**
 * A bare number as it is said at a bench: "3.2", "3,2", "1/8", "6 1/4", "6¼", "-1", "٣٫٢". A comma is a decimal comma.
 * No unit is read.
 */
export function readNumber(text: string): Reading {
  const plain = plainDigits(text)
    .replace(/[¼½¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${FRACTIONS[sign]}`)
    .trim();
  if (plain === "") return { ok: false, code: "empty" };
  const decimal = /^([+-]?)(\d+(?:[.,]\d*)?|[.,]\d+)$/.exec(plain);
  if (decimal) {
    const size = Number(decimal[2]!.replace(",", "."));
    return { ok: true, value: decimal[1] === "-" ? -size : size };
  }
  const fraction = /^([+-]?)(?:(\d+)(?:\s+|-))?(\d+)\s*\/\s*(\d+)$/.exec(plain);
  if (!fraction) return { ok: false, code: "not-a-number" };
  const below = Number(fraction[4]);
  if (below === 0) return { ok: false, code: "divided-by-zero" };
  const size = Number(fraction[2] ?? 0) + Number(fraction[3]) / below;
  return { ok: true, value: fraction[1] === "-" ? -size : size };
}

/** An amount from nothing to the most that a making holds, as it is typed; null where it is none. */
export function readAmount(text: string): number | null {
  const read = readNumber(text);
  return read.ok && read.value >= 0 && read.value <= MOST_AMOUNT ? read.value : null;
}

const MOST_AMOUNT = 100_000;

/** A length in mm: "3.2", "3,2 mm", "1/8in", "0.125\"", "22ga", "22 gauge", "22 awg", "22 B&S". A bare number is in `shown`, the unit on screen. Gauges go from 1 to 36. */
export function readLength(text: string, shown: LengthUnit): Reading {
  const match = /^(.*?)\s*(mm|in|inch|inches|"|″|ga|gauge|g|awg|b\s*&\s*s)?$/i.exec(plainDigits(text).trim());
  const number = readNumber(match?.[1] ?? "");
  if (!number.ok) return number;
  const unit = match?.[2]?.toLowerCase() ?? (shown === "inch" ? "in" : "mm");
  if (/^[gab]/.test(unit)) {
    const isGauge = number.value >= GAUGES.thickest && number.value <= GAUGES.thinnest;
    return isGauge ? { ok: true, value: gaugeThickness(number.value) } : { ok: false, code: "no-such-gauge" };
  }
  return { ok: true, value: unit === "mm" ? number.value : number.value * MM_PER_INCH };
}

export type TemperatureUnit = "C" | "F";

/** A temperature in degrees C: "718", "718 °C", "1324F". A bare number is in `shown`, the unit on screen. */
export function readTemperature(text: string, shown: TemperatureUnit): Reading {
  const { number, unit } = degreesIn(text, shown);
  return number.ok && unit === "F" ? { ok: true, value: ((number.value - 32) * 5) / 9 } : number;
}

/** So many degrees more, in degrees C: what is added to a temperature. */
export function readRise(text: string, shown: TemperatureUnit): Reading {
  const { number, unit } = degreesIn(text, shown);
  return number.ok && unit === "F" ? { ok: true, value: (number.value * 5) / 9 } : number;
}

function degreesIn(text: string, shown: TemperatureUnit): { readonly number: Reading; readonly unit: TemperatureUnit } {
  const match = /^(.*?)\s*°?\s*([CF])?$/i.exec(plainDigits(text).trim());
  return { number: readNumber(match?.[1] ?? ""), unit: (match?.[2]?.toUpperCase() as TemperatureUnit | undefined) ?? shown };
}
