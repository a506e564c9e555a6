import { type SVGCommand, SVGPathData, SVGPathDataTransformer } from "svg-pathdata";
import { type Point } from "@/core/geometry/outline";
import { type DrawnCurve } from "@/core/trace/drawn";
import { type Outcome, refused } from "@/core/trace/refusal";
import { type Affine, axesOf, placed, scaledBy } from "./affine";
import { type DrawnRun, arcRun, closedCurve, cubicRun, far, lineRun } from "./runs";

/** A path's text is no longer. */
const MOST_COMMANDS = 50_000;

/** The closed curves of a path's data under a map, how many of its parts are open, and by how many points it is drawn. */
export function pathCurves(d: string, affine: Affine): Outcome<{ curves: DrawnCurve[]; open: number; points: number }> {
  let commands: readonly SVGCommand[];
  try {
    commands = SVGPathData.parse(d);
  } catch (error) {
    return refused("not-a-drawing", { why: error instanceof Error ? error.message.slice(0, 120) : "its path cannot be read" });
  }
  if (commands.length > MOST_COMMANDS) return refused("drawing-too-many-points", { limit: MOST_COMMANDS, got: commands.length });
  const { TO_ABS, NORMALIZE_HVZ, NORMALIZE_ST, QT_TO_C, ANNOTATE_ARCS } = SVGPathDataTransformer;
  const plain = new SVGPathData([...commands]);
  for (const each of [TO_ABS(), NORMALIZE_HVZ(false), NORMALIZE_ST(), QT_TO_C(), ANNOTATE_ARCS()]) plain.transform(each);
  const parts = new Parts(affine);
  for (const command of plain.commands) parts.take(command);
  parts.end();
  return { ok: true, value: parts };
}

interface ArcPiece {
  readonly centre: Point;
  readonly rx: number;
  readonly ry: number;
  readonly turn: number;
  readonly sweep: number;
}

class Parts {
  readonly curves: DrawnCurve[] = [];
  open = 0;
  points = 0;
  private runs: DrawnRun[] = [];
  private arcs: ArcPiece[] = [];
  private start: Point = [0, 0];
  private at: Point = [0, 0];

  constructor(private readonly affine: Affine) {}

  take(command: SVGCommand): void {
    switch (command.type) {
      case SVGPathData.MOVE_TO:
        this.end();
        this.start = this.at = [command.x, command.y];
        return;
      case SVGPathData.CLOSE_PATH:
        this.close();
        return;
      case SVGPathData.LINE_TO:
        this.add(lineRun(this.placed(this.at), this.placed([command.x, command.y])), [command.x, command.y]);
        return;
      case SVGPathData.CURVE_TO: {
        const { x1, y1, x2, y2, x, y } = command;
        this.add(cubicRun([this.placed(this.at), this.placed([x1, y1]), this.placed([x2, y2]), this.placed([x, y])]), [x, y]);
        return;
      }
      case SVGPathData.ARC: {
        const { cX, cY, phi1, phi2, rX, rY, xRot, x, y } = command;
        if (cX === undefined || cY === undefined || phi1 === undefined || phi2 === undefined || !(rX > 0 && rY > 0))
          return this.add(lineRun(this.placed(this.at), this.placed([x, y])), [x, y]);
        const turn = (xRot * Math.PI) / 180;
        const [from, sweep] = [(phi1 * Math.PI) / 180, ((phi2 - phi1) * Math.PI) / 180];
        this.arcs.push({ centre: [cX, cY], rx: rX, ry: rY, turn, sweep });
        this.add(arcRun(this.placed([cX, cY]), this.unitAxes(rX, rY, turn), from, sweep), [x, y]);
        return;
      }
    }
  }

  /** The part before a new one begins: closed where it comes back to its start. */
  end(): void {
    if (this.runs.length === 0) return;
    if (far(this.at, this.start) < 1e-6 * (1 + Math.abs(this.start[0]) + Math.abs(this.start[1]))) this.close();
    else {
      this.open++;
      this.clear();
    }
  }

  private close(): void {
    if (this.runs.length > 0) {
      if (far(this.at, this.start) > 1e-9) this.add(lineRun(this.placed(this.at), this.placed(this.start)), this.start);
      this.curves.push(this.asEllipse() ?? closedCurve(this.runs));
    }
    this.clear();
    this.at = this.start;
  }

  /** Arcs alone, of one ellipse, all the way round. */
  private asEllipse(): DrawnCurve | null {
    const [first] = this.arcs;
    if (!first || this.arcs.length !== this.runs.filter(({ points }) => far(points[0]!, points.at(-1)!) > 1e-9).length) return null;
    const size = first.rx + first.ry;
    const isOne = this.arcs.every(
      (arc) =>
        far(arc.centre, first.centre) < 1e-6 * size &&
        Math.abs(arc.rx - first.rx) + Math.abs(arc.ry - first.ry) < 1e-6 * size &&
        Math.abs(arc.turn - first.turn) < 1e-9,
    );
    const swept = Math.abs(this.arcs.reduce((sum, { sweep }) => sum + sweep, 0));
    if (!isOne || Math.abs(swept - 2 * Math.PI) > 1e-4) return null;
    const [a, b, c, d] = this.unitAxes(first.rx, first.ry, first.turn);
    const { long, short } = axesOf([a, b, c, d, 0, 0]);
    return { kind: "ellipse", along: 2 * long, across: 2 * short };
  }

  private unitAxes(rx: number, ry: number, turn: number): readonly [number, number, number, number] {
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const [a, b, c, d] = scaledBy(
      [
        this.affine[0] * cos + this.affine[2] * sin,
        this.affine[1] * cos + this.affine[3] * sin,
        this.affine[2] * cos - this.affine[0] * sin,
        this.affine[3] * cos - this.affine[1] * sin,
        0,
        0,
      ],
      rx,
      ry,
    );
    return [a, b, c, d];
  }

  private add(run: DrawnRun, to: Point): void {
    this.runs.push(run);
    this.points += run.points.length;
    this.at = to;
  }

  private clear(): void {
    this.runs = [];
    this.arcs = [];
  }

  private placed(point: Point): Point {
    return placed(this.affine, point);
  }
}
