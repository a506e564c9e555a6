import { MM_PER_INCH } from "@/core/measure/reading";
import { type Units } from "./show";
import { type Fault, type FaultCode } from "@/core/piece/fault";
import { type LayerType } from "@/core/mount/layers/layer";
import { LAYER_NAMES } from "./names";
import { printable } from "./show";

/** A limit as it was written, or where it was worked out with so many places. */
function limit(v: Fault["values"], places: number): string {
  const number = Number(v.limit);
  return Number.isInteger(number * 1000) || !Number.isFinite(number) ? String(v.limit) : number.toFixed(places);
}

/** Each in the units of its values; what is worked out is said with so many places. */
const EXPECTED: Readonly<Record<FaultCode, (v: Fault["values"], places: number) => string>> = {
  "not-json": () => "is not JSON",
  "codes-damaged": () => "cannot be put together from these codes: show them again and read each once more",
  "not-a-sum": (v) => String(v.help),
  "not-a-row": () => "is not a make as the table's heads say it",
  "not-utf8": (v) => `is not UTF-8: the byte at ${v.byte} belongs to no character`,
  "not-finite": () => "must be a number that is finite",
  "and-more": (v) => `has ${v.more} more things to put right`,
  "too-slow": (v) => `took longer than ${v.limit} seconds to plan`,
  "too-busy": () => "cannot be planned now: too many are waiting. Try again",
  "not-worked-out": (v) => `could not be worked out: ${v.why}`,
  "wrong-format": (v) => `must be ${v.expected}`,
  "too-new": (v) => `was written by a newer Hoop Ledger; this one reads up to version ${v.newest}`,
  "too-large": (v) => `must be at most ${v.limit} bytes`,
  "too-deep": (v) => `must be at most ${v.limit} levels deep`,
  "forbidden-key": () => "is not allowed as a field name",
  "unknown-field": () => "is not a field of this file",
  missing: () => "is missing",
  "wrong-type": (v) => `must be ${v.expected}`,
  above: (v) => `must be more than ${v.limit}`,
  "at-least": (v, places) => `must be at least ${limit(v, places)}`,
  "at-most": (v, places) => `must be at most ${limit(v, places)}`,
  "one-of": (v) => `must be one of ${v.expected}`,
  "not-an-id": () => "must be a lower-case letter, then up to 31 lower-case letters, digits or hyphens",
  "not-a-name": () => "must not hold control characters",
  "not-a-word": (v) => `must be ${v.expected}`,
  "too-few": (v) => `must hold at least ${v.limit}`,
  "too-many": (v) => `must hold at most ${v.limit}${v.what ? ` ${v.what}` : ""}`,
  "not-beside": () => "does not go with what stands beside it: remove it",
  "over-limit": (v) => `holds ${v.count} more than it can: they are set aside`,
  "whole-number": () => "must be a whole number",
  "pin-shape": () => "must be one of joint + grade, joint + means, before, together, shield, forbid, add, leave",
  duplicate: () => "must not be an id used elsewhere",
  "other-piece": (v) => `must be ${v.expected}, the piece that is planned`,
  reserved: () => "must not be hoop, bail, hang, bridge, applied or piece",
  "turn-in-above-height": (v) => `must be less than the stone's height, ${v.height}`,
  "turn-in-not-flat": (v) => `must be the stone's height, ${v.height}, on a flat face`,
  "catch-too-wide": (v, places) => `must be less than the radius of the largest circle in the outline, ${Number(v.limit).toFixed(places)}`,
  "length-under-width": (v) => `must be at least the width, ${v.limit}`,
  "cleft-too-deep": (v) => `must be at most a quarter of the width, ${v.limit}`,
  "heart-too-short": (v, places) => `must be at least ${Number(v.limit).toFixed(places)}, half the width and a lobe's radius`,
  "corner-too-round": (v, places) => `must be at most ${Number(v.limit).toFixed(places)}, or the corners meet`,
  "bulge-too-round": (v, places) => `must be less than ${Number(v.limit).toFixed(places)}, where the sides make a circle`,
  "points-coincide": (v) => `must not lie where point ${v.other} does`,
  "crosses-itself": (v, places) => `must not cross: it does at (${Number(v.x).toFixed(places)}, ${Number(v.y).toFixed(places)})`,
  "too-large-across": (v) => `must be at most ${v.limit} mm across`,
  "too-small-across": (v) => `must be at least ${v.limit} mm across`,
  "no-area": () => "must enclose an area",
  "seam-at-corner": (v) => `must not lie at a corner; ${Number(v.better).toFixed(2)} of the way round is straighter`,
  "tube-not-round": (v) => `must not be tube: a tube holds round stones, and this one is ${v.shape}`,
  "tube-inside-out": (v) => `must be less than the outside, ${v.limit}`,
  "tube-cut-through": (v, places) => `must be more than ${Number(v.limit).toFixed(places)}, or the seat cuts through it`,
  "cup-too-thick": (v, places) => `must be less than ${Number(v.limit).toFixed(places)}, half the cup's length`,
  "cup-has-base": () => "must be flush: a cup has its own base",
  "notch-missing": () => "is missing: a notched bezel needs it",
  "fixed-height-missing": () => "is missing: a house height needs it",
  "stretch-overlap": (v) => `must not overlap stretch ${Number(v.other) + 1}`,
  "stretch-vanishes": (v, places) =>
    `lies in a notch at ${Number(v.at).toFixed(2)} of the way round, where ${Number(v.got).toFixed(places)} mm of its line is left, and it is ${Number(v.least).toFixed(places)} wide: move it or take it away`,
  "no-floor": (v) => `must not be none: a setting of ${v.got} has no floor of its own`,
  "floor-thin": (v, places) =>
    `must be at least ${Number(v.least).toFixed(places)} to be a floor without a plate, and is ${Number(v.got).toFixed(places)}`,
  "shelf-narrow": (v, places) =>
    `leaves a shelf of ${Number(v.got).toFixed(places + 1)} under the stone's edge, and ${Number(v.least).toFixed(places)} is the least without a plate`,
  "stretch-empty": () => "must end somewhere else than it starts",
  "tight-not-round": () => "is for a wire that goes all round",
  "not-of-ornament": (v) => `does not go with ${LAYER_NAMES[v.got as LayerType] ?? v.got}`,
  "made-of-nothing": () => "must name the wire or the strip it is melted from",
  "notch-pair": () => "is missing: a number of notches and their pitch go together",
  "only-of-own": () => "goes with a plate of its own outline only",
  "own-outline-missing": () => "is missing: a plate of its own has an outline",
  "dome-not-round": (v) => `goes with a round plate, flush excepted: this one is ${v.got}`,
  "no-plate-there": (v) => `must be a setting with a plate that others can stand on: ${v.got} has none`,
  "ledge-missing": () => "is missing: an open back has one",
  "ledge-too-wide": (v, places) => `must be less than ${Number(v.limit).toFixed(places)}, or the back is not open at all`,
  "lift-under-ledge": (v) => `must be at least the ledge's height, ${v.least}`,
  "tube-has-shelf": () => "must not be open round a tube: its seat is the ledge",
  "no-such-part": () => "must be a part of this piece",
  "one-shape": () => "must be one of disc, ball, ring, strip",
  "not-a-size": (v) => `must be a size in the system ${v.system}, as ${EXAMPLES[String(v.system)] ?? "54"}`,
  "tape-far-off": (v, places) =>
    `must be between ${Number(v.least).toFixed(places)} and ${Number(v.most).toFixed(places)}, within a quarter of what the measures give`,
  "below-pi": () => "must be pi (3.1416) or more: less cuts the blank short",
  "no-mandrel": () => "needs the readings of a mandrel, and the bench has none",
  "off-mandrel": () => "must lie between the readings of the mandrel",
  "no-finger": (v) => `must be a size between ${v.smallest} and ${v.largest} mm inside`,
  "unequal-stock": (v) => `must equal the thickness, ${v.thickness}: ${v.section} wire is as wide as it is thick`,
  "gives-above-runs": (v) => `must be at most runs, ${v.runs}`,
  "cannot-go-with": (v) => `cannot be combined with ${WORDS[String(v.other)] ?? v.other}: leave one of them out`,
  "taper-even": (v) => `is for a band: ${v.section} wire is as wide as it is thick`,
  "spread-missing": () => "is missing: say how far the strands spread at the front",
  "bridge-missing": () => "is missing: give the arch's inside and thickness",
  "above-limit": (v, places) => `must be less than ${Number(v.limit).toFixed(places)}`,
  "eyes-by-mount": (v) => `is for one setting, and there are ${v.got}: give each its own in eyes`,
  "one-setting": (v) => `carries one setting, and there are ${v.got}`,
  "eye-or-eyes": () => "must be left out where eyes are given",
  "no-such-mount": () => "must be a setting of this piece",
  "no-eye": (v) => `must have one for ${v.mount}, which has no eye`,
  "not-planned": () => "is not planned yet",
  "not-a-picture": (v) => `is not a picture: give ${v.kinds}`,
  "picture-cut-short": () => "ends in the middle of the picture: copy it again",
  "picture-too-large": (v) => `is ${v.width} x ${v.height} pixels: at most 24 million are read, and ${v.limit} on a side`,
  "picture-too-small": (v) => `is ${v.width} x ${v.height} pixels, and ${v.least} on a side is the least`,
  "too-coarse": (v) => `has ${v.pxPerMm} pixels to a millimetre, and ${v.least} is the least: take it from nearer`,
  "no-clear-stone": () => "shows no clear stone: press on it, or lay it on paper of another colour",
  "two-stones": (v) => `shows two stones, at (${v.x}, ${v.y}) and (${v.x2}, ${v.y2}): press on the one that is meant`,
  "cut-by-the-edge": (v) => `shows a stone at (${v.x}, ${v.y}) that its edge cuts off: take it with paper all round`,
  "too-blurred": (v) =>
    `is blurred: the stone's edge is ${Number(v.width).toFixed(2)} mm wide, and ${Number(v.most).toFixed(2)} is the most. Hold still, and nearer`,
  "no-flat-base": () => "shows no flat base at the foot of the stone: stand it upright on its base and take it from its own height",
  "not-a-round": () => "shows nothing round there: press on a coin or a washer that lies flat",
  "too-tilted": (v) =>
    `is too tilted, or what you pressed on is no round: it looks ${Number(v.ratio).toFixed(2)} as wide as long, and ${v.least} is the least. Take it from straight above`,
  "not-a-drawing": (v) => `is no drawing that can be read: ${v.why}`,
  "drawing-has-script": () => "holds a script, and is not opened: save it as plain SVG",
  "drawing-has-entities": () => "declares entities or a document type, and is not opened: save it as plain SVG",
  "drawing-reaches-outside": () => "asks for something outside itself, and is not opened: save it as plain SVG",
  "drawing-too-deep": (v) => `is nested more than ${v.limit} deep`,
  "drawing-too-many-points": (v) => `has ${v.got} points or parts, and ${v.limit} is the most`,
  "no-closed-outline": () => "has no closed line that could be a stone's outline",
};

/** Forms and works of a hoop as they are said in a sentence. */
const WORDS: Readonly<Record<string, string>> = {
  closed: "a closed hoop",
  "closed-flat": "a flat on top",
  open: "an open hoop",
  bridge: "a bridge",
  adjustable: "open ends",
  twist: "twisted stock",
  taper: "a taper",
  slit: "a slit",
  strands: "strands",
  sleeve: "a sleeve",
};

const EXAMPLES: Readonly<Record<string, string>> = {
  us: "6 1/4",
  uk: "N 1/2",
  eu: "54",
  continental: "14",
  jp: "14",
  diameter: "17.2",
  mandrel: "54",
};

/** What is a length among the values of a fault, where it is not simply all of them at a field that holds one. */
const LENGTHS_TOLD: Readonly<Partial<Record<FaultCode, readonly string[]>>> = {
  "crosses-itself": ["x", "y"],
  "too-large-across": ["limit", "got"],
  "too-small-across": ["limit", "got"],
  "stretch-vanishes": ["got", "least"],
  "no-finger": ["smallest", "largest"],
  "points-coincide": [],
  "too-few": [],
  "too-many": [],
};

/** What would be right, and what was found: "must be more than 0, got -3". Lengths stand in mm unless the maker's units are given. */
export function faultMessage(fault: Fault, units: Units = MILLIMETRES): string {
  return messageWith(fault, LENGTHS_TOLD[fault.code] ?? [], units);
}

/** The message at a field that holds a length: each of its numbers in the maker's unit. */
export function lengthFaultMessage(fault: Fault, units: Units): string {
  return messageWith(fault, LENGTHS_TOLD[fault.code] ?? Object.keys(fault.values), units);
}

const MILLIMETRES: Units = { length: "mm", temperature: "C" };

function messageWith({ code, values }: Fault, lengths: readonly string[], units: Units): string {
  const isInch = units.length === "inch";
  const shown = isInch ? Object.fromEntries(Object.entries(values).map(([name, value]) => [name, inInches(lengths, name, value)])) : values;
  const got = shown.got === undefined ? "" : `, got ${shortened(printable(asFound(shown.got)))}`;
  const expected = EXPECTED[code](shown, isInch ? 4 : 2);
  return shortened(printable(isInch ? expected.replaceAll(" mm", " in") : expected), LONGEST_SAID) + got;
}

function inInches(lengths: readonly string[], name: string, value: string | number): string | number {
  return typeof value === "number" && lengths.includes(name) ? Number((value / MM_PER_INCH).toFixed(4)) : value;
}

/** What was found: a number worked out or dragged to has more digits than anyone reads. */
function asFound(got: string | number): string {
  return typeof got === "number" ? String(Number(got.toPrecision(6))) : got;
}

/** The message with its path before it; what is not planned yet is refused by name. */
export function faultLine(fault: Fault): string {
  const path = shortened(printable(fault.path), LONGEST_PATH) || "/";
  return fault.code === "not-planned"
    ? `not planned yet: ${path} ${shortened(printable(String(fault.values.got)))}`
    : `${path}: ${faultMessage(fault)}`;
}

const LONGEST = 60;
const LONGEST_PATH = 160;
const LONGEST_SAID = 240;

function shortened(text: string, most = LONGEST): string {
  return text.length > most ? `${text.slice(0, most)}…` : text;
}
