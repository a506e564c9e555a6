import { type IDBPDatabase, openDB } from "idb";

/** A file of the maker's own choosing that everything is written into; what is used of it. */
export interface OwnFileHandle {
  readonly name: string;
  createWritable(): Promise<{ write(text: string): Promise<void>; close(): Promise<void> }>;
  queryPermission?(how: { readonly mode: "readwrite" }): Promise<PermissionState>;
  requestPermission?(how: { readonly mode: "readwrite" }): Promise<PermissionState>;
}

const NAME = "hoop-ledger-own-file";
const STORE = "handle";
const KEY = "everything";

/** The handle lies beside the pieces, in a database of its own: it means nothing on another device, and is in no backup. */
function open(): Promise<IDBPDatabase> {
  return openDB(NAME, 1, { upgrade: (database) => void database.createObjectStore(STORE) });
}

/** The file that was chosen, if one was. */
export async function ownFile(): Promise<OwnFileHandle | null> {
  const database = await open();
  const handle = (await database.get(STORE, KEY)) as OwnFileHandle | undefined;
  database.close();
  return handle ?? null;
}

/** null chooses none. */
export async function chooseOwnFile(handle: OwnFileHandle | null): Promise<void> {
  const database = await open();
  if (handle) await database.put(STORE, handle, KEY);
  else await database.delete(STORE, KEY);
  database.close();
}

/** Whether the browser lets it be written; after a restart it asks again, by a press. */
export async function mayWrite(handle: OwnFileHandle, isPressed: boolean): Promise<boolean> {
  const how = { mode: "readwrite" } as const;
  const asked = isPressed ? handle.requestPermission?.(how) : handle.queryPermission?.(how);
  return ((await asked) ?? "granted") === "granted";
}

/** Writes all of it, or leaves the file as it was. */
export async function writeOwnFile(handle: OwnFileHandle, parts: readonly string[]): Promise<void> {
  const file = await handle.createWritable();
  for (const part of parts) await file.write(part);
  await file.close();
}
