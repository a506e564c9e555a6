import { type Spot } from "./pixels";

/** How a picture was tilted: a round on the paper is seen as an ellipse, this many times as wide as it is long. */
export interface Tilt {
  readonly ratio: number;
  /** Radians from the picture's x to the ellipse's long axis, y downward. */
  readonly turn: number;
}

/** A step between two spots as it would be from straight above: longer across the ellipse's long axis, the same along it. */
export function straightened(step: Spot, tilt: Tilt | undefined): Spot {
  return tilt ? stretched(step, tilt.turn, 1 / tilt.ratio) : step;
}

/** The reverse of `straightened`. */
export function tilted(step: Spot, tilt: Tilt | undefined): Spot {
  return tilt ? stretched(step, tilt.turn, tilt.ratio) : step;
}

function stretched([x, y]: Spot, turn: number, by: number): Spot {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const across = (-x * sin + y * cos) * (by - 1);
  return [x - across * sin, y + across * cos];
}

/** Degrees by which the camera looked from beside straight above. */
export function tiltDegrees({ ratio }: Tilt): number {
  return (Math.acos(Math.min(1, ratio)) * 180) / Math.PI;
}
