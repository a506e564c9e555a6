import { type Blank, layBlank } from "@/core/measure/blank";
import { type QuickSum } from "@/core/sums/sum";

/** What of a sum lies along a rule: what is cut, or for what has no length of its own what it was asked of. */
export interface OnRule {
  readonly blank: Blank;
  /** mm that it stands tall. */
  readonly height: number;
  /** Pieces that lie along it: the middle and the side of each (mm). */
  readonly pieces: readonly { readonly at: number; readonly side: number }[];
}

const TALL = 3;
/** A piece of which nobody said how long it is (mm). */
const USUAL_SIDE = 1;
/** More pieces than these are not told apart. */
const MOST_DRAWN = 60;

export function onRule({ code, asked, answers }: QuickSum): OnRule {
  const length = (name: string) => Number(asked[name]);
  const chief = answers[0]!.figure;
  const along = (mm: number, height = TALL): OnRule => ({ blank: layBlank(mm, 0, 0, []), height, pieces: [] });
  if (code === "spacing") {
    const count = Math.min(MOST_DRAWN, length("count"));
    const side = asked.side === undefined ? USUAL_SIDE : length("side");
    const pieces = Array.from({ length: count }, (_, i) => ({ at: (i + 0.5) * chief.value, side }));
    return { ...along(length("length")), pieces };
  }
  if (code === "mass") return along(length("length"), asked.form === "sheet" ? length("width") : length("thickness"));
  if (code === "blank") return along(chief.value, length("width"));
  if (code === "size" || code === "after") return along(Math.PI * answers.find((each) => each.code === "inside")!.figure.value);
  if (code === "gauge") return along(asked.length === undefined ? chief.value : length("length"));
  return along(chief.value);
}
