import { MM_PER_INCH, readLength } from "@/core/measure/reading";
import { type SumCode, type SumField } from "@/core/sums/sum";
import { SUMS } from "@/core/sums/sums";
import { type Units } from "@/words/show";

/** What stands in the fields of one sum, by their names, and the unit that bare lengths in them are typed in. */
export interface Typed {
  readonly texts: Readonly<Record<string, string>>;
  readonly unit: Units["length"];
}

/** A length as it stands in a field. */
function lengthText(mm: number, unit: Units["length"]): string {
  return unit === "inch" ? String(Number((mm / MM_PER_INCH).toFixed(4))) : String(Number(mm.toFixed(3)));
}

export function startOf(code: SumCode, { length }: Units): Typed {
  const text = ({ as, start }: SumField) => (as === "length" && typeof start === "number" ? lengthText(start, length) : String(start));
  return { texts: Object.fromEntries(SUMS[code].fields.map((field) => [field.name, text(field)])), unit: length };
}

/** The same in another unit: a length that can be read is told in it, anything else stays as it was typed. */
export function inUnit(code: SumCode, typed: Typed, { length }: Units): Typed {
  if (typed.unit === length) return typed;
  const told = ({ name, as }: SumField) => {
    const text = typed.texts[name] ?? "";
    const read = as === "length" ? readLength(text, typed.unit) : null;
    return read?.ok ? lengthText(read.value, length) : text;
  };
  return { texts: Object.fromEntries(SUMS[code].fields.map((field) => [field.name, told(field)])), unit: length };
}
