import { step } from "../../making/step";
import { single, term } from "../../measure/figure";
import { type Hoop } from "../hoop";
import { type WorkKind } from "./work";

/** Wires side by side, soldered together all along or for so much at the back, and then spread at the front from outside to outside (mm). */
export interface Strands {
  readonly count: number;
  readonly soldered: number | "all";
  readonly spread: number;
}

/** Ids of the strands of a hoop: one alone is the hoop. */
export function strandIds({ count }: Pick<Strands, "count">): string[] {
  return Array.from({ length: count }, (_, i) => `hoop.${String.fromCharCode(97 + i)}`);
}

/** The parts of a hoop, in order along the finger. */
export function hoopParts({ works }: Pick<Hoop, "works">): string[] {
  return works.strands ? strandIds(works.strands) : ["hoop"];
}

/** What a strand is longer by that leaves the others at the back and goes to the outside: 2 (sqrt(l^2 + D^2) - l). */
function strandExtra({ soldered, spread }: Strands, width: number, length: number): number {
  if (soldered === "all") return 0;
  const free = (length - soldered) / 2;
  return 2 * (Math.hypot(free, spread / 2 - width) - free);
}

export const strands: WorkKind<Strands> = {
  forms: ["closed", "closed-flat", "open", "adjustable"],
  beside: ["twist"],
  faults: (asked, { width }) =>
    asked.soldered !== "all" && asked.spread < asked.count * width
      ? [{ field: "spread", code: "at-least", values: { limit: asked.count * width, got: asked.spread } }]
      : [],
  bandWidth: ({ count }, width) => count * width,
  net: (asked, { section }, length) => {
    const extra = strandExtra(asked, section.width, length);
    return extra === 0 ? [] : [term("strandExtra", extra, "formula")];
  },
  volume: ({ count }, _hoop, volume) => count * volume,
  legs: (asked, { width }) => {
    const span = asked.soldered === "all" ? asked.count * width : asked.spread;
    const ids = strandIds(asked);
    if (asked.soldered === "all") return [{ offset: 0, width: span, parts: ids }];
    return ids.map((id, i) => ({ offset: (span - width) * (i / (asked.count - 1) - 0.5), width, parts: [id] }));
  },
  figures: ({ soldered }, { terms }) =>
    soldered === "all"
      ? {}
      : { "hoop.strandExtra": single("mm", terms.find(({ label }) => label === "strandExtra")?.value ?? 0, "strand.extra") },
  joints: (asked, { hoop, net }) => {
    const [first, ...rest] = strandIds(asked) as [string, ...string[]];
    const long = asked.soldered === "all" ? net : asked.soldered;
    return [
      {
        id: "hoop.strands",
        kind: "strands",
        mount: null,
        parts: [first, ...rest],
        length: long * rest.length,
        area: long * rest.length * meeting(hoop),
        place: asked.soldered === "all" ? "along" : "back",
        after: [],
        follows: ["hoop.netLength"],
        work: { before: [], lookedFor: ["joint.bright", "joint.noGap"], after: [] },
      },
    ];
  },
  steps: (asked) => ({
    flat: [
      step("hoop", "hoop.lay", {
        checks: ["ends.noLight"],
        values: { count: asked.count, long: asked.soldered === "all" ? "" : asked.soldered },
      }),
    ],
    bent: asked.soldered === "all" ? [] : [step("hoop", "hoop.spread", { checks: ["legs.alike"], values: { spread: asked.spread } })],
  }),
  marks: ({ soldered }, net) =>
    soldered === "all"
      ? []
      : [
          { code: "root", at: (net - soldered) / 2 },
          { code: "root", at: (net + soldered) / 2 },
        ],
};

/** Round wires meet over about a quarter of their thickness. */
export const ROUND_MEETING = 4;

/** mm across the faces in which two strands meet: all of a flat side. */
function meeting({ section: { shape, thickness } }: Hoop): number {
  return shape === "square" || shape === "rectangle" ? thickness : thickness / ROUND_MEETING;
}
