export const cardPageText = {
  wrong: "◆ Wrong",
  takeCare: "◆ Take care",
  making: "Making",
  notes: "Notes.",
  cardOf: (name: string) => `Card of ${name}`,
  date: "Date",
  wanted: (figure: string) => `, wanted ${figure}`,
  toMake: (count: number) => `${count} to make; `,
  revision: (fullDayText: string, revision: number) => `${fullDayText}, revision ${revision}`,
  cutFirst: "Cut first:",
  flame: (flame: string, body: string) => `Flame: ${flame} ${body}`,
  hold: (hold: string) => `Hold: ${hold}`,
};

export const cardScreenText = {
  backTo: (name: string) => `Back to ${name}`,
  templates: "Templates",
  forAClass: "For a class",
  print: "Print",
};

export const cardsScreenText = {
  cards: "Cards",
  forAClass: "For a class",
  labels: "Labels",
  print: "Print",
  whatIsPrinted: "What is printed",
  leaveOut: (piece: string) => `Leave out ${piece}`,
  chooseWhatToPrint: "Choose the pieces to print.",
  piecesToPrint: "Pieces to print",
  workingOut: (name: string) => `Working out ${name}`,
  cannotBePlannedOpenIt: (name: string) => `${name} cannot be planned: open it to put it right.`,
};

export const classPagesText = {
  theClass: "The class",
  classOf: (name: string) => `${name}, for a class`,
  namesAndSizes: (system: string) => `Names and finger sizes, one line each; a size without a system is ${system}`,
  example: "Ada, 54\nBo, US 7\nCy",
  moreWithoutAName: "More, without a name",
  standardLosses: "Losses are the standard values, not your own: nobody else's hands are known.",
  tooMany: (listed: number, most: number) => `The list has ${listed} lines: the first ${most} are printed. Print the others by themselves.`,
  sayWhoMakesIt: "Say who makes it: paste a list, or give how many.",
  makers: (makers: string) => `For a class: ${makers}`,
  number: "Number",
  fingerSize: "Finger size",
  blank: (part: string) => `${part}, blank`,
  metal: "Metal for everybody",
  withGuesses: "○ Where something is not measured yet, the piece's own value is counted here.",
  solder: "Solder for everybody, to cut first",
};

export const labelSheetText = {
  labels: "Labels",
  ofEach: "Of each piece",
  labelOf: (name: string) => `Label of ${name}`,
};

export const cardDrawingText = {
  alongTheFinger: "along the finger",
  asItHangs: "as it hangs",
  planWithTheSeamAnd: "plan with the seam, and section",
  planAndSection: "plan and section",
  planAndSectionHeading: "Plan and section",
  planAndSectionOf: (name: string) => `Plan and section of ${name}`,
  timesLifeSize: (fit: string) => `${fit} times life size`,
  theDrawingIsAGuess: (doubts: string) => `○ ${doubts}: the drawing is a guess`,
};
