import { METALS } from "@/core/metal/metals";
import { type Box, type Curve, boxOf, circle, mirrored, polygonCurve } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { type Blank, type BlankMark } from "@/core/measure/blank";
import { type Gap } from "@/core/mount/laid-out";
import { type LayerType, type PartKind } from "@/core/joint/joint";
import { type Cut, type CutStock } from "@/core/metal/cut";
import { type Piece } from "@/core/piece/piece";
import { type Plan, bailIn, hoopIn, sharersOf } from "@/core/piece/plan";
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

/** What is drawn of a part, and what its file is called, before the setting it belongs to. */
interface Drawn {
  readonly id: string;
  /** The figure of its length and its width in mm, where what is drawn is made of what is cut. */
  readonly made?: { readonly figure: string; readonly width: number };
  readonly lines: readonly TemplateLine[];
  readonly labels: readonly TemplateLabel[];
}

/** All that is cut of a piece, in the order it is made. Wire that is only cut to length, and what is melted, has no template. */
export function templatesOf(piece: Piece, plan: Plan, units: Units, doubtOf: DoubtOf = SURE): Template[] {
  const told = { plan, units, doubtOf };
  const isOnly = piece.mounts.length === 1;
  const names = namesIn(plan);
  const all = plan.cuts
    .filter(({ part }, i) => plan.cuts.findIndex((other) => other.part === part) === i)
    .flatMap((cut) => {
      const each = templateOf(told, cut);
      if (!each) return [];
      return isOnly || cut.mount === null ? [each] : [led({ ...each, id: `${cut.mount}-${each.id}` }, capital(names.setting(cut.mount)))];
    });
  return piece.copies === 2 ? all.flatMap((each) => [each, mirror(each)]) : all;
}

/** How a part's cut is drawn, by its kind. What is put on is sawn along its outline; other kinds have no template. */
const DRAWN_AS: Partial<Record<PartKind, (plan: Plan, cut: Cut, units: Units) => Drawn | null>> = {
  plate: drawnPlate,
  wall: drawnWall,
  ledge: drawnAlong,
  wire: drawnAlong,
  twist: drawnAlong,
  "bead-wire": drawnAlong,
  granules: drawnAlong,
  hoop: drawnHoop,
  strand: drawnHoop,
  bridge: (_plan, { shape, stock }) => ({
    id: "bridge",
    ...strip({ length: shape.length, losses: [], gathers: [], marks: [] }, widthOf(stock), null),
  }),
  bail: drawnBail,
  disc: drawnOutline,
  strip: drawnOutline,
};

const TITLES: Partial<Record<PartKind, string>> = { plate: "Plate, blank", hoop: "Hoop's blank,", strand: "Hoop's blank,", wall: "Bezel," };

function templateOf({ plan, units, doubtOf }: SheetSource, cut: Cut): Template | null {
  const { kind, name } = plan.parts.find(({ id }) => id === cut.part)!;
  const drawn = DRAWN_AS[kind]?.(plan, cut, units);
  if (!drawn) return null;
  const title = TITLES[kind] ?? `${capital(name ?? LAYER_NAMES[kind as LayerType] ?? namesIn(plan).part(cut.part))},`;
  const as: Cut = drawn.made ? { ...cut, figure: drawn.made.figure } : cut;
  return template(
    drawn,
    `${title} ${sizesOf({ plan, units, doubtOf }, as, drawn.made?.width)}`,
    doubtOf(as.figure) ?? doubtOf(as.across ?? as.figure),
  );
}

/** "46.05 × 3.20 mm, fine silver 0.32". */
function sizesOf({ plan, units, doubtOf }: SheetSource, { stock, metal, figure, across, shape }: Cut, width?: number): string {
  const bare = bareIn(plan, units, doubtOf);
  const length = (mm: number) => showLength(mm, "measured", units);
  const wide = across === null ? length(width ?? (shape.kind === "outline" ? shape.width : widthOf(stock))) : bare(across);
  const thick = stock.form === "sheet" || stock.form === "strip" ? ` ${length(stock.thickness)}` : "";
  return `${bare(figure)} × ${wide} ${lengthUnit(units)}, ${METALS[metal].name}${thick}`;
}

/** mm along the finger or up the stone. */
function widthOf(stock: CutStock): number {
  return stock.form === "tube" ? stock.outside : stock.form === "sheet" ? 0 : stock.width;
}

/** What is put on: sawn along its outline. */
function drawnOutline(plan: Plan, { part, shape }: Cut): Drawn | null {
  const put = plan.drawing.applied.find(({ id }) => `applied.${id}` === part);
  if (!put || shape.kind !== "outline") return null;
  return { id: put.id, lines: [{ curve: shape.outline, isClosed: true, kind: "cut" }], labels: [] };
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

const TEXT = 2;

function template({ id, lines, labels }: Drawn, title: string, doubt: Doubt | null): Template {
  return { id, title: doubt ? `${title}: ${DOUBTS[doubt]}, do not cut` : title, lines, labels, box: boxRound(lines) };
}

/** The box round all lines of a template. */
export function boxRound(lines: readonly TemplateLine[]): Box {
  return lines
    .map(({ curve }) => boxOf(curve))
    .reduce((a, b) => ({
      left: Math.min(a.left, b.left),
      right: Math.max(a.right, b.right),
      low: Math.min(a.low, b.low),
      high: Math.max(a.high, b.high),
    }));
}

function drawnPlate({ drawing }: Plan, { mount, shape }: Cut): Drawn | null {
  if (mount === null || shape.kind !== "outline") return null;
  const { settings } = drawing;
  const { plan: drawn } = settings[mount]!;
  const { stamp, drain } = drawn.back;
  const standing = [drawn, ...sharersOf(settings, mount).map(([, { plan }]) => plan)];
  return {
    id: "plate",
    lines: [
      { curve: shape.outline, isClosed: true, kind: "cut" },
      { curve: drawn.plateEdge, isClosed: true, kind: "edge" },
      ...standing.map(({ wallOutside }): TemplateLine => ({ curve: wallOutside, isClosed: true, kind: "mark" })),
      ...standing
        .flatMap(({ layers }) => layers)
        .flatMap(({ balls, middles }): TemplateLine[] =>
          balls.length > 0
            ? balls.map(({ at, radius }) => ({ curve: circle(radius, at), isClosed: true, kind: "mark" }))
            : middles.map((points) => ({ curve: polygonCurve(points), isClosed: false, kind: "mark" })),
        ),
      ...(stamp ? [{ curve: polygonCurve(stamp.corners), isClosed: true, kind: "mark" } as const] : []),
      ...(drain ? [{ curve: circle(drain.diameter / 2, drain.at), isClosed: true, kind: "cut" } as const] : []),
    ],
    labels: stamp ? [{ at: stamp.at, text: "stamp, behind", size: TEXT * 0.6, isMiddle: true }] : [],
  };
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

/** A bezel's strip; of a tube, which is only sawn off, nothing is drawn. */
function drawnWall({ drawing, settled }: Plan, { mount, stock, shape }: Cut, units: Units): Drawn | null {
  if (mount === null || stock.form === "tube") return null;
  const { losses } = settled.mounts[mount]!.wall;
  const { top, stock: laidOut } = drawing.settings[mount]!;
  const blank = drawing.laid[`${mount}.wall`]!;
  const tall = shape.kind === "outline" ? shape.width : widthOf(stock);
  const edge = top && cutEdge(top, blank, losses.foot.value + losses.top.value);
  const { lines, labels } = strip(blank, tall, edge);
  return {
    id: "wall",
    lines: [...lines, ...laidOut.gaps.map((gap) => sawn(gap, edge, tall))],
    labels: [...labels, ...(edge ? heights(edge, blank, units) : [])],
  };
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

/** Wire that lies round a stone, along the rule, with the beads on it. */
function drawnAlong({ drawing }: Plan, { part, mount, stock }: Cut): Drawn | null {
  if (mount === null) return null;
  const layer = drawing.settings[mount]!.plan.layers.find((each) => each.part === part);
  const width = layer?.width ?? widthOf(stock);
  const { lines, labels } = strip(drawing.laid[part]!, width, null);
  const balls = layer && layer.made.counted !== null ? layer.onRule.balls : [];
  return {
    id: layer?.id ?? "ledge",
    ...(layer && { made: { figure: `${part}.${layer.made.counted === null ? "cutLength" : "netLength"}`, width } }),
    lines: [...lines, ...balls.map((at): TemplateLine => ({ curve: circle(width / 2, [at, width / 2]), isClosed: true, kind: "mark" }))],
    labels,
  };
}

function drawnHoop(plan: Plan): Drawn | null {
  const hoop = hoopIn(plan);
  if (!hoop) return null;
  const blank = plan.drawing.laid.hoop!;
  const { pattern } = hoop.drawn;
  return { id: "hoop", ...(pattern ? shaped(pattern, blank) : strip(blank, hoop.settled.section.width, null)) };
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

/** The pattern of what something hangs by, where it is sawn to shape and not only cut to length. */
function drawnBail(plan: Plan, { shape }: Cut): Drawn | null {
  const bail = bailIn(plan);
  return bail && shape.kind === "outline" ? { id: "bail", ...shaped(bail.drawn.pattern, plan.drawing.laid.bail!) } : null;
}
