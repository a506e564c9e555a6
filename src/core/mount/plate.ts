import { type Outline, outward } from "../geometry/outline";
import { type Figure, type Figures, type Sourced, type Term, type TermCode, single, sum, term } from "../measure/figure";
import { type Metal, massOf } from "../metal/metals";
import { type Wall } from "./wall";

/** A back plate, or a cup's base, with every value settled: flush is a border of 0. */
export interface Plate {
  /** Whether it is the base of a ready-made cup, which is neither cut nor sawn. */
  readonly isOwn: boolean;
  readonly metal: Metal;
  readonly thickness: number;
  readonly border: Sourced<number>;
  readonly sawMargin: Sourced<number>;
}

export interface PlatePlan {
  readonly figures: Figures;
  /** Distances from the stone's outline. */
  readonly edge: number;
  readonly sawLine: number;
  /** Mass in g of the blank before it is sawn to its edge. */
  readonly blankMass: number;
}

interface Band {
  readonly label: TermCode;
  readonly width: Sourced<number>;
}

const LENGTHWISE = 0;
const ACROSS = Math.PI / 2;

/** Size, area, mass and blank of the plate under a wall. `id` is the mount's. */
export function planPlate(id: string, outline: Outline, wall: Wall, plate: Plate): PlatePlan {
  const bands: Band[] = [
    { label: "fit", width: wall.fit },
    { label: "wall", width: { value: wall.thickness, from: "piece" } },
    { label: "border", width: plate.border },
  ];
  const saw: Band = { label: "saw", width: plate.sawMargin };
  const edge = bands.reduce((out, band) => out + band.width.value, 0);
  const area = areaByBands(outline, bands);
  const blankLength = across(outline, [...bands, saw], LENGTHWISE);
  const blankWidth = across(outline, [...bands, saw], ACROSS);
  const key = (name: string) => `${id}.plate.${name}`;
  return {
    edge,
    sawLine: plate.isOwn ? edge : edge + plate.sawMargin.value,
    blankMass: massOf(plate.metal, blankLength.value * blankWidth.value * plate.thickness),
    figures: {
      [key("length")]: across(outline, bands, LENGTHWISE),
      [key("width")]: across(outline, bands, ACROSS),
      [key("area")]: area,
      [key("mass")]: single("g", massOf(plate.metal, area.value * plate.thickness), "density"),
      ...(!plate.isOwn && { [key("blankLength")]: blankLength, [key("blankWidth")]: blankWidth }),
    },
  };
}

/** The stone's extent along a direction, and each band twice. */
function across(outline: Outline, bands: readonly Band[], direction: number): Figure {
  return sum("mm", [
    term("stone", outline.extent(direction), "stone"),
    ...bands.map(({ label, width }): Term => term(label, 2 * width.value, width.from)),
  ]);
}

/** The stone's area, and what each parallel curve outward adds to the one before it. */
function areaByBands(outline: Outline, bands: readonly Band[]): Figure {
  let [reach, area] = [0, outline.area];
  const terms = [term("outline", outline.area, "stone", "area")];
  for (const { label, width } of bands) {
    reach += width.value;
    const next = outward(outline, reach).area;
    terms.push(term(label, next - area, width.from));
    area = next;
  }
  return sum("mm2", terms);
}
