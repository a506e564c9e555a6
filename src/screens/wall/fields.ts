import { type Draft as Editable } from "immer";
import { type Piece, type WallEntry } from "@/core/piece/piece";
import { lengthField } from "@/ui/fields";
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

export function wallLossField(mount: string, name: WallLoss, units: Units) {
  return lengthField(`${mount}.wall.losses.${name}`, units, (piece, value) => {
    const wall = wallOf(piece, mount);
    wall.losses = { ...wall.losses, [name]: value };
  });
}
