import { readFileSync } from "node:fs";
import { ellipsePerimeter } from "@/core/geometry/ellipse";
import { bestHeats } from "@/core/heats/best";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { planPiece } from "@/core/piece/plan-piece";
import { settleHeats } from "@/core/piece/settle";
import { sizePiece } from "@/core/piece/size-piece";
import { decodePiece } from "@/formats/codec";
import { median, row } from "./measure";

const decoded = decodePiece(readFileSync("demo/pieces/tern-ring.json", "utf8"));
if (!decoded.ok) throw new Error("the Tern ring is not a piece");
const tern = decoded.value;

/** The perimeter of the Tern stone by a plain loop over chords. */
function polyline(segments: number): number {
  let length = 0;
  let [px, py] = [8, 0];
  for (let i = 1; i <= segments; i++) {
    const angle = (2 * Math.PI * i) / segments;
    const [x, y] = [8 * Math.cos(angle), 6 * Math.sin(angle)];
    length += Math.hypot(x - px, y - py);
    [px, py] = [x, y];
  }
  return length;
}

const SEGMENTS = 4096;
const loop = median(() => polyline(SEGMENTS), 400);
const closed = median(() => {
  for (let i = 0; i < 100; i++) ellipsePerimeter(8, 6 + i * 1e-9);
}, 400);
const exact = ellipsePerimeter(8, 6);
row("ellipse perimeter, loop of 4,096 chords", loop, "ms", `error ${Math.abs(polyline(SEGMENTS) / exact - 1).toExponential(1)}`);
row("ellipse perimeter, in closed form", closed / 100, "ms", `${(loop / (closed / 100)).toFixed(0)} times faster`);

const sizing = median(() => sizePiece(tern, SHIPPED_BENCH), 600);
row("sizePiece, Tern ring", sizing, "ms", `${(sizing / loop).toFixed(1)} loops`);
const planning = median(() => planPiece(tern, SHIPPED_BENCH), 600);
row("planPiece, Tern ring", planning, "ms", `${(planning / loop).toFixed(1)} loops, ${(planning / sizing).toFixed(1)} sizings`);

/** The Tern ring with so many stones, and a hoop under them or not. */
function withStones(count: number, onHoop: boolean): Piece {
  const mounts = Array.from({ length: count }, (_, i) => ({ ...tern.mounts[0]!, id: `m${i + 1}` }));
  return { ...tern, mounts, carrier: onHoop ? tern.carrier : { type: "none" } };
}

for (const [count, onHoop] of [
  [4, false],
  [3, true],
  [4, true],
] as const) {
  const { assembly } = sizePiece(withStones(count, onHoop), SHIPPED_BENCH);
  const wishes = settleHeats(tern.heats, SHIPPED_BENCH);
  const ms = median(() => bestHeats(assembly, wishes), 7);
  row(`best heats, ${assembly.joints.length} joints`, ms, "ms", `${(ms / planning).toFixed(0)} Tern plans`);
}
