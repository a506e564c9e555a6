import { type Applied, afterFlat, massFor, planApplied } from "../applied/applied";
import { planeOf, roundOf } from "../applied/clearance";
import { type Contribution, mergeContributions } from "../joint/contribution";
import { type Part } from "../joint/joint";
import { type Figure, sum, term } from "../measure/figure";
import { type Metal } from "../metal/metals";
import { finishWhole } from "../mount/finishing";
import { type PlannedSetting, planSetting } from "../mount/setting";
import { type Hung } from "../mount/weights";
import { outlineOf } from "../stone/stone";
import { type BenchEntry } from "./bench";
import { type CarrierDrawing } from "./carriers/carrier";
import { carrierKind } from "./carriers/carriers";
import { inUse } from "./make";
import { type InHand, type Readings, fitKey, inHand } from "./measured";
import { type Remedy, lastReadings, remediesOf } from "./remedies";
import { type Mount, type Piece } from "./piece";
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
export function sizePiece(asked: Piece, bench: BenchEntry, readings: Readings = []): SizedPiece {
  const measured = inUse(readings);
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
  const mounts = piece.mounts.map((mount) => {
    const { id, stone } = mount;
    const { outline, tapeOff } = outlineOf(stone);
    const settled = { wall: settleWall(mount, outline, bench, sourceOf), back: settleBack(mount) };
    const setting = planSetting({
      ...{ mount: id, stone, outline, tapeOff, dome: settleDome(stone, outline), layers: settleLayers(mount) },
      ...settled,
      carrierPlaces: carriedBy.places(carrier, mount, outline),
      band: carriedBy.band(carrier, mount),
    });
    return { id, mount, settled, setting };
  });
  const applied = settleApplied(piece);
  const carried = carriedBy.plan(
    carrier,
    mounts.map((each) => ({ ...each, hung: () => withWeights(each.setting, applied) })),
    bench,
  );
  const built = mergeContributions([...mounts.flatMap(({ setting }) => setting.contributions), carried.contribution]);
  const put = applied.length === 0 ? built : withApplied(built, applied, mounts, carriedBy.parts(carrier), carried.drawing);
  const whole = mergeContributions([
    put,
    finishWhole(
      piece.mounts,
      put.parts.map(({ id }) => id),
    ),
  ]);
  const contribution = { ...whole, figures: { ...whole.figures, "piece.mass": weighed(whole.parts) } };
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
      mounts.map(({ id, mount, setting }) => [id, () => planeOf(outlineOf(mount.stone).outline, setting.drawing.plan)] as const),
    ),
    seams: Object.fromEntries(seams),
  };
  return mergeContributions([{ ...built, joints: afterFlat(built.joints, applied) }, planApplied(applied, ground)]);
}
