import { keepOnDevice } from "./device-switch";

/** When everything on this device was last saved to a file, as far as this browser knows. */
const KEY = "hoop-ledger/saved-at";

export function lastSaved(): string | null {
  return localStorage.getItem(KEY);
}

/** False where the browser takes no more. */
export function noteSaved(at: string): boolean {
  return keepOnDevice(KEY, at);
}

const MAKES = 10;
const DAYS = 30;
const DAY = 86_400_000;

/**
 * How many makes have ended since everything was saved to a file, where ten have or it was over thirty days ago; else null. A time that cannot be
 * read counts as before any other.
 */
export function unsavedSince(savedAt: string | null, finished: readonly string[], now: number): { readonly makes: number } | null {
  const saved = savedAt === null ? -Infinity : Date.parse(savedAt) || -Infinity;
  const makes = finished.filter((at) => Date.parse(at) > saved).length;
  const isLong = savedAt === null ? false : now - saved > DAYS * DAY;
  return makes >= MAKES || isLong ? { makes } : null;
}
