import { type Figure } from "../measure/figure";
import { type LengthUnit, plainDigits, readLength } from "../measure/reading";
import { type SizeSystem } from "../hoop/sizes";
import { type BenchEntry } from "../piece/bench";
import { type Piece } from "../piece/piece";

/** Every sum that is asked for by itself. */
export const SUM_KINDS = ["blank", "size", "after", "round", "dome", "ball", "twist", "spacing", "mass", "gauge"] as const;
export type SumCode = (typeof SUM_KINDS)[number];

/** What a sum comes to; the words for each stand in the catalogue. */
export type AnswerCode =
  | "thickness"
  | "gauge"
  | "inside"
  | "circumference"
  | "blank"
  | "net"
  | "perimeter"
  | "strip"
  | "disc"
  | "sphere"
  | "snippet"
  | "ball"
  | "stands"
  | "turns"
  | "wire"
  | "every"
  | "gap"
  | "mass";

export interface SumAnswer {
  readonly code: AnswerCode;
  readonly figure: Figure;
}

/** A piece to begin with, and its fields that nobody measured. */
export interface Begun {
  readonly piece: Piece;
  readonly unmeasured: readonly string[];
}

/** A sum that could be read: what was asked, and what it comes to; the chief answer first. */
export interface QuickSum {
  readonly code: SumCode;
  /** Names and numbers that its title speaks of; lengths in mm. */
  readonly asked: Readonly<Record<string, number | string>>;
  /** What nobody said, and is taken as is usual. */
  readonly assumed: readonly string[];
  readonly answers: readonly SumAnswer[];
  /** The same size as other systems say it; none for what is no size. */
  readonly sizes: readonly { readonly system: Exclude<SizeSystem, "mandrel">; readonly text: string }[];
  /** A piece that begins with it; null where it begins none. */
  readonly begin: ((id: string, name: string) => Begun) | null;
}

/** A line as it is typed, in small letters and plain digits, and what a kind reads it with. */
export interface SumLine {
  readonly text: string;
  readonly shown: LengthUnit;
  readonly bench: BenchEntry;
}

/** A field of a sum's own form: a length in mm, a count, words, or one of a few. */
export interface SumField {
  readonly name: string;
  readonly as: "length" | "count" | "words" | readonly string[];
  /** What it starts with: mm, a count or words; "" where it may be left empty. */
  readonly start: number | string;
}

/** What of a sum lies along a rule: one of its answers, or a length that was asked of. */
export interface Along {
  /** mm */
  readonly length: number;
  /** The answer that it is; null for a length that was asked of. */
  readonly answer: AnswerCode | null;
  /** mm that it stands tall; null where nobody said. */
  readonly height: number | null;
  /** Pieces along it: the middle of each, and how long it is, null where nobody said (mm). */
  readonly pieces: readonly { readonly at: number; readonly side: number | null }[];
}

/** An answer along a rule, the chief one unless another is named. @throws where the sum has none such. */
export function answerAlong({ answers }: QuickSum, answer: AnswerCode = answers[0]!.code, height: number | null = null): Along {
  const found = answers.find(({ code }) => code === answer);
  if (!found) throw new RangeError(`no answer "${answer}"`);
  return { length: found.figure.value, answer, height, pieces: [] };
}

/** The length that a sum was asked of, along a rule. */
export function askedAlong({ asked }: QuickSum, height: number | null = null): Along {
  return { length: Number(asked.length), answer: null, height, pieces: [] };
}

/** All that the rest knows of a kind of sum. */
export interface SumKind {
  /** The sum; "misread" for what begins as one and does not go on so; null for a line of something else. */
  readonly read: (line: SumLine) => QuickSum | "misread" | null;
  readonly along: (sum: QuickSum) => Along;
  readonly fields: readonly SumField[];
  /** The line that says the same as its fields do, by their names. */
  readonly line: (texts: Readonly<Record<string, string>>) => string;
}

/** A length as it is written in a line: "16", "0.5", "6 1/4", "1/8in", "18 ga". */
export const LENGTH = String.raw`(\d[\d.,]*(?:\s+\d+\/\d+|\/\d+)?\s*(?:mm|inches|inch|in|"|gauge|ga)?|[.,]\d+\s*(?:mm|inches|inch|in|")?)`;
/** Between two of them. */
export const BY = String.raw`\s*x\s*`;

/** A line in small letters with plain digits, its signs for "times" and "by" as an x. */
export function plainLine(text: string): string {
  return plainDigits(text).toLowerCase().replace(/[×*]/g, "x").replace(/[−–]/g, "-").replace(/\s+/g, " ").trim();
}

/** Lengths of a line in mm, more than nothing; null where one is none. */
export function lengthsOf(texts: readonly (string | undefined)[], { shown }: Pick<SumLine, "shown">): number[] | null {
  const read = texts.map((text) => readLength(text ?? "", shown));
  const values = read.flatMap((each) => (each.ok && each.value > 0 && each.value <= MOST ? [each.value] : []));
  return values.length === texts.length ? values : null;
}

/** No length of a bench is longer (mm). */
const MOST = 10_000;

export const NO_SIZES: QuickSum["sizes"] = [];
