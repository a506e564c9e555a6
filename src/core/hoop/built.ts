import { type Built, type Tie } from "../joint/joint";
import { sectionArea } from "../metal/section";
import { type Hoop, type HoopPlan } from "./hoop";

/** The hoop, its seam, and its joint to each setting it carries. */
export function hoopBuilt({ metal, section }: Hoop, { mass, feet }: HoopPlan, ties: readonly Tie[]): Built {
  const tieOf = (mount: string) => ties.find((tie) => tie.mount === mount)!;
  return {
    parts: [{ id: "hoop", metal, mass, thickness: section.thickness }],
    joints: [
      {
        id: "hoop.seam",
        kind: "seam",
        mount: null,
        parts: ["hoop"],
        length: section.width,
        area: sectionArea(section),
        place: "back",
        after: [],
        follows: ["hoop.fibre"],
      },
      ...feet.map(({ mount, length, area }) => ({
        id: `hoop.mount.${mount}`,
        kind: "mount" as const,
        mount,
        parts: [tieOf(mount).part, "hoop"] as const,
        length,
        area,
        place: "front",
        after: [...tieOf(mount).after, "hoop.seam"],
        follows: [`${mount}.hoop`],
      })),
    ],
  };
}
