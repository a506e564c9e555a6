"use client";

import { useState } from "react";
import { Rule } from "@/ui/Rule";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { Sum } from "@/ui/Sum";
import { FigureButton } from "@/ui/Terms";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { doubtAmong } from "@/core/piece/doubt";
import { hostOf, ornamentOf } from "@/core/piece/mounts";
import { ifSure } from "@/words/doubt";
import { BLANK_MARKS } from "@/words/marks";
import { BeadFill, LayerOnRule } from "./LayerShapes";
import { PlateDrawing } from "./PlateDrawing";
import { PlateMeasures } from "./PlateMeasures";
import { onRule, sumOf } from "./view";

/** What closes the setting from below and all that goes round the wall; the ornament that is chosen lies on the rule. */
export function PlateStage({ mount: id }: { readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const piece = useSessionState((state) => state.piece);
  const mount = piece.mounts.find((each) => each.id === id)!;
  const [asked, choose] = useState<string | null>(null);
  const chosen = ornamentOf(mount).find((each) => each.id === asked) ?? null;
  const view = onRule(plan, chosen ? mount : hostOf(piece, mount), chosen, units);
  const doubtOf = useDoubt();
  const sum = view.cut === null ? null : sumOf(plan, view.cut, units);
  const blank = plan.drawing.laid[view.part]!;
  const layer = plan.drawing.settings[id]!.plan.layers.find((each) => each.id === chosen?.id);
  return (
    <Stage
      stage="plate"
      mount={id}
      isTall={plan.drawing.settings[id]!.plan.back.plate !== null}
      drawing={(size) => <PlateDrawing size={size} mount={mount} chosen={chosen?.id ?? null} />}
      measures={<PlateMeasures mount={mount} chosen={chosen?.id ?? null} onChoose={choose} />}
      foot={
        <>
          <Answers
            figures={view.answers.map(({ figure }) => figure)}
            sum={sum && <Sum parts={sum.parts} total={sum.total} why={sum.why} />}
          >
            {view.answers.map(({ figure, name, lead, text, unit }) => (
              <FigureButton key={figure} figure={figure} name={name}>
                <Answer lead={lead} unit={unit}>
                  {text}
                </Answer>
              </FigureButton>
            ))}
            <FigureButton figure={view.aside.figure} name={view.aside.name} className="text-sm text-soft">
              {view.aside.text}
            </FigureButton>
          </Answers>
          <Rule
            blank={blank}
            height={view.tall}
            cut={ifSure(
              doubtAmong(
                view.answers.map(({ figure }) => figure),
                doubtOf,
              ),
              view.atCut,
            )}
            beyond={view.beyond}
            names={BLANK_MARKS}
            units={units}
            over={
              layer && (
                <>
                  <defs>
                    <BeadFill />
                  </defs>
                  <LayerOnRule layer={layer} length={blank.length} height={view.tall} />
                </>
              )
            }
          />
        </>
      }
    />
  );
}
