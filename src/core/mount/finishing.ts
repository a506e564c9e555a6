import { type Contribution, NOTHING } from "../joint/contribution";
import { step } from "../making/step";
import { keepsItsFace } from "../stone/known-stones";
import { type Stone, type Tenderness, isSoft } from "../stone/stone";

/** What a patina and the wet tumbling after it do to a stone that is tender to it. */
const PATINA_HARMS: ReadonlySet<Tenderness> = new Set(["water", "acid", "sulphur"]);

/**
 * The whole piece is finished once, before its first stone goes in: a set stone bears neither patina nor shot nor wheel. `parts` are all its parts.
 * The steps are the first setting's, so that one more setting leaves their ticks.
 */
export function finishWhole(mounts: readonly { readonly id: string; readonly stone: Stone }[], parts: readonly string[]): Contribution {
  const [first] = mounts;
  if (!first) return NOTHING;
  const materials = mounts.map(({ stone }) => stone.material);
  const tender = [...PATINA_HARMS].filter((to) => materials.some((each) => each?.tender?.includes(to)));
  const isOneSoft = materials.some((each) => isSoft(each?.mohs ?? null));
  const values = { stones: mounts.length };
  return {
    ...NOTHING,
    finish: [
      step(first.id, "set.surface", { works: parts, cautions: ["sulphur"], values: { ...values, tender, soft: isOneSoft ? 1 : 0 } }),
      step(first.id, "set.finish", {
        works: parts,
        checks: ["edge.smooth"],
        cautions: ["dust", "wheel"],
        values: { ...values, kept: materials.some((each) => keepsItsFace(each?.name)) ? 1 : 0 },
      }),
    ],
  };
}
