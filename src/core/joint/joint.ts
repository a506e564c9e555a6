import { type Metal } from "../metal/metals";

/** Every kind of joint that a piece can have. */
export type JointKind = "seam" | "foot" | "ledge" | "ornament" | "strands" | "bridge" | "mount" | "eye" | "sleeve" | "applied";

/** Those that are built: for each more the compiler asks for its words and its steps. */
export type BuiltKind = Extract<JointKind, "seam" | "foot" | "mount">;

export interface Part {
  readonly id: string;
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

/** What something that is built adds to the parts and joints of a piece. */
export type Built = Assembly;

/** Where a setting is joined to what carries it: the part that is, and the joints that come before. */
export interface Tie {
  readonly mount: string;
  readonly part: string;
  readonly after: readonly string[];
}

/** Everything that is built, in the order a plan lists it. */
export function together(built: readonly Built[]): Assembly {
  return { parts: built.flatMap(({ parts }) => parts), joints: built.flatMap(({ joints }) => joints) };
}
