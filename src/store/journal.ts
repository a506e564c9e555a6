import { fault } from "@/core/piece/fault";
import { type Unreadable } from "./repository";
import { type JournalEntry, readJournalEntry } from "./read-kept";
import { parsed } from "@/formats/read-json";

const PREFIX = "hoop-ledger/journal/";
/** That the browser was asked not to throw away what is kept. */
const ASKED = "hoop-ledger/asked/persistent";
/** What cannot be read is put here, so that it neither comes again nor is written over. */
const ASIDE = "hoop-ledger/set-aside/";

type Listener = (isFull: boolean) => void;
const listeners = new Set<Listener>();

/** Calls `heard` with whether the journal takes nothing more, each time something is written to it. Returns how to stop. */
export function watchJournal(heard: Listener): () => void {
  listeners.add(heard);
  return () => void listeners.delete(heard);
}

/** Keeps something that the database has not taken yet, at once. A second entry of the same name takes the first one's place. */
export function writeJournal(name: string, entry: JournalEntry): void {
  const isWritten = tried("written", () => (localStorage.setItem(PREFIX + name, JSON.stringify(entry)), true)) ?? false;
  for (const heard of listeners) heard(!isWritten);
}

/** What the database would refuse, as it stands: it can be saved, and is not tried again. */
export function putAside(name: string, entry: JournalEntry): void {
  tried("set aside", () => localStorage.setItem(ASIDE + name, JSON.stringify(entry)));
  clearJournal(name);
}

export function clearJournal(name: string): void {
  tried("cleared", () => localStorage.removeItem(PREFIX + name));
}

/** What waits in the journal. Entries that cannot be read are set aside. */
export function readJournal(): { readonly name: string; readonly entry: JournalEntry }[] {
  return keysFrom(PREFIX).flatMap((key) => {
    const name = key.slice(PREFIX.length);
    const read = entryAt(key);
    if (read.ok) return [{ name, entry: read.value }];
    tried("set aside", () => {
      localStorage.setItem(ASIDE + name, localStorage.getItem(key) ?? "");
      localStorage.removeItem(key);
    });
    return [];
  });
}

/** Entries of the journal that were set aside. */
export function setAside(): Unreadable[] {
  return keysFrom(ASIDE).map((key) => {
    const read = entryAt(key);
    return { store: "journal", key: key.slice(ASIDE.length), raw: localStorage.getItem(key), faults: read.ok ? [] : read.faults };
  });
}

export function noteAsked(): void {
  tried("noted", () => localStorage.setItem(ASKED, "1"));
}

export function wasAsked(): boolean {
  return tried("read", () => localStorage.getItem(ASKED)) !== null;
}

export function dropAside(name: string): void {
  tried("dropped", () => localStorage.removeItem(ASIDE + name));
}

function entryAt(key: string): ReturnType<typeof readJournalEntry> {
  const json = parsed(localStorage.getItem(key) ?? "");
  return json ? readJournalEntry(json.value) : { ok: false, faults: [fault("", "not-json")] };
}

function keysFrom(prefix: string): string[] {
  return tried("read", () => Object.keys(localStorage).filter((key) => key.startsWith(prefix))) ?? [];
}

/** A browser may refuse its storage, or be full: the database is then the only repository. */
function tried<T>(what: string, work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    console.warn(`journal not ${what}`, error);
    return null;
  }
}
