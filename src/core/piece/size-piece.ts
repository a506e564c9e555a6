import { type Contribution, together } from "../joint/contribution";
import { planSetting } from "../mount/setting";
import { outlineOf } from "../stone/stone";
import { type BenchEntry } from "./bench";
import { carrierKind } from "./carriers/carriers";
import { type Readings, inHand } from "./measured";
import { type Piece } from "./piece";
import { type Drawing, type Settled } from "./plan";
import { settleBack, settleDome, settleLayers, settleWall } from "./settle";

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
  const contribution = together([...mounts.flatMap(({ setting }) => setting.contributions), carried.contribution]);
  return {
    piece,
    contribution,
    drawing: {
      settings: Object.fromEntries(mounts.map(({ id, setting }) => [id, setting.drawing])),
      carrier: carried.drawing,
      laid: contribution.laid,
    },
    settled: { mounts: Object.fromEntries(mounts.map(({ id, settled }) => [id, settled])), carrier: carried.settled },
  };
}
