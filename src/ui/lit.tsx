"use client";

import { type ReactNode, createContext, useContext, useMemo, useState } from "react";

interface Lit {
  readonly what: string | null;
  readonly light: (what: string | null) => void;
}

const LitContext = createContext<Lit>({ what: null, light: () => undefined });

/** Shares what is pointed at between the measures and the drawing of a stage. */
export function LitProvider({ children }: { readonly children: ReactNode }) {
  const [what, light] = useState<string | null>(null);
  const value = useMemo(() => ({ what, light }), [what]);
  return <LitContext value={value}>{children}</LitContext>;
}

/** What is lit; null where nothing is. */
export function useLitWhat(): string | null {
  return useContext(LitContext).what;
}

/** Handlers that light `what` while it is pointed at or has the focus, and whether it is lit. */
export function useLit(what: string) {
  const { what: current, light } = useContext(LitContext);
  return {
    isLit: current === what,
    handlers: {
      onPointerEnter: () => light(what),
      onPointerLeave: () => light(null),
      onFocus: () => light(what),
      onBlur: () => light(null),
    },
  };
}
