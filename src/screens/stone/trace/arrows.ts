import { type Point } from "@/core/geometry/outline";

/** Ways in which an arrow key moves something on the screen, and how much less with Alt. */
export const WAYS: Readonly<Record<string, Point>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
export const FINE = 0.2;
