"use client";

import { type Draft as Editable } from "immer";
import { type Point } from "@/core/geometry/outline";
import { laidAt } from "@/core/heats/solder";
import { METALS, metalsFor } from "@/core/metal/metals";
import { type Blank } from "@/core/measure/blank";
import { HOUSE_HEIGHT } from "@/core/mount/plan-wall";
import { type HeightRule, type WallSource, USUAL_PITCH } from "@/core/mount/wall";
import { type WallEntry } from "@/core/piece/piece";
import { type Plan, heatOf } from "@/core/piece/plan";
import { ChoiceField } from "@/ui/ChoiceField";
import { FigureButton } from "@/ui/Terms";
import { MeasureField } from "@/ui/MeasureField";
import { type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { Rule } from "@/ui/Rule";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { Sum } from "@/ui/Sum";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { SOURCE_ADVICE, capital } from "@/words/names";
import { ifSure } from "@/words/doubt";
import { BLANK_MARKS } from "@/words/marks";
import { degrees, showTemperature } from "@/words/show";
import { insteadText } from "@/words/hoop-size";
import { SOURCE_NAMES } from "@/words/terms";
import { AppliedList } from "../applied/AppliedList";
import { WallDrawing } from "./WallDrawing";
import { HeightSchools } from "./HeightSchools";
import { baseField, cupLengthField, cupThicknessField, gapField, pitchField, tubeField, wallField, wallLossField } from "./fields";
import { ReadyStock } from "./ReadyStock";
import { wallView } from "./view";

/** How long and tall the strip is cut, and where its seam lies. */
export function WallStage({ mount: id }: { readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const mount = useSessionState(({ piece }) => piece.mounts.find((each) => each.id === id)!);
  const view = wallView(plan, mount, units);
  const doubtOf = useDoubt();
  const rests = view.answers.map(({ figure }) => figure);
  const { stock, top } = plan.drawing.settings[id]!;
  const blank = plan.drawing.laid[`${id}.wall`]!;
  return (
    <Stage
      stage="wall"
      mount={id}
      drawing={(size) => <WallDrawing size={size} mount={mount} />}
      measures={<WallMeasures mount={id} />}
      foot={
        <>
          <Answers figures={rests} sum={<Sum parts={view.sum} total={view.total} why={view.why} />}>
            {view.answers.map(({ figure, name, lead, value, unit }) => (
              <FigureButton key={figure} figure={figure} name={name}>
                <Answer lead={lead} unit={unit}>
                  {value}
                </Answer>
              </FigureButton>
            ))}
            <FigureButton figure={`${id}.wall.netLength`} name="Net length of the bezel" className="text-[13px] text-soft">
              {view.lands}
            </FigureButton>
          </Answers>
          <Rule
            blank={blank}
            height={stock.tall}
            cut={ifSure(doubtAmong(rests, doubtOf), view.cut)}
            beyond={view.beyond}
            names={BLANK_MARKS}
            units={units}
            gaps={stock.gaps}
            edge={top && pastLead(top, blank)}
            solder={solderAlong(plan, id, blank, doubtOf)}
          />
        </>
      }
    />
  );
}

/** The foot's pieces of solder where they will lie on a strip, from its seam on; none while what they follow from cannot be trusted. */
function solderAlong(plan: Plan, mount: string, { losses }: Blank, doubtOf: DoubtOf): { at: number; side: number }[] {
  const foot = plan.joints.find((joint) => joint.kind === "foot" && joint.mount === mount);
  const solder = foot && heatOf(plan, foot.id)?.solder;
  if (!solder || plan.settled.mounts[mount]!.wall.ready || doubtAmong(foot.follows, doubtOf)) return [];
  return laidAt(solder, foot.length).map((at) => ({ at: losses[0]!.to + at, side: solder.size[1] }));
}

/** The edge an uneven stone's wall is filed to, along the strip as it is cut. */
function pastLead(top: readonly Point[], { losses }: Blank): Point[] {
  const lead = losses[0]!.to;
  return top.map(([along, up]): Point => [along + lead, up]);
}

const SOURCES: readonly { readonly value: WallSource; readonly text: string }[] = [
  { value: "strip", text: "Strip" },
  { value: "sheet", text: "Sheet" },
  { value: "notched", text: "Notched" },
  { value: "tube", text: "Tube" },
  { value: "cup", text: "Cup" },
];
const STOCK_HEADS = { strip: "Strip", tube: "Tube", cup: "Cup" } as const;

const LOSSES = [
  { name: "squaring", label: "Squaring", explains: "squaring" },
  { name: "mark", label: "Mark" },
  { name: "foot", label: "Foot" },
  { name: "top", label: "Top" },
] as const;

/** What is lost by what it is made of: a tube has no seam, a cup no open foot. */
const LOSSES_OF: Readonly<Record<keyof typeof STOCK_HEADS, readonly string[]>> = {
  strip: ["squaring", "mark", "foot", "top"],
  tube: ["foot", "top"],
  cup: ["top"],
};

function makeFrom(wall: Editable<WallEntry>, source: WallSource): void {
  wall.source = source;
  if (source === "notched") wall.notch ??= { pitch: USUAL_PITCH };
}

function standBy(wall: Editable<WallEntry>, rule: HeightRule): void {
  wall.heightRule = rule;
  if (rule === "fixed") wall.fixedHeight ??= HOUSE_HEIGHT;
}

interface LossProps {
  readonly mount: string;
  readonly loss: (typeof LOSSES)[number];
  /** mm. */
  readonly value: number;
}

function LossField({ mount, loss: { name, ...words }, value }: LossProps) {
  const units = useUnits();
  return <MeasureField {...words} field={wallLossField(mount, name, units)} value={value} lights="losses" shape="compact" />;
}

function WallMeasures({ mount: id }: { readonly mount: string }) {
  const session = useSession();
  const plan = usePlan();
  const units = useUnits();
  const mount = useSessionState(({ piece }) => piece.mounts.find((each) => each.id === id)!);
  const settled = plan.settled.mounts[id]!.wall;
  const { seam } = plan.drawing.settings[id]!.plan;
  const view = wallView(plan, mount, units);
  const change = (recipe: (wall: Editable<WallEntry>) => void) =>
    session.change((piece) => recipe(piece.mounts.find((each) => each.id === id)!.wall));
  return (
    <>
      <h2 className="section-head">{STOCK_HEADS[view.stock]}</h2>
      <ChoiceField
        label="Made from"
        hint={view.shelf ?? SOURCE_ADVICE[settled.source]}
        value={settled.source}
        options={SOURCES}
        onChoose={(source) => change((wall) => makeFrom(wall, source))}
      />
      {settled.notch !== null && (
        <>
          <MeasureField field={pitchField(id, units)} label="From tooth to tooth" hint={view.teeth} value={settled.notch.pitch} />
          <MeasureField
            field={gapField(id, "depth", units)}
            label="Gaps, deep"
            hint={view.gaps.depth}
            value={mount.wall.notch?.depth ?? null}
          />
          <MeasureField field={gapField(id, "gap", units)} label="Gaps, wide" hint={view.gaps.gap} value={mount.wall.notch?.gap ?? null} />
        </>
      )}
      {view.stock !== "strip" && <ReadyStock mount={id} kind={view.stock} />}
      {view.stock === "tube" && (
        <>
          <MeasureField
            field={tubeField(id, "outside", units)}
            label="Yours, outside"
            hint={view.wants}
            value={mount.wall.tube?.outside ?? null}
            lights="rim"
          />
          <MeasureField
            field={tubeField(id, "inside", units)}
            label="Yours, inside"
            hint="narrower than the stone: a seat is cut"
            value={mount.wall.tube?.inside ?? null}
            lights="fit"
          />
        </>
      )}
      {view.stock === "cup" && (
        <MeasureField
          field={cupLengthField(id, units)}
          label="Yours, outside"
          hint="along its length"
          value={mount.wall.cup?.length ?? null}
          lights="rim"
        />
      )}
      {view.stock === "cup" && mount.wall.cup && (
        <MeasureField
          field={cupThicknessField(id, units)}
          label="Yours, thick"
          hint={view.wants}
          value={mount.wall.cup.thickness}
          lights="fit"
        />
      )}
      <ChoiceField
        label="Metal"
        hint={`starts to melt at ${showTemperature(METALS[mount.wall.metal].solidus, units)} ${degrees(units)}`}
        value={mount.wall.metal}
        options={metalsFor("wall").map((value) => ({ value, text: capital(METALS[value].name) }))}
        onChoose={(metal) => change((wall) => void (wall.metal = metal))}
      />
      <MeasureField
        field={wallField(id, "thickness", units)}
        label={settled.ready ? "Bezel wanted" : "Thickness"}
        hint={view.thickness}
        value={mount.wall.thickness}
        lights="wall"
      />
      {view.stock === "cup" && (
        <MeasureField
          field={baseField(id, units)}
          label="Base"
          hint="the cup's own"
          value={plan.settled.mounts[id]!.back.thickness}
          lights="plate"
        />
      )}
      <MeasureField
        field={wallField(id, "fit", units)}
        label="Fit around stone"
        explains="fit"
        hint="snug, slides with a push"
        value={(settled.ready?.wanted.fit ?? settled.fit).value}
        lights="fit"
      />
      {seam && (
        <ChoiceField
          label="Seam"
          explains="seam"
          hint={mount.wall.seamAt === undefined || mount.wall.seamAt === "auto" ? "on the straightest run" : "where you put it; drag it"}
          value={mount.wall.seamAt === undefined || mount.wall.seamAt === "auto" ? "auto" : "chosen"}
          options={[
            { value: "auto", text: "Best place" },
            { value: "chosen", text: "Chosen" },
          ]}
          lights="seam"
          onChoose={(value) => change((wall) => void (wall.seamAt = value === "auto" ? "auto" : seam.at))}
        />
      )}
      <h2 className="section-head">Height</h2>
      <HeightSchools rows={view.schools} chosen={settled.height.rule} onChoose={(rule) => change((wall) => standBy(wall, rule))} />
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
        explains="catch"
        hint="seen from above"
        value={settled.catch.value}
        lights="catch"
      />
      <MeasureField
        field={wallField(id, "lift", units)}
        label="Lift under stone"
        explains="lift"
        hint="cushion or ledge"
        value={settled.lift.value}
        lights="lift"
      />
      <h2 className="section-head">Losses on the way</h2>
      <div className="grid gap-x-3 min-[1152px]:grid-cols-2">
        {LOSSES.filter(({ name }) => LOSSES_OF[view.stock].includes(name)).map((loss) => (
          <LossField key={loss.name} mount={id} loss={loss} value={settled.losses[loss.name].value} />
        ))}
      </div>
      <p className="narrow pt-1 text-[11.5px] text-soft">
        {settled.learned.length && view.stock === "strip" && `${insteadText(settled.learned.length, "squaring and mark", units)} `}
        {settled.learned.height && view.stock !== "cup" && `${insteadText(settled.learned.height, "foot and top", units)} `}
        {capital(SOURCE_NAMES[settled.losses.top.from])}. {view.stock === "strip" && "A scribed line takes 0.10, a pen line 0.40."}
      </p>
      {view.stock === "cup" && <AppliedList mount={id} />}
    </>
  );
}
