import { type AppliedShape, type Hold, type JointKind, type Part } from "../joint/joint";
import { NOTHING, type Contribution, type WorkedJoint } from "../joint/contribution";
import { step } from "../making/step";
import { single } from "../measure/figure";
import { type Finding, type FindingCode, type FindingValues, type Level, finding } from "../measure/finding";
import { tolerance } from "../measure/tolerances";
import { type Cut, cutToLength, roundWire } from "../metal/cut";
import { type Metal, massOf } from "../metal/metals";
import { roundTheHoop } from "../hoop/placing";
import { snippetOf, usualWire } from "../mount/layers/granules";
import { FROM_SEAM, type Plane, type Round, clearOfEdge, clearOfOther, clearOfWall, overLayer, reachOf } from "./clearance";
import { APPLIED_SHAPES, type Ball, type Disc, type Ring, type Shaped, type Strip } from "./shapes";

/** Something sweated on: in a mount's plane at [x, y], or so many mm round the hoop from its front. */
export interface Applied {
  readonly id: string;
  readonly name: string | null;
  readonly metal: Metal;
  /** The part it is put on. */
  readonly on: string;
  /** Before what it lies on is bent, or after. */
  readonly when: "flat" | "formed";
  readonly shape: AppliedShape;
  readonly sizes: Readonly<Record<string, number | string>>;
  readonly shaped: Shaped;
  readonly at: readonly [number, number];
  readonly along: number;
  /** Degrees anticlockwise that its length is turned by: from +x, or from the way round the hoop. */
  readonly turn: number;
}

type Entry = {
  readonly disc?: Disc;
  readonly ball?: Ball;
  readonly ring?: Ring;
  readonly strip?: Strip;
};

/** The one shape of an entry, and what it comes to. @throws for an entry that has none. */
export function shapeOf({ disc, ball, ring, strip }: Entry): Pick<Applied, "shape" | "sizes" | "shaped"> {
  if (disc) return { shape: "disc", sizes: { ...disc }, shaped: APPLIED_SHAPES.disc(disc) };
  if (ball) return { shape: "ball", sizes: { ...ball }, shaped: APPLIED_SHAPES.ball(ball) };
  if (ring) return { shape: "ring", sizes: { ...ring }, shaped: APPLIED_SHAPES.ring(ring) };
  if (strip) return { shape: "strip", sizes: { ...strip }, shaped: APPLIED_SHAPES.strip(strip) };
  throw new RangeError("nothing is put on");
}

/** What parts and joints are there already, and where their seams lie. */
export interface Ground {
  readonly parts: readonly Part[];
  readonly joints: readonly WorkedJoint[];
  /** The hoop with its parts; null without one. */
  readonly hoop: (Round & { readonly parts: readonly string[] }) | null;
  /** Each setting as it is seen from above. */
  readonly planes: Readonly<Record<string, () => Plane>>;
  /** How parts are made, by their ids. */
  readonly made: Contribution["made"];
  /** By part: where its seam lies in its mount's plane. */
  readonly seams: Readonly<Record<string, readonly [number, number]>>;
}

/** All that is put on: before the seams of what it lies on where it is put on flat, after them where that is formed. */
export function planApplied(all: readonly Applied[], ground: Ground): Contribution {
  return {
    ...NOTHING,
    figures: Object.assign({}, ...all.map(figuresOf)) as Contribution["figures"],
    parts: all.map((each) => ({
      id: partOf(each),
      kind: each.shape,
      mount: mountOf(each, ground),
      metal: each.metal,
      mass: massFor(each),
      thickness: each.shaped.height,
      ...(each.name !== null && { name: each.name }),
    })),
    findings: all.flatMap((each, i) => [...findingsOf(each, ground), ...placeFindings(each, all.slice(0, i), ground)]),
    joints: all.map((each) => jointOf(each, ground)),
    cuts: all.flatMap((each) => cutsOf(each, ground)),
  };
}

/** Joints with those that are put on flat before what they lie on is bent: before the seams that close it; where it has none, before all else on it. */
export function afterFlat(joints: readonly WorkedJoint[], all: readonly Applied[]): WorkedJoint[] {
  const isSeamed = (part: string) => joints.some(({ kind, parts }) => kind === "seam" && parts.includes(part));
  return joints.map((joint) => {
    const first = all.filter(({ when, on }) => when === "flat" && joint.parts.includes(on) && (joint.kind === "seam" || !isSeamed(on)));
    const flat = first.filter(() => !MADE_FLAT.has(joint.kind));
    return flat.length === 0 ? joint : { ...joint, after: [...joint.after, ...flat.map(partOf)] };
  });
}

/** Joints that are made while their parts are flat: nothing on them need wait. */
const MADE_FLAT: ReadonlySet<JointKind> = new Set(["twist", "strands"]);

function figuresOf(each: Applied): Contribution["figures"] {
  const part = partOf(each);
  const mass = { [`${part}.mass`]: single("g", massFor(each), "density") };
  const { melted, cut } = each.shaped;
  if (cut) return { ...mass, [`${part}.cutLength`]: cut.length };
  if (melted === null) return mass;
  const { length, formula } = snippetOf(usualWire(melted), melted);
  return { ...mass, [`${part}.snippet`]: single("mm", length, formula) };
}

/** Sawn or cut to its shape; of a ball the snippet that is melted. */
function cutsOf(each: Applied, ground: Ground): Cut[] {
  const part = partOf(each);
  const of = { part, mount: mountOf(each, ground), metal: each.metal };
  const { melted, cut } = each.shaped;
  if (cut) return [{ ...of, stock: cut.stock, shape: cut.shape, figure: `${part}.cutLength`, across: null, count: 1 }];
  if (melted === null) return [];
  const from = usualWire(melted);
  return [cutToLength(of, roundWire(from.wire), `${part}.snippet`, snippetOf(from, melted).length)];
}

function partOf({ id }: Applied): string {
  return `applied.${id}`;
}

/** g */
export function massFor({ metal, shaped }: Applied): number {
  return massOf(metal, shaped.volume);
}

function mountOf({ on }: Applied, { parts }: Ground): string | null {
  return parts.find(({ id }) => id === on)?.mount ?? null;
}

function seamsOf({ on }: Applied, { joints }: Ground): string[] {
  return joints.filter(({ kind, parts }) => kind === "seam" && parts.includes(on)).map(({ id }) => id);
}

/** What closes the part that it lies on, and ties its strands. */
function madeOneBy({ on }: Applied, { joints }: Ground): string[] {
  return joints.filter(({ kind, parts }) => (kind === "seam" || MADE_FLAT.has(kind)) && parts.includes(on)).map(({ id }) => id);
}

function jointOf(each: Applied, ground: Ground): WorkedJoint {
  const { shape, shaped, on, when, sizes } = each;
  const part = partOf(each);
  return {
    id: part,
    kind: "applied",
    mount: mountOf(each, ground),
    parts: [part, on],
    length: shaped.length,
    area: shaped.contact,
    place: when,
    after: when === "flat" ? [] : madeOneBy(each, ground),
    follows: [`${part}.mass`],
    ...(when === "formed" && { hold: holdOf(each, ground) }),
    work: {
      before: [
        ...(ground.made[on]?.[when] ?? []),
        ...(shaped.melted !== null
          ? [step(part, "applied.snip", { target: `${part}.snippet`, values: { part, ...usualWire(shaped.melted) } })]
          : []),
        step(part, "applied.make", {
          cautions: shaped.melted !== null ? ["torch", "hotMetal", "charcoal"] : ["saw"],
          values: { part, shape, ...sizes },
        }),
      ],
      lookedFor: ["joint.bright", "joint.noGap"],
      after: [],
    },
  };
}

function holdOf(each: Applied, ground: Ground): Hold {
  const { hoop } = ground;
  return { up: hoop?.parts.includes(each.on) ? each.along / hoop.outside : null, mount: mountOf(each, ground), isLoose: true };
}

function findingsOf(each: Applied, ground: Ground): Finding[] {
  const { shaped, on, when } = each;
  const part = partOf(each);
  const mount = mountOf(each, ground);
  const off = fromSeam(each, ground);
  const isBent = seamsOf(each, ground).length > 0;
  return [
    ...(when === "flat" && isBent && !shaped.isFlat
      ? [finding("applied.crushed", "warning", part, { height: shaped.height, on }, mount)]
      : []),
    ...(off !== null && off < FROM_SEAM
      ? [finding("applied.near-seam", "warning", part, { off: Math.max(0, off), least: FROM_SEAM, on }, mount)]
      : []),
  ];
}

/** What it lies over, or under, or hangs over; each with by how much. */
function placeFindings(each: Applied, before: readonly Applied[], ground: Ground): Finding[] {
  const { hoop } = ground;
  const mount = mountOf(each, ground);
  const found = <C extends FindingCode>(code: C, level: Level, values: FindingValues[C]) =>
    finding(code, level, partOf(each), values, mount);
  if (hoop?.parts.includes(each.on)) {
    const apart = (a: number, b: number) => roundTheHoop(hoop.outside, a - b);
    const over = reachOf(each)[1] - hoop.width / 2;
    return [
      ...before.flatMap((other) => {
        const lies = reachOf(each)[0] + reachOf(other)[0] - apart(each.along, other.along);
        return hoop.parts.includes(other.on) && lies > tolerance.seen
          ? [found("applied.overlap", "error", { other: partOf(other), over: lies })]
          : [];
      }),
      ...hoop.seats.flatMap(({ mount: of, angle, half }) => {
        const lies = reachOf(each)[0] + half * hoop.outside - apart(each.along, angle * hoop.outside);
        return lies > tolerance.seen ? [found("applied.under-setting", "error", { mount: of, over: lies })] : [];
      }),
      ...(each.when === "formed" && over > tolerance.seen ? [found("applied.over-edge", "warning", { over })] : []),
    ];
  }
  const plane = mount === null ? undefined : ground.planes[mount];
  const others = before.filter((other) => mount !== null && mountOf(other, ground) === mount);
  const overlaps = others.flatMap((other) => {
    const lies = -clearOfOther(each, other);
    return lies > tolerance.seen ? [found("applied.overlap", "error", { other: partOf(other), over: lies })] : [];
  });
  if (!plane || ground.parts.find(({ id }) => id === each.on)?.kind !== "plate") return overlaps;
  const [lies, hangs, layer] = [-clearOfWall(each, plane()), -clearOfEdge(each, plane()), overLayer(each, plane())];
  return [
    ...overlaps,
    ...(lies > tolerance.seen ? [found("applied.under-stone", "error", { over: lies })] : []),
    ...(lies <= tolerance.seen && layer && layer.over > tolerance.seen
      ? [found("applied.over-ornament", "error", { other: layer.part, over: layer.over })]
      : []),
    ...(hangs > tolerance.seen ? [found("applied.over-edge", "warning", { over: hangs })] : []),
  ];
}

/** How far its edge lies from the seam of what it is put on, in mm; null where that has none. */
function fromSeam(each: Applied, { hoop, seams, joints }: Ground): number | null {
  const { on, at, along, shaped } = each;
  if (hoop?.parts.includes(on)) {
    const seam = joints.find(({ kind, parts }) => kind === "seam" && parts.includes(on));
    if (!seam) return null;
    const round = 2 * Math.PI * hoop.outside;
    const ahead = Math.abs(along) % round;
    return (seam.place === "front" ? Math.min(ahead, round - ahead) : Math.abs(round / 2 - ahead)) - reachOf(each)[0];
  }
  const seam = seams[on];
  return seam ? Math.hypot(at[0] - seam[0], at[1] - seam[1]) - Math.max(...shaped.half) : null;
}
