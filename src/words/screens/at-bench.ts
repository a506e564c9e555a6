export const atBenchText = {
  workingOutThePlan: "Working out the plan",
  doneIsHeldChooseWhat: "Done is held: choose what is to be done about the reading, or read it again.",
  aNewItsStepsCome: (part: string) => `A new ${part}: its steps come again.`,
  appliedAndNoted: "Applied and noted.",
  allStepsAreDoneHow: "All steps are done. How did it turn out?",
  thisStep: "This step",
  readingsAndChecks: "Readings and checks",
  back: "Back",
  wentWrong: "Went wrong",
  doneHeld: "Done, held",
  done: "Done",
  nextStep: "Next step",
  space: "Space",
  leaveTheBench: "Leave the bench",
};

export const benchHeadText = {
  stepOf: (at: number, count: number) => `Step ${at} of ${count}`,
  allStepsDone: "All steps done",
  started: (clock: string) => `Started ${clock}`,
  notStartedYet: "Not started yet",
  leave: "Leave",
  esc: "Esc",
};

export const benchReadingText = {
  theseSizesLeaveNoRoom: "These sizes leave no room for a stone: measure both sides again",
  mandrel: "Mandrel",
  caliper: "Caliper",
};

export const benchStopText = {
  notSureReadItAgain: (advice: string) => `${advice} Not sure? Read it again and type it above.`,
  makeANew: (part: string) => `Make a new ${part}`,
  againTheRestStays: (cost: string) => `again: ${cost}; the rest stays`,
  goOnAllTheSame: "Go on all the same",
  stillToCome: (cost: string) => `still to come: ${cost}`,
  startAgain: "Start again",
};

export const benchTopText = {
  readyTakeItOut: "Ready: take it out",
  itsOut: "It’s out",
  theUsual: (side: string, long: string) => `${side} the usual ${long}`,
  leftOf: "left of",
  leftOfTheUsual: (long: string) => `left of ${long}`,
  thePiece: "the piece",
  thisPartIsWaiting: "This part is waiting.",
  meanwhile: (title: string) => `Meanwhile: ${title}`,
  usualTime: (text: string) => `${text} (usual time)`,
  next: (next: string) => `next: ${next}`,
  otherPiecesUnderWay: "Other pieces under way",
};

export const checksText = {
  checkBeforeYouGoOn: "Check before you go on",
  key: "key",
  keys: "keys",
};

export const finishText = {
  anotherWindowHadTypedThere: (other: string | number) => `Another window had typed ${other} there: what you typed took its place.`,
  useAsRead: (size: string) => `Use ${size}, as read`,
  sizeReached: (system: string) => `Size reached, ${system}`,
  noteForNextTime: "Note for next time",
  picturesUpTo: (most: number) => `Pictures, up to ${most}`,
  remove: (name: string) => `Remove ${name}`,
  keeping: (name: string) => `Keeping ${name}`,
  addAPicture: "Add a picture",
  pictureOfThePiece: "Picture of the piece",
  enterItInTheLedger: "Enter it in the ledger",
  result: "Result",
  scale: "Scale",
  gWhereGIsPlanned: (doubt: number, planned: string) => `◆ ${doubt} g, where ${planned} g is planned?`,
  keepG: (doubt: number) => `Keep ${doubt} g`,
  readScale: "Read scale",
  weightOfTheMetalIn: (planned: string) => `Weight of the metal in g; planned ${planned}`,
  isNotAWeightType: (typed: string) => `"${typed}" is not a weight: type grams, e.g. 3.8`,
  isNotATimeType: (typed: string) => `"${typed}" is not a time: type minutes, e.g. 95`,
  minutesAtTheBench: (byTicks: string) => `Minutes at the bench${byTicks}`,
  byYourTicksPausesOver: (worked: number, longest: number) => `; by your ticks ${worked}, pauses over ${longest} taken off`,
};

export const lastTimeText = {
  cameTo: (size: string) => `came to ${size}`,
  cameOff: (length: string, off: string) => `${length} came off ${off}`,
  lastTime: (day: string) => `Last time, ${day}.`,
  lastTimeHeading: "Last time",
};

export const methodFieldText = {
  method: "Method",
  fileSaw: "file, saw",
  methodOf: (asked: string) => `${asked}: method`,
};

export const nightDialogText = {
  close: "Close",
};

export const outsideSizesText = {
  measureTheOtherSideToo: "◆ Measure the other side too: the length follows from both.",
};

export const pieceChangedText = {
  thePieceHasChangedSince: "The piece has changed since you started",
  was: (before: string) => `(was: ${before})`,
  andMore: (count: number) => `and ${count} more`,
  finishedStepsKeepTheirNumbers: "Finished steps keep their numbers either way.",
  keepThePlanIStarted: "Keep the plan I started with",
  useTheNewPlanFrom: "Use the new plan from here",
  thePieceHasChanged: "The piece has changed",
};

export const readingFieldText = {
  isNotASizeType: (typed: string, system: string) => `"${typed}" is not a size (${system}): type it as marked on the mandrel`,
  emptyTypeTheReading: "Empty: type the reading",
  isNotANumberType: (typed: string) => `"${typed}" is not a number: type what it reads`,
  isNothingToMeasureIt: (typed: string) => `"${typed}" is nothing to measure: it must be more than 0`,
  inside: (unit: string) => `${unit} inside`,
  less: "Less",
  more: "More",
  thePlanNowUsesIt: (reading: string, unit: string, readBy: string) => `${reading} ${unit}, ${readBy}. The plan now uses it.`,
  use: (reading: string) => `Use ${reading}`,
  keep: (typedWithUnit: string) => `Keep ${typedWithUnit}`,
};

export const readingScaleViewText = {
  goodTo: (high: string) => `good to ${high}`,
  theWindow: "the window",
  theReadingIs: (bands: string) => `the reading is ${bands}`,
};

export const standInText = {
  read: (name: string) => `Read ${name}`,
};

export const stepBodyText = {
  done: (clock: string) => `done ${clock}`,
  notDoneYet: "not done yet",
};

export const stepPartsText = {
  measured: "measured",
};

export const waysToReadText = {
  howItIsRead: "How it is read",
};

export const wentWrongText = {
  makeANew: (part: string) => `Make a new ${part}`,
  nothingUsuallyGoesWrongAt: "Nothing usually goes wrong at this step. Press B to go back a step, or note what happened with the result.",
  justNoteIt: "Just note it",
  noteThatItHappened: "Note that it happened",
  whatWentWrong: "What went wrong",
};

export const othersText = {
  putItInTheLedger: "put it in the ledger",
};

export const nextUpText = {
  next: "Next",
};

export const takeFromDrawerText = {
  from: (what: string, read: string | null) =>
    read === null ? `In the drawer: ${what}.` : `In the drawer: ${what}; ${read} of it, as read.`,
  take: "Take it from the drawer",
  another: "Take another",
  isTaken: "Taken from the drawer: its useful end lies there",
  takenAt: (clock: string) => `Taken from the drawer at ${clock}`,
  putBack: "Put it back",
  notThere: (why: string) => `Not in the drawer: ${why}.`,
  failed: (why: string) => `The drawer could not be looked through: ${why}`,
};
