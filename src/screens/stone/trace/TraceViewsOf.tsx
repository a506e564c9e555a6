"use client";

import { type ReactNode, useState } from "react";
import { type Mount } from "@/core/piece/piece";
import { type TraceView } from "@/workers/trace/protocol";
import { TraceMeasures } from "./TraceMeasures";
import { type TraceViews } from "./TraceMode";
import { TracePicture } from "./TracePicture";
import { useSideReading } from "./side-reading";
import { useTracing } from "./tracing";

interface Props {
  readonly mount: Mount;
  readonly onDone: () => void;
  readonly children: (views: TraceViews) => ReactNode;
}

/** Tracing from above and from the side, as the two parts of a stage that share it. */
export function TraceViewsOf({ mount, onDone, children }: Props) {
  const [view, setView] = useState<TraceView>("above");
  const above = useTracing("above", null);
  const beside = useTracing("side", above.scale?.pxPerMm ?? null);
  const tracing = view === "side" ? beside : above;
  const side = useSideReading(beside.outline);
  return children({
    drawing: (size) => <TracePicture size={size} tracing={tracing} section={view === "side" ? side.reading?.section : undefined} />,
    measures: <TraceMeasures mount={mount} tracing={tracing} side={side} onView={setView} onDone={onDone} />,
  });
}
