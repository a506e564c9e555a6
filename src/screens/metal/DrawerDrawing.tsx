"use client";

import { type ReactNode } from "react";
import { type Curve, boxOf } from "@/core/geometry/curve";
import { type Point } from "@/core/geometry/outline";
import { placedCurve } from "@/core/geometry/placed";
import { type CutsPlan, type PlannedLength, type PlannedSheet, sawLine } from "@/core/cutting/plan-cuts";
import { type Wanted } from "@/core/cutting/wanted";
import { MM_PER_INCH } from "@/core/measure/reading";
import { type StockItem, cutStockOf, sheetSides } from "@/core/metal/stock";
import { METALS } from "@/core/metal/metals";
import { LETTER, MetalFill, Millimetres, NARROW, Shape } from "@/ui/Drawing";
import { useHighlight } from "@/ui/highlight";
import { leftText, shortForm, sourceText } from "@/words/cuts";
import { formText } from "@/words/kit";
import { metalText } from "@/words/screens/metal";
import { type Units, showLength, withUnit } from "@/words/show";

interface Props {
  readonly plan: CutsPlan;
  readonly stock: readonly StockItem[];
  readonly width: number;
  readonly units: Units;
  readonly nameOf: (piece: string) => string;
  readonly colourOf: (piece: string) => string;
}

/** Room for what lengths are called: at their left, or over them where the drawing is narrow; and past their ends for what is left (pixels). */
const LABEL = 172;
const OVER = 16;
const END = 150;
/** Over a sheet, between things, and the height of a length (pixels). */
const HEAD = 34;
const GAP = 18;
const ROW = 34;
const BAR = 20;
const RULE = 44;
const MARGIN = 16;
/** Of a length that goes on past its last cut so much is drawn (mm), and no scale is larger (pixels a mm). */
const PAST = 18;
const LARGEST = 7;
const LEAST = 1.5;
/** Less room than this has no size written in it (pixels); a length takes so many letters. */
const NAMED = 84;
const NUMBER = 7;

/** Everything that is cut, from the drawer and what is bought, at true proportion and to one scale; under it a rule. */
export function DrawerDrawing({ plan, stock, width, units, nameOf, colourOf }: Props) {
  const sheets = [...plan.sheets, ...untouched(stock, plan.sheets, "sheet")];
  const lengths = [...plan.lengths, ...untouched(stock, plan.lengths, "length")];
  const longest = Math.max(60, ...lengths.map(shownLength), ...sheets.map((each) => sidesOf(each).length));
  const isNarrow = width < NARROW;
  const left = isNarrow ? MARGIN : LABEL;
  const row = isNarrow ? ROW + OVER : ROW;
  const perMm = Math.max(LEAST, Math.min(LARGEST, (width - left - (isNarrow ? MARGIN : END)) / longest));
  const flats = flow(sheets, perMm, width);
  const top = flats.height + (lengths.length > 0 ? GAP : 0);
  const height = top + lengths.length * row + RULE;
  const told = { units, nameOf, colourOf };
  return (
    <svg width={width} height={height} role="group" aria-label={metalText.drawing} className="block">
      <defs>
        <MetalFill />
        <pattern id="spoiled" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" stroke="var(--color-warn)" strokeWidth={1} opacity={0.45} />
        </pattern>
      </defs>
      {sheets.map((each, i) => (
        <SheetDrawn key={i} each={each} x={flats.at[i]![0]} y={flats.at[i]![1]} perMm={perMm} {...told} />
      ))}
      {lengths.map((each, i) => (
        <LengthDrawn
          key={i}
          each={each}
          left={left}
          y={top + i * row + (isNarrow ? OVER : 0)}
          isNarrow={isNarrow}
          perMm={perMm}
          {...told}
        />
      ))}
      <ScaleRule left={left} y={top + lengths.length * row} perMm={perMm} width={width} units={units} />
    </svg>
  );
}

type Whole<Planned> = Planned | StockItem;

/** What lies in the drawer and is not begun. */
function untouched(
  stock: readonly StockItem[],
  begun: readonly { readonly stock: StockItem | null }[],
  kind: "sheet" | "length",
): StockItem[] {
  return stock.filter(
    (item) => (item.form === "sheet") === (kind === "sheet") && item.count > begun.filter((each) => each.stock?.id === item.id).length,
  );
}

function isItem(each: Whole<PlannedLength> | Whole<PlannedSheet>): each is StockItem {
  return "metal" in each;
}

function sidesOf(each: Whole<PlannedSheet>): { readonly length: number; readonly width: number } {
  return isItem(each) ? sheetSides(each) : each.sheet;
}

/** How much of a length is drawn: all of it, or of a coil and what is bought its cuts and a little more. */
function shownLength(each: Whole<PlannedLength>): number {
  const goesOn = isItem(each) ? each.coil : (each.stock?.coil ?? each.stock === null);
  if (!goesOn) return each.length;
  const last = isItem(each) ? undefined : each.cuts.at(-1);
  return Math.min(each.length, (last ? last.at + last.length : 0) + PAST);
}

/** Where sheets lie, side by side in rows. */
function flow(sheets: readonly Whole<PlannedSheet>[], perMm: number, width: number) {
  const at: (readonly [number, number])[] = [];
  let [x, y, tallest] = [MARGIN, 0, 0];
  for (const each of sheets) {
    const { length, width: wide } = sidesOf(each);
    const [long, tall] = [Math.max(length * perMm, LABEL), wide * perMm + HEAD];
    if (x > MARGIN && x + long > width - MARGIN) [x, y, tallest] = [MARGIN, y + tallest + GAP, 0];
    at.push([x, y]);
    x += long + GAP;
    tallest = Math.max(tallest, tall);
  }
  return { at, height: y + tallest };
}

interface Told {
  readonly units: Units;
  readonly nameOf: (piece: string) => string;
  readonly colourOf: (piece: string) => string;
  readonly perMm: number;
}

function SheetDrawn({
  each,
  x,
  y,
  perMm,
  units,
  nameOf,
  colourOf,
}: Told & { readonly each: Whole<PlannedSheet>; readonly x: number; readonly y: number }) {
  const { length, width } = sidesOf(each);
  const form = isItem(each) ? { metal: each.metal, stock: cutStockOf(each) } : each.form;
  const outline = isItem(each) ? each.outline : each.sheet.outline;
  const taken = (isItem(each) ? each.taken : each.sheet.taken) ?? [];
  const edge: readonly Point[] = outline ?? [
    [0, 0],
    [length, 0],
    [length, width],
    [0, width],
  ];
  const [top, foot] = [y + HEAD, y + HEAD + width * perMm];
  const isBought = !isItem(each) && each.stock === null;
  const remainder = isItem(each) ? null : each.remainder;
  const isKept = !isItem(each) && each.goesBack;
  const onScreen = (points: readonly Point[]) => points.map(([px, py]) => `${x + px * perMm},${foot - py * perMm}`).join(" ");
  return (
    <g>
      <text x={x} y={y + 13} fontSize={12.5} fontWeight={600} fill="var(--color-ink)">
        {formText(form, units)}
      </text>
      <text x={x} y={y + 28} fontSize={12} fill={isBought ? "var(--color-warn)" : "var(--color-soft)"}>
        {`${showLength(length, "measured", units)} × ${withUnit(width, "measured", units)}`}
        {isBought ? `, ${sourceText({ stock: null, item: 1 })}` : ""}
        {isItem(each) ? `, ${metalText.notTouched}` : ""}
      </text>
      <Millimetres x={x} y={foot} scale={{ perMm, times: 1 }}>
        <Shape
          points={edge}
          fill="url(#metal)"
          stroke="var(--color-shade)"
          strokeWidth={1}
          strokeDasharray={isBought ? "5 4" : undefined}
          opacity={isItem(each) ? 0.55 : 1}
        />
        {taken.map((hole, i) => (
          <Shape key={i} points={hole} fill="var(--color-paper)" stroke="var(--color-shade)" strokeWidth={1} />
        ))}
        {!isItem(each) &&
          each.placed.map(({ wanted, x: px, y: py, turn }, i) => (
            <Blank key={i} wanted={wanted} name={nameOf(wanted.piece)}>
              <Shape
                curve={placedCurve(sawLine(wanted), { at: [px, py], turn })}
                fill={colourOf(wanted.piece)}
                fillOpacity={0.28}
                stroke={colourOf(wanted.piece)}
                strokeWidth={1.5}
                lights={`piece ${wanted.piece}`}
              />
            </Blank>
          ))}
      </Millimetres>
      {!isItem(each) &&
        each.placed.map(({ wanted, x: px, y: py, turn }, i) => {
          const { middle, wide } = middleOf(placedCurve(sawLine(wanted), { at: [px, py], turn }));
          if (wide * perMm < firstWord(nameOf(wanted.piece)).length * LETTER) return null;
          return (
            <text
              key={i}
              x={x + middle[0] * perMm}
              y={foot - middle[1] * perMm + 4}
              textAnchor="middle"
              fontSize={12}
              fontWeight={600}
              fill="var(--color-ink)"
              pointerEvents="none"
            >
              {firstWord(nameOf(wanted.piece))}
            </text>
          );
        })}
      {!isItem(each) && !isKept && <polygon points={onScreen(edge)} fill="url(#spoiled)" pointerEvents="none" />}
      {isKept && remainder && !outline && (
        <g pointerEvents="none">
          <rect
            x={x + (length - remainder.length) * perMm}
            y={top + 1}
            width={Math.max(0, remainder.length * perMm - 1)}
            height={width * perMm - 2}
            fill="var(--color-accent-wash)"
            fillOpacity={0.75}
            stroke="var(--color-accent)"
            strokeDasharray="5 4"
          />
          <text
            x={x + (length - remainder.length / 2) * perMm}
            y={top + (width * perMm) / 2}
            textAnchor="middle"
            fontSize={12}
            fill="var(--color-accent-deep)"
          >
            {remainder.length * perMm > NAMED &&
              `${showLength(remainder.clear[0], "measured", units)} × ${showLength(remainder.clear[1], "measured", units)}`}
          </text>
        </g>
      )}
    </g>
  );
}

interface LengthProps extends Told {
  readonly each: Whole<PlannedLength>;
  readonly left: number;
  readonly y: number;
  readonly isNarrow: boolean;
}

/** Room for a form, before its metal is said in the same line (pixels). */
const AFTER_FORM = 130;

function LengthDrawn({ each, left, y, isNarrow, perMm, units, nameOf, colourOf }: LengthProps) {
  const form = isItem(each) ? { metal: each.metal, stock: cutStockOf(each) } : each.form;
  const shown = shownLength(each);
  const isBought = !isItem(each) && each.stock === null;
  const cuts = isItem(each) ? [] : each.cuts;
  const end = cuts.length === 0 ? 0 : cuts.at(-1)!.at + cuts.at(-1)!.length;
  const goesOn = shown < each.length;
  const beside = { x: left - 8, textAnchor: "end" } as const;
  return (
    <g>
      <text
        {...(isNarrow ? { x: left, y: y - 5 } : { ...beside, y: y + BAR / 2 - 1 })}
        fontSize={11.5}
        fontWeight={600}
        fill="var(--color-ink)"
      >
        {shortForm(form, units)}
      </text>
      <text
        {...(isNarrow ? { x: left + AFTER_FORM, y: y - 5 } : { ...beside, y: y + BAR / 2 + 12 })}
        fontSize={11}
        fill={isBought ? "var(--color-warn)" : "var(--color-soft)"}
      >
        {`${METALS[form.metal].name}, ${withUnit(each.length, "measured", units)}`}
        {isBought ? `, ${sourceText({ stock: null, item: 1 })}` : ""}
      </text>
      <rect
        x={left}
        y={y}
        width={shown * perMm}
        height={BAR}
        fill="url(#metal)"
        stroke="var(--color-shade)"
        strokeDasharray={isBought ? "5 4" : undefined}
        opacity={isItem(each) ? 0.55 : 1}
      />
      {cuts.map(({ wanted, length, at }, i) => (
        <Blank key={i} wanted={wanted} name={`${nameOf(wanted.piece)}, ${withUnit(length, "measured", units)}`}>
          <LengthCut x={left + at * perMm} y={y} width={length * perMm} colour={colourOf(wanted.piece)} piece={wanted.piece} />
          {length * perMm > (firstWord(nameOf(wanted.piece)).length + NUMBER) * LETTER && (
            <text x={left + at * perMm + 6} y={y + BAR / 2 + 4} fontSize={12} fill="var(--color-ink)" pointerEvents="none">
              <tspan fontWeight={600}>{firstWord(nameOf(wanted.piece))}</tspan> {showLength(length, "measured", units)}
            </text>
          )}
        </Blank>
      ))}
      {!isItem(each) && !each.goesBack && each.left > 0 && (
        <rect x={left + end * perMm} y={y} width={Math.max(0, shown - end) * perMm} height={BAR} fill="url(#spoiled)" />
      )}
      <text
        x={left + shown * perMm + 8}
        y={y + BAR / 2 + 4}
        fontSize={12}
        fill={isItem(each) || each.goesBack ? "var(--color-soft)" : "var(--color-warn)"}
      >
        {goesOn ? "… " : ""}
        {isItem(each) ? metalText.notTouched : leftText(each, units)}
      </text>
    </g>
  );
}

function LengthCut({
  x,
  y,
  width,
  colour,
  piece,
}: {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly colour: string;
  readonly piece: string;
}) {
  const { isHighlighted } = useHighlight(`piece ${piece}`);
  return (
    <rect
      x={x}
      y={y}
      width={width}
      height={BAR}
      fill={colour}
      fillOpacity={isHighlighted ? 0.6 : 0.28}
      stroke={colour}
      strokeWidth={isHighlighted ? 2.5 : 1.5}
    />
  );
}

/** A blank that says whose it is, and lights its piece when it has the focus. */
function Blank({ wanted, name, children }: { readonly wanted: Wanted; readonly name: string; readonly children: ReactNode }) {
  const { handlers } = useHighlight(`piece ${wanted.piece}`);
  return (
    <g role="img" tabIndex={0} aria-label={name} {...handlers}>
      <title>{name}</title>
      {children}
    </g>
  );
}

interface RuleProps {
  readonly left: number;
  readonly y: number;
  readonly perMm: number;
  readonly width: number;
  readonly units: Units;
}

/** Ticks of a rule: of ten millimetres, or of half an inch. */
function ScaleRule({ left, y, perMm, width, units }: RuleProps) {
  const step = units.length === "inch" ? MM_PER_INCH / 2 : 10;
  const count = Math.max(0, Math.floor((width - left - MARGIN) / (step * perMm)));
  return (
    <g>
      <rect x={left} y={y + 4} width={width - left - MARGIN} height={RULE - 8} fill="var(--color-sheet)" stroke="var(--color-line)" />
      {Array.from({ length: count + 1 }, (_, i) => (
        <g key={i}>
          <line
            x1={left + i * step * perMm}
            x2={left + i * step * perMm}
            y1={y + 4}
            y2={y + (i % 2 === 0 ? 18 : 12)}
            stroke="var(--color-ink)"
          />
          {i % 2 === 0 && (
            <text x={left + i * step * perMm + 3} y={y + RULE - 10} fontSize={13} fontWeight={600} fill="var(--color-ink)">
              {units.length === "inch" ? i / 2 : i * 10}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

function middleOf(curve: Curve): { readonly middle: Point; readonly wide: number } {
  const { left, right, low, high } = boxOf(curve);
  return { middle: [(left + right) / 2, (low + high) / 2], wide: right - left };
}

function firstWord(name: string): string {
  return name.split(" ")[0]!;
}
