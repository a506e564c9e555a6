import { type Curve } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { type HoopDrawing } from "@/core/hoop/drawing";
import { type JointKind } from "@/core/joint/joint";
import { type SettingDrawing } from "@/core/mount/drawing";
import { type Plan, type PlannedJoint, bailIn, hoopIn } from "@/core/piece/plan";

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

const MARKS: Readonly<Record<JointKind, (at: At) => readonly Mark[]>> = {
  seam: (at) => (at.joint.mount === null ? carrierSeams(at) : (seamSpot(at) ?? shapeOf(at, at.joint.parts[0]!))),
  foot: ({ setting }) => [{ view: "above", curve: setting.plan.wallOutside }],
  ledge: ({ setting }) => setting.plan.opening.map((curve) => ({ view: "above", curve })),
  ornament: (at) => shapeOf(at, at.joint.parts[0]!),
  strands: (at) => shapeOf(at, at.joint.parts[0]!),
  bridge: (at) => shapeOf(at, at.joint.parts[1]!),
  mount: (at) => seatSpot(at),
  eye: ({ plan, joint }) => {
    const hang = bailIn(plan)?.drawn.hangs.find(({ mount }) => mount === joint.mount);
    return (hang?.eyes ?? []).map(({ edge }) => ({ view: "above", spot: edge }));
  },
  sleeve: (at) => shapeOf(at, at.joint.parts[0]!),
  applied: (at) => appliedSpot(at),
  added: (at) => at.joint.parts.flatMap((part) => shapeOf(at, part)),
};

function seamSpot({ joint, plan, setting }: At): Mark[] | null {
  const isWall = plan.parts.some(({ id, kind }) => id === joint.parts[0] && kind === "wall");
  const { seam } = setting.plan;
  return isWall && seam ? [{ view: "above", spot: [seam.x, seam.y] }] : null;
}

/** A place round the hoop, from the front, in the middle of its wire. */
function round({ metal, inside }: HoopDrawing, angle: number): Point {
  const middle = (metal + inside) / 2;
  return [middle * Math.sin(angle), middle * Math.cos(angle)];
}

/** The hoop's own seams, or that of the ring it hangs by. */
function carrierSeams({ hoop, plan }: At): Mark[] {
  if (hoop) return hoop.seams.map((angle) => ({ view: "along", spot: round(hoop, angle) }));
  const [first] = bailIn(plan)?.drawn.hangs ?? [];
  return (first?.eyes ?? []).map(({ pivot }) => ({ view: "above", spot: pivot }));
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

/** The shape of a part, where it has one of its own. */
function shapeOf({ plan, setting, hoop }: At, part: string): Mark[] {
  const above = setting.plan;
  switch (plan.parts.find(({ id }) => id === part)?.kind) {
    case "wall":
      return [{ view: "above", curve: above.wallOutside }];
    case "plate":
      return [{ view: "above", curve: above.plateEdge }];
    case "ledge":
      return above.opening.map((curve) => ({ view: "above", curve }));
    case "hoop":
    case "strand":
    case "bridge":
      return hoop ? [{ view: "along", runs: hoop.body }] : [];
    default: {
      const layer = above.layers.find((each) => each.part === part);
      return layer ? [{ view: "above", runs: layer.middles }] : [];
    }
  }
}
