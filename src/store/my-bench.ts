import { type BenchEntry, SHIPPED_BENCH } from "@/core/piece/bench";
import { type BenchChange, type BenchRecipe, changeOf, changed, takenBack } from "./bench-changes";
import { clearJournal, writeJournal } from "./journal";
import { type Change } from "./repository";
import { newId } from "./ids";
import { MOST_UNDO, type TrayBase, isTold, now } from "./tray-state";

/** The maker's bench: changed value by value, so that two windows can change it at once, and undone. */
export function benchOn({ repository, store, write, reading, noteUnreadable }: TrayBase) {
  const get = store.getState;
  /** The bench as changes leave it that are not all kept yet: one made meanwhile is made to that. */
  let ahead: BenchEntry | null = null;
  let underWay = 0;
  const undone: { past: BenchChange[]; future: BenchChange[] } = { past: [], future: [] };

  async function readBench(): Promise<void> {
    const found = await reading(() => repository.bench());
    if (!found) return;
    const { records, unreadable } = found;
    noteUnreadable("settings", unreadable);
    store.setState({ bench: records[0]?.bench ?? SHIPPED_BENCH });
  }

  async function stepBench(way: "past" | "future"): Promise<string | null> {
    const change = undone[way].at(-1);
    if (!change) return null;
    const edits = way === "past" ? takenBack(change) : change;
    const problem = await keepBench(edits, (bench) => changed(bench, edits, true));
    undone[way].pop();
    if (problem === null) undone[way === "past" ? "future" : "past"].push(change);
    countBenchSteps();
    return problem;
  }

  function countBenchSteps(): void {
    store.setState({ benchSteps: { past: undone.past.length, future: undone.future.length } });
  }

  /** Returns why the bench is not kept so, or null. */
  async function keepBench(
    edits: BenchChange,
    next: (bench: BenchEntry) => BenchEntry | null,
    along: readonly Change[] = [],
  ): Promise<string | null> {
    const name = `bench-${Date.now()}-${newId()}`;
    if (repository.kind === "device") writeJournal(name, { kind: "bench", edits });
    try {
      const [put] = await write([benchChange((kept) => next(kept ?? SHIPPED_BENCH)), ...along]);
      return put?.ok ? null : "another window has changed it since";
    } catch (error) {
      isTold(error);
      return "it is not kept: see above";
    } finally {
      clearJournal(name);
    }
  }

  /** Changes the bench as it then is, and with it, or not at all, what belongs to the change. Returns why it cannot be, or null. */
  async function changeBench(recipe: BenchRecipe, along: readonly Change[] = []): Promise<string | null> {
    const before = ahead ?? get().bench;
    const made = changeOf(before, recipe);
    if (!made.ok) return made.problem;
    const { change } = made;
    if (change.length === 0) return null;
    ahead = changed(before, change);
    underWay++;
    const problem = await keepBench(change, (bench) => changed(bench, change), along).finally(() => {
      if (--underWay === 0) ahead = null;
    });
    if (problem !== null) return problem;
    undone.past = [...undone.past, change].slice(-MOST_UNDO);
    undone.future = [];
    countBenchSteps();
    return null;
  }

  return {
    readBench,
    changeBench,

    /** Takes another bench in place of the maker's. Returns why it cannot be, or null. */
    takeBench: (bench: BenchEntry) =>
      changeBench((each) => {
        for (const key of Object.keys(each)) delete (each as Record<string, unknown>)[key];
        Object.assign(each, bench);
      }),

    /** Takes the last change of the bench back. Returns why it cannot be, or null. */
    undoBench: () => stepBench("past"),
    redoBench: () => stepBench("future"),
  };
}

export function benchChange(next: (bench: BenchEntry | null) => BenchEntry | null): Change {
  return {
    store: "settings",
    id: "bench",
    change: (kept) => {
      const bench = next(kept?.bench ?? null);
      return bench && { id: "bench", bench, changed: now() };
    },
  };
}
