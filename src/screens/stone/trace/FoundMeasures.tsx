"use client";

import { useMemo } from "react";
import { nearestRegular } from "@/core/stone/fit";
import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";
import { laidBy, levelTurn } from "@/core/trace/laid";
import { useUnits } from "@/ui/tray";
import { scatterText, traceMeasuresText } from "@/words/screens/trace";
import { showLength, withUnit } from "@/words/show";
import { stoneSize } from "@/words/stone-size";
import { TraceRow } from "./TraceRow";
import { PointMeasures } from "./PointMeasures";
import { type Tracing } from "./tracing";

interface Props {
  readonly tracing: Tracing;
  readonly onUse: (regular?: OutlineShape) => void;
}

/** The outline that was found from above, and what it is taken as. */
export function FoundMeasures({ tracing, onUse }: Props) {
  const units = useUnits();
  const { outline, traced, isLevel } = tracing;
  const laid = useMemo(() => {
    if (!outline) return null;
    const turn = isLevel ? levelTurn(outline) : 0;
    const { outline: shape } = laidBy(outline, turn, { width: 0, height: 0, middle: [0, 0], pxPerMm: 1 });
    const whole = outlineOfShape(shape);
    return { whole, fit: nearestRegular(whole) };
  }, [outline, isLevel]);
  if (!laid || !traced) return null;
  const { whole, fit } = laid;
  return (
    <>
      <h2 className="section-head">{traceMeasuresText.trace}</h2>
      <TraceRow label={traceMeasuresText.round} hint={traceMeasuresText.scatter(scatterText(traced.scatter, units))}>
        <b className="font-semibold">{withUnit(whole.perimeter, "measured", units)}</b>
      </TraceRow>
      <TraceRow label={traceMeasuresText.size}>
        <b className="font-semibold">
          {showLength(whole.extent(0), "measured", units)} × {withUnit(whole.extent(Math.PI / 2), "measured", units)}
        </b>
      </TraceRow>
      <PointMeasures tracing={tracing} />
      <TraceRow label={<label htmlFor="trace-level">{traceMeasuresText.level}</label>} hint={traceMeasuresText.levelHint}>
        <input id="trace-level" type="checkbox" checked={isLevel} onChange={(event) => tracing.setLevel(event.target.checked)} />
      </TraceRow>
      <p className="pt-1 text-xs text-soft">{traceMeasuresText.notIt}</p>
      <div className="mt-2 flex flex-col gap-1.5">
        <button type="button" className="btn btn-main justify-center" onClick={() => onUse()}>
          {traceMeasuresText.use}
        </button>
        <p className="text-sm text-soft">
          {traceMeasuresText.nearest} <b className="font-semibold text-ink">{stoneSize(fit.shape, units)}</b>
          {traceMeasuresText.offBy(withUnit(fit.off, "measured", units))}
        </p>
        <button type="button" className="btn justify-center" onClick={() => onUse(fit.shape)}>
          {traceMeasuresText.useShape(stoneSize(fit.shape, units))}
        </button>
      </div>
    </>
  );
}
