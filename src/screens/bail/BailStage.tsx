"use client";

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

/** What a setting hangs by, and how it hangs; of a stud how it is worn. */
export function BailStage({ mount }: { readonly mount: string }) {
  const post = postIn(usePlan());
  return post ? <PostStage mount={mount} post={post.settled} drawn={post.drawn} /> : <HangingStage mount={mount} />;
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
              <Answer lead={view.lead} unit={`${unit} long`}>
                {view.cut}
              </Answer>
            </FigureButton>
            {view.ring && (
              <FigureButton figure="bail.jumpRingLength" name="Ring's wire">
                <Answer lead="ring's wire" unit={unit}>
                  {view.ring}
                </Answer>
              </FigureButton>
            )}
            {view.widest && (
              <Answer lead="widest" unit={unit}>
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
            cut={ifSure(doubtOf(view.figure), `cut ${view.cut}`)}
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
  { value: "0", text: "The point" },
  { value: "180", text: "The far end" },
  { value: "90", text: "One side" },
  { value: "270", text: "Other side" },
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
  const perimeter = figureOf(plan.figures, `${mount}.outline.perimeter`).value;
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
          label="Ring in it"
          hint={settled.ring ? "closed cold; the chain goes through it" : "the chain goes through the bail"}
          value={settled.ring ? "1" : "0"}
          options={[
            { value: "0", text: "None" },
            { value: "1", text: "A jump ring" },
          ]}
          onChoose={(value) => session.change((each) => putBailRing(each, value === "1" ? USUAL_RING : null))}
        />
      )}
      {settled.ring && <Compact measures={ringMeasures(settled.ring, units)} />}
      <MetalField metal={settled.metal} />
      <h2 className="section-head">How it hangs</h2>
      {entry.type !== "ear-wires" && (
        <>
          <ChoiceField
            label="Hangs lowest"
            hint="what should point down"
            value={axis}
            options={axes}
            lights="axis"
            onChoose={(value) => session.change((each) => void (hungOf(each).hangAxis = Number(value)))}
          />
          <MeasureField field={axisField} label="Turned by" hint="from the point, anticlockwise" value={settled.axis} lights="axis" />
        </>
      )}
      <MeasureField
        field={eyeField(mount, top, perimeter, units)}
        label="Eye"
        hint="along the edge, left of its top"
        value={Math.round(hang.aside * 100) / 100}
        lights="eye"
      />
      {eye.half !== null && (
        <MeasureField
          field={turnField(mount, eye.at)}
          label="Round the point"
          hint={`up to ${eye.half.toFixed(1)}° to each side`}
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
          Move the eye to where it hangs straight{view.side}
        </button>
      )}
      {entry.type !== "ear-wires" && piece.mounts.length === 1 && piece.copies !== 2 && (
        <ChoiceField
          label="Eyes"
          hint={hang.eyes.length > 1 ? "pulled straight through both" : "hangs by one"}
          value={String(hang.eyes.length)}
          options={[
            { value: "1", text: "One" },
            { value: "2", text: "Two, a connector" },
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
