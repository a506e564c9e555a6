import { type Pixels, type Spot } from "./pixels";

/** A closed line of spots at even steps, and the way out of it at each (y down, as the picture). */
export interface Ring {
  readonly spots: readonly Spot[];
  readonly normals: readonly Spot[];
  /** Pixels from one to the next. */
  readonly step: number;
}

/** Colours along the normals of a ring: red, green, blue of each place, from inside out, spot by spot. */
export interface Profiles {
  readonly count: number;
  /** Places on each; the middle one lies on the ring. */
  readonly places: number;
  /** Pixels from one place to the next. */
  readonly every: number;
  readonly colours: Float32Array;
}

/** A closed line at even steps of about so many pixels, anticlockwise with y turned up; its normals look out, as of the line smoothed over `over` spots each way. */
export function ringOf(line: readonly Spot[], every: number, over: number): Ring {
  const { spots, step } = evenly(line, every);
  const n = spots.length;
  const normals = spots.map((_, i): Spot => {
    const [ax, ay] = spots[(i - over + n * over) % n]!;
    const [bx, by] = spots[(i + over) % n]!;
    const length = Math.hypot(bx - ax, by - ay) || 1;
    // anticlockwise with y up: the way out lies on the right of the way, which with y down is the way turned by a quarter the other way
    return [-(by - ay) / length, (bx - ax) / length];
  });
  return { spots, normals, step };
}

function evenly(line: readonly Spot[], every: number): { spots: Spot[]; step: number } {
  const along = [0];
  line.forEach(([x, y], i) => {
    const [nx, ny] = line[(i + 1) % line.length]!;
    along.push(along[i]! + Math.hypot(nx - x, ny - y));
  });
  const whole = along.at(-1)!;
  const count = Math.max(24, Math.round(whole / every));
  const step = whole / count;
  const spots: Spot[] = [];
  for (let i = 0, at = 0; i < count; i++) {
    while (at < line.length - 1 && along[at + 1]! <= i * step) at++;
    const [[ax, ay], [bx, by]] = [line[at]!, line[(at + 1) % line.length]!];
    const length = along[at + 1]! - along[at]!;
    const share = length === 0 ? 0 : (i * step - along[at]!) / length;
    spots.push([ax + (bx - ax) * share, ay + (by - ay) * share]);
  }
  return { spots, step };
}

/** A line smoothed by a mean over `over` spots each way, three times. */
export function smoothedLine(line: readonly Spot[], over: number): Spot[] {
  let now = [...line];
  for (let pass = 0; pass < 3; pass++) {
    const n = now.length;
    let [x, y] = [0, 0];
    for (let i = -over; i <= over; i++) {
      x += now[(i + n) % n]![0];
      y += now[(i + n) % n]![1];
    }
    now = now.map((_, i): Spot => {
      const mean: Spot = [x / (2 * over + 1), y / (2 * over + 1)];
      const [out, into] = [now[(i - over + n) % n]!, now[(i + over + 1) % n]!];
      x += into[0] - out[0];
      y += into[1] - out[1];
      return mean;
    });
  }
  return now;
}

/** What the picture holds along each normal, `reach` pixels in and out. Between pixels by their four; outside the picture its nearest pixel. */
export function profilesOf(picture: Pixels, ring: Ring, reach: number, every: number): Profiles {
  const half = Math.round(reach / every);
  const places = 2 * half + 1;
  const count = ring.spots.length;
  const colours = new Float32Array(count * places * 3);
  const { width, height, data } = picture;
  for (let i = 0, at = 0; i < count; i++) {
    const [sx, sy] = ring.spots[i]!;
    const [nx, ny] = ring.normals[i]!;
    for (let k = -half; k <= half; k++, at += 3) {
      const x = clamped(sx + nx * k * every - 0.5, width - 1);
      const y = clamped(sy + ny * k * every - 0.5, height - 1);
      const [left, top] = [Math.min(Math.floor(x), Math.max(0, width - 2)), Math.min(Math.floor(y), Math.max(0, height - 2))];
      const [fx, fy] = [x - left, y - top];
      const from = (top * width + left) * 4;
      const [right, down] = [width > 1 ? 4 : 0, height > 1 ? width * 4 : 0];
      for (let c = 0; c < 3; c++) {
        const o = from + c;
        const upper = data[o]! + (data[o + right]! - data[o]!) * fx;
        const lower = data[o + down]! + (data[o + down + right]! - data[o + down]!) * fx;
        colours[at + c] = upper + (lower - upper) * fy;
      }
    }
  }
  return { count, places, every, colours };
}

function clamped(value: number, most: number): number {
  return value < 0 ? 0 : value > most ? most : value;
}
