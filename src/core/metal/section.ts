import { type FormulaCode } from "../measure/figure";
import { smoothIntegral } from "../geometry/quadrature";

export type SectionShape = "round" | "square" | "rectangle" | "oval" | "half-round" | "d";

/** A wire's section: `width` lies along the finger, `thickness` away from it; half-round and D lie flat side in. */
export interface Section {
  readonly shape: SectionShape;
  readonly width: number;
  readonly thickness: number;
}

export interface Fibre {
  /** From the inside face to the line that bending neither stretches nor squeezes. */
  readonly distance: number;
  readonly note: FormulaCode;
}

/** A flat-backed arch is a circular segment when it is no taller than half its width, half an ellipse otherwise. */
function isSegment({ width, thickness }: Section): boolean {
  return width >= 2 * thickness;
}

function segmentRadius({ width, thickness }: Section): number {
  return ((width * width) / 4 + thickness * thickness) / (2 * thickness);
}

function isArch({ shape }: Section): boolean {
  return shape === "half-round" || shape === "d";
}

/** Centroid of the section above its inside face: half the thickness, or that of a circular segment or half ellipse. */
export function fibre(section: Section): Fibre {
  if (!isArch(section)) return { distance: section.thickness / 2, note: "fibre.half" };
  if (!isSegment(section)) return { distance: (4 * section.thickness) / (3 * Math.PI), note: "fibre.halfEllipse" };
  const { area, moment } = segmentMoments(section);
  return { distance: moment / area, note: "fibre.segment" };
}

/** Area in mm2. */
export function sectionArea(section: Section): number {
  const { shape, width, thickness } = section;
  if (shape === "square" || shape === "rectangle") return width * thickness;
  return isArch(section) && isSegment(section) ? segmentMoments(section).area : (Math.PI * width * thickness) / 4;
}

const SEGMENT_PANELS = 3;

/**
 * Area of a circular segment and its first moment about the flat: the integrals of its chord, with the height as t (1 - u^2), so that every
 * term is positive. The closed forms take one large angle from another and lose all digits of a thin, wide segment.
 */
function segmentMoments(section: Section): { readonly area: number; readonly moment: number } {
  const { thickness: t } = section;
  const radius = segmentRadius(section);
  const chord = (u: number) => 4 * t * Math.sqrt(t) * u * u * Math.sqrt(2 * radius - t * u * u);
  return {
    area: smoothIntegral(chord, 0, 1, SEGMENT_PANELS),
    moment: smoothIntegral((u) => chord(u) * t * (1 - u * u), 0, 1, SEGMENT_PANELS),
  };
}

/** The section's width at a height above its inside face; 0 outside the section. */
function chord(section: Section, height: number): number {
  const { shape, width, thickness } = section;
  if (height < 0 || height > thickness) return 0;
  if (shape === "square" || shape === "rectangle") return width;
  if (!isArch(section)) return width * Math.sqrt(Math.max(0, 1 - ((2 * height) / thickness - 1) ** 2));
  if (!isSegment(section)) return width * Math.sqrt(Math.max(0, 1 - (height / thickness) ** 2));
  const radius = segmentRadius(section);
  return 2 * Math.sqrt(Math.max(0, radius * radius - (height + radius - thickness) ** 2));
}

/**
 * Area in mm2 of the face that a flat of length `flat`, filed on top of a hoop of outside radius `outside`, lays open:
 * the section's chord at the depth reached, along the flat or a run of it.
 */
export function flatFace(section: Section, outside: number, flat: number, from = -flat / 2, to = flat / 2): number {
  const level = Math.sqrt(Math.max(0, outside * outside - (flat * flat) / 4));
  const chordAt = (x: number) => chord(section, section.thickness - (Math.sqrt(Math.max(0, outside * outside - x * x)) - level));
  return smoothIntegral(chordAt, from, to, 16);
}

/** The section's outline for drawing, anticlockwise from the inside face's left end, as [across, height]. */
export function sectionCurve(section: Section): (readonly [number, number])[] {
  const steps = 32;
  const heights = Array.from({ length: steps + 1 }, (_, i) => (section.thickness * (1 - Math.cos((Math.PI * i) / steps))) / 2);
  const right = heights.map((h) => [chord(section, h) / 2, h] as const);
  return [...right, ...right.map(([x, h]) => [-x, h] as const).reverse()];
}
