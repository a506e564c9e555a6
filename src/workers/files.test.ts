import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import ternFile from "@/core/piece/reference/tern-ring.piece.json";
import { readFile } from "./files/client";
import { answerFile } from "./files/handler";
import { type FileAsk, type FileReply } from "./files/protocol";
import { type Wire } from "./latest-wins";

const tern = ternFile as unknown as Piece;
const backup = {
  format: "hoop-ledger/backup",
  version: 1,
  bench: SHIPPED_BENCH,
  pieces: Array.from({ length: 450 }, (_, i) => ({ ...tern, id: `p${i}` })),
  makes: [],
};
const ask: FileAsk = {
  file: "all.json",
  bytes: new TextEncoder().encode(JSON.stringify(backup)),
  bench: SHIPPED_BENCH,
  taken: new Set(["p3"]),
};

/** A worker that answers by `answer`, as the real one does by the handler. */
function wireThat(answer: (ask: FileAsk, reply: (reply: FileReply) => void, fail: (why: string) => void) => void) {
  const wire: Wire & { ended: number } = {
    ended: 0,
    onmessage: null,
    onerror: null,
    postMessage: (asked: FileAsk) =>
      answer(
        asked,
        (data) => void wire.onmessage?.call(wire as unknown as Worker, { data } as MessageEvent<FileReply>),
        (message) => void wire.onerror?.call(wire as unknown as Worker, { message } as ErrorEvent),
      ),
    terminate: () => void wire.ended++,
  };
  return wire;
}

test("a file is read in a worker, its progress told, its parts put together, and the worker ended", async () => {
  const wire = wireThat((asked, reply) => answerFile(asked, reply));
  const told: [number, number][] = [];
  const opened = await readFile(ask, { onProgress: (...each) => told.push(each), signal: new AbortController().signal }, () => wire);
  if (opened?.kind !== "backup") throw new Error(opened?.kind);
  expect(told).toEqual([
    [200, 450],
    [400, 450],
  ]);
  expect(opened.backup.pieces.map(({ id }) => id)).toEqual(backup.pieces.map(({ id }) => id));
  expect(wire.ended).toBe(1);
});

test("a reading that is stopped gives nothing, one whose worker fails says why; either way the worker is ended", async () => {
  const silent = wireThat(() => undefined);
  const stopping = new AbortController();
  const stopped = readFile(ask, { onProgress: () => undefined, signal: stopping.signal }, () => silent);
  stopping.abort();
  expect([await stopped, silent.ended]).toEqual([null, 1]);
  const broken = wireThat((_, __, fail) => fail("no memory"));
  const failed = readFile(ask, { onProgress: () => undefined, signal: new AbortController().signal }, () => broken);
  await expect(failed).rejects.toThrow("no memory");
  expect(broken.ended).toBe(1);
});
