import { type Curve, flattened } from "../geometry/curve";
import { type Point } from "../geometry/outline";
import { polygonArea, startedAt } from "../geometry/polygon";
import { type PartKind } from "../joint/joint";
import { areaAcross } from "../metal/cut";
import { type SettingDrawing } from "../mount/drawing";
import { type Plan, type PlannedPart, bailIn, hoopIn, postIn } from "../piece/plan";
import { type LaidPart, laidBalls, laidLines, laidPlane, lengthOf, rodGirth } from "./laid";
import { MATERIALS } from "./materials";

/** A part to be laid in the view of its heat. */
export interface ShapeAsked {
  readonly plan: Plan;
  readonly part: PlannedPart;
  /** mm3 of its metal. */
  readonly volume: number;
  /** Whether it closes on itself: it has no seam, or that is made. */
  readonly isClosed: boolean;
  /** Whether a plate is sawn to its edge. */
  readonly isSawn: boolean;
  /** mm of a bit of it. */
  readonly spacing: number;
}

/** Chords of a curve stay this near to it (mm). */
const FINE = 0.02;

/** mm3 of so many grams at working heat. */
export function volumeOf({ metal }: PlannedPart, mass: number): number {
  return (mass / MATERIALS[metal].density) * 1e6;
}

/** How each kind of part lies: a setting's in its own plane, a hoop's along the finger. */
export const SHAPES: Readonly<Record<PartKind, (asked: ShapeAsked) => LaidPart>> = {
  wall: (asked) => wall(asked),
  plate: (asked) => plate(asked),
  ledge: (asked) => ledge(asked),
  wire: (asked) => layer(asked),
  twist: (asked) => layer(asked),
  "bead-wire": (asked) => layer(asked),
  granules: (asked) => layer(asked),
  disc: (asked) => putOn(asked),
  ball: (asked) => putOn(asked),
  ring: (asked) => putOn(asked),
  strip: (asked) => putOn(asked),
  hoop: (asked) => hoop(asked, 0),
  strand: (asked) => hoop(asked, strandsBefore(asked)),
  bridge: (asked) => bridge(asked),
  inlay: (asked) => hoop(asked, 0),
  bail: (asked) => hungBy(asked),
  "jump-ring": (asked) => hungBy(asked),
  post: (asked) => post(asked),
  earwire: (asked) => hungBy(asked),
};

function settingOf({ plan, part }: ShapeAsked): SettingDrawing {
  return plan.drawing.settings[part.mount ?? ""] ?? Object.values(plan.drawing.settings)[0]!;
}

/** Of a wall's two faces half the height of one is reached from above; it stands on its edge. */
function wall(asked: ShapeAsked): LaidPart {
  const { plan, section } = settingOf(asked);
  const { height, inside, outside } = section.wall;
  const around = curvePoints(plan.wallOutside);
  const points = plan.seam ? startedAt(around, [plan.seam.x, plan.seam.y]) : around;
  const thickness = outside - inside;
  const girth = { bare: 2 * height + thickness, under: thickness, above: height / 2, below: height / 2 };
  return evenLine(asked, [{ points: asked.isClosed ? points : [...points, points[0]!], isClosed: asked.isClosed }], { girth });
}

function plate(asked: ShapeAsked): LaidPart {
  const { plan } = settingOf(asked);
  const outline = curvePoints(asked.isSawn ? plan.plateEdge : plan.sawLine);
  return laidPlane(outline, asked.volume / polygonArea(outline), asked.spacing);
}

function ledge(asked: ShapeAsked): LaidPart {
  const [opening] = settingOf(asked).plan.opening;
  if (!opening) return lump(asked, [0, 0], [1, 0]);
  const points = curvePoints(opening);
  return evenLine(asked, [{ points: asked.isClosed ? points : [...points, points[0]!], isClosed: asked.isClosed }]);
}

function layer(asked: ShapeAsked): LaidPart {
  const drawn = settingOf(asked).plan.layers.find(({ part }) => part === asked.part.id)!;
  if (drawn.balls.length > 0) return laidBalls(drawn.balls);
  const isRound = drawn.ends.length === 0 && asked.isClosed;
  return evenLine(
    asked,
    drawn.middles.map((points) => ({ points: isRound ? points.slice(0, -1) : points, isClosed: isRound })),
  );
}

/** Round the finger, its middle half way between outside and inside; beside each other strands lie a little apart, so that each is seen. */
function hoop(asked: ShapeAsked, beside: number): LaidPart {
  const drawn = hoopIn(asked.plan)!.drawn;
  const [outer, inner] = drawn.body as [readonly Point[], readonly Point[] | undefined];
  const outside = inner ? outer : outer.slice(0, outer.length / 2);
  const back = inner ?? [...outer.slice(outer.length / 2)].reverse();
  const middle = outside.map(([x, y], i): Point => {
    const [ix, iy] = back[i]!;
    const out = 1 + (beside * STRAND_APART) / drawn.metal;
    return [((x + ix) / 2) * out, ((y + iy) / 2) * out];
  });
  const { width } = drawn.wire;
  if (!inner) return evenLine(asked, [{ points: middle, isClosed: false }], { depth: width });
  const seam = drawn.seams[0] ?? Math.PI;
  const points = startedAt(middle.slice(0, -1), [drawn.metal * Math.sin(seam), drawn.metal * Math.cos(seam)]);
  return evenLine(asked, [{ points: asked.isClosed ? points : [...points, points[0]!], isClosed: asked.isClosed }], { depth: width });
}

/** mm that strands are drawn apart by. */
const STRAND_APART = 0.8;

function strandsBefore({ plan, part }: ShapeAsked): number {
  return plan.parts.filter(({ kind }) => kind === "strand").findIndex(({ id }) => id === part.id);
}

function bridge(asked: ShapeAsked): LaidPart {
  const arch = hoopIn(asked.plan)?.drawn.arch;
  if (!arch) return lump(asked, [0, 0], [1, 0]);
  const radius = arch.radius + arch.thickness / 2;
  const points = Array.from({ length: ARCH_STEPS + 1 }, (_, i): Point => {
    const angle = arch.half * ((2 * i) / ARCH_STEPS - 1);
    return [radius * Math.sin(angle), arch.centre + radius * Math.cos(angle)];
  });
  return evenLine(asked, [{ points, isClosed: false }]);
}

const ARCH_STEPS = 32;

/** From the edge where a setting hangs outward; closed on itself where it has a seam, which is made before. */
function hungBy(asked: ShapeAsked): LaidPart {
  const eye = bailIn(asked.plan)?.drawn.hangs[0]?.eyes[0];
  if (!eye) return lump(asked, [0, 0], [0, 1]);
  const [[ex, ey], [px, py]] = [eye.edge, eye.pivot];
  const away = Math.sqrt((px - ex) * (px - ex) + (py - ey) * (py - ey)) || 1;
  return lump(asked, eye.edge, [(px - ex) / away, (py - ey) / away]);
}

function post(asked: ShapeAsked): LaidPart {
  return lump(asked, postIn(asked.plan)!.drawn.at, [0, 1]);
}

/** What is put on is small, and lies flat where it is. */
function putOn(asked: ShapeAsked): LaidPart {
  const put = asked.plan.drawing.applied.find(({ id }) => `applied.${id}` === asked.part.id)!;
  const drawn = hoopIn(asked.plan)?.drawn;
  const isOnHoop = asked.plan.parts.some(({ id, mount }) => id === put.on && mount === null);
  const round = drawn ? put.along / drawn.outside : 0;
  const at: Point = isOnHoop && drawn ? [drawn.outside * Math.sin(round), drawn.outside * Math.cos(round)] : put.at;
  const { height, contact } = put.shaped;
  const face = asked.volume / height;
  return {
    bits: [
      {
        x: at[0],
        y: at[1],
        share: 1,
        length: put.shaped.length,
        depth: 0,
        bare: 2 * face,
        under: 0,
        above: Math.max(face, contact),
        below: 0,
      },
    ],
    ...{ runs: [], columns: [], grid: null },
  };
}

/** A part that no view draws: as long as it is cut, straight from a place; closed on itself, a ring beside it. */
function lump(asked: ShapeAsked, [x, y]: Point, [dx, dy]: Point): LaidPart {
  const length = lengthCut(asked);
  if (!hasSeam(asked))
    return evenLine(asked, [
      {
        points: [
          [x, y],
          [x + dx * length, y + dy * length],
        ],
        isClosed: false,
      },
    ]);
  const radius = length / (2 * Math.PI);
  const [cx, cy] = [x + dx * radius, y + dy * radius];
  // it begins, and is closed, where it lies furthest off
  const points = Array.from({ length: RING_STEPS + (asked.isClosed ? 0 : 1) }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / RING_STEPS;
    const [cos, sin] = [Math.cos(angle) * radius, Math.sin(angle) * radius];
    return [cx + dx * cos - dy * sin, cy + dy * cos + dx * sin];
  });
  return evenLine(asked, [{ points, isClosed: asked.isClosed }]);
}

const RING_STEPS = 32;

function hasSeam({ plan, part }: ShapeAsked): boolean {
  return plan.joints.some(({ parts }) => parts.length === 1 && parts[0] === part.id);
}

/** As long as it is cut; where nothing is cut by length, as a wire 1 mm thick would be. */
function lengthCut({ plan, part, volume }: ShapeAsked): number {
  const cut = plan.cuts.find((each) => each.part === part.id);
  if (!cut) return volume / (Math.PI / 4);
  return cut.shape.kind === "length" ? Math.max(volume / areaAcross(cut.stock), 1) : cut.shape.length;
}

/** Lines of an even section, as thick as their metal asks for; a rod's girth where nothing else is said. */
function evenLine(
  asked: ShapeAsked,
  lines: readonly { readonly points: readonly Point[]; readonly isClosed: boolean }[],
  { girth, depth }: { readonly girth?: Parameters<typeof laidLines>[2]; readonly depth?: number } = {},
): LaidPart {
  const length = lines.reduce((all, { points, isClosed }) => all + lengthOf(points, isClosed), 0);
  const area = asked.volume / length;
  return laidLines(lines, area, girth ?? rodGirth(2 * Math.sqrt(Math.PI * area)), asked.spacing, depth);
}

/** Points of a curve, as closely as a heat follows it. */
export function curvePoints(curve: Curve): Point[] {
  return flattened(curve, FINE);
}
