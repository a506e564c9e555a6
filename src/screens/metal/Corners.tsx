"use client";

import { useId } from "react";
import { type SheetLines } from "@/core/cutting/sheet-lines";
import { sheetEdge } from "@/core/cutting/sheet";
import { Millimetres, Shape } from "@/ui/Drawing";
import { useUnits } from "@/ui/tray";
import { stockFormText } from "@/words/screens/metal";
import { showLength, withUnit } from "@/words/show";
import { type ReadSheet } from "./stock-form";

interface Props {
  readonly text: string;
  readonly sheet: ReadSheet | null;
  readonly onType: (text: string) => void;
}

/** The corners of a sheet as they are typed, and what they draw. */
export function Corners({ text, sheet, onType }: Props) {
  const units = useUnits();
  const id = useId();
  return (
    <div className="col-span-2">
      <label htmlFor={id} className="block">
        {stockFormText.corners}
      </label>
      <textarea
        id={id}
        value={text}
        rows={4}
        inputMode="text"
        autoComplete="off"
        spellCheck={false}
        aria-describedby={`${id} how`}
        className="entry mt-0.5 !block h-24 w-full font-medium resize-y py-1 leading-snug"
        onChange={(event) => onType(event.target.value)}
      />
      <p id={`${id} how`} className="pt-0.5 text-xs text-soft">
        {stockFormText.cornersHow(units)}
      </p>
      {sheet?.ok && <Drawn lines={sheet.lines} />}
      {sheet && !sheet.ok && <p className="pt-1 text-xs text-warn">○ {sheet.problem}.</p>}
    </div>
  );
}

const WIDE = 372;
const HIGH = 110;

function Drawn({ lines: { length, width, outline, taken = [] } }: { readonly lines: SheetLines }) {
  const units = useUnits();
  const perMm = Math.min((WIDE - 2) / length, (HIGH - 2) / width);
  const size = `${showLength(length, "measured", units)} × ${withUnit(width, "measured", units)}`;
  const told = stockFormText.drawn(size, taken.length);
  return (
    <figure className="pt-1.5">
      <svg width={length * perMm + 2} height={width * perMm + 2} role="img" aria-label={told} className="max-w-full">
        <Millimetres x={1} y={width * perMm + 1} scale={{ perMm, times: 1 }}>
          <Shape
            points={sheetEdge({ length, width, outline: outline ?? null })}
            fill="var(--color-metal)"
            stroke="var(--color-shade)"
            strokeWidth={1}
          />
          {taken.map((hole, i) => (
            <Shape key={i} points={hole} fill="var(--color-paper)" stroke="var(--color-shade)" strokeWidth={1} />
          ))}
        </Millimetres>
      </svg>
      <figcaption className="text-xs text-soft">{told}</figcaption>
    </figure>
  );
}
