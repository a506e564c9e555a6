import { type Draft as Editable } from "immer";
import { type HoopEntry, type Piece } from "@/core/piece/piece";
import { lengthField, numberField, optionalLengthField, wordsField } from "@/ui/fields";
import { type Units } from "@/words/show";

type HoopLoss = keyof NonNullable<HoopEntry["losses"]>;

/** @throws for a piece without a hoop: its fields are not shown. */
export function hoopOf(piece: Editable<Piece>): Editable<HoopEntry> {
  if (piece.carrier.type !== "hoop") throw new RangeError("the piece has no hoop");
  return piece.carrier;
}

export const sizeField = wordsField("hoop.size.value", (piece, text) => {
  hoopOf(piece).size.value = text.trim();
});

/** Empty words take it away. */
export const textureField = wordsField("hoop.stock.texture.name", (piece, text) => {
  const { stock } = hoopOf(piece);
  if (text.trim() === "") delete stock.texture;
  else stock.texture = { name: text.trim() };
});

/** What a strip laid round the finger reads: it becomes the size in the maker's own system. */
export function roundField(units: Units, sizeOf: (mm: number) => HoopEntry["size"]) {
  const field = lengthField("hoop.size.round", units, (piece, value) => void (hoopOf(piece).size = sizeOf(value)));
  return { ...field, measures: sizeField.key };
}

/** Round and square wire is as wide as it is thick. */
export function stockField(name: "width" | "thickness", units: Units) {
  return lengthField(`hoop.stock.${name}`, units, (piece, value) => {
    const { stock } = hoopOf(piece);
    stock[name] = value;
    if (isEven(stock.section)) stock.width = stock.thickness = value;
  });
}

export function isEven(section: HoopEntry["stock"]["section"]): boolean {
  return section === "round" || section === "square";
}

/** A length of the hoop that may be left out. */
export function optionalField(name: "flatWidth" | "saddleWidth" | "plateAbove" | "openGap", units: Units) {
  return optionalLengthField(`hoop.${name}`, units, (piece, value) => {
    const hoop = hoopOf(piece);
    if (value === null) delete hoop[name];
    else hoop[name] = value;
  });
}

/** A length of what is done with the stock, or of the arch over it. */
export function partField(key: string, units: Units, write: (hoop: Editable<HoopEntry>, mm: number) => void) {
  return lengthField(`hoop.${key}`, units, (piece, value) => write(hoopOf(piece), value));
}

/** What a sleeve is turned from. */
export const sleeveField = wordsField("hoop.sleeve.name", (piece, text) => {
  const { sleeve } = hoopOf(piece);
  if (sleeve) sleeve.name = text.trim();
});

/** A number of it. */
export function countField(key: string, step: number, write: (hoop: Editable<HoopEntry>, value: number) => void) {
  return numberField(`hoop.${key}`, "", step, step < 1 ? 1 : 0, (piece, value) => write(hoopOf(piece), value));
}

/** Where a setting lies round the hoop, and how far it is turned. */
export function placeField(mount: string, name: "along" | "turn", units: Units) {
  const write = (piece: Editable<Piece>, value: number) => putPlace(piece, mount, name, value);
  return name === "along" ? lengthField(`${mount}.place.along`, units, write) : numberField(`${mount}.place.turn`, "°", 1, 0, write);
}

export function putPlace(piece: Editable<Piece>, mount: string, name: "along" | "turn", value: number): void {
  const each = piece.mounts.find(({ id }) => id === mount)!;
  each.place = { ...each.place, [name]: value };
}

export function hoopLossField(name: Exclude<HoopLoss, "sawPasses">, units: Units) {
  return lengthField(`hoop.losses.${name}`, units, (piece, value) => {
    const hoop = hoopOf(piece);
    hoop.losses = { ...hoop.losses, [name]: value };
  });
}

export const sawPassesField = numberField("hoop.losses.sawPasses", "", 1, 0, (piece, value) => {
  const hoop = hoopOf(piece);
  hoop.losses = { ...hoop.losses, sawPasses: value };
});
