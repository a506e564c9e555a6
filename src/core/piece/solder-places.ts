import { type Curve, flattened } from "../geometry/curve";
import { type Point } from "../geometry/outline";
import { type HoopDrawing } from "../hoop/drawing";
import { type JointKind, type PartKind } from "../joint/joint";
import { type DrawnLayer } from "../mount/layers/layer";
import { type Plan, type PlannedJoint, bailIn, heatOf, hoopIn, postIn } from "./plan";

/** Where a pallion lies before the heat: seen from above the setting, or along the finger; turned by radians. */
export interface SolderPlace {
  readonly view: "above" | "along";
  readonly at: Point;
  readonly turn: number;
}

/** Chords of the lines that solder lies along stay this near to them (mm). */
const FINE = 0.02;

interface Asked {
  readonly plan: Plan;
  readonly joint: PlannedJoint;
  readonly count: number;
  /** A pallion's side (mm). */
  readonly side: number;
}

/** Where each pallion of a joint lies, as many as its heat has of them; none for wire, which stays in the hand, and where nothing is soldered. */
export function solderPlaces(plan: Plan, joint: PlannedJoint): readonly SolderPlace[] {
  const solder = heatOf(plan, joint.id)?.solder;
  if (!solder || solder.form === "wire") return [];
  return PLACES[joint.kind]({ plan, joint, count: solder.count, side: solder.size[0] });
}

const PLACES: Readonly<Record<JointKind, (asked: Asked) => readonly SolderPlace[]>> = {
  seam: (asked) => (asked.joint.mount === null ? alongSeam(asked) : atSeam(asked)),
  foot: (asked) => roundWall(asked),
  ledge: (asked) => inLedge(asked),
  ornament: (asked) => roundLayer(asked),
  strands: (asked) => onHoop(asked, 0),
  twist: (asked) => onHoop(asked, 0),
  bridge: ({ plan, joint, count }) => {
    const arch = hoopIn(plan)?.drawn.arch;
    if (!arch) return [];
    const side = joint.place === "left" ? -1 : 1;
    const foot: Point = [side * arch.radius * Math.sin(arch.half), arch.centre + arch.radius * Math.cos(arch.half)];
    return Array.from({ length: count }, () => ({ view: "along", at: foot, turn: 0 }));
  },
  mount: (asked) => underSeat(asked),
  eye: ({ plan, joint, count }) => {
    const eyes = bailIn(plan)?.drawn.hangs.find(({ mount }) => mount === joint.mount)?.eyes ?? [];
    return Array.from({ length: eyes.length === 0 ? 0 : count }, (_, i) => ({ view: "above", at: eyes[i % eyes.length]!.edge, turn: 0 }));
  },
  post: ({ plan, count }) => {
    const post = postIn(plan);
    return post ? Array.from({ length: count }, () => ({ view: "above", at: post.drawn.at, turn: 0 })) : [];
  },
  link: () => [],
  sleeve: () => [],
  applied: ({ plan, joint, count, side }) => {
    const put = plan.drawing.applied.find(({ id }) => `applied.${id}` === joint.id);
    const hoop = hoopIn(plan)?.drawn;
    if (!put) return [];
    const isOnHoop = plan.parts.some(({ id, mount }) => id === put.on && mount === null);
    if (isOnHoop) return hoop ? spread(count, side, (by) => onRound(hoop.outside, (put.along + by) / hoop.outside)) : [];
    return spread(count, side, (by) => ({ view: "above", at: [put.at[0] + by, put.at[1]], turn: 0 }));
  },
  added: () => [],
};

/** Side by side about a middle. */
function spread(count: number, side: number, place: (by: number) => SolderPlace): SolderPlace[] {
  return Array.from({ length: count }, (_, i) => place((i - (count - 1) / 2) * side * APART));
}

/** From one pallion to the next where they lie together, in sides. */
const APART = 1.4;

function onRound(radius: number, angle: number): SolderPlace {
  return { view: "along", at: [radius * Math.sin(angle), radius * Math.cos(angle)], turn: -angle };
}

function settingOf({ plan, joint }: Asked) {
  return plan.drawing.settings[joint.mount ?? ""] ?? Object.values(plan.drawing.settings)[0]!;
}

/** Inside the wall, or against it from outside. */
function roundWall(asked: Asked): SolderPlace[] {
  const { plan } = settingOf(asked);
  const isInside = asked.joint.means === "inside" || asked.joint.means === "under";
  return roundCurve(isInside ? plan.wallInside : plan.wallOutside, asked.count, ((isInside ? -1 : 1) * asked.side) / 2);
}

function inLedge(asked: Asked): SolderPlace[] {
  const [opening] = settingOf(asked).plan.opening;
  return opening ? roundCurve(opening, asked.count, asked.side / 2) : [];
}

/** At a wall's seam; of ornament where its wire closes, of a ledge where that does. */
function atSeam(asked: Asked): SolderPlace[] {
  if (kindOf(asked) === "ledge") return inLedge(asked).slice(0, 1);
  const { seam } = settingOf(asked).plan;
  const layer = layerOf(asked);
  if (layer) return alongLine(layer.middles[0] ?? [], 1, layer.width / 2 + asked.side / 2, false).slice(0, 1);
  return seam ? spread(asked.count, asked.side, () => ({ view: "above", at: [seam.x, seam.y], turn: 0 })) : [];
}

function kindOf({ plan, joint }: Asked): PartKind | undefined {
  return plan.parts.find(({ id }) => id === joint.parts[0])?.kind;
}

function layerOf(asked: Asked): DrawnLayer | undefined {
  return settingOf(asked).plan.layers.find(({ part }) => part === asked.joint.parts[0]);
}

/** Against a layer from outside, by the length of each of its stretches. */
function roundLayer(asked: Asked): SolderPlace[] {
  const layer = layerOf(asked);
  if (!layer) return [];
  const out = layer.width / 2 + asked.side / 2;
  const isRound = layer.ends.length === 0;
  const lengths = layer.middles.map(lengthOf);
  const whole = lengths.reduce((all, each) => all + each, 0);
  let left = asked.count;
  return layer.middles.flatMap((line, i) => {
    const last = i === layer.middles.length - 1;
    const own = last ? left : Math.round((asked.count * lengths[i]!) / whole);
    left -= own;
    return alongLine(line, own, out, isRound);
  });
}

/** Across the hoop's own seam, or where the ring it hangs by is closed. */
function alongSeam({ plan, joint, count, side }: Asked): SolderPlace[] {
  const hoop = hoopIn(plan)?.drawn;
  if (hoop) {
    const angle = joint.place === "front" ? 0 : Math.PI;
    return Array.from({ length: count }, () => onRound(hoop.metal + side / 2, angle));
  }
  const eye = bailIn(plan)?.drawn.hangs[0]?.eyes[0];
  return eye ? Array.from({ length: count }, () => ({ view: "above", at: eye.pivot, turn: 0 })) : [];
}

/** Along the hoop's outside about an angle. */
function onHoop({ plan, count, side }: Asked, angle: number): SolderPlace[] {
  const hoop = hoopIn(plan)?.drawn;
  return hoop ? spread(count, side, (by) => onRound(hoop.metal, angle + by / hoop.metal)) : [];
}

/** Along both edges of the seat that a setting is joined at. */
function underSeat({ plan, joint, count, side }: Asked): SolderPlace[] {
  const hoop = hoopIn(plan)?.drawn;
  const seat = hoop?.seats[joint.mount ?? ""];
  if (!hoop || !seat) return [];
  return Array.from({ length: count }, (_, i) =>
    alongSeat(seat, (i % 2 === 0 ? -1 : 1) * (seat.half + (Math.floor(i / 2) + 0.5) * side), side),
  );
}

function alongSeat({ level, angle }: HoopDrawing["seats"][string], by: number, side: number): SolderPlace {
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const up = level - side / 2;
  return { view: "along", at: [up * sin + by * cos, up * cos - by * sin], turn: -angle };
}

/** Evenly along a closed curve, so far outside it. */
function roundCurve(curve: Curve, count: number, out: number): SolderPlace[] {
  const points = flattened(curve, FINE);
  return alongLine([...points, points[0]!], count, out, true);
}

function lengthOf(line: readonly Point[]): number {
  return line.slice(1).reduce((all, [x, y], i) => all + Math.hypot(x - line[i]![0], y - line[i]![1]), 0);
}

/** Evenly along a line that runs anticlockwise, so far to its outside; on an open one half a gap from either end. */
function alongLine(line: readonly Point[], count: number, out: number, isRound: boolean): SolderPlace[] {
  if (line.length < 2 || count === 0) return [];
  const whole = lengthOf(line);
  const wanted = Array.from({ length: count }, (_, i) => ((isRound ? i : i + 0.5) * whole) / count);
  const places: SolderPlace[] = [];
  let passed = 0;
  for (let i = 1; i < line.length && places.length < count; i++) {
    const [[ax, ay], [bx, by]] = [line[i - 1]!, line[i]!];
    const step = Math.hypot(bx - ax, by - ay);
    while (places.length < count && wanted[places.length]! <= passed + step && step > 0) {
      const share = (wanted[places.length]! - passed) / step;
      const turn = Math.atan2(by - ay, bx - ax);
      const at: Point = [ax + (bx - ax) * share + out * Math.sin(turn), ay + (by - ay) * share - out * Math.cos(turn)];
      places.push({ view: "above", at, turn });
    }
    passed += step;
  }
  return places;
}
