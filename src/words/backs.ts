import { METALS } from "@/core/metal/metals";
import { type BackKind } from "@/core/mount/backs/back";
import { figureOf } from "@/core/measure/figure";
import { type Plan } from "@/core/piece/plan";
import { type Units, lengthUnit, printable, showLength, showPercent } from "./show";

/** How a setting's back is told: on the stem, in a list and on the card. */
export interface SaidBack {
  readonly label: string;
  readonly stem: string;
  readonly short: string;
  readonly cell: readonly [string, string];
  readonly card: string;
  /** What it rests on, and the length that is cut; null where none is. */
  readonly rests: string;
  readonly cut: string | null;
}

/** A figure by its key, without its unit; a blank where it cannot be trusted. */
export type Bare = (key: string) => string;

interface BackSource {
  readonly plan: Pick<Plan, "figures" | "settled">;
  readonly id: string;
  readonly bare: Bare;
  readonly units: Units;
}

const BACKS: Readonly<Record<BackKind, (told: BackSource) => SaidBack>> = {
  plate: (told) => {
    const { id, bare, units } = told;
    const { back, sawn, thick } = sized(told);
    const border = showLength(back.border.value, "blank", units);
    return {
      label: "Plate",
      stem: `${sawn} × ${thick}, ${back.style}${domedBy(told)}`,
      short: `${bare(`${id}.plate.length`)} long`,
      cell: [sawn, back.style === "border" ? `border ${border}` : back.style],
      card: `blank ${bare(`${id}.plate.blankLength`)} × ${bare(`${id}.plate.blankWidth`)} × ${thick} ${lengthUnit(units)}, ${METALS[back.metal].name}; sawn to ${sawn} ${lengthUnit(units)}, ${back.style}${domedBy(told)}, ${bare(`${id}.plate.mass`)} g${texturedWith(told)}`,
      rests: `${id}.plate`,
      cut: null,
    };
  },
  own: (told) => {
    const { id, bare, units } = told;
    const { back, sawn, thick } = sized(told);
    const rise = domedBy(told);
    return {
      label: "Plate",
      stem: `${sawn} × ${thick}, its own outline${rise}`,
      short: `${bare(`${id}.plate.length`)} long`,
      cell: [sawn, back.rise > 0 ? `own${rise}` : "own outline"],
      card: `blank ${bare(`${id}.plate.blankLength`)} × ${bare(`${id}.plate.blankWidth`)} × ${thick} ${lengthUnit(units)}, ${METALS[back.metal].name}; sawn to ${sawn} ${lengthUnit(units)}, its own outline${rise}, ${bare(`${id}.plate.mass`)} g${texturedWith(told)}`,
      rests: `${id}.plate`,
      cut: null,
    };
  },
  shared: ({ id }) => ({
    label: "Plate",
    stem: "shared with another stone",
    short: "shared",
    cell: ["shared", "on one plate"],
    card: "on the plate of another stone",
    rests: `${id}.wall`,
    cut: null,
  }),
  base: (told) => {
    const { sawn, thick } = sized(told);
    return {
      label: "Base",
      stem: `${sawn}, the cup's own`,
      short: "the cup's own",
      cell: [sawn, "cup's own"],
      card: `${sawn} × ${thick} ${lengthUnit(told.units)}, the cup's own`,
      rests: `${told.id}.plate`,
      cut: null,
    };
  },
  none: ({ plan, id, units }) => {
    const floor = showLength(plan.settled.mounts[id]!.back.thickness, "measured", units);
    return {
      label: "Floor",
      stem: `the tube's own, ${floor}`,
      short: "the tube's own",
      cell: [`floor ${floor}`, "the tube's own"],
      card: `${floor} ${lengthUnit(units)}, what the seat leaves of the tube; no plate`,
      rests: `${id}.wall`,
      cut: null,
    };
  },
  open: ({ plan, id, bare, units }) => {
    const { ledge } = plan.settled.mounts[id]!.back;
    const { width = 0, height = 0, metal = "sterling" } = ledge ?? {};
    const of = `${showLength(width, "measured", units)} × ${showLength(height, "measured", units)}`;
    const shown = showPercent(figureOf(plan.figures, `${id}.ledge.backShown`).value);
    const cut = bare(`${id}.ledge.cutLength`);
    return {
      label: "Ledge",
      stem: `open, ledge ${cut}`,
      short: `ledge ${cut}`,
      cell: [`ledge ${cut}`, `shows ${shown}`],
      card: `${cut} ${lengthUnit(units)} of ${of}, ${METALS[metal].name}; open, shows ${shown} of the back`,
      rests: `${id}.ledge`,
      cut: `${id}.ledge.cutLength`,
    };
  },
};

/** How far a plate is domed, after a comma; nothing for a flat one. */
function domedBy({ plan, id, units }: BackSource): string {
  const { rise } = plan.settled.mounts[id]!.back;
  return rise > 0 ? `, domed ${showLength(rise, "measured", units)}` : "";
}

/** What is worked into a plate, after a comma; nothing for a plain one. */
function texturedWith({ plan, id }: BackSource): string {
  const { texture } = plan.settled.mounts[id]!.back;
  return texture === null ? "" : `, texture: ${printable(texture)}`;
}

function sized({ plan, id, bare, units }: BackSource) {
  const { back } = plan.settled.mounts[id]!;
  return {
    back,
    sawn: `${bare(`${id}.plate.length`)} × ${bare(`${id}.plate.width`)}`,
    thick: showLength(back.thickness, "measured", units),
  };
}

export function sayBack(plan: BackSource["plan"], id: string, bare: Bare, units: Units): SaidBack {
  return BACKS[plan.settled.mounts[id]!.back.kind]({ plan, id, bare, units });
}
