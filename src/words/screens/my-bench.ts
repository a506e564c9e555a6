export const benchEntryFieldText = {
  theBenchStillUses: (problem: string) => `${problem}. The bench still uses`,
};

export const defaultsText = {
  clock: "Clock of",
  of24: "24 h",
  of12: "12 h",
  mandrel: "Mandrel",
  minutes: "Minutes",
  solderShelf: "Solder shelf",
  stripsOnTheShelf: "Strips on the shelf",
  standInInstruments: "Stand-in instruments",
  makeReadingsUpToTry: "make readings up, to try the bench without a caliper",
  theseValuesApplyWhereA: "These values apply where a piece does not set its own. An empty field uses the standard value.",
  lengthsIn: "Lengths in",
  temperaturesIn: "Temperatures in",
  ringSizesIn: "Ring sizes in",
  wayOfGrading: "Way of grading",
  overshoot: "Overshoot",
  typeANumberAs: (temperature: string) => `Type a number, as ${temperature}`,
  whatYourHandsTakeOff: "What your hands take off",
  yours: "yours",
  yoursFrom: (makes: string) => `yours, from ${makes}`,
  goBackToTheStandard: "Go back to the standard values",
  lostOnABezel: "Lost on a bezel",
  lostOnAHoop: "Lost on a hoop",
  roundTheStone: "Round the stone",
  typeANumberEG: (shipped: number) => `Type a number, e.g. ${shipped}`,
  standardValue: "standard value",
  typeALengthEG: (shipped: string) => `Type a length, e.g. ${shipped}`,
};

export const listEditorsText = {
  engravedExample: "engraved",
  across: (unit: string) => `${unit} across`,
  typeWhatIsEngravedAs: (example: string) => `Type what is engraved, as 54, and the reading across, as ${example}`,
  reads: "reads",
  removeReading: (label: string) => `Remove reading ${label}`,
  engraved: "Engraved",
  readsAcross: (unit: string) => `Reads across, ${unit}`,
  reading: "Reading",
  sizesBetweenTwoReadingsAre: "Sizes between two readings are worked out from both. Choose “My mandrel” on a hoop to size by it.",
  typeTheStripsThicknessAs: (example: string) => `Type the strip's thickness, as ${example} or 28ga`,
  typeHeightsWithSpacesBetween: (example: string) => `Type heights with spaces between, as ${example}`,
  remove: (name: string, thickness: number) => `Remove ${name} ${thickness}`,
  metalOfTheStrip: "Metal of the strip",
  thicknessOfTheStrip: (unit: string) => `Thickness of the strip, ${unit}`,
  thickOrGa: (unit: string) => `thick, ${unit} or ga`,
};

export const minutesEditorText = {
  min: "min",
  hands: "hands",
  thenWaits: "then waits",
  typeMinutesAs: (example: number) => `Type minutes, as ${example}`,
};

export const myBenchScreenText = {
  redo: "Redo",
  openFile: "Open file",
};

export const readyStockEditorText = {
  ofThe: (label: string, one: string, unit: string) => `${label} of the ${one}, ${unit}`,
};

export const shelfEditorText = {
  givesAt: "gives at",
  runsAt: "runs at",
  rank: "rank",
  hasKbATableOf: (name: string, size: number, most: number) => `${name} has ${size} kB: a table of shelves has ${most} at most`,
  hasLinesATableOf: (name: string, tooMany: number, limit: number) =>
    `${name} has ${tooMany} lines: a table of shelves has ${limit} at most`,
  line: (name: string, line: number, wrongIn: string) => `${name}, line ${line}: ${wrongIn}`,
  nameOfShelf: (id: string) => `Name of shelf ${id}`,
  inUse: "· in use",
  grades: (grades: string, least: string, most: string) => `${grades}, run at ${least} to ${most}`,
  useThisOne: "Use this one",
  grade: "Grade",
  remove: "Remove",
  nameOfOf: (grade: string, shelf: string) => `Name of ${grade} of ${shelf}`,
  of: (grade: string, shelf: string, label: string) => `${grade} of ${shelf} ${label}`,
  typeANumberAs: (example: string) => `Type a number, as ${example}`,
  removeOf: (grade: string, shelf: string) => `Remove ${grade} of ${shelf}`,
  inStock: "in stock",
  ofInStock: (grade: string, shelf: string) => `${grade} of ${shelf} in stock`,
  typeSheetWireOrPaste: "Type sheet, wire or paste, each with its thickness, as sheet 0.25, wire 0.5",
  shelf: (id: string) => `Shelf ${id}`,
  anotherShelf: "Another shelf",
  saveAsATable: "Save as a table",
  openATable: "Open a table",
  theseAreTypicalPublishedValues: "These are typical published values. Follow your supplier's sheet.",
  isAlreadyOnThatShelf: (got: string) => `"${got}" is already on that shelf`,
  theEntryUnderCannotBe: (column: string, got: string) => `the entry under "${column}" cannot be read${got}`,
  typeAWordAsHard: "Type a word, as hard or paste",
  typeANameThatIs: "Type a name that is not used yet",
};

export const benchEditText = {
  not: (word: string, problem: string) => `Not ${word}: ${problem}`,
};
