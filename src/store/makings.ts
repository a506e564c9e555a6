import { type Make } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { clearJournal, writeJournal } from "./journal";
import { type Change, type MakeRecord } from "./keeper";
import { makeRecord } from "./restoring";
import { MOST_UNDO, type Makes, NO_TICKS, type Tick, type TickSteps, type TrayBase, isTold, lastMake, now } from "./tray-state";

/** The makings of a tray: ticks, kept one by one, whatever other windows tick meanwhile. */
export function makingsOn({ keeper, store, write, noteUnreadable }: TrayBase) {
  const get = store.getState;
  let kept: Makes = {};
  const underWay = new Set<Tick & { readonly make: Make }>();

  async function readMakes(): Promise<void> {
    const { records, unreadable } = await keeper.makes();
    noteUnreadable("makes", unreadable);
    kept = makesOf(records);
    showMakes();
  }

  /** What is kept, with the ticks that are being kept now. */
  function showMakes(): void {
    const makes: Record<string, readonly Make[]> = { ...kept };
    for (const { make, step, isDone } of underWay) {
      const [last = make, ...others] = makes[make.piece] ?? [];
      makes[make.piece] = [ticked(last, step, isDone, now()), ...others];
    }
    store.setState({ makes });
  }

  async function keepTick(piece: Piece, { step, isDone }: Tick, steps: TickSteps): Promise<boolean> {
    const make = lastMake(get().makes, piece.id) ?? startMake(piece, now());
    const name = `tick-${make.id}-${step}`;
    if (keeper.kind === "device") writeJournal(name, { kind: "tick", piece: piece.id, make, step, isDone });
    const tick = { make, step, isDone };
    const before = get().ticks[piece.id] ?? NO_TICKS;
    const setSteps = (of: TickSteps) => store.setState(({ ticks }) => ({ ticks: { ...ticks, [piece.id]: of } }));
    underWay.add(tick);
    showMakes();
    setSteps(steps);
    try {
      await write([tickChange(make, step, isDone, now())]);
      return true;
    } catch (error) {
      isTold(error);
      setSteps(before);
      underWay.delete(tick);
      return false;
    } finally {
      clearJournal(name);
      // Until it is read back it stays laid over what is known: a tick beside it would else show it as never made.
      await readMakes().finally(() => underWay.delete(tick));
      showMakes();
    }
  }

  return {
    readMakes,

    /** Ticks a step of a piece's making off, or on again; the first tick starts it. Returns whether it is kept. */
    async tick(piece: Piece, step: string, isDone: boolean): Promise<boolean> {
      const { past } = get().ticks[piece.id] ?? NO_TICKS;
      return keepTick(piece, { step, isDone }, { past: [...past, { step, isDone }].slice(-MOST_UNDO), future: [] });
    },

    /** Takes the last tick back, or makes it again. Returns whether that is kept; true where there is none. */
    async stepTick(piece: Piece, way: "past" | "future"): Promise<boolean> {
      const { past, future } = get().ticks[piece.id] ?? NO_TICKS;
      const tick = (way === "past" ? past : future).at(-1);
      if (!tick) return true;
      const steps =
        way === "past" ? { past: past.slice(0, -1), future: [...future, tick] } : { past: [...past, tick], future: future.slice(0, -1) };
      return keepTick(piece, { step: tick.step, isDone: tick.isDone === (way === "future") }, steps);
    },
  };
}

/** Ticks a step of the newest making kept of a piece; of the one given where there is none yet. */
export function tickChange(make: Make, step: string, isDone: boolean, changed: string): Change {
  return {
    store: "makes",
    piece: make.piece,
    change: (kept) => {
      const now = lastMake(makesOf(kept), make.piece) ?? make;
      return makeRecord(ticked(now, step, isDone, changed), changed);
    },
  };
}

function ticked(make: Make, step: string, isDone: boolean, at: string): Make {
  const others = make.done.filter((each) => each.step !== step);
  return { ...make, done: isDone ? [...others, { step, at }] : others };
}

function makesOf(records: readonly MakeRecord[]): Makes {
  const makes: Record<string, Make[]> = {};
  for (const { make } of records) (makes[make.piece] ??= []).push(make);
  const lastFirst = (a: Make, b: Make) => b.started.localeCompare(a.started);
  return Object.fromEntries(Object.entries(makes).map(([piece, of]) => [piece, of.sort(lastFirst)]));
}

/** A making that starts now, with its own copy of the piece. */
function startMake(piece: Piece, started: string): Make {
  const id = `${piece.id.slice(0, 20)}-${started.replace(/[^0-9]/g, "").slice(0, 17)}`;
  return {
    format: "hoop-ledger/make",
    version: 2,
    id,
    piece: piece.id,
    pieceFile: piece,
    started,
    finished: null,
    done: [],
    measured: [],
    remedies: [],
    notes: "",
  };
}
