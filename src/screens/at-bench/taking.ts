import { createContext, useContext, useEffect, useRef } from "react";

/** Takes what is typed in a field; returns whether the step can go on: what cannot be read, or is doubtful, says so there and stops it. */
export type Take = () => boolean;

/** The fields of a step that hold something typed. */
export interface Taking {
  /** Takes what is typed in every field, in their order; the first that stops it is given the focus. */
  readonly takeAll: () => boolean;
  /** Adds a field. Returns how to leave. */
  readonly join: (take: Take) => () => void;
}

export function newTaking(): Taking {
  const fields = new Set<Take>();
  return {
    takeAll: () => [...fields].every((take) => take()),
    join: (take) => {
      fields.add(take);
      return () => void fields.delete(take);
    },
  };
}

export const TakingContext = createContext<Taking>(newTaking());

/** Lets a step that is done take first what is typed in this field, wherever the focus is. */
export function useTaking(take: Take): void {
  const taking = useContext(TakingContext);
  const now = useRef(take);
  useEffect(() => {
    now.current = take;
  });
  useEffect(() => taking.join(() => now.current()), [taking]);
}
