/** The part of a worker that a client uses. */
export type Wire = Pick<Worker, "postMessage" | "terminate" | "onmessage" | "onerror">;

/**
 * Asks a worker one thing at a time. A newer question, or `cancel`, ends the search for the older one, whose answer is
 * then null. A worker that is searching hears nothing, so it is ended and another started.
 */
export interface LatestWins<Ask, Reply> {
  /** @throws (rejects) with what went wrong in the worker. */
  ask(question: Ask): Promise<Reply | null>;
  cancel(): void;
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
    ask(question) {
      cancel();
      const asked = (wire ??= start());
      return new Promise((resolve, reject) => {
        drop = () => resolve(null);
        asked.onmessage = ({ data }: MessageEvent<Reply>) => {
          drop = null;
          resolve(data);
        };
        asked.onerror = (event) => {
          drop = null;
          asked.terminate();
          wire = null;
          reject(new Error(`the worker failed: ${event.message}`));
        };
        asked.postMessage(question);
      });
    },
  };
}
