"use client";

import { sheetEdge } from "@/core/cutting/sheet";
import { Millimetres, Shape } from "@/ui/Drawing";
import { sourceText } from "@/words/cuts";
import { formText } from "@/words/kit";
import { metalText } from "@/words/screens/metal";
import { type Units, showLength, withUnit } from "@/words/show";
import { HEAD, type SheetBox, isItem } from "./drawer-layout";

interface Props {
  readonly box: SheetBox;
  readonly perMm: number;
  readonly units: Units;
}

/** Less room than this has no size written in it (pixels). */
const NAMED = 84;

/** A sheet with what was taken out of it before, what is spoiled of it and what stays. */
export function SheetDrawn({ box: { each, form, alike, x, top, foot, length, width }, perMm, units }: Props) {
  const outline = (isItem(each) ? each.outline : each.sheet.outline) ?? null;
  const taken = (isItem(each) ? each.taken : each.sheet.taken) ?? [];
  const edge = sheetEdge({ length, width, outline });
  const isBought = !isItem(each) && each.stock === null;
  const remainder = isItem(each) ? null : each.remainder;
  const isKept = !isItem(each) && each.goesBack;
  const onScreen = edge.map(([px, py]) => `${x + px * perMm},${foot - py * perMm}`).join(" ");
  return (
    <g>
      <text x={x} y={top - HEAD + 13} fontSize={12.5} fontWeight={600} fill="var(--color-ink)">
        {formText(form, units)}
      </text>
      <text x={x} y={top - HEAD + 28} fontSize={12} fill={isBought ? "var(--color-warn)" : "var(--color-soft)"}>
        {`${showLength(length, "measured", units)} × ${withUnit(width, "measured", units)}`}
        {isBought ? `, ${sourceText({ stock: null, item: 1 })}` : ""}
        {isItem(each) ? `, ${metalText.notTouched(alike)}` : ""}
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
      </Millimetres>
      {!isItem(each) && !isKept && <polygon points={onScreen} fill="url(#spoiled)" pointerEvents="none" />}
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
