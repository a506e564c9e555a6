import { type Figure, type Unit } from "@/core/measure/figure";
import { termName } from "./terms";
import { type Rounding, type Units, showFigureValue, showLength, showPercent, shownStep } from "./show";

/** What a sum is made of, as it is told: terms by themselves or taken together. */
export interface Share {
  readonly name: string;
  readonly value: number;
}

export interface SumPart {
  readonly name: string;
  /** Its size without sign or unit, to the digits that are shown. */
  readonly text: string;
  readonly isLess: boolean;
}

const HUNDREDTH = 0.01;

/** What is this near below a step is on it: what is left of adding decimals in binary. */
const ON_STEP = 1e-7;

/** Amounts on the steps they are shown in, rounded by largest remainder: what is shown adds up to the total as it is shown. */
export function addingUp(values: readonly number[], unit: Unit, units: Units): number[] {
  return onSteps(values, shownStep(unit, units));
}

/** Money on the hundredths it is shown in, so that it adds up to the total as it is shown. */
export function moneyAddingUp(values: readonly number[]): number[] {
  return onSteps(values, HUNDREDTH);
}

/** "20%", "80%": shares of one whole in whole percents that add up as they are shown. */
export function percentsOf(shares: readonly number[]): string[] {
  return onSteps(shares, HUNDREDTH).map((share) => showPercent(share));
}

function onSteps(values: readonly number[], step: number): number[] {
  const steps = values.map((value) => value / step);
  const floors = steps.map((each) => Math.floor(each + ON_STEP));
  const total = Math.round(steps.reduce((all, each) => all + each, 0) + ON_STEP);
  const missing = total - floors.reduce((all, each) => all + each, 0);
  const byRemainder = steps.map((each, i) => ({ i, left: each - floors[i]! })).sort((a, b) => b.left - a.left);
  const raised = new Set(byRemainder.slice(0, missing).map(({ i }) => i));
  return floors.map((floor, i) => (floor + (raised.has(i) ? 1 : 0)) * step);
}

/** The parts of a sum that are not nothing. */
export function sumParts(shares: readonly Share[], unit: Unit, units: Units): SumPart[] {
  const some = shares.filter(({ value }) => value !== 0);
  const shown = addingUp(
    some.map(({ value }) => value),
    unit,
    units,
  );
  return some.map(({ name }, i) => ({
    name,
    text: showFigureValue(Math.abs(shown[i]!), unit, units).split(" ")[0]!,
    isLess: shown[i]! < 0,
  }));
}

/** Why what is cut is not the sum to its last digit. */
const WHY: Readonly<Record<Rounding, string>> = {
  strip: "a short strip can be stretched",
  height: "it is filed down",
  blank: "a saw cuts no finer",
  measured: "",
};

/** "cut at 46.05: a short strip can be stretched", where what is cut is shown otherwise than what it is the sum of; else empty. */
export function cutAt(mm: number, rounding: Rounding, units: Units): string {
  const [cut, sum] = [showLength(mm, rounding, units), showLength(mm, "measured", units)];
  return Number(cut) === Number(sum) ? "" : `cut at ${cut}: ${WHY[rounding]}`;
}

/** A figure's terms by their names. */
export function sharesOf({ terms }: Figure): Share[] {
  return terms.map((term) => ({ name: termName(term), value: term.value }));
}

/** A length's sum in one line, its unit left to the reader: "44.21 outline + 1.01 wall = 45.22". */
export function sumText(figure: Figure, units: Units, rounding: Rounding = "measured"): string {
  const parts = sumParts(sharesOf(figure), figure.unit, units);
  const told = parts.map(({ name, text, isLess }, i) => `${isLess ? (i > 0 ? "- " : "-") : i > 0 ? "+ " : ""}${text} ${name}`);
  const why = cutAt(figure.value, rounding, units);
  return `${told.join(" ")} = ${showFigureValue(figure.value, figure.unit, units).split(" ")[0]!}${why && `, ${why}`}`;
}
