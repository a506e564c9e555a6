import { type ClockHours } from "@/words/dates";
import { keepOnDevice } from "./device-switch";

/** What the maker said of the day, kept on this device: the pieces, and its hours as "09:30". */
export interface DayAsked {
  readonly pieces: readonly string[];
  readonly start: string | null;
  readonly pause: { readonly from: string; readonly minutes: number } | null;
  readonly stop: string | null;
}

export const NO_DAY_ASKED: DayAsked = { pieces: [], start: null, pause: null, stop: null };

const KEY = "hoop-ledger/day";
const TIME = /^\d\d:\d\d$/;

/** What was kept; nothing of what cannot be read. */
export function keptDay(): DayAsked | null {
  const text = localStorage.getItem(KEY);
  return text === null ? null : dayFrom(text);
}

/** False where the browser takes no more. */
export function keepDay(day: DayAsked): boolean {
  return keepOnDevice(KEY, JSON.stringify(day));
}

function dayFrom(text: string): DayAsked | null {
  const day = parsed(text);
  if (typeof day !== "object" || day === null) return null;
  const { pieces, start, pause, stop } = day as Partial<Record<keyof DayAsked, unknown>>;
  const { from, minutes } = (typeof pause === "object" && pause !== null ? pause : {}) as { from?: unknown; minutes?: unknown };
  return {
    pieces: Array.isArray(pieces) ? pieces.filter((each) => typeof each === "string") : [],
    start: timeFrom(start),
    pause: timeFrom(from) !== null && typeof minutes === "number" && minutes > 0 ? { from: timeFrom(from)!, minutes } : null,
    stop: timeFrom(stop),
  };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function timeFrom(value: unknown): string | null {
  return typeof value === "string" && TIME.test(value) ? value : null;
}

/** Minutes from one time of a day to another of the same day; below 0 where that lies before it. */
export function minutesBetween(from: string, to: string): number {
  const of = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
  return of(to) - of(from);
}

/** A time of the day as it is typed, as "09:30": "9", "9:30", "9.30", "0930", "9:30 pm"; null for what is none. */
export function readClock(typed: string): string | null {
  const [, digits, minutes = "0", half] = /^\s*(\d{1,2})(?:[:.]?(\d{2}))?\s*([ap]\.?m\.?)?\s*$/i.exec(typed) ?? [];
  if (digits === undefined || Number(minutes) > 59) return null;
  const hours = half === undefined ? Number(digits) : inDay(Number(digits), half.toLowerCase().startsWith("p"));
  return hours > 23 ? null : `${String(hours).padStart(2, "0")}:${minutes.padStart(2, "0")}`;
}

/** An hour of a clock of 12 in the day; over 23 where that clock has none such. */
function inDay(hour: number, isAfternoon: boolean): number {
  return hour < 1 || hour > 12 ? Infinity : (hour % 12) + (isAfternoon ? 12 : 0);
}

/** A time of the day, as "09:30", on a clock of so many hours. */
export function onClock(time: string, hours: ClockHours): string {
  if (hours === 24 || time === "") return time;
  const hour = Number(time.slice(0, 2));
  return `${hour % 12 === 0 ? 12 : hour % 12}${time.slice(2)} ${hour < 12 ? "am" : "pm"}`;
}
