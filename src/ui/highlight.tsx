"use client";

import { type ReactNode, createContext, useContext, useMemo, useState } from "react";

interface Highlight {
  readonly what: string | null;
  readonly light: (what: string | null) => void;
}

const HighlightContext = createContext<Highlight>({ what: null, light: () => undefined });

/** Shares what is pointed at between the measures and the drawing of a stage. */
export function HighlightProvider({ children }: { readonly children: ReactNode }) {
  const [what, light] = useState<string | null>(null);
  const value = useMemo(() => ({ what, light }), [what]);
  return <HighlightContext value={value}>{children}</HighlightContext>;
}

/** What is lit; null where nothing is. */
export function useHighlighted(): string | null {
  return useContext(HighlightContext).what;
}

/** Handlers that light `what` while it is pointed at or has the focus, and whether it is lit. */
export function useHighlight(what: string) {
  const { what: current, light } = useContext(HighlightContext);
  return {
    isHighlighted: current === what,
    handlers: {
      onPointerEnter: () => light(what),
      onPointerLeave: () => light(null),
      onFocus: () => light(what),
      onBlur: () => light(null),
    },
  };
}
