/** A colour, or a difference of two: red, green, blue in levels. */
export type Colour = readonly [number, number, number];

/** How far colours spread about their mean, each channel with each: six values, as the matrix is symmetric. */
export interface Spread {
  readonly rr: number;
  readonly rg: number;
  readonly rb: number;
  readonly gg: number;
  readonly gb: number;
  readonly bb: number;
}

/** Sums colours up for their mean and their spread. */
export class Tally {
  private n = 0;
  private sum = [0, 0, 0];
  private squares = [0, 0, 0, 0, 0, 0];

  add(r: number, g: number, b: number): void {
    this.n++;
    const [sum, squares] = [this.sum, this.squares];
    sum[0]! += r;
    sum[1]! += g;
    sum[2]! += b;
    squares[0]! += r * r;
    squares[1]! += r * g;
    squares[2]! += r * b;
    squares[3]! += g * g;
    squares[4]! += g * b;
    squares[5]! += b * b;
  }

  get count(): number {
    return this.n;
  }

  mean(): Colour {
    const [r, g, b] = this.sum;
    const n = Math.max(1, this.n);
    return [r! / n, g! / n, b! / n];
  }

  spread(): Spread {
    const [r, g, b] = this.mean();
    const n = Math.max(1, this.n);
    const [rr, rg, rb, gg, gb, bb] = this.squares.map((each) => each / n);
    return { rr: rr! - r * r, rg: rg! - r * g, rb: rb! - r * b, gg: gg! - g * g, gb: gb! - g * b, bb: bb! - b * b };
  }
}

/** Both spreads together, and so much in every channel alike (its variance). */
export function addedSpread(a: Spread, b: Spread, alike: number): Spread {
  return { rr: a.rr + b.rr + alike, rg: a.rg + b.rg, rb: a.rb + b.rb, gg: a.gg + b.gg + alike, gb: a.gb + b.gb, bb: a.bb + b.bb + alike };
}

/**
 * The direction in which a difference of two colours stands out most from a spread (Fisher's linear discriminant, 1936): the spread's inverse
 * times the difference. What varies anyway, as shadow, ruled lines and stripes do, counts for less.
 */
export function discriminant(s: Spread, [r, g, b]: Colour): Colour {
  const [a, d, e] = [s.gg * s.bb - s.gb * s.gb, s.rb * s.gb - s.rg * s.bb, s.rg * s.gb - s.rb * s.gg];
  const det = s.rr * a + s.rg * d + s.rb * e;
  return [
    (a * r + d * g + e * b) / det,
    (d * r + (s.rr * s.bb - s.rb * s.rb) * g + (s.rg * s.rb - s.rr * s.gb) * b) / det,
    (e * r + (s.rg * s.rb - s.rr * s.gb) * g + (s.rr * s.gg - s.rg * s.rg) * b) / det,
  ];
}

export function scaledSpread({ rr, rg, rb, gg, gb, bb }: Spread, by: number): Spread {
  return { rr: rr * by, rg: rg * by, rb: rb * by, gg: gg * by, gb: gb * by, bb: bb * by };
}
