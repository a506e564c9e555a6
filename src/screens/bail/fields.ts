import { type Draft as Editable } from "immer";
import { type BailEntry, type JumpRingEntry, type Piece } from "@/core/piece/piece";
import { lengthField, numberField, optionalLengthField } from "@/ui/fields";
import { type Units } from "@/words/show";

type Hung = BailEntry | JumpRingEntry;

/** @throws for a piece that hangs by nothing: its fields are not shown. */
export function hungOf(piece: Editable<Piece>): Editable<Hung> {
  if (piece.carrier.type !== "bail" && piece.carrier.type !== "jump-ring") throw new RangeError("the piece hangs by nothing");
  return piece.carrier;
}

function bailOf(piece: Editable<Piece>): Editable<BailEntry> {
  if (piece.carrier.type !== "bail") throw new RangeError("the piece has no bail");
  return piece.carrier;
}

export function bailField(name: "bore" | "drop" | "thickness", units: Units) {
  return lengthField(`bail.${name}`, units, (piece, value) => void (bailOf(piece)[name] = value));
}

/** A length of a bail that may be left out. */
export function bailOptional(name: "widest" | "foot" | "chainEnd", units: Units) {
  return optionalLengthField(`bail.${name}`, units, (piece, value) => {
    const bail = bailOf(piece);
    if (value === null) delete bail[name];
    else bail[name] = value;
  });
}

export function ringField(name: "inside" | "wire", units: Units) {
  return lengthField(`bail.${name}`, units, (piece, value) => {
    const carrier = hungOf(piece);
    if (carrier.type === "jump-ring") carrier[name] = value;
  });
}

export const axisField = numberField("bail.hangAxis", "°", 5, 0, (piece, value) => void (hungOf(piece).hangAxis = value));

/** Where a setting hangs, in mm along its edge from its top; `top` is that place. */
export function eyeField(mount: string, top: number, perimeter: number, units: Units) {
  return lengthField("bail.eye.at", units, (piece, value) => putEye(piece, mount, top + value / perimeter));
}

/** Puts the last eye of a setting, the only one of a piece with one setting by itself. */
export function putEye(piece: Editable<Piece>, mount: string, at: number): void {
  const carrier = hungOf(piece);
  const share = at - Math.floor(at);
  const last = carrier.eyes?.findLast((eye) => eye.mount === mount);
  if (last) last.at = share;
  else if (piece.mounts.length === 1) carrier.eye = { at: share };
  else carrier.eyes = piece.mounts.map(({ id }) => ({ mount: id, at: id === mount ? share : 0.5 }));
}

/** One eye at the top, or a second across from it. */
export function putEyes(piece: Editable<Piece>, mount: string, isTwo: boolean, top: number): void {
  const carrier = hungOf(piece);
  const at = carrier.eyes?.[0]?.at ?? carrier.eye?.at ?? top;
  delete carrier.eye;
  delete carrier.eyes;
  if (isTwo)
    carrier.eyes = [
      { mount, at },
      { mount, at: (at + 0.5) % 1 },
    ];
  else carrier.eye = { at };
}
