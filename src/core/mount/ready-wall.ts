import { type Outline } from "../geometry/outline";
import { type Step, type StepCode, step } from "../making/step";
import { type Finding, finding } from "../measure/finding";
import { type Figure, type Figures, type Sourced, sum, taken, term } from "../measure/figure";
import { toMicron } from "../measure/micron";
import { cutToLength } from "../metal/cut";
import { tolerance } from "../measure/tolerances";
import { type ReadyMade, type SourcePlan, type Wall } from "./wall";

/** A wall that is this much thinner or thicker than wanted is spoken of, and one that leaves the stone this much more room (mm). */
const SPOKEN = { thin: 0.05, thick: 0.05, loose: 0.1 } as const;
/** A narrower shelf than this does not hold a stone (mm). */
export const LEAST_SHELF = 0.2;
/** Less than this is not thinned off a rim: no caliper tells it (mm). */
const THINNED_FROM = 0.005;

/** The stone's length, which a tube or cup is held against (mm). */
export function lengthOf(outline: Outline): number {
  return outline.extent(0);
}

/** Thickness and gap once a tube's seat is cut or a cup thinned. A tube that the stone drops into keeps its own. */
export function standing({ kind, at, wanted }: ReadyMade, across: number): { readonly thickness: number; readonly fit: Sourced<number> } {
  if (!at) return wanted;
  const gap = (at.inside - across) / 2;
  const own = ownWall(at);
  if (kind === "cup") return { thickness: Math.min(wanted.thickness, own), fit: { value: Math.max(0, gap), from: "piece" } };
  if (isBored({ at, wanted }, across)) return { thickness: (at.outside - across) / 2 - wanted.fit.value, fit: wanted.fit };
  return { thickness: own, fit: { value: gap, from: "piece" } };
}

/** What a tube keeps of itself under a stone that stands on a shelf (mm). */
const USUAL_SHELF = 0.5;

/** Both diameters of a tube of which one is known: the wall wanted apart, and a shelf as well. */
export function usualDiameters(known: "outside" | "inside", value: number, thickness: number) {
  const apart = 2 * (thickness + USUAL_SHELF);
  return known === "inside"
    ? { outside: toMicron(value + apart), inside: value }
    : { outside: value, inside: toMicron(Math.max(value / 2, value - apart)) };
}

/** Whether the stone is larger than the tube's inside, so that a seat has to be cut for it. */
function isBored({ at, wanted }: Pick<ReadyMade, "at" | "wanted">, across: number): boolean {
  return at !== null && (at.inside - across) / 2 < wanted.fit.value;
}

/** How a tube or a cup is sized against the stone. */
export function planReady(
  id: string,
  outline: Outline,
  wall: Wall,
  ready: ReadyMade,
  netHeight: Figure,
  cutHeight: number,
  stone: string,
): SourcePlan {
  return ready.kind === "tube" ? planTube(id, outline, wall, ready, netHeight, cutHeight, stone) : planCup(id, outline, ready, stone);
}

function planTube(
  id: string,
  outline: Outline,
  wall: Wall,
  ready: ReadyMade,
  netHeight: Figure,
  cutHeight: number,
  name: string,
): SourcePlan {
  const key = (name: string) => `${id}.wall.${name}`;
  const { at, wanted } = ready;
  const across = lengthOf(outline);
  const stone = term("stone", across, "stone");
  const room = { ...taken("fit", wanted.fit), value: 2 * wanted.fit.value };
  const bore = across + room.value;
  const bored = isBored(ready, across);
  const seat = netHeight.terms.filter(({ label }) => label !== "lift");
  const isFixed = seat.length === netHeight.terms.length;
  const half = (name: "stone" | "tube" | "inside", value: number) => term(name, value / 2, name === "stone" ? "stone" : "piece");
  const fit = { ...taken("fit", wanted.fit), value: -wanted.fit.value };
  const shelf = at && bored ? sum("mm", [half("stone", across), taken("fit", wanted.fit), half("inside", -at.inside)]) : null;
  const left = at && sum("mm", [half("tube", at.outside), ...(bored ? [half("stone", -across), fit] : [half("inside", -at.inside)])]);
  const seatDepth = sum("mm", [
    ...seat,
    ...(isFixed ? [{ ...taken("lift", wall.lift), value: -wall.lift.value }] : []),
    taken("top", wall.losses.top),
  ]);
  const isShelved = shelf !== null && wall.lift.value > 0;
  return {
    seamAt: null,
    shelf: at && shelf && isShelved ? { inside: at.inside / 2, area: (Math.PI / 4) * (bore ** 2 - at.inside ** 2) } : null,
    thin: 0,
    first: tubeSteps(id, name, bored || !at),
    // Of a tube still to be found, the one that would be right.
    cuts: [
      cutToLength(
        { part: `${id}.wall`, mount: id, metal: wall.metal },
        { form: "tube", ...(at ?? { outside: bore + 2 * wanted.thickness, inside: across }) },
        key("cutHeight"),
        cutHeight,
      ),
    ],
    figures: {
      [key("tubeOutside")]: sum("mm", [stone, room, term("wall", 2 * wanted.thickness, "piece")]),
      ...((bored || !at) && { [key("seatBore")]: sum("mm", [stone, room]), [key("seatDepth")]: seatDepth }),
      ...(left && { [key("wallLeft")]: left }),
      ...(shelf && isShelved && { [key("shelf")]: shelf }),
    },
    findings: [
      ...(left ? thicknessFindings(id, left.value, wanted.thickness) : []),
      ...(at && !bored && at.inside - bore > SPOKEN.loose
        ? [finding("wall.tube-loose", "warning", `${id}.wall`, { inside: at.inside, bore, over: at.inside - bore }, id)]
        : []),
      ...(shelf && isShelved && shelf.value < LEAST_SHELF
        ? [finding("wall.shelf-narrow", "warning", `${id}.wall`, { shelf: shelf.value, needed: LEAST_SHELF }, id)]
        : []),
      ...(shelf && !isShelved ? [finding("wall.seat-through", "note", `${id}.wall`, { shelf: shelf.value }, id)] : []),
    ],
  };
}

/** It is parted off, and its seat cut where it has one. */
function tubeSteps(mount: string, stone: string, isBored: boolean): Step[] {
  const wall = (act: StepCode, details?: Parameters<typeof step>[2]) => step(mount, act, { works: [`${mount}.wall`], ...details });
  return [
    wall("wall.part", {
      target: `${mount}.wall.cutHeight`,
      reads: [{ figure: `${mount}.wall.cutHeight`, kind: "strip-height", mount }],
      checks: ["ends.square"],
      cautions: ["saw"],
    }),
    ...(isBored
      ? [
          wall("wall.burr", { target: `${mount}.wall.seatBore`, values: { stone } }),
          wall("wall.seat", { target: `${mount}.wall.seatDepth`, checks: ["seat.level"], cautions: ["saw"], values: { stone } }),
        ]
      : [wall("wall.try", { checks: ["wall.passes"] })]),
    wall("wall.foot", { checks: ["foot.flat"], values: { madeFrom: "tube" } }),
  ];
}

function cupSteps(mount: string, stone: string, thin: number): Step[] {
  const works = [`${mount}.wall`];
  return [
    step(mount, "wall.fits", { works, target: `${mount}.wall.cupLength`, checks: ["wall.passes"], values: { stone } }),
    ...(thin > 0 ? [step(mount, "wall.thin", { works, target: `${mount}.wall.thin`, checks: ["rim.even"], values: { stone } })] : []),
  ];
}

function planCup(id: string, outline: Outline, { at, wanted }: ReadyMade, stone: string): SourcePlan {
  const key = (name: string) => `${id}.wall.${name}`;
  const room = { ...taken("fit", wanted.fit), value: 2 * wanted.fit.value };
  const inside = (direction: number) => sum("mm", [term("stone", outline.extent(direction), "stone"), room]);
  const across = lengthOf(outline);
  const over = at ? ownWall(at) - wanted.thickness : 0;
  const thin = over > THINNED_FROM ? over : 0;
  return {
    seamAt: null,
    shelf: null,
    thin,
    first: cupSteps(id, stone, thin),
    cuts: [],
    figures: {
      [key("cupLength")]: inside(0),
      [key("cupWidth")]: inside(Math.PI / 2),
      ...(at && cupFigures(key, at, across, wanted.thickness)),
    },
    findings: at ? [...cupFindings(id, at.inside, across, wanted.fit.value), ...thicknessFindings(id, ownWall(at), wanted.thickness)] : [],
  };
}

type Diameters = NonNullable<ReadyMade["at"]>;

function ownWall({ outside, inside }: Diameters): number {
  return (outside - inside) / 2;
}

function cupFigures(key: (name: string) => string, at: Diameters, across: number, wanted: number): Figures {
  const walls = [term("tube", at.outside / 2, "piece"), term("inside", -at.inside / 2, "piece")] as const;
  return {
    [key("gap")]: sum("mm", [term("inside", at.inside / 2, "piece"), term("stone", -across / 2, "stone")]),
    [key("wallLeft")]: sum("mm", walls),
    ...(ownWall(at) - wanted > THINNED_FROM && { [key("thin")]: sum("mm", [...walls, term("wall", -wanted, "piece")]) }),
  };
}

function cupFindings(id: string, inside: number, across: number, fit: number): Finding[] {
  const gap = (inside - across) / 2;
  if (gap < 0) return [finding("wall.cup-small", "error", `${id}.wall`, { inside, stone: across, wanted: across + 2 * fit }, id)];
  return gap - fit > SPOKEN.loose ? [finding("wall.cup-large", "warning", `${id}.wall`, { gap, fit, wanted: across + 2 * fit }, id)] : [];
}

function thicknessFindings(id: string, left: number, wanted: number): Finding[] {
  const more = left - wanted;
  if (more < -SPOKEN.thin - tolerance.sum) return [finding("wall.left-thin", "warning", `${id}.wall`, { left, wanted }, id)];
  return more > SPOKEN.thick + tolerance.sum ? [finding("wall.left-thick", "note", `${id}.wall`, { left, wanted, thin: more }, id)] : [];
}
