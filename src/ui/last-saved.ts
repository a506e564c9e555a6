/** When everything on this device was last saved to a file, as far as this browser knows. */
const KEY = "hoop-ledger/saved-at";

export function lastSaved(): string | null {
  return localStorage.getItem(KEY);
}

export function noteSaved(at: string): void {
  localStorage.setItem(KEY, at);
}
