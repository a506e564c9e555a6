import { NOTHING } from "../../joint/contribution";
import { type Figures, type FormulaCode, single, sum, term } from "../../measure/figure";
import { type Finding, finding } from "../../measure/finding";
import { layPieces } from "../../measure/blank";
import { type CutStock, cutToLength, roundWire } from "../../metal/cut";
import { METALS, massOf } from "../../metal/metals";
import { closingWidth, rowAlong, rowRound, smallBead } from "./beads";
import { type LayerAsked, type LayerKind, type MadeFrom } from "./layer";
import { middleLine } from "./line";
import { drawnLayer, layerKey, ornamentStep, startFigure } from "./wire-work";

/** A ball is off its notches by more than this share before it is said. */
const OFF = 0.02;

/** Beads that touch, each melted from a snippet of wire or strip: a ball of diameter D from wire d is 2 D^3 / (3 d^2) of it, from strip t by H pi D^3 / (6 t H). */
export const granules: LayerKind = {
  plan: (asked) => {
    const { mount, outline, layer, onto } = asked;
    const { width, metal } = layer;
    const id = layerKey(mount, layer.id);
    const key = (name: string) => `${id}.${name}`;
    const line = middleLine(outline, layer);
    const rows = line.isRound
      ? [rowRound(line.track, width)]
      : line.pieces.map(({ along, length }) => rowAlong(line.track, along, length, width));
    const count = rows.reduce((all, { at }) => all + at.length, 0);
    const gap = rows.reduce((all, row) => all + row.gap, 0);
    const closes = line.isRound ? closingWidth(outline, layer.start, count, width) : null;
    const mass = massOf(metal, count * ballOf(width));
    const share = line.pieces.reduce((all, { from, to }) => all + to - from, 0) * outline.perimeter;
    const snippet = snippetOf(madeFrom(layer), width);
    const figures: Figures = {
      [key("start")]: startFigure(asked),
      [key("netLength")]: sum("mm", [
        term("outline", share, "stone", "perimeter"),
        term("ornament", line.length - share, "formula", "middle"),
      ]),
      [key("count")]: single("count", count, "bead.count"),
      [key("gap")]: single("mm", gap, "bead.gap"),
      ...(closes !== null && { [key("closes")]: single("mm", closes, "bead.closes") }),
      [key("snippet")]: single("mm", snippet.length, snippet.formula),
      [key("stock")]: single("mm", count * snippet.length, "bead.stock"),
      [key("mass")]: single("g", mass, "density"),
    };
    const making = count > 0 ? beadSteps(asked, figures, count) : [];
    return {
      ...NOTHING,
      figures,
      findings: [...smallBead(asked), ...findingsOf(asked, rows)],
      parts: count > 0 ? [{ id, kind: layer.type, mount, metal, mass, thickness: width }] : [],
      joints:
        count > 0
          ? [
              {
                id,
                kind: "ornament",
                mount,
                parts: [id, onto],
                length: line.length,
                area: count * contactOf(width),
                place: line.isRound ? "round" : "stretches",
                after: [],
                follows: [key("netLength")],
                stretches: line.pieces.map((piece) => piece.length),
                work: {
                  before: making,
                  lookedFor: ["beads.stand", "joint.bright"],
                  after: [],
                  afterAll: asked.finishing,
                },
              },
            ]
          : [],
      cuts: count > 0 ? [cutToLength({ part: id, mount, metal }, stockOf(madeFrom(layer)), key("stock"), count * snippet.length)] : [],
      made: { [id]: { flat: making, formed: making } },
      laid: {
        [id]: layPieces(
          line.pieces.map(({ length }) => length),
          0,
          0,
          line.isRound ? "bead" : "start",
        ),
      },
      drawn: {
        ...drawnLayer(asked, line),
        made: { pieces: [], counted: key("count") },
        balls: rows.flatMap(({ at }) => at.map((along) => ({ at: line.track.pointAt(along), radius: width / 2 }))),
        onRule: {
          balls: rows.flatMap(({ at }, i) => {
            const start = line.pieces.slice(0, i).reduce((all, { length }) => all + length, line.isRound ? width / 2 : 0);
            return at.map((along) => start + along - line.pieces[i]!.along);
          }),
          turns: 0,
        },
        cut: { start: layer.start, height: width, shape: "round" },
      },
    };
  },
  faults: ({ type, from }) => {
    if (!from) return [];
    if ("wire" in from) return from.turns === undefined ? [] : [{ field: "from/turns", code: "not-of-ornament", values: { got: type } }];
    // A file may name notches of neither.
    if (!("strip" in from)) return [{ field: "from", code: "made-of-nothing", values: {} }];
    const { notches, pitch } = from;
    if ((notches === undefined) === (pitch === undefined)) return [];
    return [{ field: notches === undefined ? "from/notches" : "from/pitch", code: "notch-pair", values: {} }];
  },
};

/** mm3 of a ball. */
function ballOf(width: number): number {
  return (Math.PI / 6) * width ** 3;
}

/** A ball stands on a flat half as wide as itself: mm2 of it. */
function contactOf(width: number): number {
  return (Math.PI * width * width) / 16;
}

/** What of wire or strip melts to one ball: its length in mm. */
export function snippetOf(from: MadeFrom, width: number): { readonly length: number; readonly formula: FormulaCode } {
  if ("wire" in from) return { length: (2 * width ** 3) / (3 * from.wire ** 2), formula: "snippet.wire" };
  const [thickness, height] = from.strip;
  return { length: ballOf(width) / (thickness * height), formula: "snippet.strip" };
}

/** The ball that a snippet melts to, in mm across; by the cube root of its volume. */
export function ballFrom(from: MadeFrom, length: number): number {
  const area = "wire" in from ? (Math.PI * from.wire ** 2) / 4 : from.strip[0] * from.strip[1];
  return Math.cbrt((6 * area * length) / Math.PI);
}

function findingsOf({ mount, layer }: LayerAsked, rows: readonly { readonly at: readonly number[] }[]): Finding[] {
  const at = layerKey(mount, layer.id);
  const { width, metal, from } = layer;
  const findings: Finding[] = [];
  if (rows.some((row) => row.at.length === 0)) findings.push(finding("ornament.no-bead", "error", at, { width }, mount));
  if (METALS[metal].firestains) findings.push(finding("ornament.pits", "note", at, {}, mount));
  if (from && "strip" in from && from.notches !== undefined && from.pitch !== undefined) {
    const ball = ballFrom(from, from.notches * from.pitch);
    if (Math.abs(ball / width - 1) > OFF) {
      findings.push(finding("ornament.notch-ball", "warning", at, { notches: from.notches, ball, width }, mount));
    }
  }
  return findings;
}

/** What a ball of a width is melted from where nobody said: wire half as thick. */
export function usualWire(width: number): { readonly wire: number } {
  return { wire: width / 2 };
}

/** What snippets are cut from. */
function stockOf(from: MadeFrom): CutStock {
  if ("wire" in from) return roundWire(from.wire);
  const [thickness, width] = from.strip;
  return { form: "strip", width, thickness };
}

function madeFrom({ from, width }: LayerAsked["layer"]): MadeFrom {
  return from ?? usualWire(width);
}

function beadSteps({ mount, layer }: LayerAsked, figures: Figures, count: number) {
  const id = layerKey(mount, layer.id);
  const snippet = `${id}.snippet`;
  const from = madeFrom(layer);
  return [
    ornamentStep(mount, layer.id, "ornament.snip", {
      target: figures[snippet] ? snippet : null,
      checks: ["snippets.equal"],
      values: {
        layer: id,
        count,
        ...("wire" in from ? { wire: from.wire } : { thickness: from.strip[0], height: from.strip[1] }),
        ...("notches" in from && from.notches !== undefined && { notches: from.notches }),
        ...(!layer.from && { usual: 1 }),
      },
    }),
    ornamentStep(mount, layer.id, "ornament.melt", {
      cautions: ["torch", "hotMetal", "charcoal"],
      checks: ["beads.round"],
      values: { layer: id, count, width: layer.width },
    }),
  ];
}
