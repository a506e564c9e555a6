export const makingStageText = {
  toMakeNext: "To make next",
  forCuttingAndOrdering: "how many of it",
  steps: "Steps",
  thisStep: "This step",
  step: (indexOf: number) => `Step ${indexOf}`,
  allSteps: "All steps",
  done: "done",
  ofDone: (count: number) => `of ${count} done`,
  theDay: (text: string) => `◆ The day ${text}.`,
  answer: "Answer",
  leftDoneBy: "left, done by",
  planTheDay: "Plan the day",
  next: "next",
  checkBeforeYouGoOn: "Check before you go on",
};

export const editNameText = {
  theNewPart: "the new part",
  aReading: "a reading",
  goingOnAllTheSame: "going on all the same",
  aRemedy: "a remedy",
  theNewPlan: "the new plan",
  aPicture: "a picture",
  aTick: "a tick",
  finishingTheMake: "finishing the make",
  anEntry: "an entry",
};

export const ownCostText = {
  costs: (count: number) => (count === 1 ? "Costs" : `${count} of it cost`),
  byItself: "Cut by itself from the drawer, with its share of what is spoiled.",
  onMetal: "Prices and drawer",
};
