import { DxfWriter, LWPolylineFlags, Units, point2d, point3d } from "@tarikjabiri/dxf";
import { type Curve, flattened, pointOn } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { type LineKind, type Template } from "./sheet";

/** Chords lie this close to a free curve (mm): its length is right to a thousandth of a mm. */
const CLOSE = 2e-4;
const LAYERS: Readonly<Record<LineKind, { readonly name: string; readonly colour: number }>> = {
  cut: { name: "CUT", colour: 7 },
  edge: { name: "EDGE", colour: 5 },
  mark: { name: "MARK", colour: 8 },
};

interface Vertex {
  readonly at: Point;
  /** Of the arc to the next vertex: the tangent of a quarter of its turn. */
  readonly bulge: number;
}

/** A curve's vertices: an arc is one with a bulge, a free curve many. */
function verticesOf({ from, strokes }: Curve): Vertex[] {
  const vertices: Vertex[] = [];
  let before = from;
  for (const stroke of strokes) {
    if (stroke.kind === "arc") vertices.push({ at: before, bulge: Math.tan(stroke.sweep / 4) });
    else if (stroke.kind === "line") vertices.push({ at: before, bulge: 0 });
    else
      vertices.push(
        ...flattened({ from: before, strokes: [stroke] }, CLOSE)
          .slice(0, -1)
          .map((at) => ({ at, bulge: 0 })),
      );
    before = pointOn(before, stroke, 1);
  }
  return [...vertices, { at: before, bulge: 0 }];
}

/** The circle that a curve is, or null. */
function circleOf({ strokes }: Curve): { readonly x: number; readonly y: number; readonly radius: number } | null {
  const [first] = strokes;
  if (first?.kind !== "arc") return null;
  const isOne = strokes.every((each) => each.kind === "arc" && each.x === first.x && each.y === first.y && each.radius === first.radius);
  const turn = strokes.reduce((all, each) => all + (each.kind === "arc" ? each.sweep : 0), 0);
  return isOne && Math.abs(Math.abs(turn) - 2 * Math.PI) < 1e-9 ? first : null;
}

/** A template in millimetres: each loop one closed polyline, its arcs as bulges, or a circle. */
export function templateDxf({ lines, labels, title, box }: Template): string {
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  for (const { name, colour } of Object.values(LAYERS)) writer.addLayer(name, colour, "Continuous");
  for (const { curve, isClosed, kind } of lines) {
    const layerName = LAYERS[kind].name;
    const circle = isClosed ? circleOf(curve) : null;
    if (circle) {
      writer.addCircle(point3d(circle.x, circle.y), circle.radius, { layerName });
      continue;
    }
    const vertices = verticesOf(curve);
    const [first, last] = [vertices[0]!.at, vertices.at(-1)!.at];
    const isBack = Math.hypot(first[0] - last[0], first[1] - last[1]) < 1e-6;
    const kept = isClosed && isBack ? vertices.slice(0, -1) : vertices;
    writer.addLWPolyline(
      kept.map(({ at, bulge }) => ({ point: point2d(...at), bulge })),
      { layerName, flags: isClosed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
    );
  }
  for (const { at, text, size } of labels) writer.addText(point3d(...at), size, text, { layerName: LAYERS.mark.name });
  writer.addText(point3d(box.left, box.low - TITLE_UNDER), TITLE_SIZE, title, { layerName: LAYERS.mark.name });
  return writer.stringify();
}

const TITLE_UNDER = 7;
const TITLE_SIZE = 2.4;
