import { readFileSync } from "node:fs";
import { Agent, type RequestOptions, request } from "node:http";
import { expect, test } from "./a-test";
import { DEMO } from "./places";

const ADDRESS = `${DEMO}/api/plan`;
const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as { mounts: object[] };

function post(body: BodyInit, type = "application/json"): Promise<Response> {
  return fetch(ADDRESS, {
    method: "POST",
    body,
    headers: { "content-type": type },
    ...(body instanceof ReadableStream && { duplex: "half" }),
  });
}

/** What an answer says: that it is planned, or the code of why not. */
async function toldBy(answer: Response): Promise<string> {
  if (answer.status === 200) return "planned";
  expect(answer.status).toBe(422);
  return ((await answer.json()) as { faults: { code: string }[] }).faults.map(({ code }) => code).join();
}

test("the server plans a piece, on a bench of the caller's own if there is one", async () => {
  const plan = await post(
    JSON.stringify({ piece: tern, bench: { format: "hoop-ledger/bench", version: 2, losses: { wall: { squaring: 1 } } } }),
  );
  expect(plan.status).toBe(200);
  const { figures } = (await plan.json()) as { figures: Record<string, { value: number }> };
  expect(figures["m1.wall.cutLength"]!.value).toBeCloseTo(45.52645 + 1.1, 4);
});

test("what it cannot plan it refuses with the faults, too much while it streams, and what is not JSON", async () => {
  const refused = await post(JSON.stringify({ piece: { ...tern, mounts: [] }, bench: {}, more: 1 }));
  expect(refused.status).toBe(422);
  expect(((await refused.json()) as { faults: { path: string }[] }).faults.map(({ path }) => path)).toEqual([
    "/more",
    "/bench/format",
    "/piece/mounts",
  ]);
  expect((await post("{")).status).toBe(422);
  expect((await post("{}", "text/plain")).status).toBe(415);
  let sent = 0;
  const unending = new ReadableStream<Uint8Array>({
    async pull(controller) {
      if (sent > 3 * 1024 * 1024) await new Promise(() => undefined);
      sent += 65_536;
      controller.enqueue(new Uint8Array(65_536).fill(32));
    },
  });
  expect((await post(unending)).status).toBe(413);
});

test("a hostile piece cannot hold the server, and a hundred requests, fifty at a time, are all answered", async () => {
  test.setTimeout(120_000);
  const stones = (count: number) => Array.from({ length: count }, (_, i) => ({ ...tern.mounts[0], id: `m${i + 1}` }));
  const pins = Array.from({ length: 80 }, (_, i) => ({ before: [`m${(i % 4) + 1}.foot`, `m${((i * 3) % 4) + 1}.seam`] }));
  const hostile = [
    { ...tern, mounts: stones(12) },
    { ...tern, mounts: stones(4), heats: { way: "one-grade", pins } },
    { ...tern, mounts: stones(13) },
  ];
  const answers = await Promise.all(hostile.map((piece) => post(JSON.stringify({ piece }))));
  const told = await Promise.all(answers.map(toldBy));
  expect(told[2]).toBe("too-many");
  // a busy machine may not plan the first two in the time they are given: then it says so
  for (const each of told.slice(0, 2)) expect(["planned", "too-slow"]).toContain(each);
  const body = JSON.stringify({ piece: tern });
  const failures: number[] = [];
  let next = 0;
  const caller = async () => {
    while (next++ < 100) {
      const response = await post(body);
      await response.arrayBuffer();
      if (response.status !== 200) failures.push(response.status);
    }
  };
  await Promise.all(Array.from({ length: 50 }, caller));
  expect(failures).toEqual([]);
});

/** What comes back for requests sent one after the other on one connection, or on the next where it was closed. */
async function inTurn(...requests: readonly (readonly [options: RequestOptions, body?: Buffer])[]): Promise<(readonly [number, string])[]> {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const answers: (readonly [number, string])[] = [];
  for (const [options, body] of requests)
    answers.push(
      await new Promise((resolve, reject) => {
        const asked = request(DEMO, { agent, ...options }, (answer) => {
          let text = "";
          answer.on("data", (chunk) => (text += String(chunk)));
          answer.on("end", () => resolve([answer.statusCode!, text]));
        });
        asked.setTimeout(4000, () => reject(new Error("no answer")));
        asked.on("error", reject);
        asked.end(body);
      }),
    );
  agent.destroy();
  return answers;
}

test("after a body that is too large the next request is answered; another host's address is refused; null and a list are told what they are", async () => {
  const asJson = { method: "POST", path: "/api/plan", headers: { "content-type": "application/json" } };
  const good = Buffer.from(JSON.stringify({ piece: tern }));
  const answers = await inTurn(
    [asJson, Buffer.alloc(3_000_000, 32)],
    [asJson, good],
    [asJson, Buffer.from("null")],
    [asJson, Buffer.from("[]")],
  );
  expect(answers.map(([status]) => status)).toEqual([413, 200, 422, 422]);
  expect(answers.slice(2).map(([, text]) => text)).toEqual([
    expect.stringContaining('an object, got null"'),
    expect.stringContaining('an object, got a list"'),
  ]);
  const { host } = new URL(DEMO);
  const absolute = await inTurn(
    [{ path: "http://elsewhere.example/ledger", headers: { host } }],
    [{ path: `http://${host}/schema/piece.json`, headers: { host } }],
    [{ path: "//elsewhere.example/ledger", headers: { host } }],
  );
  expect(absolute.map(([status]) => status)).toEqual([421, 200, 400]);
});
