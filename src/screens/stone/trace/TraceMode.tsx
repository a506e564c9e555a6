"use client";

import { type ReactNode, Suspense, lazy } from "react";
import { type Mount } from "@/core/piece/piece";
import { type Size } from "@/ui/useSize";

/** What takes the place of the stage's drawing and measures while a picture is traced. */
export interface TraceViews {
  readonly drawing: (size: Size) => ReactNode;
  readonly measures: ReactNode;
}

interface Props {
  readonly mount: Mount;
  readonly isOn: boolean;
  readonly onDone: () => void;
  readonly children: (views: TraceViews | null) => ReactNode;
}

const TraceViewsOf = lazy(() => import("./TraceViewsOf").then(({ TraceViewsOf }) => ({ default: TraceViewsOf })));

/** The stage with or without the tracer, which is fetched when it is first wanted. */
export function TraceMode({ mount, isOn, onDone, children }: Props) {
  if (!isOn) return children(null);
  return (
    <Suspense fallback={children(null)}>
      <TraceViewsOf mount={mount} onDone={onDone}>
        {children}
      </TraceViewsOf>
    </Suspense>
  );
}
