import { type TryFile } from "@/formats/flame-file";
import { type TryRecord, type Unreadable, type Unrevised } from "./repository";
import { tryRecord } from "./restoring";
import { type TrayBase } from "./tray-state";

/** Tries at the torch: kept with the maker, read for one piece at a time. */
export function triesOn({ repository, store, write, reading, noteUnreadable, inTrouble }: TrayBase) {
  /** Tries of this page that could not be kept: shown for as long as it stands. */
  const unkept = new Map<string, Unrevised<TryRecord>>();
  const unreadable = new Map<string, readonly Unreadable[]>();

  async function readTries(piece: string): Promise<void> {
    const found = await reading(() => repository.triesOf(piece));
    if (!found) return;
    unreadable.set(piece, found.unreadable);
    noteUnreadable("tries", [...unreadable.values()].flat());
    show(piece, found.records);
  }

  function show(piece: string, kept: readonly Unrevised<TryRecord>[]): void {
    const ids = new Set(kept.map(({ id }) => id));
    const own = [...unkept.values()].filter((each) => each.piece === piece && !ids.has(each.id));
    const all = [...kept, ...own].sort((a, b) => (a.changed < b.changed ? 1 : -1));
    store.setState(({ tries }) => ({ tries: { ...tries, [piece]: all } }));
  }

  return {
    readTries,

    /** What changed is read again for the pieces whose tries are known. */
    async readAgain(): Promise<void> {
      await Promise.all(Object.keys(store.getState().tries).map(readTries));
    },

    /** Keeps a try that is over. It stands on the page at once, also where it cannot be kept. @throws RepositoryError */
    async keepTry(tried: TryFile, lines: TryRecord["lines"]): Promise<void> {
      const record = tryRecord(tried, lines);
      unkept.set(record.id, record);
      show(record.piece, store.getState().tries[record.piece] ?? []);
      const [put] = await write([{ store: "tries", put: record, madeOn: null }]);
      if (!put?.ok) return inTrouble("failed");
      unkept.delete(record.id);
    },

    /** Removes a try. Returns how to have it back, for as long as the page is open. @throws RepositoryError */
    async removeTry(id: string): Promise<() => Promise<void>> {
      const record = Object.values(store.getState().tries)
        .flat()
        .find((each) => each.id === id);
      if (!record) return () => Promise.resolve();
      unkept.delete(id);
      await write([{ store: "tries", remove: id }]);
      return () => write([{ store: "tries", put: record, madeOn: null }]).then(() => undefined);
    },
  };
}
