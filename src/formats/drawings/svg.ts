import { XMLParser } from "fast-xml-parser";
import { type Point } from "@/core/geometry/outline";
import { type DrawnCurve } from "@/core/trace/drawn";
import { type Outcome, refused } from "@/core/trace/refusal";
import { type LeftOut } from "@/words/drawings";
import { type ReadDrawing } from "./drawing";
import { type DrawnRun, closedCurve, lineRun } from "./runs";
import { type Affine, axesOf, placed, scaledBy, then, transformOf } from "./affine";
import { pathCurves } from "./svg-path";

/** No drawing of a stone is nested deeper, or has more elements. */
const DEEPEST = 64;
const MOST_ELEMENTS = 20_000;
/** A pixel of a drawing without a size of its own, as styles count it (mm). */
const PIXEL = 25.4 / 96;
const MM_A_UNIT: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: PIXEL, q: 0.25 };

type Node = Readonly<Record<string, unknown>>;

/** An SVG drawing's closed curves in mm, y up: paths and shapes under all their transforms. */
export function readSvg(text: string): Outcome<ReadDrawing> {
  const danger = dangerIn(text);
  if (danger) return danger;
  let nodes: Node[];
  try {
    const parser = new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: "",
      processEntities: false,
      parseAttributeValue: false,
      parseTagValue: false,
    });
    nodes = parser.parse(text) as Node[];
  } catch (error) {
    return refused("not-a-drawing", { why: error instanceof Error ? error.message.slice(0, 120) : "cannot be read" });
  }
  const root = nodes.find((node) => "svg" in node);
  if (!root) return refused("not-a-drawing", { why: "has no svg element" });
  const reader = new Reader();
  const { affine, isSized } = pageOf(attributesOf(root));
  if (!isSized) reader.leave("no-unit");
  const stopped = reader.walk(root.svg as Node[], affine);
  return stopped ?? { ok: true, value: { curves: reader.curves, leftOut: reader.leftOut() } };
}

/** What could do harm is refused before the text is parsed: nothing of it is needed for an outline. */
function dangerIn(text: string): ReturnType<typeof refused> | null {
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) return refused("drawing-has-entities");
  if (/<\s*(?:\w+:)?script|\son\w+\s*=|javascript:/i.test(text)) return refused("drawing-has-script");
  if (/(?:href|src)\s*=\s*["']\s*(?!#|data:image\/)[^"'\s]/i.test(text) || /@import|url\(\s*["']?\s*(?!#|["'])/i.test(text))
    return refused("drawing-reaches-outside");
  let [depth, elements] = [0, 0];
  for (const { 0: tag } of text.matchAll(/<[^!?][^>]*>/g)) {
    if (tag.startsWith("</")) depth--;
    else {
      elements++;
      if (!tag.endsWith("/>")) depth++;
    }
    if (depth > DEEPEST) return refused("drawing-too-deep", { limit: DEEPEST });
    if (elements > MOST_ELEMENTS) return refused("drawing-too-many-points", { limit: MOST_ELEMENTS, got: elements });
  }
  return null;
}

type Attributes = Readonly<Record<string, string | undefined>>;

function attributesOf(node: Node): Attributes {
  return (node[":@"] ?? {}) as Attributes;
}

/** From the drawing's own units to mm with y up; sized where it gives a width or height in a unit of length. */
function pageOf({ width, height, viewBox }: Attributes): { affine: Affine; isSized: boolean } {
  const box = (viewBox ?? "")
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const hasBox = box.length === 4 && box.every(Number.isFinite) && box[2]! > 0 && box[3]! > 0;
  const [wide, tall] = [sizeOf(width), sizeOf(height)];
  const sized = wide ?? tall;
  const perUnit = !hasBox ? PIXEL : wide ? wide.mm / box[2]! : tall ? tall.mm / box[3]! : PIXEL;
  return { affine: [perUnit, 0, 0, -perUnit, 0, 0], isSized: sized?.isLength ?? false };
}

function sizeOf(text: string | undefined): { mm: number; isLength: boolean } | null {
  const read = /^\s*([\d.]+(?:e[+-]?\d+)?)\s*([a-zA-Z]*)\s*$/.exec(text ?? "");
  if (!read) return null;
  const unit = read[2]!.toLowerCase();
  const mm = MM_A_UNIT[unit === "" ? "px" : unit];
  return mm === undefined || !(Number(read[1]) > 0) ? null : { mm: Number(read[1]) * mm, isLength: unit !== "" && unit !== "px" };
}

/** What is drawn elsewhere, or by reference, is not drawn where it stands. */
const NOT_DRAWN = new Set([
  "defs",
  "symbol",
  "clipPath",
  "mask",
  "pattern",
  "marker",
  "metadata",
  "title",
  "desc",
  "style",
  "filter",
  "linearGradient",
  "radialGradient",
]);

class Reader {
  readonly curves: DrawnCurve[] = [];
  private readonly left = new Map<LeftOut["code"], number>();
  private points = 0;

  leave(code: LeftOut["code"], count = 1): void {
    if (count > 0) this.left.set(code, (this.left.get(code) ?? 0) + count);
  }

  leftOut(): LeftOut[] {
    return [...this.left].map(([code, count]) => ({ code, count }));
  }

  walk(nodes: readonly Node[], affine: Affine): ReturnType<typeof refused> | null {
    for (const node of nodes) {
      const name = Object.keys(node).find((key) => key !== ":@");
      if (!name || name.startsWith("#") || NOT_DRAWN.has(name)) continue;
      const given = attributesOf(node);
      const now = then(affine, transformOf(given.transform ?? ""));
      const stopped = name === "g" || name === "svg" || name === "a" ? this.walk(node[name] as Node[], now) : this.draw(name, given, now);
      if (stopped) return stopped;
    }
    return null;
  }

  private draw(name: string, given: Attributes, affine: Affine): ReturnType<typeof refused> | null {
    const n = (key: string) => Number.parseFloat(given[key] ?? "0") || 0;
    if (name === "circle" || name === "ellipse")
      this.ellipse(affine, name === "circle" ? n("r") : n("rx"), name === "circle" ? n("r") : n("ry"));
    else if (name === "rect") this.rectangle(affine, n("x"), n("y"), n("width"), n("height"), given.rx ?? given.ry, given.ry ?? given.rx);
    else if (name === "polygon" || name === "polyline") this.polygon(affine, given.points ?? "", name === "polygon");
    else if (name === "path") return this.path(affine, given.d ?? "");
    else if (name === "line") this.leave("open");
    else if (name === "text") this.leave("text");
    else if (name === "image") this.leave("picture");
    else if (name === "use") this.leave("block");
    else this.leave("unknown");
    return null;
  }

  private ellipse(affine: Affine, rx: number, ry: number): void {
    const { long, short } = axesOf(scaledBy(affine, rx, ry));
    if (short > 0) this.curves.push({ kind: "ellipse", along: 2 * long, across: 2 * short });
  }

  /** Exact where its transform only turns, moves and scales it evenly; else its four sides. */
  private rectangle(affine: Affine, x: number, y: number, width: number, height: number, rx = "0", ry = "0"): void {
    if (!(width > 0 && height > 0)) return;
    const { long, short } = axesOf(affine);
    const [cornerX, cornerY] = [Number.parseFloat(rx) || 0, Number.parseFloat(ry) || 0];
    if (long - short < 1e-9 * long && Math.abs(cornerX - cornerY) < 1e-9) {
      const corner = Math.min(cornerX, width / 2, height / 2);
      this.curves.push({ kind: "rectangle", along: width * long, across: height * long, corner: corner * long });
      return;
    }
    const [a, b] = [Math.min(cornerX, width / 2), Math.min(cornerY, height / 2)];
    const d =
      a > 0 && b > 0
        ? `M${x + a} ${y}h${width - 2 * a}a${a} ${b} 0 0 1 ${a} ${b}v${height - 2 * b}a${a} ${b} 0 0 1 ${-a} ${b}h${2 * a - width}a${a} ${b} 0 0 1 ${-a} ${-b}v${2 * b - height}a${a} ${b} 0 0 1 ${a} ${-b}z`
        : `M${x} ${y}h${width}v${height}h${-width}z`;
    this.path(affine, d);
  }

  private polygon(affine: Affine, text: string, isClosed: boolean): void {
    const numbers = text
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const points: Point[] = [];
    for (let i = 0; i + 1 < numbers.length; i += 2) points.push(placed(affine, [numbers[i]!, numbers[i + 1]!]));
    const closes = points.length > 2 && Math.hypot(points[0]![0] - points.at(-1)![0], points[0]![1] - points.at(-1)![1]) < 1e-6;
    if (!isClosed && !closes) return this.leave("open");
    if (points.length < 3 || points.some(([x, y]) => !Number.isFinite(x + y))) return this.leave("unknown");
    this.curves.push(closedCurve(points.map((point, i): DrawnRun => lineRun(point, points[(i + 1) % points.length]!))));
  }

  private path(affine: Affine, d: string): ReturnType<typeof refused> | null {
    const read = pathCurves(d, affine);
    if (!read.ok) return read;
    this.points += read.value.points;
    if (this.points > MOST_POINTS) return refused("drawing-too-many-points", { limit: MOST_POINTS, got: this.points });
    this.curves.push(...read.value.curves);
    this.leave("open", read.value.open);
    return null;
  }
}

/** Points that all paths together are drawn by. */
const MOST_POINTS = 400_000;
