import { type Point } from "../geometry/outline";
import { figureOf } from "../measure/figure";
import { fibre, sectionCurve } from "../metal/section";
import { type Arch, type Opening } from "./forms/form";
import { FORMS } from "./forms/forms";
import { type Hoop, type HoopPlan } from "./hoop";
import { type Base, type Seat, covers } from "./seat";
import { type Taper, widthAt } from "./works/taper";
import { type Leg } from "./works/work";
import { legsOf } from "./works/works";

/** A mount's seat as it is drawn: what is filed, half its width, the height above the centre at which the base rests, degrees that it covers, and how far it reaches across the finger. */
export type DrawnSeat = Pick<Seat, "act" | "half" | "level" | "angle"> & { readonly covers: number; readonly extent: number };

/** A leg seen from above, the finger along x: its middle from the back to its end, and how wide it is there (mm). */
export interface DrawnLeg {
  readonly middle: readonly Point[];
  readonly width: number;
}

/** What of a band is seen from above: its metal, what is round that, or a strip let into it. */
export interface DrawnBand {
  readonly of: "metal" | "sleeve" | "inlay";
  readonly outline: readonly Point[];
}

/** The hoop seen along the finger, its centre at (0, 0), the front upward; from above; and its wire cut across. All in mm. */
export interface HoopDrawing {
  readonly inside: number;
  /** Of its metal, and of all that is round it. */
  readonly metal: number;
  readonly outside: number;
  /** How deep a strip is let in from the outside; 0 where there is none. */
  readonly inlay: number;
  readonly fibre: number;
  readonly opening: Opening | null;
  /** What of it is seen along the finger: its line, or where it is closed that of its outside and of its inside. */
  readonly body: readonly (readonly Point[])[];
  readonly arch: Arch | null;
  /** Angles from the front at which its seams lie. */
  readonly seams: readonly number[];
  /** By mount. */
  readonly seats: Readonly<Record<string, DrawnSeat>>;
  /** From above, where it has more legs than one. */
  readonly legs: readonly DrawnLeg[];
  /** From above, where it has one: what is seen of it one over the other, the finger along x. */
  readonly band: readonly DrawnBand[];
  /** Widths along its blank, where they change: [along, wide]. */
  readonly pattern: readonly Point[] | null;
  readonly wire: { readonly curve: readonly Point[]; readonly fibre: number; readonly width: number; readonly thickness: number };
}

export function drawHoop(hoop: Hoop, plan: HoopPlan, bases: readonly Base[]): HoopDrawing {
  const value = (key: string) => figureOf(plan.figures, key).value;
  const diameter = value("hoop.insideDiameter");
  const inside = diameter / 2;
  const metal = inside + hoop.section.thickness;
  const { distance } = fibre(hoop.section);
  const sleeve = hoop.works.sleeve?.thickness ?? 0;
  return {
    inside,
    metal,
    outside: metal + sleeve,
    inlay: hoop.works.sleeve?.inlay?.depth ?? 0,
    fibre: inside + distance,
    opening: FORMS[hoop.form].opening(hoop, diameter),
    arch: plan.arch,
    body: bodyOf(inside, metal, plan.seats, FORMS[hoop.form].opening(hoop, diameter)),
    seams: plan.joints.filter(({ kind }) => kind === "seam").map(({ place }) => (place === "front" ? 0 : Math.PI)),
    seats: Object.fromEntries(
      plan.seats.map(({ mount, act, half, level, angle }, i) => [
        mount,
        { act, half, level, angle, extent: bases[i]!.extent, covers: covers(bases[i]!, { level }) },
      ]),
    ),
    legs: legsFromAbove(hoop, metal),
    band: bandFromAbove(hoop, metal, value("hoop.netLength")),
    pattern: hoop.works.taper
      ? patternOf(hoop.works.taper, hoop, value("hoop.netLength"), plan.laid.hoop!.losses[0]!.to, plan.laid.hoop!.length)
      : null,
    wire: { curve: sectionCurve(hoop.section), fibre: distance, width: hoop.section.width, thickness: hoop.section.thickness },
  };
}

/**
 * How another setting is seen by who looks straight down at one: how far round the hoop its plate's top lies from the middle (mm), and the share of its
 * extent round the hoop that is left to see; null where it lies on the far side.
 */
export function seenBeside(
  { seats }: Pick<HoopDrawing, "seats">,
  one: string,
  other: string,
  plate: number,
): { readonly aside: number; readonly share: number } | null {
  const { angle, level } = seats[other]!;
  const away = angle - seats[one]!.angle;
  const share = Math.cos(away);
  return share > 0 ? { aside: (level + plate) * Math.sin(away), share } : null;
}

/** Points round a hoop, close enough to be seen as round at any scale. */
const ROUND = 480;

/** Round the inside and the outside, cut level by flats and by the plate over its feet, which end where the plate begins to bear. */
function bodyOf(inside: number, metal: number, seats: readonly Seat[], opening: Opening | null): Point[][] {
  const feet = seats.find(({ act }) => act === "feet");
  const start = feet ? Math.atan((feet.inner ?? 0) / feet.level) : opening?.at === "back" ? opening.half : 0;
  const levels = seats.filter(({ act }) => act === "flat" || act === "feet");
  const middle = opening?.at === "back" ? Math.PI : 0;
  const outer = (angle: number) =>
    levels.reduce((least, { angle: at, level }) => {
      const up = Math.cos(angle - at);
      return up > 0 ? Math.min(least, level / up) : least;
    }, metal);
  const isOpen = start > 0;
  const angles = Array.from({ length: ROUND + 1 }, (_, i) => middle + start + (2 * (Math.PI - start) * i) / ROUND);
  const along = (radius: (angle: number) => number) =>
    angles.map((angle): Point => [radius(angle) * Math.sin(angle), radius(angle) * Math.cos(angle)]);
  return isOpen ? [[...along(outer), ...along(() => inside).reverse()]] : [along(outer), along(() => inside)];
}

const STEPS = 24;

/** The front half from above, each leg going straight aside from where it leaves the rest: a slit's root, or what is soldered at the back. */
function legsFromAbove(hoop: Hoop, outside: number): DrawnLeg[] {
  const legs = legsOf(hoop);
  const { slit, strands } = hoop.works;
  if (legs.length === 1) return [];
  const quarter = (Math.PI / 2) * outside;
  const free = slit?.length ?? Math.PI * outside - (typeof strands?.soldered === "number" ? strands.soldered / 2 : 0);
  return legs.flatMap((leg, i) =>
    [-1, 1].map((side) => ({ width: leg.width, middle: legFrom(leg, i, legs.length, { side, free, quarter, outside }) })),
  );
}

/** The front half of a band from above: as wide as it is at each place round it. */
function bandFromAbove({ section, works: { taper, sleeve } }: Hoop, metal: number, net: number): DrawnBand[] {
  const outside = metal + (sleeve?.thickness ?? 0);
  const strip = (widthOf: (angle: number) => number) => {
    const edge = (side: 1 | -1) =>
      Array.from({ length: 2 * STEPS + 1 }, (_, i): Point => {
        const angle = (Math.PI / 2) * (i / STEPS - 1);
        return [(side * widthOf(angle)) / 2, outside * Math.sin(angle)];
      });
    return [...edge(1), ...edge(-1).reverse()];
  };
  const wide = (angle: number) => (taper ? widthAt(taper, section.width, (Math.abs(angle) * net) / (2 * Math.PI), net) : section.width);
  const inlay = sleeve?.inlay;
  return [
    { of: sleeve ? "sleeve" : "metal", outline: strip(wide) },
    ...(inlay ? [{ of: "inlay", outline: strip(() => inlay.width) } as const] : []),
  ];
}

interface Going {
  readonly side: number;
  /** How far along the hoop it lies apart, and how far a quarter of the hoop is. */
  readonly free: number;
  readonly quarter: number;
  readonly outside: number;
}

function legFrom({ offset, width }: Leg, i: number, count: number, { side, free, quarter, outside }: Going): Point[] {
  const together = (i - (count - 1) / 2) * width;
  return Array.from({ length: STEPS + 1 }, (_, k): Point => {
    const along = (quarter * k) / STEPS;
    const share = Math.max(0, 1 - along / free);
    return [together + (offset - together) * share, side * outside * Math.sin(along / outside)];
  });
}

/** How wide a tapered blank is along its length. */
function patternOf(taper: Taper, { section }: Hoop, net: number, lead: number, length: number): Point[] {
  const at = (along: number) => widthAt(taper, section.width, Math.abs(along - lead - net / 2), net);
  return Array.from({ length: 2 * STEPS + 1 }, (_, k): Point => {
    const along = (length * k) / (2 * STEPS);
    return [along, at(Math.min(Math.max(along, lead), lead + net))];
  });
}
