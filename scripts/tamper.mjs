/**
 * Writes straight into a page's database, as no program of ours would, or takes away.
 * @param {import("@playwright/test").Page} page
 * @param {"pieces" | "makes" | "settings" | "journal"} store
 * @param {{ put: unknown, key?: string } | { remove: string }} what
 * @returns {Promise<void>}
 */
export function tamper(page, store, what) {
  return page.evaluate(
    (/** @type {[string, { put?: unknown, key?: string, remove?: string }]} */ [store, { put, key, remove }]) =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open("hoop-ledger");
        open.onerror = () => reject(open.error);
        open.onsuccess = () => {
          const write = open.result.transaction(store, "readwrite");
          if (remove === undefined) write.objectStore(store).put(put, key);
          else write.objectStore(store).delete(remove);
          write.oncomplete = () => (open.result.close(), resolve(undefined));
          write.onabort = () => reject(new Error("aborted"));
        };
      }),
    /** @type {[string, { put?: unknown, key?: string, remove?: string }]} */ ([store, what]),
  );
}
