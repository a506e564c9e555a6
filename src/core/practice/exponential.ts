/** Halved so often before it is added up, and squared as often after: 2^10. */
const HALVINGS = 10;
const PARTS = 1024;
/** Beyond this nothing is left that counts: e^-60 is under 1e-26. */
const MOST = 60;

/**
 * e^-x for x from 0 on, by addition, multiplication and division alone, so that every machine finds the same to the bit; a library's may differ in its last
 * digit. Within 1e-12 of it: (e^(-x / 1024))^1024, the root by its series.
 */
export function expOfMinus(x: number): number {
  if (x > MOST) return 0;
  const part = x / PARTS;
  let e = 1 - part * (1 - (part / 2) * (1 - (part / 3) * (1 - (part / 4) * (1 - part / 5))));
  for (let i = 0; i < HALVINGS; i++) e *= e;
  return e;
}
