import { type Draft as Editable } from "immer";
import { type BailEntry, type EarWiresEntry, type JumpRingEntry, type Piece, type PostsEntry } from "@/core/piece/piece";
import { lengthField, numberField, optionalLengthField } from "@/ui/fields";
import { type Units } from "@/words/show";

type Hung = BailEntry | JumpRingEntry;
type Worn = PostsEntry | EarWiresEntry;

/** @throws for a piece that does not hang as it is chosen: its fields are not shown. */
export function hungOf(piece: Editable<Piece>): Editable<Hung> {
  if (piece.carrier.type !== "bail" && piece.carrier.type !== "jump-ring") throw new RangeError("the piece hangs by nothing");
  return piece.carrier;
}

/** @throws for a piece that is not worn in an ear by a wire of its own: its fields are not shown. */
export function wornOf(piece: Editable<Piece>): Editable<Worn> {
  if (piece.carrier.type !== "posts" && piece.carrier.type !== "ear-wires") throw new RangeError("the piece has no wire for the ear");
  return piece.carrier;
}

/** A length of what goes through the ear, by what it is called: "post" or "earwire". */
export function wornField(of: "post" | "earwire", name: "wire" | "length", units: Units) {
  return lengthField(`${of}.${name}`, units, (piece, value) => void (wornOf(piece)[name] = value));
}

/** @throws for a piece without posts. */
function postOf(piece: Editable<Piece>): Editable<PostsEntry> {
  if (piece.carrier.type !== "posts") throw new RangeError("the piece has no post");
  return piece.carrier;
}

export function putPost(piece: Editable<Piece>, at: readonly [number, number]): void {
  postOf(piece).at = [...at];
}

/** Where the post stands on one axis of the setting's plane. */
export function postField(axis: 0 | 1, units: Units) {
  return lengthField(`post.at.${axis}`, units, (piece, value) => void (postOf(piece).at[axis] = value));
}

/** A size of the ring that hangs in a bail. */
export function bailRingField(name: "inside" | "wire", units: Units) {
  return lengthField(`bail.ring.${name}`, units, (piece, value) => {
    const { ring } = bailOf(piece);
    if (ring) ring[name] = value;
  });
}

/** A ring in the bail, or none. */
export function putBailRing(piece: Editable<Piece>, ring: BailEntry["ring"] | null): void {
  const bail = bailOf(piece);
  if (ring) bail.ring = { ...ring };
  else delete bail.ring;
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

/** Puts the last eye of a setting, the only one of a piece with one setting by itself; on a point of the outline so many degrees round it. */
export function putEye(piece: Editable<Piece>, mount: string, at: number, turn = 0): void {
  const eye = { at: at - Math.floor(at), ...(turn !== 0 && { turn }) };
  if (piece.carrier.type === "ear-wires") {
    piece.carrier.eye = eye;
    return;
  }
  const carrier = hungOf(piece);
  const last = carrier.eyes?.findLastIndex((each) => each.mount === mount) ?? -1;
  if (carrier.eyes && last >= 0) carrier.eyes[last] = { mount, ...eye };
  else if (piece.mounts.length === 1) carrier.eye = eye;
  else carrier.eyes = piece.mounts.map(({ id }) => ({ mount: id, ...(id === mount ? eye : { at: 0.5 }) }));
}

/** How far the eye is turned round the point that it stands on. */
export function turnField(mount: string, at: number) {
  return numberField("bail.eye.turn", "°", 1, 1, (piece, value) => putEye(piece, mount, at, value));
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
