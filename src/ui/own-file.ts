import { useSyncExternalStore } from "react";
import { everythingName, everythingText } from "@/store/files";
import { type OwnFileHandle, chooseOwnFile, mayWrite, ownFile, writeOwnFile } from "@/store/own-file";
import { type Tray } from "@/store/tray";
import { keepOnDevice } from "./device-switch";
import { noteSaved } from "./last-saved";

/** The file that everything is written into after each make. */
export interface OwnFileState {
  readonly name: string | null;
  /** Whether the browser wants to be asked again before it writes. */
  readonly wantsPress: boolean;
  /** When it was last written here; ISO. */
  readonly writtenAt: string | null;
  readonly problem: string | null;
}

/** Where a browser notes when the file was last written. */
const WRITTEN = "hoop-ledger/own-file-written";

const NONE: OwnFileState = { name: null, wantsPress: false, writtenAt: null, problem: null };
let now = NONE;
const listeners = new Set<() => void>();

function set(change: Partial<OwnFileState>): void {
  now = { ...now, ...change };
  listeners.forEach((hear) => hear());
}

function hear(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function useOwnFile(): OwnFileState {
  return useSyncExternalStore(
    hear,
    () => now,
    () => NONE,
  );
}

type Picker = (how: object) => Promise<OwnFileHandle>;

/** The browser's own dialog for choosing a file to write, where it has one. */
function picker(): Picker | null {
  const { showSaveFilePicker } = window as { readonly showSaveFilePicker?: Picker };
  return showSaveFilePicker ?? null;
}

export function canChooseFile(): boolean {
  return picker() !== null;
}

/** Lets the maker choose a file, and writes everything into it. Nothing happens where they think better of it. */
export async function chooseFile(tray: Tray): Promise<void> {
  const pick = picker();
  if (!pick) return;
  let handle: OwnFileHandle;
  try {
    handle = await pick({ suggestedName: everythingName(new Date()), types: [{ accept: { "application/json": [".json"] } }] });
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") return;
    throw error;
  }
  await chooseOwnFile(handle);
  await write(tray, handle);
}

export async function forgetFile(): Promise<void> {
  await chooseOwnFile(null);
  set(NONE);
}

/** The file that was chosen; none where the browser keeps nothing, which choosing one needs. */
async function chosenFile(tray: Tray): Promise<OwnFileHandle | null> {
  return tray.store.getState().repository.kind === "device" ? ownFile() : null;
}

/** Writes everything into the chosen file, if there is one and the browser lets it; after a press it is asked to. */
export async function writeAgain(tray: Tray, isPressed = false): Promise<void> {
  const handle = await chosenFile(tray);
  if (!handle) return set(NONE);
  set({ name: handle.name });
  if (!(await mayWrite(handle, isPressed))) return set({ wantsPress: true });
  await write(tray, handle);
}

/** Knows of a file chosen before; writes it where a make has ended since it was last written, whatever page that was on. */
export async function recallFile(tray: Tray, finished: readonly string[]): Promise<void> {
  const handle = await chosenFile(tray);
  if (!handle) return;
  const writtenAt = localStorage.getItem(WRITTEN);
  set({ name: handle.name, writtenAt });
  if (finished.some((at) => writtenAt === null || at > writtenAt)) return writeAgain(tray);
  set({ wantsPress: !(await mayWrite(handle, false)) });
}

async function write(tray: Tray, handle: OwnFileHandle): Promise<void> {
  const { repository, bench } = tray.store.getState();
  try {
    await writeOwnFile(handle, await everythingText(repository, bench));
    const at = new Date().toISOString();
    noteSaved(at);
    keepOnDevice(WRITTEN, at);
    set({ name: handle.name, wantsPress: false, writtenAt: at, problem: null });
  } catch (error) {
    console.warn("the chosen file is not written", error);
    set({ name: handle.name, problem: error instanceof Error ? error.message : String(error) });
  }
}
