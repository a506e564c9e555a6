import { mergedText } from "./merge-text";
import {
  type DoneStep,
  type HeldReading,
  type Make,
  type Measured,
  type TakenPiece,
  type WasDates,
  type WasNotes,
  type WasResult,
} from "@/core/piece/make";

/** What a making lists: each entry is told from others by its key. */
interface Listed {
  readonly done: DoneStep;
  readonly measured: Measured;
  readonly remedies: Make["remedies"][number];
  readonly taken: TakenPiece;
  readonly photos: NonNullable<Make["photos"]>[number];
  readonly held: HeldReading;
  readonly notesWas: WasNotes;
  readonly datesWas: WasDates;
  readonly resultWas: WasResult;
}

type Entries = { readonly [L in keyof Listed]?: readonly Listed[L][] };

/** What a making has one of; null where it has none. */
export interface MakeValues {
  readonly started?: string;
  readonly finished?: string | null;
  readonly notes?: string;
  readonly asBegun?: string | null;
  readonly size?: string | null;
  readonly minutes?: number | null;
  readonly words?: string | null;
}

/** An edit of a make: entries added, entries removed, values set. It is applied to the stored make, so edits from other windows are kept. */
export interface MakeEdit {
  readonly drop?: Entries;
  readonly put?: Entries;
  readonly set?: MakeValues;
  /** What was there before, for taking it back. */
  readonly was?: MakeValues;
}

const KEYS: { readonly [L in keyof Listed]: (entry: Listed[L]) => string } = {
  done: ({ step }) => step,
  measured: ({ figure, at }) => `${figure} ${at}`,
  remedies: ({ code, figure, at }) => `${code} ${figure} ${at}`,
  taken: ({ at }) => at,
  photos: ({ name, at }) => `${name} ${at}`,
  held: ({ step, figure, at }) => `${step} ${figure} ${at}`,
  notesWas: ({ at }) => at,
  datesWas: ({ at }) => at,
  resultWas: ({ at }) => at,
};

const LISTS = Object.keys(KEYS) as (keyof Listed)[];

/** A make with a change made to it as it then is. A text that another window has changed meanwhile holds both. */
export function edited(make: Make, { drop, put, set, was }: MakeEdit): Make {
  const { resultWas = make.result?.was, ...lists }: { -readonly [L in keyof Listed]?: readonly Listed[L][] } = Object.fromEntries(
    LISTS.flatMap((list) => (drop?.[list] || put?.[list] ? [[list, listed(list, make, drop, put)]] : [])),
  );
  return withValues({ ...make, ...lists }, set ? { ...set, ...mergedTexts(make, set, was ?? {}) } : {}, resultWas);
}

/** Values that are prose: two windows' words are merged, where of other values the last counts. */
const TEXTS = ["words", "notes"] as const;

function mergedTexts(make: Make, set: MakeValues, was: MakeValues): MakeValues {
  const now = valuesOf(make);
  return Object.fromEntries(
    TEXTS.flatMap((key) => {
      const [mine, base] = [set[key], was[key]];
      if (mine === undefined || base === undefined) return [];
      const text = mergedText(base ?? "", mine ?? "", now[key] ?? "");
      return [[key, text === "" && key === "words" ? null : text]];
    }),
  );
}

/** Single values that another window has set otherwise meanwhile, and that a change takes the place of. */
export function overruled(make: Make, { set = {}, was = {} }: MakeEdit): MakeValues {
  const now = valuesOf(make);
  const isOverruled = (key: "size" | "minutes") =>
    set[key] !== undefined && was[key] !== undefined && now[key] !== null && now[key] !== was[key] && now[key] !== set[key];
  return Object.fromEntries((["size", "minutes"] as const).filter(isOverruled).map((key) => [key, now[key]]));
}

function listed<L extends keyof Listed>(list: L, make: Make, drop: Entries = {}, put: Entries = {}): readonly Listed[L][] {
  const key: (entry: Listed[L]) => string = KEYS[list];
  const of = (from: Entries): readonly Listed[L][] => from[list] ?? [];
  const now = list === "resultWas" ? of({ resultWas: make.result?.was ?? [] }) : of(make);
  const gone = new Set(of(drop).map(key));
  const coming = new Map(of(put).map((entry) => [key(entry), entry]));
  // One that takes another's place stands where that stood: the order of readings says which was first.
  const kept = now.flatMap((entry) => {
    const name = key(entry);
    const next = coming.get(name);
    coming.delete(name);
    return next ? [next] : gone.has(name) ? [] : [entry];
  });
  return [...kept, ...coming.values()];
}

function withValues(make: Make, set: MakeValues, resultWas: readonly WasResult[] = []): Make {
  const { result: _result, asBegun: _asBegun, notesWas = [], datesWas = [], ...rest } = make;
  const values: Required<MakeValues> = { ...valuesOf(make), ...set };
  const told = {
    ...(values.size !== null && { size: values.size }),
    ...(values.minutes !== null && { minutes: values.minutes }),
    ...(values.words !== null && { words: values.words }),
    ...(resultWas.length > 0 && { was: resultWas }),
  };
  return {
    ...rest,
    started: values.started,
    finished: values.finished,
    notes: values.notes,
    ...(notesWas.length > 0 && { notesWas }),
    ...(datesWas.length > 0 && { datesWas }),
    ...(values.asBegun !== null && { asBegun: values.asBegun }),
    ...(Object.keys(told).length > 0 && { result: told }),
  };
}

function valuesOf({ started, finished, notes, asBegun, result }: Make): Required<MakeValues> {
  return {
    started,
    finished,
    notes,
    asBegun: asBegun ?? null,
    size: result?.size ?? null,
    minutes: result?.minutes ?? null,
    words: result?.words ?? null,
  };
}

/** A change that sets values, with what they were on this making. */
export function setting(make: Make, set: MakeValues): MakeEdit {
  const now = valuesOf(make);
  return { set, was: Object.fromEntries(Object.keys(set).map((key) => [key, now[key as keyof MakeValues]])) };
}

/** Ticks a step off, or on again, by what a make lists of it. */
export function ticking(make: Make, entries: readonly string[], isDone: boolean, at: string): MakeEdit {
  return isDone
    ? { put: { done: entries.map((step) => ({ step, at })) } }
    : { drop: { done: make.done.filter(({ step }) => entries.includes(step)) } };
}

/** What takes a change back. */
export function takenBack({ drop, put, set, was }: MakeEdit): MakeEdit {
  return { ...(put && { drop: put }), ...(drop && { put: drop }), ...(set && was && { set: was, was: set }) };
}

/** Whether a change goes on from where the one before it ended: nothing else came between. */
export function goesOn(before: MakeEdit, after: MakeEdit): boolean {
  return Object.entries(after.was ?? {}).every(([key, was]) => before.set?.[key as keyof MakeValues] === was);
}

/** Two changes, one right after the other, as one: what the first put and the second dropped was never there. */
export function merged(before: MakeEdit, after: MakeEdit): MakeEdit {
  const [drop, put] = [without(after.drop, before.put), without(before.put, after.drop)];
  return {
    ...both("drop", before.drop, drop),
    ...both("put", put, after.put),
    ...((before.set || after.set) && { set: { ...before.set, ...after.set }, was: { ...after.was, ...before.was } }),
  };
}

function both(name: "drop" | "put", one: Entries = {}, other: Entries = {}): Pick<MakeEdit, "drop" | "put"> {
  const all = Object.fromEntries(
    LISTS.flatMap((list) => {
      const entries = [...(one[list] ?? []), ...(other[list] ?? [])];
      return entries.length > 0 ? [[list, entries]] : [];
    }),
  );
  return Object.keys(all).length > 0 ? { [name]: all } : {};
}

function without(from: Entries = {}, gone: Entries = {}): Entries {
  return Object.fromEntries(LISTS.flatMap((list) => (from[list] ? [[list, lessOf(list, from, gone)]] : [])));
}

function lessOf<L extends keyof Listed>(list: L, from: Entries, gone: Entries): readonly Listed[L][] {
  const key: (entry: Listed[L]) => string = KEYS[list];
  const [all, less]: (readonly Listed[L][])[] = [from[list] ?? [], gone[list] ?? []];
  const keys = new Set(less!.map(key));
  return all!.filter((entry) => !keys.has(key(entry)));
}
