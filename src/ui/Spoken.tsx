"use client";

import { useEffect, useState } from "react";

/** Changes that follow each other faster than this are told as one (ms). */
const PAUSE = 700;

/** Tells a screen reader what a change has come to, once it has come to rest; what stands there first is not told. */
export function Spoken({ text }: { readonly text: string }) {
  const [first] = useState(text);
  const [told, tell] = useState("");
  useEffect(() => {
    if (text === first && told === "") return;
    const timer = setTimeout(() => tell(text), PAUSE);
    return () => clearTimeout(timer);
  }, [text, first, told]);
  return (
    <p aria-live="polite" className="sr-only">
      {told}
    </p>
  );
}
