import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";

/** As much of a page as the store hears of, for tests: events, a local storage, windows that tell each other nothing. */
export const heard = new Map<string, () => void>();
export const stored = new Map<string, string>();
export const page = { visibilityState: "visible" };

export function layOutPage(): void {
  const hear = {
    addEventListener: (name: string, act: () => void) => heard.set(name, act),
    removeEventListener: (name: string) => heard.delete(name),
  };
  const store = {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => {
      stored.set(key, value);
      Object.defineProperty(store, key, { value, enumerable: true, configurable: true });
    },
    removeItem: (key: string) => {
      stored.delete(key);
      delete (store as Record<string, unknown>)[key];
    },
  };
  for (const key of ["getItem", "setItem", "removeItem"]) Object.defineProperty(store, key, { enumerable: false });
  class Silent {
    addEventListener = (_name: string, hear: Heard) => void listening.add(hear);
    removeEventListener = (_name: string, hear: Heard) => void listening.delete(hear);
    postMessage = (news: unknown) => void told.push(news);
  }
  Object.assign(globalThis, {
    BroadcastChannel: Silent,
    document: Object.assign(page, hear),
    window: hear,
    localStorage: store,
    navigator: {},
  });
}

type Heard = (event: { readonly data: unknown }) => void;

const listening = new Set<Heard>();

/** Another window tells something. */
export function hearFrom(news: unknown): void {
  for (const hear of listening) hear({ data: news });
}

/** What was told to other windows. */
export const told: unknown[] = [];

/** A browser that has kept nothing yet. */
export function newDevice(): void {
  globalThis.indexedDB = new IDBFactory();
  for (const key of [...stored.keys()]) localStorage.removeItem(key);
}

/** Runs with a device that has no room. */
export async function full<T>(work: () => Promise<T>): Promise<T> {
  const put = jest.spyOn(IDBObjectStore.prototype, "put").mockImplementation(() => {
    throw new DOMException("full", "QuotaExceededError");
  });
  return work().finally(() => put.mockRestore());
}
