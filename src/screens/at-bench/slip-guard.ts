/** Two presses nearer than this are one: a slip of the hand, or a switch that bounces (ms). */
const ONE_PRESS = 90;

/** Tells of each press whether it is the same as the one before it. */
export function slipGuard(): () => boolean {
  let last = -Infinity;
  return () => {
    const now = performance.now();
    const isSlip = now - last < ONE_PRESS;
    last = now;
    return isSlip;
  };
}
