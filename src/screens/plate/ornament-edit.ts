import { type Draft as Editable } from "immer";
import { type LayerType } from "@/core/mount/layers/layer";
import { editableMount } from "./plate-edit";
import { type OrnamentEntry, type Piece } from "@/core/piece/piece";

/** Where ornament lies, by a word; null where its stretches were dragged. */
export type Lie = "all" | "sides" | "ends" | "dragged";

const LIES = {
  ends: [
    [0.9, 0.1],
    [0.4, 0.6],
  ],
  sides: [
    [0.1, 0.4],
    [0.6, 0.9],
  ],
} as const;

export function lieOf({ extent = "all" }: OrnamentEntry): Lie {
  if (extent === "all") return "all";
  const isAs = (lie: keyof typeof LIES) => JSON.stringify(extent) === JSON.stringify(LIES[lie]);
  return isAs("ends") ? "ends" : isAs("sides") ? "sides" : "dragged";
}

export function extentFor(lie: Exclude<Lie, "dragged">): "all" | [number, number][] {
  return lie === "all" ? "all" : LIES[lie].map(([from, to]): [number, number] => [from, to]);
}

/** What a new ornament starts as: sizes that makers use. */
const NEW: Readonly<Record<LayerType, Pick<Editable<OrnamentEntry>, "width" | "metal" | "from">>> = {
  wire: { width: 0.8, metal: "fine-silver" },
  twist: { width: 1, metal: "fine-silver", from: { wire: 0.5 } },
  "bead-wire": { width: 1, metal: "fine-silver" },
  granules: { width: 1, metal: "fine-silver", from: { wire: 0.8 } },
};

/** The first id of a kind that no other has: "rope", "rope-2". */
export function freeOrnamentId(ornament: readonly OrnamentEntry[], word: string): string {
  const taken = new Set(ornament.map(({ id }) => id));
  const base = word.replaceAll(" ", "-");
  for (let i = 1; ; i++) {
    const id = i === 1 ? base : `${base}-${i}`;
    if (!taken.has(id)) return id;
  }
}

export function newOrnament(type: LayerType, id: string): Editable<OrnamentEntry> {
  return { id, type, ...structuredClone(NEW[type]) };
}

/** The ornament of a piece's setting, to be changed. */
export function editable(piece: Editable<Piece>, mount: string): Editable<OrnamentEntry>[] {
  const own = editableMount(piece, mount);
  return ((own.plate ?? own).ornament ??= []);
}

export function editableOne(piece: Editable<Piece>, mount: string, id: string): Editable<OrnamentEntry> {
  return editable(piece, mount).find((each) => each.id === id)!;
}

/** An end of a stretch snaps to another ornament's that lies this near (a share of the outline). */
const NEAR = 0.006;

export function snapped(at: number, others: readonly OrnamentEntry[]): number {
  const ends = others.flatMap(({ extent = "all" }) => (extent === "all" ? [] : extent.flat()));
  const apart = (a: number) => Math.min(Math.abs(a - at), 1 - Math.abs(a - at));
  const near = ends.filter((end) => apart(end) < NEAR).sort((a, b) => apart(a) - apart(b));
  return near[0] ?? Math.round(at * 1e4) / 1e4;
}
