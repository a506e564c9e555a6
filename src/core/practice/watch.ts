import { type BodyJoint } from "./body-joints";
import { type FluxStage } from "./flux";
import { type PractisedHeat } from "./heat";
import { EVEN, evennessOf, isAllMade } from "./outcome";
import { partNow } from "./play";

/** What counts most at a moment of a heat: one thing to be said of it. */
export type Watch =
  | { readonly code: "start" }
  | { readonly code: "melts"; readonly part: string; readonly spare: number }
  | { readonly code: "opens" | "softens"; readonly joint: string; readonly spare: number }
  | { readonly code: "climbed"; readonly part: string; readonly count: number; readonly hotter: number }
  | { readonly code: "ran" }
  | { readonly code: "spent"; readonly joint: string }
  | { readonly code: "lags"; readonly part: string; readonly behind: string; readonly degrees: number }
  | { readonly code: "flux"; readonly stage: FluxStage }
  | { readonly code: "near"; readonly degrees: number }
  | { readonly code: "running"; readonly joint: string; readonly share: number };

/** Nearer than this to melting or softening is warned of, and sides further apart than this lag (degrees). */
const WARNS = { melts: 15, softens: 12, lags: 25 } as const;
/** A lag is of no account while all is cold (degrees C). */
const WARM = 450;

export function watchOf(heat: PractisedHeat): Watch {
  const { body, solder } = heat;
  if (poorestFlux(heat) === "none") return { code: "flux", stage: "none" };
  if (heat.steps === 0) return { code: "start" };
  const wanted = body.joints.flatMap((joint, j) => (joint.isWanted ? [{ joint, j }] : []));
  if (isAllMade(heat)) return { code: "ran" };
  const melting = body.parts
    .map(({ id, from }, p) => ({ part: id, spare: body.solidus[from]! - partNow(heat, p).most }))
    .sort((a, b) => a.spare - b.spare)[0]!;
  if (melting.spare < WARNS.melts) return { code: "melts", ...melting };
  const held = earlierOf(heat).sort((a, b) => a.spare - b.spare)[0];
  if (held && held.spare < WARNS.softens) return { code: held.hasRun ? "opens" : "softens", joint: held.joint, spare: held.spare };
  for (const { j } of wanted) {
    const climbed = solder[j]!.pallions.flatMap((state, i) => (state === "climbed" ? [i] : []));
    const [first] = climbed;
    if (first === undefined) continue;
    const part = body.parts[solder[j]!.climbed[first]!]!.id;
    return { code: "climbed", part, count: climbed.length, hotter: solder[j]!.climbedBy[first]! };
  }
  const spent = wanted.find(({ joint, j }) => joint.places.some((_, p) => heat.fluxAt(j, p) === "spent"));
  if (spent) return { code: "spent", joint: spent.joint.id };
  const lag = lagOf(heat, wanted.map(({ joint }) => joint)); // prettier-ignore
  if (lag) return { code: "lags", ...lag };
  const stage = poorestFlux(heat);
  if (stage !== null && stage !== "clear") return { code: "flux", stage };
  const running = wanted.find(({ j }) => solder[j]!.share > 0 && !solder[j]!.isMade);
  if (running) return { code: "running", joint: running.joint.id, share: solder[running.j]!.share };
  return { code: "near", degrees: Math.max(0, ...wanted.map(({ joint }) => joint.runs - coolestOf(heat, joint))) };
}

/** Joints made before, with how far each is from softening; those that the plan softens are left out. */
export function earlierOf({ body, disturbed, temperatures }: PractisedHeat) {
  return body.joints.flatMap((joint, j) => {
    if (joint.isWanted || joint.isShielded || body.heat.softens.includes(joint.id) || body.heat.runs.includes(joint.id)) return [];
    const most = Math.max(...joint.places.map(({ sides }) => sides.reduce((all, side) => all + temperatures[side]!, 0) / sides.length));
    return [{ joint: joint.id, spare: joint.softens - most, ...disturbed[j]! }];
  });
}

/** Of two sides of a joint the one that is far behind, by the mean along it. */
function lagOf(heat: PractisedHeat, joints: readonly BodyJoint[]) {
  const { temperatures, body } = heat;
  let found: { part: string; behind: string; degrees: number } | null = null;
  for (const { places } of joints) {
    const [first] = places;
    if (!first || first.sides.length < 2) continue;
    const mean = [0, 1].map((k) => places.reduce((all, { sides }) => all + temperatures[sides[k]!]!, 0) / places.length);
    const degrees = Math.abs(mean[0]! - mean[1]!);
    if (degrees < Math.max(WARNS.lags, found?.degrees ?? 0) || Math.max(...mean) < WARM) continue;
    const ids = first.sides.map((side) => body.parts[body.partOf[side]!]!.id);
    if (ids[0] === ids[1]) continue;
    const [part, behind] = mean[0]! < mean[1]! ? [ids[0]!, ids[1]!] : [ids[1]!, ids[0]!];
    found = { part, behind, degrees };
  }
  return found;
}

const STAGES: readonly FluxStage[] = ["none", "wet", "white", "honey", "clear", "spent"];

/** The stage of flux where it is least far; null where a heat takes none. */
export function poorestFlux(heat: PractisedHeat): FluxStage | null {
  const all = heat.flux.flatMap((places) => places.map(({ stage }) => STAGES.indexOf(stage)));
  return all.length === 0 ? null : STAGES[Math.min(...all)]!;
}

function coolestOf(heat: PractisedHeat, joint: BodyJoint): number {
  return Math.min(...joint.places.map((_, p) => heat.coolestAt(joint, p)));
}

/** What makes a heat good, and how far each is. */
export type Aim =
  | { readonly code: "runs"; readonly joint: string; readonly state: AimState; readonly share: number; readonly climbed: number }
  | { readonly code: "stays"; readonly joint: string; readonly state: AimState; readonly spare: number }
  | { readonly code: "even"; readonly state: AimState; readonly degrees: number };
export type AimState = "met" | "open" | "missed";

export function aimsOf(heat: PractisedHeat, evenness: number | null): Aim[] {
  const { body, solder } = heat;
  const now = evenness ?? evennessOf(heat);
  return [
    ...body.joints.flatMap((joint, j): Aim[] => {
      if (!joint.isWanted) return [];
      const climbed = solder[j]!.pallions.filter((state) => state === "climbed").length;
      const state = solder[j]!.isMade ? "met" : climbed > 0 || solder[j]!.isDry ? "missed" : "open";
      return [{ code: "runs", joint: joint.id, state, share: solder[j]!.share, climbed }];
    }),
    ...earlierOf(heat).map(({ joint, spare, soft, hasRun }): Aim => ({
      code: "stays",
      joint,
      state: soft > 0 || hasRun ? "missed" : "met",
      spare,
    })),
    { code: "even", state: evenness === null ? (now <= EVEN ? "met" : "open") : now <= EVEN ? "met" : "missed", degrees: now },
  ];
}
