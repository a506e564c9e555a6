import { type NextRequest, NextResponse } from "next/server";

/** The strict policy of every page, with a nonce of its own; the server sets the headers that every answer has. */
export function proxy(request: NextRequest): NextResponse {
  const nonce = Buffer.from(crypto.randomUUID()).toString("base64");
  const policy = [
    "default-src 'self'",
    "connect-src 'self'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "form-action 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    "style-src 'self'",
    `style-src-elem 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
  ].join("; ");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("Content-Security-Policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("Content-Security-Policy", policy);
  return response;
}

/** The server's plan is left out: what passes through here is held until it has come in whole. */
export const config = { matcher: ["/((?!_next/static|schema/|api/|sw\\.js).*)"] };
