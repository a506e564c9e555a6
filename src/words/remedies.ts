import { type Remedy, type RemedyCode, type RemedyLength } from "@/core/piece/remedies";
import { type Said } from "./findings";
import { type Rounding, type Units, showLength, showPercent, withUnit } from "./show";

interface Voice {
  readonly length: (name: RemedyLength) => string;
  readonly bare: (name: RemedyLength) => string;
  /** A length as it is cut, with its unit. */
  readonly cut: (name: RemedyLength, rounding: Rounding) => string;
  readonly share: string;
  readonly size: string;
  readonly isFar: boolean;
  /** mm; null where nothing is said of it. */
  readonly left: number | null;
  readonly lengthOf: (mm: number) => string;
}

const SAYINGS: Readonly<Record<RemedyCode, (v: Voice) => Said>> = {
  "wall.cut-out": (v) => ({
    what: `The bezel is ${v.length("by")} too long.`,
    advice: `Saw ${v.length("by")} out at the seam, file, and solder it again: ${v.bare("from")} to ${v.bare("to")}.`,
  }),
  "wall.too-short": (v) => ({
    what: `The bezel is ${v.length("by")} too short to stretch.`,
    advice: `It is ${v.bare("from")} and ${v.length("to")} is wanted: cut a piece in, or start again.`,
  }),
  "wall.stretch": (v) => ({
    what: `The bezel is a little short: ${v.bare("from")}.`,
    advice: `Anneal it and stretch it by ${v.share}, to ${v.length("to")}.`,
  }),
  "wall.take-down": (v) => ({
    what: `The bezel stands ${v.length("by")} too high.`,
    advice: `Take it down to ${v.length("to")}, trying the stone.`,
  }),
  "wall.too-low-now": (v) => ({
    what: `The bezel is ${v.length("by")} too low to hold.`,
    advice: `It needs ${v.length("to")}: take the cushion out from under the stone, or make a new bezel.`,
  }),
  "wall.strip-short": (v) => ({
    what: `The strip is too short: ${v.bare("from")}.`,
    advice: `The bezel would not come to size: cut a new strip, ${v.cut("to", "strip")}.`,
  }),
  "wall.strip-low": (v) => ({
    what: `A strip ${v.length("from")} tall does not hold this stone.`,
    advice: `It needs ${v.length("to")}: cut a taller strip.`,
  }),
  "hoop.blank-short": (v) => ({
    what: `The blank is too short: ${v.bare("from")}.`,
    advice: `The hoop would not come to size: cut a new blank, ${v.cut("to", "blank")}.`,
  }),
  "hoop.will-come": (v) => ({ what: `This blank comes to ${v.length("inside")} inside${v.size}.`, advice: `${v.length("to")} is wanted.` }),
  "hoop.stretch": (v) => ({
    what: `The hoop is ${v.length("by")} too small inside${v.size}.`,
    advice: v.isFar
      ? `That is more than a size: cut a piece in. Stretched that far it would be ${v.length("left")} thick.`
      : `Stretch it to ${v.length("to")}; ${v.length("left")} of its thickness is left.`,
  }),
  "hoop.cut-out": (v) => ({
    what: `The hoop is large: ${v.length("from")} inside${v.size}.`,
    advice: `Saw ${v.length("by")} out at the seam and solder it again.`,
  }),
  "hoop.open": (v) => ({
    what: `The hoop is small: ${v.length("from")} inside${v.size}.`,
    advice: `Open it by ${v.length("by")} at its ends${v.left === null ? "" : `: they then stand ${v.length("left")} apart`}.`,
  }),
  "hoop.close": (v) => ({
    what: `The hoop is large: ${v.length("from")} inside${v.size}.`,
    advice:
      v.left !== null && v.left < 0
        ? `Its ends would meet: cut ${v.lengthOf(-v.left)} off them, then close it.`
        : `Close it by ${v.length("by")}${v.left === null ? ", or cut so much off its ends" : `: its ends then stand ${v.length("left")} apart`}.`,
  }),
};

export function sayRemedy({ code, level, values }: Pick<Remedy, "code" | "level" | "values">, units: Units): Said {
  const number = (name: string) => Number(values[name]);
  return SAYINGS[code]({
    length: (name) => withUnit(number(name), "measured", units),
    cut: (name, rounding) => withUnit(number(name), rounding, units),
    bare: (name) => showLength(number(name), "measured", units),
    share: showPercent(number("by"), 1),
    size: values.size === undefined || values.size === "" ? "" : `, size ${values.size}`,
    isFar: level === "error",
    left: values.left === undefined ? null : number("left"),
    lengthOf: (mm) => withUnit(mm, "measured", units),
  });
}

export function remedyText(remedy: Remedy, units: Units): string {
  const { what, advice } = sayRemedy(remedy, units);
  return `${what} ${advice}`;
}
