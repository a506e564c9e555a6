export const chosenPieceText = {
  goOnAtTheBench: (step: string) => `Go on at the bench: ${step}`,
  open: "Open",
  rename: "Rename",
  duplicate: "Duplicate",
  deleteWord: "Delete",
  workingItOut: "Working it out",
  openItToPutIt: "Open it to put it right.",
  nothingToPutRight: "Nothing to put right.",
};

export const couldNotBeReadText = {
  aPiece: "a piece",
  aMake: "a make",
  aTry: "a try at the torch",
  aCut: "a cut from the drawer",
  myBench: "my bench",
  aHalfTypedField: "a half-typed field",
  somethingStarted: "something started",
  aChangeNotKeptYet: "a change not kept yet",
  couldNotBeRead: (records: string) => `Could not be read: ${records}`,
  saveItAsItIs: "Save it as it is",
  discardIt: "Discard it",
  couldNotBeReadLabel: "Could not be read",
};

export const deletedText = {
  deletedCanBePutBack: "Deleted, can be put back",
  putBack: "Put back",
  removeForGood: (what: string) => `Remove ${what} for good`,
  it: "it",
  all: (count: number) => `all ${count}`,
  theirMakesGoTooYou: "Their makes go too. You can undo this for half a minute.",
  removeForGoodButton: "Remove for good",
  removeForGoodQuestion: (pieces: string) => `Remove ${pieces} for good?`,
  deleted: "Deleted",
};

export const firstAnswerText = {
  bezelAndPlate: "Bezel and plate",
  cutStrip: "Cut strip",
  platesBlank: (length: string, width: string, unit: string) => `plate's blank ${length} × ${width} ${unit}`,
  hoop: "Hoop",
  theBlankDependsOnThe: "The blank depends on the finger size, asked for next.",
  heatsNoEarlierJointMay: (count: number) => `${count} heats; no earlier joint may run again.`,
};

export const firstStoneText = {
  howLength: "The longest way across the stone, seen from above. Turn the stone a little in the caliper and read where it is largest.",
  howWidth: "The widest way across, square to the length.",
  howHeight: "From the flat back to the highest place of the dome.",
  howLeansIn:
    "Stand a square or a steel rule against the side. The stone touches it at the foot; where light first shows, the side leans in. Read that height.",
  otherWays: "Other ways to begin",
  orOpenAWorkedExample: "Or open a worked example",
  leansInAt: "Leans in at",
  startWithYourStone: "Start with your stone",
  fourNumbersGiveYouEverything:
    "Four numbers give you everything to cut: the strip for the bezel and its height, the plate, the hoop's blank, and the solder for each joint, heat by heat. Then the making, step by step.",
  typeANumberEG: "◆ type a number, e.g. 3.2",
  putItOnTheTray: "Put it on the tray",
  measureWithACaliperPress: "Measure with a caliper; press Enter for the next.",
  practise: "Practise on a plain seam",
  seeTheDemoPieces: "See the demo pieces",
  openAFile: "Open a file",
  start: "Start",
};

export const newPieceDialogText = {
  ring: "Ring",
  aHoopRoundTheFinger: "a hoop round the finger",
  pendant: "Pendant",
  hangsFromABail: "hangs from a bail",
  earrings: "Earrings",
  aPairOneTheMirror: "a pair, one the mirror of the other",
  orOpenAWorkedExample: "Or open a worked example",
  newPiece: "New piece",
};

export const pieceListText = {
  piece: "Piece",
  plate: "Plate",
  hoopOrBail: "Hoop or bail",
  next: "Next",
  somethingIsWrong: "something is wrong",
  takeCare: "take care",
  cannotBePlanned: "cannot be planned",
};

export const trayDrawingText = {
  onTheTrayAllTo: (square: string) => `On the tray, all to one scale; a square is ${square}`,
  quarterInch: "1/4 in",
  fiveMillimetres: "5 mm",
  theStonesOnTheTray: "The stones on the tray",
  tray: "Tray",
  noPlan: "no plan",
};

export const trayScreenText = {
  shareEverything: "Share everything",
  notNoted: "The file is saved. This device is full: the date is not noted.",
  deleted: (name: string) => `Deleted: ${name}`,
  putBack: "Put back",
  openFile: "Open file",
  newPiece: "New piece",
  underWayClearedAwayThe: (makes: string, note: string) =>
    `${makes}: ${note} under way. Cleared away, the pieces can be put back from Deleted; the makes stay in the ledger.`,
  aMakeOfItIs: "a make of it is",
  makesOfThemAre: "makes of them are",
  removeTheDemoPieces: "Remove the demo pieces",
  keepTheDemo: "Keep the demo",
  aPieceOfTheDemo: "A piece of the demo is being made",
  removedForGood: (pieces: string) => `Removed for good: ${pieces}`,
  everythingOnThisDevice: "Everything on this device",
  saveEverything: "Save everything",
  restore: "Restore",
  printCards: "Print cards",
  addTheDemoPieces: "Add the demo pieces",
  everything: "Everything",
};

export const rowsText = {
  makeAnew: "make anew",
  blank: (length: string) => `blank ${length}`,
  noHoopOrBail: "no hoop or bail",
  post: (length: string) => `post ${length}`,
  earWire: (length: string) => `ear wire ${length}`,
  planned: "Planned",
  made: (day: string) => `Made ${day}`,
  allStepsDone: "All steps done",
  step: (next: number, what: string) => `Step ${next}: ${what}`,
};

export const listHeadText = {
  show: "Show",
  filters: { all: "All", "under-way": "Under way", "to-make": "To make", made: "Made", "to-put-right": "To put right" },
  search: "Search name, stone, size",
  order: "Order",
  sorts: { "under-way": "Under way first", changed: "Last changed first", name: "By name" },
};

export const keptHereText = {
  kept: (pieces: string, makes: string, size: string | null) => `${pieces}, ${makes}${size === null ? "" : `: ${size}`}.`,
  megabytes: (size: string) => `${size} MB`,
  lastSaved: (when: string) => `Last saved to a file ${when}.`,
  neverSaved: "Never saved to a file.",
  notInAFile: (makes: string) => `${makes} in no file yet: save everything.`,
  longAgo: "That is over 30 days ago: save everything.",
  room: (room: string) => `Room for ${room} more.`,
  gigabytes: (size: number) => `${size} GB`,
  forGood: "This browser keeps it for good.",
  mayBeCleared: "This browser may clear it when its disk is full.",
  worksAlone: "Works without a network.",
  gettingReady: "Getting ready to work without a network.",
  insecure: "Works while the server runs: this address is not secure, so the browser keeps no copy of the program.",
  putItOnThisDevice: "Put it on this device",
  howToInstall: "To put it on this device, use your browser's menu: add to home screen, or install.",
};

export const ownFileText = {
  choose: "Write a file after each make",
  writtenAfterEach: (name: string) => `${name} is written after each make.`,
  writtenAt: (name: string, clock: string) => `${name} is written after each make, last at ${clock}.`,
  notWritten: (name: string, why: string) => `◆ ${name} is not written: ${why}`,
  goOn: (name: string) => `Go on writing ${name}`,
  noMore: "Write no file",
};

export const homeText = {
  stillLooking: "Looking through the rest of your pieces.",
  close: "Close",
  noneIsFound: "No piece is found so. Show all, or search for less.",
  readingTheRestOfYour: "Reading the rest of your pieces",
};
