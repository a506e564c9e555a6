import { type BenchEntry, withBench } from "@/core/piece/bench";
import { type Make, isUnderWay } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { clearJournal, writeJournal } from "./journal";
import { type Change, type MakeRecord } from "./keeper";
import { type MakeEdit, edited, merged, setting, takenBack, ticking } from "./make-edits";
import { makeRecord } from "./restoring";
import { MOST_UNDO, type MakeSteps, type Makes, NO_STEPS, type TrayBase, isTold, now, underWay } from "./tray-state";

/** Makings that stand there before the rest is read. */
const FIRST_SHOWN = 60;
/** Past so many the whole store is read again rather than each. */
const MOST_ONE_BY_ONE = 40;

/** The makings of a tray: changed one by one, whatever other windows change meanwhile. */
export function makingsOn({ keeper, store, write, noteUnreadable }: TrayBase) {
  const get = store.getState;
  let kept: Makes = {};
  /** Makings that were begun of pieces as they are, and are perhaps not kept yet. */
  const begun = new WeakMap<Piece, Make>();
  const beingKept = new Set<{ readonly make: Make; readonly edit: MakeEdit }>();

  /** All of them. */
  async function readMakes(): Promise<void> {
    const { records, unreadable } = await keeper.makes();
    noteUnreadable("makes", unreadable);
    kept = makesOf(records);
    store.setState({ areMakesWhole: true });
    showMakes();
  }

  /** Those that were begun last. */
  async function readNewestMakes(): Promise<void> {
    const { records, of } = await keeper.newestMakes(FIRST_SHOWN);
    kept = { ...makesOf(records), ...kept };
    if (records.length >= of) store.setState({ areMakesWhole: true });
    showMakes();
  }

  /** All of these pieces, as they are kept now. */
  async function readMakesOf(pieces: readonly string[]): Promise<void> {
    if (pieces.length > MOST_ONE_BY_ONE) return readMakes();
    const read = await Promise.all(pieces.map(async (piece) => [piece, await keeper.makesOf(piece)] as const));
    const now = (piece: string, records: readonly MakeRecord[]) =>
      (makesOf(records)[piece] ?? []).map((make) => asKnown(make, kept[piece]));
    const all = { ...kept, ...Object.fromEntries(read.map(([piece, records]) => [piece, now(piece, records)])) };
    kept = Object.fromEntries(Object.entries(all).filter(([, of]) => of.length > 0));
    showMakes();
  }

  /** What is kept, with the changes that are being kept now. */
  function showMakes(): void {
    const makes: Record<string, readonly Make[]> = { ...kept };
    for (const { make, edit } of beingKept) {
      const all = makes[make.piece] ?? [];
      const at = all.findIndex(({ id }) => id === make.id);
      makes[make.piece] = at < 0 ? [edited(make, edit), ...all] : all.with(at, edited(all[at]!, edit));
    }
    store.setState({ makes });
  }

  /** Writes a change down at once, and shows it before it is kept. Returns whether it is. */
  async function keepEdit(make: Make, edit: MakeEdit, steps: MakeSteps): Promise<boolean> {
    const name = `making-${make.id}-${crypto.randomUUID().slice(0, 8)}`;
    if (keeper.kind === "device") writeJournal(name, { kind: "making", piece: make.piece, make, edit });
    const change = { make, edit };
    const before = get().makeSteps[make.id] ?? NO_STEPS;
    const setSteps = (of: MakeSteps) => store.setState(({ makeSteps }) => ({ makeSteps: { ...makeSteps, [make.id]: of } }));
    beingKept.add(change);
    showMakes();
    setSteps(steps);
    try {
      const [put] = await write([makeChange(make, edit, now())]);
      if (put?.ok && put.record && put.record.id !== make.id) moveSteps(make.id, put.record.id);
      return true;
    } catch (error) {
      isTold(error);
      setSteps(before);
      beingKept.delete(change);
      return false;
    } finally {
      clearJournal(name);
      // Until it is read back it stays laid over what is known: a change beside it would else show it as never made.
      await readMakesOf([make.piece]).finally(() => beingKept.delete(change));
      showMakes();
    }
  }

  /** What was done in a making that another window had begun already is taken back in that one. */
  function moveSteps(from: string, to: string): void {
    store.setState(({ makeSteps: { [from]: mine = NO_STEPS, [to]: theirs = NO_STEPS, ...others } }) => ({
      makeSteps: { ...others, [to]: { ...mine, past: [...theirs.past, ...mine.past] } },
    }));
  }

  /** The making as it is known, or as it is given where it is not. */
  function known(make: Make): Make {
    return get().makes[make.piece]?.find(({ id }) => id === make.id) ?? make;
  }

  /** Makes a change to a making. `field` names what is typed in: what is typed there in one go is one step of undo. Returns whether it is kept. */
  async function editMake(make: Make, edit: MakeEdit, field: string | null = null): Promise<boolean> {
    const { past, field: last } = get().makeSteps[make.id] ?? NO_STEPS;
    const before = field !== null && field === last ? past.at(-1) : undefined;
    const steps = before ? [...past.slice(0, -1), merged(before, edit)] : [...past, edit].slice(-MOST_UNDO);
    return keepEdit(make, edit, { past: steps, future: [], field });
  }

  /** The making of a piece that is under way, or one that begins now and is kept once something is done in it. */
  function making(piece: Piece): Make {
    const known = get().makes;
    const fresh = begun.get(piece);
    const isKept = fresh && known[piece.id]?.some(({ id }) => id === fresh.id);
    const make = underWay(known, piece.id) ?? (fresh && !isKept ? fresh : startMake(piece, get().bench, now()));
    begun.set(piece, make);
    return make;
  }

  return {
    readMakes,

    /** All of them, where they are not known yet. */
    readRestOfMakes: async (): Promise<void> => {
      if (!get().areMakesWhole) await readMakes();
    },

    readNewestMakes,
    readMakesOf,
    making,
    editMake,

    /** Sets values of a making. Returns whether that is kept. */
    setMake: (make: Make, set: Parameters<typeof setting>[1], field: string | null = null) =>
      editMake(make, setting(known(make), set), field),

    /** Ticks a step off, or on again. Returns whether it is kept. */
    tick: (make: Make, step: string, isDone: boolean) => editMake(make, ticking(known(make), step, isDone, now())),

    /** Takes the last change of a making back, or makes it again. Returns what it was, null where there is none, "not-kept" where it could not be. */
    async stepMake(make: Make, way: "past" | "future"): Promise<MakeEdit | null | "not-kept"> {
      const { past, future } = get().makeSteps[make.id] ?? NO_STEPS;
      const edit = (way === "past" ? past : future).at(-1);
      if (!edit) return null;
      const steps =
        way === "past"
          ? { past: past.slice(0, -1), future: [...future, edit], field: null }
          : { past: [...past, edit], future: future.slice(0, -1), field: null };
      return (await keepEdit(make, way === "past" ? takenBack(edit) : edit, steps)) ? edit : "not-kept";
    },

    /** Begins one more making of a piece. @throws KeepError */
    async begin(piece: Piece): Promise<Make> {
      const make = startMake(piece, get().bench, now());
      await write([{ store: "makes", put: makeRecord(make, make.started), madeOn: null }]);
      return make;
    },

    /** Takes a making out of the ledger. Returns how to have it back, for as long as the page is open. @throws KeepError */
    async removeMake(make: Make): Promise<() => Promise<void>> {
      const gone = (await keeper.makesOf(make.piece)).find(({ id }) => id === make.id);
      await write([{ store: "makes", remove: make.id }]);
      return async () => void (gone && (await write([{ store: "makes", put: gone, madeOn: null }])));
    },

    /** Lays down makings as they are. @throws KeepError */
    addMakes: async (makes: readonly Make[]): Promise<void> =>
      void (await write(makes.map((make): Change => ({ store: "makes", put: makeRecord(make, make.started), madeOn: null })))),
  };
}

/** Changes a making as it is kept. One that is not kept yet is the one under way that another window has begun meanwhile, or else begins. */
export function makeChange(make: Make, edit: MakeEdit, changed: string): Change {
  return {
    store: "makes",
    piece: make.piece,
    change: (kept) => {
      const same = kept.find(({ id }) => id === make.id)?.make;
      const begun = isUnderWay(make) ? kept.map((each) => each.make).find(isUnderWay) : undefined;
      return makeRecord(edited(same ?? begun ?? make, edit), changed);
    },
  };
}

/** What of a making has not changed stays the same object, so that what was worked out from it stands. */
function asKnown(make: Make, before: readonly Make[] = []): Make {
  const known = before.find(({ id }) => id === make.id);
  if (!known) return make;
  const same = <T>(now: T, was: T): T => (JSON.stringify(now) === JSON.stringify(was) ? was : now);
  const taken = same(make.taken, known.taken);
  return {
    ...make,
    pieceFile: same(make.pieceFile, known.pieceFile),
    measured: same(make.measured, known.measured),
    ...(taken && { taken }),
  };
}

function makesOf(records: readonly MakeRecord[]): Makes {
  const makes: Record<string, Make[]> = {};
  for (const { make } of records) (makes[make.piece] ??= []).push(make);
  const lastFirst = (a: Make, b: Make) => b.started.localeCompare(a.started);
  return Object.fromEntries(Object.entries(makes).map(([piece, of]) => [piece, of.sort(lastFirst)]));
}

function startMake(piece: Piece, bench: BenchEntry, started: string): Make {
  const id = `${piece.id.slice(0, 20)}-${started.replace(/[^0-9]/g, "").slice(0, 17)}`;
  return {
    format: "hoop-ledger/make",
    version: 2,
    id,
    piece: piece.id,
    pieceFile: withBench(piece, bench),
    started,
    finished: null,
    done: [],
    measured: [],
    remedies: [],
    notes: "",
  };
}
