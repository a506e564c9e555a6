import { type Outline, outward } from "../../geometry/outline";
import { type Blank, layBlank } from "../../measure/blank";
import { type Reach, type Rim, furthest, rimOf } from "../../geometry/rim";
import { type Figure, type Sourced, type Term, type TermCode, single, sum, term } from "../../measure/figure";
import { massOf } from "../../metal/metals";
import { reachOf } from "../layers/layer";
import { type Back, type BackAsked } from "./back";

interface Band {
  readonly label: TermCode;
  readonly width: Sourced<number>;
}

const LENGTHWISE = 0;
const ACROSS = Math.PI / 2;

/** A back along a rule, lengthwise, with so much more outside its edge. */
export function laidLengthwise(outline: Outline, rim: Rim, more: number): Blank {
  const [lead, trail] = [Math.PI, 0].map((way) => rim.past(way)) as [number, number];
  const length = outline.extent(0);
  return layBlank(lead + length + trail, more, more, [
    { code: "stoneEdge", at: lead },
    { code: "stoneEdge", at: lead + length },
  ]);
}

/** Where a back's edge lies, and its sizes with what each band outside the stone adds to them. */
export interface Sizes {
  readonly rim: Rim;
  readonly length: Figure;
  readonly width: Figure;
  readonly area: Figure;
  readonly mass: Figure;
  /** Of a domed plate the sphere's radius, and how much further out the flat disc's edge lies than the rim (mm). */
  readonly sphere: number | null;
  readonly flatBy: number;
  /** The same sizes with so much more outside the edge. */
  readonly blank: (saw: Sourced<number>) => { readonly length: Figure; readonly width: Figure };
}

/** All of it from one line: what lies on the back, and round that its border. */
export function sizesOf({ outline, wall, layers, back }: BackAsked): Sizes {
  const { fit, thickness } = wall;
  const face = fit.value + thickness.value;
  const inner: Band[] = [
    { label: "fit", width: fit },
    { label: "wall", width: thickness },
  ];
  const border: Band = { label: "border", width: back.border };
  const reach = followed(reachOf(layers, face), back);
  const lies = rimOf(outline, reach, 0);
  const rim = lies.wider(back.border.value);
  const hasOrnament = furthest(reach) > face;
  const across = (direction: number, more: readonly Band[]) =>
    extentFigure(outline, inner, hasOrnament ? lies : null, [border, ...more], direction);
  const area = areaByBands(outline, inner, hasOrnament ? lies : null, border, rim);
  return {
    rim,
    length: across(LENGTHWISE, []),
    width: across(ACROSS, []),
    area,
    mass: single("g", massOf(back.metal, area.value * back.thickness), "density"),
    sphere: null,
    flatBy: 0,
    blank: (saw) => ({
      length: across(LENGTHWISE, [{ label: "saw", width: saw }]),
      width: across(ACROSS, [{ label: "saw", width: saw }]),
    }),
  };
}

function followed(reach: readonly Reach[], { edge }: Back): readonly Reach[] {
  return edge === "even" ? [{ from: 0, to: 1, out: furthest(reach) }] : reach;
}

/** The stone's extent along a direction, and each band twice; of ornament what it adds there. */
function extentFigure(outline: Outline, inner: readonly Band[], lies: Rim | null, outer: readonly Band[], direction: number): Figure {
  const own = outline.extent(direction);
  const face = inner.reduce((out, { width }) => out + width.value, 0);
  const twice = ({ label, width }: Band): Term => term(label, 2 * width.value, width.from);
  const ornament = lies ? [term("ornament", lies.loop.extent(direction) - own - 2 * face, "piece")] : [];
  return sum("mm", [term("stone", own, "stone"), ...inner.map(twice), ...ornament, ...outer.map(twice)]);
}

/** The stone's area, and what each line outward adds to the one before it. */
function areaByBands(outline: Outline, inner: readonly Band[], lies: Rim | null, border: Band, rim: Rim): Figure {
  const terms = [term("outline", outline.area, "stone", "area")];
  let [out, area] = [0, outline.area];
  const add = (label: TermCode, width: Sourced<number>, next: number) => {
    terms.push(term(label, next - area, width.from));
    area = next;
  };
  for (const { label, width } of inner) add(label, width, outward(outline, (out += width.value)).area);
  if (lies) add("ornament", { value: 0, from: "piece" }, lies.loop.area);
  add(border.label, border.width, rim.loop.area);
  return sum("mm2", terms);
}
