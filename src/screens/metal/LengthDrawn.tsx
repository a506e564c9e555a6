"use client";

import { METALS } from "@/core/metal/metals";
import { leftText, shortForm, sourceText } from "@/words/cuts";
import { metalText } from "@/words/screens/metal";
import { type Units, withUnit } from "@/words/show";
import { BAR, type LengthRow, isItem } from "./drawer-layout";

interface Props {
  readonly row: LengthRow;
  readonly isNarrow: boolean;
  readonly perMm: number;
  readonly units: Units;
}

/** Room for a form, before its metal is said in the same line (pixels). */
const AFTER_FORM = 130;

/** A length along the rule, with what it is, and what becomes of its end. */
export function LengthDrawn({ row: { each, form, alike, left, y, shown }, isNarrow, perMm, units }: Props) {
  const isBought = !isItem(each) && each.stock === null;
  const last = isItem(each) ? undefined : each.cuts.at(-1);
  const end = last ? last.at + last.length : 0;
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
      {!isItem(each) && !each.goesBack && each.left > 0 && (
        <rect x={left + end * perMm} y={y} width={Math.max(0, shown - end) * perMm} height={BAR} fill="url(#spoiled)" />
      )}
      <text
        {...(isNarrow ? { x: left, y: y + BAR + 13 } : { x: left + shown * perMm + 8, y: y + BAR / 2 + 4 })}
        fontSize={12}
        fill={isItem(each) || each.goesBack ? "var(--color-soft)" : "var(--color-warn)"}
      >
        {goesOn ? "… " : ""}
        {isItem(each) ? metalText.notTouched(alike) : leftText(each, units)}
      </text>
    </g>
  );
}
