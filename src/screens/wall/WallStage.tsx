"use client";

import { type Draft as Editable } from "immer";
import { type Point } from "@/core/geometry/outline";
import { METALS, type Metal } from "@/core/metal/metals";
import { type SettingDrawing } from "@/core/mount/drawing";
import { type HeightRule, type WallSource } from "@/core/mount/wall";
import { figureOf } from "@/core/measure/figure";
import { type WallEntry } from "@/core/piece/piece";
import { ChoiceField } from "@/ui/ChoiceField";
import { FigureButton } from "@/ui/Terms";
import { MeasureField } from "@/ui/MeasureField";
import { FindingNotes } from "@/ui/FindingNotes";
import { usePlan } from "@/ui/plan";
import { Rule } from "@/ui/Rule";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { Sum } from "@/ui/Sum";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { METAL_NAMES, SOURCE_ADVICE, capital } from "@/words/names";
import { BLANK_MARKS } from "@/words/marks";
import { degrees, lengthUnit, showTemperature } from "@/words/show";
import { SOURCE_NAMES } from "@/words/terms";
import { WallDrawing } from "./WallDrawing";
import { pitchField, wallField, wallLossField } from "./fields";
import { wallView } from "./view";

/** How long and tall the strip is cut, and where its seam lies. */
export function WallStage({ mount: id }: { readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const mount = useSessionState(({ piece }) => piece.mounts.find((each) => each.id === id)!);
  const view = wallView(plan, mount, units);
  const unit = lengthUnit(units);
  return (
    <Stage
      drawing={(size) => <WallDrawing size={size} mount={mount} />}
      measures={<WallMeasures mount={id} />}
      foot={
        <>
          <Answers sum={<Sum parts={view.sum} total={view.total} />}>
            <FigureButton figure={`${id}.wall.cutLength`} name="Cut strip">
              <Answer lead="Cut strip" unit={`${unit} long`}>
                {view.cutLength}
              </Answer>
            </FigureButton>
            <FigureButton figure={`${id}.wall.cutHeight`} name="Slit the strip to">
              <Answer lead="slit to" unit={`${unit} tall`}>
                {view.cutHeight}
              </Answer>
            </FigureButton>
            <FigureButton figure={`${id}.wall.netLength`} name="Net length of the wall" className="text-[13px] text-soft">
              {view.lands}
            </FigureButton>
          </Answers>
          <Rule
            blank={plan.drawing.settings[id]!.strip}
            height={figureOf(plan.figures, `${id}.wall.cutHeight`).value}
            cut={`cut ${view.cutLength}`}
            beyond="coil goes on"
            names={BLANK_MARKS}
            units={units}
            edge={topEdge(plan.drawing.settings[id]!)}
          />
        </>
      }
    />
  );
}

/** The edge an uneven stone's wall is filed to, along the strip as it is cut. */
function topEdge({ top, strip }: SettingDrawing): Point[] | null {
  const lead = strip.losses[0]!.to;
  return top && top.map(([along, up]): Point => [along + lead, up]);
}

const WALL_METALS: readonly Metal[] = ["fine-silver", "sterling", "sterling-935", "copper", "brass"];
const SOURCES: readonly { readonly value: WallSource; readonly text: string }[] = [
  { value: "strip", text: "Strip" },
  { value: "sheet", text: "Sheet" },
  { value: "notched", text: "Notched" },
];
const USUAL_PITCH = 1.5;
const RULES: readonly { readonly value: HeightRule; readonly text: string }[] = [
  { value: "turn-in", text: "Turn-in" },
  { value: "third", text: "A third" },
  { value: "fixed", text: "House" },
];

const LOSSES = [
  { name: "squaring", label: "Squaring" },
  { name: "mark", label: "Mark" },
  { name: "foot", label: "Foot" },
  { name: "top", label: "Top" },
] as const;

function WallMeasures({ mount: id }: { readonly mount: string }) {
  const session = useSession();
  const plan = usePlan();
  const units = useUnits();
  const mount = useSessionState(({ piece }) => piece.mounts.find((each) => each.id === id)!);
  const settled = plan.settled.mounts[id]!.wall;
  const view = wallView(plan, mount, units);
  const change = (recipe: (wall: Editable<WallEntry>) => void) =>
    session.change((piece) => recipe(piece.mounts.find((each) => each.id === id)!.wall));
  return (
    <>
      <h2 className="section-head">Strip</h2>
      <ChoiceField
        label="From"
        hint={SOURCE_ADVICE[settled.source]}
        value={settled.source}
        options={SOURCES}
        onChoose={(source) =>
          change((wall) => {
            wall.source = source;
            if (source === "notched") wall.notch ??= { pitch: USUAL_PITCH };
          })
        }
      />
      {settled.notch !== null && (
        <MeasureField field={pitchField(id, units)} label="Pitch of the notches" hint={view.notches} value={settled.notch} />
      )}
      <ChoiceField
        label="Metal"
        hint={`melts at ${showTemperature(METALS[mount.wall.metal].solidus, units)} ${degrees(units)}`}
        value={mount.wall.metal}
        options={WALL_METALS.map((value) => ({ value, text: capital(METAL_NAMES[value]) }))}
        onChoose={(metal) => change((wall) => void (wall.metal = metal))}
      />
      <MeasureField
        field={wallField(id, "thickness", units)}
        label="Thickness"
        hint={view.gauge}
        value={mount.wall.thickness}
        lights="wall"
      />
      <MeasureField
        field={wallField(id, "fit", units)}
        label="Fit around stone"
        hint="snug, slides with a push"
        value={settled.fit.value}
        lights="fit"
      />
      <ChoiceField
        label="Seam"
        hint={mount.wall.seamAt === undefined || mount.wall.seamAt === "auto" ? "on the straightest run" : "where you put it; drag it"}
        value={mount.wall.seamAt === undefined || mount.wall.seamAt === "auto" ? "auto" : "chosen"}
        options={[
          { value: "auto", text: "Best place" },
          { value: "chosen", text: "Chosen" },
        ]}
        lights="seam"
        onChoose={(value) => change((wall) => void (wall.seamAt = value === "auto" ? "auto" : plan.drawing.settings[id]!.plan.seam.at))}
      />
      <h2 className="section-head">Height</h2>
      <ChoiceField
        label="Set by"
        hint={view.leansIn.replace("leans", "side leans")}
        value={settled.height.rule}
        options={RULES}
        lights="height"
        onChoose={(rule) =>
          change((wall) => {
            wall.heightRule = rule;
            if (rule === "fixed") wall.fixedHeight ??= 3;
          })
        }
      />
      {settled.height.rule === "fixed" && (
        <MeasureField
          field={wallField(id, "fixedHeight", units)}
          label="House height"
          hint="as it stands when done"
          value={settled.height.height}
          lights="height"
        />
      )}
      <MeasureField
        field={wallField(id, "catch", units)}
        label="Catch over the dome"
        hint="seen from above"
        value={settled.catch.value}
        lights="catch"
      />
      <MeasureField
        field={wallField(id, "lift", units)}
        label="Lift under stone"
        hint="cushion or ledge"
        value={settled.lift.value}
        lights="lift"
      />
      <FindingNotes stage="wall" mount={id} />
      <h2 className="section-head">Losses on the way</h2>
      <div className="grid gap-x-3 min-[1152px]:grid-cols-2">
        {LOSSES.map(({ name, label }) => (
          <MeasureField
            key={name}
            field={wallLossField(id, name, units)}
            label={label}
            value={settled.losses[name].value}
            lights="losses"
            shape="compact"
          />
        ))}
      </div>
      <p className="narrow pt-1 text-[11.5px] text-soft">
        {capital(SOURCE_NAMES[settled.losses.squaring.from])}. A scribe marks to 0.10, a pen takes 0.40.
      </p>
    </>
  );
}
