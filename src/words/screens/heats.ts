export const addJointText = {
  and: "and",
  typeHowLongItIs: "Type how long it is",
  between: "Between",
  theSamePartAgainIt: "the same part again: it closes on itself",
  howLongItIs: "How long it is",
  addIt: "Add it",
  aJointMore: "A joint more",
};

export const consequenceText = {
  holdItOverAHeat: "Hold it over a heat to see what it would do",
  whatItWouldDo: "What it would do",
  workingItOut: "working it out",
  noOrderWorksThatWay: "◆ No order works that way: it would stay where it is.",
  allHold: (heats: string) => `✓ ${heats}, all hold`,
};

export const heatCardText = {
  more: "More",
  less: "Less",
  moreOf: (heat: string) => `More on ${heat}`,
  lessOf: (heat: string) => `Less on ${heat}`,
  moveTheHeatOf: (title: string) => `Move the heat of ${title}`,
  moveToAnotherHeat: (joint: string) => `Move ${joint} to another heat`,
  pinned: ", pinned",
  flame: (flame: string) => `Flame: ${flame}`,
  hold: (hold: string) => `Hold: ${hold}`,
  lookFor: (look: string) => `Look for: ${look}.`,
};

export const heatCardsText = {
  heatsOneAfterTheOther: "Heats, one after the other",
  noMoreHeat: "No more heat",
  theStoneGoesInAfter: (longest: string) => `The stone goes in after this. ${longest}.`,
};

export const heatsStageText = {
  joints: "Joints",
  inALaterHeatA: "In a later heat a joint first",
  softens: "softens",
  then: ", then",
  runs: "runs",
  addAJoint: "Add a joint",
  pinned: "Pinned:",
  unpin: (pin: string) => `Unpin ${pin}`,
  pinnedLabel: "Pinned",
  howYouWork: "How you work",
  wayOfGrading: "Way of grading",
  compareTheFiveWays: "Compare the five ways",
  overshoot: "Overshoot",
  shelf: "Shelf",
  checkYourSuppliersSheet: "check your supplier's sheet",
};

export const jointRowsText = {
  inHeat: (length: string, heat: number) => `${length}, heat ${heat}`,
  coldInNoHeat: "Cold, in no heat",
  letThePlanChoose: (heat: string) => `Let the plan choose (${heat})`,
  letThePlanChooseAny: "Let the plan choose",
  gradePinned: (grade: string) => `${grade}, pinned`,
  fusedPinned: "Fused, pinned",
  moreFor: (joint: string) => `More for ${joint}`,
  theUsualWay: "the usual way",
  shieldItInLaterHeats: "Shield it in later heats",
  leaveItOut: "Leave it out",
};

export const jointSketchText = {
  fromAbove: "from above",
  alongTheFinger: "along the finger",
  whereIs: (joint: string) => `Where ${joint} is`,
  thePieceFromAboveAnd: "The piece, from above and along the finger",
};

export const ladderDrawingText = {
  noHeatsNothingCanBe: "No heats: nothing can be drawn until an order works.",
  howHotEachHeatGets: "How hot each heat gets, against the joints already made",
  melts: "melts",
  startsToMelt: "starts to melt",
  pinned: ", pinned",
  runsAgain: "runs again",
  softens: "softens",
  gradeRuns: (grade: string, temperature: string) => `${grade} runs, ${temperature}`,
  gradeSoftens: (grade: string, temperature: string) => `${grade} softens, ${temperature}`,
  heatDegreesC: (heat: number, joints: string, flame: string, working: number) => `heat ${heat}, ${joints}, ${flame}, ${working} degrees C`,
  inHeat: (joint: string, what: string, heat: number) => `${joint} ${what} in heat ${heat}`,
  heats: (heats: string, moves: string) => `Heats: ${heats}. ${moves}.`,
  everyJointHolds: "Every joint holds",
  scaleBroken: " (scale broken)",
  notHeated: "not heated",
};

export const solderToCutText = {
  solderToCut: "Solder to cut",
};

export const waysDialogText = {
  way: "Way",
  whatIsDisturbed: "What is disturbed",
  useIt: "Use it",
  inUse: "✓ in use",
  use: (way: string) => `Use ${way}`,
  lettersAreTheJointsAs: "Letters are the joints, as in the drawing. Pins apply in every way.",
  fiveWaysOfGradingOn: "Five ways of grading, on this piece",
  workingItOut: "working it out",
  notProvenTheBest: "not proven the best",
  allHold: "✓ all hold",
};

export const movingText = {
  spaceTakesHoldOfIt: "Space takes hold of it, the arrow keys move it from heat to heat, space lets it go there, Escape puts it back.",
  isHeld: (name: string) => `${name} is held`,
  itStaysWhereItIs: "It stays where it is",
  noOrderWorksWithIt: (moved: string) => `No order works with ${moved}: it stays where it was.`,
};

export const pinsText = {
  grade: (grade: string) => `grade ${grade}`,
};
