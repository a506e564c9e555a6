import { type Bail, type BailStyle } from "@/core/bail/bail";
import { BAILS } from "@/core/bail/kinds/kinds";
import { type BailEntry, type JumpRingEntry } from "@/core/piece/piece";
import { BAIL_WORDS } from "@/words/bails";
import { type Units } from "@/words/show";
import { bailField, bailOptional, ringField } from "./fields";

type Hung = BailEntry | JumpRingEntry;

interface Measure {
  readonly field: ReturnType<typeof bailField>;
  readonly label: string;
  readonly value: number | null;
  readonly lights: string;
}

interface Style {
  /** As it is asked for, with what it keeps of the one before. */
  entry(before: Hung): Hung;
  measures(bail: Bail, units: Units): readonly Measure[];
}

/** Sizes in which another kind is first asked for (mm). */
const USUAL = { ring: { inside: 4, wire: 1 }, bail: { bore: 3.2, thickness: 0.6 } } as const;

/** Its metal, its eyes and what points down. */
function kept({ metal, eye, eyes, hangAxis }: Hung) {
  return {
    ...(metal !== undefined && { metal }),
    ...(eye && { eye }),
    ...(eyes && { eyes }),
    ...(hangAxis !== undefined && { hangAxis }),
  };
}

const ofBail = (style: "folded" | "tube", hasFoot: boolean): Style => ({
  entry: (before) => {
    const bail = before.type === "bail" ? before : { type: "bail" as const, ...USUAL.bail, ...kept(before) };
    return { ...bail, style, drop: BAILS[style].usualDrop(bail) };
  },
  measures: ({ bore, drop, widest, foot, thickness, chainEnd }, units) => [
    { field: bailField("bore", units), label: "Bore", value: bore, lights: "bore" },
    { field: bailField("drop", units), label: "Drop", value: drop, lights: "drop" },
    { field: bailOptional("widest", units), label: BAIL_WORDS[style].width, value: widest.value, lights: "bail" },
    ...(hasFoot ? [{ field: bailOptional("foot", units), label: "Foot", value: foot.value, lights: "bail" }] : []),
    { field: bailField("thickness", units), label: "Sheet", value: thickness, lights: "bail" },
    { field: bailOptional("chainEnd", units), label: "Chain", value: chainEnd, lights: "chain" },
  ],
});

/** How each kind of what something hangs by is asked for. */
export const STYLES: Readonly<Record<BailStyle, Style>> = {
  folded: ofBail("folded", true),
  tube: ofBail("tube", false),
  ring: {
    entry: (before) => ({ type: "jump-ring", ...USUAL.ring, ...kept(before) }),
    measures: ({ bore, thickness }, units) => [
      { field: ringField("inside", units), label: "Inside", value: bore, lights: "bore" },
      { field: ringField("wire", units), label: "Wire", value: thickness, lights: "bail" },
    ],
  },
};
