import { useEffect } from "react";

/** Time in ms for what is on screen to come first. */
const AFTER = 1500;
/** The browser gives at least this long (ms) only where no frame is to be drawn next. */
const REST = 20;
/** What a screen shows less without is put off no longer than this (ms). */
export const WANTED = 5000;

/** Resolves once the page rests, so that what is done then holds up no key, no drag and no scrolling; or else after `longest` ms. */
export function atRest(longest = Infinity): Promise<void> {
  const start = performance.now();
  return new Promise((resolve) => {
    const wait = () => requestIdleCallback(look, Number.isFinite(longest) ? { timeout: longest } : {});
    const look = (idle: IdleDeadline) => {
      if (idle.timeRemaining() > REST || performance.now() - start > longest) resolve();
      else wait();
    };
    wait();
  });
}

/** Runs `work` once, when the page stands and rests, or else `longest` ms later: what is fetched is then there when it is asked for. */
export function useWhenIdle(work: () => unknown, longest = Infinity): void {
  useEffect(() => {
    let isGone = false;
    const set = setTimeout(() => void atRest(longest).then(() => isGone || work()), AFTER);
    return () => {
      isGone = true;
      clearTimeout(set);
    };
  }, [work, longest]);
}
