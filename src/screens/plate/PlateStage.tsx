"use client";

import { type Draft as Editable } from "immer";
import { type Curve, boxOf } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { figureOf } from "@/core/measure/figure";
import { type Mount, type PlateEntry } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { METALS, type Metal } from "@/core/metal/metals";
import { ChoiceField } from "@/ui/ChoiceField";
import { Dimension } from "@/ui/Dimension";
import { Millimetres, Shape, Word } from "@/ui/Drawing";
import { MeasureField } from "@/ui/MeasureField";
import { PlanAndSection } from "@/ui/PlanAndSection";
import { Rule } from "@/ui/Rule";
import { SettingSection } from "@/ui/SectionView";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { Sum } from "@/ui/Sum";
import { FigureButton } from "@/ui/Terms";
import { lengthField } from "@/ui/fields";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { type Size } from "@/ui/useSize";
import { ifSure } from "@/words/doubt";
import { BLANK_MARKS } from "@/words/marks";
import { METAL_NAMES, capital } from "@/words/names";
import { type Units, degrees, lengthUnit, showLength, showTemperature } from "@/words/show";
import { cutAt, sharesOf, sumParts } from "@/words/sums";

/** What the Plate stage says. */
function plateView(plan: Plan, id: string, units: Units) {
  const figure = (name: string) => figureOf(plan.figures, `${id}.plate.${name}`);
  const blank = (name: string) => showLength(figure(name).value, "blank", units);
  const length = figure("blankLength");
  return {
    blankLength: blank("blankLength"),
    blankWidth: blank("blankWidth"),
    length: blank("length"),
    width: blank("width"),
    mass: figure("mass").value.toFixed(2),
    sum: sumParts(sharesOf(length), "mm", units),
    total: showLength(length.value, "measured", units),
    why: cutAt(length.value, "blank", units),
  };
}

/** The blank to cut for the plate, and what it is sawn back to. */
export function PlateStage({ mount: id }: { readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const mount = useSessionState(({ piece }) => piece.mounts.find((each) => each.id === id)!);
  const view = plateView(plan, id, units);
  const doubtOf = useDoubt();
  const unit = lengthUnit(units);
  return (
    <Stage
      stage="plate"
      mount={id}
      drawing={(size) => <PlateDrawing size={size} mount={mount} />}
      measures={<PlateMeasures mount={mount} />}
      foot={
        <>
          <Answers
            figures={[`${id}.plate.blankLength`, `${id}.plate.blankWidth`]}
            sum={<Sum parts={view.sum} total={view.total} why={view.why} />}
          >
            <FigureButton figure={`${id}.plate.blankLength`} name="Plate's blank, lengthwise">
              <Answer lead="Cut blank" unit="long">
                {view.blankLength}
              </Answer>
            </FigureButton>
            <FigureButton figure={`${id}.plate.blankWidth`} name="Plate's blank, across">
              <Answer lead="by" unit={`${unit} wide`}>
                {view.blankWidth}
              </Answer>
            </FigureButton>
            <FigureButton figure={`${id}.plate.area`} name="Plate's area" className="text-[13px] text-soft">
              sawn to {view.length} × {view.width}, {view.mass} g
            </FigureButton>
          </Answers>
          <Rule
            blank={plan.drawing.laid[`${id}.plate`]!}
            height={figureOf(plan.figures, `${id}.plate.blankWidth`).value}
            cut={ifSure(doubtOf(`${id}.plate.blankLength`), `cut ${view.blankLength}`)}
            beyond="sheet goes on"
            names={BLANK_MARKS}
            units={units}
          />
        </>
      }
    />
  );
}

function boxed(curve: Curve): Point[] {
  const { left, right, low, high } = boxOf(curve);
  return [
    [left, low],
    [right, low],
    [right, high],
    [left, high],
  ];
}

function PlateDrawing({ size, mount }: { readonly size: Size; readonly mount: Mount }) {
  const view = plateView(usePlan(), mount.id, useUnits());
  return (
    <PlanAndSection size={size} mount={mount} label="The plate in plan and section">
      {({ drawing, plan, section }) => {
        const corners = boxed(drawing.plan.sawLine).map(
          ([x, y]) => [plan.x + x * plan.scale.perMm, plan.y - y * plan.scale.perMm] as const,
        );
        const [low, high] = [corners[0]!, corners[2]!];
        const { plate } = drawing.section;
        const { perMm } = section.scale;
        return (
          <>
            <Millimetres x={plan.x} y={plan.y} scale={plan.scale}>
              <Shape points={boxed(drawing.plan.sawLine)} fill="#dfe4e6" fillOpacity={0.45} stroke="#6f7a7e" lights="blank" />
              <Shape curve={drawing.plan.sawLine} fill="none" stroke="#5b6769" strokeDasharray="5 4" lights="saw" />
              <Shape curve={drawing.plan.plateEdge} fill="url(#metal)" stroke="#1b2225" lights="plate" />
              <Shape curve={drawing.plan.wallOutside} fill="none" stroke="#6f7a7e" lights="wall" />
              <Shape curve={drawing.plan.wallInside} fill="none" stroke="#6f7a7e" />
              <Shape curve={drawing.plan.stone} fill="url(#stone)" fillOpacity={0.55} stroke="#00000033" />
            </Millimetres>
            <Dimension from={low[0]} to={high[0]} at={low[1] + 24} text={view.blankLength} lights="blank" />
            <Dimension from={high[1]} to={low[1]} at={high[0] + 26} text={view.blankWidth} lights="blank" isUpright />
            <Word x={high[0]} y={high[1] - 8} textAnchor="end">
              blank, dashed: saw line
            </Word>
            <Millimetres x={section.x} y={section.y} scale={section.scale}>
              <SettingSection section={drawing.section} scale={section.scale} />
            </Millimetres>
            <Dimension
              from={section.x - plate.half * perMm}
              to={section.x + plate.half * perMm}
              at={section.y + plate.thickness * perMm + 24}
              text={view.width}
              lights="plate"
            />
          </>
        );
      }}
    </PlanAndSection>
  );
}

const PLATE_METALS: readonly Metal[] = ["sterling", "fine-silver", "sterling-935", "copper", "brass"];

function PlateMeasures({ mount }: { readonly mount: Mount }) {
  const { id, plate } = mount;
  const session = useSession();
  const units = useUnits();
  const settled = usePlan().settled.mounts[id]!.back;
  const change = (recipe: (plate: Editable<PlateEntry>) => void) =>
    session.change((piece) => recipe(piece.mounts.find((each) => each.id === id)!.plate));
  const field = (name: "thickness" | "border" | "sawMargin") =>
    lengthField(`${id}.plate.${name}`, units, (piece, value) => {
      piece.mounts.find((each) => each.id === id)!.plate[name] = value;
    });
  return (
    <>
      <h2 className="section-head">Sheet</h2>
      <ChoiceField
        label="Metal"
        hint={`starts to melt at ${showTemperature(METALS[plate.metal].solidus, units)} ${degrees(units)}`}
        value={plate.metal}
        options={PLATE_METALS.map((value) => ({ value, text: capital(METAL_NAMES[value]) }))}
        onChoose={(metal) => change((each) => void (each.metal = metal))}
      />
      <MeasureField
        field={field("thickness")}
        label="Thickness"
        hint="0.6 to 0.7 for a ring; 1.0 is heavy"
        value={plate.thickness}
        lights="plate"
      />
      <h2 className="section-head">Edge</h2>
      <ChoiceField
        label="Finish"
        hint={plate.style === "border" ? "a plain border all round" : "filed back to the wall"}
        value={plate.style === "border" ? "border" : "flush"}
        options={[
          { value: "flush", text: "Flush" },
          { value: "border", text: "Border" },
        ]}
        onChoose={(style) =>
          change((each) => {
            each.style = style;
            if (style === "border") each.border = each.border || 1;
          })
        }
      />
      {plate.style === "border" && (
        <MeasureField field={field("border")} label="Border" hint="outside the wall" value={settled.border.value} lights="plate" />
      )}
      <MeasureField
        field={field("sawMargin")}
        label="Saw margin"
        hint="easier to saw off than to add"
        value={settled.sawMargin.value}
        lights="saw"
      />
    </>
  );
}
