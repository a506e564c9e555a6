"use client";

import { type ReactNode } from "react";
import { type Mount } from "@/core/piece/piece";
import { TraceMeasures } from "./TraceMeasures";
import { type TraceViews } from "./TraceMode";
import { TracePicture } from "./TracePicture";
import { useTracing } from "./tracing";

interface Props {
  readonly mount: Mount;
  readonly onDone: () => void;
  readonly children: (views: TraceViews) => ReactNode;
}

/** Tracing, as the two parts of a stage that share it. */
export function TraceViewsOf({ mount, onDone, children }: Props) {
  const tracing = useTracing(mount, onDone);
  return children({
    drawing: (size) => <TracePicture size={size} tracing={tracing} />,
    measures: <TraceMeasures tracing={tracing} />,
  });
}
