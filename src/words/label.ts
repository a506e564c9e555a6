import { type DoubtOf } from "@/core/piece/doubt";
import { type Mount, type Piece } from "@/core/piece/piece";
import { BLANK } from "./doubt";
import { fullDayText } from "./dates";
import { SYSTEM_NAMES } from "./names";
import { type Units, printable } from "./show";
import { stoneSize } from "./stone-size";

/** What stands on a piece's label under its name: each stone, the finger size, and when it was made; ISO, or null where it is not yet. */
export function labelLines(piece: Piece, made: string | null, units: Units, doubtOf: DoubtOf): string[] {
  const { carrier, mounts } = piece;
  return [
    ...new Set(mounts.map((mount) => stoneLine(mount, units, doubtOf))),
    ...(carrier.type === "hoop" ? [sizeLine(carrier.size, doubtOf)] : []),
    `made ${made === null ? BLANK : fullDayText(made)}`,
  ];
}

function sizeLine({ system, value }: Extract<Piece["carrier"], { type: "hoop" }>["size"], doubtOf: DoubtOf): string {
  return `${SYSTEM_NAMES[system]} ${doubtOf("hoop.size.value") ? BLANK : printable(value)}`;
}

/** "chrysoprase, 16.0 × 12.0". */
function stoneLine({ id, stone }: Mount, units: Units, doubtOf: DoubtOf): string {
  const name = printable(stone.material?.name ?? stone.name ?? "");
  const size = doubtOf(`${id}.stone.length`) ? BLANK : stoneSize(stone.outline, units);
  return name === "" ? size : `${name}, ${size}`;
}
