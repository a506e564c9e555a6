import { type BenchEntry } from "@/core/piece/bench";
import { newPiece } from "@/core/piece/new-piece";
import {
  type BailEntry,
  type Carrier,
  type HoopEntry,
  type JumpRingEntry,
  type Mount,
  type Piece,
  type PostsEntry,
} from "@/core/piece/piece";

/** A worked example of a form: what it is called, what is worth a look in it, and the piece. */
export interface Example {
  readonly kind: Piece["kind"];
  readonly name: string;
  readonly says: string;
  readonly carrier: (usual: HoopEntry) => Carrier;
  readonly mounts?: readonly Partial<Mount>[];
  readonly copies?: number;
}

const STONE = { length: 14, width: 12, height: 4.8, turnIn: 1.7 } as const;
const MATERIAL = { name: "agate", mohs: 6.5, density: 2.6, tender: [] } as const;
const WIRE = { section: "round", width: 1.6, thickness: 1.6, metal: "sterling" } as const;
const BAND = { section: "rectangle", width: 4, thickness: 1.4, metal: "sterling" } as const;
const BAIL = { type: "bail", bore: 3.2, drop: 6, thickness: 0.6, chainEnd: 2.4, metal: "sterling" } as const satisfies BailEntry;
const EAR_WIRE = { type: "ear-wires", wire: 0.8, length: 40, metal: "sterling" } as const;
const POST = { type: "posts", wire: 0.9, length: 11, metal: "sterling" } as const satisfies Omit<PostsEntry, "at">;
const RING = { type: "jump-ring", inside: 3, wire: 1, metal: "sterling" } as const satisfies JumpRingEntry;

function stoneOf(outline: Mount["stone"]["outline"]): Partial<Mount> {
  return { stone: { outline, measuredPerimeter: null, height: 3.6, turnIn: 1.3, dome: 2, material: MATERIAL } };
}

/** Every form of carrier that is planned, each as it is usually asked for. */
export const EXAMPLES: readonly Example[] = [
  { kind: "ring", name: "Closed band", says: "a saddle under the plate", carrier: (usual) => ({ ...usual, form: "closed", stock: BAND }) },
  { kind: "ring", name: "Flat on top", says: "the flat filed opposite the seam", carrier: (usual) => usual },
  {
    kind: "ring",
    name: "Open shank",
    says: "two feet, and the angle their ends are filed to",
    carrier: (usual) => ({ ...usual, form: "open" }),
  },
  {
    kind: "ring",
    name: "Slit shank",
    says: "each end sawn down the middle and spread to four feet",
    carrier: (usual) => ({ ...usual, form: "open", stock: BAND, slit: { length: 9, spread: 6.4 } }),
  },
  {
    kind: "ring",
    name: "Two wires side by side",
    says: "soldered all along before they are bent",
    carrier: (usual) => ({ ...usual, stock: WIRE, strands: { count: 2, soldered: "all" } }),
  },
  {
    kind: "ring",
    name: "Two wires, spread",
    says: "soldered at the back, four feet in front",
    carrier: (usual) => ({ ...usual, form: "open", stock: WIRE, strands: { count: 2, soldered: 14, spread: 7 } }),
  },
  {
    kind: "ring",
    name: "Bridge",
    says: "an arch over the front, cut to grip the setting",
    carrier: (usual) => ({ ...usual, form: "bridge", stock: BAND, bridge: { inside: 15, thickness: 1, gap: 1.2 } }),
    mounts: [stoneOf({ shape: "round", diameter: 7 })],
  },
  {
    kind: "ring",
    name: "Open ends",
    says: "opened and closed at the back",
    carrier: (usual) => ({ ...usual, form: "adjustable", stock: BAND, openGap: 5 }),
  },
  {
    kind: "ring",
    name: "Taper",
    says: "wide in front, its blank a pattern",
    carrier: (usual) => ({ ...usual, stock: { ...BAND, width: 5, backWidth: 2.6 } }),
  },
  {
    kind: "ring",
    name: "Twisted wire",
    says: "two wires twisted, and what each takes up",
    carrier: (usual) => ({
      ...usual,
      stock: { section: "round", width: 2, thickness: 2, metal: "sterling", twist: { wire: 1, turns: 3, plies: 2 } },
    }),
  },
  {
    kind: "ring",
    name: "Twisted and flattened",
    says: "rolled to a band with the twist in it",
    carrier: (usual) => ({ ...usual, stock: { ...BAND, width: 2.6, thickness: 1.2, twist: { wire: 1.2, turns: 3, plies: 2 } } }),
  },
  {
    kind: "ring",
    name: "Sleeve of wood",
    says: "a liner, a sleeve joined cold, an inlay; the setting joined cold too",
    carrier: (usual) => ({
      ...usual,
      form: "closed",
      stock: { ...BAND, width: 5, thickness: 1 },
      sleeve: { name: "bog oak", thickness: 2, inlay: { width: 1, depth: 0.8 } },
    }),
  },
  {
    kind: "ring",
    name: "Two stones",
    says: "each on its own flat, and whether they clear each other",
    carrier: (usual) => usual,
    mounts: [
      { ...stoneOf({ shape: "oval", length: 8, width: 6 }), place: { along: -3.8 } },
      { ...stoneOf({ shape: "round", diameter: 6 }), place: { along: 4.2 } },
    ],
  },
  {
    kind: "pendant",
    name: "Folded bail",
    says: "a pear, its eye where it hangs straight",
    carrier: () => ({ ...BAIL, style: "folded", widest: 3.6, foot: 1.4 }),
    mounts: [stoneOf({ shape: "pear", length: 16, width: 11 })],
  },
  { kind: "pendant", name: "Tube bail", says: "a tube along the edge", carrier: () => ({ ...BAIL, style: "tube", widest: 6, drop: 2.2 }) },
  { kind: "pendant", name: "Jump ring", says: "a ring in a soldered eye", carrier: () => RING },
  {
    kind: "pendant",
    name: "Bail with a ring",
    says: "a ring in the bail, hung in last and closed cold",
    carrier: () => ({ ...BAIL, style: "folded", widest: 3.6, foot: 1.4, ring: { inside: 4, wire: 1 } }),
  },
  {
    kind: "pendant",
    name: "Hung in a notch",
    says: "a heart, its ring against both lobes",
    carrier: () => ({ ...RING, eye: { at: 0.5 } }),
    mounts: [stoneOf({ shape: "heart", length: 13, width: 14, cleft: 2.6 })],
  },
  {
    kind: "pendant",
    name: "Connector",
    says: "two eyes, pulled straight through both",
    carrier: () => ({
      ...RING,
      eyes: [
        { mount: "m1", at: 0.5 },
        { mount: "m1", at: 0 },
      ],
    }),
  },
  {
    kind: "earrings",
    name: "Studs",
    says: "a post on the back, above where each balances",
    carrier: () => ({ ...POST, at: [-1.6, 0] }),
    mounts: [stoneOf({ shape: "round", diameter: 8 })],
    copies: 2,
  },
  {
    kind: "earrings",
    name: "Ear wires",
    says: "hooks, each through a ring at the point",
    carrier: () => ({ ...EAR_WIRE, eye: { at: 0.5 } }),
    mounts: [stoneOf({ shape: "marquise", length: 14, width: 7 })],
    copies: 2,
  },
  {
    kind: "earrings",
    name: "A pair",
    says: "the second its mirror",
    carrier: () => RING,
    mounts: [stoneOf({ shape: "pear", length: 10, width: 7 })],
    copies: 2,
  },
  {
    kind: "earrings",
    name: "Two unequal stones",
    says: "each with its own eye, and how far they differ",
    carrier: () => ({
      ...RING,
      eyes: [
        { mount: "m1", at: 0.5 },
        { mount: "m2", at: 0.5 },
      ],
    }),
    mounts: [stoneOf({ shape: "oval", length: 10, width: 8 }), stoneOf({ shape: "oval", length: 10.6, width: 7.8 })],
  },
];

/** The piece of an example, on a bench. */
export function examplePiece(example: Example, id: string, bench: BenchEntry): Piece {
  const usual = newPiece(id, example.name, bench, STONE);
  const [mount] = usual.mounts;
  const stone = { ...mount!.stone, material: MATERIAL };
  return {
    ...usual,
    kind: example.kind,
    copies: example.copies ?? 1,
    mounts: (example.mounts ?? [{}]).map((more, i) => ({ ...mount!, stone, id: `m${i + 1}`, ...more })),
    carrier: example.carrier(usual.carrier as HoopEntry),
  };
}
