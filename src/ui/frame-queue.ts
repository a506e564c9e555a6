/** Time in ms that work may take of each frame, so that scrolling stays smooth. */
const BUDGET = 6;

/**
 * Runs queued work between frames, newest request first, within a time budget per frame, and notifies after each frame that did some; callers that
 * still need the rest ask again. While every frame brings new requests (fast scrolling) the queue is debounced.
 */
export class FrameQueue<Key, Ask> {
  #asked = new Map<Key, Ask>();
  /** What was asked for when it was last told. */
  #before: ReadonlyMap<Key, Ask> = new Map();
  readonly #work: (each: Ask) => void;
  readonly #tell: () => void;
  #isSet = false;
  #isPassing = false;

  constructor(work: (each: Ask) => void, tell: () => void) {
    this.#work = work;
    this.#tell = tell;
  }

  ask(key: Key, each: Ask): void {
    if (!this.#asked.has(key) && !this.#before.has(key)) this.#isPassing = true;
    this.#asked.set(key, each);
    if (!this.#isSet) this.#next();
  }

  #next(): void {
    this.#isSet = true;
    // A task set within the frame runs once it has been painted.
    requestAnimationFrame(() => setTimeout(() => this.#frame()));
  }

  #frame(): void {
    this.#isSet = false;
    if (this.#isPassing) {
      this.#isPassing = false;
      return this.#next();
    }
    const end = performance.now() + BUDGET;
    this.#before = this.#asked;
    this.#asked = new Map();
    for (const each of [...this.#before.values()].reverse()) {
      this.#work(each);
      if (performance.now() >= end) break;
    }
    this.#tell();
  }
}
