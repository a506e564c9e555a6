/**
 * Where a number came from: the stone as measured, the piece file, the maker's bench, the default shipped with the
 * program, a formula, the metal as it was measured in the making, or what the maker's own making has taught.
 */
export type Source = "stone" | "piece" | "bench" | "shipped" | "formula" | "measured" | "learned";

/** What a maker's own hands take off (mm), as so many of their makes have taught, and how far those lie apart; null where they do not say. */
export interface OwnLoss {
  readonly value: number;
  readonly spread: number | null;
  readonly count: number | null;
}

export interface Sourced<T> {
  readonly value: T;
  readonly from: Source;
}

export type Unit = "mm" | "mm2" | "g" | "deg" | "ratio" | "count";

/** Codes of the terms a figure can have; the words for them stand in the catalogue of words. */
export type TermCode =
  | "outline"
  | "wall"
  | "fit"
  | "squaring"
  | "mark"
  | "lift"
  | "turnIn"
  | "lip"
  | "arc"
  | "fold"
  | "foot"
  | "top"
  | "third"
  | "fixed"
  | "whole"
  | "covered"
  | "catch"
  | "tilt"
  | "stone"
  | "ornament"
  | "tight"
  | "ledge"
  | "border"
  | "plate"
  | "dome"
  | "tube"
  | "inside"
  | "saw"
  | "size"
  | "wideBand"
  | "finger"
  | "fibre"
  | "padding"
  | "sawPasses"
  | "openTop"
  | "openGap"
  | "strandExtra"
  | "slit"
  | "fitting"
  | "hammer"
  | "yours"
  | "drop"
  | "overChain"
  | "earWire"
  | "below"
  | "setting"
  | "post"
  | "wireAndRing"
  | MetalCode
  | "formula";

/** Metals by their names in files: the one list of them. What each is like is its row in `core/metal/metals.ts`. */
export type MetalCode = "fine-silver" | "sterling" | "sterling-935" | "copper" | "brass";

/** Names the formula of a term that is not read off a field. */
export type FormulaCode =
  | "perimeter"
  | "measured"
  | "area"
  | "extent"
  | "hull"
  | "parallel"
  | "middle"
  | "lip.flat"
  | "density"
  | "seam.straightest"
  | "seam.chosen"
  | "window.low"
  | "window.high"
  | "strip.shelf"
  | "strip.trim"
  | "twist.wire"
  | "bead.count"
  | "bead.gap"
  | "bead.closes"
  | "bead.stock"
  | "snippet.wire"
  | "snippet.strip"
  | "notch.count"
  | "notch.pitch"
  | "notch.depth"
  | "notch.gap"
  | "notch.chosen"
  | "fibre.half"
  | "fibre.segment"
  | "fibre.halfEllipse"
  | "flat.depth"
  | "flat.left"
  | "flat.width"
  | "saddle.depth"
  | "saddle.left"
  | "saddle.width"
  | "lostPerMillimetre"
  | "foot.angle"
  | "foot.end"
  | "foot.reach"
  | "foot.stands"
  | "grip.width"
  | "slit.loss"
  | "slit.leg"
  | "slit.shift"
  | "strand.extra"
  | "twist.flattened"
  | "inlay.length"
  | "bridge.blank"
  | "bridge.reach"
  | "bridge.arm"
  | "bail.tube"
  | "bail.ring"
  | "earwire.length"
  | "post.length"
  | "applied.size"
  | "dome.disc"
  | "dome.step"
  | "dome.sphere"
  | "gauge"
  | "gauge.nearest"
  | "size.inside"
  | "size.round"
  | "size.after"
  | "ball.from"
  | "twist.stands"
  | "twist.turns"
  | "spacing.even"
  | "spacing.gap"
  | "earring.stands"
  | "hang.tilt"
  | "hang.pulled"
  | "hang.straight"
  | "blank";

export interface Term {
  readonly label: TermCode;
  readonly value: number;
  readonly from: Source;
  readonly note?: FormulaCode;
  /** How many makes have taught it. */
  readonly count?: number;
}

/** Another rule a maker may have been taught, by which the same length comes out differently. */
export type SchoolCode = "turn-in" | "third" | "fixed" | "fibre" | "thickness" | "3.145" | "3.15" | "3.5" | "long" | "hull";

export interface School {
  readonly rule: SchoolCode;
  readonly value: number;
}

/** A result that shows its sum: the terms add up to the value. */
export interface Figure {
  readonly value: number;
  readonly unit: Unit;
  readonly terms: readonly Term[];
  readonly schools?: readonly School[];
}

export type Figures = Readonly<Record<string, Figure>>;

/** The figure whose value is the sum of its terms. @throws if there is no term or a term is not finite. */
export function sum(unit: Unit, terms: readonly Term[], schools?: readonly School[]): Figure {
  if (terms.length === 0) throw new RangeError("a figure needs at least one term");
  let value = 0;
  for (const each of terms) {
    if (!Number.isFinite(each.value)) throw new RangeError(`term ${each.label} is ${each.value}`);
    value += each.value;
  }
  return schools ? { value, unit, terms, schools } : { value, unit, terms };
}

/** A figure that is not a sum: one term, equal to it, that names the formula. */
export function single(unit: Unit, value: number, note: FormulaCode, from: Source = "formula"): Figure {
  return sum(unit, [{ label: "formula", value, from, note }]);
}

export function term(label: TermCode, value: number, from: Source, note?: FormulaCode): Term {
  return note ? { label, value, from, note } : { label, value, from };
}

/** A term that keeps the source of the value it takes over. */
export function taken(label: TermCode, { value, from }: Sourced<number>): Term {
  return { label, value, from };
}

/** What the maker's own hands take off, in place of each loss by itself. */
export function yours({ value, count }: OwnLoss): Term {
  return { ...term("yours", value, "learned"), ...(count !== null && { count }) };
}

/** @throws if no figure has that key: a screen asked for what this piece does not have. */
export function figureOf(figures: Figures, key: string): Figure {
  const figure = figures[key];
  if (!figure) throw new RangeError(`no figure ${key}`);
  return figure;
}
