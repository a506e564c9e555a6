import { type Template } from "@/formats/templates/sheet";
import { svgPath } from "@/formats/templates/svg";

const DASHES = { cut: undefined, edge: "1.2 0.6", mark: "0.4 0.4" } as const;

interface Props {
  readonly template: Template;
  /** mm of the template's own that lie at the picture's left and top. */
  readonly left: number;
  readonly top: number;
  /** How large words are to the size they are printed in. */
  readonly ofSize?: number;
}

/** A template's lines and the words at its marks, in mm from the left and down. */
export function Lines({ template: { lines, labels }, left, top, ofSize = 1 }: Props) {
  return (
    <>
      {lines.map(({ curve, isClosed, kind }, i) => (
        <path
          key={i}
          d={svgPath(curve, isClosed, left, top)}
          fill={kind === "edge" ? "var(--color-print-wash)" : "none"}
          fillOpacity={0.6}
          stroke={kind === "mark" ? "var(--color-metal-edge)" : "var(--color-ink)"}
          strokeWidth={kind === "cut" ? 0.2 : 0.12}
          strokeDasharray={DASHES[kind]}
        />
      ))}
      {labels.map(({ at: [x, y], text, size, isMiddle }, i) => (
        <text
          key={i}
          x={x - left}
          y={top - y}
          fontSize={size * ofSize}
          textAnchor={isMiddle ? "middle" : "start"}
          fill="var(--color-metal-deep)"
        >
          {text}
        </text>
      ))}
    </>
  );
}
