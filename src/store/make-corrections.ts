import { type Make, type Measured, type Result, type WasDates, type WasResult } from "@/core/piece/make";
import { type MakeEdit, setting } from "./make-edits";

/** What of a reading is put right. */
export type ReadingCorrection = Partial<Pick<Measured, "value" | "method">>;

/**
 * Puts a reading right: what it was stays with it. One that is typed is typed, whatever sent it before, and no outside sizes or stand-in vouch for it.
 */
export function correctedReading(reading: Measured, { value, method }: ReadingCorrection, at: string): MakeEdit {
  const { was = [], method: oldMethod, extents, madeUp, ...rest } = reading;
  const isValue = value !== undefined && value !== reading.value;
  const isMethod = method !== undefined && method !== (oldMethod ?? "");
  if (!isValue && !isMethod) return {};
  const now = isMethod ? method : (oldMethod ?? "");
  const before = {
    value: reading.value,
    at,
    ...(isMethod && oldMethod !== undefined && { method: oldMethod }),
    ...(isValue && extents && { extents }),
    ...(isValue && madeUp && { madeUp }),
  };
  const corrected: Measured = {
    ...rest,
    ...(isValue ? { value, by: "typed" as const } : { ...(extents && { extents }), ...(madeUp && { madeUp }) }),
    ...(now !== "" && { method: now }),
    was: [...was, before],
  };
  return { drop: { measured: [reading] }, put: { measured: [corrected] } };
}

/** Puts right what came of a making: null takes a value away. */
export function correctedResult(make: Make, set: { readonly [K in keyof Result]?: Result[K] | null }, at: string): MakeEdit {
  const { result = {} } = make;
  const keys = (["size", "minutes", "words"] as const).filter((key) => set[key] !== undefined && set[key] !== (result[key] ?? null));
  if (keys.length === 0) return {};
  const was = { ...Object.fromEntries(keys.map((key) => [key, result[key] ?? null])), at } as WasResult;
  return { ...setting(make, Object.fromEntries(keys.map((key) => [key, set[key]]))), put: { resultWas: [was] } };
}

export function correctedNotes(make: Make, notes: string, at: string): MakeEdit {
  if (notes === make.notes) return {};
  return { ...setting(make, { notes }), put: { notesWas: [{ value: make.notes, at }] } };
}

/** Puts right when a making was begun or finished. */
export function correctedDates(make: Make, set: Pick<WasDates, "started" | "finished">, at: string): MakeEdit {
  const keys = (["started", "finished"] as const).filter((key) => set[key] !== undefined && set[key] !== make[key]);
  if (keys.length === 0) return {};
  const was = { ...Object.fromEntries(keys.map((key) => [key, make[key]])), at } as WasDates;
  return { ...setting(make, Object.fromEntries(keys.map((key) => [key, set[key]]))), put: { datesWas: [was] } };
}
