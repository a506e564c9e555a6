import { fault } from "@/core/piece/fault";
import { refused } from "./handler";
import { type PlanReply } from "./protocol";

/** The part of a thread that the pool uses. It says READY once, when it has loaded. */
export interface Thread {
  postMessage(bytes: Uint8Array): void;
  on(event: "message", heard: (reply: PlanReply | typeof READY) => void): unknown;
  on(event: "error", heard: (error: Error) => void): unknown;
  terminate(): unknown;
}

export const READY = "ready";

/** A thread that has not loaded by then will not (ms). */
const LONGEST_LOAD = 20_000;

interface Job {
  readonly bytes: Uint8Array;
  readonly end: (reply: PlanReply) => void;
}

/** Plans still waiting past so many are refused at once, so that those before them are answered. */
const MOST_WAITING = 200;

/**
 * Plans beside the server, a few at a time. One that is not done `most` ms after its thread could begin is stopped with its thread, whatever it
 * does; those beside it go on, and those waiting get the thread that takes its place.
 */
export function planPool(start: () => Thread, count: number, most: number): (bytes: Uint8Array) => Promise<PlanReply> {
  const idle: Thread[] = [];
  const waiting: Job[] = [];
  let running = 0;

  function next(): void {
    const job = running < count ? waiting.shift() : undefined;
    if (job) work(idle.pop() ?? start(), job);
  }

  function work(thread: Thread, { bytes, end }: Job): void {
    running++;
    let isOver = false;
    const over = (reply: PlanReply, isWell: boolean) => {
      if (isOver) return;
      isOver = true;
      clearTimeout(stop);
      running--;
      if (isWell) idle.push(thread);
      else void thread.terminate();
      end(reply);
      next();
    };
    const giveUp = () => over(refused([fault("", "too-slow", { limit: most / 1000 })]), false);
    let stop = setTimeout(giveUp, loaded.has(thread) ? most : LONGEST_LOAD);
    const begin = () => {
      clearTimeout(stop);
      if (!isOver) stop = setTimeout(giveUp, most);
    };
    const isNew = !current.has(thread);
    current.set(thread, { over, begin });
    if (isNew) hear(thread);
    thread.postMessage(bytes);
  }

  function hear(thread: Thread): void {
    thread.on("message", (reply) => {
      if (reply !== READY) return current.get(thread)!.over(reply, true);
      loaded.add(thread);
      current.get(thread)!.begin();
    });
    thread.on("error", (error) => {
      console.error(error);
      current.get(thread)!.over({ status: 500, body: "{}" }, false);
    });
  }

  const loaded = new WeakSet<Thread>();
  const current = new WeakMap<Thread, { readonly over: (reply: PlanReply, isWell: boolean) => void; readonly begin: () => void }>();

  return (bytes) =>
    new Promise((end) => {
      if (waiting.length >= MOST_WAITING) return end(refused([fault("", "too-busy")]));
      waiting.push({ bytes, end });
      next();
    });
}
