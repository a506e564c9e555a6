import { type Figure, figureOf } from "@/core/measure/figure";
import { type Plan } from "@/core/piece/plan";
import { type Units, showLength } from "./show";

/** What a wall is made of, in the words of what it is. */
export interface WallStock {
  readonly name: "strip" | "tube" | "cup";
  /** The number it all hangs on: "46.05". */
  readonly first: string;
  /** The two numbers it is cut or chosen by: "46.05 × 3.20". */
  readonly size: string;
  /** What they are: "long and tall". */
  readonly sense: string;
  /** The length it all hangs on, with its sum. */
  readonly key: string;
  readonly figure: Figure;
}

/** Whether the wall holds its stone by the school of height that was chosen. */
export function wallHolds({ drawing, settled }: Plan, id: string): boolean {
  const { rule } = settled.mounts[id]!.wall.height;
  return drawing.settings[id]!.schools.some((school) => school.rule === rule && school.holds);
}

/** Strip by length and height; a tube by what it is across and how long; a cup by its inside. */
export function wallStock({ figures, settled }: Plan, id: string, units: Units): WallStock {
  const named = (name: string) => ({ key: `${id}.wall.${name}`, figure: figureOf(figures, `${id}.wall.${name}`) });
  const tall = showLength(named("cutHeight").figure.value, "height", units);
  const { ready } = settled.mounts[id]!.wall;
  const measured = (mm: number) => showLength(mm, "measured", units);
  if (ready?.kind === "tube") {
    const wanted = named("tubeOutside");
    const first = measured(ready.at?.outside ?? wanted.figure.value);
    return { name: "tube", first, size: `${first} × ${tall}`, sense: "across and long", ...wanted };
  }
  if (ready?.kind === "cup") {
    const [wanted, wide] = [named("cupLength"), named("cupWidth").figure];
    const first = measured(wanted.figure.value);
    return { name: "cup", first, size: `${first} × ${measured(wide.value)}`, sense: "inside", ...wanted };
  }
  const cut = named("cutLength");
  const first = showLength(cut.figure.value, "strip", units);
  return { name: "strip", first, size: `${first} × ${tall}`, sense: "long and tall", ...cut };
}
