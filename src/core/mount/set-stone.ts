import { type Outline, type Point } from "../geometry/outline";
import { type Contribution, NOTHING } from "../joint/contribution";
import { type AskedReading, type CautionCode, type Step, step } from "../making/step";
import { type Finding, finding } from "../measure/finding";
import { type Figures, single } from "../measure/figure";
import { tapeRound } from "./laid-out";
import { unusualFindings } from "../measure/usual";
import { tolerance } from "../measure/tolerances";
import { keepsItsFace } from "../stone/known-stones";
import { measuresOf } from "../stone/shapes/shapes";
import { type Stone, greatestTurnIn, isSoft } from "../stone/stone";

/** Above this a hand pusher no longer moves a wall (mm). */
export const HAND_PUSHER = 0.4;

export interface StoneAsked {
  readonly mount: string;
  readonly stone: Stone;
  readonly outline: Outline;
  /** By what share the tape reads more than the measures give; null where none was put round. */
  readonly tapeOff: number | null;
  readonly wallThickness: number;
  /** mm of cushion that it lies on; 0 where it lies on metal. */
  readonly cushion: number;
  /** Whether the wall's points go over before the rest. */
  readonly isPointed: boolean;
  /** A round tube is pushed over with a bezel punch. */
  readonly isTube: boolean;
  /** The top edge of an uneven stone's wall, height over length from the seam; null where it is level. */
  readonly top: readonly Point[] | null;
}

/** What a stone is called in its steps: by its own name, else by what it is. */
export function calledOf({ name, material }: Stone): string {
  return name ?? material?.name ?? "";
}

/** All that a stone adds: it is looked over and measured first, and set when there is no more heat. */
export function setStone(asked: StoneAsked): Contribution {
  const { mount, stone, outline, tapeOff } = asked;
  const called = calledOf(stone);
  return {
    ...NOTHING,
    figures: outlineFigures(mount, outline, tapeOff),
    findings: [...tapeFindings(mount, tapeOff), ...unusualFindings("stone.unusual", outline.extent(0), `${mount}.stone`, mount)],
    laid: { [`${mount}.stone`]: tapeRound(outline) },
    first: [
      step(mount, "stone.look", { checks: ["stone.sound", "stone.flatBack"], values: { stone: called } }),
      step(mount, "stone.measure", {
        target: `${mount}.outline.perimeter`,
        reads: measures(mount, stone, outline),
        values: { stone: called },
      }),
    ],
    finish: heightSteps(asked, called),
    last: settingSteps(asked, called),
  };
}

/** What a caliper and a tape read of the stone itself, each by the name of its field. */
function measures(mount: string, stone: Stone, outline: Outline): AskedReading[] {
  const read = (name: string, kind: AskedReading["kind"], planned: number): AskedReading => ({
    ...{ figure: `${mount}.stone.${name}`, kind, mount, planned },
  });
  return [
    ...measuresOf(stone.outline).map(({ name, kind, mm }) => read(`outline.${name}`, `stone-${kind}`, mm)),
    read("measuredPerimeter", "stone-tape", outline.hullPerimeter),
    ...(stone.dome === "flat" ? [] : [read("turnIn", "stone-leans", greatestTurnIn(stone))]),
    read("height", "stone-height", stone.height),
  ];
}

/** The stone is tried for the last time, and the wall brought to its height. */
function heightSteps({ mount, top }: StoneAsked, called: string): Step[] {
  return [
    step(mount, "set.try", { checks: ["wall.passes", "stone.out"], values: { stone: called } }),
    top
      ? step(mount, "set.curve", { checks: ["height.follows"], values: curveOf(top) })
      : step(mount, "set.height", {
          target: `${mount}.wall.netHeight`,
          reads: [{ figure: `${mount}.wall.netHeight`, kind: "wall-height", mount }],
          checks: ["height.even"],
        }),
  ];
}

function settingSteps({ mount, stone: { material }, wallThickness, cushion, isPointed, isTube }: StoneAsked, called: string): Step[] {
  const soft = isSoft(material?.mohs ?? null);
  const values = { stone: called };
  const softly: readonly CautionCode[] = soft ? ["softStone"] : [];
  return [
    step(mount, "set.level", { checks: ["stone.still"], cautions: ["noMoreHeat"], values: { ...values, cushion } }),
    step(mount, "set.push", {
      checks: ["joint.noGap", "stone.still"],
      cautions: softly,
      values: { punch: wallThickness > HAND_PUSHER && !soft ? 1 : 0, points: isPointed ? 1 : 0, tube: isTube && !soft ? 1 : 0 },
    }),
    keepsItsFace(material?.name)
      ? step(mount, "set.burnish", { checks: ["edge.smooth"], values })
      : step(mount, "set.polish", {
          checks: ["edge.smooth"],
          cautions: softly,
          values: { ...values, ultrasonic: material?.tender?.includes("ultrasonic") ? 1 : 0 },
        }),
  ];
}

/** How high an uneven wall stands at its seam, at its lowest and at its highest (mm). */
function curveOf(top: readonly Point[]): { readonly seam: number; readonly least: number; readonly most: number } {
  const heights = top.map(([, up]) => up);
  return { seam: heights[0]!, least: Math.min(...heights), most: Math.max(...heights) };
}

function outlineFigures(id: string, outline: Outline, tapeOff: number | null): Figures {
  return {
    [`${id}.outline.perimeter`]: single("mm", outline.perimeter, tapeOff === null ? "perimeter" : "measured", "stone"),
    [`${id}.stone.length`]: single("mm", outline.extent(0), "extent", "stone"),
    [`${id}.stone.width`]: single("mm", outline.extent(Math.PI / 2), "extent", "stone"),
    [`${id}.outline.area`]: single("mm2", outline.area, "area", "stone"),
  };
}

function tapeFindings(id: string, tapeOff: number | null): Finding[] {
  return tapeOff !== null && Math.abs(tapeOff) > tolerance.wrongReading
    ? [finding("stone.tape-off", "warning", `${id}.stone`, { off: tapeOff }, id)]
    : [];
}
