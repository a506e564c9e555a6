"use client";

import { furthest } from "@/core/geometry/stepped";
import { usePlan } from "@/ui/plan";
import { useUnits } from "@/ui/tray";
import { LAYER_NAMES } from "@/words/names";
import { showLength } from "@/words/show";
import { useSize } from "@/ui/useSize";

interface Band {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly fill: string;
}

const HEIGHT = 24;
const LETTER = 6.4;
/** For one number beside another, in pixels. */
const ROOM = 30;

/** What lies outside the stone, to its true width, and how far out each ends. */
export function Stack({ mount }: { readonly mount: string }) {
  const { settled, drawing } = usePlan();
  const units = useUnits();
  const [ref, { width }] = useSize(270, 44);
  const { wall, back } = settled.mounts[mount]!;
  const { layers } = drawing.settings[mount]!.plan;
  const face = wall.fit.value + wall.thickness;
  const starts = [...new Set(layers.map(({ cut }) => cut.start))].sort((a, b) => a - b);
  const bands: Band[] = [{ name: "wall", from: 0, to: face, fill: "#6b767a" }];
  for (const start of starts) {
    const here = layers.filter(({ cut }) => cut.start === start);
    const to = start + Math.max(...here.map((layer) => layer.width));
    bands.push({ name: here.length > 1 ? "one band" : LAYER_NAMES[here[0]!.type], from: start, to, fill: "#cdd4d7" });
  }
  const edge = furthest([...bands.map(({ to }) => ({ from: 0, to: 1, out: to }))]);
  if (back.kind === "plate") {
    if (back.border.value > 0) bands.push({ name: "border", from: edge, to: edge + back.border.value, fill: "#e6e9ec" });
    bands.push({ name: "saw", from: edge + back.border.value, to: edge + back.border.value + back.sawMargin.value, fill: "#f2c48d" });
  }
  const whole = bands.at(-1)!.to;
  const x = (mm: number) => 14 + (mm / whole) * (width - 40);
  return (
    <div ref={ref} className="w-full overflow-hidden pt-1">
      <svg
        width={width}
        height={HEIGHT + 18}
        role="img"
        aria-label={bands.map(({ name, to }) => `${name} to ${showLength(to, "measured", units)}`).join(", ")}
      >
        <rect x={0} y={0} width={14} height={HEIGHT} fill="#7fc29b" />
        {bands.map(({ name, from, to, fill }, i) => (
          <g key={`${name}${from}`}>
            <rect x={x(from)} y={0} width={Math.max(0, x(to) - x(from))} height={HEIGHT} fill={fill} stroke="#6f7a7e" strokeWidth={0.8} />
            {x(to) - x(from) > name.length * LETTER + 4 && (
              <text
                x={(x(from) + x(to)) / 2}
                y={HEIGHT - 8}
                textAnchor="middle"
                fontSize={11.5}
                fill={name === "wall" ? "#fff" : "#333f43"}
              >
                {name}
              </text>
            )}
            {(i === bands.length - 1 || x(bands[i + 1]!.to) - x(to) > ROOM) && (
              <text x={x(to)} y={HEIGHT + 14} textAnchor="middle" fontSize={11.5} fontWeight={620} fill="#1b2225">
                {showLength(to, "measured", units)}
              </text>
            )}
          </g>
        ))}
      </svg>
    </div>
  );
}
