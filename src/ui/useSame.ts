import { useState } from "react";

/** What is made of some parts: the same object as long as none of them is another. */
export function useSame<T>(parts: readonly unknown[], make: () => T): T {
  const [kept, keep] = useState(() => ({ parts, value: make() }));
  if (kept.parts.length === parts.length && kept.parts.every((part, i) => Object.is(part, parts[i]))) return kept.value;
  const next = { parts, value: make() };
  keep(next);
  return next.value;
}
