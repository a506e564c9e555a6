import { editablePlate } from "../plate/plate-edit";
import { type Draft as Editable } from "immer";
import { USUAL_PITCH } from "@/core/mount/wall";
import { usualDiameters } from "@/core/mount/ready-wall";
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

/** How far a notched wall's teeth are to stand from one another. */
export function pitchField(mount: string, units: Units) {
  return lengthField(`${mount}.wall.notch.pitch`, units, (piece, value) => {
    const wall = wallOf(piece, mount);
    wall.notch = { ...wall.notch, pitch: value };
  });
}

/** A size of the gaps between the teeth; without it the usual one. */
export function gapField(mount: string, name: "depth" | "gap", units: Units) {
  return optionalLengthField(`${mount}.wall.notch.${name}`, units, (piece, value) => {
    const notch = (wallOf(piece, mount).notch ??= { pitch: USUAL_PITCH });
    if (value === null) delete notch[name];
    else notch[name] = value;
  });
}

/** A tube's own size across; without it the piece asks which would fit. The other size is guessed from it where there is none yet. */
export function tubeField(mount: string, name: "outside" | "inside", units: Units) {
  return optionalLengthField(`${mount}.wall.tube.${name}`, units, (piece, value) => {
    const wall = wallOf(piece, mount);
    if (value === null) {
      delete wall.tube;
      return;
    }
    wall.tube = { ...(wall.tube ?? usualDiameters(name, value, wall.thickness)), [name]: value };
  });
}

/** A cup's own length outside; without it the piece asks which would fit. It is taken to be as thick as the wall wanted until that is said. */
export function cupLengthField(mount: string, units: Units) {
  return optionalLengthField(`${mount}.wall.cup.length`, units, (piece, value) => {
    const wall = wallOf(piece, mount);
    if (value === null) delete wall.cup;
    else wall.cup = { thickness: wall.thickness, ...wall.cup, length: value };
  });
}

/** How thick a cup is that has a length. */
export function cupThicknessField(mount: string, units: Units) {
  return lengthField(`${mount}.wall.cup.thickness`, units, (piece, value) => {
    const wall = wallOf(piece, mount);
    if (wall.cup) wall.cup.thickness = value;
  });
}

/** How thick a cup's own base is. */
export function baseField(mount: string, units: Units) {
  return lengthField(`${mount}.plate.thickness`, units, (piece, value) => {
    editablePlate(piece, mount).thickness = value;
  });
}

export function wallLossField(mount: string, name: WallLoss, units: Units) {
  return lengthField(`${mount}.wall.losses.${name}`, units, (piece, value) => {
    const wall = wallOf(piece, mount);
    wall.losses = { ...wall.losses, [name]: value };
  });
}
