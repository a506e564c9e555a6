/** The part of a worker that a client uses. */
export type Wire = Pick<Worker, "postMessage" | "terminate" | "onmessage" | "onerror">;

/** Acknowledgement that a worker posts before it starts. Browsers may end an idle worker without an event; a missing acknowledgement reveals that. */
export const HEARD = "heard";
/** One that was idle and does not answer that by then is given up for a new one (ms). */
const MOST_SILENT = 1500;
/** No search is this long: a worker that was ended in the middle of one says nothing of it either (ms). */
const LONGEST = 30_000;

/**
 * Asks a worker one thing at a time. A newer question, or `cancel`, ends the search for the older one, whose answer is
 * then null. A worker that is searching hears nothing, so it is ended and another started.
 */
export interface LatestWins<Ask, Reply> {
  /** @throws (rejects) with what went wrong in the worker. */
  ask(question: Ask): Promise<Reply | null>;
  cancel(): void;
  /** Warms up a worker, if there is none, with a request whose answer is dropped. A request made before the answer cancels it. */
  prepare(question: Ask): Promise<void>;
  /** Ends the worker too where it is idle. The next question starts another. */
  end(): void;
}

export function latestWins<Ask, Reply>(start: () => Wire): LatestWins<Ask, Reply> {
  let wire: Wire | null = null;
  let drop: (() => void) | null = null;

  function cancel(): void {
    if (!drop) return;
    wire?.terminate();
    wire = null;
    drop();
    drop = null;
  }

  return {
    cancel,
    prepare: async (question) => {
      if (wire === null) await ask(question);
    },
    end() {
      cancel();
      wire?.terminate();
      wire = null;
    },
    ask,
  };

  function ask(question: Ask): Promise<Reply | null> {
    cancel();
    const isIdle = wire !== null;
    return new Promise((resolve, reject) => {
      const listenTo = (asked: Wire, isNew: boolean, isLast: boolean) => {
        wire = asked;
        const silence = isNew ? undefined : setTimeout(again, MOST_SILENT);
        const late = setTimeout(again, LONGEST);
        const stop = () => [silence, late].forEach(clearTimeout);
        const fail = (why: string) => {
          stop();
          drop = null;
          asked.terminate();
          wire = null;
          reject(new Error(`the worker ${why}`));
        };
        function again() {
          if (isLast) return fail("does not answer");
          stop();
          asked.terminate();
          listenTo(start(), true, true);
        }
        drop = () => {
          stop();
          resolve(null);
        };
        asked.onmessage = ({ data }: MessageEvent<Reply | typeof HEARD>) => {
          clearTimeout(silence);
          if (data === HEARD) return;
          stop();
          drop = null;
          resolve(data);
        };
        asked.onerror = (event) => fail(`failed: ${event.message}`);
        asked.postMessage(question);
      };
      listenTo(wire ?? start(), !isIdle, false);
    });
  }
}
