import { type Draft as Editable } from "immer";
import { type Point } from "@/core/geometry/outline";
import { toTwentieth } from "@/core/measure/micron";
import { type Mount, type Piece, type PlateEntry } from "@/core/piece/piece";
import { sizeOf } from "@/core/stone/reshape";
import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";

export function editableMount(piece: Editable<Piece>, id: string): Editable<Mount> {
  return piece.mounts.find((each) => each.id === id)!;
}

/** The plate of a setting that has one of its own, to be changed. @throws for one that stands on another's. */
export function editablePlate(piece: Editable<Piece>, id: string): Editable<PlateEntry> {
  const { plate } = editableMount(piece, id);
  if (!plate) throw new RangeError(`${id} has no plate of its own`);
  return plate;
}

/** What is left round a stone on a plate of its own, at first (mm). */
const ROUND_IT = 2.5;

/** A plate that a stone lies on with room all round: round for a round stone, else an oval. */
export function outlineAround(stone: OutlineShape): OutlineShape {
  const { length, width } = sizeOf(outlineOfShape(stone));
  const [long, wide] = [length, width].map((size) => toTwentieth(size + 2 * ROUND_IT)) as [number, number];
  return stone.shape === "round"
    ? { shape: "round", diameter: long }
    : { shape: "oval", length: Math.max(long, wide), width: Math.min(long, wide) };
}

/** Puts a stone where it is asked for on its plate, turned by so many degrees. */
export function putOnPlate(piece: Editable<Piece>, id: string, place: { readonly at?: Point; readonly turn?: number }): void {
  const mount = editableMount(piece, id);
  const lies = mount.on === undefined ? editablePlate(piece, id) : mount;
  if (place.at) lies.at = [place.at[0], place.at[1]];
  if (place.turn !== undefined) lies.turn = place.turn;
}

/** One more stone, alike to one that is there, on a plate that others stand on. Returns its id. */
export function addOnPlate(piece: Editable<Piece>, host: string, like: string, at: Point): string {
  const ids = piece.mounts.map(({ id }) => id);
  const id = Array.from({ length: ids.length + 1 }, (_, i) => `m${i + 1}`).find((each) => !ids.includes(each))!;
  const { stone, wall } = editableMount(piece, like);
  piece.mounts.push({ id, stone: structuredCopy(stone), wall: structuredCopy(wall), on: host, at: [at[0], at[1]], turn: 0 });
  return id;
}

/** A copy of a part of a piece that is being changed. */
function structuredCopy<T>(part: T): T {
  return JSON.parse(JSON.stringify(part)) as T;
}

/** Degrees from -180, exclusive, to 180, whole. */
export function wholeTurn(degrees: number): number {
  const turn = Math.round(degrees) % 360;
  return turn > 180 ? turn - 360 : turn <= -180 ? turn + 360 : turn;
}
