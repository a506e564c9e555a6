import { type Draft as Editable } from "immer";
import { type Mount } from "@/core/piece/piece";
import { withEnd } from "@/core/stone/profile";
import { type Stone, atHeight, outlineOf } from "@/core/stone/stone";
import { type SideReading, endsOf } from "@/core/trace/side";
import { type Session } from "@/store/session";
import { stoneOf, turnInKey } from "../fields";

/** What a picture from the side gives, in the order it is told. */
export type SideField = "height" | "left" | "right" | "dome";

interface Taking {
  readonly fields: readonly SideField[];
  /** Whether both ends of the stone are known by now: then no height between them is a guess of nobody's. */
  readonly hasBothEnds: boolean;
  readonly isMadeUp: boolean;
}

/** Gives the stone what was read from its side, in one step; says what is wrong with it, or null. From a made-up picture nothing counts as measured. */
export function takeSide(session: Session, mount: Mount, reading: SideReading, { fields, hasBothEnds, isMadeUp }: Taking): string | null {
  const ends = endsOf(outlineOf(mount.stone).outline);
  const isTaken = (field: SideField) => fields.includes(field);
  const isEndTaken = isTaken("left") || isTaken("right");
  const keys = [
    ...(isTaken("height") ? [`${mount.id}.stone.height`] : []),
    ...(isTaken("dome") ? [`${mount.id}.stone.dome`] : []),
    ...(isEndTaken && (hasBothEnds || isMadeUp) ? [turnInKey(mount.id)] : []),
  ];
  return session.choose(
    (piece) => {
      const stone = stoneOf(piece, mount.id);
      if (isTaken("dome") && reading.dome !== null) stone.dome = reading.dome;
      else if (isEndTaken && stone.dome === "flat") delete stone.dome;
      for (const end of ["left", "right"] as const)
        if (isTaken(end)) stone.turnIn = withEnd(stone, ends, end, reading.turnIn[end]) as Editable<Stone>["turnIn"];
      if (isTaken("height")) Object.assign(stone, atHeight(stone, reading.height));
    },
    (before) => [...before.filter((key) => !keys.includes(key)), ...(isMadeUp ? keys : [])],
  );
}
