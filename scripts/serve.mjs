// Serves the built app on this machine only: node scripts/serve.mjs FROM [dev]. Prints its address once it answers.
import { createServer } from "node:http";
import next from "next";

const HOST = "127.0.0.1";
const TRIES = 50;
/** A request that has not come in whole by then is given up (ms). */
const SLOWEST = 10_000;
/** What stands before the path of an address that names its host. */
const ORIGIN = /^[a-z][a-z0-9+.-]*:\/\/([^/?#]*)/i;
const METHODS = ["GET", "HEAD", "POST"];
const PLAN = "/api/plan";
const SCHEMA = /^\/schema\/(piece|bench|make|plan)\.json$/;

/** Pages and static files bring a policy of their own in place of this one. */
const HEADERS = Object.entries({
  "Content-Security-Policy": "default-src 'none'; frame-ancestors 'none'",
  "X-Content-Type-Options": "nosniff",
  "Referrer-Policy": "no-referrer",
  "Permissions-Policy": "camera=(), microphone=(), geolocation=()",
  "Cross-Origin-Opener-Policy": "same-origin",
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
  if (![HOST, "localhost", "[::1]"].some((name) => headers.host === `${name}:${port}`)) return [421, "ask this host by its own name"];
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
const app = next({ dev, dir: new URL("..", import.meta.url).pathname, hostname: HOST });
await app.prepare();
const handle = app.getRequestHandler();
let port = from;

const server = createServer(
  { connectionsCheckingInterval: 1000, requestTimeout: SLOWEST, headersTimeout: SLOWEST },
  (request, response) => {
    for (const [name, value] of HEADERS) response.setHeader(name, value);
    endUnread(request, response);
    const wrong = objection(request, port);
    if (wrong) return refuse(response, ...wrong);
    request.url = (request.url ?? "/").replace(ORIGIN, "") || "/";
    handle(request, response).catch((error) => {
      console.error(error);
      if (response.headersSent) response.destroy();
      else refuse(response, 500, "something went wrong here");
    });
  },
);
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
  server.listen(++port, HOST);
});
server.on("listening", () => {
  const address = server.address();
  if (typeof address === "object" && address) port = address.port;
  console.log(`listening at http://${HOST}:${port}`);
});
server.listen(port, HOST);
for (const signal of ["SIGINT", "SIGTERM"]) process.once(signal, () => process.exit(0));
