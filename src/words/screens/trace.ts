import { MM_PER_INCH } from "@/core/measure/reading";
import { type Units } from "../show";

export const traceText = {
  thePicture: (problem: string) => `The picture ${problem}`,
  theDrawing: (problem: string) => `The drawing ${problem}`,
  couldNot: (why: string) => `It could not be read: ${why}`,
  stopped: "Stopped: press on the stone, or open the file again",
  noDrawingFromTheSide: "A drawing gives an outline from above: open a photograph here",
  tooLarge: (mb: number) => `A drawing has ${mb} MB at most`,
  theOutline: (problem: string) => `The outline ${problem}`,
};

export const tracePictureText = {
  thePicture: "The picture, with the stone's outline on it",
  ruleEnd: (which: number, x: number, y: number) => `End ${which} of the rule at ${x}, ${y} pixels`,
  pointAt: (number: number, x: string, y: string) => `Point ${number} at ${x}, ${y}`,
  notSaid: "how long?",
  dropHere: "Drop a photograph or a drawing here, or paste one",
  largest: "The largest outline of the drawing",
  dropSide: "Drop a photograph of the stone's side here, or paste one",
  fromItsHeight: "Stood on its base before squared paper that bends up behind it, the camera as low as the stone",
  straightAbove: "From straight above, on squared paper or beside a rule, with paper all round the stone",
  working: "Looking for the stone…",
  stop: "Stop",
};

export const traceMeasuresText = {
  fromPicture: "From a photograph or drawing",
  choose: "Choose a file",
  another: "Another file",
  photograph: "Photograph or drawing",
  madeUp: "Make one up",
  madeUpHint: "stand-in camera: it makes a picture up",
  isMadeUp: "This picture is made up: its stone counts as not measured.",
  back: "Back to the stone",
  view: "Seen from",
  fromAbove: "From above",
  fromSide: "From the side",
  scale: "Scale",
  squaresFound: (px: string) => `squared paper found: ${px} pixels a square`,
  oneSquareIs: "One square is",
  ruleIs: "The rule is",
  ruleHint: "drag its ends onto something you know",
  perMm: (px: string) => `${px} pixels a mm`,
  notALength: (text: string) => `"${text}" is not a length over 0`,
  sayTheScale: "Say how large the squares are, or lay the rule on something you know: then the stone is traced.",
  tiltSeen: (percent: string) => `The squares are ${percent} % longer one way: the picture is tilted by as much.`,
  trace: "Trace",
  notIt: "Is it another stone? Press on it, or draw a box round it.",
  scatter: (text: string) => `the edge scatters by ${text}`,
  doubtful: (percent: string) => `${percent} % of the edge is faint: dashed`,
  round: "Round the stone",
  size: "Size",
  freeForm: "Free-form",
  points: "Points",
  pointsHint: "drag one, or move it with the arrow keys",
  smooth: "Smooth",
  undo: "Undo move",
  level: "Laid level",
  levelHint: "turned so that its length lies along the rule",
  use: "Use this outline",
  useShape: (name: string) => `Use ${name}`,
  nearest: "Nearest:",
  offBy: (off: string) => `, off by at most ${off}`,
  outlines: (count: number) => (count === 1 ? "One outline" : `${count} outlines, the largest first`),
  useIt: "Use it",
  leftOut: "Left out:",
  keep: "Picture and outline",
  shown: "Picture",
  hidden: "Outline only",
  drop: "Drop the picture",
};

export const scalePickText = {
  sameAsAbove: "Scale",
  sameHint: "where both pictures were taken from the same distance",
  same: "Same as from above",
  round: "A coin or washer",
  roundHint: "its diameter is the scale, and shows how the picture is tilted",
  pickRound: "Press on it",
  roundIs: "The round measures across",
  roundSeen: (ratio: string, degrees: string) => `seen ${ratio} as wide as long: a tilt of ${degrees}°, undone`,
  perspective: (percent: string) =>
    `Two known lengths differ by ${percent} %: perspective leaves as much, or one of them is not what was said.`,
};

export const sideText = {
  head: "From the side",
  reading: "Reading the side…",
  names: {
    height: "Height of the stone",
    left: "Leans in at, on the left",
    right: "Leans in at, on the right",
    dome: "Dome",
  },
  take: "Take",
  taken: "Taken",
  takeThe: (name: string) => `Take: ${name}`,
  takeAll: "Take all of them",
  off: (text: string) => `the section drawn with these (dashed) lies within ${text} of the edge`,
  tooFlat: "The top is too flat for a dome's curve: choose a flat face on the stage if it is one.",
  notAllRound:
    "This picture shows the stone's two ends, its front toward you. Where the side leans in elsewhere round the stone it cannot know: between the ends it is taken to rise or fall evenly. Measure there too where it varies.",
};

/** How far an edge scatters: finer than any length that is cut. */
export function scatterText(mm: number, { length }: Units): string {
  return length === "mm" ? `${mm.toFixed(3)} mm` : `${(mm / MM_PER_INCH).toFixed(4)} in`;
}

const QUARTER_INCH = 6.35;

/** A square's side as the paper is sold by it (mm). */
export function squareText(mm: number): string {
  return mm === QUARTER_INCH ? "1/4 in" : `${mm} mm`;
}
