import { useEffect, useState, useSyncExternalStore } from "react";

type Load<T> = () => Promise<T>;

const known = new Map<Load<unknown>, unknown>();
const listeners = new Set<() => void>();

/** Fetches a part of the app, once. */
export async function fetchModule<T>(load: Load<T>): Promise<T> {
  const part = await load();
  known.set(load, part);
  listeners.forEach((hear) => hear());
  return part;
}

function hear(told: () => void): () => void {
  listeners.add(told);
  return () => listeners.delete(told);
}

/** A lazy-loaded module, or null until it has loaded. It renders as soon as it arrives; Suspense would delay it to avoid flicker. */
export function useModule<T>(load: Load<T>): T | null {
  const part = useSyncExternalStore(
    hear,
    () => known.get(load) as T | undefined,
    () => undefined,
  );
  const [failure, setFailure] = useState<Error | null>(null);
  useEffect(() => {
    if (!known.has(load)) fetchModule(load).catch(setFailure);
  }, [load]);
  if (failure) throw failure;
  return part ?? null;
}
