import { type Change, type MakeRecord, type Outcome, type StoreName, type Stores, type Unrevised } from "./repository";
import { checkRecord } from "./read-kept";

/** What is put for a change, given what is kept where it goes (`isThere` also where that cannot be read), and what became of it. */
export function settled(change: Change, kept: readonly Stores[StoreName][], isThere: boolean): Outcome {
  if ("remove" in change) return { ok: true, record: null };
  if ("change" in change) {
    if (isThere && kept.length === 0 && change.store !== "makes") return { ok: false, newer: null };
    const next =
      change.store === "makes"
        ? change.change(kept as readonly MakeRecord[])
        : (change.change as (kept: Stores[StoreName] | null) => Unrevised<Stores[StoreName]> | null)(kept[0] ?? null);
    if (!next) return { ok: false, newer: kept[0] ?? null };
    return readable(change.store, next, kept.find(({ id }) => id === next.id) ?? null);
  }
  const [now] = kept;
  const isFree = change.madeOn === "any" || (now ? now.revision === change.madeOn : change.madeOn === null && !isThere);
  return isFree ? readable(change.store, change.put, now ?? null) : { ok: false, newer: now ?? null };
}

/** What is put passes the decoder that reads it back, so that no edit makes a record that is set aside later. */
function readable(store: StoreName, next: Unrevised<Stores[StoreName]>, now: Stores[StoreName] | null): Outcome {
  const record = { ...next, revision: (now?.revision ?? 0) + 1 };
  const read = checkRecord(store, record);
  return read.ok ? { ok: true, record: read.value } : { ok: false, newer: now, faults: read.faults };
}
