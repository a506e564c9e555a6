import { counted } from "../names";
import { type Units, lengthUnit } from "../show";

export const metalText = {
  metal: "Metal",
  cutFor: "Pieces to cut for",
  notNow: (piece: string) => `${piece}: do not cut for it now`,
  choose: "Choose the pieces to cut for: every blank of theirs is laid on what is in the drawer.",
  noPieces: "There are no pieces yet. Add one to lay its cuts.",
  laying: "Laying the cuts…",
  better: "Looking for better ones…",
  stop: "Stop",
  failed: (why: string) => `The cuts could not be laid: ${why}`,
  drawing: "The drawer with its cuts, all to one scale",
  inTheDrawer: "In the drawer",
  empty: "The drawer is empty: what is cut is all to order. Add what you have, by hand or as a list.",
  toOrder: "To order",
  nothingToOrder: "Nothing: all is in the drawer.",
  cannot: "Cannot be cut",
  laidSoThat: "Laid so that",
  spoiled: "spoiled",
  cutFrom: "cut from",
  cutFromLead: "Cut from",
  lengthsUnit: (count: number) => (count === 1 ? "length" : "lengths"),
  sheetsUnit: (count: number) => (count === 1 ? "sheet" : "sheets"),
  both: (lengths: number, sheets: number) => `${counted(lengths, "length")}, ${counted(sheets, "sheet")}`,
  grams: (text: string) => `${text} g`,
  sum: (metals: string, spoiled: string, drawn: string) => `${metals} + ${spoiled} g spoiled = ${drawn} drawn`,
  cost: (text: string) => `cost ${text}`,
  tenth: (text: string) => `if metal were a tenth dearer, ${text} more`,
  printed: "as it lies in the drawer",
  notCopied: (why: string) => `The list could not be copied: ${why}`,
  unmeasured: (names: string) => `Some sizes of ${names} are not measured yet: do not cut by what is drawn of them.`,
  notMeasured: (piece: string) => `${piece}: not measured, do not cut`,
  and: "and",
  printTheCuts: "Print the cuts",
  copyTheList: "Copy the list",
  orderAsTable: "Save the order",
  whatElse: "What else would do",
  nothingElse: "Nothing else in the drawer is large enough and only a little thicker or wider.",
  wouldDo: (what: string) => `Would do, with the piece planned for it: ${what}.`,
  copied: "The order list is on the clipboard",
  theseAreCut: "These are cut",
  areCut: "Taken from the drawer: useful ends lie there, the rest is scrap",
  putBack: "Put them back",
  lastCuts: "Cut last",
  begunAndLeft: (before: number, after: number) => `${counted(before, "length or sheet", "lengths and sheets")} cut, ${after} kept`,
  putBackShort: "Put back",
  putBackOf: (when: string) => `Put back what was cut ${when}`,
  notTouched: (alike: number) => (alike === 1 ? "not touched" : `not touched, ${alike} alike`),
  usedUp: "used up",
  least: "under its least",
  addMetal: "+ Metal",
  notKept: "This choice is not kept over a reload: the browser takes no more.",
};

export const movingText = {
  bar: "The chosen blank",
  hint: "Drag a blank to another place: everything else is laid round it.",
  keys: "Arrow keys move it (Alt finer, Shift farther), R turns it, P pins it, Page Down takes it to the next.",
  keysOfLength: "Up and down take it to another length, P pins it.",
  pin: "Pin it here",
  free: "Unpin",
  turn: "Turn",
  nextSheet: "Next sheet",
  nextLength: "Next length",
  freeAll: (count: number) => `Unpin all (${count})`,
  areFree: "Nothing is pinned any more",
  undo: "Pin them again",
  isOnly: "There is nothing else that it could be cut from.",
  cannot: (why: string) => `It cannot be cut from that: ${why}.`,
  notThere: (names: string) => `Not where it is pinned, for want of room or metal there: ${names}. It is laid elsewhere.`,
};

export const pricesText = {
  head: "What a gram and an hour cost",
  currency: "Currency",
  threeLetters: "three letters, e.g. EUR",
  hour: "An hour",
  gramOf: (what: string) => `A gram: ${what}`,
  solder: "Solder",
  anAmount: "an amount from 0, e.g. 1.2",
  standIn: "Stand-in prices",
  isStandIn: (day: string) => `Prices of ${day} from a stand-in: it makes them up.`,
};

export const costsText = {
  head: "What each costs",
};

export const stockTableText = {
  open: "Add from a table",
  save: "Save as a table",
  tooLarge: (name: string, kb: number) => `${name} is larger than ${kb} kB: a table of a drawer is not`,
  tooMany: (lines: number, limit: number) => `It has ${lines} lines, and a drawer ${limit} entries at most`,
  wrongCell: (line: number, column: string, got: string) =>
    got === "" ? `Line ${line}: ${column} is missing` : `Line ${line}, ${column}: "${got}" cannot be read`,
};

/** Corners and a round hole as they may be typed. */
const TYPED = {
  mm: { corner: "60 0", round: "round 12, 30 20" },
  inch: { corner: "2 3/8, 0", round: "round 1/2, 1.2 0.8" },
} as const;

function cornersOf(line: number): string {
  return line === 0 ? "Corners of the sheet" : `Corners of hole ${line}`;
}

export const stockFormText = {
  head: "Metal for the drawer",
  form: "Form",
  metal: "Metal",
  section: "Section",
  sides: { width: "Width", thickness: "Thickness", outside: "Outside", inside: "Inside", length: "Length" },
  count: "How many",
  add: "Add",
  save: "Save",
  close: "Done",
  headChange: "Change what lies there",
  change: (what: string) => `Change ${what}`,
  least: "Keep at least",
  grams: "By its weight",
  scale: "Scale",
  readScale: "Read the scale",
  weighs: (grams: string, length: string) => `${grams} g of it is ${length} long`,
  useLength: "Use this length",
  gone: "It does not lie in the drawer any more",
  remove: (name: string) => `Take out of the drawer: ${name}`,
  needed: (label: string) => `${label}: type a length over 0, e.g. 3.2`,
  corners: "Corners, where it is no rectangle",
  cornersHow: (units: Units) =>
    `One on a line, how far along and how far up (${lengthUnit(units)}): ${TYPED[units.length].corner}. After an empty line, what is taken out of it: its corners, or ${TYPED[units.length].round} by its diameter and its middle.`,
  drawn: (size: string, taken: number) => (taken === 0 ? size : `${size}, with ${counted(taken, "hole")}`),
  notACorner: (line: number, got: string, { length }: Units) =>
    `Corners, line ${line}: "${got}" is no corner: type two lengths, e.g. ${TYPED[length].corner}`,
  noSheet: {
    "too-few": (line: number) => `${cornersOf(line)}: three corners at least are needed`,
    crosses: (line: number) => `${cornersOf(line)}: the line crosses itself; type the corners in their order round it`,
    "no-area": (line: number) => `${cornersOf(line)}: the corners lie in one line and enclose nothing`,
    outside: (line: number) => `${cornersOf(line)}: it lies outside the sheet; type both from the same corner`,
  },
  insideOut: "Inside: must be less than the outside",
  howMany: "How many: type a whole number from 1",
  forms: { strip: "Strip", wire: "Wire", sheet: "Sheet", tube: "Tube" },
};
