import { plainId } from "@/formats/plain-id";

/** Room that is left for a number behind. */
const STEM = 26;

/** A free id made from a name: "Tern ring" is "tern-ring", or "tern-ring-2" where that is taken. */
export function freeId(taken: ReadonlySet<string>, name: string): string {
  const stem = (plainId(name) || "piece").slice(0, STEM).replace(/-+$/, "");
  if (!taken.has(stem)) return stem;
  for (let n = 2; ; n++) if (!taken.has(`${stem}-${n}`)) return `${stem}-${n}`;
}

let made = 0;

/** An id that no other thing of this device has: also where a page that is not served securely has no random ones. */
export function newId(): string {
  made++;
  return `${Date.now().toString(36)}-${made.toString(36)}-${Math.floor(Math.random() * 2 ** 32).toString(36)}`;
}
