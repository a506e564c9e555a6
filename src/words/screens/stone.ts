export const freeMeasuresText = {
  dragOneToMoveIt: (points: string) => `${points}. Drag one to move it; double-click the outline to add one; Delete removes one.`,
  smooth: "Smooth",
  mirror: "Mirror",
  caliperReadings: "Caliper readings",
  oval: (stoneSize: string) => `oval ${stoneSize}`,
  nearest: "Nearest:",
  offByAtMost: (off: string) => `, off by at most ${off}`,
  useIt: "Use it",
  layALineAlongThe: "Lay a line along the stone and read across it",
  alongFromTheLeft: "along from the left",
  up: "up",
  down: "down",
  upAt: (percent: number) => `Up at ${percent}%`,
  downAt: (percent: number) => `Down at ${percent}%`,
  makeTheOutline: "Make the outline",
};

export const freePointsText = {
  theOutline: (problem: string) => `The outline ${problem}`,
  theOutlineNeedsPointsAt: (count: number) => `The outline needs ${count} points at least`,
  pointAt: (number: number, x: string, y: string) => `Point ${number} at ${x}, ${y}`,
};

export const profileMeasuresText = {
  itVariesRoundTheStone: "It varies round the stone",
  atOfTheWayRound: (percent: number) => `at ${percent}% of the way round`,
  leaveOutTheHeightAt: (percent: number) => `Leave out the height at ${percent}%`,
  addAHeight: "Add a height",
  sameAllRound: "Same all round",
};

export const stoneStageText = {
  perimeter: "Perimeter",
  leansInAt: "leans in at",
  long: (long: string) => `${long} long`,
  wide: "wide",
  face: "face",
  round: (round: string) => `round ${round}`,
  theStoneInPlanAnd: "The stone in plan and section",
  fromTheTableOfStones: "from the table of stones",
  heat: "heat",
  water: "water",
  acid: "acid",
  sulphur: "sulphur",
  ultrasonic: "ultrasonic",
  outline: "Outline",
  shape: "Shape",
  wholeStone: "Whole stone",
  leansInHighest: "Leans in, highest",
  sideLeansInAt: "Side leans in at",
  dragTheHeightsAlongThe: "drag the heights along the rule",
  dragTheLineInThe: "drag the line in the section",
  roundItByTape: "Round it by tape",
  leaveEmptyIfNotWrapped: "leave empty if not wrapped",
  faceLabel: "Face",
  domed: "domed",
  dome: "Dome",
  flat: "Flat",
  material: "Material",
  notKnownHereDrawnGrey: "not known here: drawn grey, its weight a guess",
  isIt: "Is it",
  hardness: "Hardness",
  density: "Density",
  tenderTo: "Tender to",
};

export const turnInCurveText = {
  heightAtOfTheWay: (percent: number) => `Height at ${percent}% of the way round`,
};

export const fieldsText = {
  corner: "Corner",
  itsRadius0IsSharp: "its radius; 0 is sharp",
  across: "Across",
  squareness: "Squareness",
  squarenessHint: "2 is an oval, 4 nearly square",
  cleft: "Cleft",
  itsDepthBetweenTheLobes: "its depth between the lobes",
  side: "Side",
  betweenTheCornersAsIf: "between the corners as if sharp",
  bulge: "Bulge",
  howFarASideRises: "how far a side rises",
  mohs: "Mohs",
};

export const viewText = {
  tightestRadius: (tightest: string) => `tightest radius ${tightest}`,
  aFlatFaceAsA: "a flat face, as a coin or tablet",
  steepTowardAPoint: "steep, toward a point",
  roundAHalfEllipse: "round, a half ellipse",
  lowAndFull: "low and full",
};
