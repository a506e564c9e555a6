"use client";

import { castDraft } from "immer";
import { type BailStyle } from "@/core/bail/bail";
import { METALS, type Metal } from "@/core/metal/metals";
import { figureOf } from "@/core/measure/figure";
import { type BailEntry, type JumpRingEntry, type Piece } from "@/core/piece/piece";
import { bailIn } from "@/core/piece/plan";
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
import { BAIL_WORDS } from "@/words/bails";
import { ifSure } from "@/words/doubt";
import { BLANK_MARKS } from "@/words/marks";
import { METAL_NAMES, capital } from "@/words/names";
import { degrees, lengthUnit, showLength, showTemperature } from "@/words/show";
import { AppliedList } from "../applied/AppliedList";
import { SettingsList } from "../settings/SettingsList";
import { BailDrawing } from "./BailDrawing";
import { WhereItLies } from "./WhereItLies";
import { axisField, eyeField, hungOf, putEye, putEyes } from "./fields";
import { STYLES } from "./styles";
import { bailView } from "./view";

/** What a setting hangs by, and how it hangs. */
export function BailStage({ mount: id }: { readonly mount: string }) {
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
            {view.widest && (
              <Answer lead="widest" unit={unit}>
                {view.widest}
              </Answer>
            )}
            <FigureButton figure={view.tiltFigure} name="How it hangs">
              <Answer lead="hangs" unit={view.isStraight ? "" : "° off"}>
                {view.tilt}
              </Answer>
            </FigureButton>
          </Answers>
          <Rule
            blank={plan.drawing.laid.bail!}
            height={Math.max(...bail.drawn.pattern.map(([, wide]) => wide))}
            cut={ifSure(doubtOf(view.figure), `cut ${view.cut}`)}
            beyond={view.beyond}
            names={BLANK_MARKS}
            units={units}
            pattern={bail.drawn.pattern}
          />
        </>
      }
    />
  );
}

const BAIL_METALS: readonly Metal[] = ["sterling", "fine-silver", "sterling-935", "copper", "brass"];
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
  const entry = piece.carrier as BailEntry | JumpRingEntry;
  const hang = drawn.hangs.find((each) => each.mount === mount)!;
  const perimeter = figureOf(plan.figures, `${mount}.outline.perimeter`).value;
  const eye = hang.eyes.at(-1)!;
  const top = eye.at - hang.aside / perimeter;
  const axis = String(((settled.axis % 360) + 360) % 360);
  const axes = AXES.some(({ value }) => value === axis) ? AXES : [...AXES, { value: axis, text: `${axis}°` }];
  const isPair = piece.copies === 2;
  return (
    <>
      <h2 className="section-head">Bail</h2>
      <ChoiceField
        label="Hangs by"
        hint={BAIL_WORDS[settled.style].hint}
        value={settled.style}
        options={(Object.keys(STYLES) as BailStyle[]).map((value) => ({ value, text: BAIL_WORDS[value].name }))}
        onChoose={(style) => session.change((each) => void (each.carrier = castDraft(STYLES[style].entry(entry))))}
      />
      <div className="grid gap-x-3 min-[1152px]:grid-cols-2">
        {STYLES[settled.style].measures(settled, units).map((measure) => (
          <MeasureField key={measure.label} {...measure} shape="compact" />
        ))}
      </div>
      <ChoiceField
        label="Metal"
        hint={`starts to melt at ${showTemperature(METALS[settled.metal].solidus, units)} ${degrees(units)}`}
        value={settled.metal}
        options={BAIL_METALS.map((value) => ({ value, text: capital(METAL_NAMES[value]) }))}
        onChoose={(metal) => session.change((each) => void (hungOf(each).metal = metal))}
      />
      <h2 className="section-head">How it hangs</h2>
      <ChoiceField
        label="Straight down"
        hint="what the plumb line should meet"
        value={axis}
        options={axes}
        lights="axis"
        onChoose={(value) => session.change((each) => void (hungOf(each).hangAxis = Number(value)))}
      />
      <MeasureField field={axisField} label="Turned by" hint="from the point, counter-clockwise" value={settled.axis} lights="axis" />
      <MeasureField
        field={eyeField(mount, top, perimeter, units)}
        label="Eye"
        hint="along the edge, left of its top"
        value={Math.round(hang.aside * 100) / 100}
        lights="eye"
      />
      {hang.straight && !view.isStraight && (
        <button
          type="button"
          className="btn my-1.5 w-full"
          onClick={() => session.change((each) => putEye(each, mount, hang.straight!.at))}
        >
          Put it where it hangs straight, {showLength(Math.abs(hang.straight.along), "measured", units)} {view.side}
        </button>
      )}
      {piece.mounts.length === 1 && piece.copies !== 2 && (
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
      {piece.kind === "earrings" && piece.mounts.length === 1 && (
        <ChoiceField
          label="Made"
          hint={isPair ? "the second its mirror" : "a single one"}
          value={isPair ? "2" : "1"}
          options={[
            { value: "2", text: "A pair" },
            { value: "1", text: "One" },
          ]}
          onChoose={(value) => session.change((each) => void (each.copies = Number(value)))}
        />
      )}
      <WhereItLies hang={hang} />
      <SettingsList mount={mount} />
      <AppliedList mount={mount} />
    </>
  );
}
