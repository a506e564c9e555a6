export const mendPieceText = {
  thisPieceCannotBePlanned: "This piece cannot be planned",
  nothingIsLostAndAll: (why: string) => `${why} Nothing is lost, and all other pieces work.`,
  itDoesNotWorkOut: "It does not work out on the bench it came with.",
  itDoesNotWorkOutOn: "It does not work out on your bench.",
  wrong: "Wrong",
  planItOnMyBench: "Plan it on my bench",
  whatIsWrong: "What is wrong",
  isNotANumber: (typed: string) => `"${typed}" is not a number`,
};

export const openPieceText = {
  workingOutThePlan: "Working out the plan",
  templatesAtTrueSize: "Templates at true size",
  redo: "Redo",
  card: "Card",
  templates: "Templates",
};

export const overtakenBarText = {
  thisPieceWasDeletedIn: "◆ This piece was deleted in another window.",
  whatYouTypeHereIs: "What you type here is not kept until you put it back.",
  putItBack: "Put it back",
  thisPieceWasChangedIn: "◆ This piece was changed in another window.",
  whatYouTypeHereIsNot: "What you type here is not kept until you choose.",
  useTheNewerOne: "Use the newer one",
  keepMineAsACopy: "Keep mine as a copy",
};

export const pieceMenuText = {
  moreForThisPiece: "More for this piece",
  card: "Card",
  duplicate: "Duplicate",
  planItOnMyBench: "Plan it on my bench",
  deleteWord: "Delete",
};

export const pieceScreenText = {
  openingThePiece: "Opening the piece",
  thisPieceCannotBeOpened: "This piece cannot be opened now.",
  thisPieceCouldNotBe: "This piece could not be read.",
  thisPieceIsNotOn: "This piece is not on this device.",
  itIsKeptAsIt: "It is kept as it is; the tray says what is wrong with it and saves it as a file.",
  itWasDeletedOrIt: "It was deleted, or it is kept in another browser. It opens here as soon as it is put back.",
};

export const stemText = {
  planned: "planned",
  settingShown: "Setting shown",
  stages: "Stages",
  somethingIsWrong: "something is wrong",
  takeCare: "take care",
};

export const topBarText = {
  day: "Day",
  redo: "Redo",
  card: "Card",
  nameOfThePiece: "Name of the piece",
  rename: (name: string) => `${name}: rename`,
  keptOnThisDevice: (toLocaleTimeString: string) => `Kept on this device, ${toLocaleTimeString}`,
  keeping: "Keeping",
  notKept: (problem: string) => `Not kept: ${problem}`,
  changedInAnotherWindow: "Changed in another window",
  deletedInAnotherWindow: "Deleted in another window",
};

export const stagesText = {
  tall: (stoneSize: string, height: string) => `${stoneSize}, ${height} tall`,
  blank: (system: string, size: string, giveOrTake: string, length: string) => `${system} ${size}${giveOrTake}, blank ${length}`,
  blankLength: (lengthIn: string) => `blank ${lengthIn}`,
  of: (done: number, steps: string) => `${done} of ${steps}`,
  doneOf: (done: number, count: number) => `${done} of ${count}`,
  post: (lengthIn: string, earringMass: string) => `post ${lengthIn}, ${earringMass}`,
  earWire: (lengthIn: string, tilt: string) => `ear wire ${lengthIn}, ${tilt}`,
  strip: (size: string, thickness: string) => `strip ${size} × ${thickness}`,
};

export const undoText = {
  thatWasNotKept: "That was not kept.",
  undone: "Undone",
  redone: "Redone",
  thePiece: "the piece",
};
