/** Time in ms that work may take of each frame, so that scrolling stays smooth. */
const BUDGET = 6;
/** More than this is never waited for: what was asked for before has left the view by then, and is asked for again when it comes back. */
const MOST = 64;

/** Works off what is asked for between frames, what was asked for last first, and tells after each frame that did some. */
export class InFrames<T> {
  readonly #asked: T[] = [];
  readonly #work: (each: T) => void;
  readonly #tell: () => void;
  #isSet = false;

  constructor(work: (each: T) => void, tell: () => void) {
    this.#work = work;
    this.#tell = tell;
  }

  ask(each: T): void {
    this.#asked.push(each);
    if (this.#asked.length > MOST) this.#asked.shift();
    if (!this.#isSet) this.#next();
  }

  #next(): void {
    this.#isSet = true;
    // A task set within the frame runs once it has been painted.
    requestAnimationFrame(() => setTimeout(() => this.#frame()));
  }

  #frame(): void {
    this.#isSet = false;
    const end = performance.now() + BUDGET;
    do {
      const each = this.#asked.pop();
      if (each === undefined) break;
      this.#work(each);
    } while (performance.now() < end);
    this.#tell();
    if (this.#asked.length > 0 && !this.#isSet) this.#next();
  }
}
