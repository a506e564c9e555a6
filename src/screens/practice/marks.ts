import { type FluxStage } from "@/core/practice/flux";
import { type PractisedHeat } from "@/core/practice/heat";
import { partNow } from "@/core/practice/play";
import { type Names } from "@/words/names";
import { FLUX_NAMES } from "@/words/practice";
import { practiceText } from "@/words/screens/practice";
import { type Units, showTemperature } from "@/words/show";
import { type View, along } from "./draw";
import { type FieldLines, isOnPlate } from "./field";
import { type HeatColours } from "./palette";

// What stands in words beside a heat: numbers on its lines, how hot its joints and parts are, how its flux looks.

interface Marked {
  readonly heat: PractisedHeat;
  readonly view: View;
  readonly colours: HeatColours;
  readonly names: Names;
  readonly units: Units;
  readonly width: number;
  readonly height: number;
  readonly split: number;
}

/** Pixels between two labels in a column, beside the body, and from the edge. */
const APART = 42;
const ASIDE = 34;
const EDGE = 12;
/** Pixels that a column of labels needs. */
const LEAST_COLUMN = 150;
const MOST_JOINTS = 5;

/** A label in a column, and the place that its line leads to. */
interface Label {
  readonly text: string;
  readonly strong: string;
  readonly x: number;
  readonly y: number;
}

/** The lines of equal temperature over each plate, with their numbers, right of the split. */
export function markIsotherms(canvas: CanvasRenderingContext2D, found: readonly FieldLines[], marked: Marked): void {
  const { view, colours, split, width, height } = marked;
  canvas.font = `700 14px ${colours.font}`;
  canvas.textAlign = "center";
  for (const { field, lines: all } of found) {
    canvas.save();
    along(canvas, field.grid.outline, view);
    canvas.closePath();
    canvas.clip();
    canvas.beginPath();
    canvas.rect(split, 0, width - split, height);
    canvas.clip();
    canvas.strokeStyle = colours.ink;
    canvas.lineWidth = 1.4;
    for (const each of all.flatMap(({ lines }) => lines)) {
      along(canvas, each, view);
      canvas.stroke();
    }
    canvas.restore();
    for (const { degrees, lines } of all) {
      const seen = lines
        .flat()
        .filter((point) => isOnPlate(field, point))
        .map(([px, py]) => [view.x + px * view.perMm, view.y - py * view.perMm] as const);
      const right = seen.filter(([px]) => px > split + ASIDE);
      const spot = right[Math.floor(right.length / 2)];
      if (spot) outlined(canvas, String(degrees), spot[0], spot[1] + 5, colours);
    }
  }
  canvas.textAlign = "left";
}

/** How hot each joint is at its coolest place where it is made now, at its hottest where it was made before; right of the body. */
export function markJoints(canvas: CanvasRenderingContext2D, { heat, view, colours, names, units, width, height }: Marked): void {
  const { body } = heat;
  const from = view.x + body.half[0] * view.perMm + ASIDE;
  if (width - from < LEAST_COLUMN) return;
  const labels = body.joints.slice(0, MOST_JOINTS).map((joint): Label => {
    let [found, degrees] = [0, joint.isWanted ? Infinity : -Infinity];
    joint.places.forEach((_, p) => {
      const now = joint.isWanted ? heat.coolestAt(joint, p) : heat.hottestAt(joint, p);
      if (joint.isWanted ? now < degrees : now > degrees) [found, degrees] = [p, now];
    });
    const bit = joint.places[found]!.sides[0]!;
    const shown = showTemperature(degrees, units);
    return {
      strong: practiceText.partAt(names.joint(joint.id), `${shown}°`),
      text: joint.isWanted
        ? practiceText.runsAt(showTemperature(joint.runs, units))
        : practiceText.softensAt(showTemperature(joint.softens, units)),
      x: view.x + body.x[bit]! * view.perMm,
      y: view.y - body.y[bit]! * view.perMm,
    };
  });
  column(canvas, labels, { at: from, isLeft: false, height, colours });
}

/** How the flux of this heat's joints looks, left of the body: one place for each stage it is in. */
export function markFlux(canvas: CanvasRenderingContext2D, { heat, view, colours, height, split }: Marked): void {
  const { body } = heat;
  const to = view.x - body.half[0] * view.perMm - ASIDE;
  if (to < LEAST_COLUMN || split < to) return;
  const found = new Map<FluxStage, Label>();
  body.joints.forEach((joint, j) => {
    if (!joint.isWanted) return;
    joint.places.forEach(({ sides }, p) => {
      const stage = heat.fluxAt(j, p);
      if (stage === null || stage === "none") return;
      const x = view.x + body.x[sides[0]!]! * view.perMm;
      const y = view.y - body.y[sides[0]!]! * view.perMm;
      const known = found.get(stage);
      if (!known || x < known.x) found.set(stage, { text: "", strong: practiceText.fluxIs(FLUX_NAMES[stage]), x, y });
    });
  });
  column(canvas, [...found.values()], { at: to, isLeft: true, height, colours });
}

/** How hot each part is, all of it together, in the corner at the right: where there is no room beside the body. */
export function markParts(canvas: CanvasRenderingContext2D, { heat, view, colours, names, units, width }: Marked): void {
  const { body } = heat;
  if (width - (view.x + body.half[0] * view.perMm + ASIDE) >= LEAST_COLUMN) return;
  canvas.font = `600 15px ${colours.font}`;
  canvas.textAlign = "right";
  body.parts.forEach(({ id }, p) => {
    const text = practiceText.partAt(names.part(id), `${showTemperature(partNow(heat, p).mean, units)}°`);
    outlined(canvas, text, width - EDGE, 2 * EDGE + p * LINE, colours);
  });
  canvas.textAlign = "left";
}

interface Column {
  readonly at: number;
  readonly isLeft: boolean;
  readonly height: number;
  readonly colours: HeatColours;
}

/** Labels one under the other, each with a line to its place. */
function column(canvas: CanvasRenderingContext2D, labels: readonly Label[], { at, isLeft, height, colours }: Column): void {
  const sorted = [...labels].sort((a, b) => a.y - b.y);
  const rows: number[] = [];
  for (const { y } of sorted) rows.push(Math.max(y, (rows.at(-1) ?? -Infinity) + APART, 2 * EDGE));
  const over = Math.max(0, (rows.at(-1) ?? 0) - (height - 2 * EDGE));
  sorted.forEach(({ text, strong, x, y }, i) => {
    const row = rows[i]! - over;
    canvas.strokeStyle = colours.soft;
    canvas.lineWidth = 1;
    canvas.beginPath();
    canvas.moveTo(at, row);
    canvas.lineTo(x, y);
    canvas.stroke();
    canvas.fillStyle = colours.soft;
    canvas.beginPath();
    canvas.arc(x, y, 2.5, 0, 2 * Math.PI);
    canvas.fill();
    canvas.textAlign = isLeft ? "right" : "left";
    const beside = at + (isLeft ? -6 : 6);
    canvas.font = `700 15px ${colours.font}`;
    outlined(canvas, strong, beside, row, colours);
    canvas.font = `500 14px ${colours.font}`;
    outlined(canvas, text, beside, row + LINE, colours);
  });
  canvas.textAlign = "left";
}

/** Pixels from one line of a label to the next. */
const LINE = 17;

function outlined(canvas: CanvasRenderingContext2D, text: string, x: number, y: number, { ground, ink }: HeatColours): void {
  canvas.strokeStyle = ground;
  canvas.lineWidth = 4;
  canvas.lineJoin = "round";
  canvas.strokeText(text, x, y);
  canvas.fillStyle = ink;
  canvas.fillText(text, x, y);
}
