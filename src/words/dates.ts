const [DAY, MONTH, FULL] = [
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short" }),
  new Intl.DateTimeFormat("en-GB", { month: "short" }),
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric" }),
];

/** How many hours a clock goes round in. */
export type ClockHours = 12 | 24;
const CLOCKS: Readonly<Record<ClockHours, Intl.DateTimeFormat>> = {
  24: new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" }),
  12: new Intl.DateTimeFormat("en-GB", { hour: "numeric", minute: "2-digit", hour12: true }),
};

/** A time as a file has it, or null where it is none: a file may hold any text there. */
function timeOf(iso: string): Date | null {
  const time = new Date(iso);
  return Number.isNaN(time.getTime()) ? null : time;
}

function said(iso: string, format: Intl.DateTimeFormat): string {
  const time = timeOf(iso);
  return time ? format.format(time) : "";
}

/** "21 Nov"; empty where the time is not known. */
export function dayText(iso: string): string {
  return said(iso, DAY);
}

/** "21 November 2026" */
export function fullDayText(iso: string): string {
  return said(iso, FULL);
}

/** "09:52", or on a clock of 12 hours "9:52 am". */
export function clockText(iso: string, hours: ClockHours = 24): string {
  return said(iso, CLOCKS[hours]);
}

/** The parts of a day as a list shows them in columns. */
export function dayParts(iso: string): { readonly year: string; readonly month: string; readonly day: string } {
  const time = timeOf(iso);
  if (!time) return { year: "", month: "", day: "–" };
  return { year: String(time.getFullYear()), month: MONTH.format(time), day: String(time.getDate()) };
}

/** "2026-11-21T09:52", in the maker's own time, as a field for a time takes it; empty where the time is not known. */
export function localMinute(iso: string): string {
  const time = timeOf(iso);
  if (!time) return "";
  const two = (n: number) => String(n).padStart(2, "0");
  const day = `${time.getFullYear()}-${two(time.getMonth() + 1)}-${two(time.getDate())}`;
  return `${day}T${two(time.getHours())}:${two(time.getMinutes())}`;
}

/** The time of such a text in ISO; null where it is none. */
export function fromLocalMinute(text: string): string | null {
  return /^\d{4}-\d\d-\d\dT\d\d:\d\d/.test(text) ? (timeOf(text)?.toISOString() ?? null) : null;
}

const MINUTE = 60_000;

/** The time so many minutes after another in ms, in ISO; a part of a minute counts as one. */
export function later(from: number, minutes: number): string {
  return new Date(from + Math.ceil(minutes - 1e-9) * MINUTE).toISOString();
}
