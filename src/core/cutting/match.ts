import { type CutStock } from "../metal/cut";
import { type Metal } from "../metal/metals";

/** Metal in a form: what is wanted, or what there is. */
export interface Form {
  readonly metal: Metal;
  readonly stock: CutStock;
}

/** Why something cannot be cut from something else. */
export type NoMatch = "form" | "metal" | "thickness" | "width";

/** Thicknesses nearer than this are one, and widths (mm; section 12 of the formulas). */
const THICKNESS = 0.005;
const WIDTH = 0.02;

/**
 * Whether what is wanted can be cut from what there is: the same form and metal, as thick, as wide; a strip from any taller one too, whose trim is spoiled.
 * Null where it can.
 */
export function noMatch(wanted: Form, there: Form): NoMatch | null {
  const [want, has] = [wanted.stock, there.stock];
  if (want.form !== has.form || (want.form === "wire" && has.form === "wire" && want.section !== has.section)) return "form";
  if (wanted.metal !== there.metal) return "metal";
  if (apart(thicknessOf(want), thicknessOf(has)) > THICKNESS) return "thickness";
  const over = widthAcross(has) - widthAcross(want);
  return over < -WIDTH - EXACT || (over > WIDTH + EXACT && want.form !== "strip") ? "width" : null;
}

/** Digits past this are those of numbers that end. */
const EXACT = 1e-9;

function apart(a: number, b: number): number {
  return Math.abs(a - b) - EXACT;
}

export function thicknessOf(stock: CutStock): number {
  return stock.form === "tube" ? (stock.outside - stock.inside) / 2 : stock.thickness;
}

/** mm; 0 of sheet, from which any width is sawn. */
export function widthAcross(stock: CutStock): number {
  if (stock.form === "sheet") return 0;
  return stock.form === "tube" ? stock.outside : stock.width;
}

/** Whether two are the same to whoever buys them. */
export function isSameForm(a: Form, b: Form): boolean {
  return noMatch(a, b) === null && noMatch(b, a) === null;
}
