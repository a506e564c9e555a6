import { type Outline, type Point } from "../geometry/outline";
import { type Contribution, NOTHING } from "../joint/contribution";
import { type Step, type StepCode, step } from "../making/step";
import { type Finding, finding } from "../measure/finding";
import { type Figures, single } from "../measure/figure";
import { tapeRound } from "./laid-out";
import { unusualFindings } from "../measure/usual";
import { tolerance } from "../measure/tolerances";
import { keepsItsFace } from "../stone/known-stones";
import { type Stone, type Tenderness, isSoft } from "../stone/stone";

/** Above this a hand pusher no longer moves a wall (mm). */
export const HAND_PUSHER = 0.4;

/** What a patina and the wet tumbling after it do to a stone that is tender to it. */
const PATINA_HARMS: ReadonlySet<Tenderness> = new Set(["water", "acid", "sulphur"]);

export interface StoneAsked {
  readonly mount: string;
  readonly stone: Stone;
  readonly outline: Outline;
  /** By what share the tape reads more than the measures give; null where none was put round. */
  readonly tapeOff: number | null;
  readonly wallThickness: number;
  /** The top edge of an uneven stone's wall, height over length from the seam; null where it is level. */
  readonly top: readonly Point[] | null;
}

/** What a stone is called in its steps: by its own name, else by what it is. */
export function calledOf({ name, material }: Stone): string {
  return name ?? material?.name ?? "";
}

/** All that a stone adds: it is looked over and measured first, and set when there is no more heat. */
export function setStone({ mount, stone, outline, tapeOff, wallThickness, top }: StoneAsked): Contribution {
  const called = calledOf(stone);
  return {
    ...NOTHING,
    figures: outlineFigures(mount, outline, tapeOff),
    findings: [...tapeFindings(mount, tapeOff), ...unusualFindings("stone.unusual", outline.extent(0), `${mount}.stone`, mount)],
    laid: { [`${mount}.stone`]: tapeRound(outline) },
    first: [
      step(mount, "stone.look", { checks: ["stone.sound", "stone.flatBack"], values: { stone: called } }),
      step(mount, "stone.measure", { target: `${mount}.outline.perimeter`, values: { stone: called } }),
    ],
    last: settingSteps(mount, called, stone, wallThickness, top),
  };
}

function settingSteps(mount: string, called: string, { material }: Stone, wallThickness: number, top: StoneAsked["top"]): Step[] {
  const soft = isSoft(material?.mohs ?? null);
  const tender = material?.tender ?? [];
  const values = { stone: called };
  const isKept = keepsItsFace(material?.name);
  const set = (act: StepCode, details?: Parameters<typeof step>[2]) => step(mount, act, details);
  return [
    set("set.try", { checks: ["wall.passes", "stone.out"], values }),
    top
      ? set("set.curve", { checks: ["height.follows"], values: curveOf(top) })
      : set("set.height", {
          target: `${mount}.wall.netHeight`,
          reads: [{ figure: `${mount}.wall.netHeight`, kind: "wall-height", mount }],
          checks: ["height.even"],
        }),
    set("set.surface", {
      cautions: ["sulphur"],
      values: { ...values, tender: tender.filter((to) => PATINA_HARMS.has(to)), soft: soft ? 1 : 0 },
    }),
    ...(isKept ? [set("set.finish", { checks: ["edge.smooth"], cautions: ["dust", "wheel"], values })] : []),
    set("set.level", { checks: ["stone.still"], cautions: ["noMoreHeat"], values }),
    set("set.push", {
      checks: ["joint.noGap", "stone.still"],
      cautions: soft ? ["softStone"] : [],
      values: { punch: wallThickness > HAND_PUSHER && !soft ? 1 : 0 },
    }),
    isKept
      ? set("set.burnish", { checks: ["edge.smooth"], values })
      : set("set.polish", {
          checks: ["edge.smooth"],
          cautions: ["dust", "wheel", ...(soft ? ["softStone" as const] : [])],
          values: { ...values, ultrasonic: tender.includes("ultrasonic") ? 1 : 0 },
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
