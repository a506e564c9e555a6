import { type HeatBody } from "@/core/practice/body";
import { type FluxStage } from "@/core/practice/flux";
import { type PractisedHeat } from "@/core/practice/heat";
import { type TorchMoment } from "@/core/practice/torch";

type Rgb = readonly [number, number, number];

/** The colours of a heat, as the page's tokens have them. */
export interface HeatColours {
  readonly glow: readonly { readonly at: number; readonly rgb: Rgb }[];
  readonly flux: Readonly<Record<FluxStage, string | null>>;
  readonly ink: string;
  readonly solder: string;
  readonly bright: string;
  readonly flame: string;
  readonly core: string;
  readonly mesh: string;
}

/** Degrees C from which metal shows each colour in a dim room (section 13 of the formulas). */
const GLOW = [
  ["cold", 20],
  ["black", 480],
  ["faint", 550],
  ["dull", 600],
  ["cherry", 720],
  ["bright", 800],
  ["orange", 870],
  ["pale", 960],
] as const;

export function heatColours(style: CSSStyleDeclaration): HeatColours {
  const token = (name: string) => style.getPropertyValue(`--color-${name}`).trim();
  return {
    glow: GLOW.map(([name, at]) => ({ at, rgb: rgbOf(token(`heat-${name}`)) })),
    flux: {
      none: null,
      wet: token("water-pale"),
      white: token("white"),
      honey: token("ochre"),
      clear: token("flux-clear"),
      spent: token("flux-spent"),
    },
    ...{ ink: token("night-ink"), solder: token("metal-bright"), bright: token("white") },
    ...{ flame: token("flame-blue"), core: token("flame-core"), mesh: token("night-line") },
  };
}

function rgbOf(hex: string): Rgb {
  const value = Number.parseInt(hex.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}

export function glowAt({ glow }: HeatColours, celsius: number): Rgb {
  const above = glow.findIndex(({ at }) => at > celsius);
  if (above === 0) return glow[0]!.rgb;
  if (above < 0) return glow.at(-1)!.rgb;
  const [low, high] = [glow[above - 1]!, glow[above]!];
  const share = (celsius - low.at) / (high.at - low.at);
  const mix = (k: 0 | 1 | 2) => Math.round(low.rgb[k] + (high.rgb[k] - low.rgb[k]) * share);
  return [mix(0), mix(1), mix(2)];
}

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

/** Draws a heat as it is seen: the metal as it glows, flux, solder and the flame. */
export function drawHeat(
  canvas: CanvasRenderingContext2D,
  { heat, torch, ghost, view, colours, isMesh }: DrawAsked,
  width: number,
  height: number,
): void {
  canvas.clearRect(0, 0, width, height);
  if (isMesh) drawMesh(canvas, view, colours, width, height);
  const { body } = heat;
  for (const part of body.parts) if (part.grid) drawPlane(canvas, heat, part.grid, view, colours);
  drawFlux(canvas, heat, view, colours);
  for (const part of body.parts) if (!part.grid) drawLines(canvas, heat, part, view, colours);
  drawSolder(canvas, heat, view, colours);
  if (ghost?.isOn) drawGhost(canvas, ghost, view, colours);
  if (torch.isOn) drawFlame(canvas, torch, view, colours);
}

interface DrawAsked {
  readonly heat: PractisedHeat;
  readonly torch: TorchMoment;
  /** The careful hand's, where it goes before. */
  readonly ghost: TorchMoment | null;
  readonly view: View;
  readonly colours: HeatColours;
  readonly isMesh: boolean;
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

type PlaneGrid = NonNullable<HeatBody["parts"][number]["grid"]>;

function drawPlane(
  canvas: CanvasRenderingContext2D,
  { temperatures }: PractisedHeat,
  { wide, tall, bits, left, low, spacing, outline }: PlaneGrid,
  { perMm, x, y }: View,
  colours: HeatColours,
): void {
  const side = spacing * perMm;
  canvas.save();
  canvas.beginPath();
  for (const [px, py] of outline) canvas.lineTo(x + px * perMm, y - py * perMm);
  canvas.closePath();
  canvas.clip();
  for (let j = 0; j < tall; j++)
    for (let i = 0; i < wide; i++) {
      const bit = bits[j * wide + i]!;
      if (bit < 0) continue;
      canvas.fillStyle = `rgb(${glowAt(colours, temperatures[bit]!).join()})`;
      // a hair more than its side, so that no seam shows between two
      canvas.fillRect(x + (left + i * spacing) * perMm, y - (low + (j + 1) * spacing) * perMm, side + 0.6, side + 0.6);
    }
  canvas.restore();
}

function drawLines(
  canvas: CanvasRenderingContext2D,
  { temperatures, body }: PractisedHeat,
  { lines, from, to }: HeatBody["parts"][number],
  { perMm, x, y }: View,
  colours: HeatColours,
): void {
  const at = (bit: number) => [x + body.x[bit]! * perMm, y - body.y[bit]! * perMm] as const;
  const wide = Math.max(4, LINE * perMm);
  canvas.lineCap = "round";
  for (const { bits, isClosed } of lines) {
    for (let k = 0; k < bits.length; k++) {
      const next = bits[k + 1] ?? (isClosed ? bits[0]! : null);
      if (next === null) continue;
      const [[ax, ay], [bx, by]] = [at(bits[k]!), at(next)];
      canvas.strokeStyle = `rgb(${glowAt(colours, (temperatures[bits[k]!]! + temperatures[next]!) / 2).join()})`;
      canvas.lineWidth = wide;
      canvas.beginPath();
      canvas.moveTo(ax, ay);
      canvas.lineTo(bx, by);
      canvas.stroke();
    }
  }
  if (lines.length > 0) return;
  for (let bit = from; bit < to; bit++) {
    const [cx, cy] = at(bit);
    canvas.fillStyle = `rgb(${glowAt(colours, temperatures[bit]!).join()})`;
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

function drawFlux(canvas: CanvasRenderingContext2D, heat: PractisedHeat, { perMm, x, y }: View, colours: HeatColours): void {
  heat.body.joints.forEach((joint, j) => {
    joint.places.forEach(({ sides }, p) => {
      const stage = heat.fluxAt(j, p);
      const colour = stage && colours.flux[stage];
      if (!colour) return;
      canvas.fillStyle = colour;
      canvas.globalAlpha = stage === "clear" ? 0.12 : 0.3;
      dot(canvas, x + heat.body.x[sides[0]!]! * perMm, y - heat.body.y[sides[0]!]! * perMm, (DAB / 2) * perMm);
    });
  });
  canvas.globalAlpha = 1;
}

function dot(canvas: CanvasRenderingContext2D, x: number, y: number, radius: number): void {
  canvas.beginPath();
  canvas.arc(x, y, Math.max(1.5, radius), 0, 2 * Math.PI);
  canvas.fill();
}

function drawSolder(canvas: CanvasRenderingContext2D, heat: PractisedHeat, { perMm, x, y }: View, colours: HeatColours): void {
  const { body } = heat;
  const at = (bit: number) => [x + body.x[bit]! * perMm, y - body.y[bit]! * perMm] as const;
  body.joints.forEach((joint, j) => {
    if (!joint.isWanted) return;
    canvas.fillStyle = colours.bright;
    joint.places.forEach(({ sides }, p) => {
      if (heat.solder[j]!.isMadeAt(p)) dot(canvas, ...at(sides[0]!), (RUN / 2) * perMm);
    });
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
