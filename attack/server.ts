import { request } from "node:http";
import { DEMO_PIECES } from "@demo/pieces";
import { type Random, mutated } from "./random";
import { report } from "./report";

const [tern] = DEMO_PIECES;
/** So many ask at once, each so many times. */
const [CALLERS, EACH] = [25, 40];

const many = (count: number, each: unknown) => Array.from({ length: count }, () => each);
const fields = (count: number) => Object.fromEntries(many(count, 1).map((value, i) => [`k${i}`, value]));
const free = (count: number, reach: (i: number) => number) => ({
  ...tern,
  mounts: [
    {
      ...tern!.mounts[0],
      stone: {
        ...tern!.mounts[0]!.stone,
        outline: {
          shape: "free",
          points: many(count, 0).map((_, i) => {
            const angle = (2 * Math.PI * i) / count;
            return [8 * reach(i) * Math.cos(angle), 6 * reach(i) * Math.sin(angle)];
          }),
        },
      },
    },
  ],
});
const stones = (count: number) => many(count, 0).map((_, i) => ({ ...tern!.mounts[0], id: `m${i + 1}` }));
const pins = many(80, 0).map((_, i) => ({ before: [`m${(i % 12) + 1}.foot`, `m${((i * 5) % 12) + 1}.seam`] }));
const grades = many(12, 0).map((_, i) => ({ id: `g${i}`, rank: i, gives: 600 + 9 * i, runs: 640 + 9 * i }));

const WORST: Readonly<Record<string, unknown>> = {
  "pins that are none": { ...tern, heats: { pins: many(300_000, {}) } },
  "mounts that are none": { ...tern, mounts: many(500_000, {}) },
  "strange fields": { ...tern, ...fields(120_000) },
  "a zigzag of 2,000 points": free(2000, (i) => (i % 2 ? 1 : 0.6)),
  "noise of 2,000 points": free(2000, (i) => 1 + 0.003 * Math.sin(i * i)),
  "waves of 2,000 points": free(2000, (i) => 1 + 0.3 * Math.sin(i / 8)),
  "twelve mounts and eighty pins": { ...tern, mounts: stones(12), heats: { pins } },
};

/** A plan is answered or refused within this, the hard stop and the way there and back (ms). */
const ANSWERED = 2600;

/** The server's worst bodies, alone and together, slow bodies, and whether what is asked beside them is answered. */
export async function attackServer(address: string, random: Random): Promise<void> {
  const post = async (piece: unknown, bench?: unknown) => {
    const start = performance.now();
    const response = await fetch(`${address}/api/plan`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ piece, bench }),
    });
    await response.arrayBuffer();
    return { status: response.status, took: performance.now() - start };
  };
  const shelf = { format: "hoop-ledger/bench", version: 2, shelves: [{ id: "typical", grades }] };
  for (const [what, piece] of Object.entries(WORST)) {
    await post(tern);
    const { status, took } = await post(piece, what.includes("pins") && !what.includes("none") ? shelf : undefined);
    const bad = (status !== 200 && status !== 422) || took > ANSWERED ? 1 : 0;
    report({ what: `server: ${what}`, tries: 1, bad, found: `${status} after ${took.toFixed(0)} ms` });
  }
  const [worst, beside] = await Promise.all([
    Promise.all(Object.values(WORST).map((piece) => post(piece, shelf))),
    Promise.all(many(20, 0).map(() => post(tern))),
  ]);
  const unanswered = beside.filter(({ status }) => status !== 200).length;
  report({
    what: "server: plans asked for beside all of these",
    tries: beside.length,
    bad: unanswered,
    found: `slowest ${Math.max(...beside.map(({ took }) => took)).toFixed(0)} ms, the worst ${Math.max(...worst.map(({ took }) => took)).toFixed(0)} ms`,
  });
  let failed = 0;
  await Promise.all(
    many(CALLERS, 0).map(async () => {
      for (let i = 0; i < EACH; i++) {
        const { status } = await post(mutated(random.of(DEMO_PIECES), random));
        if (status !== 200 && status !== 422) failed++;
      }
    }),
  );
  report({ what: `server: mutated pieces, ${CALLERS} at a time`, tries: CALLERS * EACH, bad: failed, found: "200 or 422 each" });
  report({ what: "server: a body that never ends", tries: 1, ...(await slowBody(address)) });
}

function slowBody(address: string): Promise<{ readonly bad: number; readonly found: string }> {
  const start = performance.now();
  return new Promise((resolve) => {
    const end = (how: string) => {
      clearInterval(drip);
      clearTimeout(late);
      const took = performance.now() - start;
      resolve({ bad: took > 13_000 ? 1 : 0, found: `${how} after ${(took / 1000).toFixed(1)} s` });
    };
    const asked = request(`${address}/api/plan`, {
      method: "POST",
      headers: { "content-type": "application/json", "content-length": "1000000" },
    });
    const drip = setInterval(() => asked.write(" "), 500);
    const late = setTimeout(() => (asked.destroy(), end("given up here")), 20_000);
    asked.on("response", ({ statusCode }) => end(`answered ${statusCode}`));
    asked.on("error", () => end("ended"));
  });
}
