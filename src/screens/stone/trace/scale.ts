import { type Spot } from "@/core/trace/pixels";
import { type Round } from "@/core/trace/round";
import { type Squares } from "@/core/trace/squares";
import { straightened } from "@/core/trace/tilt";
import { type PictureScale } from "@/core/trace/trace";

/** What can say how large a picture shows things: a rule, squared paper, a round, or the picture taken from above. */
export type ScaleBy = "rule" | "squares" | "round" | "above";

export interface ScaleChoice {
  readonly by: ScaleBy;
  /** The ends of the rule (pixels), and how long what it lies on is (mm); null while nobody said. */
  readonly ends: readonly [Spot, Spot];
  readonly mm: number | null;
  /** How long a square's side is (mm). */
  readonly square: number | null;
  /** A round that was found, and its diameter (mm). */
  readonly round: Round | null;
  readonly diameter: number | null;
}

/** What a picture has of itself to be scaled by. */
export interface Scalable {
  readonly squares: Squares | null;
  /** Pixels a mm of the picture from above; null where there is none. */
  readonly above: number | null;
}

function along(step: Spot, { round }: ScaleChoice): number {
  return Math.hypot(...straightened(step, round?.tilt));
}

const PX_PER_MM: Readonly<Record<ScaleBy, (choice: ScaleChoice, picture: Scalable) => number | null>> = {
  rule: (choice) => {
    const [[ax, ay], [bx, by]] = choice.ends;
    return choice.mm === null ? null : along([bx - ax, by - ay], choice) / choice.mm;
  },
  squares: (choice, { squares }) => {
    if (!squares || choice.square === null) return null;
    const [cos, sin] = [Math.cos(squares.turn), Math.sin(squares.turn)];
    const [one, other] = squares.pitch;
    return (along([one * cos, one * sin], choice) + along([-other * sin, other * cos], choice)) / (2 * choice.square);
  },
  round: ({ round, diameter }) => (round && diameter !== null ? round.across / diameter : null),
  above: (_, { above }) => above,
};

/** The scale that was chosen; null while what says it is not known. */
export function scaleOf(choice: ScaleChoice, picture: Scalable): PictureScale | null {
  const pxPerMm = PX_PER_MM[choice.by](choice, picture);
  return pxPerMm === null ? null : { pxPerMm, ...(choice.round && { tilt: choice.round.tilt }) };
}

/** What two known lengths in one picture leave of perspective: the larger scale against the smaller, less one; null where there is but one. */
export function perspectiveOf(choice: ScaleChoice, picture: Scalable): number | null {
  const scales = (["rule", "squares", "round"] as const).flatMap((by) => PX_PER_MM[by](choice, picture) ?? []);
  return scales.length < 2 ? null : Math.max(...scales) / Math.min(...scales) - 1;
}
