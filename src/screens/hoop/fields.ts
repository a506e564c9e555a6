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

export function seatField(name: "flatWidth" | "saddleWidth", units: Units) {
  return optionalLengthField(`hoop.${name}`, units, (piece, value) => {
    const hoop = hoopOf(piece);
    if (value === null) delete hoop[name];
    else hoop[name] = value;
  });
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
