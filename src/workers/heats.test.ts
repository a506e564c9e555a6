import { type Piece } from "@/core/piece/piece";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { settleHeats } from "@/core/piece/settle";
import { assemblyOf } from "@/core/joint/contribution";
import { sizePiece } from "@/core/piece/size-piece";
import { type HeatsOf, bestHeats } from "@/core/heats/best";
import { RememberedHeats } from "@/core/heats/remember";
import ternFile from "@/core/piece/reference/tern-ring.piece.json";
import { answerHeats } from "./heats/handler";
import { type HeatsAsk, type HeatsReply } from "./heats/protocol";
import { HEARD, type Wire, latestWins } from "./latest-wins";

const tern = ternFile as unknown as Piece;

function ask(stones: number): HeatsAsk {
  const mounts = Array.from({ length: stones }, (_, i) => ({ ...tern.mounts[0]!, id: `m${i + 1}` }));
  const piece = { ...tern, mounts };
  return { assembly: assemblyOf(sizePiece(piece, SHIPPED_BENCH).contribution), wishes: settleHeats(piece.heats, SHIPPED_BENCH) };
}

/** A worker that answers when it is told to. */
function slowWire() {
  const asked: HeatsAsk[] = [];
  const wire: Wire & { ended: boolean; reply(best: HeatsReply | typeof HEARD): void; fail(): void } = {
    ended: false,
    onmessage: null,
    onerror: null,
    postMessage: (question: HeatsAsk) => void asked.push(question),
    terminate: () => void (wire.ended = true),
    reply: (data) => void wire.onmessage?.call(wire as unknown as Worker, { data } as MessageEvent<HeatsReply | typeof HEARD>),
    fail: () => void wire.onerror?.call(wire as unknown as Worker, { message: "no memory" } as ErrorEvent),
  };
  return wire;
}

function client() {
  const wires: ReturnType<typeof slowWire>[] = [];
  const wins = latestWins<HeatsAsk, HeatsReply>(() => {
    wires.push(slowWire());
    return wires.at(-1)!;
  });
  return { wires, wins };
}

const done: HeatsReply = { status: "impossible", conflicts: [] };

test("the worker's answer is the core's, and once its time is over the best found with a bound", () => {
  const { assembly, wishes } = ask(3);
  expect(answerHeats({ assembly, wishes }, () => 0)).toEqual(bestHeats(assembly, wishes));
  let ticks = 0;
  expect(answerHeats(ask(4), () => (ticks += 6000))).toMatchObject({ bound: expect.any(Number) as number });
});

test("the latest question wins: an older one is dropped, its worker ended, and an idle worker is asked again", async () => {
  const { wires, wins } = client();
  const first = wins.ask(ask(1));
  const second = wins.ask(ask(2));
  expect(await first).toBeNull();
  expect(wires.map(({ ended }) => ended)).toEqual([true, false]);
  wires[1]!.reply(done);
  expect(await second).toBe(done);
  const third = wins.ask(ask(1));
  expect(wires).toHaveLength(2);
  wins.cancel();
  expect(await third).toBeNull();
  expect(wires[1]!.ended).toBe(true);
  const fourth = wins.ask(ask(1));
  wires[2]!.reply(done);
  await fourth;
  wins.cancel();
  expect(wires[2]!.ended).toBe(false);
  wins.end();
  expect(wires[2]!.ended).toBe(true);
  void wins.ask(ask(1));
  expect(wires).toHaveLength(4);
  wins.end();
});

test("a worker is made ready where there is none, and what is asked before it is ends it", async () => {
  const { wires, wins } = client();
  const ready = wins.prepare(ask(1));
  const asked = wins.ask(ask(2));
  await ready;
  expect(wires.map(({ ended }) => ended)).toEqual([true, false]);
  await wins.prepare(ask(1));
  wires[1]!.reply(done);
  expect(await asked).toBe(done);
  await wins.prepare(ask(1));
  expect(wires).toHaveLength(2);
});

test("an idle worker that does not say it heard is given up for a new one, which is asked the same; one that did is waited for", async () => {
  jest.useFakeTimers();
  const { wires, wins } = client();
  const first = wins.ask(ask(1));
  jest.advanceTimersByTime(20_000);
  wires[0]!.reply(done);
  expect(await first).toBe(done);
  const second = wins.ask(ask(2));
  jest.advanceTimersByTime(1600);
  expect(wires.map(({ ended }) => ended)).toEqual([true, false]);
  wires[1]!.reply(done);
  expect(await second).toBe(done);
  const third = wins.ask(ask(1));
  wires[1]!.reply(HEARD);
  jest.advanceTimersByTime(25_000);
  expect(wires).toHaveLength(2);
  wires[1]!.reply(done);
  expect(await third).toBe(done);
  jest.advanceTimersByTime(60_000);
  expect(wires.map(({ ended }) => ended)).toEqual([true, false]);
  jest.useRealTimers();
});

test("a worker that is ended in the middle of its search is asked once more, then given up with a word", async () => {
  jest.useFakeTimers();
  const { wires, wins } = client();
  const first = wins.ask(ask(1));
  wires[0]!.reply(HEARD);
  jest.advanceTimersByTime(31_000);
  expect(wires.map(({ ended }) => ended)).toEqual([true, false]);
  wires[1]!.reply(done);
  expect(await first).toBe(done);
  const second = wins.ask(ask(2)).catch((error: Error) => error.message);
  wires[1]!.reply(HEARD);
  jest.advanceTimersByTime(31_000);
  wires[2]!.reply(HEARD);
  jest.advanceTimersByTime(31_000);
  expect(await second).toBe("the worker does not answer");
  expect(wires.map(({ ended }) => ended)).toEqual([true, true, true]);
  jest.useRealTimers();
});

test("what goes wrong in the worker is said, and the next question finds a new one", async () => {
  const { wires, wins } = client();
  const failing = wins.ask(ask(1));
  wires[0]!.fail();
  await expect(failing).rejects.toThrow(/no memory/);
  const next = wins.ask(ask(1));
  wires[1]!.reply(done);
  expect(await next).toBe(done);
});

test("heats are remembered by their joints, metals and wishes: sizes do not search again", () => {
  let searches = 0;
  const memory = new RememberedHeats();
  const heatsOf: HeatsOf = (assembly, wishes) =>
    memory.find(assembly, wishes) ?? (searches++, memory.keep(assembly, wishes, bestHeats(assembly, wishes)));
  const { assembly, wishes } = ask(2);
  const wider = { ...assembly, joints: assembly.joints.map((joint) => ({ ...joint, length: joint.length + 1 })) };
  expect(heatsOf(wider, wishes)).toBe(heatsOf(assembly, wishes));
  expect(searches).toBe(1);
  for (const change of [
    { parts: assembly.parts.map((part) => ({ ...part, metal: "copper" as const })) },
    { joints: assembly.joints.map((joint) => ({ ...joint, after: [] })) },
  ])
    expect(heatsOf({ ...assembly, ...change }, wishes)).toEqual(bestHeats({ ...assembly, ...change }, wishes));
  for (const change of [{ overshoot: 3 }, { way: "one-grade" as const }, { pins: [{ joint: "m1.foot", grade: "easy" }] }])
    expect(heatsOf(assembly, { ...wishes, ...change })).toEqual(bestHeats(assembly, { ...wishes, ...change }));
  expect(searches).toBe(6);
});
