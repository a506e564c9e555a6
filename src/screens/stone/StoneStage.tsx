"use client";

import { type Draft as Editable, castDraft } from "immer";
import { useState } from "react";
import { type Box, boxOf } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { withPointNear } from "@/core/stone/free-edit";
import { isUneven } from "@/core/stone/profile";
import { fromTable, knownStone, likelyStones, renamed } from "@/core/stone/known-stones";
import { reshaped } from "@/core/stone/reshape";
import { type OutlineShape } from "@/core/stone/shapes/shapes";
import { ELLIPTIC, greatestTurnIn, type Tenderness } from "@/core/stone/stone";
import { type Mount } from "@/core/piece/piece";
import { ChoiceButton } from "@/ui/ChoiceButton";
import { ChoiceField } from "@/ui/ChoiceField";
import { Millimetres, Shape, pointUnder } from "@/ui/Drawing";
import { MeasureField } from "@/ui/MeasureField";
import { PlanAndSection } from "@/ui/PlanAndSection";
import { Rule } from "@/ui/Rule";
import { Segments } from "@/ui/Segments";
import { SectionView } from "@/ui/SectionView";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { FigureButton } from "@/ui/Terms";
import { TextField } from "@/ui/TextField";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState, useWhileHeld } from "@/ui/session";
import { Dimension } from "@/ui/Dimension";
import { useUnits } from "@/ui/tray";
import { type Size } from "@/ui/useSize";
import { ifSure } from "@/words/doubt";
import { BLANK_MARKS } from "@/words/marks";
import { SHAPE_NAMES, capital } from "@/words/names";
import { lengthUnit } from "@/words/show";
import { wallView } from "../wall/view";
import { FreeMeasures } from "./FreeMeasures";
import { FreePoints, useFreeForm } from "./FreePoints";
import { ProfileMeasures } from "./ProfileMeasures";
import { TurnInCurve } from "./TurnInCurve";
import {
  DIMENSIONS,
  dimensionField,
  dimensionOf,
  densityField,
  domeField,
  heightField,
  materialField,
  mohsField,
  stoneOf,
  takeOutline,
  turnInKey,
  turnInField,
  wrappedField,
} from "./fields";
import { stoneView } from "./view";
import { KeptPicture } from "./trace/KeptPicture";
import { TraceMode } from "./trace/TraceMode";
import { commonText } from "@/words/common";
import { stoneStageText } from "@/words/screens/stone";
import { traceMeasuresText } from "@/words/screens/trace";

/** The stone as it was measured: outline, height, dome, and what it will not bear. */
export function StoneStage({ mount: id }: { readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const mount = useSessionState(({ piece }) => piece.mounts.find((each) => each.id === id)!);
  const view = stoneView(plan, mount, units);
  const doubtOf = useDoubt();
  const [isTracing, setTracing] = useState<boolean | "ended">(false);
  const [showsPicture, setShowsPicture] = useState(true);
  const unit = lengthUnit(units);
  const tall = useWhileHeld(greatestTurnIn(mount.stone));
  return (
    <TraceMode mount={mount} isOn={isTracing === true} onDone={() => setTracing("ended")}>
      {(trace) => (
        <Stage
          stage="stone"
          mount={id}
          drawing={(size) => trace?.drawing(size) ?? <StoneDrawing size={size} mount={mount} showsPicture={showsPicture} />}
          measures={
            trace?.measures ?? (
              <StoneMeasures
                mount={mount}
                onTrace={() => setTracing(true)}
                wasTraced={isTracing === "ended"}
                showsPicture={showsPicture}
                onShowPicture={setShowsPicture}
              />
            )
          }
          foot={
            <>
              <Answers
                figures={[`${id}.stone`]}
                sum={
                  <>
                    {stoneStageText.long(view.long)} <b className="font-semibold text-ink">{view.wide}</b> {stoneStageText.wide}{" "}
                    <b className="font-semibold text-ink">{view.face}</b> {stoneStageText.face}
                  </>
                }
              >
                <FigureButton figure={`${id}.outline.perimeter`} name="Round the stone">
                  <Answer lead={stoneStageText.perimeter} unit={unit}>
                    {view.round}
                  </Answer>
                </FigureButton>
                <Answer lead={stoneStageText.leansInAt} unit={unit}>
                  {view.leansIn}
                </Answer>
                <span className="text-sm text-soft">{view.tightest}</span>
              </Answers>
              <Rule
                blank={plan.drawing.laid[`${id}.stone`]!}
                height={tall}
                cut={ifSure(doubtOf(`${id}.outline.perimeter`), stoneStageText.round(view.round))}
                beyond=""
                names={BLANK_MARKS}
                units={units}
                tone="stone"
                edge={isUneven(mount.stone) ? plan.drawing.settings[id]!.turnIn.curve : null}
                over={<TurnInCurve mount={mount} />}
              />
            </>
          }
        />
      )}
    </TraceMode>
  );
}

function StoneDrawing({ size, mount, showsPicture }: { readonly size: Size; readonly mount: Mount; readonly showsPicture: boolean }) {
  const plan = usePlan();
  const units = useUnits();
  const view = stoneView(plan, mount, units);
  const shape = mount.stone.outline;
  const change = useFreeForm(mount.id, true);
  const picture = showsPicture ? mount.stone.picture : undefined;
  const addPoint = (to: Point) => change((each) => withPointNear(each, to));
  return (
    <PlanAndSection size={size} mount={mount} label={stoneStageText.theStoneInPlanAnd}>
      {({ drawing, plan: { x, y, scale }, section }) => {
        const box = boxOf(drawing.plan.stone);
        const [left, right] = [x + box.left * scale.perMm, x + box.right * scale.perMm];
        const [top, foot] = [y - box.high * scale.perMm, y - box.low * scale.perMm];
        return (
          <>
            <Millimetres x={x} y={y} scale={scale}>
              {shape.shape === "free" && <MillimetreSquares box={box} />}
              {picture && <KeptPicture picture={picture} />}
              <g onDoubleClick={(event) => addPoint(pointUnder(event))}>
                <Shape
                  curve={drawing.plan.stone}
                  fill={picture ? "transparent" : "url(#stone)"}
                  stroke={picture ? "var(--color-accent-deep)" : "var(--color-shade)"}
                  strokeWidth={shape.shape === "free" ? 3 : 1}
                  lights="stone"
                />
              </g>
              {shape.shape === "free" && <FreePoints mount={mount} shape={shape} />}
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

/** How far past the stone the squares go, and when they would be too many to draw. */
const SQUARES = { past: 2, most: 120 } as const;

/** Squares of a millimetre under a free-form, every fifth line stronger; on a large one only the fifth lines. */
function MillimetreSquares({ box }: { readonly box: Box }) {
  const span = (least: number, most: number) => [Math.floor(least) - SQUARES.past, Math.ceil(most) + SQUARES.past] as const;
  const [left, right] = span(box.left, box.right);
  const [low, high] = span(box.low, box.high);
  const whole = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);
  const path = (isFifth: boolean) => {
    if (!isFifth && Math.max(right - left, high - low) > SQUARES.most) return "";
    const isWanted = (i: number) => (i % 5 === 0) === isFifth;
    const upright = whole(left, right).filter(isWanted);
    const level = whole(low, high).filter(isWanted);
    return [...upright.map((i) => `M${i} ${low}V${high}`), ...level.map((i) => `M${left} ${i}H${right}`)].join("");
  };
  return (
    <>
      <path d={path(false)} vectorEffect="non-scaling-stroke" stroke="var(--color-hair)" fill="none" />
      <path d={path(true)} vectorEffect="non-scaling-stroke" stroke="var(--color-sage-pale)" fill="none" />
    </>
  );
}

const SHAPES: readonly OutlineShape["shape"][] = ["oval", "round", "cushion", "rectangle", "pear", "marquise", "heart", "triangle", "free"];

const FROM_TABLE = stoneStageText.fromTheTableOfStones;

const TENDER: readonly { readonly to: Tenderness; readonly text: string }[] = [
  { to: "heat", text: stoneStageText.heat },
  { to: "water", text: stoneStageText.water },
  { to: "acid", text: stoneStageText.acid },
  { to: "sulphur", text: stoneStageText.sulphur },
  { to: "ultrasonic", text: stoneStageText.ultrasonic },
];

function takeFocus(button: HTMLElement | null): void {
  button?.focus({ preventScroll: true });
}

interface MeasuresProps {
  readonly mount: Mount;
  readonly onTrace: () => void;
  /** Whether the tracer was just left: then what opened it has the focus again. */
  readonly wasTraced: boolean;
  readonly showsPicture: boolean;
  readonly onShowPicture: (shows: boolean) => void;
}

function StoneMeasures({ mount, onTrace, wasTraced, showsPicture, onShowPicture }: MeasuresProps) {
  const { id, stone } = mount;
  const session = useSession();
  const units = useUnits();
  const view = stoneView(usePlan(), mount, units);
  const { outline } = stone;
  const change = (recipe: (stone: Editable<Mount["stone"]>) => void) =>
    session.change((piece) => recipe(piece.mounts.find((each) => each.id === id)!.stone));
  const isFlat = stone.dome === "flat";
  const table = fromTable(stone.material);
  const called = stone.material?.name ?? "";
  const likely = likelyStones(called);
  const isList = typeof stone.turnIn !== "number";
  return (
    <>
      <h2 className="section-head">{stoneStageText.outline}</h2>
      <ChoiceField
        label={stoneStageText.shape}
        value={outline.shape}
        options={SHAPES.map((value) => ({ value, text: capital(SHAPE_NAMES[value]) }))}
        onChoose={(shape) => takeOutline(session, id, outline, reshaped(outline, shape))}
      />
      {DIMENSIONS[outline.shape].map(({ name, label, hint, lights }) => (
        <MeasureField
          key={`${outline.shape} ${name}`}
          field={dimensionField(id, name, units)}
          label={label}
          hint={hint}
          value={dimensionOf(outline, name)}
          lights={lights}
        />
      ))}
      {outline.shape === "free" && <FreeMeasures mount={mount} shape={outline} />}
      <div className="flex flex-wrap items-center gap-1.5 border-t border-hair py-1.5">
        {stone.picture && (
          <>
            <Segments
              label={traceMeasuresText.keep}
              value={showsPicture ? "picture" : "outline"}
              options={[
                { value: "picture", text: traceMeasuresText.shown },
                { value: "outline", text: traceMeasuresText.hidden },
              ]}
              onChoose={(shown) => onShowPicture(shown === "picture")}
            />
            <button type="button" className="btn btn-small" onClick={() => change((each) => void delete each.picture)}>
              {traceMeasuresText.drop}
            </button>
          </>
        )}
        <button type="button" className="btn" ref={wasTraced ? takeFocus : null} onClick={onTrace}>
          {traceMeasuresText.fromPicture}
        </button>
      </div>
      <h2 className="section-head">{commonText.height}</h2>
      <MeasureField field={heightField(id, units)} label={stoneStageText.wholeStone} value={stone.height} lights="stone" />
      {!isFlat && (
        <MeasureField
          field={turnInField(id, units)}
          label={isList ? stoneStageText.leansInHighest : stoneStageText.sideLeansInAt}
          explains="leansIn"
          hint={isList ? stoneStageText.dragTheHeightsAlongThe : stoneStageText.dragTheLineInThe}
          value={greatestTurnIn(stone)}
          lights="turnIn"
        />
      )}
      {!isFlat && <ProfileMeasures mount={mount} />}
      <MeasureField
        field={wrappedField(id, units)}
        label={stoneStageText.roundItByTape}
        hint={stoneStageText.leaveEmptyIfNotWrapped}
        value={stone.measuredPerimeter ?? null}
        lights="stone"
      />
      <ChoiceField
        label={stoneStageText.faceLabel}
        hint={isFlat ? view.dome : stoneStageText.domed}
        value={isFlat ? "flat" : "dome"}
        options={[
          { value: "dome", text: stoneStageText.dome },
          { value: "flat", text: stoneStageText.flat },
        ]}
        onChoose={(face) =>
          session.choose(
            (piece) => {
              const each = stoneOf(piece, id);
              each.dome = face === "flat" ? "flat" : ELLIPTIC;
              each.turnIn = face === "flat" ? each.height : Math.round(each.height * 40) / 100;
            },
            (before) => [...before.filter((key) => key !== turnInKey(id)), ...(face === "flat" ? [] : [turnInKey(id)])],
          )
        }
      />
      {typeof stone.dome !== "string" && (
        <MeasureField field={domeField(id)} label={stoneStageText.dome} hint={view.dome} value={stone.dome ?? ELLIPTIC} lights="dome" />
      )}
      <h2 className="section-head">{stoneStageText.material}</h2>
      <TextField
        field={materialField(id)}
        label={commonText.name}
        hint={called !== "" && !knownStone(called) ? stoneStageText.notKnownHereDrawnGrey : undefined}
        value={called}
        shape="wide"
      />
      {likely.length > 0 && (
        <p className="flex flex-wrap items-center gap-1.5 py-1 text-sm text-soft">
          {stoneStageText.isIt}
          {likely.map((name) => (
            <button
              key={name}
              type="button"
              className="btn btn-small"
              onClick={() =>
                session.change((each) => {
                  const { stone: own } = each.mounts.find((one) => one.id === id)!;
                  own.material = castDraft(renamed(own.material, name));
                })
              }
            >
              {capital(name)}
            </button>
          ))}
          ?
        </p>
      )}
      <MeasureField
        field={mohsField(id)}
        label={stoneStageText.hardness}
        hint={table.mohs === undefined ? undefined : FROM_TABLE}
        value={stone.material?.mohs ?? null}
      />
      <MeasureField
        field={densityField(id)}
        label={stoneStageText.density}
        hint={table.density === undefined ? undefined : FROM_TABLE}
        value={stone.material?.density ?? null}
      />
      <fieldset className="border-t border-hair py-1.5">
        <legend className="float-left pt-0.5 text-sm leading-tight">
          {stoneStageText.tenderTo}
          {table.tender && <small className="narrow block text-xs text-soft">{FROM_TABLE}</small>}
        </legend>
        <div className="flex flex-wrap justify-end gap-1">
          {TENDER.map(({ to, text }) => {
            const has = stone.material?.tender?.includes(to) ?? false;
            return (
              <ChoiceButton
                key={to}
                isChosen={has}
                onPress={() =>
                  change((each) => {
                    const tender = each.material?.tender ?? [];
                    each.material = { ...each.material, tender: has ? tender.filter((other) => other !== to) : [...tender, to] };
                  })
                }
              >
                {has ? "✓ " : ""}
                {text}
              </ChoiceButton>
            );
          })}
        </div>
      </fieldset>
    </>
  );
}
