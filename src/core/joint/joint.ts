import { type Metal } from "../metal/metals";

/** Every kind of joint that a piece can have. */
export type JointKind =
  | "seam"
  | "foot"
  | "ledge"
  | "ornament"
  | "strands"
  | "twist"
  | "bridge"
  | "mount"
  | "eye"
  | "post"
  | "link"
  | "sleeve"
  | "applied"
  | "added";

/** Every kind of ornament that a file can ask for. */
export type LayerType = "wire" | "twist" | "bead-wire" | "granules";

/** Every shape that is sweated on. */
export type AppliedShape = "disc" | "ball" | "ring" | "strip";

/** What a part is, whatever piece it is of. */
export type PartKind =
  | "wall"
  | "plate"
  | "ledge"
  | LayerType
  | AppliedShape
  | "hoop"
  | "strand"
  | "bridge"
  | "inlay"
  | "bail"
  | "jump-ring"
  | "post"
  | "earwire";

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

/** Parts, or one and itself, joined with solder, by fusing, or cold. */
export interface Joint {
  readonly id: string;
  readonly kind: JointKind;
  /** The setting it belongs to; null for one that is the carrier's alone. */
  readonly mount: string | null;
  /** What is joined, what it is joined to, and what else the same solder reaches; one alone for a part that is closed on itself. */
  readonly parts: readonly [string, ...string[]];
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
  /** Glued, riveted or wrapped: made in no heat, and none comes after it. */
  readonly isCold?: true;
  /** How the piece has to lie while it is heated; left out where that does not matter. */
  readonly hold?: Hold;
  /** mm of each stretch that it lies in, where there are several or it is ornament. */
  readonly stretches?: readonly number[];
}

export interface Hold {
  /** The place round a hoop that lies on top, in radians from its front; null for the face of a setting. */
  readonly up: number | null;
  readonly mount: string | null;
  /** Laid on, and kept there by its weight alone. */
  readonly isLoose: boolean;
}

export interface Assembly {
  readonly parts: readonly Part[];
  readonly joints: readonly Joint[];
}

/** A seam closes a part, or strands that lie side by side, on itself. */
/** The plate that is sawn to its edge once this joint and every other like it on it has been made; null where none is. */
export function plateSawnAfter({ kind, parts }: { readonly kind: JointKind; readonly parts: readonly string[] }): string | null {
  return kind === "foot" || kind === "ornament" ? parts[1]! : null;
}

export function isSeam({ kind }: Pick<Joint, "kind">): boolean {
  return kind === "seam";
}

/** The part of a mount that is joined to what carries it, and the joints that come before. */
export interface Tie {
  readonly part: string;
  readonly after: readonly string[];
}
