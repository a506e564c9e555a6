import { single } from "../../measure/figure";
import { finding } from "../../measure/finding";
import { type Layer, type LayerKind, type MadeFrom } from "./layer";
import { pointsAlong } from "./line";
import { bentLayer, layerKey, ornamentStep } from "./wire-work";

/** Turns in a mm of a twist whose wires nobody counted, times the wire. */
const USUAL_TURNS = 1 / 6;
/** A twist is off its wires by more than this share of their width before it is said. */
const OFF = 0.05;
/** Points to a turn, for drawing. */
const FINE = 12;

/** The wire each of the two is, and turns a mm. */
export function twistOf({ width, from }: Pick<Layer, "width" | "from">): { readonly wire: number; readonly turns: number } {
  const asked: Partial<Extract<MadeFrom, { wire: number }>> = from && "wire" in from ? from : {};
  const wire = asked.wire ?? width / 2;
  return { wire, turns: asked.turns === undefined ? USUAL_TURNS / wire : asked.turns / 10 };
}

/** Two wires twisted: each is longer than the twist by sqrt(1 + (pi d n)^2). */
export const twist: LayerKind = {
  plan: (asked) => {
    const { mount, layer } = asked;
    const { wire, turns } = twistOf(layer);
    const longer = Math.hypot(1, Math.PI * wire * turns);
    const section = (Math.PI * wire * wire) / 4;
    const id = layerKey(mount, layer.id);
    const off = layer.width - 2 * wire;
    return bentLayer(asked, {
      volume: 2 * section * longer,
      contact: layer.width / 2,
      face: 2 * section,
      shape: "round",
      figures: (cutLength) => ({
        [`${id}.wire`]: single("mm", cutLength * longer, "twist.wire"),
        [`${id}.turns`]: single("count", cutLength * turns, "twist.turns"),
      }),
      findings:
        Math.abs(off) > OFF * layer.width
          ? [finding("ornament.twist-width", "warning", id, { width: layer.width, wire, stands: 2 * wire }, mount)]
          : [],
      made: [
        ornamentStep(mount, layer.id, "ornament.twist", {
          target: `${id}.wire`,
          cautions: ["torch", "hotMetal"],
          values: { layer: id, wire, turns: 10 * turns },
        }),
      ],
      drawn: (line) => ({
        strandWidth: wire,
        strands: line.pieces.flatMap((piece) =>
          [0, Math.PI].map((phase) =>
            pointsAlong(line, piece, (s) => (wire / 2) * Math.sin(2 * Math.PI * turns * s + phase), Math.max(1 / (turns * FINE), 0.05)),
          ),
        ),
      }),
    });
  },
  faults: ({ type, from }) => (from && !("wire" in from) ? [{ field: "from/strip", code: "not-of-ornament", values: { got: type } }] : []),
};
