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
import { OwnMethod } from "@/ui/OwnMethod";
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
import { commonText } from "@/words/common";
import { wallStageText } from "@/words/screens/wall";

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
            <FigureButton figure={`${id}.wall.netLength`} name="Net length of the bezel" className="text-sm text-soft">
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
            pieces={solderAlong(plan, id, blank, doubtOf)}
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
  { value: "strip", text: commonText.strip },
  { value: "sheet", text: wallStageText.sheet },
  { value: "notched", text: wallStageText.notched },
  { value: "tube", text: wallStageText.tube },
  { value: "cup", text: wallStageText.cup },
];
const STOCK_HEADS = { strip: commonText.strip, tube: wallStageText.tube, cup: wallStageText.cup } as const;

const LOSSES = [
  { name: "squaring", label: wallStageText.squaring, explains: "squaring" },
  { name: "mark", label: wallStageText.mark },
  { name: "foot", label: wallStageText.foot },
  { name: "top", label: wallStageText.top },
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
        label={wallStageText.madeFrom}
        hint={view.shelf ?? SOURCE_ADVICE[settled.source]}
        value={settled.source}
        options={SOURCES}
        onChoose={(source) => change((wall) => makeFrom(wall, source))}
      />
      {settled.notch !== null && (
        <>
          <MeasureField
            field={pitchField(id, units)}
            label={wallStageText.fromToothToTooth}
            hint={view.teeth}
            value={settled.notch.pitch}
          />
          <MeasureField
            field={gapField(id, "depth", units)}
            label={wallStageText.gapsDeep}
            hint={view.gaps.depth}
            value={mount.wall.notch?.depth ?? null}
          />
          <MeasureField
            field={gapField(id, "gap", units)}
            label={wallStageText.gapsWide}
            hint={view.gaps.gap}
            value={mount.wall.notch?.gap ?? null}
          />
        </>
      )}
      {view.stock !== "strip" && <ReadyStock mount={id} kind={view.stock} />}
      {view.stock === "tube" && (
        <>
          <MeasureField
            field={tubeField(id, "outside", units)}
            label={wallStageText.yoursOutside}
            hint={view.wants}
            value={mount.wall.tube?.outside ?? null}
            lights="rim"
          />
          <MeasureField
            field={tubeField(id, "inside", units)}
            label={wallStageText.yoursInside}
            hint={wallStageText.narrowerThanTheStoneA}
            value={mount.wall.tube?.inside ?? null}
            lights="fit"
          />
        </>
      )}
      {view.stock === "cup" && (
        <MeasureField
          field={cupLengthField(id, units)}
          label={wallStageText.yoursOutside}
          hint={wallStageText.alongItsLength}
          value={mount.wall.cup?.length ?? null}
          lights="rim"
        />
      )}
      {view.stock === "cup" && mount.wall.cup && (
        <MeasureField
          field={cupThicknessField(id, units)}
          label={wallStageText.yoursThick}
          hint={view.wants}
          value={mount.wall.cup.thickness}
          lights="fit"
        />
      )}
      <ChoiceField
        label={commonText.metal}
        hint={wallStageText.startsToMeltAt(showTemperature(METALS[mount.wall.metal].solidus, units), degrees(units))}
        value={mount.wall.metal}
        options={metalsFor("wall").map((value) => ({ value, text: capital(METALS[value].name) }))}
        onChoose={(metal) => change((wall) => void (wall.metal = metal))}
      />
      <MeasureField
        field={wallField(id, "thickness", units)}
        label={settled.ready ? wallStageText.bezelWanted : wallStageText.thickness}
        hint={view.thickness}
        value={mount.wall.thickness}
        lights="wall"
      />
      {view.stock === "cup" && (
        <MeasureField
          field={baseField(id, units)}
          label={wallStageText.base}
          hint={wallStageText.theCupsOwn}
          value={plan.settled.mounts[id]!.back.thickness}
          lights="plate"
        />
      )}
      <MeasureField
        field={wallField(id, "fit", units)}
        label={wallStageText.fitAroundStone}
        explains="fit"
        hint={wallStageText.snugSlidesWithAPush}
        value={(settled.ready?.wanted.fit ?? settled.fit).value}
        lights="fit"
      />
      {seam && (
        <ChoiceField
          label={wallStageText.seam}
          explains="seam"
          hint={
            mount.wall.seamAt === undefined || mount.wall.seamAt === "auto"
              ? wallStageText.onTheStraightestRun
              : wallStageText.whereYouPutItDrag
          }
          value={mount.wall.seamAt === undefined || mount.wall.seamAt === "auto" ? "auto" : "chosen"}
          options={[
            { value: "auto", text: wallStageText.bestPlace },
            { value: "chosen", text: wallStageText.chosen },
          ]}
          lights="seam"
          onChoose={(value) => change((wall) => void (wall.seamAt = value === "auto" ? "auto" : seam.at))}
        />
      )}
      <h2 className="section-head">{commonText.height}</h2>
      <HeightSchools rows={view.schools} chosen={settled.height.rule} onChoose={(rule) => change((wall) => standBy(wall, rule))} />
      {settled.height.rule === "fixed" && (
        <MeasureField
          field={wallField(id, "fixedHeight", units)}
          label={wallStageText.houseHeight}
          hint={wallStageText.asItStandsWhenDone}
          value={settled.height.height}
          lights="height"
        />
      )}
      <MeasureField
        field={wallField(id, "catch", units)}
        label={wallStageText.catchOverTheDome}
        explains="catch"
        hint={wallStageText.seenFromAbove}
        value={settled.catch.value}
        lights="catch"
      />
      <MeasureField
        field={wallField(id, "lift", units)}
        label={wallStageText.liftUnderStone}
        explains="lift"
        hint={wallStageText.cushionOrLedge}
        value={settled.lift.value}
        lights="lift"
      />
      <h2 className="section-head">{wallStageText.lossesOnTheWay}</h2>
      <div className="grid gap-x-3 wide:grid-cols-2">
        {LOSSES.filter(({ name }) => LOSSES_OF[view.stock].includes(name)).map((loss) => (
          <LossField key={loss.name} mount={id} loss={loss} value={settled.losses[loss.name].value} />
        ))}
      </div>
      {view.stock === "strip" && <OwnMethod kind="wall.length" />}
      {view.stock !== "cup" && <OwnMethod kind="wall.height" />}
      <p className="narrow pt-1 text-xs text-soft">
        {settled.learned.length &&
          view.stock === "strip" &&
          `${insteadText(settled.learned.length, wallStageText.squaringAndMark, units)} `}
        {settled.learned.height && view.stock !== "cup" && `${insteadText(settled.learned.height, wallStageText.footAndTop, units)} `}
        {capital(SOURCE_NAMES[settled.losses.top.from])}. {view.stock === "strip" && wallStageText.aScribedLineTakes0}
      </p>
      {view.stock === "cup" && <AppliedList mount={id} />}
    </>
  );
}
