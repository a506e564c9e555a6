export const dayScreenText = {
  printTheDay: "Print the day",
  notToday: (piece: string) => `${piece}: not today`,
  breakAt: "Break at",
  breakMinutes: "Minutes",
  stopAt: "Stop at",
  todayUntil: "Today until",
  goesToTomorrow: (steps: string, work: string) => `${steps}, ${work} of work, go to tomorrow.`,
  goesOnTomorrow: "goes on tomorrow",
  cutFirst: "Cut before you light the torch",
  theDay: "The day",
  piecesToWorkOn: "Pieces to work on",
  theDaySeeHeatsFor: (unordered: string, why: string) => `◆ ${unordered}: the day ${why}. See Heats for the reason.`,
  thereAreNoPiecesYet: "There are no pieces yet. Add one to plan a day.",
  chooseThePiecesToWork: "Choose the pieces to work on. The day is planned for one pair of hands and uses the waits in the pickle.",
  allTheirStepsAreDone: "All their steps are done.",
  startAt: "Start at",
  doneBy: "Done by",
  allDoneBy: (count: number) => `All ${count} done by`,
  by: (clock: string) => `by ${clock}`,
  stepsInOrder: (count: number) => `Steps in order: ${count}`,
  then: (minutes: string) => `, then ${minutes}`,
};

export const timeFieldText = {
  none: "none",
  typeATime: "type a time, e.g. 9:30",
};
