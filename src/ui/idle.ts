import { useEffect } from "react";

/** Time in ms for what is on screen to come first. */
const AFTER = 1500;
/** An idle deadline above this (ms) means that no frame is pending. */
const REST = 20;
/** Input less than this long ago (ms) means that the user is still active. */
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

/**
 * Resolves in an idle callback after a pause in user input, so that background work never delays a key press, a drag or scrolling. `longest` (ms)
 * caps the wait.
 */
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

/** Runs `work` once after the first render, when the page is idle (or after `longest` ms). Used to prefetch modules before they are needed. */
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
