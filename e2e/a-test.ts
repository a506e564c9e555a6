import { networkInterfaces } from "node:os";
import { type BrowserContext, test as plain } from "@playwright/test";

export { devices, expect, type Locator, type Page } from "@playwright/test";

interface Watched {
  /** What a page may complain of in this test; anything else fails it. */
  readonly mayComplain: readonly RegExp[];
  readonly watched: undefined;
}

/** Tests of the browser: each fails on any error that a page tells its console, or throws, and on any request to another machine. */
export const test = plain.extend<Watched>({
  mayComplain: [[], { option: true }],
  watched: [
    async ({ context, mayComplain }, use) => {
      const heard = complaintsOf(context);
      await use(undefined);
      const bad = heard.filter((text) => !mayComplain.some((each) => each.test(text)));
      if (bad.length > 0) throw new Error(`a page complained:\n${bad.join("\n")}`);
    },
    { auto: true },
  ],
});

/** What this machine itself answers at. */
const HERE = new Set(["localhost", ...Object.values(networkInterfaces()).flatMap((all) => all?.map(({ address }) => address) ?? [])]);

/** Whether a request leaves this machine: what lies in the page itself goes nowhere. */
function leaves(url: string): boolean {
  const { protocol, hostname } = new URL(url);
  return !["blob:", "data:"].includes(protocol) && !HERE.has(hostname);
}

/** Everything that goes wrong in any page of a context, from now on, and every request of a page or a worker that leaves this machine. */
export function complaintsOf(context: BrowserContext): string[] {
  const heard: string[] = [];
  context.on("console", (message) => {
    if (message.type() === "error") heard.push(`${message.text()} ${message.location().url}`);
  });
  context.on("request", (request) => {
    if (leaves(request.url())) heard.push(`asked another machine: ${request.url()}`);
  });
  context.on("weberror", (error) => heard.push(String(error.error().message)));
  return heard;
}
