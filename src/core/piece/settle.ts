import { type Applied, shapeOf } from "../applied/applied";
import { type Bail } from "../bail/bail";
import { BAILS } from "../bail/kinds/kinds";
import { type HeatWishes } from "../heats/problem";
import { type Hoop } from "../hoop/hoop";
import { readSize } from "../hoop/sizes";
import { type Works } from "../hoop/works/work";
import { bandWidth } from "../hoop/works/works";
import { type Outline } from "../geometry/outline";
import { type Sourced } from "../measure/figure";
import { type Section } from "../metal/section";
import { type Back, type BackKind } from "../mount/backs/back";
import { ALL_ROUND, type Layer, type Stretch } from "../mount/layers/layer";
import { lengthOf, standing } from "../mount/ready-wall";
import { type ReadyMade, type Wall, type WallSource } from "../mount/wall";
import { type Dome } from "../stone/dome";
import { outlineOfShape } from "../stone/shapes/shapes";
import { ELLIPTIC, type Stone, greatestTurnIn } from "../stone/stone";
import {
  type BenchEntry,
  SHIPPED,
  SHIPPED_BENCH,
  choose,
  chosen,
  learnedLoss,
  mandrelOf,
  shelfNamed,
  stripHeights,
  wideBandAddition,
} from "./bench";
import { type InHand, fitKey } from "./measured";
import { ornamentOf } from "./mounts";
import {
  type BailEntry,
  type HeatsEntry,
  type HoopEntry,
  type JumpRingEntry,
  type Mount,
  type Piece,
  type PlateEntry,
  type WallEntry,
} from "./piece";

/** A catch reaches over a small stone no further than the one share of its largest circle's radius, over a large one as far as the other. */
const CATCH_SHARE = { most: 1 / 16, large: 1 / 24 } as const;

export function settleDome(stone: Stone, outline: Outline): Dome {
  return { radius: outline.inscribedRadius, turnIn: greatestTurnIn(stone), height: stone.height, exponent: stone.dome ?? ELLIPTIC };
}

/** The wall with every value taken from the piece, else the bench, else the shipped default. */
export function settleWall({ id, wall, stone, plate }: Mount, outline: Outline, bench: BenchEntry, sourceOf: InHand["sourceOf"]): Wall {
  const shipped = SHIPPED.losses.wall;
  const loss = (name: keyof typeof shipped) => choose(wall.losses?.[name], bench.losses?.wall?.[name], shipped[name]);
  const rule = wall.heightRule ?? "turn-in";
  const source = wall.source ?? "strip";
  const chosenFit = choose(wall.fit, bench.seatOf?.fit, SHIPPED.seatOf.fit);
  const fit: Sourced<number> = sourceOf(fitKey(id)) === "measured" ? { ...chosenFit, from: "measured" } : chosenFit;
  const ready = readyMade(source, wall, fit);
  const stands = ready ? standing(ready, lengthOf(outline)) : { thickness: wall.thickness, fit };
  return {
    source,
    ready,
    notch: wall.source === "notched" && wall.notch ? { depth: null, gap: null, ...wall.notch } : null,
    metal: wall.metal,
    thickness: stands.thickness,
    thicknessFrom: sourceOf(`${id}.wall.thickness`),
    fit: stands.fit,
    catch: wall.catch === undefined ? usualCatch(outline.inscribedRadius, bench) : { value: wall.catch, from: "piece" },
    lift: wall.lift === undefined && plate?.style === "open" ? { value: plate.ledge?.height ?? 0, from: "piece" } : chosen(wall.lift, 0),
    height: rule === "fixed" ? { rule, height: wall.fixedHeight ?? stone.height } : { rule },
    seamAt: wall.seamAt ?? "auto",
    losses: { squaring: loss("squaring"), mark: loss("mark"), foot: source === "cup" ? CLOSED_FOOT : loss("foot"), top: loss("top") },
    learned: {
      length: learnedLoss(bench, "wall.length", [wall.losses?.squaring, wall.losses?.mark]),
      height: source === "cup" ? null : learnedLoss(bench, "wall.height", [wall.losses?.foot, wall.losses?.top]),
    },
    stripHeights: stripHeights(bench, wall.metal, wall.thickness),
  };
}

/** What a wall reaches over a stone of this radius where nobody said: min(a / 16, max(the usual, a / 24)). */
function usualCatch(radius: number, bench: BenchEntry): Sourced<number> {
  const usual = choose(undefined, bench.seatOf?.catch, SHIPPED.seatOf.catch);
  const value = Math.min(radius * CATCH_SHARE.most, Math.max(usual.value, radius * CATCH_SHARE.large));
  return value === usual.value ? usual : { value, from: "formula" };
}

/** A cup stands on its own base: nothing comes off its foot. */
const CLOSED_FOOT: Sourced<number> = { value: 0, from: "formula" };

function readyMade(source: WallSource, { tube, cup, thickness }: WallEntry, fit: Sourced<number>): ReadyMade | null {
  const wanted = { thickness, fit };
  if (source === "tube") return { kind: source, at: tube ?? null, wanted };
  if (source !== "cup") return null;
  return { kind: source, at: cup ? { outside: cup.length, inside: cup.length - 2 * cup.thickness } : null, wanted };
}

const SAW_MARGIN = 1;

/** Which kind of back a setting has, by its finish and what its wall comes from. */
function backKind({ plate, wall }: Mount): BackKind {
  if (!plate) return "shared";
  if (plate.style === "open" || plate.style === "own") return plate.style;
  if (wall.source === "cup") return "base";
  return plate.style === "none" ? "none" : "plate";
}

/**
 * A cup's base is of the cup's metal, and as thick as the cup where nobody said; what its seat leaves is a tube's floor; an open back has a ledge in place
 * of one. `under` is the plate it stands on: its own, or the one it shares.
 */
export function settleBack(mount: Mount, under: PlateEntry): Back {
  const { plate, wall } = mount;
  const kind = backKind(mount);
  const ofWall = kind === "none" ? (wall.lift ?? 0) : (wall.cup?.thickness ?? wall.thickness);
  return {
    kind,
    style: plate?.style ?? "shared",
    metal: kind === "base" ? wall.metal : (under.metal ?? wall.metal),
    thickness: under.thickness ?? ofWall,
    border: plate?.style === "border" ? chosen(plate.border, 0) : { value: 0, from: "piece" },
    sawMargin: chosen(under.sawMargin, SAW_MARGIN),
    edge: plate?.edge ?? "follows",
    ledge: plate?.ledge ?? null,
    own: kind === "own" && plate?.outline ? outlineOfShape(plate.outline) : null,
    rise: plate?.domed?.rise ?? 0,
    texture: plate?.texture?.name ?? null,
    stamp: plate?.stamp ? { at: null, turn: 0, ...plate.stamp } : null,
    drain: plate?.drain ? { at: null, ...plate.drain } : null,
  };
}

export function settleLayers(mount: Mount): Layer[] {
  return ornamentOf(mount).map(({ id, type, width, metal, extent = "all", section = "round", height = width, tight = 0, from = null }) => ({
    ...{ id, type, width, metal, section, height, tight, from },
    extent: extent === "all" ? ALL_ROUND : extent.map(stretchOf),
  }));
}

/** A stretch that ends before it starts goes on past the datum. */
export function stretchOf([from, to]: readonly [number, number]): Stretch {
  return { from, to: to < from ? to + 1 : to };
}

export function settleApplied({ applied = [] }: Pick<Piece, "applied">): Applied[] {
  return applied.map(({ id, name = null, metal, on, when = "formed", at = [0, 0], along = 0, turn = 0, ...shape }) => ({
    ...{ id, name, metal, on, when, at, along, turn },
    ...shapeOf(shape),
  }));
}

export function sectionOf({ stock: { section: shape, width, thickness } }: HoopEntry): Section {
  return { shape, width, thickness };
}

/** What is done with a hoop's stock. */
export function worksOf({ stock, slit, strands, sleeve, losses }: HoopEntry, bench: BenchEntry = SHIPPED_BENCH): Works {
  const { twist, backWidth } = stock;
  const inlay = sleeve?.inlay;
  return {
    ...(twist && { twist: { wire: twist.wire, turns: twist.turns / 10, plies: twist.plies, isSoldered: twist.soldered ?? true } }),
    ...(backWidth !== undefined && { taper: { back: backWidth } }),
    ...(slit && { slit: { kerf: losses?.kerf ?? bench.losses?.hoop?.kerf ?? SHIPPED.losses.hoop.kerf, ...slit } }),
    ...(strands && { strands: { spread: strands.count * stock.width, ...strands } }),
    ...(sleeve && {
      sleeve: {
        name: sleeve.name ?? "",
        thickness: sleeve.thickness,
        layers: sleeve.layers ?? 1,
        inlay: inlay ? { metal: stock.metal, ...inlay } : null,
      },
    }),
  };
}

/** Where a piece does not say: how far over the finger an open hoop's plate lies, how far apart an adjustable one's ends stand, how far an arch stands off (mm). */
const USUAL_HOOP = { plateAbove: 0.2, openGap: 4, arch: 1.5 } as const;

/** @throws for a size that `faultsOf` refuses. */
export function settleHoop(entry: HoopEntry, bench: BenchEntry): Hoop {
  const size = readSize(entry.size.system, entry.size.value, mandrelOf(bench));
  if (!size.ok) throw new RangeError(`size ${entry.size.value}: ${size.code}`);
  const shipped = SHIPPED.losses.hoop;
  const loss = (name: keyof typeof shipped) => choose(entry.losses?.[name], bench.losses?.hoop?.[name], shipped[name]);
  const { metal } = entry.stock;
  const section = sectionOf(entry);
  const works = worksOf(entry, bench);
  const asGiven = (value: number | undefined): Sourced<number> | null => (value === undefined ? null : { value, from: "piece" });
  return {
    form: entry.form,
    metal,
    section,
    size: { value: size.diameter, from: entry.size.system === "mandrel" ? "bench" : "piece" },
    asked: entry.size,
    wideBand: wideBandAddition(bench, bandWidth(section, works)),
    rule: entry.lengthRule ?? "fibre",
    losses: {
      ...{ squaring: loss("squaring"), mark: loss("mark"), sawPasses: loss("sawPasses"), kerf: loss("kerf") },
      hammer: chosen(entry.losses?.hammer, 0),
    },
    learned: learnedLoss(bench, "hoop.length", [
      ...[entry.losses?.squaring, entry.losses?.mark],
      ...[entry.losses?.sawPasses, entry.losses?.kerf],
    ]),
    flatWidth: asGiven(entry.flatWidth),
    saddleWidth: asGiven(entry.saddleWidth),
    plateAbove: chosen(entry.plateAbove, USUAL_HOOP.plateAbove),
    openGap: chosen(entry.openGap, USUAL_HOOP.openGap),
    bridge: { metal, gap: USUAL_HOOP.arch, inside: size.diameter, thickness: section.thickness, ...entry.bridge },
    works,
    texture: entry.stock.texture?.name ?? null,
  };
}

/** A folded bail's width over the chain and at its feet, and a tube's length, where nobody said (mm). */
const USUAL_FOOT = 1.5;

/** What settings of these mounts hang by: each by its own eye, or the only one by the carrier's. */
export function settleBail(entry: BailEntry | JumpRingEntry, mounts: readonly string[]): Bail {
  const asked = entry.eyes ?? mounts.map((mount) => ({ mount, at: null, ...entry.eye }));
  const eyes = asked.map(({ turn = 0, ...eye }) => ({ ...eye, turn }));
  const ring = entry.type === "bail" ? (entry.ring ?? null) : null;
  const shared = { metal: entry.metal ?? "sterling", axis: entry.hangAxis ?? 0, eyes, ring };
  const none: Sourced<number> = { value: 0, from: "formula" };
  if (entry.type === "jump-ring") {
    return { ...shared, style: "ring", bore: entry.inside, drop: 0, thickness: entry.wire, widest: none, foot: none, chainEnd: null };
  }
  const style = entry.style ?? "folded";
  return {
    ...shared,
    style,
    ...{ bore: entry.bore, drop: entry.drop, thickness: entry.thickness },
    widest: chosen(entry.widest, BAILS[style].usualWidest),
    foot: chosen(entry.foot, USUAL_FOOT),
    chainEnd: entry.chainEnd ?? null,
  };
}

export function settleHeats(heats: HeatsEntry | undefined, bench: BenchEntry): HeatWishes & { readonly shelfMissing: boolean } {
  const { shelf, missing } = shelfNamed(bench, heats?.shelf);
  return {
    shelf,
    shelfMissing: missing,
    way: choose(heats?.way, bench.way, SHIPPED.way).value,
    overshoot: choose(heats?.overshoot, bench.overshoot, SHIPPED.overshoot).value,
    pins: heats?.pins ?? [],
  };
}
