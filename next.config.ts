import type { NextConfig } from "next";

/** Workers do not inherit the page's policy, so their files carry one of their own. */
const WORKER_POLICY = "default-src 'none'; script-src 'self'; connect-src 'self'; worker-src 'self'; frame-ancestors 'none'";

const POLICY_OF_WORKERS = [{ key: "Content-Security-Policy", value: WORKER_POLICY }];

const config: NextConfig = {
  turbopack: { root: import.meta.dirname },
  reactCompiler: true,
  poweredByHeader: false,
  // `npm test` and CI check types by themselves; a second time would only make the build slower.
  typescript: { ignoreBuildErrors: true },
  // A browser that has not come to the page's own icon yet asks for one by this name.
  rewrites: () => Promise.resolve([{ source: "/favicon.ico", destination: "/icon.svg" }]),
  headers: () =>
    Promise.resolve([
      { source: "/_next/static/:path*", headers: POLICY_OF_WORKERS },
      { source: "/sw.js", headers: POLICY_OF_WORKERS },
    ]),
};

export default config;
