export const cautionsText = {
  cautions: "Cautions",
};

export const chosenPiecesText = {
  refused: (names: string) => `◆ Cannot be planned: ${names}. Open to see why.`,
  findAPiece: "Find a piece to add",
};

export const codesText = {
  asCodes: (name: string) => `${name} as codes`,
  takesTooMany: (most: number) => `It takes more than ${most} codes. Save it to a file instead.`,
  withoutPictures: "Without its picture, which would take too many: save a file to send that too.",
  onTheOther: "On the other device, press Read codes at home, and take a picture of this one.",
  onTheOtherEach: (count: number) =>
    `On the other device, press Read codes at home, and take a picture of each of the ${count}, in any order.`,
  code: (index: number, count: number) => (count === 1 ? "Code" : `Code ${index} of ${count}`),
  nextCode: "Next code",
  done: "Done",
  readCodes: "Read codes",
  howToRead:
    "Show a piece as codes on the other device, from its menu there. Take a picture of each code, straight from the front, or choose pictures of them.",
  aPictureOfTheCode: "A picture of the code",
  looking: "Looking for a code",
  noCodeFound: "◆ No code was found in that picture. Take it closer, with all four edges in it.",
  isOfSomethingElse: "◆ That code holds something else, not a piece.",
  isOfAnother: "▲ That code is of another piece: begun again with it.",
  readSoMany: (read: number, count: number) => `${read} of ${count} codes read`,
  fileProblem: (file: string, problem: string) => `◆ ${file} ${problem}.`,
  takeAPicture: "Take a picture",
  standIn: "Stand-in camera (sees a made-up piece)",
  theCodes: "the codes",
  close: "Close",
};

export const dayLanesText = {
  now: "now",
  theDay: (tasks: string) => `The day: ${tasks}`,
};

export const drawingText = {
  lifeSize: "life size",
  timesLifeSize: (times: number) => `${times} times life size`,
};

export const faultListText = {
  andMore: (count: number) => `and ${count} more`,
};

export const sumActionsText = {
  copied: (text: string) => `Copied: ${text}`,
  notCopied: (text: string) => `This browser lets nothing be copied here. The answer is ${text}.`,
};

export const findText = {
  sums: "Sums, by fields",
  practise: "Practise with the flame",
  find: "Find",
  whatItMeans: "what it means",
  openAFile: "Open a file",
  planTheDay: "Plan the day",
  ledger: "Ledger",
  listTheKeys: "List the keys",
};

export const findDialogText = {
  find: "Find",
  aPieceItsStoneOr: "A piece, a stage, a figure, a word, a command; or a sum, such as US 7 x 1.6",
  nothingByThatName: "Nothing by that name.",
  sum: "Sum",
  enterCopies: "Enter copies it",
  stages: "Stages",
  figures: "Figures",
  words: "Words",
};

export const goesOnText = {
  moreBelow: "more below",
};

export const keysListText = {
  useSingleKeysOutsideFields: "Use single keys (outside fields)",
  keys: "Keys",
};

export const navBarText = {
  day: "Day",
  metal: "Metal",
  ledger: "Ledger",
  sums: "Sums",
  hoop: "Hoop",
  places: "Places",
};

export const notKeptText = {
  reload: "Reload",
  keepItAgain: "Keep it again",
  closeThis: "Close this",
};

export const newerVersionText = {
  isReady: "A newer version is ready.",
  useIt: "Use it",
  anotherWindowUsesIt: "Another window uses a newer version. This one is kept as it is; reload to go on with it.",
  reload: "Reload",
};

export const noteText = {
  wrong: "Wrong",
  takeCare: "Take care",
  note: "Note",
};

export const openedDialogText = {
  nothingHasChangedToPut: (things: string) => `Nothing has changed. ${things} to put right in the file:`,
  close: "Close",
  isNotOpened: (file: string) => `${file} is not opened`,
  theseDefaultsDifferSoSome: "These defaults differ, so some lengths may too:",
  defaultWord: "Default",
  itCameWith: "it came with",
  myBench: "my bench",
  planItOnMyBench: "Plan it on my bench",
  keepTheOneItCame: "Keep the one it came with",
  wasPlannedOnAnotherBench: (name: string) => `${name} was planned on another bench`,
  aPieceWithTheId: (id: string) => `A piece with the id ${id} is there already. Replace it, or keep both?`,
  from: (file: string) => `From ${file}.`,
  replaceIt: "Replace it",
  keepBoth: "Keep both",
  putItOnTheTray: "Put it on the tray",
  isOnTheTrayAlready: (name: string) => `${name} is on the tray already`,
  putOnTheTray: (name: string) => `Put ${name} on the tray`,
  itReplacesAllYourDefaults: "It replaces all your defaults. You can undo this on My bench.",
  useIt: "Use it",
  useAsMyBench: (name: string) => `Use ${name} as my bench`,
};

export const ownMethodText = {
  yourOwnBy: "Your own, by",
  noMethodSaid: "no method said",
};

export const papersText = {
  letter: "Letter",
  paper: "Paper",
};

export const planAndSectionText = {
  plan: (scale: string) => `Plan, ${scale}`,
  sectionAcrossTheWidth: (scale: string) => `Section across the width, ${scale}`,
};

export const progressDialogText = {
  stop: "Stop",
};

export const reckonedSourceText = {
  setYourOwnOn: (mark: string, source: string) => `${mark}${source}. Set your own on`,
};

export const restoreDialogText = {
  nothingWasChanged: (troubleWords: string) => `${troubleWords}. Nothing was changed`,
  notUndoneEverythingStaysAs: "Not undone: everything stays as it was restored.",
  undoneEverythingIsAsIt: "Undone: everything is as it was before",
  undoneButForChangedSince: (records: string) => `Undone, but for ${records} changed since`,
  restored: (what: string) => `Restored: ${what}`,
  theBench: "the bench",
  from: (file: string) => `From ${file}.`,
  fromWith: (file: string, what: string) => `From ${file}, with ${what}.`,
  ofItCannotBeRead: (parts: string) => `◆ ${parts} of it cannot be read and will be left out:`,
  andMore: (count: number) => `and ${count} more`,
  cannotBeRead: "Cannot be read",
  nothingWouldChange: "Nothing would change.",
  everythingHereStaysAsYou: "Everything here stays as you chose.",
  everythingInThisFileIs: "Everything in this file is already here.",
  restoring: "Restoring",
  stopChangeNothing: "Stop, change nothing",
  restore: "Restore",
  restoreWhat: (what: string) => `Restore ${what}`,
};

export const restoreListText = {
  allOf: (standings: string) => `All of "${standings}"`,
  andMoreChooseForAll: (length: number) => `and ${length} more: choose for all of them above`,
  oneByOne: "One by one",
  andMore: (names: string, count: number) => `${names}; and ${count} more`,
};

export const ruleText = {
  solder: "solder",
  steelRule: (cut: string) => `Steel rule: ${cut}`,
};

export const sectionViewText = {
  dome: "Dome",
  heightAtWhichTheSide: "Height at which the side leans in",
};

export const stageText = {
  answer: "Answer",
  drawing: "Drawing",
  measures: "Measures",
};

export const termsText = {
  showItsSum: (name: string, doubt: string) => `${name}, ${doubt}show its sum`,
  inAll: "in all",
};

export const torchLinesText = {
  atTheTorch: "At the torch",
};

export const typedEntryText = {
  notMeasuredYet: "not measured yet",
  thePlanStillUses: (problem: string, value: string) => `${problem}. The plan still uses ${value}.`,
  none: "none",
};

export const unitSwitchText = {
  lengthsIn: "Lengths in",
  temperaturesIn: "Temperatures in",
};

export const fieldsText = {
  isNotANumber: "is not a number",
  isDividedByNothing: "is divided by nothing",
  isNotAGaugeGauges: (thickest: number, thinnest: number) => `is not a gauge: gauges run from ${thickest} to ${thinnest}`,
  emptyTypeANumberE: (example: string) => `Empty: type a number, e.g. ${example}`,
  typeOneEG: (text: string, problem: string, example: string) => `"${text}" ${problem}: type one, e.g. ${example}`,
  inchExample: "0.125 or 1/8",
  n3218In: "3.2, 1/8in or 22ga",
};

export const openingText = {
  openAFile: "Open a file",
  reading: (file: string) => `Reading ${file}`,
};

export const restoreWordsText = {
  newerHere: "Newer here",
  differentNotKnownWhichIs: "Different, not known which is newer",
  newerInTheFile: "Newer in the file",
  deletedHere: "Deleted here",
  onlyInTheFile: "Only in the file",
  theSame: "The same",
  keepBoth: "Keep both",
  useTheFilesBench: "Use the file's bench",
  keepMyBench: "Keep my bench",
  addIt: "Add it",
  leaveItOut: "Leave it out",
  bringItBack: "Bring it back",
  leaveItDeleted: "Leave it deleted",
  useTheFiles: "Use the file's",
  keepMine: "Keep mine",
  myBench: (name: string) => `My bench, ${name}`,
  makeOf: (name: string, day: string) => `Make of ${name}, ${day}`,
  tryOn: (name: string, day: string) => `Try at the torch: ${name}, ${day}`,
  hereInTheFile: (here: string, there: string) => `here ${here}; in the file ${there}`,
};

export const readPictureText = {
  hasMbUseAPicture: (size: number, most: number) => `has ${size} MB; use a picture of ${most} MB at most`,
  hasMegapixelsUseAPicture: (size: number, most: number) => `has ${size} megapixels; use a picture of ${most} at most`,
  isNotAPictureThat: "is not a picture that can be read",
};

export const smallJpegText = {
  couldNotBeMadeSmall: "could not be made small enough to keep",
};

export const titleText = {
  hoopLedger: "Hoop Ledger",
};

export const trayText = {
  openingTheTray: "Opening the tray",
  theTrayCouldNotBe: "The tray could not be opened.",
  whatThisDeviceKeepsIs: "What this device keeps is untouched.",
  tryAgain: "Try again",
};
