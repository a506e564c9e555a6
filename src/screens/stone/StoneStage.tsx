"use client";

import { type Draft as Editable } from "immer";
import { greatestTurnIn, type Tenderness } from "@/core/stone/stone";
import { type Mount } from "@/core/piece/piece";
import { ChoiceField } from "@/ui/ChoiceField";
import { Millimetres, Shape } from "@/ui/Drawing";
import { FindingNotes } from "@/ui/FindingNotes";
import { MeasureField } from "@/ui/MeasureField";
import { PlanAndSection } from "@/ui/PlanAndSection";
import { Rule } from "@/ui/Rule";
import { SectionView } from "@/ui/SectionView";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { FigureButton } from "@/ui/Terms";
import { TextField } from "@/ui/TextField";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { Dimension } from "@/ui/Dimension";
import { useUnits } from "@/ui/tray";
import { type Size } from "@/ui/useSize";
import { BLANK_MARKS } from "@/words/marks";
import { lengthUnit } from "@/words/show";
import { wallView } from "../wall/view";
import { domeField, materialField, mohsField, outlineField, reshaped, stoneField, wrappedField } from "./fields";
import { stoneView } from "./view";

/** The stone as it was measured: outline, height, dome, and what it will not bear. */
export function StoneStage({ mount: id }: { readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const mount = useSessionState(({ piece }) => piece.mounts.find((each) => each.id === id)!);
  const view = stoneView(plan, mount, units);
  const unit = lengthUnit(units);
  return (
    <Stage
      drawing={(size) => <StoneDrawing size={size} mount={mount} />}
      measures={<StoneMeasures mount={mount} />}
      foot={
        <>
          <Answers
            sum={
              <>
                {view.long} long <b className="font-semibold text-ink">{view.wide}</b> wide{" "}
                <b className="font-semibold text-ink">{view.face}</b> face
              </>
            }
          >
            <FigureButton figure={`${id}.outline.perimeter`} name="Round the stone">
              <Answer lead="Round the stone" unit={unit}>
                {view.round}
              </Answer>
            </FigureButton>
            <Answer lead="leans in at" unit={unit}>
              {view.leansIn}
            </Answer>
            <span className="text-[13px] text-soft">{view.tightest}</span>
          </Answers>
          <Rule
            blank={plan.drawing.settings[id]!.tape}
            height={greatestTurnIn(mount.stone)}
            cut={`round ${view.round}`}
            beyond=""
            names={BLANK_MARKS}
            units={units}
            tone="stone"
          />
        </>
      }
    />
  );
}

function StoneDrawing({ size, mount }: { readonly size: Size; readonly mount: Mount }) {
  const plan = usePlan();
  const units = useUnits();
  const view = stoneView(plan, mount, units);
  return (
    <PlanAndSection size={size} mount={mount} label="The stone in plan and section">
      {({ drawing, plan: { x, y, scale }, section }) => {
        const xs = drawing.plan.stone.map(([px]) => x + px * scale.perMm);
        const ys = drawing.plan.stone.map(([, py]) => y - py * scale.perMm);
        const [left, right, top, foot] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
        return (
          <>
            <Millimetres x={x} y={y} scale={scale}>
              <Shape points={drawing.plan.stone} fill="url(#stone)" stroke="#00000066" lights="stone" />
            </Millimetres>
            <Dimension from={left} to={right} at={foot + 30} text={view.long} lights="length" />
            <Dimension from={top} to={foot} at={left - 30} text={view.wide} lights="width" isUpright />
            <SectionView mount={mount} x={section.x} y={section.y} scale={section.scale} view={wallView(plan, mount, units)} />
          </>
        );
      }}
    </PlanAndSection>
  );
}

const TENDER: readonly { readonly to: Tenderness; readonly text: string }[] = [
  { to: "heat", text: "heat" },
  { to: "water", text: "water" },
  { to: "acid", text: "acid" },
  { to: "sulphur", text: "sulphur" },
  { to: "ultrasonic", text: "ultrasonic" },
];

function StoneMeasures({ mount }: { readonly mount: Mount }) {
  const { id, stone } = mount;
  const session = useSession();
  const units = useUnits();
  const view = stoneView(usePlan(), mount, units);
  const { outline } = stone;
  const change = (recipe: (stone: Editable<Mount["stone"]>) => void) =>
    session.change((piece) => recipe(piece.mounts.find((each) => each.id === id)!.stone));
  const isFlat = stone.dome === "flat";
  return (
    <>
      <h2 className="section-head">Outline</h2>
      <ChoiceField
        label="Shape"
        value={outline.shape as "round" | "oval"}
        options={[
          { value: "oval", text: "Oval" },
          { value: "round", text: "Round" },
        ]}
        onChoose={(shape) => change((each) => void (each.outline = reshaped(outline, shape) as Editable<typeof outline>))}
      />
      {outline.shape === "oval" && (
        <MeasureField field={outlineField(id, "length", units)} label="Length" value={outline.length} lights="length" />
      )}
      {outline.shape === "oval" && (
        <MeasureField field={outlineField(id, "width", units)} label="Width" value={outline.width} lights="width" />
      )}
      {outline.shape === "round" && (
        <MeasureField field={outlineField(id, "diameter", units)} label="Across" value={outline.diameter} lights="length" />
      )}
      <MeasureField
        field={wrappedField(id, units)}
        label="Round it by tape"
        hint="leave empty if not wrapped"
        value={stone.measuredPerimeter ?? null}
        lights="stone"
      />
      <h2 className="section-head">Height</h2>
      <MeasureField field={stoneField(id, "height", units)} label="Whole stone" value={stone.height} lights="stone" />
      {!isFlat && (
        <MeasureField
          field={stoneField(id, "turnIn", units)}
          label="Side leans in at"
          hint="drag the line in the section"
          value={greatestTurnIn(stone)}
          lights="turnIn"
        />
      )}
      <ChoiceField
        label="Face"
        hint={isFlat ? view.dome : "domed"}
        value={isFlat ? "flat" : "dome"}
        options={[
          { value: "dome", text: "Dome" },
          { value: "flat", text: "Flat" },
        ]}
        onChoose={(face) =>
          change((each) => {
            each.dome = face === "flat" ? "flat" : 2;
            each.turnIn = face === "flat" ? each.height : Math.round(each.height * 40) / 100;
          })
        }
      />
      {typeof stone.dome !== "string" && (
        <MeasureField field={domeField(id)} label="Dome" hint={view.dome} value={stone.dome ?? 2} lights="stone" />
      )}
      <h2 className="section-head">Material</h2>
      <TextField field={materialField(id)} label="Name" value={stone.material?.name ?? ""} shape="wide" />
      <MeasureField field={mohsField(id)} label="Hardness" value={stone.material?.mohs ?? null} />
      <fieldset className="border-t border-hair py-1.5">
        <legend className="float-left pt-0.5 text-[13.5px]">Tender to</legend>
        <div className="flex flex-wrap justify-end gap-1">
          {TENDER.map(({ to, text }) => {
            const has = stone.material?.tender?.includes(to) ?? false;
            return (
              <button
                key={to}
                type="button"
                aria-pressed={has}
                onClick={() =>
                  change((each) => {
                    const tender = each.material?.tender ?? [];
                    each.material = { ...each.material, tender: has ? tender.filter((other) => other !== to) : [...tender, to] };
                  })
                }
                className={`rounded-[4px] border px-1.5 py-0.5 text-[12.5px] ${has ? "border-accent bg-accent-wash font-semibold text-accent-deep" : "border-line bg-sheet text-soft"}`}
              >
                {has ? "✓ " : ""}
                {text}
              </button>
            );
          })}
        </div>
      </fieldset>
      <FindingNotes stage="stone" mount={id} />
    </>
  );
}
