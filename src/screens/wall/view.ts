import { figureOf } from "@/core/measure/figure";
import { nearestGauge } from "@/core/measure/gauge";
import { type Mount } from "@/core/piece/piece";
import { greatestTurnIn } from "@/core/stone/stone";
import { type Plan } from "@/core/piece/plan";
import { type SumPart } from "@/ui/Sum";
import { type Units, showLength, showPercent, withUnit } from "@/words/show";

export interface WallView {
  readonly cutLength: string;
  readonly cutHeight: string;
  readonly lands: string;
  readonly sum: readonly SumPart[];
  readonly total: string;
  readonly gather: string;
  readonly leansIn: string;
  readonly stands: string;
  readonly third: string;
  readonly top: string;
  readonly gauge: string;
  readonly shelf: string | null;
  /** How the pattern of a notched wall closes. */
  readonly notches: string;
  readonly sawLine: string;
  readonly across: string;
}

/** What the Wall stage says, rounded as a bench reads it. */
export function wallView(plan: Plan, mount: Mount, units: Units): WallView {
  const figure = (name: string) => figureOf(plan.figures, `${mount.id}.wall.${name}`);
  const measured = (mm: number) => showLength(mm, "measured", units);
  const cut = figure("cutLength");
  const term = (label: string) => cut.terms.find((each) => each.label === label)?.value ?? 0;
  const strip = plan.figures[`${mount.id}.wall.stripHeight`];
  const { section } = plan.drawing.settings[mount.id]!;
  return {
    cutLength: showLength(cut.value, "strip", units),
    cutHeight: showLength(figure("cutHeight").value, "height", units),
    lands: `lands at ${measured(figure("netLength").value)} × ${measured(figure("netHeight").value)}, shows ${showPercent(figure("faceShown").value)} of the face`,
    sum: [
      { value: measured(term("outline")), name: "outline" },
      { value: measured(term("wall") + term("fit")), name: "wall and fit" },
      { value: measured(term("squaring")), name: "squaring" },
      { value: measured(term("mark")), name: "mark" },
    ],
    total: measured(cut.value),
    gather: `gathers ${showPercent(figure("gather").value, 1)}`,
    leansIn: `leans in at ${measured(greatestTurnIn(mount.stone))}`,
    stands: `wall stands ${measured(figure("netHeight").value)}`,
    third: `a third of the height, ${measured(figure("thirdHeight").value)}`,
    top: showLength(section.top, "blank", units),
    gauge: `${nearestGauge(mount.wall.thickness)} gauge`,
    shelf: strip ? `${withUnit(strip.value, "measured", units)} strip is on the shelf` : null,
    notches: notchesText(plan, mount, units),
    sawLine: `saw line, ${withUnit(plan.settled.mounts[mount.id]!.plate.sawMargin.value, "blank", units)} outside`,
    across: showLength(figureOf(plan.figures, `${mount.id}.plate.length`).terms[0]!.value, "blank", units),
  };
}

function notchesText({ figures }: Plan, { id }: Mount, units: Units): string {
  const [count, pitch] = [figures[`${id}.wall.notches`], figures[`${id}.wall.notchPitch`]];
  return count && pitch ? `${count.value} at ${withUnit(pitch.value, "measured", units)} close at the seam` : "";
}
