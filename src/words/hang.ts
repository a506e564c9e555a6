/** Nearer to straight than this is straight, as it is shown (degrees). */
const STRAIGHT = 0.05;

/** "hangs straight", "hangs 13.5° off". */
export function hangsText(tilt: number): string {
  return Math.abs(tilt) < STRAIGHT ? "hangs straight" : `hangs ${Math.abs(tilt).toFixed(1)}° off`;
}

/** To which side of its middle something lies, as it hangs: mm counter-clockwise along its edge. */
export function sideText(along: number): string {
  return along > 0 ? "left" : "right";
}
