import { type Figure, figureOf } from "@/core/measure/figure";
import { type Plan } from "@/core/piece/plan";
import { type Units, showLength } from "./show";

/** What a wall is made of, in the words of what it is. */
export interface WallStock {
  readonly name: "strip" | "tube" | "cup";
  /** The two numbers it is cut or chosen by: "46.05 × 3.20". */
  readonly size: string;
  /** What they are: "long and tall". */
  readonly sense: string;
  /** The length it all hangs on, with its sum. */
  readonly key: string;
  readonly figure: Figure;
}

/** Strip by length and height; a tube by what it is across and how long; a cup by its inside. */
export function wallStock({ figures, settled }: Plan, id: string, units: Units): WallStock {
  const named = (name: string) => ({ key: `${id}.wall.${name}`, figure: figureOf(figures, `${id}.wall.${name}`) });
  const tall = showLength(named("cutHeight").figure.value, "height", units);
  const { ready } = settled.mounts[id]!.wall;
  const measured = (mm: number) => showLength(mm, "measured", units);
  if (ready?.kind === "tube") {
    const wanted = named("tubeOutside");
    return { name: "tube", size: `${measured(ready.at?.outside ?? wanted.figure.value)} × ${tall}`, sense: "across and long", ...wanted };
  }
  if (ready?.kind === "cup") {
    const [wanted, wide] = [named("cupLength"), named("cupWidth").figure];
    return { name: "cup", size: `${measured(wanted.figure.value)} × ${measured(wide.value)}`, sense: "inside", ...wanted };
  }
  const cut = named("cutLength");
  return { name: "strip", size: `${showLength(cut.figure.value, "strip", units)} × ${tall}`, sense: "long and tall", ...cut };
}
