import { type Outline } from "../geometry/outline";
import { type Placement, UNMOVED, placed } from "../geometry/placed";
import { outlineOf } from "../stone/stone";
import { type Mount, type OrnamentEntry, type Piece, type PlateEntry } from "./piece";

type Mounts = Pick<Piece, "mounts">;

/** The mount whose plate another stands on: itself, but where it shares one. @throws for one that shares a plate that is not there. */
export function hostOf({ mounts }: Mounts, { id, on = id }: Mount): Mount & { readonly plate: PlateEntry } {
  const host = mounts.find((each) => each.id === on);
  if (!host?.plate) throw new RangeError(`${id} stands on the plate of ${on}, which has none`);
  return { ...host, plate: host.plate };
}

/** Mounts with a plate or another back of their own: those that a carrier carries. */
export function hosts({ mounts }: Mounts): Mount[] {
  return mounts.filter(({ on }) => on === undefined);
}

export function ornamentOf({ plate, ornament }: Mount): readonly OrnamentEntry[] {
  return (plate ? plate.ornament : ornament) ?? [];
}

/** Where a mount's stone lies in its plane: that of the plate where this is of its own or shared, else the stone's own. */
export function placementOf({ on, at, turn = 0, plate }: Mount): Placement {
  if (on !== undefined) return { at: at ?? UNMOVED.at, turn };
  return plate?.style === "own" ? { at: plate.at ?? UNMOVED.at, turn: plate.turn ?? 0 } : UNMOVED;
}

/** The stone's outline where it lies in its plane. */
export function outlineIn(mount: Mount): Outline {
  return placed(outlineOf(mount.stone).outline, placementOf(mount));
}
