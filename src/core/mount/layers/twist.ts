import { single } from "../../measure/figure";
import { finding } from "../../measure/finding";
import { cutToLength, roundWire } from "../../metal/cut";
import { type DrawnLayer, type Layer, type LayerKind, type MadeFrom } from "./layer";
import { type Point } from "../../geometry/outline";
import { type MiddleLine, pointsAlong } from "./line";
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

/** How long each of two wires is for so much of a twist: L sqrt(1 + (pi d n)^2), n turns a mm. */
export function lengthOfTwist(length: number, wire: number, turns: number): number {
  return length * Math.hypot(1, Math.PI * wire * turns);
}

/** Two wires twisted: each is longer than the twist by sqrt(1 + (pi d n)^2). */
export const twist: LayerKind = {
  plan: (asked) => {
    const { mount, layer } = asked;
    const { wire, turns } = twistOf(layer);
    const longer = lengthOfTwist(1, wire, turns);
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
      }),
      findings:
        Math.abs(off) > OFF * layer.width
          ? [finding("ornament.twist-width", "warning", id, { width: layer.width, wire, stands: 2 * wire }, mount)]
          : [],
      cuts: (cutLength) => [
        { ...cutToLength({ part: id, mount, metal: layer.metal }, roundWire(wire), `${id}.wire`, cutLength * longer), count: 2 },
      ],
      made: [
        ornamentStep(mount, layer.id, "ornament.twist", {
          target: `${id}.wire`,
          cautions: ["torch", "hotMetal"],
          values: { layer: id, wire, turns: 10 * turns },
        }),
      ],
      drawn: (line) => ({
        strandWidth: wire,
        strands: laidOver(line, wire, turns),
        onRule: { balls: [], turns },
      }),
    });
  },
  faults: ({ type, from }) => (from && !("wire" in from) ? [{ field: "from/strip", code: "not-of-ornament", values: { got: type } }] : []),
};

/** Runs of both wires by halves of a turn: each is half a wire to one side and the other. */
function laidOver(line: MiddleLine, wire: number, turns: number): NonNullable<DrawnLayer["strands"]> {
  const fine = Math.max(1 / (turns * FINE), LEAST_FINE);
  const runs = line.pieces.flatMap((piece) => {
    const steps = Math.max(2, Math.ceil(piece.length / fine));
    return [0, Math.PI].flatMap((phase) => {
      const angle = (s: number) => 2 * Math.PI * turns * s + phase;
      const points = pointsAlong(line, piece, (s) => (wire / 2) * Math.sin(angle(s)), fine);
      return halves(points, (i) => Math.cos(angle((piece.length * i) / steps)) > 0);
    });
  });
  const some = (over: boolean) => runs.filter(({ isOver }) => isOver === over).map(({ points }) => points);
  return { under: some(false), over: some(true) };
}

const LEAST_FINE = 0.05;

/** A line cut where it passes from under to over or back; each run reaches to the start of the next. */
function halves(points: readonly Point[], isOver: (i: number) => boolean): { points: Point[]; isOver: boolean }[] {
  const runs: { points: Point[]; isOver: boolean }[] = [];
  points.forEach((point, i) => {
    const last = runs.at(-1);
    if (last?.isOver === isOver(i)) last.points.push(point);
    else {
      last?.points.push(point);
      runs.push({ points: [point], isOver: isOver(i) });
    }
  });
  return runs;
}
