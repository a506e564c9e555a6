/** One thing to learn, on a heat of a worked piece. */
export interface Lesson {
  readonly id: "flux" | "heavier" | "below" | "thin" | "second" | "several" | "pendant";
  readonly piece: string;
  /** A joint of its heat. */
  readonly joint: string;
  /** It begins without flux. */
  readonly isBare?: true;
}

/** From the easiest to the hardest. */
export const LESSONS: readonly Lesson[] = [
  { id: "flux", piece: "tern-ring", joint: "m1.seam", isBare: true },
  { id: "heavier", piece: "tern-ring", joint: "m1.foot" },
  { id: "below", piece: "avocet-earrings", joint: "m1.foot" },
  { id: "thin", piece: "plover-ring", joint: "m1.foot" },
  { id: "second", piece: "tern-ring", joint: "hoop.mount.m1" },
  { id: "several", piece: "whimbrel-ring", joint: "m1.foot" },
  { id: "pendant", piece: "saltgrass-pendant", joint: "bail.eye.m1" },
];
