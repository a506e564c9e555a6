import { useEffect } from "react";

/** Time in ms for what is on screen to come first. */
const AFTER = 1500;
/** The browser gives at least this long (ms) only where no frame is to be drawn next. */
const REST = 20;
/** So soon (ms) after a key or a move of the hand the next one is awaited. */
const PAUSE = 400;
const HANDS = ["keydown", "pointerdown", "pointermove", "wheel", "scroll"];
/** What a screen shows less without is put off no longer than this (ms). */
export const WANTED = 5000;

let lastTouched = -Infinity;
let isHearing = false;

function hearHands(): void {
  if (isHearing) return;
  isHearing = true;
  HANDS.forEach((each) => addEventListener(each, () => (lastTouched = performance.now()), { capture: true, passive: true }));
}

/** Resolves once the page and the hands rest, so that what is done then holds up no key, no drag and no scrolling; or else after `longest` ms. */
export function atRest(longest = Infinity): Promise<void> {
  hearHands();
  const end = performance.now() + longest;
  return new Promise((resolve) => {
    const wait = () => requestIdleCallback(look, Number.isFinite(longest) ? { timeout: longest } : {});
    const look = (idle: IdleDeadline) => {
      const now = performance.now();
      const pause = Math.min(lastTouched + PAUSE, end) - now;
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
    const set = setTimeout(() => void atRest(longest).then(() => isGone || work()), AFTER);
    return () => {
      isGone = true;
      clearTimeout(set);
    };
  }, [work, longest]);
}
