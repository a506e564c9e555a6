"use client";

import { traceMeasuresText } from "@/words/screens/trace";
import { TraceRow } from "./TraceRow";
import { type Tracing } from "./tracing";

/** What of the edge is doubtful, and what can be done to the points on it. */
export function PointMeasures({ tracing }: { readonly tracing: Tracing }) {
  const { traced, undo } = tracing;
  if (!traced) return null;
  return (
    <>
      {traced.doubtfulShare > 0 && (
        <p className="text-xs text-warn">○ {traceMeasuresText.doubtful(Math.max(1, Math.round(traced.doubtfulShare * 100)).toString())}</p>
      )}
      <TraceRow label={traceMeasuresText.points} hint={traceMeasuresText.pointsHint}>
        <span className="flex gap-1">
          <button type="button" className="btn btn-small" disabled={!undo} onClick={() => undo?.()}>
            {traceMeasuresText.undo}
          </button>
          <button type="button" className="btn btn-small" onClick={tracing.smooth}>
            {traceMeasuresText.smooth}
          </button>
        </span>
      </TraceRow>
    </>
  );
}
