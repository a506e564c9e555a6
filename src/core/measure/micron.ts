/** A length in mm to the thousandth: what is worked out for a file stands in it as it would be typed. */
export function toMicron(mm: number): number {
  return Math.round(mm * 1000) / 1000;
}

/** To the hundredth: as fine as a caliper shows. */
export function toHundredth(mm: number): number {
  return Math.round(mm * 100) / 100;
}

/** To a twentieth of a millimetre: as fine as a hand drags. */
export function toTwentieth(mm: number): number {
  return Math.round(mm * 20) / 20;
}
