"use client";

import { outlineOfShape } from "@/core/stone/shapes/shapes";
import { type DrawnOutline } from "@/core/trace/drawn";
import { type Drawing } from "@/formats/drawings/drawing";
import { Shape } from "@/ui/Drawing";
import { useUnits } from "@/ui/tray";
import { leftOutText } from "@/words/drawings";
import { traceMeasuresText } from "@/words/screens/trace";
import { showLength, withUnit } from "@/words/show";
import { stoneSize } from "@/words/stone-size";

interface Props {
  readonly drawing: Drawing;
  readonly onUse: (outline: DrawnOutline["outline"]) => void;
}

/** The closed outlines of a drawing, each with its picture. */
export function DrawnOutlines({ drawing: { outlines, leftOut }, onUse }: Props) {
  return (
    <>
      <h2 className="section-head">{traceMeasuresText.outlines(outlines.length)}</h2>
      <ul className="flex flex-col">
        {outlines.map((each, i) => (
          <li key={i} className="flex items-center gap-2.5 border-t border-hair py-1.5 text-sm">
            <Thumbnail drawn={each} />
            <DrawnSize drawn={each} />
            <button type="button" className={`btn btn-small ml-auto ${i === 0 ? "btn-main" : ""}`} onClick={() => onUse(each.outline)}>
              {traceMeasuresText.useIt}
            </button>
          </li>
        ))}
      </ul>
      {leftOut.length > 0 && (
        <p className="border-t border-hair pt-1.5 text-xs text-soft">
          {traceMeasuresText.leftOut} {leftOut.map(leftOutText).join("; ")}.
        </p>
      )}
    </>
  );
}

function DrawnSize({ drawn }: { readonly drawn: DrawnOutline }) {
  const units = useUnits();
  const { extent } = outlineOfShape(drawn.outline);
  return (
    <span>
      <b className="font-semibold">{drawn.outline.shape === "free" ? traceMeasuresText.freeForm : stoneSize(drawn.outline, units)}</b>
      <small className="block text-xs text-soft">
        {showLength(extent(0), "measured", units)} × {withUnit(extent(Math.PI / 2), "measured", units)}
      </small>
    </span>
  );
}

const THUMBNAIL = 44;

function Thumbnail({ drawn }: { readonly drawn: DrawnOutline }) {
  const { extent, stations } = outlineOfShape(drawn.outline);
  const scale = (THUMBNAIL - 6) / Math.max(extent(0), extent(Math.PI / 2));
  return (
    <svg width={THUMBNAIL} height={THUMBNAIL} aria-hidden="true" className="flex-none">
      <g transform={`translate(${THUMBNAIL / 2} ${THUMBNAIL / 2}) scale(${scale} ${-scale})`}>
        <Shape
          points={stations.map(({ x, y }) => [x, y] as const)}
          fill="var(--color-sage-pale)"
          stroke="var(--color-ink)"
          strokeWidth={1}
        />
      </g>
    </svg>
  );
}
