import { type Kept, PAGES, pageFor } from "./pages";

// Answers for the server where it does not answer: every page and file of this build is cached before it takes over.

/** What this build is made of; put in when it is built. */
declare const KEPT_HERE: Kept;
const KEPT = KEPT_HERE;

/** What is used of a worker that answers for a server. */
interface Worker {
  readonly location: { readonly origin: string };
  readonly clients: { claim(): Promise<void> };
  skipWaiting(): Promise<void>;
  addEventListener(type: "install" | "activate", hear: (event: Lasting) => void): void;
  addEventListener(type: "fetch", hear: (event: Fetched) => void): void;
  addEventListener(type: "message", hear: (event: { readonly data: unknown }) => void): void;
}

interface Lasting {
  waitUntil(work: Promise<unknown>): void;
}

interface Fetched {
  readonly request: Request;
  respondWith(answer: Promise<Response>): void;
}

declare const self: Worker;

const PREFIX = "hoop-ledger ";
const NAME = PREFIX + KEPT.version;
/** Caches that are kept: this build's, and the last one's for windows that still show it. */
const MOST_CACHES = 2;
/** A page that has not come by then is taken from the cache (ms). */
const SLOWEST = 2000;
const AT_ONCE = 6;
const FILES: ReadonlySet<string> = new Set(KEPT.files);
/** A file says the same whatever was asked along with it. */
const BY_ADDRESS = { ignoreVary: true } as const;

self.addEventListener("install", (event) => event.waitUntil(fill()));
self.addEventListener("activate", (event) => event.waitUntil(takeOver()));
self.addEventListener("message", ({ data }) => {
  if (data === "use") void self.skipWaiting();
});
self.addEventListener("fetch", (event) => {
  const answer = answerTo(event.request);
  if (answer) event.respondWith(answer);
});

/** Caches all of this build, a few at once; what a cache has already, by the hash in its name, is not fetched again. */
async function fill(): Promise<void> {
  const cache = await caches.open(NAME);
  const waiting = [...KEPT.files, ...PAGES];
  const next = async (): Promise<void> => {
    for (let address = waiting.pop(); address !== undefined; address = waiting.pop()) await put(cache, address);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, next));
}

async function put(cache: Cache, address: string): Promise<void> {
  const isHashed = address.startsWith("/_next/static/");
  const known = isHashed ? await caches.match(address, BY_ADDRESS) : undefined;
  const response = known ?? (await fetch(address, { cache: isHashed ? "default" : "reload" }));
  if (!response.ok) throw new Error(`${address}: ${response.status}`);
  await cache.put(address, response);
}

async function takeOver(): Promise<void> {
  const names = (await caches.keys()).filter((name) => name.startsWith(PREFIX) && name !== NAME);
  await Promise.all(names.slice(0, Math.max(0, names.length - MOST_CACHES + 1)).map((name) => caches.delete(name)));
  await self.clients.claim();
}

/** null for what is the server's alone. */
function answerTo(request: Request): Promise<Response> | null {
  const { origin, pathname } = new URL(request.url);
  if (request.method !== "GET" || origin !== self.location.origin) return null;
  if (request.mode === "navigate") {
    const page = pageFor(pathname);
    return page === null ? null : pageOf(request, page);
  }
  return FILES.has(pathname) || pathname.startsWith("/_next/static/") ? fileOf(request) : null;
}

/** The server's page, with a short wait; else this build's own. */
async function pageOf(request: Request, page: string): Promise<Response> {
  const kept = await caches.match(page, BY_ADDRESS);
  const fetched = fetch(request);
  if (!kept) return fetched;
  const late = new Promise<Response>((resolve) => setTimeout(() => resolve(kept), SLOWEST));
  return Promise.race([fetched.then((response) => (response.status < 500 ? response : kept)).catch(() => kept), late]);
}

async function fileOf(request: Request): Promise<Response> {
  const kept = await caches.match(request, { ...BY_ADDRESS, ignoreSearch: true });
  if (!kept) return fetch(request);
  // A worker's address carries what it is to run: a cached answer would put its own address in place of it.
  return request.destination === "worker" ? new Response(await kept.arrayBuffer(), { headers: kept.headers }) : kept;
}
