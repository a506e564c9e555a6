"use client";

import { useEffect, useState } from "react";

const SECOND = 1000;

/** The time now in ms, told anew at each second, or at each of so many ms, to the whole of it before. */
export function useNow(every = SECOND): number {
  const [now, setNow] = useState(() => whole(Date.now(), every));
  useEffect(() => {
    const tick = setInterval(() => setNow(whole(Date.now(), every)), SECOND);
    return () => clearInterval(tick);
  }, [every]);
  return now;
}

function whole(ms: number, every: number): number {
  return every === SECOND ? ms : Math.floor(ms / every) * every;
}
