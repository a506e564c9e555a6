import {
  type PDFFont,
  PDFDocument,
  type PDFOperator,
  type PDFPage,
  StandardFonts,
  appendBezierCurve,
  clip,
  closePath,
  endPath,
  lineTo,
  moveTo,
  popGraphicsState,
  pushGraphicsState,
  setDashPattern,
  setLineWidth,
  stroke,
} from "@cantoo/pdf-lib";
import { type Curve, type Stroke, pointOn } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { MARGIN, PAPERS, type Paper, type Placed, TITLE, layOut } from "./pages";
import { type LineKind, type Template } from "./sheet";

const POINTS = 72 / 25.4;
const WIDTHS: Readonly<Record<LineKind, number>> = { cut: 0.2, edge: 0.2, mark: 0.12 };
const DASHES: Readonly<Record<LineKind, readonly number[]>> = { cut: [], edge: [1.5, 0.6], mark: [0.4, 0.4] };

export interface Print {
  readonly name: string;
  /** "revision 3". */
  readonly revision: string;
  readonly paper: Paper;
}

const pt = (mm: number) => mm * POINTS;

function cornerOf(stroke: Extract<Stroke, { kind: "arc" }>, angle: number): Point {
  return [stroke.x + stroke.radius * Math.cos(angle), stroke.y + stroke.radius * Math.sin(angle)];
}

/** An arc as bends of no more than an eighth of a turn: off by under a millionth of its radius. */
function bendsOf(arc: Extract<Stroke, { kind: "arc" }>): Extract<Stroke, { kind: "bend" }>[] {
  const count = Math.max(1, Math.ceil(Math.abs(arc.sweep) / (Math.PI / 4)));
  const step = arc.sweep / count;
  const handle = (4 / 3) * Math.tan(step / 4);
  return Array.from({ length: count }, (_, i) => {
    const [a, b] = [arc.start + i * step, arc.start + (i + 1) * step];
    const [[ax, ay], [bx, by]] = [cornerOf(arc, a), cornerOf(arc, b)];
    const reach = arc.radius * handle;
    return {
      kind: "bend",
      out: [ax - reach * Math.sin(a), ay + reach * Math.cos(a)],
      into: [bx + reach * Math.sin(b), by - reach * Math.cos(b)],
      to: [bx, by],
    };
  });
}

function pathOf({ from, strokes }: Curve, isClosed: boolean, x: number, y: number): PDFOperator[] {
  const at = ([px, py]: Point): [number, number] => [pt(px + x), pt(py + y)];
  const operators = [moveTo(...at(from))];
  let before = from;
  for (const each of strokes) {
    if (each.kind === "line") operators.push(lineTo(...at(each.to)));
    else
      for (const bend of each.kind === "arc" ? bendsOf(each) : [each])
        operators.push(appendBezierCurve(...at(bend.out), ...at(bend.into), ...at(bend.to)));
    before = pointOn(before, each, 1);
  }
  return isClosed ? [...operators, closePath()] : operators;
}

interface Pen {
  readonly page: PDFPage;
  readonly font: PDFFont;
}

function lineOn({ page }: Pen, points: readonly Point[], width = 0.2): void {
  const [first, ...rest] = points as [Point, ...Point[]];
  page.pushOperators(
    setLineWidth(pt(width)),
    setDashPattern([], 0),
    moveTo(pt(first[0]), pt(first[1])),
    ...rest.map(([x, y]) => lineTo(pt(x), pt(y))),
    stroke(),
  );
}

/** Only what the page's font has: the rest is left as a dot, and the file's own name says it whole. */
function writable(text: string, font: PDFFont): string {
  return [...text].map((letter) => (font.getCharacterSet().includes(letter.codePointAt(0)!) ? letter : "·")).join("");
}

function words({ page, font }: Pen, text: string, [x, y]: Point, size: number, isMiddle = false): void {
  const said = writable(text, font);
  const points = size * POINTS;
  const wide = isMiddle ? font.widthOfTextAtSize(said, points) / 2 : 0;
  page.drawText(said, { x: pt(x) - wide, y: pt(y), size: points, font });
}

function drawPlaced(pen: Pen, { template, x, y, part }: Placed): void {
  const { page } = pen;
  const { lines, labels, box } = template;
  page.pushOperators(pushGraphicsState());
  if (part) {
    const { at, width, height } = part;
    const corners: Point[] = [at, [at[0] + width, at[1]], [at[0] + width, at[1] + height], [at[0], at[1] + height]];
    const [first, ...rest] = corners as [Point, ...Point[]];
    page.pushOperators(
      moveTo(pt(first[0]), pt(first[1])),
      ...rest.map(([cx, cy]) => lineTo(pt(cx), pt(cy))),
      closePath(),
      clip(),
      endPath(),
    );
  }
  for (const { curve, isClosed, kind } of lines) {
    page.pushOperators(setLineWidth(pt(WIDTHS[kind])), setDashPattern(DASHES[kind].map(pt), 0), ...pathOf(curve, isClosed, x, y), stroke());
  }
  for (const { at, text, size, isMiddle } of labels) words(pen, text, [at[0] + x, at[1] + y], size, isMiddle);
  page.pushOperators(popGraphicsState());
  const number = part ? `, sheet ${part.number} of ${part.of}: join them at the crop marks` : "";
  words(pen, template.title + number, [MARGIN, (part ? part.at[1] + part.height : box.high + y) + 1.2], TITLE);
  if (part) cropMarks(pen, part);
}

const CROP = 4;

function cropMarks(pen: Pen, { at: [x, y], width, height }: NonNullable<Placed["part"]>): void {
  for (const [cx, sx] of [
    [x, -1],
    [x + width, 1],
  ] as const)
    for (const [cy, sy] of [
      [y, -1],
      [y + height, 1],
    ] as const) {
      lineOn(pen, [
        [cx, cy + sy],
        [cx, cy + sy * CROP],
      ]);
      lineOn(pen, [
        [cx + sx, cy],
        [cx + sx * CROP, cy],
      ]);
    }
}

/** Two lengths to be measured on the print: 50 mm and an inch. */
function bars(pen: Pen): void {
  const y = MARGIN + 6;
  for (const [x, length, text] of [
    [MARGIN, 50, "50 mm"],
    [MARGIN + 70, 25.4, "1 inch"],
  ] as const) {
    lineOn(
      pen,
      [
        [x, y],
        [x + length, y],
      ],
      0.3,
    );
    for (const end of [x, x + length])
      lineOn(
        pen,
        [
          [end, y - 2],
          [end, y + 2],
        ],
        0.3,
      );
    words(pen, text, [x + length / 2, y + 1.2], TITLE, true);
  }
  words(pen, "Print at 100%, without fitting to the page. Measure these bars first.", [MARGIN, MARGIN - 1], 2.6);
}

/** All templates at true size: lines and text as such, each page with its bars, name and number. */
export async function templatesPdf(templates: readonly Template[], { name, revision, paper }: Print): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.setTitle(name);
  document.setCreationDate(new Date(0));
  document.setModificationDate(new Date(0));
  const font = await document.embedFont(StandardFonts.Helvetica);
  const [width, height] = PAPERS[paper];
  const pages = layOut(templates, paper);
  pages.forEach((placed, i) => {
    const pen = { page: document.addPage([pt(width), pt(height)]), font };
    words(pen, `${name}, ${revision}`, [MARGIN, height - MARGIN - 4], 4);
    words(pen, `page ${i + 1} of ${pages.length}`, [width - MARGIN - 22, height - MARGIN - 4], TITLE);
    bars(pen);
    for (const each of placed) drawPlaced(pen, each);
  });
  return document.save({ useObjectStreams: false });
}
