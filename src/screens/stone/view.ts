import { figureOf } from "@/core/measure/figure";
import { type Mount } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { ELLIPTIC, greatestTurnIn } from "@/core/stone/stone";
import { type Units, showArea, showLength, withUnit } from "@/words/show";
import { viewText } from "@/words/screens/stone";

export interface StoneView {
  readonly round: string;
  readonly leansIn: string;
  readonly tightest: string;
  readonly long: string;
  readonly wide: string;
  readonly face: string;
  readonly dome: string;
}

/** What the Stone stage says. */
export function stoneView(plan: Plan, mount: Mount, units: Units): StoneView {
  const value = (name: string) => figureOf(plan.figures, `${mount.id}.${name}`).value;
  const { places } = plan.drawing.settings[mount.id]!.plan;
  const tightest = 1 / Math.max(...places.map(({ curvature }) => curvature));
  return {
    round: showLength(value("outline.perimeter"), "measured", units),
    leansIn: showLength(greatestTurnIn(mount.stone), "measured", units),
    tightest: viewText.tightestRadius(withUnit(tightest, "blank", units)),
    long: showLength(value("stone.length"), "blank", units),
    wide: showLength(value("stone.width"), "blank", units),
    face: showArea(value("outline.area"), units, 0),
    dome: domeName(mount.stone.dome ?? ELLIPTIC),
  };
}

function domeName(dome: number | "flat"): string {
  if (dome === "flat") return viewText.aFlatFaceAsA;
  if (dome < 1.8) return viewText.steepTowardAPoint;
  return dome <= 2.2 ? viewText.roundAHalfEllipse : viewText.lowAndFull;
}
