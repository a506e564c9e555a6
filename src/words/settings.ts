import { type Mount } from "@/core/piece/piece";
import { SHAPE_NAMES } from "./names";
import { printable } from "./show";

/** A setting as it is told among others: "m1, garnet oval". */
export function calledIn({ id, stone }: Mount): string {
  return `${id}, ${[printable(stone.material?.name ?? stone.name ?? ""), SHAPE_NAMES[stone.outline.shape]].filter(Boolean).join(" ")}`;
}
