"use client";

import { memo, useLayoutEffect, useRef, useState } from "react";
import { type LossKind } from "@/core/piece/bench";
import { type Learned } from "@/core/piece/ledger";
import { type Box, type Curve, boxOf } from "@/core/geometry/curve";
import { outward } from "@/core/geometry/outline";
import { type Stone, outlineOf } from "@/core/stone/stone";
import { type Piece } from "@/core/piece/piece";
import { Millimetres, Shape } from "@/ui/Drawing";
import { stoneTint } from "@/ui/stone-tint";
import { useRowsInView } from "@/ui/useRowsInView";
import { dayParts, dayText } from "@/words/dates";
import { type Units, showLength } from "@/words/show";
import { type Entry } from "./entries";
import { LossBar, LossLines, type LossScale } from "./LossRule";
import { ledgerRowsText } from "@/words/screens/ledger";

const ROW = { wide: 32, narrow: 96 } as const;
const BEYOND = 8;
/** px to a mm of the small stones. */
const STONE_SCALE = 1.5;

interface Props {
  readonly entries: readonly Entry[];
  readonly learned: Learned | null;
  readonly outliers: ReadonlySet<string>;
  readonly x: LossScale;
  readonly chart: number;
  readonly isWide: boolean;
  readonly isByDate: boolean;
  readonly units: Units;
  readonly onOpen: (make: string) => void;
  /** Makes chosen to stand side by side. */
  readonly chosen: ReadonlySet<string>;
  readonly onChoose: (make: string) => void;
}

/** A line a making; what is not in view is not made. */
export function LedgerRows({ entries, learned, outliers, x, chart, isWide, isByDate, units, onOpen, chosen, onChoose }: Props) {
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current!.getBoundingClientRect().top + window.scrollY), [isWide]);
  const { shown } = useRowsInView({
    count: entries.length,
    height: isWide ? ROW.wide : ROW.narrow,
    beyond: BEYOND,
    top,
    keyOf: (i) => entries[i]!.make.id,
  });
  return (
    <div ref={list} role="rowgroup" className="relative" style={{ height: entries.length * (isWide ? ROW.wide : ROW.narrow) }}>
      {shown.map(({ index, key, start }) => (
        <div
          key={key}
          role="presentation"
          className="absolute inset-x-0 [contain:size_layout_style]"
          style={{ transform: `translateY(${start - top}px)`, height: isWide ? ROW.wide : ROW.narrow }}
        >
          <Line
            entry={entries[index]!}
            day={dayOf(entries[index]!, isByDate ? entries[index - 1] : undefined)}
            learned={learned}
            isFar={outliers.has(entries[index]!.make.id)}
            x={x}
            chart={chart}
            isWide={isWide}
            units={units}
            onOpen={onOpen}
            isChosen={chosen.has(entries[index]!.make.id)}
            onChoose={onChoose}
          />
        </div>
      ))}
    </div>
  );
}

type Day = ReturnType<typeof dayParts>;

/** Month and year stand where they change; all of it where lines do not follow each other by date. */
function dayOf({ make }: Entry, before: Entry | undefined): Day {
  const at = dayParts(make.started);
  const was = before && dayParts(before.make.started);
  if (was?.year !== at.year) return at;
  return { year: "", month: was.month === at.month ? "" : at.month, day: at.day };
}

interface LineProps extends Pick<Props, "x" | "chart" | "isWide" | "units" | "onOpen" | "onChoose"> {
  readonly isChosen: boolean;
  readonly entry: Entry;
  readonly day: Day;
  readonly learned: Learned | null;
  readonly isFar: boolean;
}

export const COLUMNS = "grid-cols-[96px_62px_minmax(92px,1fr)_minmax(76px,1.5fr)_96px_64px_60px_46px_60px_52px]";

const Line = memo(
  function Line({ entry, day, learned, isFar, x, chart, isWide, units, onOpen, isChosen, onChoose }: LineProps) {
    const { make, piece, note, metals, wanted, reached, minutes, lost } = entry;
    const loss = learned ? lost[learned.kind] : undefined;
    const isOther = loss !== undefined && loss.method !== learned?.method;
    const left = isOther ? "other" : isFar ? "far" : null;
    const why = isOther
      ? ledgerRowsText.countedSeparately(loss.method || ledgerRowsText.noMethodGiven)
      : isFar
        ? ledgerRowsText.leftOut(note === "" ? "" : `: ${note}`)
        : "";
    const shown = (of: LossKind) => (lost[of] === undefined ? "–" : showLength(lost[of].value, "measured", units));
    const name = (
      <button
        type="button"
        onClick={() => onOpen(make.id)}
        title={piece.name}
        className="tap block max-w-full truncate text-left font-strong hover:underline max-lg:min-h-touch"
      >
        {piece.name}
        {make.finished === null && <span className="ml-1.5 text-xs font-normal text-accent">{ledgerRowsText.underWay}</span>}
      </button>
    );
    const bar =
      loss === undefined ? (
        <span className="pl-2 text-xs text-soft">
          {learned?.kind === "hoop.length" && piece.carrier.type !== "hoop" ? ledgerRowsText.noHoop : ledgerRowsText.notMeasured}
        </span>
      ) : (
        <LossBar value={loss.value} x={x} width={chart} units={units} left={left} why={why} />
      );
    if (!isWide) {
      return (
        <div role="row" className="grid h-full grid-cols-[44px_62px_1fr_auto] items-center gap-x-2 border-t border-hair px-3.5 text-sm">
          <span role="cell" className="leading-tight">
            <b>{day.month}</b> {day.day} {day.year && <small className="block text-xs text-soft">{day.year}</small>}
          </span>
          <span role="cell">
            <Stones piece={piece} />
          </span>
          <span role="cell" className="min-w-0">
            {name}
            <small className="block truncate max-lg:-mt-2 text-xs text-soft">{note || metals.join(", ")}</small>
          </span>
          <span role="cell" className="text-right leading-tight">
            {wanted && <span className="block text-xs text-soft">{wanted}</span>}
            <b>{reached}</b>
          </span>
          <span role="cell" className="relative col-span-4 -mt-1">
            {learned && <LossLines learned={learned} x={x} />}
            <span className="relative block">{bar}</span>
          </span>
        </div>
      );
    }
    return (
      <div role="row" className="relative flex h-full items-center border-t border-hair">
        <span role="cell" className="absolute inset-y-0 left-0 flex">
          <label className="grid w-7.5 place-items-center" title={ledgerRowsText.compareSideBySide}>
            <input
              type="checkbox"
              checked={isChosen}
              aria-label={ledgerRowsText.compare(piece.name, dayText(make.started))}
              onChange={() => onChoose(make.id)}
              className="h-3.5 w-3.5 accent-accent"
            />
          </label>
        </span>
        <div className={`grid min-w-0 flex-1 items-center pl-7 text-sm ${COLUMNS} [&>*:nth-child(n+6)]:text-right [&>*]:whitespace-nowrap`}>
          <span role="cell">
            <b className="inline-block w-19">
              {day.month} {day.year && <span className="text-xs font-light text-soft">{day.year}</span>}
            </b>
            {day.day}
          </span>
          <span role="cell">
            <Stones piece={piece} />
          </span>
          <span role="cell" className="min-w-0">
            {name}
          </span>
          <span role="cell" className="min-w-0 px-2">
            {note && (
              <button
                type="button"
                title={note}
                aria-label={ledgerRowsText.openNote(note)}
                onClick={() => onOpen(make.id)}
                className="tap block max-w-full truncate text-left text-sm text-soft hover:underline"
              >
                {note}
              </button>
            )}
          </span>
          <span role="cell" title={metals.join(", ")} className="truncate text-sm text-soft">
            {metals.map((metal) => metal.replace(" silver", "")).join(", ")}
          </span>
          <span role="cell">{wanted || "–"}</span>
          <span role="cell" className="font-strong">
            {reached || "–"}
          </span>
          <span role="cell">{shown("wall.length")}</span>
          <span role="cell">{minutes ?? "–"}</span>
          <span role="cell" className="pr-1.5 font-strong">
            {shown("hoop.length")}
          </span>
        </div>
        <div role="cell" className="relative shrink-0" style={{ width: chart }}>
          {bar}
        </div>
      </div>
    );
  },
  (a, b) =>
    a.entry === b.entry &&
    a.day.month === b.day.month &&
    a.day.day === b.day.day &&
    a.day.year === b.day.year &&
    a.learned === b.learned &&
    a.isChosen === b.isChosen &&
    a.isFar === b.isFar &&
    a.x === b.x &&
    a.isWide === b.isWide &&
    a.units === b.units,
);

interface DrawnStone {
  readonly curve: Curve;
  readonly box: Box;
}

/** Most makings are of a few stones that are set again and again: what they look like is worked out once for each. */
const drawnStones = new Map<string, DrawnStone>();
const MOST_DRAWN = 400;

function drawnStone(stone: Stone): DrawnStone {
  const key = JSON.stringify([stone.outline, stone.measuredPerimeter]);
  const known = drawnStones.get(key);
  if (known) return known;
  const curve = outward(outlineOf(stone).outline, 0).curve();
  const made = { curve, box: boxOf(curve) };
  if (drawnStones.size >= MOST_DRAWN) drawnStones.clear();
  drawnStones.set(key, made);
  return made;
}

/** Its stones, to one scale with all others of the list as far as they fit a line. */
function Stones({ piece }: { readonly piece: Piece }) {
  const stones = piece.mounts.slice(0, 2).map(({ stone }) => ({ ...drawnStone(stone), colour: stoneTint(stone.material?.name ?? "")[1] }));
  const widths = stones.map(({ box }) => box.right - box.left + 1);
  const wide = widths.reduce((all, each) => all + each, 0);
  const tall = Math.max(...stones.map(({ box }) => box.high - box.low));
  const perMm = Math.min(STONE_SCALE, 54 / wide, 28 / tall);
  return (
    <svg width={56} height={30} aria-hidden="true" className="block">
      {stones.map(({ curve, box, colour }, i) => {
        const before = widths.slice(0, i).reduce((all, each) => all + each, 0);
        const x = 28 + (before - (wide - 1) / 2 - box.left) * perMm;
        return (
          <Millimetres key={i} x={x} y={15 + ((box.high + box.low) / 2) * perMm} scale={{ times: 1, perMm }}>
            <Shape curve={curve} fill={colour} stroke="var(--color-metal-mid)" strokeWidth={1.2} />
          </Millimetres>
        );
      })}
    </svg>
  );
}
