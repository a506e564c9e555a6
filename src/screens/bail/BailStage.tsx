"use client";

import { toHundredth } from "@/core/measure/micron";
import { figureOf } from "@/core/measure/figure";
import { type Piece } from "@/core/piece/piece";
import { bailIn, postIn } from "@/core/piece/plan";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { Rule } from "@/ui/Rule";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { Sum } from "@/ui/Sum";
import { FigureButton } from "@/ui/Terms";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { ifSure } from "@/words/doubt";
import { BLANK_MARKS } from "@/words/marks";
import { lengthUnit } from "@/words/show";
import { STAGE_NAMES, stageName } from "@/words/stages";
import { AppliedList } from "../applied/AppliedList";
import { SettingsList } from "../settings/SettingsList";
import { BailDrawing } from "./BailDrawing";
import { Compact, EarringAnswers, HangsByField, MetalField, PairField } from "./HangsBy";
import { PostStage } from "./PostStage";
import { WhereItLies } from "./WhereItLies";
import { axisField, eyeField, hungOf, putBailRing, putEye, putEyes, turnField } from "./fields";
import { BAIL_MEASURES, earWireMeasures, entryOf, ringMeasures } from "./styles";
import { bailView } from "./view";
import { bailStageText } from "@/words/screens/bail";

/** What a setting hangs by, and how it hangs; of a stud how it is worn. */
export function BailStage({ mount }: { readonly mount: string }) {
  const plan = usePlan();
  const post = postIn(plan);
  const { host } = plan.drawing.settings[mount]!;
  return post ? <PostStage mount={host} post={post.settled} drawn={post.drawn} /> : <HangingStage mount={host} />;
}

function HangingStage({ mount: id }: { readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const doubtOf = useDoubt();
  const piece = useSessionState((state) => state.piece);
  const bail = bailIn(plan);
  if (!bail) return null;
  const view = bailView(plan, id, units);
  const unit = lengthUnit(units);
  return (
    <Stage
      stage="bail"
      mount={id}
      drawing={(size) => <BailDrawing size={size} piece={piece} mount={id} view={view} />}
      measures={<BailMeasures piece={piece} mount={id} view={view} />}
      foot={
        <>
          <Answers figures={[view.figure, view.tiltFigure]} sum={view.sum && <Sum parts={view.sum} total={view.total} why={view.why} />}>
            <FigureButton figure={view.figure} name={view.lead}>
              <Answer lead={view.lead} unit={bailStageText.long(unit)}>
                {view.cut}
              </Answer>
            </FigureButton>
            {view.ring && (
              <FigureButton figure="bail.jumpRingLength" name="Ring's wire">
                <Answer lead={bailStageText.ringsWire} unit={unit}>
                  {view.ring}
                </Answer>
              </FigureButton>
            )}
            {view.widest && (
              <Answer lead={bailStageText.widest} unit={unit}>
                {view.widest}
              </Answer>
            )}
            <FigureButton figure={view.tiltFigure} name="How it hangs">
              <Answer lead={view.isStraight ? "hangs" : "tilts"} unit={view.isStraight ? "" : "°"}>
                {view.tilt}
              </Answer>
            </FigureButton>
            {view.earring && <EarringAnswers earring={view.earring} unit={unit} />}
          </Answers>
          <Rule
            blank={plan.drawing.laid[view.laid]!}
            height={Math.max(...view.pattern.map(([, wide]) => wide))}
            cut={ifSure(doubtOf(view.figure), bailStageText.cut(view.cut))}
            beyond={view.beyond}
            names={BLANK_MARKS}
            units={units}
            pattern={view.pattern}
          />
        </>
      }
    />
  );
}

/** The ring that is first hung in a bail (mm). */
const USUAL_RING = { inside: 4, wire: 1 };
const AXES = [
  { value: "0", text: bailStageText.thePoint },
  { value: "180", text: bailStageText.theFarEnd },
  { value: "90", text: bailStageText.oneSide },
  { value: "270", text: bailStageText.otherSide },
] as const;

interface MeasuresProps {
  readonly piece: Piece;
  readonly mount: string;
  readonly view: ReturnType<typeof bailView>;
}

function BailMeasures({ piece, mount, view }: MeasuresProps) {
  const session = useSession();
  const units = useUnits();
  const plan = usePlan();
  const { settled, drawn } = bailIn(plan)!;
  const entry = entryOf(piece);
  const hang = drawn.hangs.find((each) => each.mount === mount)!;
  const { perimeter } = hang;
  const eye = hang.eyes.at(-1)!;
  const top = eye.at - hang.aside / perimeter;
  const axis = String(((settled.axis % 360) + 360) % 360);
  const axes = AXES.some(({ value }) => value === axis) ? AXES : [...AXES, { value: axis, text: `${axis}°` }];
  const measures = drawn.earWire
    ? earWireMeasures({ wire: drawn.earWire.wire, length: figureOf(plan.figures, "earwire.cutLength").value }, units)
    : BAIL_MEASURES[settled.style](settled, units);
  return (
    <>
      <h2 className="section-head">{stageName(STAGE_NAMES.bail, "bail", plan)}</h2>
      <HangsByField piece={piece} />
      <Compact measures={measures} />
      {entry.type === "bail" && (
        <ChoiceField
          label={bailStageText.ringInIt}
          hint={settled.ring ? bailStageText.closedColdTheChainGoes : bailStageText.theChainGoesThroughThe}
          value={settled.ring ? "1" : "0"}
          options={[
            { value: "0", text: bailStageText.none },
            { value: "1", text: bailStageText.aJumpRing },
          ]}
          onChoose={(value) => session.change((each) => putBailRing(each, value === "1" ? USUAL_RING : null))}
        />
      )}
      {settled.ring && <Compact measures={ringMeasures(settled.ring, units)} />}
      <MetalField metal={settled.metal} />
      <h2 className="section-head">{bailStageText.howItHangs}</h2>
      {entry.type !== "ear-wires" && (
        <>
          <ChoiceField
            label={bailStageText.hangsLowest}
            hint={bailStageText.whatShouldPointDown}
            value={axis}
            options={axes}
            lights="axis"
            onChoose={(value) => session.change((each) => void (hungOf(each).hangAxis = Number(value)))}
          />
          <MeasureField
            field={axisField}
            label={bailStageText.turnedBy}
            hint={bailStageText.fromThePointAnticlockwise}
            value={settled.axis}
            lights="axis"
          />
        </>
      )}
      <MeasureField
        field={eyeField(mount, top, perimeter, units)}
        label={bailStageText.eye}
        hint={bailStageText.alongTheEdgeLeftOf}
        value={toHundredth(hang.aside)}
        lights="eye"
      />
      {eye.half !== null && (
        <MeasureField
          field={turnField(mount, eye.at)}
          label={bailStageText.roundThePoint}
          hint={bailStageText.upToToEachSide(eye.half.toFixed(1))}
          value={Math.round(eye.turn * 10) / 10}
          lights="eye"
        />
      )}
      {hang.straight && !view.isStraight && (
        <button
          type="button"
          className="btn my-1.5 w-full"
          onClick={() => session.change((each) => putEye(each, mount, hang.straight!.at, hang.straight!.turn))}
        >
          {bailStageText.moveTheEyeToWhere(view.side)}
        </button>
      )}
      {entry.type !== "ear-wires" && piece.mounts.length === 1 && piece.copies !== 2 && (
        <ChoiceField
          label={bailStageText.eyes}
          hint={hang.eyes.length > 1 ? bailStageText.pulledStraightThroughBoth : bailStageText.hangsByOne}
          value={String(hang.eyes.length)}
          options={[
            { value: "1", text: bailStageText.one },
            { value: "2", text: bailStageText.twoAConnector },
          ]}
          onChoose={(count) => session.change((each) => putEyes(each, mount, count === "2", top))}
        />
      )}
      <PairField piece={piece} />
      <WhereItLies hang={hang} />
      {entry.type !== "ear-wires" && <SettingsList mount={mount} />}
      <AppliedList mount={mount} />
    </>
  );
}
