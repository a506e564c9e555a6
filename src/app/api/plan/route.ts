import { join } from "node:path";
import { Worker } from "node:worker_threads";
import { MOST_BYTES } from "@/formats/read-json";
import { planPool } from "@/workers/plan/pool";

/** One plan takes no longer than this (ms). */
const LONGEST = 2000;
const THREADS = 2;
/** A body that has not come in by then is given up (ms). */
const SLOWEST = 10_000;

const plan = planPool(() => new Worker(join(/*turbopackIgnore: true*/ process.cwd(), ".build/plan-thread.mjs")), THREADS, LONGEST);

/** Plans `{ piece, bench? }`: the plan, or 422 with all that is wrong; 413 past 2 MB, 415 for what is not JSON, 408 for what does not come. */
export async function POST(request: Request): Promise<Response> {
  try {
    if (!/^application\/json\b/i.test(request.headers.get("content-type") ?? "")) return refused(415, "send application/json");
    const bytes = await readLimited(request);
    if (bytes === "large") return refused(413, `send at most ${MOST_BYTES} bytes`);
    if (bytes === "slow") return refused(408, `send it within ${SLOWEST / 1000} seconds`);
    const { status, body } = await plan(bytes);
    return status === 500 ? refused(500, "something went wrong here") : json(body, status);
  } catch (error) {
    console.error(error);
    return refused(500, "something went wrong here");
  }
}

function json(body: string, status: number): Response {
  return new Response(body, { status, headers: { "Content-Type": "application/json" } });
}

function refused(status: number, expected: string): Response {
  return json(JSON.stringify({ faults: [{ path: "", code: "refused", expected }] }), status);
}

/** The body; "large" as soon as it passes the limit, "slow" once its time is over. */
async function readLimited(request: Request): Promise<Uint8Array | "large" | "slow"> {
  if (!request.body) return new Uint8Array();
  const reader = request.body.getReader();
  const late = new Promise<"slow">((resolve) => setTimeout(resolve, SLOWEST, "slow").unref());
  const parts: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const read = await Promise.race([reader.read(), late]);
    const given = read === "slow" ? read : !read.done && size + read.value.byteLength > MOST_BYTES ? "large" : null;
    if (given !== null) {
      await reader.cancel();
      return given;
    }
    const { done, value } = read as Exclude<typeof read, "slow">;
    if (done) return Buffer.concat(parts);
    size += value.byteLength;
    parts.push(value);
  }
}
