import { type Built, type Joint, type Tie } from "../joint/joint";
import { type Metal } from "../metal/metals";

/** A setting as it comes to be joined. Lengths in mm, areas in mm2, masses in g. */
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
    /** That its foot stands on. */
    readonly footArea: number;
  };
  /** null where it is one with the wall: a cup. */
  readonly plate: { readonly metal: Metal; readonly mass: number; readonly blankMass: number; readonly thickness: number } | null;
}

/** Wall and plate of a setting, its seam and its foot, and where it is joined to a carrier. */
export function settingBuilt({ mount, wall, plate }: SettingParts): Built & { readonly tie: Tie } {
  const [wallPart, seam, foot] = [`${mount}.wall`, `${mount}.seam`, `${mount}.foot`];
  const walls = [{ id: wallPart, metal: wall.metal, mass: wall.mass, thickness: wall.thickness }];
  const seams: Joint[] =
    wall.seamAt === null
      ? []
      : [
          {
            id: seam,
            kind: "seam",
            mount,
            parts: [wallPart],
            length: wall.netHeight,
            area: wall.netHeight * wall.thickness,
            place: String(wall.seamAt),
            after: [],
            follows: [`${mount}.wall.netHeight`],
          },
        ];
  const before = seams.map(({ id }) => id);
  if (!plate) return { parts: walls, joints: seams, tie: { mount, part: wallPart, after: before } };
  const platePart = `${mount}.plate`;
  return {
    parts: [...walls, { id: platePart, ...plate }],
    joints: [
      ...seams,
      {
        id: foot,
        kind: "foot",
        mount,
        parts: [wallPart, platePart],
        length: wall.netLength,
        area: wall.footArea,
        place: "round",
        after: before,
        follows: [`${mount}.wall.netLength`],
      },
    ],
    tie: { mount, part: platePart, after: [foot] },
  };
}
