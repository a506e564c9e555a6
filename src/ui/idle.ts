import { useEffect } from "react";

/** Time in ms for what is on screen to come first. */
const AFTER = 1500;
/** The browser gives at least this long (ms) only where no frame is to be drawn next. */
const REST = 20;
/** Rest is waited for no longer than this (ms). */
const LONGEST = 5000;

/** Resolves once the page rests, so that what is done then holds up no drag and no scrolling. */
export function atRest(): Promise<void> {
  const start = performance.now();
  return new Promise((resolve) => {
    const wait = () => requestIdleCallback(look, { timeout: LONGEST });
    const look = (idle: IdleDeadline) => {
      if (idle.timeRemaining() > REST || performance.now() - start > LONGEST) resolve();
      else wait();
    };
    wait();
  });
}

/** Runs `work` once, when the page stands and rests: what is fetched is then there when it is asked for. */
export function useWhenIdle(work: () => unknown): void {
  useEffect(() => {
    let isGone = false;
    const set = setTimeout(() => void atRest().then(() => isGone || work()), AFTER);
    return () => {
      isGone = true;
      clearTimeout(set);
    };
  }, [work]);
}
