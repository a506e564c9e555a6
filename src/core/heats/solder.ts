import { type Grade, type SolderForm } from "../metal/shelf";
import { type Joint, isSeam } from "../joint/joint";
import { formOf, type Placing } from "../joint/placing";

/** How much solder a joint wants, and in how many pieces. */
export interface Pallions {
  /** Square pieces of sheet, a length of wire, or balls of paste. */
  readonly form: SolderForm["type"];
  readonly count: number;
  /** mm: length, width, thickness of a piece of sheet; length and thickness of the wire; a ball of paste across. */
  readonly size: readonly [number, number, number];
  /** mm from one to the next in a row; null where one piece does. */
  readonly spacing: number | null;
  /** How many rows they lie in: one where they have room in one. */
  readonly rows: number;
  /** How many times more the habit of a piece, then a gap as long, would lay; null for a seam, and for what is not laid in pieces. */
  readonly evenGap: number | null;
}

const GAP = 0.05;
const OVERFILL = 1.5;
/** So many times what a joint takes is planned for it. */
export const SPARE_SOLDER = 1.25;
const FILLET_RADIUS = 0.25;
/** Sides that pieces are cut to, largest first; the largest that lays no more than half too much is taken. */
const PALLION_SIDES = [1, 0.7, 0.5] as const;
const MOST_TOO_MUCH = 1.5;
const SHEET_THICKNESS = 0.25;
const WIRE_THICKNESS = 0.5;
const PASTE_BALL = 1;
/** Half of paste is flux. */
const SOLDER_IN_PASTE = 0.5;
const LEAST_ROUND_A_FOOT = 3;
/** Of ornament one piece for each stretch, and for so much of it begun (mm). */
const MOST_TO_A_PIECE = 12;
/** From the middle of one piece to the next, at least so many sides. */
const CLEAR_OF_NEXT = 1.5;
/** In more rows than this there is no laying them: it is sweated. */
export const MOST_ROWS = 3;

/** mm3 of solder: the gap between faces that meet, filled half over in a butt seam, with a fillet inside of a foot; a quarter more for all. */
export function solderVolume(joint: Pick<Joint, "kind" | "area" | "length">): number {
  const overfill = isSeam(joint) ? OVERFILL : 1;
  const fillet = joint.kind === "foot" ? (1 - Math.PI / 4) * FILLET_RADIUS ** 2 * joint.length : 0;
  return (joint.area * GAP * overfill + fillet) * SPARE_SOLDER;
}

/** What a joint takes of a grade where it is put so: of what is in hand of that form, or of its usual size. */
export function pallionsFor(joint: Joint, { forms = [] }: Pick<Grade, "forms">, placing: Placing): Pallions {
  const form = formOf(placing);
  const inHand = forms.find(({ type }) => type === form)?.thickness;
  return {
    sheet: () => fromSheet(joint, inHand ?? SHEET_THICKNESS),
    wire: () => fromWire(joint, inHand ?? WIRE_THICKNESS),
    paste: () => fromPaste(joint),
  }[form]();
}

function fromSheet(joint: Joint, sheet: number): Pallions {
  const volume = solderVolume(joint);
  const least = leastPieces(joint);
  const countOf = (side: number) => Math.max(least, Math.ceil(volume / (side * side * sheet)));
  const side = PALLION_SIDES.find((each) => countOf(each) * each * each * sheet <= MOST_TOO_MUCH * volume) ?? PALLION_SIDES.at(-1)!;
  const count = countOf(side);
  return {
    form: "sheet",
    count,
    size: [side, side, sheet],
    ...inRows(count, side, joint.length),
    evenGap: isSeam(joint) ? null : joint.length / (2 * side) / count,
  };
}

function leastPieces({ kind, stretches }: Joint): number {
  if (kind === "foot") return LEAST_ROUND_A_FOOT;
  return Math.max(
    1,
    (stretches ?? []).reduce((all, length) => all + Math.max(1, Math.ceil(length / MOST_TO_A_PIECE)), 0),
  );
}

/** So many pieces of a side along a length, in as few rows as leave them clear of each other: rows = ceil(1.5 count w / length). */
function inRows(count: number, side: number, length: number): Pick<Pallions, "rows" | "spacing"> {
  if (count === 1) return { rows: 1, spacing: null };
  const rows = Math.min(count, Math.max(1, Math.ceil((CLEAR_OF_NEXT * count * side) / length)));
  return { rows, spacing: spacingOf(length, count, rows) };
}

/** From one piece to the next along a length, in so many rows (mm). */
export function spacingOf(length: number, count: number, rows: number): number {
  return (length * rows) / count;
}

function fromWire(joint: Joint, thickness: number): Pallions {
  const length = solderVolume(joint) / ((Math.PI / 4) * thickness * thickness);
  return { form: "wire", count: 1, size: [length, thickness, thickness], spacing: null, rows: 1, evenGap: null };
}

function fromPaste(joint: Joint): Pallions {
  const count = Math.max(1, Math.ceil(solderVolume(joint) / SOLDER_IN_PASTE / ((Math.PI / 6) * PASTE_BALL ** 3)));
  return {
    form: "paste",
    count,
    size: [PASTE_BALL, PASTE_BALL, PASTE_BALL],
    ...inRows(count, PASTE_BALL, joint.length),
    evenGap: null,
  };
}

/** Where the pieces or balls of a row lie along a joint, in mm from its start: evenly, each in the middle of its share. Wire is fed, and lies nowhere. */
export function laidAt({ form, count, rows }: Pick<Pallions, "form" | "count" | "rows">, length: number): number[] {
  const inRow = Math.ceil(count / rows);
  return form === "wire" ? [] : Array.from({ length: inRow }, (_, i) => ((i + 0.5) * length) / inRow);
}
