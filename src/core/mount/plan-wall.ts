import { type Loop, type Outline, loopsOf, outward } from "../geometry/outline";
import { type WorkedJoint } from "../joint/contribution";
import { type AskedReading, type ReadingKind, type Step, type StepCode, step } from "../making/step";
import { type Finding, finding } from "../measure/finding";
import { type Figure, type School, figureOf, single, sum, taken, term } from "../measure/figure";
import { tolerance } from "../measure/tolerances";
import { unusualFindings } from "../measure/usual";
import { massOf } from "../metal/metals";
import { type Dome, cover } from "../stone/dome";
import { SOFT_MOHS } from "../stone/stone";
import { GATHERS, gatherFindings, gathering, isPointed, strainAt } from "./gathering";
import { planReady } from "./ready-wall";
import { layStock } from "./laid-out";
import { lipFigure } from "./lip";
import { runsWhere } from "./seam";
import { HAND_PUSHER } from "./set-stone";
import { planStrip } from "./strip-wall";
import { heightLosses } from "./losses";
import { type HeightBySchool, type HeightRule, type Wall, type WallPlan } from "./wall";

/** A wall that stands this far past the turn-in, as a share of the lip, still holds. */
const HOLDING_SHARE = 0.6;
/** A wall that passes both this share of the stone and so much of what holds hides it. */
const HIDING = { ofStone: 0.65, ofHolding: 1.1 } as const;

/** A wall that is asked for, round one stone. */
export interface WallAsked {
  readonly mount: string;
  readonly outline: Outline;
  readonly dome: Dome;
  readonly wall: Wall;
  /** Where a carrier meets the outline. */
  readonly carrierPlaces: readonly number[];
  /** What the stone is called, and how hard it is. */
  readonly stone: string;
  readonly mohs: number | null;
}

/** All that a wall adds to a piece. */
export function planWall({ mount: id, outline, dome, wall, carrierPlaces, stone, mohs }: WallAsked): WallPlan {
  const covered = cover(dome, wall.catch.value);
  const middle = outward(outline, wall.fit.value + wall.thickness / 2);
  const net = netLength(outline, middle, wall);
  const lip = lipFigure(dome, covered, wall);
  const heights = netHeights(dome, wall, lip);
  const netHeight = heights[wall.height.rule];
  const cutHeight = sum("mm", [...netHeight.terms, ...heightLosses(wall)]);
  const gather = gathering(outline, wall, covered);
  const ofSource = wall.ready
    ? planReady(id, outline, wall, wall.ready, netHeight, cutHeight.value, stone)
    : planStrip(id, outline, wall, net, cutHeight.value, carrierPlaces, lip.value);
  const shelfArea = ofSource.shelf?.area ?? 0;
  const volume = net.value * netHeight.value * wall.thickness + shelfArea * wall.lift.value;
  const mass = massOf(wall.metal, volume);
  const key = (name: string) => `${id}.wall.${name}`;
  const part = `${id}.wall`;
  const gathers = runsWhere(outline, (curvature) => strainAt(curvature, wall, covered) - GATHERS.drawn);
  const valueOf = (name: string) => figureOf(ofSource.figures, key(name)).value;
  const teeth = wall.notch && { count: valueOf("notches"), gap: valueOf("notchGap"), depth: valueOf("notchDepth") };
  const stock = {
    ...{ outline, wall, middle, teeth, gathers, seamAt: ofSource.seamAt },
    ...{ netLength: net.value, netHeight: netHeight.value, cutHeight: cutHeight.value },
  };
  const short = net.value - (ofSource.figures[key("hullLength")]?.value ?? net.value);
  const seams = ofSource.seamAt === null ? [] : [seamOf(id, wall, netHeight.value, ofSource.seamAt, short > tolerance.seen)];
  return {
    parts: [{ id: part, kind: "wall", mount: id, metal: wall.metal, mass, thickness: wall.thickness }],
    joints: seams,
    standing: {
      part,
      fit: wall.fit,
      thickness: { value: wall.thickness, from: wall.thicknessFrom },
      netLength: net.value,
      lift: wall.lift.value,
      footArea: net.value * wall.thickness + shelfArea,
      joints: seams.map((seam) => seam.id),
    },
    cuts: ofSource.cuts,
    laid: { [part]: layStock(stock) },
    stock,
    first: ofSource.first,
    finish: [],
    last: [],
    made: ofSource.seamAt === null ? {} : { [part]: { flat: flatSteps(id, wall), formed: [...flatSteps(id, wall), wrapping(id)] } },
    isPointed: isPointed(gather),
    seamAt: ofSource.seamAt,
    shelf: ofSource.shelf,
    thin: ofSource.thin,
    schools: HEIGHT_RULES.map((rule) => bySchool(rule, heights[rule].value, dome, wall, lip.value)),
    cover: covered,
    figures: {
      [key("netLength")]: net,
      [key("lip")]: lip,
      [key("netHeight")]: { ...netHeight, schools: otherHeights(heights, wall.height.rule) },
      [key("cutHeight")]: cutHeight,
      [key("thirdHeight")]: heights.third,
      [key("faceShown")]: faceShown(outline, wall),
      [key("gather")]: gather.figure,
      [key("mass")]: single("g", mass, "density"),
      ...ofSource.figures,
    },
    findings: [
      ...heightFindings(id, dome, wall, netHeight.value, lip.value),
      ...gatherFindings(id, gather),
      ...ofSource.findings,
      ...softFindings(id, mohs, wall.thickness),
      ...unusualFindings("wall.unusual", wall.thickness, `${id}.wall`, id),
    ],
  };
}

/** A step of a setting's wall. */
function wallStep(mount: string, act: StepCode, details: Parameters<typeof step>[2] = {}): Step {
  return step(mount, act, { works: [`${mount}.wall`], ...details });
}

function read(mount: string, name: string, kind: ReadingKind): AskedReading {
  return { figure: `${mount}.wall.${name}`, kind, mount };
}

/** What is done to a strip before it is bent. Its teeth are sawn while it is flat. */
function flatSteps(mount: string, { metal, notch, thickness }: Wall): Step[] {
  return [
    wallStep(mount, "wall.slit", {
      target: `${mount}.wall.cutHeight`,
      reads: [read(mount, "cutHeight", "strip-height"), { ...read(mount, "thickness", "thickness"), planned: thickness }],
      checks: ["edge.parallel"],
    }),
    wallStep(mount, "wall.anneal", { cautions: ["torch", "hotMetal"], values: { metal } }),
    wallStep(mount, "wall.cut", {
      target: `${mount}.wall.cutLength`,
      reads: [read(mount, "cutLength", "strip")],
      checks: ["ends.square", "ends.noPinch", "ends.noBurr"],
    }),
    wallStep(mount, "wall.square", { checks: ["ends.square"] }),
    ...(notch
      ? [
          wallStep(mount, "wall.drill", { target: `${mount}.wall.notchGap`, second: `${mount}.wall.notchPitch`, cautions: ["saw"] }),
          wallStep(mount, "wall.gaps", { target: `${mount}.wall.notchDepth`, cautions: ["saw"] }),
          wallStep(mount, "wall.teeth", { checks: ["teeth.alike"] }),
        ]
      : []),
  ];
}

function wrapping(mount: string): Step {
  return wallStep(mount, "wall.wrap", {
    target: `${mount}.wall.netLength`,
    reads: [read(mount, "netLength", "wall-open")],
    checks: ["ends.noLight", "wall.upright"],
  });
}

/** A strip is slit, cut and wrapped before its seam is heated, and tried round the stone after; what lies in a notch is pressed in between. */
function seamOf(mount: string, wall: Wall, height: number, seamAt: number, hasNotch: boolean): WorkedJoint {
  return {
    id: `${mount}.seam`,
    kind: "seam",
    mount,
    parts: [`${mount}.wall`],
    length: height,
    area: height * wall.thickness,
    place: String(seamAt),
    after: [],
    follows: [`${mount}.wall.netHeight`],
    work: {
      before: [...flatSteps(mount, wall), wrapping(mount)],
      lookedFor: ["joint.bright", "joint.noGap"],
      cautions: ["charcoal"],
      after: [
        ...(hasNotch ? [wallStep(mount, "wall.press", { checks: ["notch.pressed"] })] : []),
        wallStep(mount, "wall.try", {
          reads: [read(mount, "netLength", "wall-closed")],
          checks: ["wall.passes", "wall.upright", "wall.seamLevel"],
        }),
        wallStep(mount, "wall.foot", { checks: ["foot.flat"] }),
      ],
    },
  };
}

/** A wall over `over` thick on a stone softer than `under`, on Mohs' scale, takes a punch that such a stone does not bear (mm). */
const HEAVY = [
  { over: HAND_PUSHER, under: SOFT_MOHS },
  { over: 0.35, under: 4 },
] as const;
/** To what its upper edge is thinned there (mm). */
const THINNED = 0.25;

function softFindings(id: string, mohs: number | null, thickness: number): Finding[] {
  if (mohs === null || !HEAVY.some(({ over, under }) => thickness > over && mohs < under)) return [];
  return [finding("wall.heavy-on-soft", "warning", `${id}.wall`, { thickness, mohs, to: THINNED }, id)];
}

/** Length round the wall's middle, and what of it the fit and half the thickness add to the outline. */
function netLength(outline: Outline, middle: Loop, wall: Wall): Figure {
  const fit = wall.fit.value;
  const round = middle.length - outline.perimeter;
  const fitShare = (round * fit) / (fit + wall.thickness / 2);
  return sum("mm", [
    term("outline", outline.perimeter, "stone", "perimeter"),
    term("wall", round - fitShare, "formula", "parallel"),
    { ...taken("fit", wall.fit), value: fitShare },
  ]);
}

const HEIGHT_RULES: readonly HeightRule[] = ["turn-in", "third", "fixed"];
/** "3 mm is usually right": the house height where a piece names none. */
export const HOUSE_HEIGHT = 3;

/** Least height over the lift at which a wall holds. */
export function heightThatHolds(turnIn: number, lip: number): number {
  return turnIn + HOLDING_SHARE * lip;
}

function bySchool(rule: HeightRule, height: number, dome: Dome, wall: Wall, lip: number): HeightBySchool {
  const standing = height - wall.lift.value;
  return {
    rule,
    height,
    behind: Math.min(1, Math.max(0, standing / dome.height)),
    past: standing - dome.turnIn,
    holds: standing >= heightThatHolds(dome.turnIn, lip),
  };
}

/** Net height by each of the three schools. */
function netHeights(dome: Dome, wall: Wall, lip: Figure): Record<HeightRule, Figure> {
  const lift = taken("lift", wall.lift);
  return {
    "turn-in": sum("mm", [lift, term("turnIn", dome.turnIn, "stone"), term("lip", lip.value, "formula")]),
    third: sum("mm", [lift, term("third", dome.height / 3, "stone")]),
    fixed: sum("mm", [wall.height.rule === "fixed" ? term("fixed", wall.height.height, "piece") : term("fixed", HOUSE_HEIGHT, "shipped")]),
  };
}

function otherHeights(heights: Record<HeightRule, Figure>, chosen: HeightRule): School[] {
  return HEIGHT_RULES.filter((rule) => rule !== chosen).map((rule) => ({ rule, value: heights[rule].value }));
}

/** Share of the stone's face that the lip leaves open. Nothing shows once the catch meets itself in the middle. */
function faceShown(outline: Outline, wall: Wall): Figure {
  const inner = outline.parallel(-wall.catch.value);
  const shown = loopsOf(inner).reduce((sum, { area }) => sum + area, 0) / outline.area;
  return sum("ratio", [term("whole", 1, "formula"), term("covered", shown - 1, wall.catch.from)]);
}

function heightFindings(id: string, dome: Dome, wall: Wall, netHeight: number, lip: number): Finding[] {
  const at = `${id}.wall`;
  const standing = netHeight - wall.lift.value;
  const needed = heightThatHolds(dome.turnIn, lip);
  const findings: Finding[] = [];
  if (standing < needed) {
    findings.push(finding("wall.too-low", "error", at, { height: standing, needed, turnIn: dome.turnIn, rule: wall.height.rule }, id));
  }
  const limit = Math.max(HIDING.ofStone * dome.height, HIDING.ofHolding * needed);
  if (dome.exponent !== "flat" && standing > limit) {
    findings.push(finding("wall.hides-stone", "warning", at, { height: standing, limit, stone: dome.height }, id));
  }
  return findings;
}
