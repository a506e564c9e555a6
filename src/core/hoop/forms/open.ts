import { sum, taken, term } from "../../measure/figure";
import { finding } from "../../measure/finding";
import { bandLength, countedAt, endLosses, wrapping } from "../band";
import { type Hoop } from "../hoop";
import { feet, saddle } from "../seat";
import { type FormKind, NOTHING_MORE } from "./form";

/** What fitting the feet to the plate takes off (mm). */
const FITTING = 0.7;

/** Height of the plate's underside above the finger's centre. */
function underside(hoop: Hoop, inside: number): number {
  return inside / 2 + hoop.plateAbove.value;
}

/**
 * The angle from the front at which the wire's counted line meets the plate: acos(p / (ID/2 + e)); 0 where the plate rises above it, and the shank
 * closes.
 */
export function footAngle(hoop: Hoop, inside: number): number {
  return Math.acos(Math.min(1, underside(hoop, inside) / (inside / 2 + countedAt(hoop))));
}

/** A shank whose two ends meet the underside of the plate: 2 (ID/2 + e)(pi - phi). */
export const open: FormKind = {
  netLength: (hoop, inside) => {
    const off = 2 * (inside / 2 + countedAt(hoop)) * footAngle(hoop, inside);
    return sum("mm", [...bandLength(hoop, inside).terms, term("openTop", -off, hoop.plateAbove.from)]);
  },
  losses: (hoop) => [...endLosses(hoop), taken("fitting", { value: FITTING, from: "shipped" })],
  seams: () => [],
  bent: wrapping,
  seat: (hoop, outside, base) => {
    const inside = 2 * (outside - hoop.section.thickness);
    const angle = footAngle(hoop, inside);
    if (base.isFront && angle > 0) return feet(hoop, outside, underside(hoop, inside), angle, base);
    const seat = saddle(hoop, hoop.saddleWidth, outside, base);
    const none = finding("hoop.no-foot", "error", "hoop", { height: underside(hoop, inside), most: inside / 2 + countedAt(hoop) });
    return base.isFront ? { ...seat, findings: [none] } : seat;
  },
  marks: (_hoop, net) => [
    { code: "foot", at: 0 },
    { code: "back", at: net / 2 },
    { code: "foot", at: net },
  ],
  opening: (hoop, inside) => ({ at: "front", half: footAngle(hoop, inside) }),
  extra: () => NOTHING_MORE,
};
