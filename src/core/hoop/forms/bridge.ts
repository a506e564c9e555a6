import { step } from "../../making/step";
import { type Finding, finding } from "../../measure/finding";
import { single } from "../../measure/figure";
import { cutToLength } from "../../metal/cut";
import { type Metal, massOf } from "../../metal/metals";
import { type Hoop } from "../hoop";
import { type Base, gripped, saddle } from "../seat";
import { closed } from "./closed";
import { type Arch, type FormExtra, type FormKind, NOTHING_MORE } from "./form";

/** An arch soldered over the front of a band, formed to an inside diameter, standing so far over the hoop's top (mm). */
export interface Bridge {
  readonly inside: number;
  readonly thickness: number;
  readonly gap: number;
  readonly metal: Metal;
}

const BRIDGE = "bridge";
/** An arm shorter than this does not bend (mm). */
const SHORTEST_ARM = 2;
/** The least that an arch is asked for with where nobody said, and by how much it is formed larger (mm). */
const USUAL = { inside: 15, thickness: 1, gap: 1.2 } as const;
const LARGER = 0.5;

/**
 * The arch on a hoop of outside radius Ro: r = q/2, its middle at c = Ro + gap - r; they meet at height y = (Ro^2 - r^2 + c^2) / (2c), where the arch has
 * gone psi = acos((y - c) / r) from its top. null where they do not meet.
 */
export function archOn({ inside, gap, thickness }: Omit<Bridge, "metal">, outside: number): Omit<Arch, "cut"> | null {
  const radius = inside / 2;
  const centre = outside + gap - radius;
  const y = (outside * outside - radius * radius + centre * centre) / (2 * centre);
  if (centre <= 0 || Math.abs(y - centre) > radius || y <= 0) return null;
  return { radius, centre, half: Math.acos((y - centre) / radius), thickness };
}

/** Half the angle of an opening for a setting so wide across the finger. */
function cutFor({ radius, thickness }: Omit<Arch, "cut">, width: number): number {
  const middle = radius + thickness / 2;
  return Math.asin(Math.min(1, width / 2 / middle));
}

/** What each arm keeps when the opening is cut for a setting so wide. */
function armOf(arch: Omit<Arch, "cut">, width: number): number {
  return (arch.radius + arch.thickness / 2) * (arch.half - cutFor(arch, width));
}

/** An arch to begin with: the smallest from the usual one up whose arms grip a setting so wide on a hoop of that outside radius; else the usual one. */
export function usualArch(outside: number, width: number): Omit<Bridge, "metal"> {
  for (let inside: number = USUAL.inside; inside <= 2 * outside; inside += LARGER) {
    const arch = archOn({ ...USUAL, inside }, outside);
    if (arch && armOf(arch, width) >= SHORTEST_ARM) return { ...USUAL, inside };
  }
  return USUAL;
}

function frontOf(bases: readonly Base[]): Base | undefined {
  return bases.find(({ isFront }) => isFront);
}

function extraOf(hoop: Hoop, outside: number, bases: readonly Base[]): FormExtra {
  const { bridge, section } = hoop;
  const arch = archOn(bridge, outside);
  if (!arch)
    return {
      ...NOTHING_MORE,
      findings: [finding("bridge.no-meeting", "error", BRIDGE, { inside: bridge.inside, gap: bridge.gap, outside: 2 * outside })],
    };
  const front = frontOf(bases);
  const middle = arch.radius + arch.thickness / 2;
  const length = 2 * middle * arch.half;
  const cut = front ? cutFor(arch, front.extent) : 0;
  const arm = armOf(arch, front?.extent ?? 0);
  const mass = massOf(bridge.metal, length * section.width * bridge.thickness);
  const blank = step(BRIDGE, "bridge.cut", { target: "bridge.blankLength", checks: ["ends.square"], cautions: ["saw"] });
  const formed = step(BRIDGE, "bridge.form", {
    works: ["hoop"],
    checks: ["bridge.meets"],
    values: { inside: bridge.inside, gap: bridge.gap },
  });
  return {
    figures: {
      "bridge.blankLength": single("mm", length, "bridge.blank"),
      "bridge.reach": single("mm", arch.radius * Math.sin(arch.half), "bridge.reach"),
      "bridge.arm": single("mm", Math.max(0, arm), "bridge.arm"),
    },
    findings: armFindings(arm, front),
    parts: [{ id: BRIDGE, kind: "bridge", mount: null, metal: bridge.metal, mass, thickness: bridge.thickness }],
    cuts: [
      cutToLength(
        { part: BRIDGE, mount: null, metal: bridge.metal },
        { form: "strip", width: section.width, thickness: bridge.thickness },
        "bridge.blankLength",
        length,
      ),
    ],
    joints: [1, 2].map((end) => ({
      id: `${BRIDGE}.${end}`,
      kind: "bridge",
      mount: null,
      parts: [BRIDGE, "hoop"],
      length: section.width,
      area: section.width * bridge.thickness,
      place: end === 1 ? "left" : "right",
      after: ["hoop.seam"],
      follows: ["bridge.blankLength"],
      work: {
        before: [blank, formed],
        lookedFor: ["joint.bright", "joint.noGap"],
        after: [],
      },
    })),
    made: { [BRIDGE]: { flat: [blank], formed: [blank, formed] } },
    arch: { ...arch, cut },
  };
}

function armFindings(arm: number, front: Base | undefined): Finding[] {
  if (arm >= SHORTEST_ARM) return [];
  return [finding("bridge.short-arm", "error", BRIDGE, { arm, least: SHORTEST_ARM, width: front?.extent ?? 0 })];
}

/** A closed band with an arch over its front, cut away to grip a setting; what else it carries is filed to its curve. */
export const bridge: FormKind = {
  ...closed,
  seat: (hoop, outside, base) =>
    base.isFront && archOn(hoop.bridge, outside)
      ? gripped(hoop, outside + hoop.bridge.gap, hoop.bridge.thickness, BRIDGE, base)
      : saddle(hoop, hoop.saddleWidth, outside, base),
  extra: extraOf,
};
