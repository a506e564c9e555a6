import { useEffect } from "react";

/** Time in ms for what is on screen to come first. */
const AFTER = 1500;
/** The browser gives at least this long (ms) only where no frame is to be drawn next. */
const REST = 20;
/** So soon (ms) after a key or a move of the hand the next one is awaited. */
const PAUSE = 400;
const INPUT_EVENTS = ["keydown", "pointerdown", "pointermove", "wheel", "scroll"];
/** What a screen shows less without is put off no longer than this (ms). */
export const IDLE_TIMEOUT = 5000;

let lastInputAt = -Infinity;
let isHearing = false;

function trackInput(): void {
  if (isHearing) return;
  isHearing = true;
  INPUT_EVENTS.forEach((each) => addEventListener(each, () => (lastInputAt = performance.now()), { capture: true, passive: true }));
}

/** Resolves once the page and the hands rest, so that what is done then holds up no key, no drag and no scrolling; or else after `longest` ms. */
export function whenIdle(longest = Infinity): Promise<void> {
  trackInput();
  const end = performance.now() + longest;
  return new Promise((resolve) => {
    const wait = () => requestIdleCallback(look, Number.isFinite(longest) ? { timeout: longest } : {});
    const look = (idle: IdleDeadline) => {
      const now = performance.now();
      const pause = Math.min(lastInputAt + PAUSE, end) - now;
      if (pause > 0) setTimeout(wait, pause);
      else if (idle.timeRemaining() > REST || now > end) resolve();
      else wait();
    };
    wait();
  });
}

/** Runs `work` once, when the page stands and rests, or else `longest` ms later: what is fetched is then there when it is asked for. */
export function useWhenIdle(work: () => unknown, longest = Infinity): void {
  useEffect(() => {
    let isGone = false;
    const set = setTimeout(() => void whenIdle(longest).then(() => isGone || work()), AFTER);
    return () => {
      isGone = true;
      clearTimeout(set);
    };
  }, [work, longest]);
}
