import { type Mount } from "@/core/piece/piece";
import { SHAPE_NAMES, capital, settingName } from "./names";
import { printable } from "./show";

/** A setting as it is told in the list of all: "Stone 1, garnet oval". */
export function calledIn(mounts: readonly Mount[], { id, stone }: Mount): string {
  const name = settingName(
    mounts.map((each) => each.id),
    id,
  );
  return capital(
    `${name}, ${[printable(stone.material?.name ?? stone.name ?? ""), SHAPE_NAMES[stone.outline.shape]].filter(Boolean).join(" ")}`,
  );
}

/** " and 2 more" after what is said of a piece's first setting; nothing where it has no other. */
export function andOthers(mounts: readonly unknown[]): string {
  return mounts.length > 1 ? ` and ${mounts.length - 1} more` : "";
}
