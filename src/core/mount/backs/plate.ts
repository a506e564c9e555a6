import { NOTHING, type WorkedJoint } from "../../joint/contribution";
import { type Step, step } from "../../making/step";
import { type Figures, single } from "../../measure/figure";
import { type Finding, finding } from "../../measure/finding";
import { unusualFindings } from "../../measure/usual";
import { massOf } from "../../metal/metals";
import { type Back, type BackAsked, type BackDrawing, type BackPlan, type BackType, type SharedPlate } from "./back";
import { domedSizes, footOnDome } from "./domed";
import { type Sizes, laidLengthwise, sizesOf } from "./sized";
import { struck } from "./struck";

/** A plate under a wall: flush with it, or with a border. */
export const plate: BackType = {
  plan: (asked) => planPlate(asked, domedSizes(sizesOf(asked), asked), borderFindings(asked)),
};

/** All that a plate adds, whatever its edge follows from; `found` is what is wrong with that. */
export function planPlate(asked: BackAsked, sizes: Sizes, found: readonly Finding[]): BackPlan {
  const { mount, back } = asked;
  const { rim, length, width, area, mass, blank, sphere, flatBy } = sizes;
  const sawn = blank(back.sawMargin);
  const blankMass = massOf(back.metal, sawn.length.value * sawn.width.value * back.thickness);
  const key = (name: string) => `${mount}.plate.${name}`;
  const part = partOf(mount);
  const before = madeReady(asked, sizes);
  const finishing = [sawing(asked)];
  const foot = footOf(asked, { part, before, finishing, sphere });
  const isStruck = back.stamp !== null || back.drain !== null;
  const { drawn, findings } = struck(asked, isStruck ? rim.loop.points() : []);
  const sawLine = rim.wider(back.sawMargin.value + flatBy);
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
      ...(sphere !== null && { [key("disc")]: single("mm", length.value + 2 * flatBy, "dome.disc") }),
      ...foot.figures,
    },
    parts: [{ id: part, kind: "plate", mount, metal: back.metal, mass: mass.value, blankMass, thickness: back.thickness }],
    findings: [...unusualFindings("plate.unusual", back.thickness, part, mount), ...found, ...findings],
    joints: [foot.joint],
    cuts: [
      {
        ...{ part, mount, metal: back.metal, stock: { form: "sheet", thickness: back.thickness } },
        ...{ figure: key("blankLength"), across: key("blankWidth"), count: 1 },
        shape: {
          ...{ kind: "outline", outline: sawLine.loop.curve() },
          ...{ length: sawn.length.value, width: sawn.width.value },
        },
      },
    ],
    made: { [part]: { flat: before, formed: before } },
    laid: { [part]: laidLengthwise(asked.outline, rim, back.sawMargin.value + flatBy) },
    tie: { part, after: [foot.joint.id] },
    thickness: back.thickness,
    base: back.thickness,
    finishing,
    ledge: null,
    plate: {
      ...{ mount, part, metal: back.metal, thickness: back.thickness, before, finishing, sphere, rise: back.rise },
      ...{ edge: (by) => rim.wider(by).loop, sawMargin: back.sawMargin.value },
    },
    sphere,
    rise: back.rise,
    drawn: { ...drawn, plate: part, outer: outside(back) },
  };
}

/** What lies outside everything on it: of a plate of its own no band goes all round. */
function outside({ own, border, sawMargin }: Back): BackDrawing["outer"] {
  if (own) return [];
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

/** What is done to it before anything stands on it: textured flat, cut, struck, and domed last. */
function madeReady({ mount, back }: BackAsked, { length, flatBy }: Sizes): readonly Step[] {
  const part = partOf(mount);
  const works = [part];
  const key = (name: string) => `${part}.${name}`;
  const { drain, texture, rise } = back;
  return [
    ...(texture === null ? [] : [step(mount, "plate.texture", { works, cautions: ["hammerFlat"], values: { texture } })]),
    step(mount, "plate.cut", {
      works,
      target: key("blankLength"),
      second: key("blankWidth"),
      reads: [{ figure: key("thickness"), kind: "thickness", mount, planned: back.thickness }],
      checks: ["plate.room", "foot.flat"],
      cautions: ["saw"],
    }),
    ...(drain ? [step(mount, "plate.drain", { works, cautions: ["saw"], values: { diameter: drain.diameter } })] : []),
    step(mount, "plate.stamp", { works }),
    ...(rise > 0
      ? [
          step(mount, "plate.dome", {
            works,
            target: key("disc"),
            checks: ["dome.even"],
            values: { rise, across: length.value + 2 * flatBy },
          }),
        ]
      : []),
  ];
}

/** What of a plate a foot on it has to know. */
type Under = Pick<SharedPlate, "part" | "before" | "finishing" | "sphere">;

/** A wall's foot on a plate: the blank is cut before, and sawn back to its edge after. */
export function footOf(asked: BackAsked, under: Under): { readonly joint: WorkedJoint; readonly figures: Figures } {
  const { mount, wall } = asked;
  const onDome = footOnDome(asked, under.sphere);
  return {
    figures: onDome.figures,
    joint: {
      id: `${mount}.foot`,
      kind: "foot",
      mount,
      parts: [wall.part, under.part],
      length: wall.netLength,
      area: wall.footArea,
      place: "round",
      after: wall.joints,
      follows: [`${mount}.wall.netLength`],
      work: {
        before: [...under.before, ...onDome.before],
        lookedFor: ["joint.bright", "joint.allRound", "joint.noGap"],
        after: [],
        afterAll: under.finishing,
      },
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
    values: { style: layers.length > 0 && !back.own ? "ornament" : back.style },
  });
}
