"use client";

import { type DrawnPost, type Post } from "@/core/earring/post";
import { figureOf } from "@/core/measure/figure";
import { Rule } from "@/ui/Rule";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { FigureButton } from "@/ui/Terms";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { ifSure } from "@/words/doubt";
import { BLANK_MARKS } from "@/words/marks";
import { lengthUnit, showLength } from "@/words/show";
import { AppliedList } from "../applied/AppliedList";
import { Compact, EarringAnswers, HangsByField, MetalField, PairField } from "./HangsBy";
import { PostDrawing } from "./PostDrawing";
import { postMeasures } from "./styles";
import { earringView } from "./view";
import { commonText } from "@/words/common";
import { postStageText } from "@/words/screens/bail";

interface Props {
  readonly mount: string;
  readonly post: Post;
  readonly drawn: DrawnPost;
}

/** How a stud is worn: its post, and where on the back it stands. */
export function PostStage({ mount, post, drawn }: Props) {
  const plan = usePlan();
  const units = useUnits();
  const doubtOf = useDoubt();
  const piece = useSessionState((state) => state.piece);
  const unit = lengthUnit(units);
  const cut = showLength(figureOf(plan.figures, "post.cutLength").value, "blank", units);
  return (
    <Stage
      stage="bail"
      mount={mount}
      drawing={(size) => <PostDrawing size={size} mount={mount} drawn={drawn} />}
      measures={
        <>
          <h2 className="section-head">{postStageText.post}</h2>
          <HangsByField piece={piece} />
          <Compact measures={postMeasures(post, units)} />
          <p className="text-xs text-soft">{postStageText.downAndRightAreFrom}</p>
          <MetalField metal={post.metal} />
          <PairField piece={piece} />
          <AppliedList mount={mount} />
        </>
      }
      foot={
        <>
          <Answers figures={["post.cutLength", "earring.mass"]}>
            <FigureButton figure="post.cutLength" name="Post's wire">
              <Answer lead={postStageText.cutPost} unit={postStageText.long(unit)}>
                {cut}
              </Answer>
            </FigureButton>
            <EarringAnswers earring={earringView(plan, units)!} unit={unit} />
          </Answers>
          <Rule
            blank={plan.drawing.laid.post!}
            height={post.wire}
            cut={ifSure(doubtOf("post.cutLength"), postStageText.cut(cut))}
            beyond={commonText.restOfTheWire}
            names={BLANK_MARKS}
            units={units}
          />
        </>
      }
    />
  );
}
