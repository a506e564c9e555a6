import { METALS } from "@/core/metal/metals";
import { demoPiece } from "@demo/pieces";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { planPiece } from "@/core/piece/plan-piece";
import { FIGURE_NAMES } from "./figures";
import { WAY_ADVICE, jointAdvice, pallionsText } from "./heats";
import { explainedIn } from "./explain";
import { FINDING_WORDS } from "./finding-words";
import { BLANK_MARKS } from "./marks";
import { FORM_NAMES, RULE_NAMES, SCHOOL_NAMES, SECTION_NAMES, SHAPE_NAMES, SOURCE_ADVICE, SYSTEM_NAMES, WAY_NAMES, namesIn } from "./names";
import { STAGE_NAMES } from "./stages";
import { CAUTIONS, CHECKS } from "./steps";
import { SOURCE_NAMES, TERM_NAMES } from "./terms";
import { TROUBLE_WORDS } from "./trouble";
import { ifSure } from "./doubt";
import { METRIC } from "./show";
import { sumParts } from "./sums";

const metalNames = Object.fromEntries(Object.entries(METALS).map(([metal, { name }]) => [metal, name]));

test("where a number came from, what it is called, and what the schools and sources of a bezel are", () => {
  expect(SOURCE_NAMES).toEqual({
    stone: "from the stone",
    piece: "set on this piece",
    bench: "from my bench",
    shipped: "standard value",
    formula: "worked out",
    measured: "as you measured it",
    learned: "yours, from your own makes",
  });
  expect(TERM_NAMES).toEqual({
    plate: "plate's outline",
    dome: "for the dome",
    earWire: "ear wire",
    below: "hangs below it",
    setting: "setting",
    post: "post",
    wireAndRing: "wire and ring",
    outline: "outline",
    wall: "bezel",
    yours: "yours",
    fit: "fit",
    squaring: "squaring both ends",
    mark: "mark",
    lift: "lift",
    turnIn: "side leans in at",
    lip: "lip over the dome",
    arc: "along the dome",
    fold: "fold of the metal",
    foot: "foot sanding",
    top: "top levelling",
    third: "a third of the stone",
    fixed: "house height",
    whole: "whole face",
    covered: "under the lip",
    catch: "catch",
    tilt: "lean of the lip",
    stone: "stone",
    ornament: "ornament",
    tight: "made tight by",
    ledge: "ledge",
    border: "border",
    tube: "half the outside",
    inside: "half the inside",
    saw: "saw margin",
    size: "size",
    wideBand: "wide band",
    finger: "round the finger",
    fibre: "fibre",
    padding: "padding",
    sawPasses: "saw through the seam",
    openTop: "open on top",
    openGap: "left open",
    strandExtra: "spreading the strands",
    slit: "spreading the legs",
    fitting: "fitting the feet",
    hammer: "gained by hammering",
    drop: "both legs",
    overChain: "over the chain",
    ...metalNames,
    formula: "worked out",
  });
  expect(RULE_NAMES).toEqual({ "turn-in": "Turn-in", third: "A third", fixed: "House" });
  expect(SCHOOL_NAMES).toEqual({
    "turn-in": "by the turn-in",
    third: "by a third of the height",
    fixed: "house height",
    fibre: "counted at the fibre",
    thickness: "counted at half the thickness",
    "3.145": "with 3.145 for pi",
    "3.15": "with 3.15 for pi",
    "3.5": "with 3.5 for pi",
    long: "cut long, wrapped and sawn through",
    hull: "wrapped over the notch",
  });
  expect(metalNames).toEqual({
    "fine-silver": "fine silver",
    sterling: "sterling",
    "sterling-935": "sterling 935",
    copper: "copper",
    brass: "brass",
  });
  expect(SHAPE_NAMES).toEqual({
    round: "round",
    oval: "oval",
    cushion: "cushion",
    rectangle: "rectangle",
    pear: "pear",
    marquise: "marquise",
    heart: "heart",
    triangle: "triangle",
    free: "free-form",
  });
  expect(SECTION_NAMES).toEqual({
    round: "round",
    square: "square",
    rectangle: "rectangle",
    oval: "oval",
    "half-round": "half-round",
    d: "D, low dome",
  });
  expect(FORM_NAMES).toEqual({
    closed: "closed",
    "closed-flat": "closed, flat on top",
    open: "open",
    bridge: "bridge",
    adjustable: "adjustable",
  });
  expect(SYSTEM_NAMES).toEqual({
    us: "US",
    uk: "UK",
    eu: "EU",
    continental: "Continental",
    jp: "JP",
    diameter: "inside",
    mandrel: "my mandrel",
  });
  expect(WAY_ADVICE).toEqual({
    free: "the order that disturbs least",
    "step-down": "no heat hotter than the last on a body",
    "one-grade": "one solder throughout",
    "fuse-first": "fuse what can be fused, then step down",
    "seams-hard": "hard for seams, easy for the rest",
  });
  expect(STAGE_NAMES).toEqual({
    stone: "Stone",
    wall: "Bezel",
    plate: "Plate",
    hoop: "Hoop",
    bail: "Bail",
    heats: "Heats",
    making: "Making",
  });
  expect(BLANK_MARKS).toEqual({
    seam: "seam",
    start: "start",
    oneEnd: "one end",
    otherEnd: "other end",
    leftEnd: "left end",
    rightEnd: "right end",
    topEnd: "top end",
    bottomEnd: "bottom end",
    corner: "corner",
    point: "point",
    notch: "notch",
    farSide: "far side",
    front: "front, opposite the seam",
    stoneEdge: "stone",
    foot: "foot",
    seat: "seat's floor",
    cut: "next",
    bead: "first bead",
    back: "back of the hoop",
    root: "root",
    frontLeg: "front leg",
    overChain: "over the chain",
    backLeg: "back leg",
    eye: "eye",
    bow: "bow",
  });
  expect(TROUBLE_WORDS).toEqual({
    cleared: "This browser has cleared what was kept here. This page still holds what it shows: keep it again, or save a file",
    full: "Not kept: this device is full. Save a file",
    blocked: "Not kept: close Hoop Ledger's other windows and reload, or save a file",
    newer: "Not kept: this device holds data of a newer Hoop Ledger. Reload to get it; the data is untouched",
    unavailable: "Not kept: this browser keeps nothing. Save a file before closing",
    failed: "Not kept: the browser refused. Save a file",
    stopped: "Stopped: nothing was changed",
  });
  expect(WAY_NAMES).toEqual({
    free: "free",
    "step-down": "step down",
    "one-grade": "one grade",
    "fuse-first": "fuse first",
    "seams-hard": "hard for seams",
  });
  expect(SOURCE_ADVICE).toEqual({
    strip: "sold in fixed heights",
    sheet: "sliced to the exact height",
    tube: "the seat is cut with a burr",
    cup: "ready made",
    notched: "heavy strip, sawn or filed",
  });
  const advice = (kind: "seam" | "foot" | "mount", mount: string | null) =>
    jointAdvice({ kind, mount, place: "", parts: ["part", "onto"] }, (id) => id);
  expect([advice("seam", "m1"), advice("seam", null), advice("foot", "m1"), advice("mount", "m1")]).toEqual([
    {
      support: "charcoal",
      solder: "under the seam, on charcoal",
      flame: "On and off at the join.",
      hold: "Its own spring holds it.",
    },
    {
      support: "board",
      solder: "across the seam",
      flame: "The whole part, then the seam.",
      hold: "Flat on the board; iron wire round it if it springs open.",
    },
    {
      support: "mesh",
      solder: "inside",
      flame: "From below, through the mesh.",
      hold: "On mesh and tripod, cotter pins under the plate.",
    },
    {
      support: "thirdHand",
      solder: "along the seat",
      flame: "The hoop first, the setting last.",
      hold: "The hoop upright in the third hand, the setting face down.",
    },
  ]);
});

test("what can hurt, and what is looked at", () => {
  expect(Object.entries(CAUTIONS).map(([code, { name, text }]) => `${code} = ${name}: ${text}`)).toEqual([
    "torch = torch and gas: Cylinders secured and leak-tested, nothing flammable near, hair and sleeves tied back, eyes protected, good ventilation.",
    "pickle = acid: Add acid to water, cover, ventilate, copper or plastic tongs, never quench red-hot work in it. Spent pickle holds copper and is hazardous waste.",
    "flux = solder and flux: No cadmium in solder; fluoride fluxes need extraction.",
    "saw = saw, burr and drill: Eye protection.",
    "dust = dust: Respirator for polishing compounds, silica, shell and stone dust; grind shell and stone wet.",
    "wheel = wheel: It can snatch a ring or a chain: two hands, no gloves, no loose ends.",
    "sulphur = sulphur patina: Fumes: ventilate, gloves, never with acid.",
    "hotMetal = hot metal: It looks like cold metal.",
    "noMoreHeat = no more heat: None once the stone is in.",
    "hammerFlat = hammering: Eyes and ears protected. Hammer while nothing is joined: later blows move and crack joints.",
    "charcoal = charcoal block: Warm it slowly, bind it with iron wire, douse it after.",
    "softStone = soft stone: Hand tools only; protect it with wax or tape.",
    "glue = glue and resin: Ventilate, wear gloves, and let it cure as long as its sheet says before working it.",
    "sealed = sealed hollow: It can burst in the flame: vent it.",
  ]);
  expect(Object.entries(CHECKS).map(([code, text]) => `${code} = ${text}`)).toEqual([
    "stone.sound = No chip or crack at the edge",
    "stone.flatBack = The back does not rock",
    "joint.clean = Every face bright, no light between them",
    "teeth.alike = The teeth are alike, no burr left",
    "notch.pressed = It lies in the notch, no light between",
    "ends.round = Both ends round and smooth to a finger",
    "wood.sealed = No dry spot, no glue on its face",
    "ends.square = The end is square to the edge",
    "ends.noBurr = The burr is off, both faces",
    "ends.noPinch = No pinch left by the cutters",
    "ends.noLight = No light through the closed ends",
    "edge.parallel = Both edges are parallel",
    "wall.upright = The bezel stands upright",
    "wall.passes = The stone passes with a light push",
    "wall.seamLevel = The seam is level, top and foot",
    "seat.level = The stone lies level, down to its edge, and does not rock",
    "rim.even = The rim is the same thickness all round",
    "foot.flat = It lies flat all round, no light under it",
    "foot.onDome = It lies on the dome all round, no light under it",
    "dome.even = The rim lies flat all round, the dome even",
    "plate.room = There is room all round for the saw",
    "joint.bright = A bright line, inside and out",
    "joint.noGap = No gap, pit or bubble",
    "joint.allRound = It goes all the way round",
    "joint.dropsFlat = The piece drops flat",
    "joint.noPits = No pits",
    "joint.sinks = It sank a hair as the solder ran",
    "joint.noFlood = No solder outside the joint",
    "joint.noVoid = No void where the paste boiled",
    "joint.firm = Nothing moves when it is pressed",
    "joint.noGlue = No glue squeezed out of the joint",
    "ledge.touches = It touches the bezel all round",
    "ornament.touches = It touches the bezel all along, no light between",
    "snippets.equal = All as long as the first",
    "beads.round = Every bead is round, none pitted or flat",
    "beads.stand = Each bead stands in its place, none sunk or leaning",
    "plate.noLine = The bezel's line no longer shows at the edge",
    "hoop.round = Round on the mandrel, from both sides",
    "hoop.size = The size is what was asked for",
    "hoop.sitsFlat = It sits without rocking, no light through",
    "mount.square = The hoop stands by itself, square both ways",
    "feet.stand = It stands by itself on the plate, every foot flat",
    "legs.alike = The legs match, side to side and end to end",
    "edge.even = Both edges run evenly, alike left and right",
    "bridge.meets = Both ends meet the hoop all over, no light through",
    "sleeve.slides = It slides on with a push, no play",
    "sleeve.tight = No gap, no play, the edges level",
    "bail.legs = The legs lie together, the foot square",
    "eye.seated = The bail sits flat on the edge, square to the plate",
    "hang.straight = It hangs straight, seen from the front and from the side",
    "wire.smooth = No burr: it goes through an ear",
    "bows.alike = Eye and bow lie as in the drawing, a pair alike",
    "post.square = The post stands square to the back",
    "post.firm = It neither bends nor turns under the pliers",
    "pickle.noIron = No iron or steel in the pot, binding wire off",
    "height.even = Even all round, past where the side leans in, not much more",
    "height.follows = It follows the side all round, past where it leans in",
    "stone.out = The stone is out again",
    "stone.still = The stone does not move or rock",
    "edge.smooth = The top edge is thin and smooth to a fingernail",
    "parts.reached = Nothing left to finish where a file will not reach later",
  ]);
});

test("each figure that can be looked for has its name and the stage that shows it", () => {
  expect(FIGURE_NAMES.map(({ key, name, stage }) => `${key} = ${name}, ${stage}`)).toEqual([
    "outline.perimeter = Perimeter of the stone, stone",
    "outline.area = Face of the stone, stone",
    "wall.cutLength = Cut strip, length, wall",
    "wall.cutHeight = Cut strip, height, wall",
    "wall.netLength = Bezel, net length, wall",
    "wall.netHeight = Bezel, net height, wall",
    "wall.lip = Lip over the dome, wall",
    "wall.gather = Gathering at the tightest, wall",
    "wall.faceShown = Face shown, wall",
    "wall.windowLow = Shortest strip that stretches to fit, wall",
    "wall.windowHigh = Longest strip that fits, wall",
    "wall.stripHeight = Strip to take from the shelf, wall",
    "wall.hullLength = Wrapped over the notches, wall",
    "wall.notches = Teeth, wall",
    "wall.notchPitch = From tooth to tooth, wall",
    "wall.notchDepth = Gaps between teeth, deep, wall",
    "wall.notchGap = Gaps between teeth, wide, wall",
    "wall.tubeOutside = Tube that fits, outside, wall",
    "wall.seatBore = Burr for the seat, wall",
    "wall.seatDepth = Depth of the seat, wall",
    "wall.wallLeft = Wall left, wall",
    "wall.shelf = Floor under the stone, wall",
    "wall.cupLength = Cup that fits, inside length, wall",
    "wall.cupWidth = Cup that fits, inside width, wall",
    "wall.gap = Room round the stone in the cup, wall",
    "wall.thin = To thin off the rim, wall",
    "plate.blankLength = Plate's blank, length, plate",
    "plate.blankWidth = Plate's blank, width, plate",
    "plate.length = Plate, length, plate",
    "plate.width = Plate, width, plate",
    "plate.mass = Plate, mass, plate",
    "ledge.cutLength = Cut ledge, length, plate",
    "ledge.netLength = Ledge, net length, plate",
    "ledge.backShown = Back shown, plate",
    "hoop.cutLength = Cut blank of the hoop, hoop",
    "hoop.netLength = Hoop, net length, hoop",
    "hoop.insideDiameter = Hoop, inside across, hoop",
    "hoop.fibre = Fibre of the wire, hoop",
    "hoop.flat = Depth of the flat, hoop",
    "hoop.saddle = Depth of the saddle, hoop",
    "hoop.mass = Hoop, mass, hoop",
    "hoop.footAngle = Foot's angle to the plate, hoop",
    "hoop.reach = Reach of the feet, hoop",
    "hoop.slitLoss = Lost by spreading the slit, hoop",
    "hoop.strandExtra = Each strand is longer by, hoop",
    "hoop.wireLength = Wire for the twist, each, hoop",
    "hoop.inlayLength = Inlay, length, hoop",
    "bridge.blankLength = Bridge's blank, hoop",
    "bridge.arm = Arms of the bridge, hoop",
    "bail.blankLength = Bail's blank, bail",
    "bail.jumpRingLength = Jump ring's wire, bail",
    "bail.ringLength = Wire of the ring in the bail, bail",
    "earwire.cutLength = Ear wire, bail",
    "post.cutLength = Post, bail",
    "earring.length = Earring, length, bail",
    "earring.mass = Earring, weight with its stone, bail",
    "hang.tilt = Tilt as it hangs, bail",
    "piece.mass = Metal of the piece, making",
  ]);
});

test("solder is said by its form, in the maker's unit, with its place and how far apart", () => {
  const inch = { length: "inch", temperature: "F" } as const;
  const laid = { spacing: 6.35, rows: 1, evenGap: null } as const;
  expect(pallionsText({ ...laid, form: "sheet", count: 3, size: [0.7, 0.7, 0.25] }, "inside", METRIC)).toBe(
    "3 pallions 0.7 × 0.7 mm inside, one every 6.4 mm",
  );
  expect(pallionsText({ ...laid, form: "sheet", count: 1, size: [1, 1, 0.25], spacing: null }, "", METRIC)).toBe("1 pallion 1.0 × 1.0 mm");
  expect(pallionsText({ ...laid, form: "wire", count: 1, size: [8.53, 0.5, 0.5], spacing: null }, "inside", METRIC)).toBe(
    "8.5 mm of 0.5 mm wire inside",
  );
  expect(pallionsText({ ...laid, form: "paste", count: 7, size: [1, 1, 1] }, "along the seat", METRIC)).toBe(
    "7 balls of paste 1.0 mm across along the seat, one every 6.4 mm",
  );
  expect(pallionsText({ ...laid, form: "sheet", count: 2, size: [1, 1, 0.25] }, "inside", inch)).toBe(
    "2 pallions 0.04 × 0.04 in inside, one every 0.250 in",
  );
});

const tern = demoPiece("tern-ring");
const twoSettings = planPiece({ ...tern, mounts: ["a", "b"].map((id) => ({ ...tern.mounts[0]!, id })) }, SHIPPED_BENCH);

test("parts and joints are called by what they are, those of several settings with their numbers", () => {
  const { part, joint } = namesIn(twoSettings);
  expect(["a.wall", "b.plate", "hoop", "no.part"].map(part)).toEqual(["bezel of stone 1", "plate of stone 2", "hoop", "no.part"]);
  expect(["a.seam", "a.foot", "b.seam", "hoop.seam", "hoop.mount.a", "hoop.mount.b", "no.joint"].map(joint)).toEqual([
    "bezel seam, stone 1",
    "bezel to plate, stone 1",
    "bezel seam, stone 2",
    "hoop seam",
    "hoop to plate, stone 1",
    "hoop to plate, stone 2",
    "no.joint",
  ]);
});

test("strands that one joint reaches are named together, and what is said of a joint names its own parts", () => {
  const plan = planPiece(
    { ...tern, carrier: { ...tern.carrier, form: "closed", strands: { count: 2, soldered: "all" } } as Piece["carrier"] },
    SHIPPED_BENCH,
  );
  const { joint } = namesIn(plan);
  expect(plan.joints.map(({ id }) => joint(id)).filter((name) => /strand/.test(name))).toEqual([
    "strand to strand",
    "seam of both strands",
    "both strands to plate",
  ]);
  const eye = { kind: "eye", mount: "m1", place: "edge", parts: ["ring", "bezel"] } as const;
  expect(jointAdvice(eye, (id) => id)).toMatchObject({
    flame: "The bezel first, the ring last and briefly.",
    hold: "The ring in the third hand.",
  });
  const put = { kind: "applied", mount: null, place: "formed", parts: ["disc", "hoop"] } as const;
  expect(
    [jointAdvice(put, (id) => id).hold, jointAdvice({ ...put, place: "flat" }, (id) => id).hold].map((text) => /third hand/.test(text)),
  ).toEqual([true, false]);
});

test("a sum leaves out what is nothing, and a doubt stands in the place of what it doubts", () => {
  expect(
    sumParts(
      [
        { name: "a", value: 0 },
        { name: "b", value: 2 },
      ],
      "mm",
      METRIC,
    ),
  ).toEqual([{ name: "b", text: "2.00", isLess: false }]);
  expect([ifSure(null, "59.1"), ifSure("unmeasured", "59.1"), ifSure("refused", "59.1")]).toEqual([
    "59.1",
    "not measured yet",
    "uses a refused entry",
  ]);
});

test("a sentence is parted into plain runs and the first of each word that can be explained, and none of it is lost", () => {
  expect(explainedIn("File both ends square: the seam runs there, and no other seam.")).toEqual([
    { text: "File both ends ", word: null },
    { text: "square", word: "squaring" },
    { text: ": the ", word: null },
    { text: "seam", word: "seam" },
    { text: " ", word: null },
    { text: "runs", word: "runs" },
    { text: " there, and no other seam.", word: null },
  ]);
  expect(explainedIn("Level it.")).toEqual([{ text: "Level it.", word: null }]);
  expect(explainedIn("")).toEqual([]);
});

test("a finding stands at its figure in one to three words", () => {
  for (const words of Object.values(FINDING_WORDS)) expect(words).toMatch(/^[a-z]+( [a-z]+){0,2}$/);
});
