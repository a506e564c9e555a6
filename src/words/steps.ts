import { tolerance } from "@/core/measure/tolerances";
import { type CautionCode, type CheckCode, type Step, type StepCode, type StepStage } from "@/core/making/step";
import { type Figure, figureOf } from "@/core/measure/figure";
import { type DoubtOf, SURE } from "@/core/piece/doubt";
import { type AppliedShape, type PartKind } from "@/core/joint/joint";
import { type Placing } from "@/core/joint/placing";
import { METALS, type Metal, type MetalFacts } from "@/core/metal/metals";
import { type Plan } from "@/core/piece/plan";
import { type SizeSystem } from "@/core/hoop/sizes";
import { type Named, SYSTEM_NAMES, capital, counted, gradeName, listed, namesIn } from "./names";
import { BLANK } from "./doubt";
import { type Bare } from "./backs";
import { eyeText } from "./hang";
import { type Rounding, type Units, lengthUnit, showFigure, showLength, turnsText, withUnit } from "./show";

/** What steps are headed by. */
export const STAGE_TITLES: Readonly<Record<StepStage, string>> = {
  stone: "Stone",
  wall: "Bezel",
  plate: "Plate",
  hoop: "Hoop",
  bail: "Bail",
  join: "Joining",
  set: "Setting",
};

/** How each figure is rounded, by what it is of and its name. */
const ROUNDING_OF: Readonly<Record<string, Rounding>> = {
  "wall.cutLength": "strip",
  "wall.seatDepth": "height",
  "wall.cutHeight": "height",
  "ledge.cutLength": "strip",
  "ornament.cutLength": "strip",
  "ornament.piece": "strip",
  "ornament.wire": "blank",
  "plate.blankLength": "blank",
  "plate.blankWidth": "blank",
  "plate.length": "blank",
  "plate.width": "blank",
  "hoop.cutLength": "blank",
  "hoop.wireLength": "blank",
  "hoop.inlayLength": "blank",
  "bridge.blankLength": "blank",
  "bail.blankLength": "blank",
  "bail.jumpRingLength": "blank",
  "bail.ringLength": "blank",
  "earwire.cutLength": "blank",
  "post.cutLength": "blank",
  "earring.length": "blank",
};

/** The rounding of a figure by its key; neither a mount's id nor an ornament's counts, nor the number of a piece. */
export function roundingOf(key: string): Rounding {
  const steps = key.split(".");
  const of = steps[steps.length - 3] === "ornament" ? "ornament" : steps[steps.length - 2];
  return ROUNDING_OF[`${of}.${steps.at(-1)!.replace(/\d+$/, "")}`] ?? "measured";
}

/** A figure as it is told wherever it stands by itself. */
export function figureText(key: string, figure: Figure, units: Units): string {
  return figure.unit === "mm" ? withUnit(figure.value, roundingOf(key), units) : showFigure(figure, units);
}

/** Figures by their keys as they are told beside others, without a unit; blanks where they cannot be trusted. */
export function bareIn({ figures }: Pick<Plan, "figures">, units: Units, doubtOf: DoubtOf = SURE): Bare {
  return (key) => {
    if (doubtOf(key)) return BLANK;
    const figure = figureOf(figures, key);
    return figure.unit === "mm" ? showLength(figure.value, roundingOf(key), units) : showFigure(figure, units).split(" ")[0]!;
  };
}

interface StepVoice {
  /** The length aimed at, with its unit. */
  readonly target: string;
  readonly second: string;
  /** A text that rests on the length aimed at; nothing where that cannot be trusted. */
  sure(text: string): string;
  text(name: string): string;
  list(name: string): readonly string[];
  /** A length with its unit, turns by the length of a twist, and lengths that are cut one by one. */
  length(name: string): string;
  readonly lengthOf: (mm: number) => string;
  readonly turns: string;
  readonly pieces: string;
  /** What a joint is called, the part that a value names, and the setting where there are several: a sentence that says one of them needs no lead. */
  joint(id: string): string;
  part(name: string): string;
  /** The joints of a step's heat, and whether it makes but one; fused or soldered. */
  readonly joints: string;
  readonly isAlone: boolean;
  readonly isFused: boolean;
  /** Kinds of the parts that a step works. */
  readonly works: readonly PartKind[];
  readonly of: string;
}

/** Where a post is marked on the back, beside its middle: mm to the right of it as it is seen from the front. */
export function postAside(right: number, length: (mm: number) => string): string {
  return Math.abs(right) < tolerance.seen
    ? "in the middle"
    : `${length(Math.abs(right))} ${right > 0 ? "left" : "right"} of the middle, seen from behind`;
}

const TITLES: Readonly<Record<StepCode, (v: StepVoice) => string>> = {
  "stone.look": () => "Look the stone over, edge and back",
  "stone.measure": (v) => `Measure the stone: perimeter ${v.target}`,
  "wall.anneal": (v) => `Anneal the strip: ${ANNEALING[METALS[v.text("metal") as Metal].anneals]}`,
  "wall.slit": (v) => `Slit the strip ${v.target} tall`,
  "wall.cut": (v) => `Cut the strip ${v.target} long, square at the scribed line`,
  "wall.square": () => "File both ends square",
  "wall.drill": (v) => `Drill the foot of every gap, ${v.target} across and ${v.second} from one to the next, half of one at each end`,
  "wall.gaps": (v) => `Saw the gaps down to their holes: ${v.target} deep from the top`,
  "wall.teeth": () => "File the teeth alike, and take their edges off",
  "wall.wrap": (v) => `Wrap it round the stone, mark the overlap, trim to ${v.target} and close the seam`,
  "wall.press": () => "Press the bezel into the notch with round pliers, until it follows the stone",
  "wall.part": (v) => `Saw the tube off ${v.target} long, square`,
  "wall.burr": (v) => `Use a burr ${v.target} across: the stone plus the fit`,
  "wall.seat": (v) => `Cut the seat straight down, ${v.target} deep`,
  "wall.fits": (v) => `Try the stone in the cup: it needs ${v.target} inside, lengthwise`,
  "wall.thin": (v) => `Thin the cup's rim from outside by ${v.target}, all round alike`,
  "wall.try": () => "Try the stone: right through the bezel, from both sides",
  "wall.foot": (v) =>
    v.text("madeFrom") === "tube" ? "Sand the foot flat, in figures of eight" : "Round it up and sand the foot flat, in figures of eight",
  "wall.dome": (v) => `File the foot to the plate's dome: up to ${v.target} at its ends`,
  "plate.texture": (v) => `Texture the sheet for the plate while it is flat: ${v.text("texture")}`,
  "plate.dome": (v) => `Dome the plate ${v.length("rise")}, from a disc ${v.target} across`,
  "hoop.texture": (v) => `Texture the hoop's stock while it is flat: ${v.text("texture")}`,
  "plate.cut": (v) => `Cut the plate's blank, ${v.target} long and ${v.second} wide`,
  "plate.stamp": () => "Stamp your marks while the plate is loose",
  "plate.saw": (v) => `Saw and file the plate back to ${SAWN_TO[v.text("style")] ?? "the bezel"}, ${v.target} by ${v.second}`,
  "plate.drain": (v) => `Drill the drain, ${v.length("diameter")} across`,
  "ledge.cut": (v) => `Cut the ledge ${v.target} long`,
  "ledge.bend": () => "Bend it to the inside of the bezel and close its ends",
  "ledge.flat": () => "File the ledge flat and fit it in the bezel, touching all round",
  "ledge.try": () => "Lay the stone on the ledge: it lies level",
  "ornament.twist": (v) => `Twist two wires of ${v.length("wire")}, each ${v.target} and some to hold, to ${v.turns}`,
  "ornament.snip": (v) =>
    v.text("notches") === ""
      ? `Snip ${v.text("count")} snippets ${v.target} long from ${snipped(v)}${v.text("usual") === "1" ? ", or as much of what you have" : ""}`
      : `Snip ${v.text("count")} snippets of ${counted(Number(v.text("notches")), "notch", "notches")} from ${snipped(v)}`,
  "ornament.melt": (v) => `Melt them into ${v.text("count")} beads ${v.length("width")} across`,
  "ornament.cut": (v) => `Cut the ${v.part("layer")} ${v.pieces === "" ? `${v.target} long` : `in ${v.pieces}`}`,
  "ornament.bend": (v) =>
    v.text("round") === "1"
      ? `Bend the ${v.part("layer")} round the bezel and close its seam`
      : `Bend the ${v.part("layer")} to the bezel's curve`,
  "ornament.try": (v) => `Slip the ${v.part("layer")} over the bezel: it touches all round`,
  "ornament.file": (v) => `File the ${v.part("layer")} inside until it goes over the bezel with a push`,
  "hoop.cut": (v) => `Cut the hoop's blank ${v.target} long`,
  "hoop.square": () => "File both ends of the blank square",
  "hoop.bend": () => "Bend it until the ends spring together",
  "hoop.round": (v) =>
    `Round the hoop up and read its size: ${v.target} inside${v.sure(`, ${SYSTEM_NAMES[v.text("system") as SizeSystem]} ${v.text("size")}`)}`,
  "hoop.flat": (v) =>
    v.of === ""
      ? `File the flat on top, ${v.target} deep at its middle, opposite the seam`
      : `File the flat for ${v.of}, ${v.target} deep at its middle`,
  "hoop.saddle": (v) => `File a saddle in the underside of the plate${v.of && ` of ${v.of}`}, ${v.target} deep`,
  "hoop.twist": (v) => `Twist ${v.text("plies")} wires of ${v.length("wire")}, each ${v.target} and some to hold, to ${v.turns}`,
  "hoop.flatten": (v) => `Roll or hammer the twist flat, to ${v.length("thickness")}`,
  "hoop.taper": (v) => `Saw and file the blank to its pattern: ${v.length("front")} wide at the front, ${v.length("back")} at the back`,
  "hoop.drill": (v) => `Drill the roots, ${v.length("at")} from the front to each side, ${v.length("across")} across`,
  "hoop.slit": (v) => `Saw down the middle to the roots, ${v.length("long")} each: legs ${v.target} wide`,
  "hoop.lay": (v) =>
    v.text("long") === ""
      ? `Lay the ${v.text("count")} strands side by side and bind them`
      : `Lay the ${v.text("count")} strands side by side, bind them, and mark ${v.length("long")} at the middle`,
  "hoop.spread": (v) => `Spread the legs to ${v.length("spread")} from outside to outside`,
  "hoop.wrap": () => "Bend it round the mandrel, its ends apart",
  "hoop.ends": (v) => `Round both ends and smooth them: they stand ${v.length("gap")} apart`,
  "hoop.feet": (v) => `File both ends, where they meet the plate at ${v.target}, until the feet lie flat on it`,
  "hoop.grip": () => "Cut the opening in the bridge small, and lift the arms to the setting",
  "hoop.bore": (v) =>
    `Bore and turn the sleeve${v.text("name") && ` of ${v.text("name")}`}, ${v.length("thickness")} thick, to slide on the hoop`,
  "hoop.inlay": (v) => `Cut the inlay ${v.target} long, and turn its groove ${v.length("depth")} deep`,
  "hoop.inset": () => "Glue the inlay into its groove, its ends meeting, and let it set",
  "hoop.wood": (v) => `Turn the sleeve true${v.text("name") && `: ${v.text("name")}`}, sand it fine, and seal it with oil or wax`,
  "bridge.cut": (v) => `Cut the bridge's blank ${v.target} long`,
  "bridge.form": (v) =>
    `Form the arch, ${v.length("inside")} inside, and file its ends to the hoop: it stands ${v.length("gap")} over the top`,
  "bail.cut": (v) => `Cut the bail's blank ${v.target} long, to its pattern`,
  "bail.fold": (v) => `Fold it over a rod ${v.length("rod")} across until both legs meet`,
  "bail.saw": (v) => `Saw the tube off ${v.target} long, square`,
  "bail.wind": (v) => `Wind ${v.target} of wire on a rod ${v.length("rod")} across, saw the ring through and close it`,
  "eye.mark": (v) =>
    v.text("between") === "1"
      ? `Mark the eye${v.of && ` of ${v.of}`} in the notch, and file the ring a seat against both sides of it`
      : `Mark the eye${v.of && ` of ${v.of}`} on the edge, ${eyeText(Number(v.text("aside")), v.lengthOf)}, and file it flat there`,
  "hang.try": () => "Hang it by a thread and check that it hangs as planned, turning to neither side",
  "link.wind": (v) => `Wind a ring on a rod ${v.length("rod")} across, ${v.target} of wire, and saw it through`,
  "link.close": (v) => `Open the end sideways, hang the ${v.part("part")} in the ${v.part("in")}, and close it`,
  "earwire.cut": (v) => `Cut the ear wire ${v.target} long, and round and burnish the end that goes through the ear`,
  "earwire.bend": (v) =>
    `Turn its eye round a pin ${v.length("eye")} across; ${v.length("front")} above it bend the bow round a rod ${v.length("bow")} across`,
  "post.cut": (v) => `Cut the post ${v.target} long, one end square, the other round and smooth`,
  "post.mark": (v) =>
    `Mark the post's place on the back: ${v.lengthOf(Math.abs(Number(v.text("above"))))} ${Number(v.text("above")) < 0 ? "below" : "above"} where it balances, ${postAside(Number(v.text("aside")), v.lengthOf)}`,
  "post.harden": () => "Twist the post a turn with pliers, so that it is hard again, and sight along it",
  "applied.snip": (v) => `Snip ${v.target} from wire ${v.length("wire")} thick for the ${v.part("part")}, or as much of what you have`,
  "applied.make": (v) => MADE[v.text("shape") as AppliedShape](v),
  "join.finish": () => "Finish what will be hard to reach once joined",
  "join.prepare": (v) =>
    v.isFused
      ? `Clean ${v.joints}, and press the faces together`
      : `Clean and flux ${v.joints}, and lay the ${gradeName(v.text("grade"))} solder`,
  "join.solder": (v) => `Solder ${v.joints}${v.isAlone ? "" : " in one heat"}, ${gradeName(v.text("grade"))}`,
  "join.tin": (v) => `Melt the solder for ${v.joint(v.text("joint"))} on one face first, and let it set`,
  "join.fuse": (v) => `Fuse ${v.joints}${v.isAlone ? "" : " in one heat"}`,
  "join.pickle": (v) => (v.text("last") === "1" ? "Pickle, rinse and dry" : "Pickle; work on the other part meanwhile"),
  "join.check": (v) => `Look at ${v.joints}, and press on ${v.isAlone ? "it" : "them"}`,
  "join.cold": (v) => `Fix ${v.joint(v.text("joint"))} cold: glue or rivet; no heat from here on`,
  "set.try": () => "Try the stone again, and get it out again",
  "set.height": (v) => `Bring the bezel to ${v.target}`,
  "set.curve": (v) =>
    `File the bezel's top to its curve: ${v.length("seam")} at the seam, ${v.length("least")} at its lowest, ${v.length("most")} at its highest`,
  "set.surface": (v) =>
    harms(v) === ""
      ? `Patina and tumble now, before the ${stones(v)} in`
      : `Patina and tumble now: ${Number(v.text("stones")) > 1 ? "not every stone" : "the stone"} would ${Number(v.text("stones")) > 1 ? "" : "not "}survive it (${harms(v)})`,
  "set.level": () => "Level the stone in its seat",
  "set.push": (v) =>
    v.text("tube") === "1"
      ? "Press the bezel punch down over the tube, rocking it round until its edge lies on the stone"
      : `Push the bezel over with the ${v.text("punch") === "1" ? "punch" : "pusher"}: ${v.text("points") === "1" ? "where it is tightest first, then opposite, then the sides between" : "north, south, east, west, then between"}`,
  "set.finish": (v) => `Polish all of it now, before the ${stones(v)} in`,
  "set.burnish": () => "Burnish the edge; no polish, no wheel",
  "set.polish": (v) =>
    `Burnish the edge and polish it by hand${v.text("ultrasonic") === "1" ? "; clean it by hand, the stone is tender to ultrasonic" : ""}`,
};

/** How each shape that is put on is made. */
const MADE: Readonly<Record<AppliedShape, (v: StepVoice) => string>> = {
  disc: (v) => `Cut the ${v.part("part")}, ${v.length("diameter")} across, from sheet ${v.length("thickness")} thick`,
  ball: (v) => `Melt it to the ${v.part("part")}, ${v.length("diameter")} across, and file a flat on it half as wide`,
  ring: (v) => `Bend the ${v.part("part")}, ${v.length("inside")} inside, from wire ${v.length("wire")} thick, and close it`,
  strip: (v) => `Cut the ${v.part("part")}, ${v.length("length")} by ${v.length("width")}, from sheet ${v.length("thickness")} thick`,
};

const SAWN_TO: Readonly<Record<string, string>> = { border: "its border", ornament: "its ornament", own: "its outline" };

/** What beads are snipped from: wire, or strip so thick and high. */
function snipped(v: StepVoice): string {
  return v.text("wire") === "" ? `strip ${v.length("thickness")} by ${v.length("height")}` : `wire ${v.length("wire")} thick`;
}

/** How each metal is made soft. */
const ANNEALING: Readonly<Record<MetalFacts["anneals"], string>> = {
  briefly: "five seconds of flame, then quench",
  "red-black-quench": "to a dull red in dim light, let it go black, then quench",
  "red-quench": "to a dull red, then quench",
  "red-black-cool": "to a dull red, let it cool until it is black, then quench",
};

/** Why a stone bears neither patina nor tumbling; empty where it does. */
function harms(v: StepVoice): string {
  return [
    ...(v.list("tender").length === 0 ? [] : [`tender to ${v.list("tender").join(", ")}`]),
    ...(v.text("soft") === "1" ? ["too soft for steel shot"] : []),
  ].join(", ");
}

/** "stone goes"; of several "first stone goes". */
function stones(v: StepVoice): string {
  return Number(v.text("stones")) > 1 ? "first stone goes" : "stone goes";
}

const DETAILS: Readonly<Partial<Record<StepCode, string>>> = {
  "stone.measure":
    "Twice each way, then once round with a strip of paper. The height at which the side leans in is read against a steel rule.",
  "wall.cut":
    "Use a scribe, not a pen, and cut on the waste side. Better a hair short than a hair long: short can be stretched, long must be cut again.",
  "wall.wrap": "Snug: the stone slides with a push. Solder fills no gaps.",
  "wall.try": "That proves it is upright, the right length and the right shape. A little small: anneal and stretch it on a mandrel.",
  "wall.seat": "Cut slowly, with oil, the tube upright. Look often: a seat cut too deep cannot be put back.",
  "wall.fits": "It should drop to the floor and lie flat, with no more than a hair of room all round.",
  "wall.dome": "Rub it on fine paper laid over the dome, a little at a time, until no light shows under it.",
  "plate.texture": "Texture stretches it: cut the blank after, never before.",
  "plate.dome": "Anneal it first. From the rim inward in a wide hollow, then narrower ones; check the rise against a straight edge.",
  "hoop.texture": "It moves metal: measure the stock again before it is cut.",
  "plate.cut": "Be generous: sawing off is easier than adding.",
  "plate.stamp": "Stamping later would distort the work.",
  "ledge.flat": "Where it does not touch, the stone rocks and solder does not run.",
  "ornament.twist":
    "Anneal them first, one end in a vice, the other in a hand drill turned slowly; solder or fuse the ends so that they do not open.",
  "ornament.melt": "Each on its own spot of a charcoal block, until it spins.",
  "ornament.bend": "Anneal it first. Lay it in place, mark it, and trim it before closing.",
  "ornament.file": "It is made undersize so that it sits without a gap.",
  "wall.press": "Closed it goes round tight over the notch; pressed in it takes its whole length.",
  "join.check": "What is not whole is cleaned, fluxed and heated again before anything is built on it.",
  "hoop.ends": "Nothing is to catch on the finger or on cloth.",
  "hoop.wood": "Along the grain, down to the finest paper; no water, no steam and no pickle near it from here on.",
  "set.burnish": "A burnisher only, and nothing over the face.",
  "hoop.twist": "Anneal them first, one end in a vice, the other in a hand drill turned slowly.",
  "hoop.taper": "Fold its template at the front to check that both halves match. File back shoulders that stop the finger bending.",
  "hoop.drill": "A hole at the root keeps the slit from running on as it is spread.",
  "hoop.spread": "Anneal it first; a little each side in turn, over the edge of a stake.",
  "hoop.feet": "Stand it on the plate and look along it: no light under either foot.",
  "hoop.grip": "Cut it smaller than looks right: metal filed off does not come back.",
  "bail.fold": "Anneal it first; press the legs together below the rod, not on it.",
  "hang.try": "Put a thread through the bail and compare with a plumb line.",
  "link.close": "Pulled open it never closes round again; sideways it does.",
  "earwire.bend": "Both of a pair on the same pin and rod; a few light blows on the bow make it spring.",
  "post.harden": "Soldering left it soft: soft it bends in the ear.",
  "join.fuse":
    "Press the clean ends hard together. Move the flame over the whole piece until the surface shimmers along the seam, then take it away.",
  "set.try": "Lay a thread under it first, or lift it with tacky putty.",
  "set.curve": "Its template shows the height step by step; lay the strip on it, or mark the heights round the bezel.",
  "set.push": "Go round several times, first straight in, then rocking up.",
};

/** How solder is put to a joint before it is heated, by where it is put. */
const PREPARING: Readonly<Record<Placing | "fuse", string>> = {
  inside: "Lay the pallions inside, evenly.",
  outside: "Lay the pallions against it from outside.",
  under: "Stand it on its solder.",
  sweat: "Bring the two faces together and hold them so.",
  wire: "The wire stays in the hand until the joint is hot.",
  paste: "Lay the paste along the joint, and dry it with a soft flame until it stops smoking.",
  fuse: "Nothing fills a gap: no light through.",
};

const RUNS = "Heat the whole piece; solder runs toward the hottest place.";

/** What is done at the torch, by where solder is put. */
const HEATING: Readonly<Record<Placing, string>> = {
  inside: RUNS,
  outside: RUNS,
  under: RUNS,
  sweat: "Heat until it sinks a hair and the edge shines.",
  wire: "Heat the whole piece. Touch the wire's end to the joint and take it away as it flashes.",
  paste: RUNS,
};

/** Where it is hard to reach later, by the kind of part. */
const FINISHED_AT: Readonly<Partial<Record<PartKind, string>>> = {
  hoop: "inside the hoop",
  strand: "inside the hoop",
  plate: "round the plate's edge",
  wall: "round the bezel's foot",
  bail: "the bail",
  "jump-ring": "the ring",
  post: "the back round the post",
};

/** What a step is said more of by what it is done to. */
const MORE: Readonly<Partial<Record<StepCode, (v: StepVoice) => string>>> = {
  "join.prepare": (v) =>
    [
      ...v.list("means").map((means) => PREPARING[means as Placing | "fuse"]),
      ...(v.text("blooms") === "1" ? ["Sterling blooms under its skin: flux or borate it all over, and keep the heat short."] : []),
    ].join(" "),
  "join.solder": (v) => [...new Set(v.list("means").map((means) => HEATING[means as Placing]))].join(" "),
  "join.finish": (v) => `Sand and pre-polish ${listed([...new Set(v.works.flatMap((kind) => FINISHED_AT[kind] ?? []))])}.`,
  "hoop.round": (v) =>
    v.text("seam") === "1"
      ? "Too small by up to one size: stretch it. Too large: saw out the excess at the seam."
      : "Small: open it a little. Large: close it, or cut its ends.",
  "set.level": (v) => (Number(v.text("cushion")) > 0 ? `On its cushion of fine sawdust, ${v.length("cushion")} of it.` : ""),
  "set.finish": (v) =>
    `Wash all of the compound out: it cannot be reached under a stone.${v.text("kept") === "1" ? " A face that keeps its wear must not be polished: it is worth less for it." : ""}`,
};

export const CHECKS: Readonly<Record<CheckCode, string>> = {
  "stone.sound": "No chip or crack at the edge",
  "stone.flatBack": "The back does not rock",
  "joint.clean": "Every face bright, no light between them",
  "teeth.alike": "The teeth are alike, no burr left",
  "notch.pressed": "It lies in the notch, no light between",
  "ends.round": "Both ends round and smooth to a finger",
  "wood.sealed": "No dry spot, no glue on its face",
  "ends.square": "The end is square to the edge",
  "ends.noBurr": "The burr is off, both faces",
  "ends.noPinch": "No pinch left by the cutters",
  "ends.noLight": "No light through the closed ends",
  "edge.parallel": "Both edges are parallel",
  "wall.upright": "The bezel stands upright",
  "wall.passes": "The stone passes with a light push",
  "wall.seamLevel": "The seam is level, top and foot",
  "seat.level": "The stone lies level, down to its edge, and does not rock",
  "rim.even": "The rim is the same thickness all round",
  "foot.flat": "It lies flat all round, no light under it",
  "foot.onDome": "It lies on the dome all round, no light under it",
  "dome.even": "The rim lies flat all round, the dome even",
  "plate.room": "There is room all round for the saw",
  "joint.bright": "A bright line, inside and out",
  "joint.noGap": "No gap, pit or bubble",
  "joint.allRound": "It goes all the way round",
  "joint.dropsFlat": "The piece drops flat",
  "joint.noPits": "No pits",
  "joint.sinks": "It sank a hair as the solder ran",
  "joint.noFlood": "No solder outside the joint",
  "joint.noVoid": "No void where the paste boiled",
  "joint.firm": "Nothing moves when it is pressed",
  "joint.noGlue": "No glue squeezed out of the joint",
  "ledge.touches": "It touches the bezel all round",
  "ornament.touches": "It touches the bezel all along, no light between",
  "snippets.equal": "All as long as the first",
  "beads.round": "Every bead is round, none pitted or flat",
  "beads.stand": "Each bead stands in its place, none sunk or leaning",
  "plate.noLine": "The bezel's line no longer shows at the edge",
  "hoop.round": "Round on the mandrel, from both sides",
  "hoop.size": "The size is what was asked for",
  "hoop.sitsFlat": "It sits without rocking, no light through",
  "mount.square": "The hoop stands by itself, square both ways",
  "feet.stand": "It stands by itself on the plate, every foot flat",
  "legs.alike": "The legs match, side to side and end to end",
  "edge.even": "Both edges run evenly, alike left and right",
  "bridge.meets": "Both ends meet the hoop all over, no light through",
  "sleeve.slides": "It slides on with a push, no play",
  "sleeve.tight": "No gap, no play, the edges level",
  "bail.legs": "The legs lie together, the foot square",
  "eye.seated": "The bail sits flat on the edge, square to the plate",
  "hang.straight": "It hangs straight, seen from the front and from the side",
  "wire.smooth": "No burr: it goes through an ear",
  "bows.alike": "Eye and bow lie as in the drawing, a pair alike",
  "post.square": "The post stands square to the back",
  "post.firm": "It neither bends nor turns under the pliers",
  "pickle.noIron": "No iron or steel in the pot, binding wire off",
  "height.even": "Even all round, past where the side leans in, not much more",
  "height.follows": "It follows the side all round, past where it leans in",
  "stone.out": "The stone is out again",
  "stone.still": "The stone does not move or rock",
  "edge.smooth": "The top edge is thin and smooth to a fingernail",
  "parts.reached": "Nothing left to finish where a file will not reach later",
};

/** A caution's name, for the step it stands at, and what it says in full. */
export const CAUTIONS: Readonly<Record<CautionCode, { readonly name: string; readonly text: string }>> = {
  torch: {
    name: "torch and gas",
    text: "Cylinders secured and leak-tested, nothing flammable near, hair and sleeves tied back, eyes protected, good ventilation.",
  },
  pickle: {
    name: "acid",
    text: "Add acid to water, cover, ventilate, copper or plastic tongs, never quench red-hot work in it. Spent pickle holds copper and is hazardous waste.",
  },
  flux: { name: "solder and flux", text: "No cadmium in solder; fluoride fluxes need extraction." },
  saw: { name: "saw, burr and drill", text: "Eye protection." },
  dust: { name: "dust", text: "Respirator for polishing compounds, silica, shell and stone dust; grind shell and stone wet." },
  wheel: { name: "wheel", text: "It can snatch a ring or a chain: two hands, no gloves, no loose ends." },
  sulphur: { name: "sulphur patina", text: "Fumes: ventilate, gloves, never with acid." },
  hotMetal: { name: "hot metal", text: "It looks like cold metal." },
  noMoreHeat: { name: "no more heat", text: "None once the stone is in." },
  hammerFlat: {
    name: "hammering",
    text: "Eyes and ears protected. Hammer while nothing is joined: later blows move and crack joints.",
  },
  charcoal: { name: "charcoal block", text: "Warm it slowly, bind it with iron wire, douse it after." },
  softStone: { name: "soft stone", text: "Hand tools only; protect it with wax or tape." },
  glue: { name: "glue and resin", text: "Ventilate, wear gloves, and let it cure as long as its sheet says before working it." },
  sealed: { name: "sealed hollow", text: "It can burst in the flame: vent it." },
};

/** Stands with every caution. */
export const CAUTIONS_DEFER = "Local codes, product safety sheets and licensed practice come first.";

export interface SaidStep {
  /** What the title begins with where it is of another setting than the first, and does not say so later. */
  readonly lead: string;
  readonly title: string;
  readonly detail: string;
}

function listOf(value: Step["values"][string] | undefined): readonly string[] {
  return typeof value === "object" ? value : [];
}

/** "2 pieces of 14.80 mm", "pieces of 14.80 mm and 12.35 mm". */
function cutPieces(lengths: readonly string[]): string {
  const [first] = lengths;
  if (first === undefined) return "";
  return lengths.every((each) => each === first) ? `${lengths.length} pieces of ${first}` : `pieces of ${lengths.join(" and ")}`;
}

/** Said once, at the head of the steps of what is made several times; nothing of one. */
export function copiesText(copies = 1): string {
  if (copies === 1) return "";
  return copies === 2 ? "Make two: every step is done for both." : `Make ${copies}: every step is done for each.`;
}

/** What a step speaks of. */
type StepPlan = Named & Pick<Plan, "figures">;

/** With blanks to write in where a length cannot be trusted. @throws if the step aims at a figure that is not there. */
export function sayStep(step: Step, plan: StepPlan, units: Units, doubtOf: DoubtOf = SURE): SaidStep {
  const aim = (key: string | null): string => {
    if (key === null) return "";
    const figure = plan.figures[key];
    if (!figure) throw new RangeError(`step ${step.id} aims at ${key}, which is not there`);
    return doubtOf(key) ? `${BLANK} ${figure.unit === "mm" ? lengthUnit(units) : ""}`.trimEnd() : figureText(key, figure, units);
  };
  const names = namesIn(plan);
  let isNamed = false;
  const naming = (name: string) => {
    isNamed ||= name !== "";
    return name;
  };
  const voice: StepVoice = {
    target: aim(step.target),
    second: aim(step.second),
    sure: (text) => (step.target !== null && doubtOf(step.target) ? "" : text),
    text: (name) => String(step.values[name] ?? ""),
    list: (name) => listOf(step.values[name]),
    length: (name) => withUnit(Number(step.values[name]), "measured", units),
    lengthOf: (mm) => withUnit(mm, "measured", units),
    turns: turnsText(Number(step.values.turns), units),
    pieces: cutPieces(listOf(step.values.pieces).map(aim)),
    joint: (id) => naming(names.joint(id)),
    part: (name) => naming(names.part(String(step.values[name]))),
    get joints() {
      return listed(names.joints(step.joints).map(naming));
    },
    isAlone: step.joints.length === 1,
    isFused: listOf(step.values.means).includes("fuse"),
    works: plan.parts.filter(({ id }) => step.works.includes(id)).map(({ kind }) => kind),
    get of() {
      return naming(step.values.of ? names.setting(String(step.values.of)) : "");
    },
  };
  const told = capital(TITLES[step.code](voice));
  // What is done for several settings at once is no one setting's.
  const leads = new Set((step.joints.length > 0 ? step.joints : [step.part, ...step.works]).map(names.lead));
  const lead = isNamed || leads.size > 1 ? "" : names.lead(step.part);
  return { lead, title: lead + told, detail: [MORE[step.code]?.(voice), DETAILS[step.code]].filter(Boolean).join(" ") };
}

export function stepText(step: Step, plan: StepPlan, units: Units, doubtOf: DoubtOf = SURE): string {
  const { title, detail } = sayStep(step, plan, units, doubtOf);
  return detail ? `${title}. ${detail}` : `${title}.`;
}
