"use client";

import { METALS, isPure } from "@/core/metal/metals";
import { scaleLinear } from "d3";
import { type Plan } from "@/core/piece/plan";
import { type Size } from "@/ui/useSize";
import { useHighlight } from "@/ui/highlight";
import { usePlan } from "@/ui/plan";
import { useUnits } from "@/ui/tray";
import { capital, flameName, gradeName, namesIn } from "@/words/names";
import { type Units, inDegrees, showTemperature } from "@/words/show";
import { type Band, type Ladder, gradesUnder, ladderOf, letterOf, tagsUnder } from "./ladder";
import { ladderDrawingText } from "@/words/screens/heats";

const LEFT = 62;
/** Room for the names of the bands; on a narrow sheet only where each grade runs is named. */
const RIGHT = { usual: 156, narrow: 124 } as const;
const NARROW = 560;
/** Less room than this to a heat has its number alone (pixels). */
const ROOM_FOR_A_NAME = 96;
const TOP = 60;
const BOTTOM = 56;
/** A second row of names under the heats. */
const ROW = 14;
/** What the name of a melting point takes at the right end of its line, with the break before it (pixels). */
const ROOM_FOR_MELTING = 250;
/** Where a melting point past the top of the axis is drawn, in pixels under it. */
const BEYOND = 22;

/** How hot each heat gets, against the joints already made. */
export function LadderDrawing({ size }: { readonly size: Size }) {
  const plan = usePlan();
  const units = useUnits();
  const { heats } = plan;
  if (heats.length === 0) return <p className="p-4 text-soft">{ladderDrawingText.noHeatsNothingCanBe}</p>;
  const ladder = ladderOf(plan);
  const [low, high] = ladder.range;
  const isNarrow = size.width < NARROW;
  const [left, right] = [isNarrow ? 44 : LEFT, size.width - (isNarrow ? RIGHT.narrow : RIGHT.usual)];
  const room = (right - left) / heats.length;
  const isCramped = room < ROOM_FOR_A_NAME;
  const grades = isCramped ? gradesUnder(heats.map(flameName), room) : heats.map((heat, i) => ({ heat: i, text: flameName(heat), row: 0 }));
  const tagged = isCramped ? tagsUnder(heats, room, TAG.cramped.step) : [];
  const rowsOfTags = Math.max(0, ...tagged.map(({ row }) => row + 1));
  const under = rowsOfTags * TAG.cramped.step;
  const bottom = size.height - BOTTOM - under - (grades.some(({ row }) => row > 0) ? ROW : 0);
  const y = scaleLinear([low, high], [bottom, TOP + 2 * BEYOND]);
  const x = scaleLinear([-0.5, heats.length - 0.5], [left, right]);
  const [head, mark] = [Math.min(13, 0.42 * room), Math.min(19, 0.46 * room)];
  const frame = { left, right, top: TOP, bottom };
  return (
    <svg width={size.width} height={size.height} role="img" aria-label={described(plan, ladder)} className="absolute inset-0 block">
      <defs>
        <linearGradient id="hotter" x1="0" y1="1" x2="0" y2="0">
          <stop offset="0" stopColor="var(--color-night-bad)" stopOpacity=".03" />
          <stop offset=".4" stopColor="var(--color-flame)" stopOpacity=".08" />
          <stop offset="1" stopColor="var(--color-glow)" stopOpacity=".3" />
        </linearGradient>
      </defs>
      <text x={14} y={24} fontSize={13} fill="var(--color-soft)">
        {ladderDrawingText.howHotEachHeatGets}
      </text>
      <rect
        x={frame.left}
        y={frame.top}
        width={Math.max(0, frame.right - frame.left)}
        height={Math.max(0, frame.bottom - frame.top)}
        fill="url(#hotter)"
      />
      <Axis y={y} frame={frame} units={units} />
      {ladder.melting.map(({ metal, at, isBeyond }, i) => (
        <Melting
          key={metal}
          text={`${METALS[metal].name} ${isPure(metal) ? ladderDrawingText.melts : ladderDrawingText.startsToMelt}, ${showTemperature(at, units)}`}
          y={isBeyond ? TOP + BEYOND * (1 - 0.6 * i) + 8 : y(at)}
          frame={frame}
          isBroken={isBeyond}
        />
      ))}
      {ladder.bands.map((band) => (
        <BandDrawing key={band.joint} band={band} x={x} y={y} />
      ))}
      {gradeLabels(ladder, y, units, isNarrow).map(({ text, at, from }) => (
        <g key={text}>
          <path d={`M${frame.right} ${from} L${frame.right + 8} ${at}`} stroke="var(--color-metal-mid)" fill="none" />
          <text x={frame.right + (isNarrow ? 18 : 11)} y={at + 4} fontSize={12} fill="var(--color-metal-deep)">
            {text}
          </text>
        </g>
      ))}
      {heats.map((heat, i) => (
        <g key={i}>
          <line x1={x(i)} x2={x(i)} y1={bottom} y2={y(heat.working) + 4} stroke={flameColour(heat.working)} strokeWidth={9} opacity={0.9} />
          <path
            d={`M${x(i) - head} ${y(heat.working) + 8} L${x(i)} ${y(heat.working) - 8} L${x(i) + head} ${y(heat.working) + 8} Z`}
            fill={flameColour(heat.working)}
          />
          <text
            x={x(i)}
            y={bottom + 20}
            textAnchor="middle"
            fontSize={heats.length > 5 ? 11.5 : 13}
            fontWeight={600}
            fill="var(--color-ink)"
          >
            {heatTitle(plan, i, isCramped)}
          </text>
        </g>
      ))}
      {grades.map(({ heat, text, row }) => (
        <text key={heat} x={x(heat)} y={bottom + 37 + under + row * ROW} textAnchor="middle" fontSize={12} fill="var(--color-soft)">
          {text}
          {!isCramped && plan.joints.some(({ id, pinned }) => pinned && heats[heat]!.joints.includes(id)) ? ladderDrawingText.pinned : ""}
        </text>
      ))}
      {isCramped
        ? tagged.map(({ joint, heat, aside, row }) => (
            <Tag
              key={joint}
              joint={joint}
              letter={letterOf(plan, joint)}
              cx={x(heat) + aside}
              cy={bottom + 34 + row * TAG.cramped.step}
              size="cramped"
            />
          ))
        : ladder.bands.map((band) => <Tags key={band.joint} band={band} among={ladder.bands} x={x} y={y} />)}
      {ladder.disturbed.map(({ heat, band, what }, i) => {
        const colour = what === "runs" ? "var(--color-bad)" : "var(--color-warn)";
        const above = ladder.disturbed.slice(0, i).filter((other) => other.heat === heat && other.band.runs === band.runs).length;
        return (
          <g key={`${heat}${band.joint}`}>
            <rect
              x={x(heat) - mark}
              y={y(band.runs)}
              width={2 * mark}
              height={Math.max(4, y(band.gives) - y(band.runs))}
              fill="none"
              stroke={colour}
              strokeWidth={2.5}
            />
            <text
              x={x(heat)}
              y={y(band.gives) + 20 + 15 * above}
              textAnchor="middle"
              fontSize={13}
              fontWeight={660}
              fill={colour}
              paintOrder="stroke"
              stroke="var(--color-white)"
              strokeWidth={4}
            >
              {band.letter} {what === "runs" ? ladderDrawingText.runsAgain : ladderDrawingText.softens}
            </text>
          </g>
        );
      })}
      {heats.map((heat, i) => (
        <text
          key={i}
          x={x(i)}
          y={y(heat.working) - 14}
          textAnchor="middle"
          fontSize={15}
          fontWeight={700}
          paintOrder="stroke"
          stroke="var(--color-white)"
          strokeWidth={4}
          fill="var(--color-ink)"
        >
          {isCramped && heats[i - 1]?.working === heat.working ? "" : `${showTemperature(heat.working, units)}°`}
        </text>
      ))}
    </svg>
  );
}

const LINE = 15;

/** What each band's edges are, beside them, pushed apart where they would cover each other. */
function gradeLabels({ grades }: Ladder, y: Linear, units: Units, isNarrow: boolean): { text: string; at: number; from: number }[] {
  const labels = grades
    .flatMap(({ id, gives, runs }) => [
      { text: ladderDrawingText.gradeRuns(gradeName(id), showTemperature(runs, units)), from: y(runs) },
      ...(gives < runs && !isNarrow
        ? [{ text: ladderDrawingText.gradeSoftens(gradeName(id), showTemperature(gives, units)), from: y(gives) }]
        : []),
    ])
    .sort((a, b) => a.from - b.from);
  let last = -Infinity;
  return labels.map((label) => {
    last = Math.max(label.from, last + LINE);
    return { ...label, at: last };
  });
}

/** "3 Wall to plate", cut short where there are many heats. */
function heatTitle(plan: Plan, i: number, isCramped: boolean): string {
  const joints = plan.heats[i]!.joints;
  const first = capital(namesIn(plan).joint(joints[0]!));
  return isCramped ? `${i + 1}` : `${i + 1} ${first}${joints.length > 1 ? ` + ${joints.length - 1}` : ""}`;
}

function described(plan: Plan, ladder: Ladder): string {
  const names = namesIn(plan);
  const heats = plan.heats.map((heat, i) =>
    ladderDrawingText.heatDegreesC(i + 1, names.joints(heat.joints).join(" and "), flameName(heat), heat.working),
  );
  const moves = ladder.disturbed.map(({ heat, band, what }) => ladderDrawingText.inHeat(names.joint(band.joint), what, heat + 1));
  return ladderDrawingText.heats(heats.join("; "), moves.join("; ") || ladderDrawingText.everyJointHolds);
}

const FLAMES = scaleLinear<string>()
  .domain([620, 720, 790, 960])
  .range(["var(--color-melt)", "var(--color-bad)", "var(--color-flame)", "var(--color-gather)"])
  .clamp(true);

function flameColour(working: number): string {
  return FLAMES(working);
}

interface Frame {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

type Linear = (value: number) => number;

function Axis({
  y,
  frame,
  units,
}: {
  readonly y: Linear & { domain(): number[]; range(): number[] };
  readonly frame: Frame;
  readonly units: Units;
}) {
  const inUnit = scaleLinear(
    y.domain().map((celsius) => inDegrees(celsius, units)),
    y.range(),
  );
  return inUnit.ticks(5).map((tick) => (
    <g key={tick}>
      <line x1={frame.left} x2={frame.right} y1={inUnit(tick)} y2={inUnit(tick)} stroke="var(--color-hair)" />
      <text x={frame.left - 10} y={inUnit(tick) + 4} textAnchor="end" fontSize={13} fill="var(--color-soft)">
        {tick}
      </text>
    </g>
  ));
}

function Melting({
  text,
  y,
  frame,
  isBroken,
}: {
  readonly text: string;
  readonly y: number;
  readonly frame: Frame;
  readonly isBroken: boolean;
}) {
  const before = Math.max(16, Math.min(200, frame.right - frame.left - ROOM_FOR_MELTING));
  const zigzag = isBroken ? `h${before} l8 -5 l8 10 l8 -5 H${frame.right}` : `H${frame.right}`;
  return (
    <>
      <path d={`M${frame.left} ${y} ${zigzag}`} stroke="var(--color-bad)" strokeWidth={1.4} fill="none" strokeDasharray="7 4" />
      <text x={frame.right - 4} y={y - 5} textAnchor="end" fontSize={13} fontWeight={560} fill="var(--color-bad)">
        {text}
        {isBroken ? ladderDrawingText.scaleBroken : ""}
      </text>
    </>
  );
}

function BandDrawing({ band, x, y }: { readonly band: Band; readonly x: Linear; readonly y: Linear }) {
  const [top, foot] = [y(band.runs), y(band.gives)];
  return band.stretches.map(({ from, to }, i) => (
    <g key={i}>
      <rect
        x={x(from)}
        y={top}
        width={Math.max(0, x(to) - x(from))}
        height={Math.max(1, foot - top)}
        fill="var(--color-metal-mid)"
        opacity={0.2}
      />
      <line x1={x(from)} x2={x(to)} y1={top} y2={top} stroke="var(--color-metal-edge)" strokeWidth={1.2} />
      <line x1={x(from)} x2={x(to)} y1={foot} y2={foot} stroke="var(--color-metal-edge)" strokeDasharray="2 3" />
      {i < band.stretches.length - 1 && x(1) - x(0) > ROOM_FOR_A_NAME && (
        <text x={x(to) + 4} y={top - 7} fontSize={12} fill="var(--color-soft)">
          {ladderDrawingText.notHeated}
        </text>
      )}
    </g>
  ));
}

/** A letter's box, and its step from the one before; smaller where heats stand close. */
const TAG = { usual: { box: 20, step: 24, from: 32, font: 12.5 }, cramped: { box: 15, step: 17, from: 17, font: 11 } } as const;

interface TagProps {
  readonly joint: string;
  readonly letter: string;
  readonly cx: number;
  readonly cy: number;
  readonly size: keyof typeof TAG;
}

/** A joint's letter, which lights where the joint is. */
function Tag({ joint, letter, cx, cy, size }: TagProps) {
  const { isHighlighted, handlers } = useHighlight(joint);
  const { box, font } = TAG[size];
  return (
    <g {...handlers}>
      <rect
        x={cx - box / 2}
        y={cy - box / 2}
        width={box}
        height={box}
        rx={3}
        fill={isHighlighted ? "var(--color-flame)" : "var(--color-ink)"}
      />
      <text x={cx} y={cy + 0.4 * font} textAnchor="middle" fontSize={font} fontWeight={700} fill="var(--color-white)">
        {letter}
      </text>
    </g>
  );
}

/** The joint's letter at the start of each stretch; letters of bands at the same height stand side by side, those that do not fit under the others. */
function Tags({ band, among, x, y }: { readonly band: Band; readonly among: readonly Band[]; readonly x: Linear; readonly y: Linear }) {
  const tag = TAG.usual;
  const between = (y(band.runs) + y(band.gives)) / 2;
  return band.stretches.map(({ from, to }, i) => {
    const before = among
      .slice(0, among.indexOf(band))
      .filter(
        (other) =>
          other.runs === band.runs &&
          other.stretches.some((each) => Math.abs(each.from - from) < 0.01 || (each.from < from && from < each.to)),
      ).length;
    const start = x(from) + (from % 1 === 0 ? tag.from : 0.63 * tag.from);
    const fits = Math.max(1, Math.floor((x(to) - start + tag.step / 2) / tag.step));
    const cx = start + (before % fits) * tag.step;
    const level = between + Math.floor(before / fits) * tag.step;
    return <Tag key={i} joint={band.joint} letter={band.letter} cx={cx} cy={level} size="usual" />;
  });
}
