import { useEffect, useState } from "react";

type Load<T> = () => Promise<T>;

const known = new Map<Load<unknown>, unknown>();

/** Fetches a part of the app, once. */
export async function fetchModule<T>(load: Load<T>): Promise<T> {
  const part = await load();
  known.set(load, part);
  return part;
}

/**
 * A part of the app that is fetched apart from the page, or null until it is there. It stands as soon as it has come, where a suspended one
 * would be held back for a while so as not to flicker.
 */
export function useModule<T>(load: Load<T>): T | null {
  const [, redraw] = useState(0);
  const [failure, setFailure] = useState<Error | null>(null);
  useEffect(() => {
    if (known.has(load)) return;
    let gone = false;
    fetchModule(load).then(
      () => !gone && redraw((n) => n + 1),
      (error: Error) => !gone && setFailure(error),
    );
    return () => {
      gone = true;
    };
  }, [load]);
  if (failure) throw failure;
  return (known.get(load) as T | undefined) ?? null;
}
