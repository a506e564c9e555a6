import { type Applied, afterFlat, massFor, planApplied } from "../applied/applied";
import { planeOf, roundOf } from "../applied/clearance";
import { type Outline, type Point, nearestStation } from "../geometry/outline";
import { type Contribution, NOTHING, mergeContributions } from "../joint/contribution";
import { type Part } from "../joint/joint";
import { type Finding, finding } from "../measure/finding";
import { type Figure, sum, term } from "../measure/figure";
import { type Metal } from "../metal/metals";
import { type Back } from "../mount/backs/back";
import { tooClose } from "../mount/backs/on-plate";
import { finishWhole } from "../mount/finishing";
import { type PlannedSetting, planSetting } from "../mount/setting";
import { type Hung } from "../mount/weights";
import { outlineOfShape } from "../stone/shapes/shapes";
import { outlineOf } from "../stone/stone";
import { type BenchEntry, withMethods } from "./bench";
import { type Carried, type CarrierDrawing } from "./carriers/carrier";
import { carrierKind } from "./carriers/carriers";
import { inUse } from "./make";
import { type InHand, type Readings, fitKey, inHand } from "./measured";
import { type Remedy, lastReadings, remediesOf } from "./remedies";
import { hostOf, outlineIn, placementOf } from "./mounts";
import { type Mount, type Piece, type PlateEntry } from "./piece";
import { type Drawing, type Settled } from "./plan";
import { settleApplied, settleBack, settleDome, settleLayers, settleWall } from "./settle";

/** A piece with all its lengths, parts and joints: all but its heats. */
export interface SizedPiece {
  readonly piece: Piece;
  readonly contribution: Contribution;
  readonly drawing: Drawing;
  readonly settled: Omit<Settled, "heats">;
  /** What is to be done about what was read. */
  readonly remedies: readonly Remedy[];
}

/**
 * Settles every value, asks each thing that is built for what it adds, in the order the plan lists it, and adds up. Cheap enough to run at every
 * keystroke. A closed wall that was read is the wall that all after it is planned from. @throws for a piece that `faultsOf` or `unplanned` refuse.
 */
export function sizePiece(asked: Piece, mine: BenchEntry, readings: Readings = []): SizedPiece {
  const measured = inUse(readings);
  const bench = withMethods(mine, asked.methods);
  const planned = sizedInHand(inHand(asked, measured), bench);
  const fits = fitsAsClosed(planned, measured);
  const sized = fits.length === 0 ? planned : sizedInHand(inHand(asked, [...measured, ...fits]), bench);
  const { piece, contribution, settled } = planned;
  return { ...sized, remedies: remediesOf({ piece, figures: contribution.figures, settled }, measured) };
}

/** The fit that each closed wall leaves, as it was read: f + (n' - n) / (2 pi), which may fall below 0; none where no wall could lie so. */
function fitsAsClosed({ piece, contribution, settled }: Omit<SizedPiece, "remedies">, measured: Readings): Readings {
  const read = lastReadings(measured);
  return piece.mounts.flatMap(({ id, stone }) => {
    const is = read.get(`${id}.wall.netLength`)?.value;
    const net = contribution.figures[`${id}.wall.netLength`];
    const { wall } = settled.mounts[id]!;
    if (is === undefined || !net || wall.ready) return [];
    const fit = wall.fit.value + (is - net.value) / (2 * Math.PI);
    return outlineOf(stone).outline.parallel(fit).kind === "one" ? [{ figure: fitKey(id), value: fit }] : [];
  });
}

function sizedInHand({ piece, sourceOf }: InHand, bench: BenchEntry): Omit<SizedPiece, "remedies"> {
  const { carrier } = piece;
  const carriedBy = carrierKind(carrier);
  const mounts: SizedMount[] = [];
  for (const mount of piece.mounts) mounts.push(sizeMount(piece, mount, mounts, bench, sourceOf));
  const applied = settleApplied(piece);
  const carried = carriedBy.plan(
    carrier,
    mounts.filter(({ mount }) => mount.on === undefined).map((each) => carriedWith(each, mounts, applied)),
    bench,
  );
  const built = mergeContributions([
    ...mounts.flatMap(({ setting }) => setting.contributions),
    standingTogether(mounts),
    carried.contribution,
  ]);
  const put = applied.length === 0 ? built : withApplied(built, applied, mounts, carriedBy.parts(carrier), carried.drawing);
  const whole = mergeContributions([
    put,
    finishWhole(
      piece.mounts,
      put.parts.map(({ id }) => id),
    ),
  ]);
  const contribution = {
    ...whole,
    findings: [...whole.findings, ...methodFindings(piece, bench)],
    figures: { ...whole.figures, "piece.mass": weighed(whole.parts) },
  };
  return {
    piece,
    contribution,
    drawing: {
      settings: Object.fromEntries(mounts.map(({ id, setting }) => [id, setting.drawing])),
      carrier: carried.drawing,
      applied,
      laid: contribution.laid,
    },
    settled: { mounts: Object.fromEntries(mounts.map(({ id, settled }) => [id, settled])), carrier: carried.settled },
  };
}

interface SizedMount {
  readonly id: string;
  readonly mount: Mount;
  readonly outline: Outline;
  readonly settled: Settled["mounts"][string];
  readonly setting: PlannedSetting;
}

/** A setting in its plane, told of the carrier and, where it shares a plate, of that. */
function sizeMount(piece: Piece, mount: Mount, before: readonly SizedMount[], bench: BenchEntry, sourceOf: InHand["sourceOf"]): SizedMount {
  const { carrier } = piece;
  const carriedBy = carrierKind(carrier);
  const { id, stone } = mount;
  const host = hostOf(piece, mount);
  const outline = outlineIn(mount);
  const settled = { wall: settleWall(mount, outline, bench, sourceOf), back: settleBack(mount, host.plate) };
  const edge = carriedEdge(host, settled.back);
  const setting = planSetting({
    ...{ mount: id, stone, outline, tapeOff: outlineOf(stone).tapeOff, dome: settleDome(stone, outline), layers: settleLayers(mount) },
    ...settled,
    turn: (placementOf(mount).turn * Math.PI) / 180,
    middle: placementOf(mount).at,
    host: host.id,
    on: before.find((each) => each.id === mount.on)?.setting.plate ?? null,
    carrierPlaces: carriedBy
      .places(carrier, host, edge)
      .map((at) => (edge === outline ? at : nearestStation(outline.stations, pointOf(edge, at)).at)),
    band: carriedBy.band(carrier, host),
  });
  return { id, mount, outline, settled, setting };
}

/** What a carrier meets: the outline of a plate of its own, else of the stone whose plate it is. */
function carriedEdge(host: Mount & { readonly plate: PlateEntry }, { own }: Back): Outline {
  if (own) return own;
  return host.plate.style === "own" && host.plate.outline ? outlineOfShape(host.plate.outline) : outlineIn(host);
}

function pointOf(outline: Outline, at: number): Point {
  const { x, y } = outline.stationAt(at);
  return [x, y];
}

/** Settings on one plate that stand too near to each other. */
function standingTogether(mounts: readonly SizedMount[]): Contribution {
  const shared = new Set(mounts.flatMap(({ mount }) => (mount.on === undefined ? [] : [mount.on])));
  const findings = [...shared].flatMap((host) =>
    tooClose(
      mounts
        .filter(({ id, mount }) => id === host || mount.on === host)
        .map(({ id, outline, settled: { wall } }) => ({ mount: id, outline, face: wall.fit.value + wall.thickness })),
    ),
  );
  return { ...NOTHING, findings };
}

/** A setting as a carrier is told of it: all that stands on its plate is joined before, and hangs with it. */
function carriedWith(host: SizedMount, mounts: readonly SizedMount[], applied: readonly Applied[]): Carried {
  const others = mounts.filter(({ mount }) => mount.on === host.id);
  if (others.length === 0) return { ...host, hung: () => withWeights(host.setting, applied) };
  const { tie } = host.setting;
  return {
    mount: host.mount,
    setting: { ...host.setting, tie: { ...tie, after: [...tie.after, ...others.flatMap(({ setting }) => setting.tie.after)] } },
    hung: () => {
      const all = [host, ...others].map(({ setting }) => withWeights(setting, applied));
      return { ...all[0]!, weights: all.flatMap(({ weights }) => weights), isGuess: all.some(({ isGuess }) => isGuess) };
    },
  };
}

/** A method that the piece names and the bench has no allowance of: the usual losses count. */
function methodFindings({ methods = {} }: Piece, { allowances = [] }: BenchEntry): Finding[] {
  return Object.entries(methods).flatMap(([kind, method]) =>
    allowances.some((each) => each.kind === kind) ? [] : [finding("loss.no-such-method", "note", "making", { kind, method })],
  );
}

/** A setting as it hangs, with what is put on it. */
function withWeights(setting: PlannedSetting, applied: readonly Applied[]): Hung {
  const hung = setting.hung();
  const parts = new Set(setting.contributions.flatMap((each) => each.parts.map(({ id }) => id)));
  const put = applied.filter(({ on }) => parts.has(on)).map((each) => ({ part: `applied.${each.id}`, mass: massFor(each), at: each.at }));
  return put.length === 0 ? hung : { ...hung, weights: [...hung.weights, ...put] };
}

/** The metal of one copy, by its kinds. */
function weighed(parts: readonly Part[]): Figure {
  const metals = [...new Set(parts.map(({ metal }) => metal))];
  const of = (metal: Metal) => parts.filter((part) => part.metal === metal).reduce((all, { mass }) => all + mass, 0);
  return sum(
    "g",
    metals.map((metal) => term(metal, of(metal), "formula", "density")),
  );
}

/** What is put on, on all that is built. */
function withApplied(
  built: Contribution,
  applied: readonly Applied[],
  mounts: readonly { readonly id: string; readonly mount: Mount; readonly setting: PlannedSetting }[],
  carrierParts: readonly string[],
  carrier: CarrierDrawing,
): Contribution {
  const seams = mounts.flatMap(({ id, setting }) => {
    const { seam } = setting.drawing.plan;
    return seam ? [[`${id}.wall`, [seam.x, seam.y] as const] as const] : [];
  });
  const ground = {
    parts: built.parts,
    joints: built.joints,
    made: built.made,
    hoop: carrier.type === "hoop" ? { parts: carrierParts, ...roundOf(carrier) } : null,
    planes: Object.fromEntries(
      mounts.map(({ id, mount, setting }) => [id, () => planeOf(outlineIn(mount), setting.drawing.plan)] as const),
    ),
    seams: Object.fromEntries(seams),
  };
  return mergeContributions([{ ...built, joints: afterFlat(built.joints, applied) }, planApplied(applied, ground)]);
}
