import { readFileSync } from "node:fs";
import { fault } from "@/core/piece/fault";
import { answerPlan, refused } from "./handler";
import { READY, planPool } from "./pool";
import { type PlanReply } from "./protocol";

const tern = JSON.parse(readFileSync("demo/pieces/tern-ring.json", "utf8")) as Record<string, unknown>;
const ask = (body: unknown) => answerPlan(new TextEncoder().encode(typeof body === "string" ? body : JSON.stringify(body)), () => 0);
const told = ({ status, body }: PlanReply) =>
  [
    status,
    ...(JSON.parse(body) as { faults: { path: string; code: string }[] }).faults.map(({ path, code }) => `${path} ${code}`),
  ] as const;

test("a request is planned on its bench, or refused with all that is wrong in it", () => {
  const bench = { format: "hoop-ledger/bench", version: 3, losses: { wall: { squaring: 1 } } };
  const { status, body } = ask({ piece: tern, bench });
  const { figures } = JSON.parse(body) as { figures: Record<string, { value: number }> };
  expect([status, figures["m1.wall.cutLength"]!.value]).toEqual([200, expect.closeTo(45.52645 + 1.1, 4)]);
  expect(told(ask({ piece: { ...tern, mounts: [] }, bench: {}, "a/b": 1 }))).toEqual([
    422,
    "/a~1b unknown-field",
    "/bench/format wrong-format",
    "/piece/mounts too-few",
  ]);
  expect(told(ask("{"))).toEqual([422, " not-json"]);
  expect(told(answerPlan(new Uint8Array([0xff]), () => 0))).toEqual([422, " not-utf8"]);
});

const many = (count: number, each: unknown) => Array.from({ length: count }, () => each);
const fields = (count: number, each: unknown) => Object.fromEntries(Array.from({ length: count }, (_, i) => [`k${i}`, each]));

test.each([
  ["pins that are none", { ...tern, heats: { pins: many(300_000, {}) } }, "/piece/heats/pins too-many"],
  ["mounts that are none", { ...tern, mounts: many(500_000, {}) }, "/piece/mounts too-many"],
  ["strange fields", { ...tern, ...fields(100_000, 1) }, "/piece too-many"],
  ["strange fields of a mount", { ...tern, mounts: many(12, fields(190, "x".repeat(600))) }, "/piece and-more"],
  [
    "points of many numbers",
    { ...tern, mounts: [{ stone: { outline: { shape: "free", points: many(2000, many(100, 0)) } } }] },
    "/piece/mounts/0/stone/outline/points/0 too-many",
  ],
  ["a text without end", { ...tern, name: "x".repeat(2_000_000) }, "/piece/name too-many"],
])("two megabytes of %s are refused by place, with at most a hundred faults", (_name, piece, line) => {
  const answer = told(ask({ piece }));
  expect(answer[0]).toBe(422);
  expect(answer).toContain(line);
  expect(answer.length).toBeLessThanOrEqual(102);
});

test("brackets without end are refused without being read in", () => {
  expect(told(ask(`{"piece":${"[".repeat(900_000)}`))[1]).toMatch(/too-deep$/);
});

/** A thread that answers when it is told to, or never. */
function slowThread() {
  const heard: { message?: (reply: PlanReply | typeof READY) => void; error?: (error: Error) => void } = {};
  const thread = {
    asked: 0,
    ended: false,
    ready: () => heard.message!(READY),
    reply: (status: number) => heard.message!({ status, body: "{}" }),
    fail: () => heard.error!(new Error("no memory")),
    postMessage: () => void thread.asked++,
    on: (event: "message" | "error", hear: never) => void ((heard as Record<string, unknown>)[event] = hear),
    terminate: () => void (thread.ended = true),
  };
  return thread;
}

/** A pool whose threads have loaded when the test says so, or at once. */
function pool(most = 20, atOnce = false) {
  const threads: ReturnType<typeof slowThread>[] = [];
  const start = () => {
    const thread = slowThread();
    threads.push(thread);
    if (atOnce) queueMicrotask(thread.ready);
    return thread;
  };
  const plan = planPool(start, 2, most);
  return { threads, plan: () => plan(new Uint8Array()) };
}

test("two are planned at a time, the next as soon as one is done, on the thread that is free", async () => {
  const { threads, plan } = pool(5000);
  const [a, b, c] = [plan(), plan(), plan()];
  expect(threads.map(({ asked }) => asked)).toEqual([1, 1]);
  threads[1]!.reply(201);
  expect((await b).status).toBe(201);
  expect(threads.map(({ asked }) => asked)).toEqual([1, 2]);
  threads[0]!.reply(202);
  threads[1]!.reply(203);
  expect([(await a).status, (await c).status]).toEqual([202, 203]);
});

test("one that takes too long is stopped with its thread and told so; the one beside it is answered, and those waiting get a new thread", async () => {
  jest.spyOn(console, "error").mockImplementation(() => undefined);
  const { threads, plan } = pool();
  const [slow, failing, waiting] = [plan(), plan(), plan()];
  threads[1]!.fail();
  expect((await failing).status).toBe(500);
  const first = await Promise.race([slow, new Promise((resolve) => setTimeout(resolve, 60, "still loading"))]);
  expect(first).toBe("still loading");
  threads[0]!.ready();
  expect(await slow).toEqual(refused([fault("", "too-slow", { limit: 0.02 })]));
  expect([threads[0]!.ended, threads[1]!.ended, threads.length]).toEqual([true, true, 3]);
  threads[0]!.reply(200);
  threads[2]!.reply(204);
  expect((await waiting).status).toBe(204);
});

test("what waits is bounded: past two hundred it is told to ask again", async () => {
  const { plan } = pool(1, true);
  const answers = Array.from({ length: 203 }, plan);
  expect((await answers[202]!).body).toContain("too-busy");
});
