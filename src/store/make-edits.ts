import { type DoneStep, type Make, type Measured, type TakenPiece } from "@/core/piece/make";

/** What a making lists: each entry is told from others by its key. */
interface Listed {
  readonly done: DoneStep;
  readonly measured: Measured;
  readonly remedies: Make["remedies"][number];
  readonly taken: TakenPiece;
  readonly photos: NonNullable<Make["photos"]>[number];
}

type Entries = { readonly [L in keyof Listed]?: readonly Listed[L][] };

/** What a making has one of; null where it has none. */
export interface MakeValues {
  readonly finished?: string | null;
  readonly notes?: string;
  readonly asBegun?: string | null;
  readonly size?: string | null;
  readonly minutes?: number | null;
  readonly words?: string | null;
}

/** A change of a making as what it adds, takes away and sets, so that it is made to the making as it then is: what another window did stays. */
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
};

const LISTS = Object.keys(KEYS) as (keyof Listed)[];

export function edited(make: Make, { drop, put, set }: MakeEdit): Make {
  const lists = Object.fromEntries(LISTS.flatMap((list) => (drop?.[list] || put?.[list] ? [[list, listed(list, make, drop, put)]] : [])));
  return withValues({ ...make, ...lists }, set ?? {});
}

function listed<L extends keyof Listed>(list: L, make: Make, drop: Entries = {}, put: Entries = {}): readonly Listed[L][] {
  const key: (entry: Listed[L]) => string = KEYS[list];
  const of = (from: Entries): readonly Listed[L][] => from[list] ?? [];
  const gone = new Set([...of(drop), ...of(put)].map(key));
  return [...of(make).filter((entry) => !gone.has(key(entry))), ...of(put)];
}

function withValues(make: Make, set: MakeValues): Make {
  const { result: _result, asBegun: _asBegun, ...rest } = make;
  const values: Required<MakeValues> = { ...valuesOf(make), ...set };
  const told = {
    ...(values.size !== null && { size: values.size }),
    ...(values.minutes !== null && { minutes: values.minutes }),
    ...(values.words !== null && { words: values.words }),
  };
  return {
    ...rest,
    finished: values.finished,
    notes: values.notes,
    ...(values.asBegun !== null && { asBegun: values.asBegun }),
    ...(Object.keys(told).length > 0 && { result: told }),
  };
}

function valuesOf({ finished, notes, asBegun, result }: Make): Required<MakeValues> {
  return {
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

/** Ticks a step off, or on again. */
export function ticking(make: Make, step: string, isDone: boolean, at: string): MakeEdit {
  return isDone ? { put: { done: [{ step, at }] } } : { drop: { done: make.done.filter((each) => each.step === step) } };
}

/** What takes a change back. */
export function takenBack({ drop, put, set, was }: MakeEdit): MakeEdit {
  return { ...(put && { drop: put }), ...(drop && { put: drop }), ...(set && was && { set: was, was: set }) };
}

/** Two changes of the same values, one right after the other, as one. */
export function merged(before: MakeEdit, after: MakeEdit): MakeEdit {
  return { set: { ...before.set, ...after.set }, was: { ...after.was, ...before.was } };
}
