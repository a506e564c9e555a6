import fc from "fast-check";
import { runs } from "@/runs.testing";
import { DEMO_PIECES } from "@demo/pieces";
import { type Applied } from "../applied/applied";
import { SHIPPED_BENCH } from "../piece/bench";
import { anyPiece } from "../piece/any-piece.testing";
import { type Piece } from "../piece/piece";
import { type Plan } from "../piece/plan";
import { planPiece } from "../piece/plan-piece";
import { isSoft } from "../stone/stone";
import { type Step, type StepCode, isHeating } from "./step";

/** What a step does to all that hangs together with what it works. */
type Act = "heat" | "acid" | "water" | "tumble" | "wheel" | "bend" | "glue" | "set";

/** What each step does that can harm something; a step that is not here harms nothing. */
const ACTS: Readonly<Partial<Record<StepCode, readonly Act[]>>> = {
  "join.tin": ["heat"],
  "join.solder": ["heat"],
  "join.fuse": ["heat"],
  "join.pickle": ["acid", "water"],
  "join.finish": ["wheel"],
  "join.cold": ["glue"],
  "hoop.inset": ["glue"],
  "hoop.bend": ["bend"],
  "hoop.wrap": ["bend"],
  "hoop.spread": ["bend"],
  "wall.wrap": ["bend"],
  "set.surface": ["acid", "water", "tumble"],
  "set.finish": ["wheel", "water"],
  "set.push": ["set"],
};

/** What has become of a body, and what it cannot bear from then on. */
interface State {
  readonly isSet: boolean;
  readonly isSoft: boolean;
  readonly isGlued: boolean;
  readonly isPatinated: boolean;
  readonly isRaised: boolean;
}

const BEARS: Readonly<Record<Exclude<Act, "glue" | "set">, (state: State) => boolean>> = {
  heat: ({ isSet, isGlued, isPatinated }) => !isSet && !isGlued && !isPatinated,
  acid: ({ isSet, isGlued }) => !isSet && !isGlued,
  water: ({ isSet, isGlued }) => !isSet && !isGlued,
  tumble: ({ isSet, isGlued }) => !isSet && !isGlued,
  wheel: ({ isSet, isSoft: soft, isGlued }) => !isSet && !soft && !isGlued,
  bend: ({ isRaised }) => !isRaised,
};

const NEW: State = { isSet: false, isSoft: false, isGlued: false, isPatinated: false, isRaised: false };

/** Steps that harm what an earlier one made: which, and by what. */
function harms(piece: Piece, { steps, parts, joints, drawing }: Plan): string[] {
  const bodyOf = new Map(parts.map(({ id }) => [id, new Set([id])]));
  const states = new Map(parts.map(({ id }) => [id, NEW]));
  const raised = new Set(drawing.applied.filter(isRaised).map(({ id }) => `applied.${id}`));
  const found: string[] = [];
  for (const step of steps) {
    const acts = ACTS[step.code] ?? [];
    const tied = [...step.joints, String(step.values.joint ?? "")].flatMap((id) => joints.find((joint) => joint.id === id)?.parts ?? []);
    const named = [step.part, ...step.works].flatMap((id) => parts.filter((part) => part.id === id || part.mount === id));
    const worked = tied.length > 0 ? tied : (named.length > 0 ? named : parts.filter(({ mount }) => mount === null)).map(({ id }) => id);
    const body = new Set(worked.flatMap((part) => [...bodyOf.get(part)!]));
    for (const act of acts)
      if (act !== "glue" && act !== "set")
        for (const part of body) if (!BEARS[act](states.get(part)!)) found.push(`${step.id}: ${act} on ${part}`);
    if (isHeating(step) || step.code === "join.cold") for (const part of body) bodyOf.set(part, body);
    const becomes = (change: Partial<State>) => body.forEach((part) => states.set(part, { ...states.get(part)!, ...change }));
    if (acts.includes("set")) becomes({ isSet: true, isSoft: isSoft(materialOf(piece, step)?.mohs ?? null) });
    if (acts.includes("glue")) becomes({ isGlued: true });
    if (step.code === "set.surface") becomes({ isPatinated: true });
    if (isHeating(step) && step.joints.some((id) => raised.has(id))) becomes({ isRaised: true });
  }
  return found;
}

/** What is put on flat is bent with what it lies on; that a thick one is crushed then is told. */
const isRaised = ({ when }: Applied) => when === "formed";
const materialOf = ({ mounts }: Piece, { part }: Step) => mounts.find(({ id }) => id === part)?.stone.material;

/** By kind of part: the steps of which one has made it, before anything is joined to it. */
const MADE_BY: Readonly<Partial<Record<Plan["parts"][number]["kind"], readonly StepCode[]>>> = {
  wall: ["wall.cut", "wall.part", "wall.fits"],
  plate: ["plate.cut"],
  ledge: ["ledge.cut"],
  hoop: ["hoop.cut", "hoop.twist"],
  strand: ["hoop.cut", "hoop.twist"],
  bridge: ["bridge.form"],
  wire: ["ornament.bend"],
  twist: ["ornament.bend"],
  "bead-wire": ["ornament.bend"],
  granules: ["ornament.melt"],
  bail: ["bail.fold", "bail.saw"],
  "jump-ring": ["bail.wind", "link.wind"],
  post: ["post.cut"],
  earwire: ["earwire.bend"],
  disc: ["applied.make"],
  ball: ["applied.make"],
  ring: ["applied.make"],
  strip: ["applied.make"],
};

/** Joints that are soldered before a part of theirs is made. */
function unmade({ steps, parts, joints }: Plan): string[] {
  return steps.filter(isHeating).flatMap((heat) => {
    const before = steps.slice(0, steps.indexOf(heat));
    const tied = heat.joints.flatMap((id) => joints.find((joint) => joint.id === id)!.parts);
    return tied.flatMap((id) => {
      const { kind, mount } = parts.find((part) => part.id === id)!;
      const codes = MADE_BY[kind] ?? [];
      const isMade = before.some(
        ({ code, part, works }) =>
          codes.includes(code) &&
          (part === id || part === mount || works.includes(id) || kind === "strand" || (kind === "ledge" && part.startsWith(`${mount}.`))),
      );
      return isMade ? [] : [`${id} before ${heat.id}`];
    });
  });
}

const withoutWishes = (piece: Piece): Piece => ({ ...piece, heats: { ...piece.heats, pins: [] } });

test("no step harms what an earlier one made, and nothing is joined before it is made: the demo's pieces and any other", () => {
  const check = (asked: Piece) => {
    const piece = withoutWishes(asked);
    const plan = planPiece(piece, SHIPPED_BENCH);
    expect([harms(piece, plan), unmade(plan)]).toEqual([[], []]);
    expect(new Set(plan.steps.map(({ id }) => id)).size).toBe(plan.steps.length);
  };
  DEMO_PIECES.forEach(check);
  fc.assert(fc.property(anyPiece(), check), { numRuns: runs(120) });
});

test("the table of harms sees what it must: a heat after the stone, a wheel on it, a bent disc", () => {
  const [tern] = DEMO_PIECES.filter(({ id }) => id === "tern-ring");
  const plan = planPiece(tern!, SHIPPED_BENCH);
  const moved = (code: StepCode, to: number) => {
    const step = plan.steps.find((each) => each.code === code)!;
    const rest = plan.steps.filter((each) => each !== step);
    return { ...plan, steps: rest.toSpliced(to, 0, step) };
  };
  expect(harms(tern!, moved("set.push", 20))).not.toEqual([]);
  expect(harms(tern!, moved("set.finish", plan.steps.length - 1))[0]).toBe("m1.set.finish: wheel on m1.wall");
  expect(unmade(moved("plate.cut", plan.steps.length - 1))).toContain("m1.plate before m1.foot.heat");
});
