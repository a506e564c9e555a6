import { useState } from "react";
import { isSame } from "@/core/measure/same";

/** What is made of some parts: the same object as long as none of them is another, or what is made of others holds the same. */
export function useSame<T extends object | null>(parts: readonly unknown[], make: () => T): T {
  const [kept, keep] = useState(() => ({ parts, value: make() }));
  if (kept.parts.length === parts.length && kept.parts.every((part, i) => Object.is(part, parts[i]))) return kept.value;
  const made = make();
  const value = kept.value && made && isSame(kept.value, made) ? kept.value : made;
  keep({ parts, value });
  return value;
}
