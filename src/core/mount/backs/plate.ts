import { NOTHING, type WorkedJoint } from "../../joint/contribution";
import { step } from "../../making/step";
import { unusualFindings } from "../../measure/usual";
import { massOf } from "../../metal/metals";
import { widened } from "../../geometry/stepped";
import { type BackAsked, type BackType } from "./back";
import { laidLengthwise, sizesOf } from "./sized";

/** A plate under a wall: flush with it, or with a border. */
export const plate: BackType = {
  plan: (asked) => {
    const { mount, back } = asked;
    const { edge, length, width, area, mass, blank } = sizesOf(asked);
    const sawn = blank(back.sawMargin);
    const blankMass = massOf(back.metal, sawn.length.value * sawn.width.value * back.thickness);
    const foot = footOf(asked);
    const key = (name: string) => `${mount}.plate.${name}`;
    return {
      ...NOTHING,
      edge,
      sawLine: widened(edge, back.sawMargin.value),
      figures: {
        [key("length")]: length,
        [key("width")]: width,
        [key("area")]: area,
        [key("mass")]: mass,
        [key("blankLength")]: sawn.length,
        [key("blankWidth")]: sawn.width,
      },
      parts: [{ id: partOf(mount), kind: "plate", mount, metal: back.metal, mass: mass.value, blankMass, thickness: back.thickness }],
      findings: unusualFindings("plate.unusual", back.thickness, partOf(mount), mount),
      joints: [foot],
      laid: { [partOf(mount)]: laidLengthwise(asked.outline, edge, back.sawMargin.value) },
      tie: { part: partOf(mount), after: [foot.id] },
    };
  },
};

function partOf(mount: string): string {
  return `${mount}.plate`;
}

/** The wall's foot on it: the blank is cut before, and sawn back to its edge after. */
function footOf({ mount, wall, back }: BackAsked): WorkedJoint {
  const key = (name: string) => `${mount}.plate.${name}`;
  return {
    id: `${mount}.foot`,
    kind: "foot",
    mount,
    parts: [wall.part, partOf(mount)],
    length: wall.netLength,
    area: wall.footArea,
    place: "round",
    after: wall.joints,
    follows: [`${mount}.wall.netLength`],
    work: {
      before: [
        step(mount, "plate.cut", "plate", {
          target: key("blankLength"),
          second: key("blankWidth"),
          checks: ["plate.room", "foot.flat"],
          cautions: ["saw"],
        }),
        step(mount, "plate.stamp", "plate"),
      ],
      lookedFor: ["joint.allRound", "joint.bright", "joint.noGap"],
      after: [
        step(mount, "plate.saw", "plate", {
          target: key("length"),
          second: key("width"),
          checks: ["plate.noLine"],
          cautions: ["saw"],
          values: { style: back.style },
        }),
      ],
    },
  };
}
