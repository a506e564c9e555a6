import { plainId } from "@/formats/plain-id";

/** Room that is left for a number behind. */
const STEM = 26;

/** A free id made from a name: "Tern ring" is "tern-ring", or "tern-ring-2" where that is taken. */
export function freeId(taken: ReadonlySet<string>, name: string): string {
  const stem = (plainId(name) || "piece").slice(0, STEM).replace(/-+$/, "");
  if (!taken.has(stem)) return stem;
  for (let n = 2; ; n++) if (!taken.has(`${stem}-${n}`)) return `${stem}-${n}`;
}
