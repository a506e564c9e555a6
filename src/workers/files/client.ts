import { type Wire } from "../latest-wins";
import { collected } from "./handler";
import { type FileAsk, type FileReply, type Opened } from "./protocol";

const worker = (): Wire => new Worker(new URL("./files.worker.ts", import.meta.url), { type: "module" });

/** How a reading is followed, and ended. */
export interface Watch {
  readonly onProgress: (done: number, of: number) => void;
  readonly signal: AbortSignal;
}

/** Reads a file in a worker; null once it is cancelled. @throws (rejects) with what went wrong in the worker. */
export function readFile(ask: FileAsk, { onProgress, signal }: Watch, start: () => Wire = worker): Promise<Opened | null> {
  const wire = start();
  const parts: Extract<FileReply, { kind: "part" }>[] = [];
  return new Promise<Opened | null>((resolve, reject) => {
    signal.addEventListener("abort", () => resolve(null));
    wire.onerror = (event) => reject(new Error(`the worker failed: ${event.message}`));
    wire.onmessage = ({ data }: MessageEvent<FileReply>) => {
      if (data.kind === "progress") onProgress(data.done, data.of);
      else if (data.kind === "part") parts.push(data);
      else resolve(collected(data.opened, parts));
    };
    wire.postMessage(ask);
  }).finally(() => wire.terminate());
}
