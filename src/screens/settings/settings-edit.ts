import { type Draft as Editable } from "immer";
import { type Piece } from "@/core/piece/piece";

/** The eye of a setting that nobody has placed: opposite the point. */
const TOP = 0.5;

/** As many settings as a piece carries. */
export const MOST_SETTINGS = 12;

/** Sets one more stone, alike to one that is there; on a hoop so many mm further round. Returns its id. */
export function addSetting(piece: Editable<Piece>, like: string, along: number): string {
  const ids = piece.mounts.map(({ id }) => id);
  const id = Array.from({ length: ids.length + 1 }, (_, i) => `m${i + 1}`).find((each) => !ids.includes(each))!;
  const carried = piece.mounts.flatMap((mount) => (mount.on === undefined ? [mount.id] : []));
  const from = piece.mounts.find((mount) => mount.id === like)!;
  const copy = JSON.parse(JSON.stringify(from)) as typeof from;
  piece.mounts.push({ ...copy, id, ...(piece.carrier.type === "hoop" && { place: { ...copy.place, along } }) });
  const { carrier } = piece;
  if (carrier.type === "bail" || carrier.type === "jump-ring") {
    const at = carrier.eye?.at ?? TOP;
    carrier.eyes = [...(carrier.eyes ?? carried.map((mount) => ({ mount, at }))), { mount: id, at }];
    delete carrier.eye;
  }
  if (piece.kind === "earrings") piece.copies = 1;
  return id;
}

/** Puts settings where they are asked for, so many mm round the hoop from its front. */
export function placeSettings(piece: Editable<Piece>, alongs: readonly number[]): void {
  piece.mounts.filter(({ on }) => on === undefined).forEach((mount, i) => (mount.place = { ...mount.place, along: alongs[i]! }));
}

/** Takes a setting away, with its eye and all that stands on its plate. */
export function removeSetting(piece: Editable<Piece>, id: string): void {
  piece.mounts = piece.mounts.filter((mount) => mount.id !== id && mount.on !== id);
  const { carrier } = piece;
  if ((carrier.type !== "bail" && carrier.type !== "jump-ring") || !carrier.eyes) return;
  carrier.eyes = carrier.eyes.filter(({ mount }) => mount !== id);
  const [only] = carrier.eyes;
  if (carrier.eyes.length !== 1 || !only) return;
  carrier.eye = { at: only.at };
  delete carrier.eyes;
}
