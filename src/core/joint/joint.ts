import { type Metal } from "../metal/metals";

/** Every kind of joint that a piece can have. */
export type JointKind = "seam" | "foot" | "ledge" | "ornament" | "strands" | "bridge" | "mount" | "eye" | "sleeve" | "applied";

/** Those that are built: for each more the compiler asks for its words and its steps. */
export type BuiltKind = Extract<JointKind, "seam" | "foot" | "ledge" | "ornament" | "mount" | "applied">;

/** Every kind of ornament that a file can ask for. */
export type LayerType = "wire" | "twist" | "bead-wire" | "granules";

/** Every shape that is sweated on. */
export type AppliedShape = "disc" | "ball" | "ring" | "strip";

/** What a part is, whatever piece it is of. */
export type PartKind = "wall" | "plate" | "ledge" | LayerType | AppliedShape | "hoop";

export interface Part {
  readonly id: string;
  readonly kind: PartKind;
  /** What its maker calls it. */
  readonly name?: string;
  /** The setting it belongs to; null for one that is the carrier's. */
  readonly mount: string | null;
  readonly metal: Metal;
  /** g */
  readonly mass: number;
  /** g before it is sawn to its edge; a plate takes heat as its whole blank until then. */
  readonly blankMass?: number;
  /** Its least thickness in mm. */
  readonly thickness: number;
}

/** Two parts, or a part and itself, joined with solder or by fusing. */
export interface Joint {
  readonly id: string;
  readonly kind: BuiltKind;
  /** The setting it belongs to; null for one that is the carrier's alone. */
  readonly mount: string | null;
  readonly parts: readonly [string] | readonly [string, string];
  /** mm along the joint. */
  readonly length: number;
  /** mm2 of the faces in contact. */
  readonly area: number;
  /** Where it lies: a place on the outline, or a word for it. */
  readonly place: string;
  /** Joints that are made in an earlier heat. */
  readonly after: readonly string[];
  /** Keys of the figures that its length and area follow from. */
  readonly follows: readonly string[];
}

export interface Assembly {
  readonly parts: readonly Part[];
  readonly joints: readonly Joint[];
}

/** A seam ties a part to itself. */
export function isSeam(joint: Joint): boolean {
  return joint.parts.length === 1;
}

/** The part of a mount that is joined to what carries it, and the joints that come before. */
export interface Tie {
  readonly part: string;
  readonly after: readonly string[];
}
