import { type Step, type StepCode, entriesFor } from "../making/step";
import { figureOf } from "../measure/figure";
import { lowerGrade } from "../metal/shelf";
import { heightThatHolds } from "../mount/plan-wall";
import { HAND_PUSHER } from "../mount/set-stone";
import { greatestTurnIn } from "../stone/stone";
import { costOf, madeAnew, worked } from "./anew";
import { type Readings } from "./measured";
import { NEAR } from "./reading-scales";
import { type Remedy, type RemedyCode, lastReadings } from "./remedies";
import { type Mount, type Piece } from "./piece";
import { type Plan, type PlannedJoint, heatOf, hoopIn } from "./plan";

/** What usually goes wrong at a step. */
export type MishapCode =
  | "wall.small"
  | "wall.large"
  | "wall.twisted"
  | "wall.tall"
  | "wall.low"
  | "wall.crimps"
  | "wall.heavy"
  | "stone.stuck"
  | "solder.one-side"
  | "solder.balled"
  | "solder.flooded"
  | "paste.pitted"
  | "part.slid"
  | "foot.gap"
  | "joint.opened"
  | "fused.pits"
  | "hoop.small"
  | "hoop.large"
  | "part.spoiled";

/** What is pressed to take a remedy: what comes again, as a make lists it, or the piece as it is made from here. */
export type MishapAct =
  | {
      readonly kind: "again";
      readonly entries: readonly string[];
      /** Parts that are made anew: what was read of the old ones is theirs. */
      readonly anew?: readonly string[];
    }
  | { readonly kind: "change"; readonly piece: Piece };

/** Something that can have gone wrong at a step, with what its remedy comes to on this piece. */
export interface Mishap {
  readonly code: MishapCode;
  /** The figure or joint that it is about. */
  readonly about: string;
  /** Lengths in mm, temperatures in degrees C, names of joints and grades. */
  readonly values: Readonly<Record<string, number | string>>;
  /** null where the remedy is only told. */
  readonly act: MishapAct | null;
}

/** A step of a piece as it is planned now. */
interface At {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly step: Step;
  readonly read: ReturnType<typeof lastReadings>;
}

interface MishapKind {
  readonly at: readonly StepCode[];
  readonly of: (at: At) => readonly Omit<Mishap, "code">[];
}

/** Steps at which it is seen how a joint was soldered. */
const SOLDERED: readonly StepCode[] = ["join.solder", "join.pickle", "join.check"];

const MISHAPS: Readonly<Record<MishapCode, MishapKind>> = {
  "wall.small": { at: ["wall.wrap", "wall.try"], of: (at) => ofMount(at, ({ id }) => wallLengths(at, id, SMALL, null)) },
  "wall.large": {
    at: ["wall.try"],
    of: (at) =>
      ofMount(at, ({ id }) =>
        wallLengths(at, id, LARGE, again([...named(at, id, ["wall.wrap"]), ...seam(at, id), ...named(at, id, ["wall.try"])])),
      ),
  },
  "wall.twisted": { at: ["wall.try", "wall.foot"], of: (at) => ofMount(at, ({ id }) => [{ about: `${id}.wall`, values: {}, act: null }]) },
  "wall.tall": {
    at: ["set.height", "set.curve"],
    of: (at) => ofMount(at, ({ id }) => [{ about: netHeight(id), values: { net: value(at, netHeight(id)) }, act: null }]),
  },
  "wall.low": { at: ["set.try", "set.height", "set.curve"], of: (at) => ofMount(at, (mount) => [tooLow(at, mount)]) },
  "wall.crimps": { at: ["set.push"], of: (at) => ofMount(at, (mount) => [crimped(at, mount)]) },
  "wall.heavy": {
    at: ["set.push"],
    of: (at) =>
      ofMount(at, ({ id }) => {
        const { thickness } = at.plan.settled.mounts[id]!.wall;
        return thickness > HAND_PUSHER ? [{ about: `${id}.wall`, values: { thickness }, act: null }] : [];
      }),
  },
  "stone.stuck": { at: ["wall.try", "set.try"], of: (at) => ofMount(at, ({ id }) => [{ about: `${id}.stone`, values: {}, act: null }]) },
  "solder.one-side": { at: SOLDERED, of: (at) => ofHeat(at, isAny, (joints) => ({ values: onePiece(at, joints), act: null })) },
  "solder.balled": { at: SOLDERED, of: (at) => heatAgain(at, isAny) },
  "solder.flooded": { at: SOLDERED, of: (at) => ofHeat(at, isMadeBy(at, "wire"), () => ({ values: {}, act: null })) },
  "paste.pitted": { at: SOLDERED, of: (at) => heatAgain(at, isMadeBy(at, "paste")) },
  "part.slid": { at: SOLDERED, of: (at) => heatAgain(at, isMadeBy(at, "sweat")) },
  "foot.gap": {
    at: SOLDERED,
    of: (at) => {
      const isFoot = (joint: string) => kindOf(at, joint) === "foot";
      return ofHeat(at, isFoot, (joints) => ({ values: onePiece(at, joints), act: null }));
    },
  },
  "joint.opened": { at: ["join.fuse", ...SOLDERED], of: opened },
  "fused.pits": { at: ["join.fuse", "join.check"], of: (at) => heatAgain(at, isMadeBy(at, "fuse")) },
  "hoop.small": { at: ["hoop.round"], of: (at) => hoopSizes(at, SMALL) },
  "hoop.large": { at: ["hoop.round"], of: (at) => hoopSizes(at, LARGE) },
  "part.spoiled": { at: ["join.fuse", ...SOLDERED, "wall.try", "wall.foot", "hoop.bend", "hoop.round"], of: spoiled },
};

const CODES = Object.keys(MISHAPS) as MishapCode[];

/** What usually goes wrong at a step, each with its remedy worked out on this piece; of what was read only what the reading says. */
export function mishapsAt(piece: Piece, plan: Plan, step: Step, measured: Readings = []): Mishap[] {
  const at = { piece, plan, step, read: lastReadings(measured) };
  return CODES.filter((code) => MISHAPS[code].at.includes(step.code)).flatMap((code) =>
    MISHAPS[code].of(at).map((each) => ({ code, ...each })),
  );
}

function value({ plan }: At, key: string): number {
  return figureOf(plan.figures, key).value;
}

function netHeight(mount: string): string {
  return `${mount}.wall.netHeight`;
}

function ofMount({ piece, step }: At, told: (mount: Mount) => Omit<Mishap, "code">[]): Omit<Mishap, "code">[] {
  const mount = piece.mounts.find(({ id }) => id === step.part);
  return mount ? told(mount) : [];
}

/** One for all the joints of a step's heat that it can have happened to. */
function ofHeat(
  { step }: At,
  isOne: (joint: string) => boolean,
  told: (joints: readonly [string, ...string[]]) => Omit<Mishap, "code" | "about">,
): Omit<Mishap, "code">[] {
  const [first, ...others] = step.joints.filter(isOne);
  return first === undefined ? [] : [{ about: first, ...told([first, ...others]) }];
}

/** What is mended by doing all of a step's heat again. */
function heatAgain(at: At, isOne: (joint: string) => boolean): Omit<Mishap, "code">[] {
  return ofHeat(at, isOne, () => ({ values: {}, act: again(at.step.joints.flatMap((joint) => made(at, joint))) }));
}

const isAny = () => true;

function kindOf({ plan }: At, joint: string) {
  return plan.joints.find(({ id }) => id === joint)?.kind;
}

function isMadeBy({ plan }: At, means: PlannedJoint["means"]): (joint: string) => boolean {
  return (joint) => plan.joints.find(({ id }) => id === joint)?.means === means;
}

function again(entries: readonly string[]): MishapAct | null {
  return entries.length === 0 ? null : { kind: "again", entries };
}

/** A part is made anew, with all that was done to it or with it. */
function anew({ plan }: At, part: string): MishapAct {
  return { kind: "again", entries: madeAnew(plan, [part]).entries, anew: [part] };
}

/** What is worked or joined in a step can melt, crack or be cut short. */
function spoiled(at: At): Omit<Mishap, "code">[] {
  const { plan, step } = at;
  const tied = step.joints.flatMap((joint) => plan.joints.find(({ id }) => id === joint)?.parts ?? []);
  const parts = [...new Set(tied.length > 0 ? tied : worked(step, plan.parts))];
  return parts.map((part) => ({ about: part, values: { part, ...costOf(madeAnew(plan, [part]).steps, plan.tasks) }, act: anew(at, part) }));
}

/** Steps of a setting by what is done in them. */
function named({ plan }: At, part: string, codes: readonly StepCode[]): string[] {
  return plan.steps.filter((step) => step.part === part && codes.includes(step.code)).map(({ id }) => id);
}

/** What a make lists once a joint is made. */
function made({ plan }: At, joint: string): string[] {
  return plan.steps.flatMap((step) => (step.values.joint === joint ? [step.id] : entriesFor(step, joint)));
}

/** The steps in which the seam of a setting's wall is made, or of the hoop where none is named. */
function seam(at: At, mount: string | null): string[] {
  return at.plan.joints.filter((joint) => joint.kind === "seam" && joint.mount === mount).flatMap(({ id }) => made(at, id));
}

/** What a reading says of a size: that it is short of what was wanted, or over it. */
const SMALL: ReadonlySet<RemedyCode> = new Set(["wall.stretch", "hoop.stretch", "hoop.open"]);
const LARGE: ReadonlySet<RemedyCode> = new Set(["wall.cut-out", "hoop.cut-out", "hoop.close"]);

/** What is to be done about a figure as it was read: nothing where it was not read, null where the reading says otherwise. */
function readAs({ plan, read }: At, figure: string, says: ReadonlySet<RemedyCode>): Remedy | null | undefined {
  if (!read.has(figure)) return undefined;
  return plan.remedies.find((remedy) => remedy.figure === figure && says.has(remedy.code)) ?? null;
}

function wallLengths(at: At, mount: string, says: ReadonlySet<RemedyCode>, act: MishapAct | null): Omit<Mishap, "code">[] {
  const of = (name: string) => `${mount}.wall.${name}`;
  if (!at.plan.figures[of("windowLow")]) return [];
  if (readAs(at, of("netLength"), says) === null) return [];
  return [{ about: of("netLength"), values: { low: value(at, of("windowLow")), net: value(at, of("netLength")) }, act }];
}

/** Least height at which a setting's wall holds, from its foot. */
function holding(at: At, { id, stone }: Mount): number {
  const { lift } = at.plan.settled.mounts[id]!.wall;
  return heightThatHolds(greatestTurnIn(stone), value(at, `${id}.wall.lip`)) + lift.value;
}

/** The cushion under the stone comes out; where there is none the wall is made anew. */
function tooLow(at: At, mount: Mount): Omit<Mishap, "code"> {
  const { id } = mount;
  const { cushion } = at.plan.drawing.settings[id]!.section;
  const least = holding(at, mount);
  return {
    about: netHeight(id),
    values: { least: least - cushion, cushion },
    act:
      cushion > 0
        ? {
            kind: "change",
            piece: changed(at.piece, { ...mount, wall: { ...mount.wall, lift: at.plan.settled.mounts[id]!.wall.lift.value - cushion } }),
          }
        : anew(at, `${id}.wall`),
  };
}

/** A wall that crimps is lowered as far as it still holds. */
function crimped(at: At, mount: Mount): Omit<Mishap, "code"> {
  const { id } = mount;
  const [net, least] = [value(at, netHeight(id)), holding(at, mount)];
  const by = net - least;
  const lower = { ...mount, wall: { ...mount.wall, heightRule: "fixed" as const, fixedHeight: least } };
  return {
    about: netHeight(id),
    values: { least, by: by > NEAR ? by : 0 },
    act: by > NEAR ? { kind: "change", piece: changed(at.piece, lower) } : null,
  };
}

function changed(piece: Piece, mount: Mount): Piece {
  return { ...piece, mounts: piece.mounts.map((each) => (each.id === mount.id ? mount : each)) };
}

/** One piece more of the solder that a joint is made with; its size where it is one joint's. */
function onePiece({ plan }: At, [joint, ...others]: readonly [string, ...string[]]): Mishap["values"] {
  const made = heatOf(plan, joint);
  const size = others.length === 0 ? made?.solder?.size : undefined;
  return { joint, grade: made?.heat.grade ?? "", ...(size && { long: size[0], wide: size[1] }) };
}

/** Joints made before that this heat endangers; the last one made where it endangers none. Each is run again with its own grade. */
function opened(at: At): Omit<Mishap, "code">[] {
  const { plan, step } = at;
  const heat = step.heat === null ? undefined : plan.heats[step.heat];
  if (!heat || step.heat === null) return [];
  const endangered = [...new Set([...heat.runs, ...heat.softens, ...heat.atRisk])];
  const last = plan.heats[step.heat - 1]?.joints.slice(-1) ?? [];
  return (endangered.length > 0 ? endangered : last).map((joint) => {
    const own = heatOf(plan, joint)!.heat;
    return {
      about: joint,
      values: { joint, grade: own.grade, working: own.working, lower: lowerGrade(plan.settled.heats.shelf, own.grade) ?? "" },
      act: again(made(at, joint)),
    };
  });
}

/** A hoop with a seam is cut open and closed again, one without is opened or closed: what a millimetre of its inside diameter takes of its length. */
function hoopSizes(at: At, says: ReadonlySet<RemedyCode>): readonly Omit<Mishap, "code">[] {
  if (!hoopIn(at.plan)) return [];
  const remedy = readAs(at, INSIDE, says);
  if (remedy === null) return [];
  const by = Number(remedy?.values.by);
  // More than a size is not stretched: a piece is cut in, of the length that so much of the diameter takes.
  const way = remedy?.code === "hoop.stretch" && remedy.level === "error" ? "cut-in" : remedy?.code;
  const open = seam(at, null);
  const isCut = open.length > 0 && way !== "hoop.stretch";
  const values = {
    ...{ inside: value(at, INSIDE), length: 1 / value(at, "hoop.lostPerMillimetre"), seam: open.length === 0 ? 0 : 1 },
    ...(way && { way, by: way === "cut-in" ? Math.PI * by : by }),
  };
  return [{ about: INSIDE, values, act: isCut ? again([...open, ...named(at, at.step.part, ["hoop.round"])]) : null }];
}

const INSIDE = "hoop.insideDiameter";
