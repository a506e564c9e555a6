import { type BenchEntry, withBench } from "@/core/piece/bench";
import { type Make, isUnderWay } from "@/core/piece/make";
import { type Fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { clearJournal, writeJournal } from "./journal";
import { type Change, type MakeRecord } from "./repository";
import { faultMessage } from "@/words/faults";
import { type MakeEdit, type MakeValues, edited, goesOn, merged, overruled, setting, takenBack, ticking } from "./make-edits";
import { newId } from "./ids";
import { makeRecord } from "./restoring";
import { MOST_UNDO, type MakeSteps, type Makes, NO_STEPS, type TrayBase, isTold, now, underWay } from "./tray-state";

/** Makings that stand there before the rest is read. */
const FIRST_SHOWN = 60;
/** Past so many the whole store is read again rather than each. */
const MOST_ONE_BY_ONE = 40;

/** What became of a change of a make: kept, with what another window had set that it took the place of, or why it is not. */
export type KeptEdit = { readonly ok: true; readonly overruled: MakeValues } | { readonly ok: false; readonly problem: string };

/** A change that is being kept: `isSent` once its transaction has begun. */
interface Keeping {
  readonly make: Make;
  edit: MakeEdit;
  /** The field that it is typed in; null where it is none. */
  readonly field: string | null;
  isSent: boolean;
  done: Promise<KeptEdit>;
}

/** The makings of a tray: changed one by one, whatever other windows change meanwhile. */
export function makingsOn({ repository, store, write, reading, noteUnreadable }: TrayBase) {
  const get = store.getState;
  let kept: Makes = {};
  /** Makings that were begun of pieces as they are, and are perhaps not kept yet. */
  const begun = new WeakMap<Piece, Make>();
  const beingKept = new Set<Keeping>();

  /** All of them. */
  async function readMakes(): Promise<void> {
    const found = await reading(() => repository.makes());
    if (!found) return;
    const { records, unreadable } = found;
    noteUnreadable("makes", unreadable);
    kept = makesOf(records);
    store.setState({ areMakesWhole: true });
    showMakes();
  }

  /** Those that were begun last. */
  async function readNewestMakes(): Promise<void> {
    const found = await reading(() => repository.newestMakes(FIRST_SHOWN));
    if (!found) return;
    const { records, of } = found;
    kept = { ...makesOf(records), ...kept };
    if (records.length >= of) store.setState({ areMakesWhole: true });
    showMakes();
  }

  /** All of these pieces, as they are kept now. */
  async function readMakesOf(pieces: readonly string[]): Promise<void> {
    if (pieces.length > MOST_ONE_BY_ONE) return readMakes();
    const read = await reading(() => Promise.all(pieces.map(async (piece) => [piece, await repository.makesOf(piece)] as const)));
    if (!read) return;
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
      // A picture is shown as kept once it is.
      if (edit.put?.photos) continue;
      const all = makes[make.piece] ?? [];
      const at = all.findIndex(({ id }) => id === make.id);
      makes[make.piece] = at < 0 ? [edited(make, edit), ...all] : all.with(at, edited(all[at]!, edit));
    }
    if (!areAlike(makes, get().makes)) store.setState({ makes });
  }

  /**
   * Writes a change down at once, and shows it before it is kept. What is typed in a field while what was typed before is still being written
   * goes as one change behind it, so that a quick hand never waits for a queue.
   */
  function keepEdit(make: Make, edit: MakeEdit, steps: MakeSteps, field: string | null = null): Promise<KeptEdit> {
    const of = field === null ? [] : [...beingKept].filter((each) => each.make.id === make.id && each.field === field);
    const waiting = of.find((each) => !each.isSent);
    if (waiting && goesOn(waiting.edit, edit)) {
      waiting.edit = merged(waiting.edit, edit);
      journal(waiting);
      setSteps(make.id, steps);
      showMakes();
      return waiting.done;
    }
    const keeping: Keeping = { make, edit, field, isSent: false, done: Promise.resolve({ ok: true, overruled: {} }) };
    const before = get().makeSteps[make.id] ?? NO_STEPS;
    journal(keeping);
    keeping.done = Promise.all(of.map(({ done }) => done)).then(() => send(keeping, before));
    beingKept.add(keeping);
    showMakes();
    setSteps(make.id, steps);
    return keeping.done;
  }

  /** What is kept as it was shown stays that object: nothing is worked out again. */
  function asShown(make: Make): Make {
    const shown = get().makes[make.piece]?.find(({ id }) => id === make.id);
    return shown && JSON.stringify(shown) === JSON.stringify(make) ? shown : asKnown(make, kept[make.piece]);
  }

  /** What is kept now takes the place of what was laid over it, at once: neither is ever shown twice, or not at all. */
  function noteKept({ make }: MakeRecord, keeping: Keeping): void {
    const others = (kept[make.piece] ?? []).filter(({ id }) => id !== make.id);
    kept = { ...kept, [make.piece]: [asShown(make), ...others].sort(lastFirst) };
    beingKept.delete(keeping);
    showMakes();
  }

  const names = new WeakMap<Keeping, string>();

  function nameOf(keeping: Keeping): string {
    const name = names.get(keeping) ?? `making-${keeping.make.id}-${newId()}`;
    names.set(keeping, name);
    return name;
  }

  /** Pictures are too large for it, and are in the database already or not shown as kept. */
  function journal(keeping: Keeping): void {
    const { make, edit } = keeping;
    if (repository.kind !== "device" || edit.put?.photos || edit.drop?.photos) return;
    const { photos: _large, ...light } = make;
    writeJournal(nameOf(keeping), { kind: "making", piece: make.piece, make: light, edit });
  }

  const setSteps = (id: string, of: MakeSteps) => store.setState(({ makeSteps }) => ({ makeSteps: { ...makeSteps, [id]: of } }));

  async function send(keeping: Keeping, before: MakeSteps): Promise<KeptEdit> {
    keeping.isSent = true;
    const { make } = keeping;
    let taken: MakeValues = {};
    const refuse = (problem: string): KeptEdit => {
      setSteps(make.id, before);
      return { ok: false, problem };
    };
    try {
      const change = makeChange(make, keeping.edit, now(), (values) => (taken = values));
      const [put] = await write([change], {
        onKept: ([outcome]) => outcome?.ok && outcome.record && noteKept(outcome.record as MakeRecord, keeping),
      });
      if (!put?.ok) return refuse(put?.faults?.[0] ? makeProblem(put.faults[0]) : NOT_KEPT);
      if (put.record && put.record.id !== make.id) moveSteps(make.id, put.record.id);
      return { ok: true, overruled: taken };
    } catch (error) {
      isTold(error);
      return refuse(NOT_KEPT);
    } finally {
      clearJournal(nameOf(keeping));
      if (beingKept.delete(keeping)) showMakes();
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

  /** Makes a change to a making. `field` names what is typed in: what is typed there in one go is one step of undo. Returns what became of it. */
  async function editMake(make: Make, edit: MakeEdit, field: string | null = null): Promise<KeptEdit> {
    const { past, field: last } = get().makeSteps[make.id] ?? NO_STEPS;
    const before = field !== null && field === last ? past.at(-1) : undefined;
    const isOne = before !== undefined && goesOn(before, edit);
    const steps = isOne ? [...past.slice(0, -1), merged(before, edit)] : [...past, edit].slice(-MOST_UNDO);
    return keepEdit(make, edit, { past: steps, future: [], field }, field);
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

    /** Sets values of a making. Returns what became of it. */
    setMake: (make: Make, set: Parameters<typeof setting>[1], field: string | null = null) =>
      editMake(make, setting(known(make), set), field),

    /** Ticks a step off, or on again, by what a make lists of it. Returns what became of it. */
    tick: (make: Make, entries: readonly string[], isDone: boolean) => editMake(make, ticking(known(make), entries, isDone, now())),

    /** Takes the last change of a making back, or makes it again. Returns what it was, null where there is none, "not-kept" where it could not be. */
    async stepMake(make: Make, way: "past" | "future"): Promise<MakeEdit | null | "not-kept"> {
      const { past, future } = get().makeSteps[make.id] ?? NO_STEPS;
      const edit = (way === "past" ? past : future).at(-1);
      if (!edit) return null;
      const steps =
        way === "past"
          ? { past: past.slice(0, -1), future: [...future, edit], field: null }
          : { past: [...past, edit], future: future.slice(0, -1), field: null };
      return (await keepEdit(make, way === "past" ? takenBack(edit) : edit, steps)).ok ? edit : "not-kept";
    },

    /** Begins one more making of a piece. @throws RepositoryError */
    async begin(piece: Piece): Promise<Make> {
      const make = startMake(piece, get().bench, now());
      await write([{ store: "makes", put: makeRecord(make, make.started), madeOn: null }]);
      return make;
    },

    /** Takes a making out of the ledger. Returns how to have it back, for as long as the page is open. @throws RepositoryError */
    async removeMake(make: Make): Promise<() => Promise<void>> {
      const gone = (await repository.makesOf(make.piece)).find(({ id }) => id === make.id);
      await write([{ store: "makes", remove: make.id }]);
      return async () => void (gone && (await write([{ store: "makes", put: gone, madeOn: null }])));
    },

    /** Lays down makings as they are. @throws RepositoryError */
    addMakes: async (makes: readonly Make[]): Promise<void> =>
      void (await write(makes.map((make): Change => ({ store: "makes", put: makeRecord(make, make.started), madeOn: null })))),
  };
}

/**
 * Changes a making as it is kept. One that is not kept yet is the one under way that another window has begun meanwhile, or else begins.
 * `onOverruled` hears what another window had set otherwise.
 */
export function makeChange(
  make: Make,
  edit: MakeEdit,
  changed: string,
  onOverruled: (values: MakeValues) => void = () => undefined,
): Change {
  return {
    store: "makes",
    piece: make.piece,
    // Of one that is over no other can be meant; of one under way another window may have begun it too.
    only: isUnderWay(make) ? null : make.id,
    change: (kept) => {
      const same = kept.find(({ id }) => id === make.id);
      const begun = isUnderWay(make) ? kept.find((each) => isUnderWay(each.make)) : undefined;
      const record = same ?? begun;
      const now = record?.make ?? make;
      onOverruled(overruled(now, edit));
      return { ...makeRecord(edited(now, edit), changed), ...(record?.over && { over: record.over }) };
    },
  };
}

const NOT_KEPT = "That was not kept";

/** Why a change of a make is refused, in words that name what of it is at fault. */
function makeProblem(fault: Fault): string {
  return `That was not kept: ${fault.path.replace(/^\/make\//, "")} ${faultMessage(fault)}`;
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
  return Object.fromEntries(Object.entries(makes).map(([piece, of]) => [piece, of.sort(lastFirst)]));
}

/** Whether two hold the very same makes. */
function areAlike(some: Makes, others: Makes): boolean {
  const pieces = Object.keys(some);
  return (
    pieces.length === Object.keys(others).length &&
    pieces.every((piece) => {
      const [one, other = []] = [some[piece]!, others[piece]];
      return one === other || (one.length === other.length && one.every((make, i) => make === other[i]));
    })
  );
}

function lastFirst(a: Make, b: Make): number {
  return b.started.localeCompare(a.started);
}

function startMake(piece: Piece, bench: BenchEntry, started: string): Make {
  const id = `${piece.id.slice(0, 20)}-${started.replace(/[^0-9]/g, "").slice(0, 17)}`;
  return {
    format: "hoop-ledger/make",
    version: 3,
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
