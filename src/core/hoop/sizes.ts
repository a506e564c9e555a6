import { plainDigits, readNumber } from "../measure/reading";
import { type Point } from "../geometry/outline";

export type SizeSystem = "us" | "uk" | "eu" | "continental" | "jp" | "diameter" | "mandrel";

/** One reading of a maker's own mandrel: what is engraved, and its diameter there in mm. */
export interface MandrelMark {
  readonly label: string;
  readonly diameter: number;
}

export type SizeReading =
  | { readonly ok: true; readonly diameter: number }
  | { readonly ok: false; readonly code: "not-a-size" | "no-mandrel" | "off-mandrel" | "no-finger" };

/** Inside diameters in mm that fit a finger; a size outside does not exist in any system. */
export const FINGER = { smallest: 10, largest: 30 } as const;

const UK_A_STEP = 2;
const LETTERS = 26;
const UK_LAST = LETTERS - 1 + 6;

/** Inside diameter in mm of a size as a maker says it: "6 1/4", "N 1/2", "54"; what lies between a mandrel's own labels, numbers or letters, is interpolated. */
export function readSize(system: SizeSystem, text: string, mandrel: readonly MandrelMark[]): SizeReading {
  if (system === "mandrel") return readMandrel(text, mandrel);
  const value = system === "uk" ? readLetter(plainDigits(text)) : readPlain(plainDigits(text));
  if (value === null) return { ok: false, code: "not-a-size" };
  const diameter = diameterOf(system, value);
  return diameter >= FINGER.smallest && diameter <= FINGER.largest ? { ok: true, diameter } : { ok: false, code: "no-finger" };
}

function readPlain(text: string): number | null {
  const reading = readNumber(text.replace(/\s*mm$/i, ""));
  return reading.ok ? reading.value : null;
}

/** Steps above A: "N" is 13, "N 1/2" 13.5, "Z+2" 27. */
function readLetter(text: string): number | null {
  const match = /^([A-Z])(?:\s*\+\s*([1-6]))?(?:\s*(.+))?$/i.exec(text.trim());
  if (!match || (match[2] && match[1]!.toUpperCase() !== "Z")) return null;
  const part = match[3] === undefined ? { ok: true as const, value: 0 } : readNumber(match[3]);
  if (!part.ok || part.value < 0 || part.value >= 1) return null;
  return match[1]!.toUpperCase().charCodeAt(0) - 65 + Number(match[2] ?? 0) + part.value;
}

function diameterOf(system: Exclude<SizeSystem, "mandrel">, value: number): number {
  switch (system) {
    case "us":
      return 11.63 + 0.8128 * value;
    case "uk":
      return (40 + 1.25 * (value - UK_A_STEP)) / Math.PI;
    case "eu":
      return value / Math.PI;
    case "continental":
      return (value + 40) / Math.PI;
    case "jp":
      return 13 + (value - 1) / 3;
    case "diameter":
      return value;
  }
}

/** The size as a number in its system: a UK letter as steps above A. The inverse of reading it. */
export function sizeNumber(system: Exclude<SizeSystem, "mandrel">, diameter: number): number {
  switch (system) {
    case "us":
      return (diameter - 11.63) / 0.8128;
    case "uk":
      return (Math.PI * diameter - 40) / 1.25 + UK_A_STEP;
    case "eu":
      return Math.PI * diameter;
    case "continental":
      return Math.PI * diameter - 40;
    case "jp":
      return 1 + 3 * (diameter - 13);
    case "diameter":
      return diameter;
  }
}

/** How many sizes of a system a hoop loses with so many mm of its inside diameter, at a diameter. */
export function sizeLost(system: Exclude<SizeSystem, "mandrel">, diameter: number, lost: number): number {
  return sizeNumber(system, diameter) - sizeNumber(system, diameter - lost);
}

const QUARTERS = ["", " 1/4", " 1/2", " 3/4"] as const;

/** The size as it is said, to what the system is read to: a quarter letter, US 0.01, the others 0.1; null where the system does not go so far. */
export function sizeText(system: Exclude<SizeSystem, "mandrel">, diameter: number): string | null {
  const value = sizeNumber(system, diameter);
  if (system === "uk") {
    const quarters = Math.round(value * 4);
    if (quarters < 0 || quarters > UK_LAST * 4) return null;
    const whole = Math.floor(quarters / 4);
    const letter = whole < LETTERS ? String.fromCharCode(65 + whole) : `Z+${whole - LETTERS + 1}`;
    return letter + QUARTERS[quarters % 4]!;
  }
  if (value < 0) return null;
  return system === "us" || system === "diameter" ? value.toFixed(2) : value.toFixed(1);
}

function readMandrel(text: string, mandrel: readonly MandrelMark[]): SizeReading {
  if (mandrel.length === 0) return { ok: false, code: "no-mandrel" };
  const exact = mandrel.find((mark) => mark.label.trim() === text.trim());
  if (exact) return { ok: true, diameter: exact.diameter };
  const read = readPlain(text) === null ? readLetter : readPlain;
  const wanted = read(text);
  const marks = mandrel.flatMap((mark): Point[] => {
    const value = read(mark.label);
    return value === null ? [] : [[value, mark.diameter]];
  });
  if (wanted === null) return { ok: false, code: "not-a-size" };
  marks.sort((a, b) => a[0] - b[0]);
  const same = marks.find(([value]) => value === wanted);
  if (same) return { ok: true, diameter: same[1] };
  const above = marks.findIndex(([value]) => value > wanted);
  if (above <= 0) return { ok: false, code: "off-mandrel" };
  const [[x0, y0], [x1, y1]] = [marks[above - 1]!, marks[above]!];
  return { ok: true, diameter: y0 + ((y1 - y0) * (wanted - x0)) / (x1 - x0) };
}
