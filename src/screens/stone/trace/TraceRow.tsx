"use client";

import { type ReactNode } from "react";

interface Props {
  readonly label: ReactNode;
  readonly hint?: string | undefined;
  readonly children: ReactNode;
}

/** One thing that was found or is asked, with what it is called. */
export function TraceRow({ label, hint, children }: Props) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-2 gap-y-1 border-t border-hair py-1.5 text-sm">
      <span className="min-w-28 flex-1 leading-tight">
        {label}
        {hint && <small className="narrow block text-xs text-soft">{hint}</small>}
      </span>
      {children}
    </div>
  );
}
