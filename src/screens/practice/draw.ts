import { type Point } from "@/core/geometry/outline";
import { type HeatBody } from "@/core/practice/body";
import { type FluxStage } from "@/core/practice/flux";
import { type PractisedHeat } from "@/core/practice/heat";
import { type TorchMoment } from "@/core/practice/torch";
import { type Field, fieldOf } from "./field";
import { type HeatColours, type Shading, colourOf, glowing, heatShading, placeOn } from "./palette";

/** Where mm lie on the canvas: y is upward in mm. */
export interface View {
  readonly perMm: number;
  readonly x: number;
  readonly y: number;
}

/** mm round the body that a flame can be held over, and the most pixels a mm takes. */
const ROUND = 7;
const MOST_PER_MM = 26;

export function viewOf({ half: [x, y] }: HeatBody, width: number, height: number): View {
  const perMm = Math.min(MOST_PER_MM, width / (2 * (x + ROUND)), height / (2 * (y + ROUND)));
  return { perMm, x: width / 2, y: height / 2 };
}

export interface DrawAsked {
  readonly heat: PractisedHeat;
  readonly torch: TorchMoment;
  /** The careful hand's, where it goes before. */
  readonly ghost: TorchMoment | null;
  readonly view: View;
  readonly width: number;
  readonly height: number;
  /** Pixels from the left up to which it is drawn as it is seen; from there on its heat. */
  readonly split: number;
}

/** Draws a heat frame by frame. What depends on the body alone is made once. */
export class HeatPainter {
  private readonly planes: readonly PlanePicture[];

  constructor(
    private readonly body: HeatBody,
    readonly colours: HeatColours,
    /** Nothing is drawn that moves by itself. */
    private readonly isStill = false,
  ) {
    this.planes = body.parts.flatMap(({ grid }) => (grid ? [new PlanePicture(fieldOf(grid))] : []));
  }

  /** Fields of the plates, for lines of equal temperature. */
  get fields(): readonly Field[] {
    return this.planes.map(({ field }) => field);
  }

  draw(canvas: CanvasRenderingContext2D, asked: DrawAsked): void {
    const { width, height, split, heat, torch, ghost, view } = asked;
    canvas.clearRect(0, 0, width, height);
    if (this.body.support === "mesh") drawMesh(canvas, view, this.colours, width, height);
    within(canvas, 0, split, height, () => this.drawMetal(canvas, asked, glowing(this.colours), true));
    if (split < width) {
      const [least, most] = extremes(heat.temperatures);
      within(canvas, split, width, height, () => this.drawMetal(canvas, asked, heatShading(this.colours, least, most), false));
    }
    if (ghost?.isOn) drawGhost(canvas, ghost, view, this.colours);
    if (torch.isOn) drawFlame(canvas, torch, view, this.colours);
  }

  private drawMetal(canvas: CanvasRenderingContext2D, { heat, view }: DrawAsked, shading: Shading, isAsSeen: boolean): void {
    for (const plane of this.planes) plane.draw(canvas, heat.temperatures, view, shading);
    if (isAsSeen) drawFlux(canvas, heat, view, this.colours, this.isStill);
    for (const part of this.body.parts) if (!part.grid) drawLines(canvas, heat, part, view, shading);
    drawSolder(canvas, heat, view, this.colours);
  }
}

function extremes(temperatures: Float64Array): readonly [number, number] {
  let [least, most] = [Infinity, -Infinity];
  for (const t of temperatures) {
    if (t < least) least = t;
    if (t > most) most = t;
  }
  return [least, most];
}

/** Draws between two edges only. */
function within(canvas: CanvasRenderingContext2D, from: number, to: number, height: number, draw: () => void): void {
  if (to <= from) return;
  canvas.save();
  canvas.beginPath();
  canvas.rect(from, 0, to - from, height);
  canvas.clip();
  draw();
  canvas.restore();
}

const MESH = 2.5;

function drawMesh(canvas: CanvasRenderingContext2D, { perMm, x, y }: View, { mesh }: HeatColours, width: number, height: number): void {
  canvas.strokeStyle = mesh;
  canvas.lineWidth = 1;
  canvas.beginPath();
  for (let at = x % (MESH * perMm); at < width; at += MESH * perMm) {
    canvas.moveTo(at, 0);
    canvas.lineTo(at, height);
  }
  for (let at = y % (MESH * perMm); at < height; at += MESH * perMm) {
    canvas.moveTo(0, at);
    canvas.lineTo(width, at);
  }
  canvas.stroke();
}

/** A plate as a small picture with a pixel for each cell, drawn large. */
class PlanePicture {
  private readonly element = document.createElement("canvas");
  private readonly pixels: ImageData;
  private readonly own: CanvasRenderingContext2D;

  constructor(readonly field: Field) {
    const { wide, tall } = field.grid;
    [this.element.width, this.element.height] = [wide, tall];
    this.own = this.element.getContext("2d")!;
    this.pixels = this.own.createImageData(wide, tall);
    this.pixels.data.fill(255);
  }

  draw(canvas: CanvasRenderingContext2D, temperatures: Float64Array, { perMm, x, y }: View, shading: Shading): void {
    const { grid, bitOf } = this.field;
    const { wide, tall, left, low, spacing, outline } = grid;
    const { data } = this.pixels;
    const { bytes } = shading.ramp;
    for (let j = 0; j < tall; j++)
      for (let i = 0; i < wide; i++) {
        const from = 3 * placeOn(shading, temperatures[bitOf[j * wide + i]!]!);
        const to = 4 * ((tall - 1 - j) * wide + i);
        data[to] = bytes[from]!;
        data[to + 1] = bytes[from + 1]!;
        data[to + 2] = bytes[from + 2]!;
      }
    this.own.putImageData(this.pixels, 0, 0);
    canvas.save();
    along(canvas, outline, { perMm, x, y });
    canvas.closePath();
    canvas.clip();
    canvas.drawImage(this.element, x + left * perMm, y - (low + tall * spacing) * perMm, wide * spacing * perMm, tall * spacing * perMm);
    canvas.restore();
  }
}

/** A path through points in mm. */
export function along(canvas: CanvasRenderingContext2D, points: readonly (readonly [number, number])[], { perMm, x, y }: View): void {
  canvas.beginPath();
  for (const [px, py] of points) canvas.lineTo(x + px * perMm, y - py * perMm);
}

function drawLines(
  canvas: CanvasRenderingContext2D,
  { temperatures, body }: PractisedHeat,
  { lines, from, to }: HeatBody["parts"][number],
  { perMm, x, y }: View,
  shading: Shading,
): void {
  const at = (bit: number) => [x + body.x[bit]! * perMm, y - body.y[bit]! * perMm] as const;
  canvas.lineWidth = Math.max(4, LINE * perMm);
  canvas.lineCap = canvas.lineJoin = "round";
  for (const { bits, isClosed } of lines) {
    const all = isClosed ? [...bits, bits[0]!] : bits;
    let colour: string | null = null;
    // what has one colour is one stroke: strokes cost more than all else that is drawn
    for (let k = 1; k < all.length; k++) {
      const [a, b] = [all[k - 1]!, all[k]!];
      const next = colourOf(shading, (temperatures[a]! + temperatures[b]!) / 2);
      if (next !== colour) {
        if (colour !== null) canvas.stroke();
        canvas.strokeStyle = colour = next;
        canvas.beginPath();
        canvas.moveTo(...at(a));
      }
      canvas.lineTo(...at(b));
    }
    if (colour !== null) canvas.stroke();
  }
  if (lines.length > 0) return;
  for (let bit = from; bit < to; bit++) {
    const [cx, cy] = at(bit);
    canvas.fillStyle = colourOf(shading, temperatures[bit]!);
    canvas.beginPath();
    canvas.arc(cx, cy, Math.max(3, (Math.sqrt(body.bare[bit]! / Math.PI) / 2) * perMm), 0, 2 * Math.PI);
    canvas.fill();
  }
}

/** mm that a line is drawn wide. */
const LINE = 0.55;
/** mm across of a dab of flux, of solder that has run, and of a pallion. */
const DAB = 1.3;
const RUN = 0.35;
const PALLION = 0.8;

function drawFlux(
  canvas: CanvasRenderingContext2D,
  heat: PractisedHeat,
  { perMm, x, y }: View,
  colours: HeatColours,
  isStill: boolean,
): void {
  const bubbles = new Path2D();
  const coats = new Map<FluxStage, Path2D[]>();
  heat.body.joints.forEach((joint, j) => {
    joint.places.forEach(({ sides }, p) => {
      const stage = heat.fluxAt(j, p);
      if (!stage || !colours.flux[stage]) return;
      const [cx, cy] = [x + heat.body.x[sides[0]!]! * perMm, y - heat.body.y[sides[0]!]! * perMm];
      if (!coats.has(stage))
        coats.set(
          stage,
          Array.from({ length: COATS }, () => new Path2D()),
        );
      addDot(coats.get(stage)![p % COATS]!, cx, cy, (DAB / 2) * perMm);
      if (stage === "wet" && heat.hottestAt(joint, p) > SIMMERS) addBubbles(bubbles, [cx, cy], perMm, isStill ? 0 : heat.steps, p);
    });
  });
  for (const [stage, paths] of coats) {
    canvas.fillStyle = colours.flux[stage]!;
    canvas.globalAlpha = stage === "clear" ? 0.12 : 0.3;
    for (const path of paths) canvas.fill(path);
  }
  canvas.strokeStyle = colours.water;
  canvas.globalAlpha = 0.9;
  canvas.lineWidth = 1;
  canvas.stroke(bubbles);
  canvas.globalAlpha = 1;
}

/** Dabs are filled in so many coats, none with two that lie on each other: one fill of many dabs takes little longer than of one. */
const COATS = 6;

/** Degrees C from which the water of wet flux is seen to boil; steps for which a bubble stands. */
const SIMMERS = 85;
const BUBBLE_STEPS = 40;
/** Bubbles at one place. */
const BUBBLES = 3;

/** Water boiling off: small rings that come and go, the same for the same moment of the heat. */
function addBubbles(path: Path2D, [x, y]: Point, perMm: number, steps: number, place: number): void {
  for (let k = 0; k < BUBBLES; k++) {
    const turn = place * 7 + k * 13 + Math.floor(steps / BUBBLE_STEPS + k / BUBBLES) * 5;
    const age = (steps / BUBBLE_STEPS + k / BUBBLES) % 1;
    const [dx, dy] = [Math.cos(turn) * DAB * 0.4 * perMm, Math.sin(turn) * DAB * 0.4 * perMm];
    addDot(path, x + dx, y + dy, age * 0.3 * perMm, LEAST_BUBBLE);
  }
}

/** The smallest radius of a dot and of a bubble (pixels). */
const LEAST_DOT = 1.5;
const LEAST_BUBBLE = 1;

function addDot(path: Path2D, x: number, y: number, radius: number, least = LEAST_DOT): void {
  const shown = Math.max(least, radius);
  path.moveTo(x + shown, y);
  path.arc(x, y, shown, 0, 2 * Math.PI);
}

function drawSolder(canvas: CanvasRenderingContext2D, heat: PractisedHeat, { perMm, x, y }: View, colours: HeatColours): void {
  const { body } = heat;
  const at = (bit: number) => [x + body.x[bit]! * perMm, y - body.y[bit]! * perMm] as const;
  body.joints.forEach((joint, j) => {
    if (!joint.isWanted) return;
    const run = new Path2D();
    joint.places.forEach(({ sides }, p) => {
      if (heat.solder[j]!.isMadeAt(p)) addDot(run, ...at(sides[0]!), (RUN / 2) * perMm);
    });
    canvas.fillStyle = colours.bright;
    canvas.fill(run);
    joint.pallions.forEach((place, i) => {
      const state = heat.solder[j]!.pallions[i]!;
      if (state === "joined") return;
      const { sides } = joint.places[place]!;
      const [cx, cy] = at(sides[0]!);
      const side = Math.max(5, PALLION * perMm) * (state === "climbed" ? 0.6 : 1);
      canvas.fillStyle = colours.solder;
      canvas.strokeStyle = colours.ink;
      canvas.lineWidth = 1;
      canvas.globalAlpha = state === "climbed" ? 0.5 : 0.9;
      canvas.fillRect(cx - side / 2, cy - side / 2, side, side);
      canvas.strokeRect(cx - side / 2, cy - side / 2, side, side);
    });
    canvas.globalAlpha = 1;
  });
}

function drawFlame(canvas: CanvasRenderingContext2D, torch: TorchMoment, { perMm, x, y }: View, { flame, core }: HeatColours): void {
  const [cx, cy] = [x + torch.x * perMm, y - torch.y * perMm];
  const radius = 2 * torch.size * perMm;
  const glow = canvas.createRadialGradient(cx, cy, 0, cx, cy, radius);
  glow.addColorStop(0, core);
  glow.addColorStop(0.25, flame);
  glow.addColorStop(1, "transparent");
  canvas.globalAlpha = torch.isBelow ? 0.25 : 0.45;
  canvas.globalCompositeOperation = "lighter";
  canvas.fillStyle = glow;
  canvas.beginPath();
  canvas.arc(cx, cy, radius, 0, 2 * Math.PI);
  canvas.fill();
  canvas.globalCompositeOperation = "source-over";
  canvas.globalAlpha = 0.9;
  canvas.strokeStyle = core;
  canvas.setLineDash([5, 4]);
  canvas.lineWidth = 1.2;
  canvas.beginPath();
  canvas.arc(cx, cy, torch.size * perMm, 0, 2 * Math.PI);
  canvas.stroke();
  canvas.setLineDash([]);
  canvas.globalAlpha = 1;
}

/** A flame to follow: two rings and a cross, so that it is told from one's own; open where it is held from below. */
function drawGhost(canvas: CanvasRenderingContext2D, torch: TorchMoment, { perMm, x, y }: View, { ink }: HeatColours): void {
  const [cx, cy] = [x + torch.x * perMm, y - torch.y * perMm];
  canvas.strokeStyle = ink;
  canvas.lineWidth = 2;
  canvas.globalAlpha = 0.8;
  canvas.setLineDash(torch.isBelow ? [3, 6] : []);
  for (const radius of [torch.size * perMm, CROSS]) {
    canvas.beginPath();
    canvas.arc(cx, cy, radius, 0, 2 * Math.PI);
    canvas.stroke();
  }
  canvas.setLineDash([]);
  canvas.beginPath();
  for (const [dx, dy] of [
    [1, 0],
    [-1, 0],
    [0, 1],
    [0, -1],
  ] as const) {
    canvas.moveTo(cx + dx * CROSS, cy + dy * CROSS);
    canvas.lineTo(cx + dx * 2 * CROSS, cy + dy * 2 * CROSS);
  }
  canvas.stroke();
  canvas.globalAlpha = 1;
}

/** Pixels of the ring in the middle of a flame to follow. */
const CROSS = 7;
