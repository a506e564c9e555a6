import { EXAMPLES, examplePiece } from "@demo/examples";
import { DEMO_PIECES, demoPiece } from "@demo/pieces";
import { type FindingCode } from "@/core/measure/finding";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type FaultCode, fault } from "@/core/piece/fault";
import { planPiece } from "@/core/piece/plan-piece";
import { type Tenderness } from "@/core/stone/stone";
import { faultMessage } from "./faults";
import { findingText } from "./findings";
import { METRIC } from "./show";
import { sayStep, stepText } from "./steps";

const planned = planPiece(demoPiece("tern-ring"), SHIPPED_BENCH);

// What a maker reads, written down a second time: a number or a name that changes its place in a sentence is noticed here.

test.each<[FindingCode, Record<string, number | string>, string]>([
  [
    "stone.tape-off",
    { off: 2.2 },
    "The tape reads 220.0% more than the measures give. Wrap it again, or measure length and width again: one of them is probably wrong.",
  ],
  [
    "wall.too-low",
    { rule: "turn-in", height: 3.3, turnIn: 4.4, needed: 5.5 },
    "This bezel won't hold the stone. It stands 3.30 and the side leans in only at 4.40: it needs 5.50 mm to catch.",
  ],
  [
    "wall.hides-stone",
    { height: 2.2, stone: 3.3, limit: 4.4 },
    "The bezel hides the stone: 2.20 of its 3.30. Keep it under 4.40 mm, or take a smaller catch.",
  ],
  [
    "plate.border-thin",
    { border: 0.2, least: 0.3 },
    "A border of 0.20 mm is thinner than a saw leaves. Under 0.30 mm it bends or breaks away: make it wider, or file it flush.",
  ],
  [
    "plate.wire-room",
    { border: 0.5, wire: 0.8, needed: 1.1 },
    "A border of 0.50 mm leaves no room for a wire of 0.80 mm. To add one later, make the border 1.10 mm.",
  ],
  [
    "plate.stamp-off",
    { over: 0.4, width: 4.2, height: 1.5 },
    "The stamp reaches 0.40 mm past the plate's edge. It is 4.20 by 1.50: move it in, or take a smaller one.",
  ],
  ["plate.stamp-under-hoop", { over: 0.4 }, "The stamp lies 0.40 mm under the hoop. It would be soldered over: move it to one side."],
  ["plate.drain-off", { over: 0.3 }, "The drain opens 0.30 mm outside the hollow under the stone. Drill it inside the bezel."],
  ["plate.drain-under-hoop", { over: 0.3 }, "The hoop covers 0.30 mm of the drain. Drill it beside the hoop, or the hollow stays closed."],
  [
    "plate.closed-cavity",
    { lift: 1.2 },
    "The stone stands 1.20 mm off the plate over a closed hollow. Pickle and water stay in it, and it can burst in the flame: drill a drain.",
  ],
  [
    "ledge.hides",
    { hidden: 0.24, most: 0.2 },
    "The ledge hides 24% of the back. More than 20% and little light comes through: take a narrower one.",
  ],
  [
    "ledge.no-plate",
    {},
    "There is no plate to stamp or to drill. The back is open: stamp the hoop or the bezel, and leave out stamp and drain here.",
  ],
  [
    "ornament.off-plate",
    { over: 0.9, part: "m1.plate" },
    "The plate reaches 0.90 mm past the metal under it. With no plate under it, only the bezel holds it.",
  ],
  [
    "ornament.too-short",
    { length: 0.3, lost: 0.54, part: "m1.wall" },
    "The bezel is only 0.30 mm long. Squaring its ends and the mark take 0.54 mm: make its stretch longer.",
  ],
  ["ornament.no-bead", { width: 1.2 }, "A stretch is too short for one bead of 1.20 mm. Make it longer, or the beads smaller."],
  [
    "ornament.small-bead",
    { width: 0.5, least: 0.6 },
    "Beads of 0.50 mm are hard to solder. Under 0.60 mm they melt before the plate is hot: take larger ones, or fuse them on.",
  ],
  [
    "applied.crushed",
    { height: 2, part: "m1.wall" },
    "The bezel stands 2.00 mm high and would be crushed in bending. Add it after bending: only flat parts bend with the metal under them.",
  ],
  [
    "applied.near-seam",
    { off: 1.2, least: 2, part: "m1.wall" },
    "The bezel lies 1.20 mm from the seam. Nearer than 2.00 mm one heat opens the other: move it.",
  ],
  ["ornament.pits", {}, "Sterling beads come out pitted. Fine silver makes clean round balls."],
  [
    "ornament.notch-ball",
    { notches: 3, ball: 1.34, width: 1.5 },
    "3 notches melt to a ball of 1.34 mm, not 1.50 mm. Use another number of notches, or that size of bead.",
  ],
  [
    "ornament.twist-width",
    { wire: 0.6, stands: 1.2, width: 1.4 },
    "Two wires of 0.60 mm twist to 1.20 mm, not 1.40 mm. Use the width they make, or another wire.",
  ],
  ["wall.gathers", { strain: 2.2 }, "The top gathers 220.0% at its tightest. Go round in several passes, a little each time."],
  [
    "wall.point",
    { points: 2.2, strain: 3.3 },
    "The bezel goes round a point. Push it over there first; thin or notch the edge so that it does not crimp.",
  ],
  [
    "wall.wrapped-short",
    { short: 2.2, wrapped: 3.3, net: 4.4 },
    "Wrapped over the notch the strip comes out 2.20 mm short. Pulled tight it measures 3.30; pressed into the notch it needs 4.40 mm.",
  ],
  [
    "wall.seam-near-corner",
    { better: 2.2 },
    "The seam lies close to a corner. It folds there when the bezel is pushed over. Put it 220% of the way round, where the side is straighter.",
  ],
  ["wall.no-strip", { tallest: 2.2, needed: 3.3 }, "No strip on the shelf is tall enough: the tallest is 2.20. Slice 3.30 mm from sheet."],
  [
    "wall.tube-loose",
    { over: 2.2, inside: 3.3, bore: 4.4 },
    "The stone has 2.20 mm too much room in this tube. It is 3.30 inside. Use one under 4.40 mm and cut a seat in it.",
  ],
  [
    "wall.shelf-narrow",
    { shelf: 2.2, needed: 3.3 },
    "The seat leaves a floor only 2.20 mm wide. A stone needs 3.30 mm to stand on: use a tube with a smaller inside.",
  ],
  [
    "wall.seat-through",
    {},
    "Without a lift the seat cuts right through the tube. The stone then stands on the plate: add a lift to leave a floor under it.",
  ],
  [
    "wall.cup-small",
    { stone: 2.2, inside: 3.3, wanted: 4.4 },
    "The stone does not fit this cup: it is 2.20, the cup 3.30 inside. Use one 4.40 mm inside.",
  ],
  [
    "wall.cup-large",
    { gap: 2.2, wanted: 3.3 },
    "The stone has 2.20 mm of room all round in this cup. The rim has to come in that far before it holds. 3.30 mm inside would be snug.",
  ],
  [
    "wall.left-thin",
    { left: 2.2, wanted: 3.3 },
    "The bezel is left 2.20 mm thick, thinner than the 3.30 wanted. It pushes over easily and wears soon. Use a wider one.",
  ],
  [
    "wall.left-thick",
    { left: 2.2, wanted: 3.3, thin: 4.4 },
    "The bezel is left 2.20 mm thick, thicker than the 3.30 wanted. Thin the rim from outside by 4.40 mm before pushing it over.",
  ],
  [
    "wall.teeth-deep",
    { depth: 2.2, lip: 1.1 },
    "The gaps between the teeth are 2.20 mm deep, and the lip is 1.10 mm. They reach under the place where the stone leans in: saw them less deep, or the teeth hold badly.",
  ],
  [
    "plate.no-drain",
    {},
    "This stone is tender to water, and the back under it is closed. What gets under it stays there: drill a small drain, or keep it out of water.",
  ],
  [
    "heats.sweat",
    { joint: "m1.foot", rows: 4, count: 15 },
    "Bezel to plate takes 15 pallions in 4 rows: they cannot be laid so. Melt the solder on one face first, and bring the two together.",
  ],
  ["applied.overlap", { part: "m1.wall", other: "hoop", over: 0.5 }, "Bezel lies 0.50 mm over hoop. Move one of them, or make it smaller."],
  [
    "applied.under-stone",
    { part: "m1.wall", over: 1.4 },
    "Bezel lies 1.40 mm inside the bezel's outside: under it, or under the stone. Move it out onto the plate.",
  ],
  [
    "applied.under-setting",
    { part: "m1.wall", mount: "m1", over: 0.5 },
    "Bezel lies 0.50 mm under the setting. Move it further round the hoop.",
  ],
  ["applied.over-ornament", { part: "m1.wall", other: "hoop", over: 0.5 }, "Bezel lies 0.50 mm over hoop. Move it clear of it."],
  [
    "applied.over-edge",
    { part: "m1.wall", over: 0.5 },
    "Bezel hangs 0.50 mm over the edge of what it lies on. It is in mid-air there: move it in, or make it smaller.",
  ],
  [
    "wall.heavy-on-soft",
    { thickness: 2.2, mohs: 3, to: 0.25 },
    "A bezel 2.20 mm thick is hard to push over a stone of 3 Mohs. What moves it can crack the stone. Thin its upper edge to 0.25 mm first, or take thinner strip.",
  ],
  [
    "hoop.wide-band",
    { width: 6.6, add: 0.2, sizes: 0.63, system: "eu" },
    "A band 6.60 mm wide fits tighter. 0.20 mm is added to the inside diameter: 0.6 EU sizes up.",
  ],
  [
    "hoop.no-foot",
    { height: 9.2, most: 9.1 },
    "The plate lies 9.20 mm above the finger's centre, higher than the shank reaches. An open shank needs it under 9.10 mm: lay the plate nearer the finger, or close the hoop.",
  ],
  [
    "hoop.feet-miss",
    { over: 0.4, reach: 5.2 },
    "The feet reach 0.40 mm past the plate. They meet it 5.20 mm from its middle: take a wider plate, or lay it nearer the finger.",
  ],
  ["hoop.wont-stand", { span: 1, stands: 3.3 }, "On feet 1.00 mm wide the hoop tips over at 3.3°. Prop it while it is soldered."],
  [
    "hoop.slit-long",
    { length: 18, left: 14, most: 16 },
    "A slit of 18.00 mm to each side leaves 14.00 mm of the shank whole. Over 16.00 mm the legs twist apart: make it shorter.",
  ],
  [
    "hoop.seam-under",
    { apart: 1.5 },
    "The seam lies under the setting, 1.50 from its middle. It is heated again with the setting: prop it, shield it, or use a harder grade.",
  ],
  [
    "hoop.plate-wide",
    { extent: 21.3, across: 19.75 },
    "The plate is 21.30 mm across the finger, wider than the hoop's 19.75. It presses on the fingers beside it: turn the stone along the finger, or bend the plate.",
  ],
  [
    "bridge.no-meeting",
    { inside: 30, gap: 1, outside: 20 },
    "An arch 30.00 mm inside, 1.00 over the top, does not meet the hoop. The hoop is 20.00 mm across outside: change the arch, or lower it.",
  ],
  [
    "bridge.short-arm",
    { arm: 1.2, least: 2 },
    "The opening leaves the bridge's arms only 1.20 mm long. Arms under 2.00 mm do not bend: form the arch larger, or raise it.",
  ],
  ["bail.tube-apart", { gap: 3.8, needed: 2.2 }, "The tube stands 3.80 mm off the edge. Set the drop to 2.20 mm and it lies on the edge."],
  [
    "bail.tube-apart",
    { gap: -0.5, needed: 2.2 },
    "The tube reaches 0.50 mm in over the edge. Set the drop to 2.20 mm and it lies on the edge.",
  ],
  [
    "bail.bore-small",
    { chainEnd: 3, bore: 3.1, needed: 3.3 },
    "The chain's end, 3.00 mm, does not fit through a bore of 3.10. Make the bore 3.30 mm.",
  ],
  [
    "bail.unequal",
    { one: "m1", other: "m2", longer: 0.6, lighter: 1.136, heavier: 1.182 },
    "Stone 1 and m2 differ by 0.60 mm in length and 0.04 g. 1.14 and 1.18 g: choose stones nearer to each other, or thin the heavier plate.",
  ],
  ["hang.crooked", { tilt: -13.47, by: 2.03 }, "It tilts 13.5° as it hangs. Move the eye 2.03 mm along the edge, to the left."],
  ["hang.crooked", { tilt: 5, turn: -3.26 }, "It tilts 5.0° as it hangs. Turn the eye 3.3° round the point, to the right."],
  [
    "hang.turned-past",
    { turn: -41.2, most: 33.86 },
    "The eye is turned 41.2° off the middle of the point. Turn the eye back to 33.9°: the point goes no further round.",
  ],
  [
    "hang.turned-past",
    { turn: 5, most: 0 },
    "The eye is turned 5.0° off the middle of the point. Set the turn to 0: there is no point where the eye is.",
  ],
  [
    "bail.ring-thick",
    { wire: 3, bore: 3.1, needed: 3.3 },
    "The ring's wire, 3.00 mm, does not fit through a bore of 3.10. Make the bore 3.30 mm, or the wire thinner.",
  ],
  ["ear.wire-thick", { wire: 1.1, most: 1 }, "M1 of 1.10 mm is too thick for most ears. Use wire of 1.00 mm or less."],
  ["ear.wire-thin", { wire: 0.6, least: 0.7 }, "M1 of 0.60 mm bends, and cuts the ear. Use wire of 0.70 mm or more."],
  [
    "ear.metal",
    { metal: "copper" },
    "Copper in a pierced ear turns green and can hurt it. Use fine silver or sterling for what goes through the ear.",
  ],
  [
    "earwire.short",
    { length: 25, needed: 31.3 },
    "25.0 mm of wire is too short to go round an ear. Cut 31.3 mm or more, for the eye, the bow and both legs.",
  ],
  [
    "post.off",
    { by: 0.4 },
    "The post misses the metal of the back by 0.40 mm. Move the post clear of the edge, the opening and the drain.",
  ],
  ["post.over-stamp", { by: 0.3 }, "The post stands 0.30 mm over the stamp. Move the post or the stamp."],
  [
    "post.low",
    { by: 0.6 },
    "The post stands 0.60 mm below where the stud balances. Move the post above that place: the stud tips forward in the ear.",
  ],
  ["hang.crooked", { tilt: 5, by: -1 }, "It tilts 5.0° as it hangs. Move the eye 1.00 mm along the edge, to the right."],
  ["hang.crooked", { tilt: 5 }, "It tilts 5.0° as it hangs. No place on its edge makes it hang straight."],
  [
    "hang.stone-guessed",
    {},
    "The stone's weight is a guess. It is counted as quartz. Name the stone, or give its density, to see how it really hangs.",
  ],
  [
    "hoop.flat-too-deep",
    { left: 2.2, needed: 3.3, widest: 4.4 },
    "The flat leaves 2.20 of the wire, less than 3.30. Make it no wider than 4.40 mm, or take thicker wire.",
  ],
  [
    "hoop.saddle-too-deep",
    { left: 2.2, needed: 3.3, widest: 4.4 },
    "The saddle leaves 2.20 of the plate, less than 3.30. Make it no wider than 4.40 mm, or take a thicker plate.",
  ],
  [
    "hoop.saddle-no-room",
    { thickness: 2.2, needed: 3.3 },
    "A plate 2.20 mm thick leaves nothing for a saddle. 3.30 mm has to be left: take a thicker plate, or file a flat on the hoop.",
  ],
  [
    "hoop.mounts-touch",
    { other: "m1", mount: "m2", apart: 4.4, needed: 5.5 },
    "The plates of stone 1 and m2 run into each other. They are 4.40 apart round the hoop: place them more than 5.50 mm apart.",
  ],
  [
    "hoop.rule-large",
    { over: 2.2 },
    "Counting half the thickness makes this ring 2.20 mm too large inside. The wire's flat side lies on the finger, so its fibre is nearer than half the thickness.",
  ],
  [
    "heats.runs",
    { joint: "m1.foot", heat: 3, making: "hoop.mount.m1", grade: "hard", working: 705, seam: "fuses" },
    "Bezel to plate runs again as hoop to plate is made. That heat (hard) reaches 705 °C. Fuse or shield the seam, or use a softer grade for it.",
  ],
  [
    "heats.softens",
    { joint: "m1.foot", heat: 3, making: "hoop.mount.m1", grade: "hard", working: 705, seam: "fuses" },
    "Bezel to plate softens as hoop to plate is made. That heat (hard) reaches 705 °C. Prop it so that nothing hangs on it. Fuse or shield the seam.",
  ],
  [
    "heats.at-risk",
    { part: "m1.wall", heat: 3, making: "hoop.mount.m1", grade: "hard", working: 705 },
    "The bezel is close to melting as hoop to plate is made. That heat (hard) reaches 705 °C. Take the flame off the moment it runs.",
  ],
  [
    "heats.overshoot",
    { overshoot: 2, grade: "hard", working: 704 },
    "2 °C of overshoot takes hard to 704 °C. That endangers sterling: keep the overshoot at 10 °C or less.",
  ],
  [
    "heats.impossible",
    { clash: "/heats/pins/0" },
    "No order of heats keeps all you asked for. These clash: /heats/pins/0. Remove one of them.",
  ],
  ["heats.unproven", {}, "This is the best order found; a better one may exist. It works as shown."],
  [
    "heats.not-found",
    {},
    "No order of heats was found that keeps all you asked for. There may be one: this piece has too many joints to try every order. Remove a pin, or make some joints in one heat.",
  ],
  [
    "heats.shelf-missing",
    { asked: "mine", used: "typical" },
    "The shelf mine is not on this bench. Planned with typical: check the temperatures against your supplier's sheet.",
  ],
  [
    "wall.unusual",
    { value: 0.15, least: 0.2, most: 1.6 },
    "A bezel 0.15 mm thick is below the usual range. Usual is 0.20 mm or more: measure it again.",
  ],
  [
    "stone.unusual",
    { value: 61, least: 3, most: 60 },
    "A stone 61.00 mm across is above the usual range. Usual is up to 60.00 mm: measure it again.",
  ],
  ["hoop.unusual", { value: 0.7, least: 0.8 }, "Wire 0.70 mm thick is below the usual range. Usual is 0.80 mm or more: measure it again."],
  [
    "plate.unusual",
    { value: 0.3, least: 0.4 },
    "A plate 0.30 mm thick is below the usual range. Usual is 0.40 mm or more: measure it again.",
  ],
  ["heats.pin-unknown", { joint: "m1.foot" }, "A pin names m1.foot, which this piece does not have. It is kept, and does nothing."],
  [
    "heats.add-no-part",
    { joint: "tab", missing: "bridge" },
    "The added joint tab names a part this piece does not have: bridge. Remove it, or choose a part that is there.",
  ],
  ["heats.add-taken", { joint: "tab" }, "A joint is already called tab. Give the one that is added another name."],
  ["heats.apart", { part: "m1.wall" }, "Nothing holds the bezel any more. A joint is left out: put it back, or add one of your own."],
  [
    "heats.not-in-hand",
    { joint: "m1.foot", grade: "easy", form: "wire" },
    "Easy is not on the shelf as wire. Bezel to plate is planned with the usual size.",
  ],
  [
    "heats.better-unpinned",
    { joint: "m1.foot", best: "easy", pinned: "hard" },
    "Without your pin, bezel to plate would be easy. You pinned hard: remove the pin to change it.",
  ],
])("%s is said with its numbers in their places", (code, values, text) =>
  expect(findingText({ code, level: "note", at: "m1", mount: null, values }, planned, METRIC)).toBe(text),
);

test("a finding that can be said in two ways says the one that is so", () => {
  const say = (code: FindingCode, values: Record<string, number | string>) =>
    findingText({ code, level: "note", at: "m1", mount: null, values }, planned, METRIC);
  expect(say("stone.tape-off", { off: -0.03 })).toMatch(/^The tape reads 3\.0% less than/);
  expect(say("wall.too-low", { rule: "third", height: 1, turnIn: 2, needed: 3 })).toMatch(/^A third of the height won't hold this stone\./);
  expect(say("wall.point", { points: 0, strain: 0.25 })).toMatch(/^The top gathers 25\.0% at its tightest\./);
  expect(say("heats.impossible", { clash: "" })).toBe(
    "No order of heats joins these metals without melting one. Use another metal, or a softer solder on the shelf.",
  );
  const moved = { joint: "m1.foot", heat: 3, making: "hoop.mount.m1", grade: "hard", working: 705 };
  expect(say("heats.runs", { ...moved, seam: "none" })).toMatch(/Shield that joint, or/);
  expect(say("heats.softens", { ...moved, seam: "plain" })).toMatch(/Shield the seam\.$/);
});

test.each<[FaultCode, Record<string, number | string>, string]>([
  ["not-json", { byte: 3 }, "is not JSON"],
  ["not-finite", {}, "must be a number that is finite"],
  ["and-more", { more: 3 }, "has 3 more things to put right"],
  ["too-slow", { limit: 3 }, "took longer than 3 seconds to plan"],
  ["too-busy", {}, "cannot be planned now: too many are waiting. Try again"],
  ["not-worked-out", { why: 3 }, "could not be worked out: 3"],
  ["wrong-format", { expected: "a, b" }, "must be a, b"],
  ["too-new", { newest: 3 }, "was written by a newer Hoop Ledger; this one reads up to version 3"],
  ["too-large", { limit: 3 }, "must be at most 3 bytes"],
  ["too-deep", { limit: 3 }, "must be at most 3 levels deep"],
  ["forbidden-key", {}, "is not allowed as a field name"],
  ["unknown-field", {}, "is not a field of this file"],
  ["missing", {}, "is missing"],
  ["wrong-type", { expected: "a, b" }, "must be a, b"],
  ["above", { limit: 3 }, "must be more than 3"],
  ["at-least", { limit: 3 }, "must be at least 3"],
  ["at-most", { limit: 3 }, "must be at most 3"],
  ["one-of", { expected: "a, b" }, "must be one of a, b"],
  ["not-an-id", {}, "must be a lower-case letter, then up to 31 lower-case letters, digits or hyphens"],
  ["not-a-name", {}, "must not hold control characters"],
  ["not-a-word", { expected: "a, b" }, "must be a, b"],
  ["too-few", { limit: 3 }, "must hold at least 3"],
  ["too-many", { limit: 3, what: "joints" }, "must hold at most 3 joints"],
  ["whole-number", {}, "must be a whole number"],
  ["pin-shape", {}, "must be one of joint + grade, joint + means, before, together, shield, forbid, add, leave"],
  ["duplicate", {}, "must not be an id used elsewhere"],
  ["other-piece", { expected: "tern-ring", got: "a" }, "must be tern-ring, the piece that is planned, got a"],
  ["cup-too-thick", { limit: 3 }, "must be less than 3.00, half the cup's length"],
  ["reserved", {}, "must not be hoop, bail, hang, bridge, applied or piece"],
  ["turn-in-above-height", { height: 3 }, "must be less than the stone's height, 3"],
  ["turn-in-not-flat", { height: 3 }, "must be the stone's height, 3, on a flat face"],
  ["catch-too-wide", { limit: 3 }, "must be less than the radius of the largest circle in the outline, 3.00"],
  ["length-under-width", { limit: 3 }, "must be at least the width, 3"],
  ["cleft-too-deep", { limit: 3 }, "must be at most a quarter of the width, 3"],
  ["heart-too-short", { limit: 3 }, "must be at least 3.00, half the width and a lobe's radius"],
  ["corner-too-round", { limit: 3 }, "must be at most 3.00, or the corners meet"],
  ["bulge-too-round", { limit: 3 }, "must be less than 3.00, where the sides make a circle"],
  ["no-such-part", {}, "must be a part of this piece"],
  ["one-shape", {}, "must be one of disc, ball, ring, strip"],
  ["stretch-overlap", { other: 0 }, "must not overlap stretch 1"],
  ["stretch-empty", {}, "must end somewhere else than it starts"],
  ["tight-not-round", {}, "is for a wire that goes all round"],
  ["not-of-ornament", { got: "twist" }, "does not go with rope, got twist"],
  ["notch-pair", {}, "is missing: a number of notches and their pitch go together"],
  ["ledge-missing", {}, "is missing: an open back has one"],
  ["ledge-too-wide", { limit: 6.05 }, "must be less than 6.05, or the back is not open at all"],
  ["lift-under-ledge", { least: 0.8 }, "must be at least the ledge's height, 0.8"],
  ["tube-has-shelf", {}, "must not be open round a tube: its seat is the ledge"],
  ["points-coincide", { other: 3 }, "must not lie where point 3 does"],
  ["crosses-itself", { x: 3, y: 4 }, "must not cross: it does at (3.00, 4.00)"],
  ["too-large-across", { limit: 3 }, "must be at most 3 mm across"],
  ["too-small-across", { limit: 3 }, "must be at least 3 mm across"],
  ["no-area", {}, "must enclose an area"],
  ["seam-at-corner", { better: 0.254, got: 0.123456789 }, "must not lie at a corner; 0.25 of the way round is straighter, got 0.123457"],
  ["tube-not-round", { shape: "oval" }, "must not be tube: a tube holds round stones, and this one is oval"],
  ["tube-inside-out", { limit: 3 }, "must be less than the outside, 3"],
  ["tube-cut-through", { limit: 3 }, "must be more than 3.00, or the seat cuts through it"],
  ["cup-has-base", {}, "must be flush: a cup has its own base"],
  ["notch-missing", {}, "is missing: a notched bezel needs it"],
  ["fixed-height-missing", {}, "is missing: a house height needs it"],
  ["not-a-size", { system: "uk" }, "must be a size in the system uk, as N 1/2"],
  ["tape-far-off", { least: 3, most: 4 }, "must be between 3.00 and 4.00, within a quarter of what the measures give"],
  ["below-pi", {}, "must be pi (3.1416) or more: less cuts the blank short"],
  ["no-mandrel", {}, "needs the readings of a mandrel, and the bench has none"],
  ["off-mandrel", {}, "must lie between the readings of the mandrel"],
  ["no-finger", { smallest: 3, largest: 4 }, "must be a size between 3 and 4 mm inside"],
  ["unequal-stock", { thickness: 3, section: "round" }, "must equal the thickness, 3: round wire is as wide as it is thick"],
  ["gives-above-runs", { runs: 3 }, "must be at most runs, 3"],
  ["not-planned", {}, "is not planned yet"],
  ["cannot-go-with", { other: "bridge" }, "cannot be combined with a bridge: leave one of them out"],
  ["taper-even", { section: "round" }, "is for a band: round wire is as wide as it is thick"],
  ["spread-missing", {}, "is missing: say how far the strands spread at the front"],
  ["bridge-missing", {}, "is missing: give the arch's inside and thickness"],
  ["above-limit", { limit: 3.3333 }, "must be less than 3.33"],
  ["at-most", { limit: 9.333333 }, "must be at most 9.33"],
  ["eyes-by-mount", { got: 2 }, "is for one setting, and there are 2: give each its own in eyes, got 2"],
  ["eye-or-eyes", {}, "must be left out where eyes are given"],
  ["no-such-mount", {}, "must be a setting of this piece"],
  ["no-eye", { mount: "m2" }, "must have one for m2, which has no eye"],
])("%s is said with what would be right", (code, values, text) => expect(faultMessage(fault("/a", code, values))).toBe(text));

test("the steps of the demo's pieces and of the worked examples, each as it is first said", () => {
  const said = new Map<string, string>();
  const examples = EXAMPLES.map((each) => examplePiece(each, "example", SHIPPED_BENCH));
  for (const piece of [demoPiece("tern-ring"), ...DEMO_PIECES, ...examples]) {
    const plan = planPiece(piece, SHIPPED_BENCH);
    for (const step of plan.steps) if (!said.has(step.code)) said.set(step.code, stepText(step, plan, METRIC));
  }
  expect(Object.fromEntries(said)).toEqual(
    Object.fromEntries([
      ["stone.look", "Look the stone over, edge and back."],
      [
        "stone.measure",
        "Measure the stone: perimeter 44.21 mm. Twice each way, then once round with a strip of paper. The height at which the side leans in is read against a steel rule.",
      ],
      ["wall.slit", "Slit the strip 3.20 mm tall."],
      ["wall.anneal", "Anneal the strip: five seconds of flame, then quench."],
      [
        "wall.cut",
        "Cut the strip 46.05 mm long, square at the scribed line. Use a scribe, not a pen, and cut on the waste side. Better a hair short than a hair long: short can be stretched, long must be cut again.",
      ],
      ["wall.square", "File both ends square."],
      [
        "wall.wrap",
        "Wrap it round the stone, mark the overlap, trim to 45.53 mm and close the seam. Snug: the stone slides with a push. Solder fills no gaps.",
      ],
      ["join.prepare", "Clean and flux bezel seam, and lay the hard solder. Stand it on its solder."],
      ["join.solder", "Solder bezel seam, hard. Heat the whole piece; solder runs toward the hottest place."],
      ["join.pickle", "Pickle; work on the other part meanwhile."],
      [
        "join.check",
        "Look at bezel seam, and press on it. What is not whole is cleaned, fluxed and heated again before anything is built on it.",
      ],
      [
        "wall.try",
        "Try the stone: right through the bezel, from both sides. That proves it is upright, the right length and the right shape. A little small: anneal and stretch it on a mandrel.",
      ],
      ["wall.foot", "Round it up and sand the foot flat, in figures of eight."],
      ["hoop.cut", "Cut the hoop's blank 59.1 mm long."],
      ["hoop.square", "File both ends of the blank square."],
      ["hoop.bend", "Bend it until the ends spring together."],
      [
        "hoop.round",
        "Round the hoop up and read its size: 17.19 mm inside, EU 54. Too small by up to one size: stretch it. Too large: saw out the excess at the seam.",
      ],
      ["plate.cut", "Cut the plate's blank, 18.7 mm long and 14.7 mm wide. Be generous: sawing off is easier than adding."],
      ["plate.stamp", "Stamp your marks while the plate is loose. Stamping later would distort the work."],
      ["plate.saw", "Saw and file the plate back to the bezel, 16.7 mm by 12.7 mm."],
      ["hoop.flat", "File the flat on top, 0.64 mm deep at its middle, opposite the seam."],
      ["join.finish", "Finish what will be hard to reach once joined. Sand and pre-polish round the plate's edge and inside the hoop."],
      ["set.try", "Try the stone again, and get it out again. Lay a thread under it first, or lift it with tacky putty."],
      ["set.height", "Bring the bezel to 2.96 mm."],
      ["set.surface", "Patina and tumble now, before the stone goes in."],
      ["set.finish", "Polish all of it now, before the stone goes in. Wash all of the compound out: it cannot be reached under a stone."],
      ["set.level", "Level the stone in its seat."],
      [
        "set.push",
        "Push the bezel over with the pusher: north, south, east, west, then between. Go round several times, first straight in, then rocking up.",
      ],
      ["set.polish", "Burnish the edge and polish it by hand."],
      ["bridge.cut", "Cut the bridge's blank 16.0 mm long."],
      ["bridge.form", "Form the arch, 15.00 mm inside, and file its ends to the hoop: it stands 1.20 mm over the top."],
      [
        "hoop.grip",
        "Cut the opening in the bridge small, and lift the arms to the setting. Cut it smaller than looks right: metal filed off does not come back.",
      ],
      ["hoop.lay", "Lay the 2 strands side by side, bind them, and mark 14.00 mm at the middle."],
      ["hoop.wrap", "Bend it round the mandrel, its ends apart."],
      [
        "hoop.spread",
        "Spread the legs to 7.00 mm from outside to outside. Anneal it first; a little each side in turn, over the edge of a stake.",
      ],
      ["ornament.snip", "Snip 32 snippets 1.80 mm long from wire 0.80 mm thick."],
      ["ornament.melt", "Melt them into 32 beads 1.20 mm across. Each on its own spot of a charcoal block, until it spins."],
      [
        "hoop.feet",
        "File both ends, where they meet the plate at 20.2°, until the feet lie flat on it. Stand it on the plate and look along it: no light under either foot.",
      ],
      [
        "wall.fits",
        "Try the stone in the cup: it needs 10.10 mm inside, lengthwise. It should drop to the floor and lie flat, with no more than a hair of room all round.",
      ],
      ["wall.thin", "Thin the cup's rim from outside by 0.15 mm, all round alike."],
      ["hoop.saddle", "File a saddle in the underside of the plate, 0.40 mm deep."],
      ["wall.part", "Saw the tube off 3.45 mm long, square."],
      ["wall.burr", "Use a burr 6.10 mm across: the stone plus the fit."],
      [
        "wall.seat",
        "Cut the seat straight down, 2.35 mm deep. Cut slowly, with oil, the tube upright. Look often: a seat cut too deep cannot be put back.",
      ],
      ["ledge.cut", "Cut the ledge 44.90 mm long."],
      ["ledge.bend", "Bend it to the inside of the bezel and close its ends."],
      [
        "ledge.flat",
        "File the ledge flat and fit it in the bezel, touching all round. Where it does not touch, the stone rocks and solder does not run.",
      ],
      ["ledge.try", "Lay the stone on the ledge: it lies level."],
      [
        "wall.press",
        "Press the bezel into the notch with round pliers, until it follows the stone. Closed it goes round tight over the notch; pressed in it takes its whole length.",
      ],
      [
        "set.curve",
        "File the bezel's top to its curve: 2.69 mm at the seam, 2.69 mm at its lowest, 3.05 mm at its highest. Its template shows the height step by step; lay the strip on it, or mark the heights round the bezel.",
      ],
      ["wall.drill", "Drill the foot of every gap, 0.60 mm across and 1.48 mm from one to the next, half of one at each end."],
      ["wall.gaps", "Saw the gaps down to their holes: 0.56 mm deep from the top."],
      ["wall.teeth", "File the teeth alike, and take their edges off."],
      [
        "hoop.drill",
        "Drill the roots, 9.00 mm from the front to each side, 0.28 mm across. A hole at the root keeps the slit from running on as it is spread.",
      ],
      ["hoop.slit", "Saw down the middle to the roots, 9.00 mm each: legs 1.56 mm wide."],
      ["ornament.cut", "Cut the wire 60.95 mm long."],
      [
        "ornament.bend",
        "Bend the wire round the bezel and close its seam. Anneal it first. Lay it in place, mark it, and trim it before closing.",
      ],
      [
        "ornament.file",
        "File the wire inside until it goes over the bezel with a push. It is made undersize so that it sits without a gap.",
      ],
      ["set.burnish", "Burnish the edge; no polish, no wheel. A burnisher only, and nothing over the face."],
      ["applied.snip", "Snip 4.80 mm from wire 0.90 mm thick for the left ball, or as much of what you have."],
      ["applied.make", "Melt it to the left ball, 1.80 mm across, and file a flat on it half as wide."],
      ["join.tin", "Melt the solder for left ball to hoop on one face first, and let it set."],
      ["plate.drain", "Drill the drain, 1.00 mm across."],
      [
        "ornament.twist",
        "Twist two wires of 0.60 mm, each 33.4 mm and some to hold, to 2.8 turns in 10 mm. Anneal them first, one end in a vice, the other in a hand drill turned slowly; solder or fuse the ends so that they do not open.",
      ],
      ["ornament.try", "Slip the rope over the bezel: it touches all round."],
      ["bail.wind", "Wind 16.3 mm of wire on a rod 4.00 mm across, saw the ring through and close it."],
      ["eye.mark", "Stone 1: Mark the eye on the edge, in the middle of its top, and file it flat there."],
      [
        "hang.try",
        "Stone 1: Hang it by a thread and check that it hangs as planned, turning to neither side. Put a thread through the bail and compare with a plumb line.",
      ],
      ["earwire.cut", "Cut the ear wire 42.0 mm long, and round and burnish the end that goes through the ear."],
      [
        "earwire.bend",
        "Turn its eye round a pin 2.00 mm across; 6.46 mm above it bend the bow round a rod 8.00 mm across. Both of a pair on the same pin and rod; a few light blows on the bow make it spring.",
      ],
      [
        "link.close",
        "Open the end sideways, hang the ear wire in the jump ring, and close it. Pulled open it never closes round again; sideways it does.",
      ],
      ["bail.cut", "Cut the bail's blank 18.0 mm long, to its pattern."],
      [
        "bail.fold",
        "Fold it over a rod 3.20 mm across until both legs meet. Anneal it first; press the legs together below the rod, not on it.",
      ],
      ["hoop.ends", "Round both ends and smooth them: they stand 5.00 mm apart. Nothing is to catch on the finger or on cloth."],
      ["hoop.texture", "Texture the hoop's stock while it is flat: planished. It moves metal: measure the stock again before it is cut."],
      [
        "plate.dome",
        "Stone 1: Dome the plate 1.20 mm, from a disc 17.17 mm across. Anneal it first. From the rim inward in a wide hollow, then narrower ones; check the rise against a straight edge.",
      ],
      [
        "plate.texture",
        "Stone 1: Texture the sheet for the plate while it is flat: fine hammer marks. Texture stretches it: cut the blank after, never before.",
      ],
      [
        "wall.dome",
        "Stone 1: File the foot to the plate's dome: up to 0.13 mm at its ends. Rub it on fine paper laid over the dome, a little at a time, until no light shows under it.",
      ],
      [
        "hoop.taper",
        "Saw and file the blank to its pattern: 5.00 mm wide at the front, 2.60 mm at the back. Fold its template at the front to check that both halves match. File back shoulders that stop the finger bending.",
      ],
      [
        "hoop.twist",
        "Twist 2 wires of 1.00 mm, each 84.0 mm and some to hold, to 3.0 turns in 10 mm. Anneal them first, one end in a vice, the other in a hand drill turned slowly.",
      ],
      ["hoop.flatten", "Roll or hammer the twist flat, to 1.20 mm."],
      ["hoop.bore", "Bore and turn the sleeve of bog oak, 2.00 mm thick, to slide on the hoop."],
      ["hoop.inlay", "Cut the inlay 70.3 mm long, and turn its groove 0.80 mm deep."],
      ["join.cold", "Fix sleeve to hoop cold: glue or rivet; no heat from here on."],
      ["hoop.inset", "Glue the inlay into its groove, its ends meeting, and let it set."],
      [
        "hoop.wood",
        "Turn the sleeve true: bog oak, sand it fine, and seal it with oil or wax. Along the grain, down to the finest paper; no water, no steam and no pickle near it from here on.",
      ],
      ["bail.saw", "Saw the tube off 6.0 mm long, square."],
      ["link.wind", "Wind a ring on a rod 4.00 mm across, 15.7 mm of wire, and saw it through."],
      ["post.cut", "Cut the post 11.0 mm long, one end square, the other round and smooth."],
      ["post.mark", "Mark the post's place on the back: 1.60 mm above where it balances, in the middle."],
      [
        "post.harden",
        "Twist the post a turn with pliers, so that it is hard again, and sight along it. Soldering left it soft: soft it bends in the ear.",
      ],
    ]),
  );
});

test("a stone that patina or steel shot would harm says by what", () => {
  const tern = demoPiece("tern-ring");
  const surface = (material: { tender?: readonly Tenderness[]; mohs?: number }) => {
    const [mount] = tern.mounts;
    const piece = { ...tern, mounts: [{ ...mount!, stone: { ...mount!.stone, material: { name: "opal", ...material } } }] };
    const plan = planPiece(piece, SHIPPED_BENCH);
    return stepText(
      plan.steps.find(({ code }) => code === "set.surface")!,
      plan,
      METRIC,
    );
  };
  expect(surface({ tender: ["water", "acid"] })).toBe("Patina and tumble now: the stone would not survive it (tender to water, acid).");
  expect(surface({ tender: ["sulphur"], mohs: 3 })).toBe(
    "Patina and tumble now: the stone would not survive it (tender to sulphur, too soft for steel shot).",
  );
  expect(surface({ mohs: 7 })).toBe("Patina and tumble now, before the stone goes in.");
});

test("steps and findings of one of several settings say which, once", () => {
  const plan = planPiece(demoPiece("redshank-ring"), SHIPPED_BENCH);
  const said = (ids: readonly string[]) =>
    ids.map(
      (id) =>
        sayStep(
          plan.steps.find((each) => each.id === id)!,
          plan,
          METRIC,
        ).title,
    );
  expect(said(["m1.stone.look", "m2.stone.look", "m2.wall.slit", "m2.seam.heat", "m2.hoop.flat"])).toEqual([
    "Stone 1: Look the stone over, edge and back",
    "Stone 2: Look the stone over, edge and back",
    "Stone 2: Slit the strip 2.15 mm tall",
    "Solder bezel seam, stone 2, hard",
    "File the flat for stone 2, 0.41 mm deep at its middle",
  ]);
  const hides = plan.findings.filter(({ code }) => code === "wall.hides-stone").map((each) => findingText(each, plan, METRIC).slice(0, 18));
  expect(hides).toEqual(["Stone 1: The bezel", "Stone 2: The bezel"]);
  const under = { code: "hoop.seam-under", level: "warning", at: "hoop", mount: "m2", values: { mount: "m2", apart: 1, half: 2 } } as const;
  expect(findingText(under, plan, METRIC)).not.toMatch(/^Stone 2: /);
});
