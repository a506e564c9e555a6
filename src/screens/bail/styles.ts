import { facing } from "@/core/geometry/facing";
import { type Point } from "@/core/geometry/outline";
import { type Bail, type BailStyle } from "@/core/bail/bail";
import { BAILS } from "@/core/bail/kinds/kinds";
import { type EarWire } from "@/core/earring/ear-wire";
import { type Post, usualPost } from "@/core/earring/post";
import { type BailEntry, type Carrier, type EarWiresEntry, type JumpRingEntry, type Piece, type PostsEntry } from "@/core/piece/piece";
import { type Plan, bailIn, postIn } from "@/core/piece/plan";
import { toTwentieth } from "@/core/measure/micron";
import { outlineIn } from "@/core/piece/mounts";
import { BAIL_WORDS } from "@/words/bails";
import { type Units } from "@/words/show";
import { bailField, bailOptional, bailRingField, postField, ringField, wornField } from "./fields";
import { commonText } from "@/words/common";
import { stylesText } from "@/words/screens/bail";

type Entry = BailEntry | JumpRingEntry | EarWiresEntry | PostsEntry;

/** What something hangs by, or is worn by. */
export type HangsBy = BailStyle | "earWire" | "post";

/** Whatever hangs by something, as it was asked for. @throws for what does not. */
export function entryOf({ carrier }: Piece): Entry {
  if (carrier.type === "hoop" || carrier.type === "none") throw new RangeError("the piece hangs by nothing");
  return carrier;
}

export function hangsBy(entry: Entry): HangsBy {
  if (entry.type === "posts") return "post";
  if (entry.type === "ear-wires") return "earWire";
  return entry.type === "jump-ring" ? "ring" : (entry.style ?? "folded");
}

/** What can be chosen: what goes through an ear only of earrings with one setting. */
export function choicesOf({ kind, mounts, carrier }: Piece): HangsBy[] {
  const isWorn = carrier.type === "posts" || carrier.type === "ear-wires";
  return (Object.keys(STYLES) as HangsBy[]).filter(
    (style) => !STYLES[style].isWorn || isWorn || (kind === "earrings" && mounts.length === 1),
  );
}

export interface Measure {
  readonly field: ReturnType<typeof bailField>;
  readonly label: string;
  readonly value: number | null;
  readonly lights: string;
}

interface Style {
  /** Whether it goes through an ear. */
  readonly isWorn: boolean;
  /** As it is asked for, with what it keeps of the one before. */
  entry(before: Entry, place: Place): Carrier;
}

/** Where on a setting something is first put: the top of its outline, and a post on its back. */
interface Place {
  readonly top: number;
  readonly post: (wire: number) => Point;
}

/** As the point hangs down. */
export function placeOn({ mounts }: Piece, plan: Plan): Place {
  const [first] = mounts as readonly [Piece["mounts"][number]];
  const { id } = first;
  const balance = bailIn(plan)?.drawn.hangs[0]?.balance ?? postIn(plan)?.drawn.balance ?? [0, 0];
  return {
    top: facing(plan.settled.mounts[id]!.back.own ?? outlineIn(first), Math.PI),
    post: (wire) => {
      const [x, y] = usualPost(plan.drawing.settings[id]!.plan, balance, wire);
      return [toTwentieth(x), toTwentieth(y)];
    },
  };
}

/** Sizes in which another kind is first asked for (mm). */
const USUAL = {
  ring: { inside: 4, wire: 1 },
  bail: { bore: 3.2, thickness: 0.6 },
  earWire: { wire: 0.8, length: 40 },
  post: { wire: 0.9, length: 11 },
} as const;

/** Its metal, its eyes and what points down. */
function kept(before: Entry) {
  const { metal } = before;
  const asHung = before.type === "posts" ? {} : before.type === "ear-wires" ? { eye: before.eye } : eyesOf(before);
  return { ...(metal !== undefined && { metal }), ...asHung };
}

function eyesOf({ eye, eyes, hangAxis }: BailEntry | JumpRingEntry) {
  return { ...(eye && { eye }), ...(eyes && { eyes }), ...(hangAxis !== undefined && { hangAxis }) };
}

const ofBail = (style: "folded" | "tube"): Style => ({
  isWorn: false,
  entry: (before) => {
    const bail = before.type === "bail" ? before : { type: "bail" as const, ...USUAL.bail, ...kept(before) };
    return { ...bail, style, drop: BAILS[style].usualDrop(bail) };
  },
});

/** Each kind of what something hangs by, and how it is first asked for. */
export const STYLES: Readonly<Record<HangsBy, Style>> = {
  folded: ofBail("folded"),
  tube: ofBail("tube"),
  ring: { isWorn: false, entry: (before) => ({ type: "jump-ring", ...USUAL.ring, ...kept(before) }) },
  earWire: {
    isWorn: true,
    entry: (before, { top }) => {
      const { metal } = before;
      const eye = before.type === "posts" ? { at: top } : (before.eye ?? { at: top });
      return { type: "ear-wires", ...USUAL.earWire, ...(metal !== undefined && { metal }), eye };
    },
  },
  post: {
    isWorn: true,
    entry: ({ metal }, { post }) => ({ type: "posts", ...USUAL.post, ...(metal !== undefined && { metal }), at: post(USUAL.post.wire) }),
  },
};

/** How each kind of bail is measured. */
export const BAIL_MEASURES: Readonly<Record<BailStyle, (bail: Bail, units: Units) => readonly Measure[]>> = {
  folded: (bail, units) => [
    ...sheetMeasures(bail, units),
    { field: bailOptional("foot", units), label: stylesText.foot, value: bail.foot.value, lights: "bail" },
  ],
  tube: (bail, units) => sheetMeasures(bail, units),
  ring: ({ bore, thickness }, units) => [
    { field: ringField("inside", units), label: stylesText.inside, value: bore, lights: "bore" },
    { field: ringField("wire", units), label: commonText.wire, value: thickness, lights: "bail" },
  ],
};

function sheetMeasures({ style, bore, drop, widest, thickness, chainEnd }: Bail, units: Units): Measure[] {
  return [
    { field: bailField("bore", units), label: stylesText.bore, value: bore, lights: "bore" },
    { field: bailField("drop", units), label: stylesText.drop, value: drop, lights: "drop" },
    { field: bailOptional("widest", units), label: BAIL_WORDS[style].width, value: widest.value, lights: "bail" },
    { field: bailField("thickness", units), label: stylesText.sheet, value: thickness, lights: "bail" },
    { field: bailOptional("chainEnd", units), label: stylesText.chain, value: chainEnd, lights: "chain" },
  ];
}

/** The ring that hangs in a bail. */
export function ringMeasures({ inside, wire }: NonNullable<Bail["ring"]>, units: Units): Measure[] {
  return [
    { field: bailRingField("inside", units), label: stylesText.inside, value: inside, lights: "ring" },
    { field: bailRingField("wire", units), label: commonText.wire, value: wire, lights: "ring" },
  ];
}

export function earWireMeasures({ wire, length }: Pick<EarWire, "wire" | "length">, units: Units): Measure[] {
  return [
    { field: wornField("earwire", "wire", units), label: commonText.wire, value: wire, lights: "earwire" },
    { field: wornField("earwire", "length", units), label: commonText.length, value: length, lights: "earwire" },
  ];
}

export function postMeasures({ wire, length, at }: Post, units: Units): Measure[] {
  return [
    { field: wornField("post", "wire", units), label: commonText.wire, value: wire, lights: "post" },
    { field: wornField("post", "length", units), label: commonText.length, value: length, lights: "post" },
    { field: postField(0, units), label: stylesText.down, value: at[0], lights: "post" },
    { field: postField(1, units), label: stylesText.right, value: at[1], lights: "post" },
  ];
}
