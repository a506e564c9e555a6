/** Whether two values hold the same, in whatever order they name it. */
export function isSame(one: object, other: object): boolean {
  return JSON.stringify(one) === JSON.stringify(other) || told(one) === told(other);
}

/** A value as a text in which its fields stand in order. */
export function told(value: unknown): string {
  return JSON.stringify(ordered(value)) ?? "";
}

function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (typeof value !== "object" || value === null) return value;
  const entries = Object.entries(value).filter(([, each]) => each !== undefined);
  return Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, each]) => [key, ordered(each)]));
}
