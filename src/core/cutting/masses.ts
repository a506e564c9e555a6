import { polygonArea } from "../geometry/polygon";
import { type CutStock, areaAcross } from "../metal/cut";
import { type Metal, massOf } from "../metal/metals";
import { sheetArea } from "./sheet";
import { type CutsPlan, type DrawnMetal, type PlannedLength, type PlannedSheet } from "./plan-cuts";
import { type Wanted, sawPolygon } from "./wanted";

// What is cut weighs.

type Begun = Pick<CutsPlan, "lengths" | "sheets">;

/** mm3 of the blanks of one thing that is begun, and of all that is drawn from it; blanks are as thick as what they are cut from. */
function volumesOf(begun: PlannedLength | PlannedSheet): { readonly blanks: number; readonly drawn: number } {
  if ("sheet" in begun) {
    const { form, sheet, placed, remainder, goesBack } = begun;
    const blanks = placed.reduce((sum, { wanted }) => sum + blankVolume(wanted, form.stock), 0);
    return { blanks, drawn: (sheetArea(sheet) - (goesBack ? remainder!.area : 0)) * areaAcross(form.stock) };
  }
  const { form, length, cuts, left, goesBack } = begun;
  const blanks = cuts.reduce((sum, { wanted }) => sum + blankVolume(wanted, form.stock), 0);
  return { blanks, drawn: (length - (goesBack ? left : 0)) * areaAcross(form.stock) };
}

function blankVolume(wanted: Wanted, from: CutStock): number {
  const { shape, stock } = wanted.cut;
  if (shape.kind === "outline") return Math.abs(polygonArea(sawPolygon(wanted))) * areaAcross(from);
  const across = from.form === "strip" && stock.form === "strip" ? Math.min(from.width, stock.width) * from.thickness : areaAcross(from);
  return shape.length * across;
}

/** g of each metal that what is begun comes to. */
export function metalsOf({ lengths, sheets }: Begun): DrawnMetal[] {
  const metals = new Map<Metal, { blanks: number; drawn: number }>();
  for (const begun of [...lengths, ...sheets]) {
    const { metal } = begun.form;
    const before = metals.get(metal) ?? { blanks: 0, drawn: 0 };
    const { blanks, drawn } = volumesOf(begun);
    metals.set(metal, { blanks: before.blanks + massOf(metal, blanks), drawn: before.drawn + massOf(metal, drawn) });
  }
  return [...metals].map(([metal, { blanks, drawn }]) => ({ metal, drawn, blanks, spoiled: drawn - blanks }));
}

/** g of each metal that the blanks of a piece weigh, of all its copies. */
export function blankMasses({ lengths, sheets }: Begun, piece: string): ReadonlyMap<Metal, number> {
  const masses = new Map<Metal, number>();
  for (const { form, ...begun } of [...lengths, ...sheets])
    for (const { wanted } of "placed" in begun ? begun.placed : begun.cuts) {
      if (wanted.piece !== piece) continue;
      masses.set(form.metal, (masses.get(form.metal) ?? 0) + massOf(form.metal, blankVolume(wanted, form.stock)));
    }
  return masses;
}
