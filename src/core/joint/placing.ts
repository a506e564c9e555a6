import { type AtTheTorch } from "../making/steps";
import { type SolderForm } from "../metal/shelf";
import { type Joint, type JointKind, isSeam } from "./joint";

/** Where solder is put: laid inside or outside of a joint, under it, melted on one part first, fed as wire, or laid as paste. */
export const PLACINGS = ["inside", "outside", "under", "sweat", "wire", "paste"] as const;
export type Placing = (typeof PLACINGS)[number];

/** How each kind of joint is usually soldered. */
const USUAL: Readonly<Record<JointKind, Placing>> = {
  seam: "under",
  foot: "inside",
  ledge: "under",
  ornament: "outside",
  applied: "sweat",
  strands: "outside",
  twist: "outside",
  bridge: "outside",
  mount: "outside",
  eye: "outside",
  post: "sweat",
  link: "outside",
  sleeve: "outside",
  added: "outside",
};

/** What solder is laid as, by where it is put. */
const FORMS: Readonly<Record<Placing, SolderForm["type"]>> = {
  inside: "sheet",
  outside: "sheet",
  under: "sheet",
  sweat: "sheet",
  wire: "wire",
  paste: "paste",
};

export function formOf(placing: Placing): SolderForm["type"] {
  return FORMS[placing];
}

/** A seam stands on its piece, but for a carrier's own, whose solder lies across it. */
export function usualPlacing(joint: Pick<Joint, "kind" | "mount">): Placing {
  return isSeam(joint) && joint.mount === null ? "outside" : USUAL[joint.kind];
}

/** As wished; else as is usual, with what of the grade is in hand: cut from sheet where there is sheet, else wire, else paste. */
export function placingOf(joint: Pick<Joint, "kind" | "mount">, wished: Placing | null, forms: readonly SolderForm[]): Placing {
  const usual = wished ?? usualPlacing(joint);
  if (wished !== null || forms.length === 0 || forms.some(({ type }) => type === "sheet")) return usual;
  return forms.some(({ type }) => type === "wire") ? "wire" : "paste";
}

/** What a joint's heat asks for, by where its solder is put or that it is fused. */
const AT_THE_TORCH: Readonly<Record<Placing | "fuse", Omit<AtTheTorch, "means">>> = {
  inside: { checks: [], isFluxed: true, isTinned: false },
  outside: { checks: [], isFluxed: true, isTinned: false },
  under: { checks: ["joint.dropsFlat"], isFluxed: true, isTinned: false },
  sweat: { checks: ["joint.sinks"], isFluxed: true, isTinned: true },
  wire: { checks: ["joint.noFlood"], isFluxed: true, isTinned: false },
  paste: { checks: ["joint.noVoid"], isFluxed: true, isTinned: false },
  fuse: { checks: ["joint.noPits", "joint.noGap"], isFluxed: false, isTinned: false },
};

export function atTheTorch(means: Placing | "fuse"): AtTheTorch {
  return { means, ...AT_THE_TORCH[means] };
}
