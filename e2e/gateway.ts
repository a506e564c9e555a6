import { type IncomingMessage, type Server, createServer, request } from "node:http";

/** Stands before the app's server, so that a test can change, hold back or end what it answers. */
export interface Gateway {
  readonly address: string;
  /** Whether it hands out the service worker of a later build. */
  isNewer: boolean;
  /** How many files more it answers for before it breaks off every connection; null for all. */
  left: number | null;
  stop(): Promise<void>;
}

const VERSION = /version:"([0-9a-f]+)"/;

/** Opens one before a server. The later build is the same but for its name. */
export function openGateway(to: string): Promise<Gateway> {
  const target = new URL(to);
  const state = { isNewer: false, left: null as number | null };
  const server: Server = createServer((asked, answer) => {
    const isFile = asked.url?.startsWith("/_next/static/") ?? false;
    if (state.left !== null && isFile && --state.left < 0) return void asked.socket.destroy();
    const passed = request(
      { host: target.hostname, port: target.port, path: asked.url, method: asked.method, headers: { ...asked.headers, host: target.host } },
      (came: IncomingMessage) => {
        const headers = { ...came.headers };
        if (asked.url !== "/sw.js" || !state.isNewer) {
          answer.writeHead(came.statusCode ?? 500, headers);
          came.pipe(answer);
          return;
        }
        const parts: Buffer[] = [];
        came.on("data", (part: Buffer) => parts.push(part));
        came.on("end", () => {
          const text = Buffer.concat(parts).toString().replace(VERSION, 'version:"$1b"');
          delete headers["content-length"];
          answer.writeHead(200, headers);
          answer.end(text);
        });
      },
    );
    passed.on("error", () => asked.socket.destroy());
    asked.pipe(passed);
    // Packed, or not sent as nothing has changed, the worker could not be changed on its way.
    if (asked.url === "/sw.js") {
      passed.setHeader("accept-encoding", "identity");
      passed.removeHeader("if-none-match");
      passed.removeHeader("if-modified-since");
    }
  });
  return new Promise((resolve) =>
    server.listen(0, "127.0.0.1", () => {
      const bound = server.address();
      const port = typeof bound === "object" && bound ? bound.port : 0;
      const stop = () =>
        new Promise<void>((ended) => {
          server.close(() => ended());
          server.closeAllConnections();
        });
      resolve(Object.assign(state, { address: `http://127.0.0.1:${port}`, stop }));
    }),
  );
}
