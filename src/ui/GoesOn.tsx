"use client";

import { ChevronDown } from "lucide-react";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { goesOnText } from "@/words/ui";

/** What scrolls in its panel: while its end is out of sight, a line at the foot says that there is more, and brings it up. */
export function GoesOn({ children }: { readonly children: ReactNode }) {
  const end = useRef<HTMLDivElement>(null);
  const [isMore, setMore] = useState(false);
  useEffect(() => {
    const seen = new IntersectionObserver(([entry]) => setMore(entry?.isIntersecting === false));
    seen.observe(end.current!);
    return () => seen.disconnect();
  }, []);
  return (
    <>
      {children}
      <div ref={end} className="h-px" />
      {isMore && (
        <div aria-hidden="true" className="sticky -bottom-3 -mx-3.5 hidden h-0 lg:block">
          <button
            type="button"
            tabIndex={-1}
            onClick={() => end.current!.scrollIntoView({ block: "end" })}
            className="absolute inset-x-0 bottom-0 flex items-center justify-center gap-1 border-t border-line bg-paper py-1 text-xs text-soft hover:text-ink"
          >
            {goesOnText.moreBelow} <ChevronDown size={13} aria-hidden="true" />
          </button>
        </div>
      )}
    </>
  );
}
