import { NOTHING, type WorkedJoint } from "../../joint/contribution";
import { type Step, step } from "../../making/step";
import { type Finding, finding } from "../../measure/finding";
import { unusualFindings } from "../../measure/usual";
import { massOf } from "../../metal/metals";
import { type Back, type BackAsked, type BackDrawing, type BackType } from "./back";
import { laidLengthwise, sizesOf } from "./sized";
import { struck } from "./struck";

/** A plate under a wall: flush with it, or with a border. */
export const plate: BackType = {
  plan: (asked) => {
    const { mount, back } = asked;
    const { rim, length, width, area, mass, blank } = sizesOf(asked);
    const sawn = blank(back.sawMargin);
    const blankMass = massOf(back.metal, sawn.length.value * sawn.width.value * back.thickness);
    const foot = footOf(asked);
    const isStruck = back.stamp !== null || back.drain !== null;
    const { drawn, findings } = struck(asked, isStruck ? rim.loop.points() : []);
    const key = (name: string) => `${mount}.plate.${name}`;
    const sawLine = rim.wider(back.sawMargin.value);
    return {
      ...NOTHING,
      rim,
      sawLine,
      figures: {
        [key("length")]: length,
        [key("width")]: width,
        [key("area")]: area,
        [key("mass")]: mass,
        [key("blankLength")]: sawn.length,
        [key("blankWidth")]: sawn.width,
      },
      parts: [{ id: partOf(mount), kind: "plate", mount, metal: back.metal, mass: mass.value, blankMass, thickness: back.thickness }],
      findings: [...unusualFindings("plate.unusual", back.thickness, partOf(mount), mount), ...borderFindings(asked), ...findings],
      joints: [foot],
      cuts: [
        {
          ...{ part: partOf(mount), mount, metal: back.metal, stock: { form: "sheet", thickness: back.thickness } },
          ...{ figure: key("blankLength"), across: key("blankWidth"), count: 1 },
          shape: {
            ...{ kind: "outline", outline: sawLine.loop.curve() },
            ...{ length: sawn.length.value, width: sawn.width.value },
          },
        },
      ],
      made: { [partOf(mount)]: { flat: foot.work.before, formed: foot.work.before } },
      laid: { [partOf(mount)]: laidLengthwise(asked.outline, rim, back.sawMargin.value) },
      tie: { part: partOf(mount), after: [foot.id] },
      thickness: back.thickness,
      base: back.thickness,
      finishing: [sawing(asked)],
      ledge: null,
      drawn: { ...drawn, plate: partOf(mount), outer: outside(back) },
    };
  },
};

function outside({ border, sawMargin }: Back): BackDrawing["outer"] {
  const all = [
    { code: "border", width: border.value },
    { code: "saw", width: sawMargin.value },
  ] as const;
  return all.filter(({ width }) => width > 0);
}

/** What a saw leaves of a border before it bends (mm). */
const LEAST_BORDER = 0.3;
/** The wire that most makers lay round a wall (mm). */
const USUAL_WIRE = 0.8;

/** A border too thin to be sawn, or one with no room for the wire that may yet be wanted on it. */
function borderFindings({ mount, back, layers }: BackAsked): Finding[] {
  const { value: border } = back.border;
  const at = partOf(mount);
  if (back.style !== "border" || border === 0) return [];
  if (border < LEAST_BORDER) return [finding("plate.border-thin", "warning", at, { border, least: LEAST_BORDER }, mount)];
  const needed = USUAL_WIRE + LEAST_BORDER;
  return layers.length === 0 && border < needed
    ? [finding("plate.wire-room", "note", at, { border, wire: USUAL_WIRE, needed }, mount)]
    : [];
}

function partOf(mount: string): string {
  return `${mount}.plate`;
}

/** The wall's foot on it: the blank is cut before, and sawn back to its edge after. */
function footOf(asked: BackAsked): WorkedJoint {
  const { mount, wall, back } = asked;
  const key = (name: string) => `${mount}.plate.${name}`;
  const works = [partOf(mount)];
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
        step(mount, "plate.cut", {
          works,
          target: key("blankLength"),
          second: key("blankWidth"),
          reads: [{ figure: key("thickness"), kind: "thickness", mount, planned: back.thickness }],
          checks: ["plate.room", "foot.flat"],
          cautions: ["saw"],
        }),
        ...(back.drain ? [step(mount, "plate.drain", { works, cautions: ["saw"], values: { diameter: back.drain.diameter } })] : []),
        step(mount, "plate.stamp", { works }),
      ],
      lookedFor: ["joint.bright", "joint.allRound", "joint.noGap"],
      after: [],
      afterAll: [sawing(asked)],
    },
  };
}

/** It is sawn back to its edge once the wall and all that goes round it are on it. */
function sawing({ mount, back, layers }: BackAsked): Step {
  return step(mount, "plate.saw", {
    works: [partOf(mount)],
    target: `${mount}.plate.length`,
    second: `${mount}.plate.width`,
    checks: ["plate.noLine"],
    cautions: ["saw"],
    values: { style: layers.length > 0 ? "ornament" : back.style },
  });
}
