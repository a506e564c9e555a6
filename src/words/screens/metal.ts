import { counted } from "../names";

export const metalText = {
  metal: "Metal",
  cutFor: "Pieces to cut for",
  notNow: (piece: string) => `${piece}: do not cut for it now`,
  choose: "Choose the pieces to cut for: every blank of theirs is laid on what is in the drawer.",
  noPieces: "There are no pieces yet. Add one to lay its cuts.",
  refused: (names: string) => `◆ Cannot be planned: ${names}. Open to see why.`,
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
  byStandIn: "by made-up prices of a stand-in",
  tenth: (text: string) => `if metal were a tenth dearer, ${text} more`,
  printed: "as it lies in the drawer",
  notCopied: (why: string) => `The list could not be copied: ${why}`,
  unmeasured: (names: string) => `Some sizes of ${names} are not measured yet: do not cut by what is drawn of them.`,
  and: "and",
  printTheCuts: "Print the cuts",
  copyTheList: "Copy the list",
  copied: "The order list is on the clipboard",
  theseAreCut: "These are cut",
  areCut: "Taken from the drawer: useful ends lie there, the rest is scrap",
  putBack: "Put them back",
  lastCuts: "Cut last",
  begunAndLeft: (before: number, after: number) =>
    `${before} lengths and sheets cut, ${after} kept in their place`,
  putBackShort: "Put back",
  putBackOf: (when: string) => `Put back what was cut ${when}`,
  isBack: "The drawer is as it was before that cut",
  notBack: "It cannot be put back: what it left in the drawer was cut, changed or removed since.",
  notTouched: "not touched",
  usedUp: "used up",
  least: "under its least",
  addMetal: "+ Metal",
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

export const stockFormText = {
  head: "Metal for the drawer",
  form: "Form",
  metal: "Metal",
  section: "Section",
  sides: { width: "Width", thickness: "Thickness", outside: "Outside", inside: "Inside", length: "Length" },
  count: "How many",
  add: "Add",
  close: "Done",
  remove: (name: string) => `Take out of the drawer: ${name}`,
  needed: (label: string) => `${label}: type a length over 0, e.g. 3.2`,
  insideOut: "Inside: must be less than the outside",
  howMany: "How many: type a whole number from 1",
  forms: { strip: "Strip", wire: "Wire", sheet: "Sheet", tube: "Tube" },
};
