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
