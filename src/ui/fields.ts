import { type Draft as Editable } from "immer";
import { type Piece } from "@/core/piece/piece";
import { GAUGES } from "@/core/measure/gauge";
import { type LengthUnit, MM_PER_INCH, readLength, readNumber, readRise } from "@/core/measure/reading";
import { type FieldReading, type TypedField } from "@/store/session";
import { lengthFaultMessage } from "@/words/faults";
import { type Units, degrees, lengthUnit, showRise } from "@/words/show";
import { fieldsText } from "@/words/ui";

/** A field that holds a number of the piece: what it shows, how it is read, and by how much its keys step. */
export interface NumberField extends TypedField<number | null> {
  readonly unit: string;
  /** The piece's value as the field writes it, of its own accord. */
  show(value: number): string;
  readonly step: number;
}

const MM_STEP = 0.1;
const INCH_STEP = 0.005;
const PROBLEMS = {
  empty: "empty",
  "not-a-number": fieldsText.isNotANumber,
  "divided-by-zero": fieldsText.isDividedByNothing,
  "no-such-gauge": fieldsText.isNotAGaugeGauges(GAUGES.thickest, GAUGES.thinnest),
} as const;

function problem(text: string, code: keyof typeof PROBLEMS, example: string): FieldReading<number> {
  return {
    ok: false,
    problem: code === "empty" ? fieldsText.emptyTypeANumberE(example) : fieldsText.typeOneEG(text.trim(), PROBLEMS[code], example),
  };
}

/** A length that may be left out: an empty field takes it away. */
export function optionalLengthField(key: string, units: Units, write: (piece: Editable<Piece>, value: number | null) => void): NumberField {
  const length = lengthField(key, units, write);
  return { ...length, read: (text) => (text.trim() === "" ? { ok: true, value: null } : length.read(text)), write };
}

/** A length in mm, shown and read in the maker's unit; also read as "1/8in", "22ga", "3,2". */
export function lengthField(key: string, units: Units, write: (piece: Editable<Piece>, value: number) => void): NumberField {
  return {
    key,
    unit: lengthUnit(units),
    step: units.length === "inch" ? INCH_STEP * MM_PER_INCH : MM_STEP,
    show: (value) => showPlain(value, units.length),
    read: (text) => {
      const reading = readLength(text, units.length);
      return reading.ok ? reading : problem(text, reading.code, units.length === "inch" ? fieldsText.inchExample : fieldsText.n3218In);
    },
    write: given(write),
    say: (fault) => lengthFaultMessage(fault, units),
  };
}

/** A field that must have a number is never written without one. */
function given(write: (piece: Editable<Piece>, value: number) => void) {
  return (piece: Editable<Piece>, value: number | null) => {
    if (value !== null) write(piece, value);
  };
}

/** A bare number in a unit of its own. */
export function numberField(
  key: string,
  unit: string,
  step: number,
  decimals: number,
  write: (piece: Editable<Piece>, value: number) => void,
): NumberField {
  return {
    key,
    unit,
    step,
    show: (value) => value.toFixed(decimals),
    read: (text) => {
      const reading = readNumber(text);
      return reading.ok ? reading : problem(text, reading.code, String(step * 10));
    },
    write: given(write),
  };
}

/** So many degrees C more than a temperature, shown and read in the maker's unit. */
export function riseField(key: string, units: Units, write: (piece: Editable<Piece>, value: number) => void): NumberField {
  return {
    key,
    unit: degrees(units),
    step: 1,
    show: (value) => showRise(value, units),
    read: (text) => {
      const reading = readRise(text, units.temperature);
      return reading.ok ? reading : problem(text, reading.code, showRise(10, units));
    },
    write: given(write),
  };
}

/** Words, kept as they are typed; what the piece makes of them is its own affair. */
export function wordsField(key: string, write: (piece: Editable<Piece>, text: string) => void): TypedField<string> {
  return { key, read: (text) => ({ ok: true, value: text }), write };
}

/** Two decimals, or three where the third is not nought, so that nothing kept is hidden. */
function showPlain(mm: number, unit: LengthUnit): string {
  if (unit === "inch") return (mm / MM_PER_INCH).toFixed(4).replace(/0$/, "");
  const three = mm.toFixed(3);
  return three.endsWith("0") ? three.slice(0, -1) : three;
}
