import {
  type Change,
  RepositoryError,
  type Repository,
  type Outcome,
  type StoreName,
  type Stores,
  begunLastFirst,
  idIn,
  newestFirst,
} from "./repository";
import { settled } from "./settled";

/** Keeps everything until the page is closed, where the browser keeps nothing itself. */
export function memoryKeeper(): Repository {
  let kept = {
    pieces: new Map<string, Stores["pieces"]>(),
    makes: new Map<string, Stores["makes"]>(),
    settings: new Map<string, Stores["settings"]>(),
    drafts: new Map<string, Stores["drafts"]>(),
    pending: new Map<string, Stores["pending"]>(),
    tries: new Map<string, Stores["tries"]>(),
    cuts: new Map<string, Stores["cuts"]>(),
  };
  const read = <S extends StoreName>(store: S) => [...(kept[store] as Map<string, Stores[S]>).values()];
  const newest = () => read("pieces").sort(newestFirst);
  const found = <R>(records: readonly R[]) => Promise.resolve({ records, unreadable: [] });
  return {
    kind: "memory",
    lost: new Promise(() => undefined),
    wasCleared: () => false,
    pieces: () => found(read("pieces")),
    newest: (count) => Promise.resolve({ records: newest().slice(0, count), unreadable: [], of: kept.pieces.size }),
    ids: () => Promise.resolve(newest().map(({ id }) => id)),
    piece: (id) => Promise.resolve(kept.pieces.get(id) ?? null),
    makes: () => found(read("makes")),
    newestMakes: (count) =>
      Promise.resolve({ records: read("makes").sort(begunLastFirst).slice(0, count), unreadable: [], of: kept.makes.size }),
    makesOf: (piece) => Promise.resolve(read("makes").filter((each) => each.piece === piece)),
    bench: () => found(read("settings")),
    cuts: () => found(read("cuts")),
    tries: () => found(read("tries")),
    triesOf: (piece) => found(read("tries").filter((each) => each.piece === piece)),
    pending: () => Promise.resolve(read("pending").map(({ id }) => id)),
    drafts: (piece) => Promise.resolve(read("drafts").filter((each) => each.piece === piece)),
    write: async (changes, { onDone, signal } = {}) => {
      const next = {
        pieces: new Map(kept.pieces),
        makes: new Map(kept.makes),
        settings: new Map(kept.settings),
        drafts: new Map(kept.drafts),
        pending: new Map(kept.pending),
        tries: new Map(kept.tries),
        cuts: new Map(kept.cuts),
      };
      const outcomes = changes.map((change, i): Outcome => {
        if (signal?.aborted) throw new RepositoryError("stopped", null);
        const store = next[change.store] as Map<string, Stores[StoreName]>;
        const outcome = settled(change, keptFor(change, next), keptFor(change, next).length > 0);
        if ("remove" in change) store.delete(String(change.remove));
        else if (outcome.ok && outcome.record) store.set(outcome.record.id, outcome.record);
        onDone?.(i + 1);
        return outcome;
      });
      kept = next;
      return Promise.resolve(outcomes);
    },
  };
}

function keptFor(change: Change, kept: { readonly [S in StoreName]: Map<string, Stores[S]> }): Stores[StoreName][] {
  if ("remove" in change) return [];
  if ("piece" in change && change.only === null) return [...kept.makes.values()].filter(({ piece }) => piece === change.piece);
  const now = kept[change.store].get(idIn(change));
  return now ? [now] : [];
}
