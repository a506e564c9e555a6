import { type Point } from "../geometry/outline";
import { polygonArea } from "../geometry/polygon";
import { plateSawnAfter } from "../joint/joint";
import { METALS, type Metal } from "../metal/metals";
import { type Plan, type PlannedHeat, type PlannedJoint, type PlannedPart, hoopIn } from "../piece/plan";
import { type BodyJoint, type JointAsked, bodyJoint } from "./body-joints";
import { type Chain } from "./conduction";
import { type Bit, type Grid, type Laid, type Run, fineGrained, grained, laidFromSide } from "./laid";
import { MATERIALS, type Support } from "./materials";
import { SHAPES, curvePoints, volumeOf } from "./shapes";

/** A part of the body: its bits are numbered one after the other. */
export interface BodyPart {
  readonly id: string;
  readonly metal: Metal;
  /** g */
  readonly mass: number;
  readonly from: number;
  readonly to: number;
  /** Where it is a plane: its cells, by their numbers in the body. */
  readonly grid: Grid | null;
  /** Its lines, by their bits' numbers in the body. */
  readonly lines: readonly { readonly bits: readonly number[]; readonly isClosed: boolean }[];
}

/** What is heated at once: bits of metal, the ways that heat flows between them, and the joints there. */
export interface HeatBody {
  readonly view: "above" | "along";
  readonly support: Support | "hand";
  readonly working: number;
  readonly parts: readonly BodyPart[];
  /** By bit: its part, mm from the body's middle, J/K, and faces in mm2. */
  readonly partOf: Int32Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly capacity: Float64Array;
  readonly bare: Float64Array;
  readonly under: Float64Array;
  readonly above: Float64Array;
  readonly below: Float64Array;
  /** mm that each reaches away from who looks. */
  readonly depth: Float64Array;
  /** Degrees C at which it begins to melt. */
  readonly solidus: Float64Array;
  readonly rows: readonly Chain[];
  readonly columns: readonly Chain[];
  readonly joints: readonly BodyJoint[];
  /** The body's middle in the coordinates of the plan's drawing, and half its extent. */
  readonly middle: Point;
  readonly half: Point;
  /** The bit that a third hand grips; none where it lies on something. */
  readonly grip: number | null;
  /** Where a part's own bits are seen: the heat's joints in the plan's words. */
  readonly heat: PlannedHeat;
}

/** mm of a bit, where nothing else is asked for. */
export const USUAL_SPACING = 0.4;

/** The body of a heat, as it lies before the flame: everything joined to it by then, and what is joined in it. */
export function bodyOf(plan: Plan, index: number, spacing = USUAL_SPACING): HeatBody {
  const heat = plan.heats[index]!;
  const ids = new Set(heat.flame.map(({ part }) => part));
  const parts = plan.parts.filter(({ id }) => ids.has(id));
  const earlier = plan.heats.slice(0, index);
  const isStanding = isStandingHoop(plan, parts);
  const made = plan.joints.filter(
    ({ id, parts: of }) => of.every((part) => ids.has(part)) && earlier.some((each) => each.joints.includes(id)),
  );
  const wanted = heat.joints.map((id) => plan.joints.find((joint) => joint.id === id)!);
  const laid = parts.map((part) => laidIn({ plan, heat, index, part, made, spacing, isStanding }));
  const body = joined(plan, parts, laid, isStanding);
  const view = isStanding || hasHoop(parts) ? "along" : "above";
  const asked = { plan, parts, laid, starts: body.starts, view } satisfies Partial<JointAsked>;
  const joints = [
    ...wanted.map((joint) => bodyJoint({ ...asked, joint, heat, isWanted: true, all: wanted })),
    ...made.map((joint) => {
      const own = earlier.find((each) => each.joints.includes(joint.id))!;
      return bodyJoint({ ...asked, joint, heat: own, isWanted: false, all: made });
    }),
  ];
  return { ...body.cells, view, working: heat.working, joints, heat };
}

function hasHoop(parts: readonly PlannedPart[]): boolean {
  return parts.some(({ kind, mount }) => mount === null && ROUND_THE_FINGER.has(kind));
}

const ROUND_THE_FINGER: ReadonlySet<PlannedPart["kind"]> = new Set(["hoop", "strand", "bridge", "inlay"]);

/** A hoop with a setting stands; by itself it lies. */
function isStandingHoop(plan: Plan, parts: readonly PlannedPart[]): boolean {
  return hoopIn(plan) !== null && hasHoop(parts) && parts.some(({ mount }) => mount !== null);
}

interface LaidAsked {
  readonly plan: Plan;
  readonly heat: PlannedHeat;
  readonly index: number;
  readonly part: PlannedPart;
  readonly made: readonly PlannedJoint[];
  readonly spacing: number;
  readonly isStanding: boolean;
}

function laidIn({ plan, index, part, made, spacing, isStanding }: LaidAsked): Laid {
  const isSawn = !plan.heats
    .slice(index)
    .some(({ joints }) => joints.some((id) => plateSawnAfter(plan.joints.find((joint) => joint.id === id)!) === part.id));
  const seams = plan.joints.filter(({ parts }) => parts.length === 1 && parts[0] === part.id);
  const isClosed = seams.every(({ id }) => made.some((joint) => joint.id === id));
  const mass = fineGrained(part.mass * (isSawn ? 1 : unsawnTimes(plan, part)));
  const volume = volumeOf(part, mass);
  const own = SHAPES[part.kind]({ plan, part, volume, isClosed, isSawn, spacing });
  const [run] = own.runs;
  const ends = run ? ([run.bits[0]!, run.bits.at(-1)!] as const) : null;
  if (!isStanding || part.mount === null) return { ...own, volume, mass, ends };
  const seen = laidFromSide(own, sideOf(plan, part, spacing), volume);
  return { ...seen, volume, mass, ends: ends && [seen.bitOf[ends[0]]!, seen.bitOf[ends[1]]!] };
}

/** How many times its mass a plate has before it is sawn to its edge: what lies within its saw line. */
function unsawnTimes(plan: Plan, part: PlannedPart): number {
  const { sawLine, plateEdge } = plan.drawing.settings[part.mount!]!.plan;
  return polygonArea(curvePoints(sawLine)) / polygonArea(curvePoints(plateEdge));
}

/** How a part of a setting is seen along the finger: its plane's way round the hoop, at the height that it lies at. */
function sideOf(plan: Plan, part: PlannedPart, spacing: number) {
  const own = plan.drawing.settings[part.mount!]!;
  const host = plan.drawing.settings[own.host]!;
  const seat = hoopIn(plan)!.drawn.seats[own.host]!;
  const way = (host.plan.back.band?.along ?? 0) + Math.PI / 2;
  const [ux, uy] = [Math.cos(way), Math.sin(way)];
  const [sin, cos] = [Math.sin(seat.angle), Math.cos(seat.angle)];
  const height = seat.level + heightOf(own.section, part);
  return {
    along: (x: number, y: number) => x * ux + y * uy,
    across: (x: number, y: number) => x * uy - y * ux,
    at: (along: number): Point => [height * sin + along * cos, height * cos - along * sin],
    spacing,
  };
}

/** The middle of a part over its plate's underside (mm). */
function heightOf({ plate, wall, layers }: Plan["drawing"]["settings"][string]["section"], { id, kind }: PlannedPart): number {
  if (kind === "plate") return plate.thickness / 2;
  if (kind === "wall") return plate.rises + wall.height / 2;
  return plate.rises + (layers.find(({ part }) => part === id)?.height ?? 0) / 2;
}

interface Joined {
  readonly starts: readonly number[];
  readonly cells: Omit<HeatBody, "view" | "working" | "joints" | "heat">;
}

/** All parts' bits in one numbering, about the middle of them all. */
function joined(plan: Plan, parts: readonly PlannedPart[], laid: readonly Laid[], isStanding: boolean): Joined {
  const starts: number[] = [];
  let count = 0;
  for (const { bits } of laid) {
    starts.push(count);
    count += bits.length;
  }
  const all = laid.flatMap(({ bits }) => bits);
  const xs = all.map(({ x }) => x);
  const ys = all.map(({ y }) => y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const middle: Point = [grained((left + right) / 2), grained((low + high) / 2)];
  const plates = parts.some(({ kind }) => kind === "plate");
  const support: HeatBody["support"] = isStanding ? "hand" : plates ? "mesh" : "charcoal";
  const partOf = new Int32Array(count);
  const field = () => new Float64Array(count);
  const cells = {
    ...{ x: field(), y: field(), capacity: field(), bare: field(), under: field() },
    ...{ above: field(), below: field(), depth: field(), solidus: field() },
  };
  parts.forEach((part, p) => {
    const { heatCapacity } = MATERIALS[part.metal];
    const isOverPlate = plates && part.kind !== "plate";
    laid[p]!.bits.forEach((bit: Bit, i) => {
      const n = starts[p]! + i;
      partOf[n] = p;
      cells.x[n] = bit.x - middle[0];
      cells.y[n] = bit.y - middle[1];
      cells.capacity[n] = laid[p]!.mass * bit.share * heatCapacity;
      cells.bare[n] = bit.bare + (isOverPlate ? bit.under : 0);
      cells.under[n] = isOverPlate ? 0 : bit.under;
      cells.above[n] = bit.above;
      cells.depth[n] = bit.depth;
      cells.below[n] = isOverPlate ? 0 : bit.below;
      cells.solidus[n] = METALS[part.metal].solidus;
    });
  });
  if (plates && !isStanding) shade(parts, laid, starts, cells, plan);
  const chainsOf = (of: "runs" | "columns") =>
    laid.flatMap((each, p) => each[of].map((run) => chainOf(run, starts[p]!, MATERIALS[parts[p]!.metal].conductivity)));
  const lowest = ys.indexOf(low);
  return {
    starts,
    cells: {
      ...cells,
      partOf,
      support,
      middle,
      half: [(right - left) / 2, (high - low) / 2],
      rows: chainsOf("runs"),
      columns: chainsOf("columns"),
      grip: isStanding ? lowest : null,
      parts: parts.map(({ id, metal }, p) => ({
        ...{ id, metal, mass: laid[p]!.mass, from: starts[p]!, to: starts[p]! + laid[p]!.bits.length },
        grid: gridOf(laid[p]!.grid, starts[p]!, middle),
        lines: laid[p]!.grid ? [] : laid[p]!.runs.map(({ bits, isClosed }) => ({ bits: bits.map((bit) => starts[p]! + bit), isClosed })),
      })),
    },
  };
}

/** A bezel keeps a flame from above off the plate beside it, as far as it is high: a flame comes slantwise, from any side. */
function shade(
  parts: readonly PlannedPart[],
  laid: readonly Laid[],
  starts: readonly number[],
  { x, y, above }: { readonly x: Float64Array; readonly y: Float64Array; readonly above: Float64Array },
  plan: Plan,
): void {
  parts.forEach((wall, w) => {
    if (wall.kind !== "wall") return;
    const reach = plan.drawing.settings[wall.mount!]!.section.wall.height;
    parts.forEach((plate, p) => {
      if (plate.kind !== "plate") return;
      for (let i = starts[p]!; i < starts[p]! + laid[p]!.bits.length; i++) {
        for (let k = starts[w]!; k < starts[w]! + laid[w]!.bits.length; k++) {
          const [dx, dy] = [x[i]! - x[k]!, y[i]! - y[k]!];
          if (dx * dx + dy * dy >= reach * reach) continue;
          above[i] = 0;
          break;
        }
      }
    });
  });
}

function gridOf(grid: Grid | null, start: number, [x, y]: Point): Grid | null {
  return (
    grid && {
      ...grid,
      ...{ left: grid.left - x, low: grid.low - y, outline: grid.outline.map(([px, py]): Point => [px - x, py - y]) },
      bits: grid.bits.map((bit) => (bit < 0 ? -1 : start + bit)),
    }
  );
}

/** W/K from each bit to the next: conductivity times mm2 over mm. */
function chainOf({ bits, across, apart, isClosed }: Run, start: number, conductivity: number): Chain {
  return { cells: bits.map((bit) => start + bit), conductances: across.map((area) => ((conductivity / 1000) * area) / apart), isClosed };
}
