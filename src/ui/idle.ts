import { useEffect } from "react";

/** Time in ms for what is on screen to come first. */
const AFTER = 1500;

/** Runs `work` once, when the page stands and has nothing else to do: what is fetched is then there when it is asked for. */
export function useWhenIdle(work: () => unknown): void {
  useEffect(() => {
    let asked = 0;
    const wait = setTimeout(() => (asked = requestIdleCallback(() => void work())), AFTER);
    return () => {
      clearTimeout(wait);
      cancelIdleCallback(asked);
    };
  }, [work]);
}
