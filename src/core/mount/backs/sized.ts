import { type Loop, type Outline } from "../../geometry/outline";
import { type Blank, layBlank } from "../../measure/blank";
import { type Reach, furthest, reachAlong, steppedOut, widened } from "../../geometry/stepped";
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
export function laidLengthwise(outline: Outline, edge: readonly Reach[], more: number): Blank {
  const [lead, trail] = [Math.PI, 0].map((way) => reachAlong(outline, edge, way)) as [number, number];
  const length = outline.extent(0);
  return layBlank(lead + length + trail, more, more, [
    { code: "stoneEdge", at: lead },
    { code: "stoneEdge", at: lead + length },
  ]);
}

/** Where a back's edge lies, and its sizes with what each band outside the stone adds to them. */
export interface Sizes {
  readonly edge: readonly Reach[];
  readonly length: Figure;
  readonly width: Figure;
  readonly area: Figure;
  readonly mass: Figure;
  /** The same sizes with so much more outside the edge. */
  readonly blank: (saw: Sourced<number>) => { readonly length: Figure; readonly width: Figure };
}

export function sizesOf({ outline, wall, layers, back }: BackAsked): Sizes {
  const { fit, thickness } = wall;
  const face = fit.value + thickness.value;
  const inner: Band[] = [
    { label: "fit", width: fit },
    { label: "wall", width: thickness },
  ];
  const outer: Band[] = [{ label: "border", width: back.border }];
  const reach = followed(reachOf(layers, face), back);
  const lies = steppedOut(outline, reach);
  const edge = widened(reach, back.border.value);
  const across = (direction: number, more: readonly Band[]) => extentFigure(outline, inner, reach, lies, [...outer, ...more], direction);
  const area = areaByBands(outline, inner, reach, lies, outer);
  return {
    edge,
    length: across(LENGTHWISE, []),
    width: across(ACROSS, []),
    area,
    mass: single("g", massOf(back.metal, area.value * back.thickness), "density"),
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
function extentFigure(
  outline: Outline,
  inner: readonly Band[],
  reach: readonly Reach[],
  lies: Loop,
  outer: readonly Band[],
  direction: number,
): Figure {
  const own = outline.extent(direction);
  const face = inner.reduce((out, { width }) => out + width.value, 0);
  const ornament = () => lies.extent(direction) - own - 2 * face;
  const twice = ({ label, width }: Band): Term => term(label, 2 * width.value, width.from);
  return sum("mm", [term("stone", own, "stone"), ...inner.map(twice), ...ornamentTerm(ornament, reach, face), ...outer.map(twice)]);
}

/** The stone's area, and what each line outward adds to the one before it. */
function areaByBands(outline: Outline, inner: readonly Band[], reach: readonly Reach[], lies: Loop, outer: readonly Band[]): Figure {
  const terms = [term("outline", outline.area, "stone", "area")];
  let [out, area] = [0, outline.area];
  const add = (label: TermCode, width: Sourced<number>, lines: readonly Reach[]) => {
    const next = steppedOut(outline, lines).area;
    terms.push(term(label, next - area, width.from));
    area = next;
  };
  for (const { label, width } of inner) add(label, width, [{ from: 0, to: 1, out: (out += width.value) }]);
  const ornament = ornamentTerm(() => lies.area - area, reach, out);
  terms.push(...ornament);
  area += ornament[0]?.value ?? 0;
  let lines = reach;
  for (const { label, width } of outer) add(label, width, (lines = widened(lines, width.value)));
  return sum("mm2", terms);
}

function ornamentTerm(value: () => number, reach: readonly Reach[], face: number): Term[] {
  return furthest(reach) > face ? [term("ornament", value(), "piece")] : [];
}
