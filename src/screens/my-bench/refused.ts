import { createContext, useContext, useEffect, useSyncExternalStore } from "react";

/** Texts that were refused and still stand in their fields, the last one last: undo takes them away before it takes an edit back. */
export interface Refused {
  readonly add: (clear: () => void) => () => void;
  /** Takes the last one away; false where there is none. */
  readonly takeLast: () => boolean;
  readonly count: () => number;
  readonly subscribe: (hear: () => void) => () => void;
}

export function newRefused(): Refused {
  let all: readonly (() => void)[] = [];
  const listeners = new Set<() => void>();
  const set = (next: typeof all) => {
    all = next;
    listeners.forEach((hear) => hear());
  };
  return {
    add: (clear) => {
      set([...all, clear]);
      return () => set(all.filter((each) => each !== clear));
    },
    takeLast: () => {
      const last = all.at(-1);
      last?.();
      return last !== undefined;
    },
    count: () => all.length,
    subscribe: (hear) => {
      listeners.add(hear);
      return () => void listeners.delete(hear);
    },
  };
}

export const RefusedContext = createContext<Refused>(newRefused());

export function useRefusedCount(refused: Refused): number {
  return useSyncExternalStore(refused.subscribe, refused.count, () => 0);
}

/** Lets undo take a refused text away for as long as it stands. */
export function useRefused(isRefused: boolean, clear: () => void): void {
  const refused = useContext(RefusedContext);
  useEffect(() => (isRefused ? refused.add(clear) : undefined), [isRefused, refused, clear]);
}
