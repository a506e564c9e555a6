const LONGEST = 32;

/** A free id made from a name: "Tern ring" is "tern-ring", or "tern-ring-2" where that is taken. */
export function freeId(taken: ReadonlySet<string>, name: string): string {
  const plain = name
    .normalize("NFKD")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^[^a-z]+|-+$/g, "");
  const stem = (plain || "piece").slice(0, LONGEST - 6).replace(/-+$/, "");
  if (!taken.has(stem)) return stem;
  for (let n = 2; ; n++) if (!taken.has(`${stem}-${n}`)) return `${stem}-${n}`;
}
