import { type Piece } from "@/core/piece/piece";
import { SHAPE_NAMES, capital } from "./names";
import { printable } from "./show";

/** What a new piece of each kind is called until its stone is known. */
export const NEW_NAMES: Readonly<Record<Piece["kind"], string>> = {
  ring: "New ring",
  pendant: "New pendant",
  earrings: "New earrings",
};

/** The first of an empty tray. */
export const FIRST_NAME = "First ring";

const LONGEST = 60;

/** "Turquoise ring", "Pear pendant": after what its first stone is of, else after its shape. */
export function nameAfter({ kind, mounts }: Pick<Piece, "kind" | "mounts">): string {
  const stone = mounts[0]?.stone;
  const called = stone?.material?.name ?? (stone && SHAPE_NAMES[stone.outline.shape]) ?? "";
  return `${capital(printable(called.trim()).slice(0, LONGEST))} ${kind}`;
}

/** The name a piece goes on with after a change: one that nobody named is named after its stone as that becomes known. */
export function nameNow(before: Piece, after: Piece): string {
  const isUnnamed = before.name === NEW_NAMES[before.kind] || before.name === FIRST_NAME || before.name === nameAfter(before);
  const isSame = nameAfter(before) === nameAfter(after) || after.name !== before.name;
  return isUnnamed && !isSame ? nameAfter(after) : after.name;
}
