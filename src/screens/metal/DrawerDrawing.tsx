"use client";

import { type KeyboardEvent } from "react";
import { MM_PER_INCH } from "@/core/measure/reading";
import { MetalFill } from "@/ui/Drawing";
import { metalText } from "@/words/screens/metal";
import { blankSize } from "@/words/cuts";
import { type Units } from "@/words/show";
import { BlankDrawn } from "./BlankDrawn";
import { type BlankBox, type DrawerLayout, MARGIN, RULE, isSheetBox } from "./drawer-layout";
import { LengthDrawn } from "./LengthDrawn";
import { SheetDrawn } from "./SheetDrawn";
import { type Move, TURN, dragged, nudged, onNext, turned } from "./moving";

interface Props {
  readonly layout: DrawerLayout;
  readonly width: number;
  readonly units: Units;
  readonly nameOf: (piece: string) => string;
  readonly colourOf: (piece: string) => string;
  readonly chosen: string | null;
  readonly onChoose: (blank: string) => void;
  /** Says whether it lies elsewhere now. */
  readonly onMove: (move: Move) => boolean;
  /** Pins a blank where it lies, or lets it go. */
  readonly onPin: (blank: BlankBox) => void;
}

/** mm that an arrow key moves a blank by, with Alt, and with Shift. */
const [STEP, FINE, COARSE] = [1, 0.1, 5];
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
const NEXT: Readonly<Record<string, 1 | -1>> = { PageDown: 1, PageUp: -1 };
const NEXT_LENGTH: Readonly<Record<string, 1 | -1>> = { ...NEXT, ArrowDown: 1, ArrowUp: -1 };

/** Everything that is cut, from the drawer and what is bought, at true proportion and to one scale; under it a rule. */
export function DrawerDrawing({ layout, width, units, nameOf, colourOf, chosen, onChoose, onMove, onPin }: Props) {
  const { perMm, height, sheets, lengths, blanks, isNarrow, ruleAt } = layout;
  const onKey = (blank: BlankBox, event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey) return;
    if (event.key === "Enter" || event.key === " " || event.key === "p") onPin(blank);
    else {
      const move = moveOf(layout, blank, event);
      if (move === undefined) return;
      onMove(move);
    }
    event.preventDefault();
  };
  return (
    <svg width={width} height={height} role="group" aria-label={metalText.drawing} className="block">
      <defs>
        <MetalFill />
        <pattern id="spoiled" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" stroke="var(--color-warn)" strokeWidth={1} opacity={0.45} />
        </pattern>
      </defs>
      {sheets.map((box, i) => (
        <SheetDrawn key={i} box={box} perMm={perMm} units={units} />
      ))}
      {lengths.map((row, i) => (
        <LengthDrawn key={i} row={row} isNarrow={isNarrow} perMm={perMm} units={units} />
      ))}
      <ScaleRule {...ruleAt} perMm={perMm} width={width} units={units} />
      {blanks.map((blank) => (
        <BlankDrawn
          key={blank.id}
          {...{ blank, perMm, units }}
          name={nameOf(blank.wanted.piece)}
          label={labelOf(blank, nameOf, units)}
          colour={colourOf(blank.wanted.piece)}
          isChosen={blank.id === chosen}
          onChoose={() => onChoose(blank.id)}
          onDrop={(by, pointer) => onMove(dragged(layout, blank, by, pointer))}
          onKey={(event) => onKey(blank, event)}
        />
      ))}
    </svg>
  );
}

/** What a key does to a blank; undefined where it does nothing. */
function moveOf(layout: DrawerLayout, blank: BlankBox, { key, altKey, shiftKey }: KeyboardEvent): Move | undefined {
  const next = (isSheetBox(blank.on) ? NEXT : NEXT_LENGTH)[key];
  if (next) return onNext(layout, blank, next);
  if (!isSheetBox(blank.on)) return undefined;
  if (key.toLowerCase() === "r") return turned(layout, blank, shiftKey ? -TURN : TURN);
  const way = WAYS[key];
  const step = altKey ? FINE : shiftKey ? COARSE : STEP;
  return way && nudged(blank, [way[0] * step, way[1] * step]);
}

/** "Tern ring, 59.15 mm" */
export function labelOf({ wanted }: BlankBox, nameOf: (piece: string) => string, units: Units): string {
  return `${nameOf(wanted.piece)}, ${blankSize(wanted, units)}`;
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
