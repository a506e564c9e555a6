import { NOTHING, type WorkedJoint } from "../../joint/contribution";
import { type Step, type StepCode, step } from "../../making/step";
import { layPieces } from "../../measure/blank";
import { type Figures, type Sourced, type Term, single, sum, taken, term } from "../../measure/figure";
import { type Finding, finding } from "../../measure/finding";
import { type Cut, type CutStock, cutToLength } from "../../metal/cut";
import { massOf } from "../../metal/metals";
import { straightestPlace } from "../seam";
import { type DrawnLayer, type LayerAsked, type LayerPlan } from "./layer";
import { type MiddleLine, middleLine, pointsAlong } from "./line";

/** What a layer that is bent of wire and cut to length has by its kind. */
export interface Bent {
  /** mm3 of metal in a mm of it. */
  readonly volume: number;
  /** mm across the face that it stands on. */
  readonly contact: number;
  /** mm2 of the faces that meet in its seam. */
  readonly face: number;
  readonly shape: DrawnLayer["cut"]["shape"];
  readonly figures?: (cutLength: number) => Figures;
  /** What is cut for it, where that is not its own wire to its own length. */
  readonly cuts?: (cutLength: number) => readonly Cut[];
  readonly findings?: readonly Finding[];
  /** What is made ready before it is cut. */
  readonly made?: readonly Step[];
  readonly drawn?: (line: MiddleLine) => Partial<Pick<DrawnLayer, "strands" | "strandWidth" | "balls" | "onRule">>;
}

/** Names of a layer's figures, part and joints. */
export function layerKey(mount: string, id: string): string {
  return `${mount}.ornament.${id}`;
}

/** Where a layer starts: the wall, and what lies between it and the layer. */
export function startFigure({ layer, wall }: LayerAsked) {
  const { fit, thickness } = wall;
  const under = layer.start - fit.value - thickness.value;
  return sum("mm", [taken("fit", fit), taken("wall", thickness), ...(under > 0 ? [term("ornament", under, "piece")] : [])]);
}

/** A wire of any kind: cut, bent round the wall, closed where it goes all round, and soldered on. */
export function bentLayer(asked: LayerAsked, bent: Bent): LayerPlan {
  const { mount, outline, layer, onto, losses, taken: avoid } = asked;
  const id = layerKey(mount, layer.id);
  const key = (name: string) => `${id}.${name}`;
  const line = middleLine(outline, layer);
  const nets = line.pieces.map(({ from, to, length }) => netTerms(outline.perimeter, to - from, length, layer.tight));
  const net = sum("mm", addedUp(nets));
  const cuts = nets.map((terms) => sum("mm", [...terms, taken("squaring", losses.squaring), taken("mark", losses.mark)]));
  const cut = sum("mm", [...net.terms, times("squaring", losses.squaring, nets.length), times("mark", losses.mark, nets.length)]);
  const pieceKeys = cuts.length > 1 ? cuts.map((_, i) => key(`piece${i + 1}`)) : [key("cutLength")];
  const mass = massOf(layer.metal, net.value * bent.volume);
  const seamAt = line.isRound ? straightestPlace(outline, avoid) : null;
  const before: Step[] = [...(bent.made ?? []), ...cutting(asked, line, key), ...closing(asked, line)];
  const seam: WorkedJoint[] = line.isRound
    ? [
        {
          id: key("seam"),
          kind: "seam",
          mount,
          parts: [id],
          length: layer.height,
          area: bent.face,
          place: String(seamAt),
          after: [],
          follows: [],
          work: { before, lookedFor: ["joint.bright", "joint.noGap"], cautions: ["charcoal"], after: fitting(asked) },
        },
      ]
    : [];
  const lead = losses.squaring.value / 2;
  return {
    ...NOTHING,
    figures: {
      [key("start")]: startFigure(asked),
      [key("netLength")]: net,
      [key("cutLength")]: cut,
      ...(cuts.length > 1 && Object.fromEntries(cuts.map((each, i) => [key(`piece${i + 1}`), each]))),
      ...(seamAt !== null && { [key("seamAt")]: single("ratio", seamAt, "seam.straightest") }),
      [key("mass")]: single("g", mass, "density"),
      ...bent.figures?.(cut.value),
    },
    findings: [...(bent.findings ?? []), ...shortFindings(asked, line, losses)],
    parts: [{ id, kind: layer.type, mount, metal: layer.metal, mass, thickness: Math.min(layer.width, layer.height) }],
    joints: [
      ...seam,
      {
        id,
        kind: "ornament",
        mount,
        parts: [id, onto],
        length: net.value,
        area: net.value * bent.contact,
        place: line.isRound ? "round" : "stretches",
        after: seam.map((each) => each.id),
        follows: [key("netLength")],
        stretches: line.pieces.map((piece) => piece.length),
        work: {
          before: line.isRound ? [] : before,
          lookedFor: line.isRound ? ["joint.allRound", "joint.noGap"] : ["joint.bright", "joint.noGap"],
          after: [],
          afterAll: asked.finishing,
        },
      },
    ],
    cuts:
      bent.cuts?.(cut.value) ??
      cuts.map((each, i) => cutToLength({ part: id, mount, metal: layer.metal }, wireOf(layer), pieceKeys[i]!, each.value)),
    made: { [id]: { flat: before, formed: before } },
    laid: {
      [id]: layPieces(
        nets.map((terms) => terms.reduce((all, { value }) => all + value, 0)),
        lead,
        losses.squaring.value - lead + losses.mark.value,
        line.isRound ? "seam" : "start",
      ),
    },
    drawn: {
      ...drawnLayer(asked, line),
      cut: { start: layer.start, height: layer.height, shape: bent.shape },
      ...bent.drawn?.(line),
    },
  };
}

function wireOf({ section, width, height }: LayerAsked["layer"]): CutStock {
  return { form: "wire", section, width, thickness: height };
}

/** What of a layer is drawn alike, whatever it is made of. */
export function drawnLayer({ mount, layer }: LayerAsked, line: MiddleLine): Omit<DrawnLayer, "cut"> {
  const key = (name: string) => `${layerKey(mount, layer.id)}.${name}`;
  return {
    ...{ id: layer.id, part: layerKey(mount, layer.id), type: layer.type, width: layer.width },
    extent: layer.extent,
    made: { pieces: line.pieces.length > 1 ? line.pieces.map((_, i) => key(`piece${i + 1}`)) : [key("cutLength")], counted: null },
    middles: line.pieces.map((piece) => pointsAlong(line, piece)),
    ...{ strands: null, strandWidth: 0, balls: [], onRule: { balls: [], turns: 0 } },
    ends: line.isRound
      ? []
      : line.pieces.map(({ along, length }) => ({ from: line.track.pointAt(along), to: line.track.pointAt(along + length) })),
  };
}

function netTerms(perimeter: number, share: number, length: number, tight: number): Term[] {
  return [
    term("outline", share * perimeter, "stone", "perimeter"),
    term("ornament", length - share * perimeter, "formula", "middle"),
    ...(tight > 0 ? [term("tight", -tight, "piece")] : []),
  ];
}

/** Terms of several pieces, added up by their labels. */
function addedUp(pieces: readonly (readonly Term[])[]): Term[] {
  const [first, ...others] = pieces as [readonly Term[], ...(readonly Term[])[]];
  return first.map((each, i) => ({ ...each, value: others.reduce((all, terms) => all + terms[i]!.value, each.value) }));
}

function times(label: "squaring" | "mark", { value, from }: Sourced<number>, count: number): Term {
  return term(label, count * value, from);
}

function cutting({ mount, layer }: LayerAsked, line: MiddleLine, key: (name: string) => string): Step[] {
  const pieces = line.pieces.length > 1 ? line.pieces.map((_, i) => key(`piece${i + 1}`)) : [];
  return [
    ornamentStep(mount, layer.id, "ornament.cut", {
      target: key("cutLength"),
      checks: ["ends.square", "ends.noBurr"],
      cautions: ["saw"],
      values: { layer: layerKey(mount, layer.id), pieces },
    }),
  ];
}

/** It is bent before it is closed, or before it is laid on. */
function closing({ mount, layer, wall }: LayerAsked, line: MiddleLine): Step[] {
  return [
    ornamentStep(mount, layer.id, "ornament.bend", {
      works: [wall.part],
      checks: line.isRound ? ["ends.noLight"] : ["ornament.touches"],
      values: { layer: layerKey(mount, layer.id), round: line.isRound ? 1 : 0 },
    }),
  ];
}

function fitting({ mount, layer, wall }: LayerAsked): Step[] {
  return [
    ornamentStep(mount, layer.id, layer.tight > 0 ? "ornament.file" : "ornament.try", {
      works: [wall.part],
      checks: ["ornament.touches"],
      values: { layer: layerKey(mount, layer.id) },
    }),
  ];
}

/** A step of one layer: part of the plate's work. */
export function ornamentStep(mount: string, layer: string, code: StepCode, details: Parameters<typeof step>[2]): Step {
  return step(layerKey(mount, layer), code, details);
}

function shortFindings({ mount, layer }: LayerAsked, line: MiddleLine, { squaring, mark }: LayerAsked["losses"]): Finding[] {
  const lost = squaring.value + mark.value;
  const shortest = Math.min(...line.pieces.map(({ length }) => length - layer.tight));
  return shortest < lost ? [finding("ornament.too-short", "error", layerKey(mount, layer.id), { length: shortest, lost }, mount)] : [];
}
