import { gamma } from "../measure/gamma";
import { type Outline } from "../geometry/outline";
import { type Dome } from "./dome";
import { knownStone } from "./known-stones";
import { type Stone } from "./stone";

/** What a stone is taken to weigh where nobody said: quartz, and most of what cabochons are cut from (g/cm3). */
const USUAL_DENSITY = 2.65;
const MM3_IN_CM3 = 1000;

/** g/cm3: as it was given, else as its material is known for; null where neither says. */
function densityOf({ material }: Stone): number | null {
  return material?.density ?? knownStone(material?.name ?? "")?.density ?? null;
}

/** What a stone weighs in g, and whether that is a guess. */
export function stoneWeight(stone: Stone, outline: Outline, dome: Dome): { readonly mass: number; readonly isGuess: boolean } {
  const density = densityOf(stone);
  return { mass: (stoneVolume(outline, dome) * (density ?? USUAL_DENSITY)) / MM3_IN_CM3, isGuess: density === null };
}

/**
 * mm3: straight up to where its side leans in, and from there a dome of exponent m, every level of it the outline made smaller by
 * (1 - t^m)^(1/m): A [turn-in + (h - turn-in) G(1 + 1/m) G(1 + 2/m) / G(1 + 3/m)], two thirds of its box for m = 2.
 */
export function stoneVolume({ area }: Pick<Outline, "area">, { height, turnIn, exponent }: Dome): number {
  if (exponent === "flat") return area * height;
  const share = (gamma(1 + 1 / exponent) * gamma(1 + 2 / exponent)) / gamma(1 + 3 / exponent);
  return area * (turnIn + (height - turnIn) * share);
}
