export const cardPageText = {
  wrong: "◆ Wrong",
  takeCare: "◆ Take care",
  making: "Making",
  notes: "Notes.",
  cardOf: (name: string) => `Card of ${name}`,
  date: "Date",
  wanted: (figure: string) => `, wanted ${figure}`,
  revision: (fullDayText: string, revision: number) => `${fullDayText}, revision ${revision}`,
  planWithTheSeamAnd: "plan with the seam, and section",
  planAndSection: "plan and section",
  planAndSectionHeading: "Plan and section",
  planAndSectionOf: (name: string) => `Plan and section of ${name}`,
  timesLifeSize: (fit: string) => `${fit} times life size`,
  theDrawingIsAGuess: (doubts: string) => `○ ${doubts}: the drawing is a guess`,
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
  print: (cards: string) => `Print ${cards}`,
  cardsPlural: "cards",
  forAClassLinesFor: "for a class: lines for name and measurements",
  printLabel: "Print",
  piecesToPrint: "Pieces to print",
  workingOut: (name: string) => `Working out ${name}`,
  cannotBePlannedOpenIt: (name: string) => `${name} cannot be planned: open it to put it right.`,
};
