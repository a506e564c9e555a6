import { METALS, type Metal } from "@/core/metal/metals";
import { SAFE_OVERSHOOT } from "@/core/heats/thermal";
import { type Finding, type FindingCode, type FindingValues } from "@/core/measure/finding";
import { type SizeSystem } from "@/core/hoop/sizes";
import { type Plan } from "@/core/piece/plan";
import { type Named, type Names, SYSTEM_NAMES, WAY_NAMES, capital, flameName, namesIn } from "./names";
import { pinText } from "./pins";
import { sideText } from "./hang";
import { type Rounding, type Units, degrees, showLength, showPercent, showRise, showTemperature, withUnit } from "./show";

/** A finding in two parts: what is wrong and by how much, then what to do. */
export interface Said {
  readonly what: string;
  readonly advice: string;
}

/** Names of those values that are numbers. */
type NumberIn<V> = { [K in keyof V & string]: Exclude<V[K], undefined> extends number ? K : never }[keyof V & string];
type NameIn<V> = keyof V & string;

/** Says the values of a finding; a name that the finding does not have does not compile. */
interface Voice<V> {
  number(name: NumberIn<V>): number;
  text(name: NameIn<V>): string;
  length(name: NumberIn<V>, rounding?: Rounding): string;
  bare(name: NumberIn<V>): string;
  has(name: NameIn<V>): boolean;
  lengthOf(mm: number): string;
  heat(name: NumberIn<V>): string;
  /** So many degrees more. */
  rise(celsius: number): string;
  /** A grade, or fused, as it is said. */
  grade(name: NameIn<V>): string;
  /** What the joint, the part or the setting that it speaks of is called. */
  joint(): string;
  /** The joints that the heat it speaks of makes, and the wishes that clash. */
  making(): string;
  clash(): string;
  part(): string;
  /** What another part that it speaks of is called. */
  named(name: NameIn<V>): string;
  setting(name: NameIn<V>): string;
  several(): boolean;
}

function voice({ values, at }: Pick<Finding, "values" | "at">, plan: FindingPlan, units: Units): Voice<Finding["values"]> {
  const names = namesIn({ parts: plan.parts, joints: [...plan.joints, ...(plan.leftOut ?? [])] });
  const number = (name: string) => Number(values[name]);
  return {
    number,
    text: (name) => String(values[name]),
    length: (name, rounding = "measured") => withUnit(number(name), rounding, units),
    has: (name) => name in values,
    lengthOf: (mm) => withUnit(mm, "measured", units),
    bare: (name) => showLength(number(name), "measured", units),
    heat: (name) => `${showTemperature(number(name), units)} ${degrees(units)}`,
    rise: (celsius) => `${showRise(celsius, units)} ${degrees(units)}`,
    grade: (name) => flameName({ means: values[`${name}Means`] === "fuse" ? "fuse" : "solder", grade: String(values[name]) }),
    joint: () => names.joint(String(values.joint)),
    making: () => names.joint(String(values.making)),
    clash: () => clashing(plan, names).join("; ") || String(values.clash),
    part: () => names.part(String(values.part ?? at)),
    named: (name) => names.part(String(values[name])),
    setting: (name) => names.setting(String(values[name])),
    several: () => new Set(plan.parts.flatMap(({ mount }) => mount ?? [])).size > 1,
  };
}

/** What a finding is told of: a plan, or what has parts and joints to be named. */
export type FindingPlan = Named & Partial<Pick<Plan, "heatPlan" | "settled" | "leftOut">>;

/** The wishes that clash, as they are said. */
function clashing({ heatPlan, settled }: FindingPlan, names: Names): string[] {
  const heats = settled?.heats;
  if (!heats) return [];
  return (heatPlan?.conflicts ?? []).map((each) =>
    "pin" in each ? pinText(heats.pins[each.pin]!, names) : `the way, ${WAY_NAMES[heats.way]}`,
  );
}

/** How a joint made before is kept from moving: `seam` says whether it is one, and whether its metal fuses. */
function kept(v: Voice<FindingValues["heats.runs"]>): string {
  return { none: "Shield that joint", plain: "Shield the seam", fuses: "Fuse or shield the seam" }[v.text("seam")]!;
}

/** A size that few makers use: likely a slip, but not wrong. `most` is left out where there is none. */
function unusual(v: Voice<FindingValues["stone.unusual"]>, what: string, way: string): Said {
  const isSmall = v.number("value") < v.number("least");
  return {
    what: `${what} ${v.length("value")} ${way} is ${isSmall ? "below" : "above"} the usual range.`,
    advice: `Usual is ${isSmall ? `${v.length("least")} or more` : `up to ${v.length("most")}`}: measure it again.`,
  };
}

const SAYINGS: { readonly [C in FindingCode]: (v: Voice<FindingValues[C]>) => Said } = {
  "stone.tape-off": (v) => ({
    what: `The tape reads ${showPercent(Math.abs(v.number("off")), 1)} ${v.number("off") > 0 ? "more" : "less"} than the measures give.`,
    advice: "Wrap it again, or measure length and width again: one of them is probably wrong.",
  }),
  "stone.unusual": (v) => unusual(v, "A stone", "across"),
  "wall.unusual": (v) => unusual(v, "A bezel", "thick"),
  "plate.unusual": (v) => unusual(v, "A plate", "thick"),
  "hoop.unusual": (v) => unusual(v, "Wire", "thick"),
  "wall.too-low": (v) => ({
    what: v.text("rule") === "third" ? "A third of the height won't hold this stone." : "This bezel won't hold the stone.",
    advice: `It stands ${v.bare("height")} and the side leans in only at ${v.bare("turnIn")}: it needs ${v.length("needed", "height")} to catch.`,
  }),
  "wall.hides-stone": (v) => ({
    what: `The bezel hides the stone: ${v.bare("height")} of its ${v.bare("stone")}.`,
    advice: `Keep it under ${v.length("limit")}, or take a smaller catch.`,
  }),
  "wall.gathers": (v) => ({
    what: `The top gathers ${showPercent(v.number("strain"), 1)} at its tightest.`,
    advice: "Go round in several passes, a little each time.",
  }),
  "wall.point": (v) => ({
    what:
      v.number("points") > 0 ? "The bezel goes round a point." : `The top gathers ${showPercent(v.number("strain"), 1)} at its tightest.`,
    advice: "Push it over there first; thin or notch the edge so that it does not crimp.",
  }),
  "wall.wrapped-short": (v) => ({
    what: `Wrapped over the notch the strip comes out ${v.length("short")} short.`,
    advice: `Pulled tight it measures ${v.bare("wrapped")}; pressed into the notch it needs ${v.length("net")}.`,
  }),
  "wall.seam-near-corner": (v) => ({
    what: "The seam lies close to a corner.",
    advice: `It folds there when the bezel is pushed over. Put it ${showPercent(v.number("better"))} of the way round, where the side is straighter.`,
  }),
  "wall.no-strip": (v) => ({
    what: `No strip on the shelf is tall enough: the tallest is ${v.bare("tallest")}.`,
    advice: `Slice ${v.length("needed", "height")} from sheet.`,
  }),
  "wall.tube-loose": (v) => ({
    what: `The stone has ${v.length("over")} too much room in this tube.`,
    advice: `It is ${v.bare("inside")} inside. Use one under ${v.length("bore")} and cut a seat in it.`,
  }),
  "wall.shelf-narrow": (v) => ({
    what: `The seat leaves a floor only ${v.length("shelf")} wide.`,
    advice: `A stone needs ${v.length("needed")} to stand on: use a tube with a smaller inside.`,
  }),
  "wall.seat-through": () => ({
    what: "Without a lift the seat cuts right through the tube.",
    advice: "The stone then stands on the plate: add a lift to leave a floor under it.",
  }),
  "wall.cup-small": (v) => ({
    what: `The stone does not fit this cup: it is ${v.bare("stone")}, the cup ${v.bare("inside")} inside.`,
    advice: `Use one ${v.length("wanted")} inside.`,
  }),
  "wall.cup-large": (v) => ({
    what: `The stone has ${v.length("gap")} of room all round in this cup.`,
    advice: `The rim has to come in that far before it holds. ${v.length("wanted")} inside would be snug.`,
  }),
  "wall.left-thin": (v) => ({
    what: `The bezel is left ${v.length("left")} thick, thinner than the ${v.bare("wanted")} wanted.`,
    advice: "It pushes over easily and wears soon. Use a wider one.",
  }),
  "wall.left-thick": (v) => ({
    what: `The bezel is left ${v.length("left")} thick, thicker than the ${v.bare("wanted")} wanted.`,
    advice: `Thin the rim from outside by ${v.length("thin")} before pushing it over.`,
  }),
  "wall.heavy-on-soft": (v) => ({
    what: `A bezel ${v.length("thickness")} thick is hard to push over a stone of ${v.text("mohs")} Mohs.`,
    advice: `What moves it can crack the stone. Thin its upper edge to ${v.length("to")} first, or take thinner strip.`,
  }),
  "wall.teeth-deep": (v) => ({
    what: `The gaps between the teeth are ${v.length("depth")} deep, and the lip is ${v.length("lip")}.`,
    advice: "They reach under the place where the stone leans in: saw them less deep, or the teeth hold badly.",
  }),
  "plate.border-thin": (v) => ({
    what: `A border of ${v.length("border")} is thinner than a saw leaves.`,
    advice: `Under ${v.length("least")} it bends or breaks away: make it wider, or file it flush.`,
  }),
  "plate.wire-room": (v) => ({
    what: `A border of ${v.length("border")} leaves no room for a wire of ${v.length("wire")}.`,
    advice: `To add one later, make the border ${v.length("needed")}.`,
  }),
  "plate.stamp-off": (v) => ({
    what: `The stamp reaches ${v.length("over")} past the plate's edge.`,
    advice: `It is ${v.bare("width")} by ${v.bare("height")}: move it in, or take a smaller one.`,
  }),
  "plate.stamp-under-hoop": (v) => ({
    what: `The stamp lies ${v.length("over")} under the hoop.`,
    advice: "It would be soldered over: move it to one side.",
  }),
  "plate.drain-off": (v) => ({
    what: `The drain opens ${v.length("over")} outside the hollow under the stone.`,
    advice: "Drill it inside the bezel.",
  }),
  "plate.drain-under-hoop": (v) => ({
    what: `The hoop covers ${v.length("over")} of the drain.`,
    advice: "Drill it beside the hoop, or the hollow stays closed.",
  }),
  "plate.closed-cavity": (v) => ({
    what: `The stone stands ${v.length("lift")} off the plate over a closed hollow.`,
    advice: "Pickle and water stay in it, and it can burst in the flame: drill a drain.",
  }),
  "plate.wall-over-edge": (v) => ({
    what:
      v.number("clear") < 0
        ? `The bezel comes ${v.length("over")} too far out: it stands over the plate's edge.`
        : `The bezel stands ${v.length("clear")} from the plate's edge.`,
    advice: `Leave ${v.length("least")} outside it: move the stone in, or make the plate larger.`,
  }),
  "plate.walls-close": (v) => ({
    what:
      v.number("apart") < 0
        ? `The bezels of ${v.setting("one")} and ${v.setting("other")} lie over each other.`
        : `The bezels of ${v.setting("one")} and ${v.setting("other")} stand ${v.length("apart")} apart.`,
    advice: `Leave ${v.length("least")} between them, for solder and for the pusher.`,
  }),
  "loss.no-such-method": (v) => ({
    what: `The bench has no own loss by "${v.text("method")}".`,
    advice: "The usual losses are used instead: choose another method, or enter the loss on My bench.",
  }),
  "plate.no-drain": () => ({
    what: "This stone is tender to water, and the back under it is closed.",
    advice: "What gets under it stays there: drill a small drain, or keep it out of water.",
  }),
  "ledge.hides": (v) => ({
    what: `The ledge hides ${showPercent(v.number("hidden"))} of the back.`,
    advice: `More than ${showPercent(v.number("most"))} and little light comes through: take a narrower one.`,
  }),
  "ledge.no-plate": () => ({
    what: "There is no plate to stamp or to drill.",
    advice: "The back is open: stamp the hoop or the bezel, and leave out stamp and drain here.",
  }),
  "ornament.off-plate": (v) => ({
    what: `The ${v.part()} reaches ${v.length("over")} past the metal under it.`,
    advice: "With no plate under it, only the bezel holds it.",
  }),
  "ornament.too-short": (v) => ({
    what: `The ${v.part()} is only ${v.length("length")} long.`,
    advice: `Squaring its ends and the mark take ${v.length("lost")}: make its stretch longer.`,
  }),
  "ornament.no-bead": (v) => ({
    what: `A stretch is too short for one bead of ${v.length("width")}.`,
    advice: "Make it longer, or the beads smaller.",
  }),
  "ornament.small-bead": (v) => ({
    what: `Beads of ${v.length("width")} are hard to solder.`,
    advice: `Under ${v.length("least")} they melt before the plate is hot: take larger ones, or fuse them on.`,
  }),
  "ornament.pits": () => ({
    what: "Sterling beads come out pitted.",
    advice: "Fine silver makes clean round balls.",
  }),
  "ornament.notch-ball": (v) => ({
    what: `${v.text("notches")} notches melt to a ball of ${v.length("ball")}, not ${v.length("width")}.`,
    advice: "Use another number of notches, or that size of bead.",
  }),
  "ornament.twist-width": (v) => ({
    what: `Two wires of ${v.length("wire")} twist to ${v.length("stands")}, not ${v.length("width")}.`,
    advice: "Use the width they make, or another wire.",
  }),
  "hoop.wide-band": (v) => ({
    what: `A band ${v.length("width")} wide fits tighter.`,
    advice: `${v.length("add")} is added to the inside diameter: ${v.number("sizes").toFixed(1)} ${SYSTEM_NAMES[v.text("system") as SizeSystem]} sizes up.`,
  }),
  "hoop.flat-too-deep": (v) => ({
    what: `The flat leaves ${v.bare("left")} of the wire, less than ${v.bare("needed")}.`,
    advice: `Make it no wider than ${v.length("widest")}, or take thicker wire.`,
  }),
  "hoop.saddle-too-deep": (v) => ({
    what: `The saddle leaves ${v.bare("left")} of the plate, less than ${v.bare("needed")}.`,
    advice: `Make it no wider than ${v.length("widest")}, or take a thicker plate.`,
  }),
  "hoop.saddle-no-room": (v) => ({
    what: `A plate ${v.length("thickness")} thick leaves nothing for a saddle.`,
    advice: `${v.length("needed")} has to be left: take a thicker plate, or file a flat on the hoop.`,
  }),
  "hoop.mounts-touch": (v) => ({
    what: `The plates of ${v.setting("other")} and ${v.setting("mount")} run into each other.`,
    advice: `They are ${v.bare("apart")} apart round the hoop: place them more than ${v.length("needed")} apart.`,
  }),
  "hoop.rule-large": (v) => ({
    what: `Counting half the thickness makes this ring ${v.length("over")} too large inside.`,
    advice: "The wire's flat side lies on the finger, so its fibre is nearer than half the thickness.",
  }),
  "hoop.no-foot": (v) => ({
    what: `The plate lies ${v.length("height")} above the finger's centre, higher than the shank reaches.`,
    advice: `An open shank needs it under ${v.length("most")}: lay the plate nearer the finger, or close the hoop.`,
  }),
  "hoop.feet-miss": (v) => ({
    what: `The feet reach ${v.length("over")} past the plate.`,
    advice: `They meet it ${v.length("reach")} from its middle: take a wider plate, or lay it nearer the finger.`,
  }),
  "hoop.wont-stand": (v) => ({
    what: `On feet ${v.length("span")} wide the hoop tips over at ${v.number("stands").toFixed(1)}°.`,
    advice: "Prop it while it is soldered.",
  }),
  "hoop.slit-long": (v) => ({
    what: `A slit of ${v.length("length")} to each side leaves ${v.length("left")} of the shank whole.`,
    advice: `Over ${v.length("most")} the legs twist apart: make it shorter.`,
  }),
  "hoop.seam-under": (v) => ({
    what: `The seam lies under the setting, ${v.bare("apart")} from its middle.`,
    advice: "It is heated again with the setting: prop it, shield it, or use a harder grade.",
  }),
  "hoop.plate-wide": (v) => ({
    what: `The plate is ${v.length("extent")} across the finger, wider than the hoop's ${v.bare("across")}.`,
    advice: "It presses on the fingers beside it: turn the stone along the finger, or bend the plate.",
  }),
  "bridge.no-meeting": (v) => ({
    what: `An arch ${v.length("inside")} inside, ${v.bare("gap")} over the top, does not meet the hoop.`,
    advice: `The hoop is ${v.length("outside")} across outside: change the arch, or lower it.`,
  }),
  "bridge.short-arm": (v) => ({
    what:
      v.number("arm") > 0
        ? `The opening leaves the bridge's arms only ${v.length("arm")} long.`
        : `The opening for the setting is ${v.lengthOf(-v.number("arm"))} wider than the bridge on each side: no arms are left.`,
    advice: `Arms under ${v.length("least")} do not bend: form the arch larger, or raise it.`,
  }),
  "bail.bore-small": (v) => ({
    what: `The chain's end, ${v.length("chainEnd")}, does not fit through a bore of ${v.bare("bore")}.`,
    advice: `Make the bore ${v.length("needed")}.`,
  }),
  "bail.tube-apart": (v) => ({
    what:
      v.number("gap") > 0
        ? `The tube stands ${v.length("gap")} off the edge.`
        : `The tube reaches ${v.lengthOf(-v.number("gap"))} in over the edge.`,
    advice: `Set the drop to ${v.length("needed")} and it lies on the edge.`,
  }),
  "bail.unequal": (v) => ({
    what: `${capital(v.setting("one"))} and ${v.setting("other")} differ by ${v.length("longer")} in length and ${(Number(v.number("heavier").toFixed(2)) - Number(v.number("lighter").toFixed(2))).toFixed(2)} g.`,
    advice: `${v.number("lighter").toFixed(2)} and ${v.number("heavier").toFixed(2)} g: choose stones nearer to each other, or thin the heavier plate.`,
  }),
  "hang.crooked": (v) => ({
    what: `It tilts ${Math.abs(v.number("tilt")).toFixed(1)}° as it hangs.`,
    advice: v.has("by")
      ? `Move the eye ${v.lengthOf(Math.abs(v.number("by")))} along the edge, to the ${sideText(v.number("by"))}.`
      : v.has("turn")
        ? `Turn the eye ${Math.abs(v.number("turn")).toFixed(1)}° round the point, to the ${sideText(v.number("turn"))}.`
        : "No place on its edge makes it hang straight.",
  }),
  "hang.turned-past": (v) => ({
    what: `The eye is turned ${Math.abs(v.number("turn")).toFixed(1)}° off the middle of the point.`,
    advice:
      v.number("most") > 0
        ? `Turn the eye back to ${v.number("most").toFixed(1)}°: the point goes no further round.`
        : "Set the turn to 0: there is no point where the eye is.",
  }),
  "bail.ring-thick": (v) => ({
    what: `The ring's wire, ${v.length("wire")}, does not fit through a bore of ${v.bare("bore")}.`,
    advice: `Make the bore ${v.length("needed")}, or the wire thinner.`,
  }),
  "ear.wire-thick": (v) => ({
    what: `${capital(v.part())} of ${v.length("wire")} is too thick for most ears.`,
    advice: `Use wire of ${v.length("most")} or less.`,
  }),
  "ear.wire-thin": (v) => ({
    what: `${capital(v.part())} of ${v.length("wire")} bends, and cuts the ear.`,
    advice: `Use wire of ${v.length("least")} or more.`,
  }),
  "ear.metal": (v) => ({
    what: `${capital(METALS[v.text("metal") as Metal].name)} in a pierced ear turns green and can hurt it.`,
    advice: "Use fine silver or sterling for what goes through the ear.",
  }),
  "earwire.short": (v) => ({
    what: `${v.length("length", "blank")} of wire is too short to go round an ear.`,
    advice: `Cut ${v.length("needed", "blank")} or more, for the eye, the bow and both legs.`,
  }),
  "post.off": (v) => ({
    what: `The post misses the metal of the back by ${v.length("by")}.`,
    advice: "Move the post clear of the edge, the opening and the drain.",
  }),
  "post.over-stamp": (v) => ({
    what: `The post stands ${v.length("by")} over the stamp.`,
    advice: "Move the post or the stamp.",
  }),
  "post.low": (v) => ({
    what: `The post stands ${v.length("by")} below where the stud balances.`,
    advice: "Move the post above that place: the stud tips forward in the ear.",
  }),
  "hang.stone-guessed": () => ({
    what: "The stone's weight is a guess.",
    advice: "It is counted as quartz. Name the stone, or give its density, to see how it really hangs.",
  }),
  "applied.crushed": (v) => ({
    what: `The ${v.part()} stands ${v.length("height")} high and would be crushed in bending.`,
    advice: "Add it after bending: only flat parts bend with the metal under them.",
  }),
  "applied.near-seam": (v) => ({
    what: `The ${v.part()} lies ${v.length("off")} from the seam.`,
    advice: `Nearer than ${v.length("least")} one heat opens the other: move it.`,
  }),
  "applied.overlap": (v) => ({
    what: `${capital(v.part())} lies ${v.length("over")} over ${v.named("other")}.`,
    advice: "Move one of them, or make it smaller.",
  }),
  "applied.under-stone": (v) => ({
    what: `${capital(v.part())} lies ${v.length("over")} inside the bezel's outside: under it, or under the stone.`,
    advice: "Move it out onto the plate.",
  }),
  "applied.under-setting": (v) => ({
    what: `${capital(v.part())} lies ${v.length("over")} under the setting${v.several() ? ` of ${v.setting("mount")}` : ""}.`,
    advice: "Move it further round the hoop.",
  }),
  "applied.over-ornament": (v) => ({
    what: `${capital(v.part())} lies ${v.length("over")} over ${v.named("other")}.`,
    advice: "Move it clear of it.",
  }),
  "applied.over-edge": (v) => ({
    what: `${capital(v.part())} hangs ${v.length("over")} over the edge of what it lies on.`,
    advice: "It is in mid-air there: move it in, or make it smaller.",
  }),
  "heats.runs": (v) => ({
    what: `${capital(v.joint())} runs again as ${v.making()} is made.`,
    advice: `That heat (${v.grade("grade")}) reaches ${v.heat("working")}. ${kept(v)}, or use a softer grade for it.`,
  }),
  "heats.softens": (v) => ({
    what: `${capital(v.joint())} softens as ${v.making()} is made.`,
    advice: `That heat (${v.grade("grade")}) reaches ${v.heat("working")}. Prop it so that nothing hangs on it. ${kept(v)}.`,
  }),
  "heats.at-risk": (v) => ({
    what: `The ${v.part()} is close to melting as ${v.making()} is made.`,
    advice: `That heat (${v.grade("grade")}) reaches ${v.heat("working")}. Take the flame off the moment it runs.`,
  }),
  "heats.overshoot": (v) => ({
    what: `${v.rise(v.number("overshoot"))} of overshoot takes ${v.grade("grade")} to ${v.heat("working")}.`,
    advice: `That endangers sterling: keep the overshoot at ${v.rise(SAFE_OVERSHOOT)} or less.`,
  }),
  "heats.impossible": (v) => ({
    what:
      v.text("clash") === "" ? "No order of heats joins these metals without melting one." : "No order of heats keeps all you asked for.",
    advice:
      v.text("clash") === "" ? "Use another metal, or a softer solder on the shelf." : `These clash: ${v.clash()}. Remove one of them.`,
  }),
  "heats.unproven": () => ({
    what: "This is the best order found; a better one may exist.",
    advice: "It works as shown.",
  }),
  "heats.not-found": () => ({
    what: "No order of heats was found that keeps all you asked for.",
    advice: "There may be one: this piece has too many joints to try every order. Remove a pin, or make some joints in one heat.",
  }),
  "heats.shelf-missing": (v) => ({
    what: `The shelf ${v.text("asked")} is not on this bench.`,
    advice: `Planned with ${v.text("used")}: check the temperatures against your supplier's sheet.`,
  }),
  "heats.pin-unknown": (v) => ({
    what: `A pin names ${v.text("joint")}, which this piece does not have.`,
    advice: "It is kept, and does nothing.",
  }),
  "heats.add-no-part": (v) => ({
    what: `The added joint ${v.text("joint")} names a part this piece does not have: ${v.text("missing")}.`,
    advice: "Remove it, or choose a part that is there.",
  }),
  "heats.add-taken": (v) => ({
    what: `A joint is already called ${v.text("joint")}.`,
    advice: "Give the one that is added another name.",
  }),
  "heats.apart": (v) => ({
    what: `Nothing holds the ${v.part()} any more.`,
    advice: "A joint is left out: put it back, or add one of your own.",
  }),
  "heats.sweat": (v) => ({
    what: `${capital(v.joint())} takes ${v.text("count")} pallions in ${v.text("rows")} rows: they cannot be laid so.`,
    advice: "Melt the solder on one face first, and bring the two together.",
  }),
  "heats.not-in-hand": (v) => ({
    what: `${capital(v.grade("grade"))} is not on the shelf as ${v.text("form")}.`,
    advice: `${capital(v.joint())} is planned with the usual size.`,
  }),
  "heats.better-unpinned": (v) => ({
    what: `Without your pin, ${v.joint()} would be ${v.grade("best")}.`,
    advice: `You pinned ${v.grade("pinned")}: remove the pin to change it.`,
  }),
};

export function sayFinding({ code, values, at }: Finding, plan: FindingPlan, units: Units): Said {
  // A finding is made with the values of its code; which code it is is only known here.
  return (SAYINGS[code] as (v: Voice<Finding["values"]>) => Said)(voice({ values, at }, plan, units));
}

/** All of it on one line, led by the setting it is said of where that is not the first. */
export function findingText(finding: Finding, plan: FindingPlan, units: Units): string {
  const { mount, values } = finding;
  const { what, advice } = sayFinding(finding, plan, units);
  const lead = values.mount === undefined && mount !== null ? namesIn(plan).lead(mount) : "";
  return `${lead}${what} ${advice}`;
}
