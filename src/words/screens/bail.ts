export const bailDrawingText = {
  asItHangs: (scale: string) => `As it hangs, ${scale}`,
  itsMirror: "its mirror, ",
  asItHangsLabel: "As it hangs",
  eyeAlongTheEdge: "Eye along the edge",
  mmHangsDegreesOff: (aside: string, tilt: string) => `${aside} mm, hangs ${tilt} degrees off`,
  centreOfMass: "centre of mass",
  eyeDraggedAlongTheEdge: "eye, dragged along the edge",
};

export const bailStageText = {
  widest: "widest",
  long: (unit: string) => `${unit} long`,
  ringsWire: "ring's wire",
  cut: (cut: string) => `cut ${cut}`,
  thePoint: "The point",
  theFarEnd: "The far end",
  oneSide: "One side",
  otherSide: "Other side",
  ringInIt: "Ring in it",
  closedColdTheChainGoes: "closed cold; the chain goes through it",
  theChainGoesThroughThe: "the chain goes through the bail",
  none: "None",
  aJumpRing: "A jump ring",
  howItHangs: "How it hangs",
  hangsLowest: "Hangs lowest",
  whatShouldPointDown: "what should point down",
  turnedBy: "Turned by",
  fromThePointAnticlockwise: "from the point, anticlockwise",
  eye: "Eye",
  alongTheEdgeLeftOf: "along the edge, left of its top",
  roundThePoint: "Round the point",
  upToToEachSide: (half: string) => `up to ${half}° to each side`,
  moveTheEyeToWhere: (side: string) => `Move the eye to where it hangs straight${side}`,
  eyes: "Eyes",
  pulledStraightThroughBoth: "pulled straight through both",
  hangsByOne: "hangs by one",
  one: "One",
  twoAConnector: "Two, a connector",
};

export const fromTheSideText = {
  side: "From the side",
  fromTheSide: (scale: string) => `From the side, ${scale}`,
  dropFromTheEdge: (drop: string) => `drop from the edge ${drop}`,
};

export const hangsByText = {
  gram: "g",
  weighs: "weighs",
  long: "long",
  hangsBy: "Hangs by",
  startsToMeltAt: (temperature: string, unit: string) => `starts to melt at ${temperature} ${unit}`,
  made: "Made",
  theSecond: (said: string) => `the second: ${said}`,
  aSingleOne: "a single one",
  aPair: "A pair",
  one: "One",
};

export const postDrawingText = {
  fromBehind: (scale: string) => `From behind, ${scale}`,
  balancesHere: "balances here",
  post: (distance: string, side: string) => `post, ${distance} ${side}`,
  below: "below",
  above: "above",
  theStudFromBehind: "The stud from behind",
  postOnTheBack: "Post on the back",
  downRight: (down: string, right: string) => `${down} down, ${right} right`,
  fromTheSide: (scale: string) => `From the side, ${scale}`,
};

export const postStageText = {
  post: "Post",
  downAndRightAreFrom: "Down and right are from the middle of the stone, seen from the front, its point down.",
  cutPost: "Cut post",
  long: (unit: string) => `${unit} long`,
  cut: (cut: string) => `cut ${cut}`,
};

export const whereItLiesText = {
  whereTheWeightLies: "Where the weight lies",
  stone: "Stone",
  together: "Together",
};

export const stylesText = {
  foot: "Foot",
  inside: "Inside",
  bore: "Bore",
  drop: "Drop",
  sheet: "Sheet",
  chain: "Chain",
  down: "Down",
  right: "Right",
};

export const viewText = {
  cutEarWire: "Cut ear wire",
  swingsToThe: (side: string) => `swings to the ${side}`,
  alongTheEdgeTiltsIt: (small: string, degrees: string) => `${small} along the edge tilts it ${degrees}°`,
  chain: (chainEnd: string) => `chain ${chainEnd}`,
  toSpare: (spare: string) => `${spare} to spare`,
  tooThick: (length: string) => `${length} too thick`,
  roundThePoint: (abs: string, side: string) => `, ${abs}° ${side} round the point`,
};
