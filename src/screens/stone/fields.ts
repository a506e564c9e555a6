import { type Draft as Editable } from "immer";
import { type Piece } from "@/core/piece/piece";
import { type OutlineShape } from "@/core/stone/shapes/shapes";
import { lengthField, numberField, optionalLengthField, wordsField } from "@/ui/fields";
import { type Units } from "@/words/show";

type Stone = Piece["mounts"][number]["stone"];

function stoneOf(piece: Editable<Piece>, mount: string): Editable<Stone> {
  return piece.mounts.find(({ id }) => id === mount)!.stone;
}

/** A dimension of the outline, by its name in the piece: "length", "diameter". */
export function outlineField(mount: string, name: "length" | "width" | "diameter", units: Units) {
  return lengthField(`${mount}.stone.outline.${name}`, units, (piece, value) => {
    const stone = stoneOf(piece, mount);
    stone.outline = { ...stone.outline, [name]: value };
  });
}

export function stoneField(mount: string, name: "height" | "turnIn", units: Units) {
  return lengthField(`${mount}.stone.${name}`, units, (piece, value) => {
    const stone = stoneOf(piece, mount);
    stone[name] = value;
    if (name === "height" && stone.dome === "flat") stone.turnIn = value;
  });
}

export function wrappedField(mount: string, units: Units) {
  return optionalLengthField(`${mount}.stone.measuredPerimeter`, units, (piece, value) => {
    stoneOf(piece, mount).measuredPerimeter = value;
  });
}

export function domeField(mount: string) {
  return numberField(`${mount}.stone.dome`, "", 0.1, 1, (piece, value) => {
    stoneOf(piece, mount).dome = value;
  });
}

export function mohsField(mount: string) {
  return numberField(`${mount}.stone.mohs`, "Mohs", 0.5, 1, (piece, value) => {
    const stone = stoneOf(piece, mount);
    stone.material = { ...stone.material, mohs: value };
  });
}

export function materialField(mount: string) {
  return wordsField(`${mount}.stone.material.name`, (piece, name) => {
    const stone = stoneOf(piece, mount);
    stone.material = { ...stone.material, name };
  });
}

/** The outline as another shape of about the same size. */
export function reshaped(outline: OutlineShape, shape: "round" | "oval"): OutlineShape {
  if (shape === "round") return { shape, diameter: "width" in outline ? outline.width : 10 };
  return outline.shape === "round" ? { shape, length: outline.diameter, width: outline.diameter } : { shape, length: 16, width: 12 };
}
