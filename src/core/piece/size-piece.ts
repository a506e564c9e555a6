import { type Applied, afterFlat, planApplied } from "../applied/applied";
import { type Contribution, together } from "../joint/contribution";
import { type PlannedSetting, planSetting } from "../mount/setting";
import { outlineOf } from "../stone/stone";
import { type BenchEntry } from "./bench";
import { type CarrierDrawing } from "./carriers/carrier";
import { carrierKind } from "./carriers/carriers";
import { type Readings, inHand } from "./measured";
import { type Piece } from "./piece";
import { type Drawing, type Settled } from "./plan";
import { settleApplied, settleBack, settleDome, settleLayers, settleWall } from "./settle";

/** A piece with all its lengths, parts and joints: all but its heats. */
export interface SizedPiece {
  readonly piece: Piece;
  readonly contribution: Contribution;
  readonly drawing: Drawing;
  readonly settled: Omit<Settled, "heats">;
}

/**
 * Settles every value, asks each thing that is built for what it adds, in the order the plan lists it, and adds up. Cheap enough to run at every
 * keystroke. @throws for a piece that `faultsOf` or `unplanned` refuse.
 */
export function sizePiece(asked: Piece, bench: BenchEntry, measured: Readings = []): SizedPiece {
  const { piece, sourceOf } = inHand(asked, measured);
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
  const carried = carriedBy.plan(carrier, mounts, bench);
  const built = together([...mounts.flatMap(({ setting }) => setting.contributions), carried.contribution]);
  const applied = settleApplied(piece);
  const contribution = applied.length === 0 ? built : withApplied(built, applied, mounts, carried.drawing);
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

/** What is put on, on all that is built. */
function withApplied(
  built: Contribution,
  applied: readonly Applied[],
  mounts: readonly { readonly id: string; readonly setting: PlannedSetting }[],
  carrier: CarrierDrawing,
): Contribution {
  const seams = mounts.flatMap(({ id, setting }) => {
    const { seam } = setting.drawing.plan;
    return seam ? [[`${id}.wall`, [seam.x, seam.y] as const] as const] : [];
  });
  const ground = {
    parts: built.parts,
    joints: built.joints,
    hoopOutside: carrier.type === "hoop" ? carrier.outside : null,
    seams: Object.fromEntries(seams),
  };
  return together([{ ...built, joints: afterFlat(built.joints, applied) }, planApplied(applied, ground)]);
}
