/** Cells side by side that heat flows along: of a line all, of a plane those of a row or a column. W/K from each to the next; of a closed one back to the first too. */
export interface Chain {
  readonly cells: readonly number[];
  readonly conductances: readonly number[];
  readonly isClosed: boolean;
}

/** Of a step so much is taken as it will be, the rest as it is: a half would be the most exact, more than a half lets no cell swing. */
const AHEAD = 0.6;

/**
 * Heat along chains, one implicit step at a time (chain by chain: a locally one-dimensional split), stable at any step. What leaves a cell arrives in the
 * next, so that none is lost or made but by rounding. The elimination is worked out once for all steps. Allocates nothing.
 */
export class Conduction {
  private readonly order: Int32Array;
  private readonly starts: Int32Array;
  /** Of each place in `order`: what comes from before, what is eliminated, and 1 over its pivot. */
  private readonly lower: Float64Array;
  private readonly upper: Float64Array;
  private readonly pivot: Float64Array;
  /** J/K of each place's cell. */
  private readonly holds: Float64Array;
  /** J/K that pass to the next in a step by what is now. */
  private readonly now: Float64Array;
  /** Of closed chains: what the tie of its ends adds to each place, by the sum of both ends. */
  private readonly round: Float64Array;
  private readonly tie: Float64Array;
  /** Chains that are open; those after them are closed. */
  private readonly open: number;
  private readonly held: Float64Array;

  /**
   * @param capacity J/K of each cell
   * @param seconds of a step
   */
  constructor(chains: readonly Chain[], capacity: Float64Array, seconds: number) {
    const count = chains.reduce((all, { cells }) => all + cells.length, 0);
    this.order = new Int32Array(count);
    this.starts = new Int32Array(chains.length + 1);
    this.lower = new Float64Array(count);
    this.upper = new Float64Array(count);
    this.pivot = new Float64Array(count);
    this.round = new Float64Array(count);
    this.held = new Float64Array(count);
    this.now = new Float64Array(count);
    this.holds = new Float64Array(count);
    this.tie = new Float64Array(chains.length);
    let at = 0;
    const isTied = ({ cells, isClosed, conductances }: Chain) => isClosed && cells.length > 2 && conductances[cells.length - 1]! > 0;
    const untied = chains.filter((chain) => !isTied(chain));
    this.open = untied.length;
    [...untied, ...chains.filter(isTied)].forEach((chain, c) => {
      this.starts[c] = at;
      this.order.set(chain.cells, at);
      chain.cells.forEach((cell, i) => (this.holds[at + i] = capacity[cell]!));
      this.prepare(chain, c, at, seconds);
      at += chain.cells.length;
    });
    this.starts[chains.length] = at;
  }

  /** (C + a dt L) T' = (C - (1 - a) dt L) T, with L the chain's Laplacian. Closed: with the tie g of its ends as a rank-one change (Sherman and Morrison). */
  private prepare({ cells, conductances, isClosed }: Chain, c: number, at: number, seconds: number): void {
    const n = cells.length;
    const ahead = AHEAD * seconds;
    const hasTie = isClosed && n > 2;
    const ends = hasTie ? conductances[n - 1]! * ahead : 0;
    let before = 0;
    for (let i = 0; i < n; i++) {
      const left = i > 0 ? conductances[i - 1]! * ahead : 0;
      const right = i < n - 1 ? conductances[i]! * ahead : 0;
      this.now[at + i] = i < n - 1 || hasTie ? conductances[i]! * (seconds - ahead) : 0;
      const diagonal = this.holds[at + i]! + left + right;
      this.lower[at + i] = left;
      this.pivot[at + i] = 1 / (diagonal - left * before);
      before = right * this.pivot[at + i]!;
      this.upper[at + i] = before;
    }
    if (ends === 0) return;
    // the tie adds g (e_first - e_last)(e_first - e_last)^T
    for (let i = 0; i < n; i++) this.held[at + i] = i === 0 ? 1 : i === n - 1 ? -1 : 0;
    this.solve(at, at + n);
    for (let i = 0; i < n; i++) this.round[at + i] = this.held[at + i]!;
    this.tie[c] = ends / (1 + ends * (this.round[at]! - this.round[at + n - 1]!));
  }

  private solve(from: number, to: number): void {
    const { held, lower, upper, pivot } = this;
    let before = 0;
    for (let i = from; i < to; i++) {
      before = (held[i]! + lower[i]! * before) * pivot[i]!;
      held[i] = before;
    }
    for (let i = to - 2; i >= from; i--) {
      before = held[i]! + upper[i]! * before;
      held[i] = before;
    }
  }

  /** One step of the temperatures. */
  step(temperatures: Float64Array): void {
    const { order, held, starts, lower, upper, pivot, holds, now, open } = this;
    for (let c = 0; c < open; c++) {
      const from = starts[c]!;
      const last = starts[c + 1]! - 1;
      let t = temperatures[order[from]!]!;
      let comes = 0;
      let before = 0;
      for (let i = from; i < last; i++) {
        const after = temperatures[order[i + 1]!]!;
        const goes = now[i]! * (t - after);
        before = (holds[i]! * t + comes - goes + lower[i]! * before) * pivot[i]!;
        held[i] = before;
        comes = goes;
        t = after;
      }
      before = (holds[last]! * t + comes + lower[last]! * before) * pivot[last]!;
      temperatures[order[last]!] = before;
      for (let i = last - 1; i >= from; i--) {
        before = held[i]! + upper[i]! * before;
        temperatures[order[i]!] = before;
      }
    }
    for (let c = open; c + 1 < starts.length; c++) this.stepClosed(c, temperatures);
  }

  /** A closed chain: through its end it has what comes from its last before its first, and the tie of its ends takes off what it adds. */
  private stepClosed(c: number, temperatures: Float64Array): void {
    const { order, held, starts, holds, round, now } = this;
    const from = starts[c]!;
    const last = starts[c + 1]! - 1;
    const first = temperatures[order[from]!]!;
    let t = first;
    let comes = now[last]! * (temperatures[order[last]!]! - t);
    for (let i = from; i <= last; i++) {
      const after = i < last ? temperatures[order[i + 1]!]! : first;
      const goes = now[i]! * (t - after);
      held[i] = holds[i]! * t + comes - goes;
      comes = goes;
      t = after;
    }
    this.solve(from, last + 1);
    const off = this.tie[c]! * (held[from]! - held[last]!);
    for (let i = from; i <= last; i++) temperatures[order[i]!] = held[i]! - off * round[i]!;
  }
}
