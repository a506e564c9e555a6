// Serves the built app on this machine only, or where it is asked to on its network: node scripts/serve.mjs FROM [dev]. Prints its address once it
// answers.
import { readFileSync } from "node:fs";
import { createServer } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { hostname, networkInterfaces } from "node:os";
import next from "next";

const HERE = "127.0.0.1";
const { HOOP_LEDGER_LAN: lan, HOOP_LEDGER_CERT: cert = "", HOOP_LEDGER_KEY: key = "" } = process.env;
/** Addresses that this machine has on its networks. */
const OWN = Object.values(networkInterfaces()).flatMap((each) =>
  (each ?? []).flatMap(({ family, internal, address }) => (family === "IPv4" && !internal ? [address] : [])),
);
/** What a browser may call this server. */
const NAMES = [HERE, "localhost", "[::1]", ...(lan ? [...OWN, hostname(), `${hostname()}.local`] : [])];
const SCHEME = cert ? "https" : "http";
const TRIES = 50;
/** A request that has not come in whole by then is given up (ms). */
const SLOWEST = 10_000;
/** What stands before the path of an address that names its host. */
const ORIGIN = /^[a-z][a-z0-9+.-]*:\/\/([^/?#]*)/i;
const METHODS = ["GET", "HEAD", "POST"];
const PLAN = "/api/plan";
const SCHEMA = /^\/schema\/(piece|bench|make|plan)\.json$/;

const OPENER = "Cross-Origin-Opener-Policy";

/** Pages and static files bring a policy of their own in place of this one. */
const HEADERS = Object.entries({
  "Content-Security-Policy": "default-src 'none'; frame-ancestors 'none'",
  "X-Content-Type-Options": "nosniff",
  "Referrer-Policy": "no-referrer",
  "Permissions-Policy": "camera=(), microphone=(), geolocation=()",
  [OPENER]: "same-origin",
});

/**
 * @param {import("node:http").ServerResponse} response
 * @param {number} status
 * @param {string} expected
 * @param {Record<string, string>} [headers]
 */
function refuse(response, status, expected, headers = {}) {
  response.writeHead(status, { "Content-Type": "application/json", Connection: "close", ...headers });
  response.end(JSON.stringify({ faults: [{ path: "", code: "refused", expected }] }));
}

/** Whether a browser counts the address that was asked as secure. @param {import("node:http").IncomingMessage} request */
function isSecure({ headers: { host = "" } }) {
  return cert !== "" || host.startsWith(`${HERE}:`) || host.startsWith("localhost:");
}

/** A client has so long to read its answer before a connection with more coming in on it ends (ms). */
const LINGER = 300;

/**
 * A request that is answered before all of it has come ends its connection, and says so: the next one on it would wait for ever. The connection
 * ends a moment after the answer, for a socket closed with something unread throws away what it has sent.
 * @param {import("node:http").IncomingMessage} request
 * @param {import("node:http").ServerResponse} response
 */
function endUnread(request, response) {
  const { socket } = request;
  const writeHead = response.writeHead.bind(response);
  response.writeHead = /** @type {typeof response.writeHead} */ (
    (/** @type {[number]} */ ...head) => {
      if (!request.complete) {
        response.shouldKeepAlive = false;
        socket.destroySoon = () => {
          socket.end();
          setTimeout(() => socket.destroy(), LINGER);
        };
      }
      return writeHead(...head);
    }
  );
}

/**
 * What is wrong with a request before anything is done for it.
 * @param {import("node:http").IncomingMessage} request
 * @param {number} port
 * @returns {[status: number, expected: string, headers?: Record<string, string>] | null}
 */
function objection({ headers, method = "", url = "/" }, port) {
  if (!NAMES.some((name) => headers.host === `${name}:${port}`)) return [421, "ask this host by its own name"];
  const host = ORIGIN.exec(url)?.[1];
  if (host !== undefined && host !== headers.host) return [421, "ask this host by its own name"];
  if (host === undefined && !/^\/(?![/\\])/.test(url)) return [400, "the address is not well formed"];
  if (!METHODS.includes(method)) return [405, `use ${METHODS.join(", ")}`, { Allow: METHODS.join(", ") }];
  const path = url.replace(ORIGIN, "").split(/[?#]/, 1)[0] ?? "/";
  try {
    decodeURIComponent(path);
  } catch {
    return [400, "the address is not well formed"];
  }
  if (path === PLAN) return method === "POST" ? null : [405, "use POST", { Allow: "POST" }];
  if (method === "POST") return [405, "use GET", { Allow: "GET, HEAD" }];
  if (/^\/(schema|api)(\/|$)/.test(path) && !SCHEMA.test(path)) return [404, "there is nothing by that name"];
  return null;
}

const from = Number(process.argv[2] ?? 4173);
const dev = process.argv[3] === "dev";
const app = next({ dev, dir: new URL("..", import.meta.url).pathname, hostname: HERE });
await app.prepare();
const handle = app.getRequestHandler();
let port = from;

const LIMITS = { connectionsCheckingInterval: 1000, requestTimeout: SLOWEST, headersTimeout: SLOWEST };
/** @type {import("node:http").RequestListener} */
const answer = (request, response) => {
  for (const [name, value] of HEADERS) response.setHeader(name, value);
  // A browser takes this of a secure address alone, and complains of it elsewhere.
  if (!isSecure(request)) response.removeHeader(OPENER);
  endUnread(request, response);
  const wrong = objection(request, port);
  if (wrong) return refuse(response, ...wrong);
  request.url = (request.url ?? "/").replace(ORIGIN, "") || "/";
  handle(request, response).catch((error) => {
    console.error(error);
    if (response.headersSent) response.destroy();
    else refuse(response, 500, "something went wrong here");
  });
};
const server = cert
  ? createSecureServer({ ...LIMITS, cert: readFileSync(cert), key: readFileSync(key) }, answer)
  : createServer(LIMITS, answer);
if (dev) {
  const upgrade = app.getUpgradeHandler();
  server.on("upgrade", (request, socket, head) => void upgrade(request, socket, head));
}
server.on("error", (error) => {
  const { code } = /** @type {NodeJS.ErrnoException} */ (error);
  if (code !== "EADDRINUSE" || port >= from + TRIES) {
    console.error(code === "EADDRINUSE" ? `no free port from ${from} to ${port}` : error.message);
    process.exit(1);
  }
  server.listen(++port, lan ? undefined : HERE);
});
server.on("listening", () => {
  const address = server.address();
  if (typeof address === "object" && address) port = address.port;
  for (const address of lan ? OWN : []) console.log(`also at ${SCHEME}://${address}:${port}`);
  console.log(`listening at ${SCHEME}://${HERE}:${port}`);
});
server.listen(port, lan ? undefined : HERE);
for (const signal of ["SIGINT", "SIGTERM"]) process.once(signal, () => process.exit(0));
