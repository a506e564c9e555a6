"use client";

import { type OuterBand } from "@/core/mount/drawing";
import { usePlan } from "@/ui/plan";
import { useSessionState } from "@/ui/session";
import { stoneTint } from "@/ui/stone-tint";
import { useUnits } from "@/ui/tray";
import { LAYER_NAMES } from "@/words/names";
import { showLength } from "@/words/show";
import { useSize } from "@/ui/useSize";
import { stackText } from "@/words/screens/plate";

const NAMES: Readonly<Record<OuterBand["code"], string>> = {
  ...LAYER_NAMES,
  wall: "bezel",
  several: "ornament",
  border: "border",
  saw: "saw",
};
const FILLS: Readonly<Partial<Record<OuterBand["code"], string>>> = {
  wall: "var(--color-metal-edge)",
  border: "var(--color-metal-hi)",
  saw: "var(--color-solder-pale)",
};
const ORNAMENT = "var(--color-metal-pale)";

const HEIGHT = 24;
const LETTER = 6.4;
/** For one number beside another, in pixels. */
const ROOM = 30;

/** What lies outside the stone, to its true width, and how far out each ends. */
export function Stack({ mount }: { readonly mount: string }) {
  const { drawing } = usePlan();
  const units = useUnits();
  const { material, name: called } = useSessionState(({ piece }) => piece.mounts.find(({ id }) => id === mount)!.stone);
  const [ref, { width }] = useSize(270, 44);
  const bands = drawing.settings[mount]!.plan.bands.map(({ code, from, to }) => ({
    name: NAMES[code],
    isWall: code === "wall",
    from,
    to,
    fill: FILLS[code] ?? ORNAMENT,
  }));
  const whole = bands.at(-1)!.to;
  const x = (mm: number) => 14 + (mm / whole) * (width - 40);
  return (
    <div ref={ref} className="w-full overflow-hidden pt-1">
      <svg
        width={width}
        height={HEIGHT + 18}
        role="img"
        aria-label={bands.map(({ name, to }) => stackText.to(name, showLength(to, "measured", units))).join(", ")}
      >
        <rect x={0} y={0} width={14} height={HEIGHT} fill={stoneTint(material?.name ?? called ?? "")[1]} />
        {bands.map(({ name, isWall, from, to, fill }, i) => (
          <g key={`${name}${from}`}>
            <rect
              x={x(from)}
              y={0}
              width={Math.max(0, x(to) - x(from))}
              height={HEIGHT}
              fill={fill}
              stroke="var(--color-metal-edge)"
              strokeWidth={0.8}
            />
            {x(to) - x(from) > name.length * LETTER + 4 && (
              <text
                x={(x(from) + x(to)) / 2}
                y={HEIGHT - 8}
                textAnchor="middle"
                fontSize={12}
                fill={isWall ? "var(--color-white)" : "var(--color-metal-deep)"}
              >
                {name}
              </text>
            )}
            {(i === bands.length - 1 || x(bands[i + 1]!.to) - x(to) > ROOM) && (
              <text x={x(to)} y={HEIGHT + 14} textAnchor="middle" fontSize={12} fontWeight={620} fill="var(--color-ink)">
                {showLength(to, "measured", units)}
              </text>
            )}
          </g>
        ))}
      </svg>
    </div>
  );
}
