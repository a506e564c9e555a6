import { METALS } from "@/core/metal/metals";
import { type Box, type Curve, boxOf, circle, mirrored, polygonCurve } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { type Blank, type BlankMark } from "@/core/measure/blank";
import { figureOf } from "@/core/measure/figure";
import { type Gap } from "@/core/mount/laid-out";
import { type Mount, type Piece } from "@/core/piece/piece";
import { type Plan, bailIn, hoopIn } from "@/core/piece/plan";
import { type Doubt, type DoubtOf, SURE } from "@/core/piece/doubt";
import { DOUBTS } from "@/words/doubt";
import { BLANK_MARKS } from "@/words/marks";
import { LAYER_NAMES, capital, lowered, namesIn } from "@/words/names";
import { type Units, lengthUnit, showLength } from "@/words/show";
import { bareIn } from "@/words/steps";

/** What a line on a template is: sawn or cut along, an edge it is worked to, or only marked. */
export type LineKind = "cut" | "edge" | "mark";

export interface TemplateLine {
  readonly curve: Curve;
  readonly isClosed: boolean;
  readonly kind: LineKind;
}

export interface TemplateLabel {
  readonly at: Point;
  readonly text: string;
  /** mm high. */
  readonly size: number;
  readonly isMiddle: boolean;
}

/** One thing to be cut, at true size: exact lines in mm, y upward. */
export interface Template {
  /** Its part, as it may stand in a file's name. */
  readonly id: string;
  readonly title: string;
  readonly lines: readonly TemplateLine[];
  readonly labels: readonly TemplateLabel[];
  readonly box: Box;
}

interface SheetSource {
  readonly plan: Plan;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
}

/** All that is cut of a piece, in the order it is made: plates, walls, ledges, ornament, and the hoop's blank. */
export function templatesOf(piece: Piece, plan: Plan, units: Units, doubtOf: DoubtOf = SURE): Template[] {
  const told = { plan, units, doubtOf };
  const isOnly = piece.mounts.length === 1;
  const names = namesIn(plan);
  const all = [
    ...piece.mounts.flatMap((mount) =>
      isOnly ? ofMount(told, mount, "") : ofMount(told, mount, `${mount.id}-`).map((each) => led(each, capital(names.setting(mount.id)))),
    ),
    ...hoopBlank(told),
    ...bridgeBlank(told),
    ...bailPattern(told),
  ];
  return piece.copies === 2 ? all.flatMap((each) => [each, mirror(each)]) : all;
}

/** Of one of several settings. */
function led(each: Template, setting: string): Template {
  return { ...each, title: `${setting}: ${lowered(each.title)}` };
}

/** The second of a pair: what is cut for it, turned over. */
function mirror({ id, title, lines, labels, box }: Template): Template {
  return {
    id: `${id}-mirror`,
    title: `${title}, the second`,
    lines: lines.map((line) => ({ ...line, curve: mirrored(line.curve) })),
    labels: labels.map((label) => ({ ...label, at: [label.at[0], -label.at[1]] })),
    box: { left: box.left, right: box.right, low: -box.high, high: -box.low },
  };
}

function ofMount(told: SheetSource, mount: Mount, before: string): Template[] {
  const { plan } = told;
  const { back } = plan.drawing.settings[mount.id]!.plan;
  return [
    ...(back.plate === null ? [] : [plateTemplate(told, mount, before)]),
    ...wallTemplate(told, mount, before),
    ...(`${mount.id}.ledge` in plan.drawing.laid ? [ledgeTemplate(told, mount, before)] : []),
    ...ornamentTemplates(told, mount, before),
  ];
}

const TEXT = 2;

function template(
  id: string,
  title: string,
  lines: readonly TemplateLine[],
  labels: readonly TemplateLabel[],
  doubt: Doubt | null,
): Template {
  const boxes = lines.map(({ curve }) => boxOf(curve));
  const box = boxes.reduce((a, b) => ({
    left: Math.min(a.left, b.left),
    right: Math.max(a.right, b.right),
    low: Math.min(a.low, b.low),
    high: Math.max(a.high, b.high),
  }));
  return { id, title: doubt ? `${title}: ${DOUBTS[doubt]}, do not cut` : title, lines, labels, box };
}

function plateTemplate({ plan, units, doubtOf }: SheetSource, mount: Mount, before: string): Template {
  const { plan: drawn } = plan.drawing.settings[mount.id]!;
  const { stamp, drain } = drawn.back;
  const key = (name: string) => `${mount.id}.plate.${name}`;
  const bare = bareIn(plan, units, doubtOf);
  const { back } = plan.settled.mounts[mount.id]!;
  return template(
    `${before}plate`,
    `Plate, blank ${bare(key("blankLength"))} × ${bare(key("blankWidth"))} ${lengthUnit(units)}, ${METALS[back.metal].name} ${showLength(back.thickness, "measured", units)}`,
    [
      { curve: drawn.sawLine, isClosed: true, kind: "cut" },
      { curve: drawn.plateEdge, isClosed: true, kind: "edge" },
      { curve: drawn.wallOutside, isClosed: true, kind: "mark" },
      ...drawn.layers.flatMap(({ balls, middles }): TemplateLine[] =>
        balls.length > 0
          ? balls.map(({ at, radius }) => ({ curve: circle(radius, at), isClosed: true, kind: "mark" }))
          : middles.map((points) => ({ curve: polygonCurve(points), isClosed: false, kind: "mark" })),
      ),
      ...(stamp ? [{ curve: polygonCurve(stamp.corners), isClosed: true, kind: "mark" } as const] : []),
      ...(drain ? [{ curve: circle(drain.diameter / 2, drain.at), isClosed: true, kind: "cut" } as const] : []),
    ],
    stamp ? [{ at: stamp.at, text: "stamp, behind", size: TEXT * 0.6, isMiddle: true }] : [],
    doubtOf(key("blankLength")),
  );
}

/** A strip as it lies on a rule: its ends, what it loses, and its marks with their names. */
function strip(blank: Blank, tall: number, top: readonly Point[] | null): { lines: TemplateLine[]; labels: TemplateLabel[] } {
  const upper: readonly Point[] = top
    ? [...top].reverse()
    : [
        [blank.length, tall],
        [0, tall],
      ];
  const upright = (at: number, kind: LineKind): TemplateLine => ({
    curve: polygonCurve([
      [at, 0],
      [at, heightAt(upper, at, tall)],
    ]),
    isClosed: false,
    kind,
  });
  const inside = (at: number) => at > EDGE && at < blank.length - EDGE;
  return {
    lines: [
      { curve: polygonCurve([[0, 0], [blank.length, 0], ...upper]), isClosed: true, kind: "cut" },
      ...blank.losses.flatMap(({ from, to }) => [from, to].filter(inside).map((at) => upright(at, "mark"))),
      ...blank.marks.filter(({ at }) => inside(at)).map(({ at, code }) => upright(at, code === "cut" ? "cut" : "mark")),
      ...blank.gathers.map(({ from, to }): TemplateLine => ({
        curve: polygonCurve([
          [from, tall * GATHERS_AT],
          [to, tall * GATHERS_AT],
        ]),
        isClosed: false,
        kind: "mark",
      })),
    ],
    labels: apart(blank.marks).map(({ at, code }) => ({
      at: [at + 0.4, -TEXT - 0.4],
      text: BLANK_MARKS[code],
      size: TEXT,
      isMiddle: false,
    })),
  };
}

const EDGE = 1e-6;
/** Where along a strip's height the runs that gather are marked. */
const GATHERS_AT = 0.92;

/** Marks whose words do not run into the one before; a cut needs no word. */
function apart(marks: Blank["marks"]): { at: number; code: BlankMark }[] {
  let end = -Infinity;
  return marks.flatMap((mark) => {
    if (mark.code === "cut" || mark.at < end) return [];
    end = mark.at + BLANK_MARKS[mark.code].length * TEXT * LETTER;
    return [{ ...mark }];
  });
}

/** A letter's width, as a share of its height. */
const LETTER = 0.55;

function heightAt(top: readonly Point[], at: number, tall: number): number {
  const rising = [...top].sort(([a], [b]) => a - b);
  const next = rising.findIndex(([along]) => along >= at);
  if (next <= 0) return rising[0]?.[1] ?? tall;
  const [[ax, ay], [bx, by]] = [rising[next - 1]!, rising[next]!];
  return bx === ax ? by : ay + ((by - ay) * (at - ax)) / (bx - ax);
}

function wallTemplate({ plan, units, doubtOf }: SheetSource, mount: Mount, before: string): Template[] {
  const { wall } = plan.settled.mounts[mount.id]!;
  const { top, plan: drawn } = plan.drawing.settings[mount.id]!;
  if (drawn.seam === null) return [];
  const blank = plan.drawing.laid[`${mount.id}.wall`]!;
  const key = (name: string) => `${mount.id}.wall.${name}`;
  const tall = figureOf(plan.figures, key("cutHeight")).value;
  const edge = top && cutEdge(top, blank, wall.losses.foot.value + wall.losses.top.value);
  const bare = bareIn(plan, units, doubtOf);
  const drawing = strip(blank, tall, edge);
  const { gaps } = plan.drawing.settings[mount.id]!.stock;
  return [
    template(
      `${before}wall`,
      `Bezel, ${bare(key("cutLength"))} × ${bare(key("cutHeight"))} ${lengthUnit(units)}, ${METALS[wall.metal].name} ${showLength(wall.thickness, "measured", units)}`,
      [...drawing.lines, ...gaps.map((gap) => sawn(gap, edge, tall))],
      [...drawing.labels, ...(edge ? heights(edge, blank, units) : [])],
      doubtOf(key("cutLength")) ?? doubtOf(key("cutHeight")),
    ),
  ];
}

/** A gap between teeth, sawn from the top edge down. */
function sawn({ from, to, depth }: Gap, edge: readonly Point[] | null, tall: number): TemplateLine {
  const [left, right] = [from, to].map((at) => (edge ? heightAt(edge, at, tall) : tall)) as [number, number];
  const low = Math.max(0, Math.min(left, right) - depth);
  return {
    curve: polygonCurve([
      [from, left],
      [from, low],
      [to, low],
      [to, right],
    ]),
    isClosed: false,
    kind: "cut",
  };
}

/** The edge that an uneven stone's strip is cut to: what foot and top lose stands above it, and it goes on level past both ends. */
function cutEdge(top: readonly Point[], blank: Blank, losses: number): Point[] {
  const lead = blank.losses[0]!.to;
  const raised = top.map(([along, up]): Point => [along + lead, up + losses]);
  return [[0, raised[0]![1]], ...raised, [blank.length, raised.at(-1)![1]]];
}

const EVERY = 5;

/** How high the edge stands at the seam, at points, and every 5 mm. */
function heights(edge: readonly Point[], blank: Blank, units: Units): TemplateLabel[] {
  const marked = blank.marks.filter(({ code }) => code === "seam" || code === "point" || code === "notch").map(({ at }) => at);
  const even = Array.from({ length: Math.floor(blank.length / EVERY) }, (_, i) => (i + 1) * EVERY);
  const clear = even.filter((at) => marked.every((other) => Math.abs(other - at) > EVERY / 2));
  return [...marked, ...clear].map((at) => {
    const up = heightAt(edge, at, 0);
    return { at: [at, up + 0.5], text: showLength(up, "measured", units), size: TEXT * 0.7, isMiddle: true };
  });
}

function ledgeTemplate({ plan, units, doubtOf }: SheetSource, mount: Mount, before: string): Template {
  const { ledge } = plan.settled.mounts[mount.id]!.back;
  const key = `${mount.id}.ledge.cutLength`;
  const { lines, labels } = strip(plan.drawing.laid[`${mount.id}.ledge`]!, ledge?.width ?? 1, null);
  const title = `Ledge, ${bareIn(plan, units, doubtOf)(key)} ${lengthUnit(units)}`;
  return template(`${before}ledge`, title, lines, labels, doubtOf(key));
}

function ornamentTemplates({ plan, units, doubtOf }: SheetSource, mount: Mount, before: string): Template[] {
  return plan.drawing.settings[mount.id]!.plan.layers.map(({ id, part, type, width, onRule, made }) => {
    const isCounted = made.counted !== null;
    const key = `${part}.${isCounted ? "netLength" : "cutLength"}`;
    const { lines, labels } = strip(plan.drawing.laid[part]!, width, null);
    const balls = isCounted ? onRule.balls : [];
    return template(
      `${before}${id}`,
      `${capital(LAYER_NAMES[type])}, ${bareIn(plan, units, doubtOf)(key)} ${lengthUnit(units)}, ${showLength(width, "measured", units)} wide`,
      [...lines, ...balls.map((at): TemplateLine => ({ curve: circle(width / 2, [at, width / 2]), isClosed: true, kind: "mark" }))],
      labels,
      doubtOf(key),
    );
  });
}

function hoopBlank({ plan, units, doubtOf }: SheetSource): Template[] {
  const hoop = hoopIn(plan);
  if (!hoop) return [];
  const { section, metal } = hoop.settled;
  const blank = plan.drawing.laid.hoop!;
  const { pattern } = hoop.drawn;
  const title = `Hoop's blank, ${bareIn(plan, units, doubtOf)("hoop.cutLength")} × ${showLength(section.width, "measured", units)} ${lengthUnit(units)}, ${METALS[metal].name}`;
  const { lines, labels } = pattern ? shaped(pattern, blank) : strip(blank, section.width, null);
  return [template("hoop", title, lines, labels, doubtOf("hoop.cutLength"))];
}

/** What is cut to a shape, alike to both sides of its middle, with its marks. */
function shaped(pattern: readonly Point[], blank: Blank): { lines: TemplateLine[]; labels: TemplateLabel[] } {
  const side = (by: number) => pattern.map(([along, wide]): Point => [along, (by * wide) / 2]);
  const widest = Math.max(...pattern.map(([, wide]) => wide));
  return {
    lines: [
      { curve: polygonCurve([...side(-1), ...side(1).reverse()]), isClosed: true, kind: "cut" },
      ...blank.marks
        .filter(({ at }) => at > EDGE && at < blank.length - EDGE)
        .map(({ at }): TemplateLine => ({
          curve: polygonCurve([
            [at, -widest / 2],
            [at, widest / 2],
          ]),
          isClosed: false,
          kind: "mark",
        })),
    ],
    labels: apart(blank.marks).map(({ at, code }) => ({
      at: [at + 0.4, -widest / 2 - TEXT - 0.4],
      text: BLANK_MARKS[code],
      size: TEXT,
      isMiddle: false,
    })),
  };
}

function bridgeBlank({ plan, units, doubtOf }: SheetSource): Template[] {
  const hoop = hoopIn(plan);
  const key = "bridge.blankLength";
  if (!hoop || !(key in plan.figures)) return [];
  const { bridge, section } = hoop.settled;
  const length = figureOf(plan.figures, key).value;
  const blank: Blank = { length, losses: [], gathers: [], marks: [] };
  const { lines, labels } = strip(blank, section.width, null);
  return [
    template(
      "bridge",
      `Bridge, ${bareIn(plan, units, doubtOf)(key)} × ${showLength(section.width, "measured", units)} ${lengthUnit(units)}, ${METALS[bridge.metal].name} ${showLength(bridge.thickness, "measured", units)}`,
      lines,
      labels,
      doubtOf(key),
    ),
  ];
}

/** The pattern of what something hangs by, where it is sawn to shape and not only cut to length. */
function bailPattern({ plan, units, doubtOf }: SheetSource): Template[] {
  const bail = bailIn(plan);
  if (!bail?.drawn.isSawnToShape) return [];
  const key = bail.drawn.cut;
  const { metal, thickness, widest } = bail.settled;
  const { lines, labels } = shaped(bail.drawn.pattern, plan.drawing.laid.bail!);
  return [
    template(
      "bail",
      `Bail, ${bareIn(plan, units, doubtOf)(key)} × ${showLength(widest.value, "measured", units)} ${lengthUnit(units)}, ${METALS[metal].name} ${showLength(thickness, "measured", units)}`,
      lines,
      labels,
      doubtOf(key),
    ),
  ];
}
