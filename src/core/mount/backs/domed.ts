import { type Step, step } from "../../making/step";
import { type Figures, single, sum, term } from "../../measure/figure";
import { massOf } from "../../metal/metals";
import { type BackAsked, type StandingWall } from "./back";
import { type Sizes } from "./sized";

/** Radius of the sphere of a cap that is `rise` high over a rim of radius `a`: (a^2 + h^2) / 2h. */
export function sphereOf(a: number, rise: number): number {
  return (a * a + rise * rise) / (2 * rise);
}

/** Diameter of the flat disc that a cap is domed from, of the same area: 2 sqrt(a^2 + h^2). */
export function discFor(a: number, rise: number): number {
  return 2 * Math.sqrt(a * a + rise * rise);
}

/** How far a chord of length `b` stands clear of a sphere at its ends: R - sqrt(R^2 - b^2 / 4), R at the most. */
export function domeStep(sphere: number, b: number): number {
  return sphere - Math.sqrt(Math.max(0, sphere * sphere - (b * b) / 4));
}

/** Sizes of a round plate that is cut flat and domed: its rim stays, its metal is that of the flat disc. Unchanged where nothing rises. */
export function domedSizes(sizes: Sizes, { back }: Pick<BackAsked, "back">): Sizes {
  const { rise } = back;
  if (rise === 0) return sizes;
  const rim = sizes.length.value / 2;
  const wider = discFor(rim, rise) - 2 * rim;
  const area = sum("mm2", [...sizes.area.terms, term("dome", Math.PI * rise * rise, "piece")]);
  return {
    ...sizes,
    sphere: sphereOf(rim, rise),
    flatBy: wider / 2,
    area,
    mass: single("g", massOf(back.metal, area.value * back.thickness), "density"),
    blank: (saw) => {
      const { length, width } = sizes.blank(saw);
      const more = term("dome", wider, "piece");
      return { length: sum("mm", [...length.terms, more]), width: sum("mm", [...width.terms, more]) };
    },
  };
}

/** Length of a setting on its plate, outside, along its stone or across it, whichever is longer (mm). */
function lengthOn({ outline, turn }: Pick<BackAsked, "outline" | "turn">, { fit, thickness }: StandingWall): number {
  return Math.max(outline.extent(turn), outline.extent(turn + Math.PI / 2)) + 2 * (fit.value + thickness.value);
}

/** What filing a wall's foot to its plate's dome adds: how far it would stand clear at its ends. Nothing on a flat one. */
export function footOnDome(asked: BackAsked, sphere: number | null): { readonly figures: Figures; readonly before: readonly Step[] } {
  if (sphere === null) return { figures: {}, before: [] };
  const { mount, wall } = asked;
  const key = `${mount}.plate.domeStep`;
  return {
    figures: { [key]: single("mm", domeStep(sphere, lengthOn(asked, wall)), "dome.step") },
    before: [step(mount, "wall.dome", { works: [wall.part], target: key, checks: ["foot.onDome"], cautions: ["dust"] })],
  };
}
