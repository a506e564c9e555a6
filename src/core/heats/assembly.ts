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

export interface SettingParts {
  readonly mount: string;
  readonly wall: {
    readonly metal: Metal;
    readonly mass: number;
    readonly thickness: number;
    readonly netLength: number;
    readonly netHeight: number;
    /** null for a tube or a cup, which have no seam. */
    readonly seamAt: number | null;
    /** mm2 that its foot stands on. */
    readonly footArea: number;
  };
  /** null where it is one with the wall: a cup. */
  readonly plate: { readonly metal: Metal; readonly mass: number; readonly blankMass: number; readonly thickness: number } | null;
}

export interface HoopParts {
  readonly metal: Metal;
  readonly mass: number;
  readonly thickness: number;
  /** mm2 of the wire's section, the face of its seam. */
  readonly face: number;
  readonly width: number;
  readonly feet: readonly { readonly mount: string; readonly length: number; readonly area: number }[];
}

/** Parts and joints of the settings and the hoop that carries them, in the order a plan lists them. */
export function assemble(settings: readonly SettingParts[], hoop: HoopParts | null): Assembly {
  const parts: Part[] = [];
  const joints: Joint[] = [];
  for (const { mount, wall, plate } of settings) {
    const wallPart = `${mount}.wall`;
    parts.push({ id: wallPart, metal: wall.metal, mass: wall.mass, thickness: wall.thickness });
    if (wall.seamAt !== null) {
      joints.push({
        id: `${mount}.seam`,
        kind: "seam",
        mount,
        parts: [wallPart],
        length: wall.netHeight,
        area: wall.netHeight * wall.thickness,
        place: String(wall.seamAt),
        after: [],
        follows: [`${mount}.wall.netHeight`],
      });
    }
    if (!plate) continue;
    parts.push({ id: `${mount}.plate`, metal: plate.metal, mass: plate.mass, blankMass: plate.blankMass, thickness: plate.thickness });
    joints.push({
      id: `${mount}.foot`,
      kind: "foot",
      mount,
      parts: [wallPart, `${mount}.plate`],
      length: wall.netLength,
      area: wall.footArea,
      place: "round",
      after: wall.seamAt === null ? [] : [`${mount}.seam`],
      follows: [`${mount}.wall.netLength`],
    });
  }
  if (!hoop) return { parts, joints };
  parts.push({ id: "hoop", metal: hoop.metal, mass: hoop.mass, thickness: hoop.thickness });
  joints.push({
    id: "hoop.seam",
    kind: "seam",
    mount: null,
    parts: ["hoop"],
    length: hoop.width,
    area: hoop.face,
    place: "back",
    after: [],
    follows: ["hoop.fibre"],
  });
  const withPlate = new Set(settings.flatMap(({ mount, plate }) => (plate ? [mount] : [])));
  for (const foot of hoop.feet) {
    const isPlated = withPlate.has(foot.mount);
    joints.push({
      id: `hoop.mount.${foot.mount}`,
      kind: "mount",
      mount: foot.mount,
      parts: [isPlated ? `${foot.mount}.plate` : `${foot.mount}.wall`, "hoop"],
      length: foot.length,
      area: foot.area,
      place: "front",
      after: isPlated ? [`${foot.mount}.foot`, "hoop.seam"] : ["hoop.seam"],
      follows: [`${foot.mount}.hoop`],
    });
  }
  return { parts, joints };
}
