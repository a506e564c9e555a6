import { useMemo } from "react";
import { type ReadingKind } from "@/core/making/step";
import { type HowRead } from "@/core/mount/closed-length";
import { type Make, type Measured } from "@/core/piece/make";
import { useTrayState } from "@/ui/tray";

/** Readings that say the same of how a maker works: both ends of a length. */
const ALIKE: Partial<Readonly<Record<ReadingKind, readonly string[]>>> = {
  strip: ["wall.cutLength", "wall.netLength"],
  "wall-open": ["wall.cutLength", "wall.netLength"],
  "wall-closed": ["wall.cutLength", "wall.netLength"],
  "strip-height": ["wall.cutHeight", "wall.netHeight"],
  "wall-height": ["wall.cutHeight", "wall.netHeight"],
  blank: ["hoop.cutLength", "hoop.insideDiameter"],
  size: ["hoop.cutLength", "hoop.insideDiameter"],
};

/** The maker's own words for how such a length is worked, the one said last first. */
export function useMethods(kind: ReadingKind): readonly string[] {
  const makes = useTrayState((state) => state.makes);
  return useMemo(() => methodsIn(Object.values(makes).flat(), kind), [makes, kind]);
}

/** How a closed length was read last; null where none was yet. */
export function useLastHow(): HowRead | null {
  const makes = useTrayState((state) => state.makes);
  return useMemo(() => {
    const read = Object.values(makes)
      .flat()
      .flatMap(({ measured }) => measured.filter(({ how }) => how !== undefined));
    return read.reduce<Measured | null>((last, each) => (last && last.at > each.at ? last : each), null)?.how ?? null;
  }, [makes]);
}

function methodsIn(makes: readonly Make[], kind: ReadingKind): string[] {
  const alike = ALIKE[kind] ?? [];
  const said = makes
    .flatMap(({ pieceFile, measured }) => {
      const keys = new Set(alike.flatMap((name) => [name, ...pieceFile.mounts.map(({ id }) => `${id}.${name}`)]));
      return measured.filter(({ figure, method }) => method !== undefined && keys.has(figure));
    })
    .sort((a, b) => b.at.localeCompare(a.at));
  return [...new Set(said.map(({ method }) => method!))];
}
