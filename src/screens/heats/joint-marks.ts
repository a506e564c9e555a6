import { type Curve, flattened } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { type HoopDrawing } from "@/core/hoop/drawing";
import { type JointKind, type PartKind } from "@/core/joint/joint";
import { type SettingDrawing } from "@/core/mount/drawing";
import { type Plan, type PlannedJoint, bailIn, hoopIn, postIn } from "@/core/piece/plan";

/** Where a joint is, on a small drawing: seen from above the setting, or along the finger. A line, or a spot. */
export interface Mark {
  readonly view: "above" | "along";
  readonly curve?: Curve;
  readonly runs?: readonly (readonly Point[])[];
  readonly spot?: Point;
}

interface At {
  readonly joint: PlannedJoint;
  readonly plan: Plan;
  /** The setting it belongs to, or the first. */
  readonly setting: SettingDrawing;
  readonly hoop: HoopDrawing | null;
}

/** The joint's own setting, or the first. */
export function settingOf(plan: Plan, joint: PlannedJoint | undefined): SettingDrawing {
  const { settings } = plan.drawing;
  return settings[joint?.mount ?? ""] ?? Object.values(settings)[0]!;
}

export function marksOf(plan: Plan, joint: PlannedJoint): Mark[] {
  return [...MARKS[joint.kind]({ joint, plan, setting: settingOf(plan, joint), hoop: hoopIn(plan)?.drawn ?? null })];
}

/** A joint's letter where the joint is. */
export interface Lettered {
  readonly joint: string;
  readonly at: Point;
}

/** From the letter of one line to that of the next, round the middle (radians). */
const TURN = 0.9;

/** A place for the letter of every joint that is seen in a view of a setting: at a spot, or on a line, each line's a little further round. */
export function letteredIn(plan: Plan, shown: PlannedJoint | undefined, view: Mark["view"]): Lettered[] {
  const setting = settingOf(plan, shown);
  const joints = plan.joints.filter((joint) => view === "along" || settingOf(plan, joint).host === setting.host);
  return joints.flatMap((joint, i): Lettered[] => {
    const mark = marksOf(plan, joint).find((each) => each.view === view);
    if (!mark) return [];
    if (mark.spot) return [{ joint: joint.id, at: mark.spot }];
    const points = mark.curve ? flattened(mark.curve, FINE) : (mark.runs ?? []).flat();
    const [x, y] = [Math.cos(i * TURN), Math.sin(i * TURN)];
    const at = points.reduce<Point | null>(
      (best, point) => (best && best[0] * x + best[1] * y >= point[0] * x + point[1] * y ? best : point),
      null,
    );
    return at ? [{ joint: joint.id, at }] : [];
  });
}

/** Chords of a line that a letter stands at stay this near to it (mm). */
const FINE = 0.1;

const MARKS: Readonly<Record<JointKind, (at: At) => readonly Mark[]>> = {
  seam: (at) => seamOf(at),
  foot: (at) => SHAPES.wall.whole(at, at.joint.parts[0]!),
  ledge: (at) => shapeOf(at, at.joint.parts[0]!),
  ornament: (at) => shapeOf(at, at.joint.parts[0]!),
  strands: (at) => shapeOf(at, at.joint.parts[0]!),
  twist: (at) => shapeOf(at, at.joint.parts[0]!),
  bridge: (at) => shapeOf(at, at.joint.parts[1]!),
  mount: (at) => seatSpot(at),
  eye: ({ plan, joint }) => {
    const hang = bailIn(plan)?.drawn.hangs.find(({ mount }) => mount === joint.mount);
    return (hang?.eyes ?? []).map(({ edge }) => ({ view: "above", spot: edge }));
  },
  post: ({ plan }) => {
    const post = postIn(plan);
    return post ? [{ view: "above", spot: post.drawn.at }] : [];
  },
  link: ({ plan }) => eyesIn(plan).map(({ pivot }) => ({ view: "above", spot: pivot })),
  sleeve: (at) => shapeOf(at, at.joint.parts[0]!),
  applied: (at) => appliedSpot(at),
  added: (at) => at.joint.parts.flatMap((part) => shapeOf(at, part)),
};

/** A place round the hoop, from the front, in the middle of its wire. */
function round({ metal, inside }: HoopDrawing, angle: number): Point {
  const middle = (metal + inside) / 2;
  return [middle * Math.sin(angle), middle * Math.cos(angle)];
}

/** The hoop's own seams, or that of the ring it hangs by. */
function carrierSeams({ hoop, plan }: At): Mark[] {
  if (hoop) return hoop.seams.map((angle) => ({ view: "along", spot: round(hoop, angle) }));
  return eyesIn(plan).map(({ pivot }) => ({ view: "above", spot: pivot }));
}

/** Where the first setting hangs. */
function eyesIn(plan: Plan) {
  return bailIn(plan)?.drawn.hangs[0]?.eyes ?? [];
}

function seatSpot({ joint, hoop }: At): Mark[] {
  const seat = hoop?.seats[joint.mount ?? ""];
  return seat ? [{ view: "along", spot: [seat.level * Math.sin(seat.angle), seat.level * Math.cos(seat.angle)] }] : [];
}

function appliedSpot({ joint, plan, hoop }: At): Mark[] {
  const put = plan.drawing.applied.find(({ id }) => `applied.${id}` === joint.id);
  if (!put) return [];
  const isOnHoop = plan.parts.some(({ id, mount }) => id === put.on && mount === null);
  if (!isOnHoop) return [{ view: "above", spot: put.at }];
  return hoop ? [{ view: "along", spot: round(hoop, put.along / hoop.outside) }] : [];
}

type ShapeOf = (at: At, part: string) => Mark[];

const layerOf: ShapeOf = ({ setting }, part) => {
  const layer = setting.plan.layers.find((each) => each.part === part);
  return layer ? [{ view: "above", runs: layer.middles }] : [];
};
const hoopOf: ShapeOf = ({ hoop }) => (hoop ? [{ view: "along", runs: hoop.body }] : []);
const openingOf: ShapeOf = ({ setting }) => setting.plan.opening.map((curve) => ({ view: "above", curve }));
const noShape: ShapeOf = () => [];

/** The shape of each kind of part, and where its own seam is, where it has one drawn. */
const SHAPES: Readonly<Record<PartKind, { readonly whole: ShapeOf; readonly seam?: (at: At) => Mark[] }>> = {
  wall: { whole: ({ setting }) => [{ view: "above", curve: setting.plan.wallOutside }], seam: wallSeam },
  plate: { whole: ({ setting }) => [{ view: "above", curve: setting.plan.plateEdge }] },
  ledge: { whole: openingOf },
  wire: { whole: layerOf },
  twist: { whole: layerOf },
  "bead-wire": { whole: layerOf },
  granules: { whole: layerOf },
  disc: { whole: noShape },
  ball: { whole: noShape },
  ring: { whole: noShape },
  strip: { whole: noShape },
  hoop: { whole: hoopOf },
  strand: { whole: hoopOf },
  bridge: { whole: hoopOf },
  inlay: { whole: noShape },
  bail: { whole: noShape },
  "jump-ring": { whole: noShape },
  post: { whole: noShape },
  earwire: { whole: noShape },
};

function wallSeam({ setting }: At): Mark[] {
  const { seam } = setting.plan;
  return seam ? [{ view: "above", spot: [seam.x, seam.y] }] : [];
}

function kindOf({ plan }: At, part: string): PartKind {
  return plan.parts.find(({ id }) => id === part)!.kind;
}

/** The shape of a part, where it has one of its own. */
function shapeOf(at: At, part: string): Mark[] {
  return SHAPES[kindOf(at, part)].whole(at, part);
}

/** The place of a seam; where it is not drawn by itself, all of the part that it closes. */
function seamOf(at: At): readonly Mark[] {
  if (at.joint.mount === null) return carrierSeams(at);
  const part = at.joint.parts[0]!;
  return SHAPES[kindOf(at, part)].seam?.(at) ?? shapeOf(at, part);
}
