import { type Draft as Editable } from "immer";
import { type Piece, type WallEntry } from "@/core/piece/piece";
import { lengthField, optionalLengthField } from "@/ui/fields";
import { type Units } from "@/words/show";

type WallNumber = "thickness" | "fit" | "catch" | "lift" | "fixedHeight";
type WallLoss = keyof NonNullable<WallEntry["losses"]>;

function wallOf(piece: Editable<Piece>, mount: string) {
  return piece.mounts.find(({ id }) => id === mount)!.wall;
}

export function wallField(mount: string, name: WallNumber, units: Units) {
  return lengthField(`${mount}.wall.${name}`, units, (piece, value) => {
    wallOf(piece, mount)[name] = value;
  });
}

/** The pitch wanted of a notched wall. */
export function pitchField(mount: string, units: Units) {
  return lengthField(`${mount}.wall.notch.pitch`, units, (piece, value) => {
    wallOf(piece, mount).notch = { pitch: value };
  });
}

/** What a tube keeps of itself under a stone that stands on a shelf (mm). */
const USUAL_SHELF = 0.5;

/** A tube's or a cup's own size across; without it the piece asks which would fit. The other size is guessed from it where there is none yet. */
export function readyField(mount: string, name: "outside" | "inside", units: Units) {
  return optionalLengthField(`${mount}.wall.tube.${name}`, units, (piece, value) => {
    const wall = wallOf(piece, mount);
    if (value === null) {
      delete wall.tube;
      return;
    }
    const walls = 2 * (wall.thickness + (wall.source === "tube" ? USUAL_SHELF : 0));
    const { outside, inside } = wall.tube ?? { outside: value + walls, inside: Math.max(value / 2, value - walls) };
    wall.tube = name === "outside" ? { outside: value, inside } : { outside, inside: value };
  });
}

/** How thick a cup's own base is. */
export function baseField(mount: string, units: Units) {
  return lengthField(`${mount}.plate.thickness`, units, (piece, value) => {
    piece.mounts.find(({ id }) => id === mount)!.plate.thickness = value;
  });
}

export function wallLossField(mount: string, name: WallLoss, units: Units) {
  return lengthField(`${mount}.wall.losses.${name}`, units, (piece, value) => {
    const wall = wallOf(piece, mount);
    wall.losses = { ...wall.losses, [name]: value };
  });
}
