import { type BentWire } from "@/core/earring/ear-wire";
import { type DrawnEye, type DrawnHang } from "@/core/bail/hanging";
import { type Box, boxOf } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { type bailIn } from "@/core/piece/plan";
import { Shape } from "../Drawing";

/** What settings hang by, as it is drawn. */
export type DrawnBail = NonNullable<ReturnType<typeof bailIn>>["drawn"];

/** Degrees that a setting's plane is turned by as it hangs: its balance comes under its eye. */
export function turnOf({ eyes, balance }: DrawnHang): number {
  const [[px, py], [bx, by]] = [eyes[0]!.pivot, eyes.length > 1 ? eyes[1]!.pivot : balance];
  return -90 - (Math.atan2(by - py, bx - px) * 180) / Math.PI;
}

/** How far it reaches from where it hangs, in mm. */
export function reachOf(edge: Parameters<typeof boxOf>[0], hang: DrawnHang, { front, boreAt, pastEdge, ring, earWire }: DrawnBail) {
  const turn = (turnOf(hang) * Math.PI) / 180;
  const [px, py] = hang.eyes[0]!.pivot;
  const { left, right, low, high } = boxOf(edge);
  const far = Math.max(...[left, right].flatMap((x) => [low, high].map((y) => Math.hypot(x, y))));
  const [mx, my] = [(left + right) / 2 - px, (low + high) / 2 - py];
  const middle = mx * Math.cos(turn) - my * Math.sin(turn);
  const below = mx * Math.sin(turn) + my * Math.cos(turn);
  const [halfWide, halfTall] = [Math.min(far, Math.max(right - left, high - low) / 2), Math.max(right - left, high - low) / 2];
  const bail = boxOf(front[0]!);
  return {
    left: Math.max(halfWide - middle, bail.right),
    right: Math.max(halfWide + middle, bail.right),
    up: (earWire?.height ?? Math.max(bail.high - boreAt, (ring?.top ?? 0) - pastEdge)) + 0.5,
    down: -below + halfTall,
  };
}

interface BailShapeProps {
  readonly eye: DrawnEye;
  readonly shape: Pick<DrawnBail, "front">;
  readonly fill: string;
  readonly stroke: string;
  readonly strokeDasharray?: string;
  readonly className?: string;
  readonly lights?: string;
}

/** What it hangs by, seen from the front: straight out of the edge. */
export function BailShape({ eye, shape: { front }, lights, ...look }: BailShapeProps) {
  const { edge } = eye;
  const [nx, ny] = outOf(eye);
  return (
    <g transform={`matrix(${-ny} ${nx} ${nx} ${ny} ${edge[0]} ${edge[1]})`}>
      <Shape curves={front} {...look} {...(lights !== undefined && { lights })} />
    </g>
  );
}

/** Straight out of the edge at an eye. */
function outOf({ edge, pivot }: DrawnEye): Point {
  const long = Math.hypot(pivot[0] - edge[0], pivot[1] - edge[1]) || 1;
  return [(pivot[0] - edge[0]) / long, (pivot[1] - edge[1]) / long];
}

/** The room that what a setting hangs by takes at an eye, in the setting's own plane (mm). */
export function boxHung(eye: DrawnEye, { front }: DrawnBail): Box {
  const [nx, ny] = outOf(eye);
  const { left, right, low, high } = boxOf(front[0]!);
  const corners = [left, right].flatMap((x) =>
    [low, high].map((y): Point => [eye.edge[0] - ny * x + nx * y, eye.edge[1] + nx * x + ny * y]),
  );
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}

/** An ear wire from the front, where its ring hangs in it: its eye and its bow lie one behind the other. */
export function EarWireFront({ wire: { wire, height } }: { readonly wire: BentWire }) {
  return (
    <rect
      x={-wire / 2}
      y={-wire}
      width={wire}
      height={height + wire}
      rx={wire / 2}
      fill="url(#metal)"
      stroke="var(--color-metal-edge)"
      vectorEffect="non-scaling-stroke"
    />
  );
}

/** What a setting hangs by, at each of its eyes, in the setting's own plane. */
export function HungShapes({ hang, drawn }: { readonly hang: DrawnHang; readonly drawn: DrawnBail }) {
  return (
    <>
      {hang.eyes.map((eye, i) => (
        <BailShape key={i} eye={eye} shape={drawn} fill="url(#metal)" stroke="var(--color-metal-edge)" lights="bail" />
      ))}
      {drawn.ring &&
        hang.eyes.map((eye, i) => (
          <BailShape key={i} eye={eye} shape={drawn.ring!} fill="url(#metal)" stroke="var(--color-metal-edge)" lights="ring" />
        ))}
    </>
  );
}
