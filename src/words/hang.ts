/** Nearer to straight than this is straight, as it is shown (degrees). */
const STRAIGHT = 0.05;

/** "hangs straight", "hangs 13.5° off". */
export function hangsText(tilt: number): string {
  return Math.abs(tilt) < STRAIGHT ? "hangs straight" : `tilts ${Math.abs(tilt).toFixed(1)}°`;
}

/** To which side of its middle something lies, as it hangs: mm anticlockwise along its edge. */
export function sideText(along: number): string {
  return along > 0 ? "left" : "right";
}

/** Nearer to a line than this is on it, as it is shown (mm). */
const ON_LINE = 0.005;

/** "on the line", "0.62 mm to the left": how far beside the line that should point down, as it hangs. */
export function besideText(left: number, length: (mm: number) => string): string {
  return Math.abs(left) < ON_LINE ? "on the line" : `${length(Math.abs(left))} to the ${sideText(left)}`;
}

/** "in the middle of its top", "1.69 mm right of its top": where an eye lies, as it hangs. */
export function eyeText(aside: number, length: (mm: number) => string): string {
  return Math.abs(aside) < ON_LINE ? "in the middle of its top" : `${length(Math.abs(aside))} ${sideText(aside)} of its top`;
}
