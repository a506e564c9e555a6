"use client";

import { useId } from "react";
import { type HeightRule } from "@/core/mount/wall";
import { useHighlight } from "@/ui/highlight";
import { type SchoolRow } from "./view";
import { heightSchoolsText } from "@/words/screens/wall";

interface Props {
  readonly rows: readonly SchoolRow[];
  readonly chosen: HeightRule;
  readonly onChoose: (rule: HeightRule) => void;
}

/** The three schools of height side by side: what each stands, how far it reaches, and whether it holds. */
export function HeightSchools({ rows, chosen, onChoose }: Props) {
  const name = useId();
  const { handlers } = useHighlight("height");
  return (
    <div role="radiogroup" aria-label={heightSchoolsText.heightSetBy} className="grid gap-1 border-t border-hair py-1" {...handlers}>
      {rows.map(({ rule, name: label, stands, reaches, holds }) => (
        <label
          key={rule}
          className="pressed relative grid cursor-pointer grid-cols-[14px_1fr_auto] items-center gap-x-2 rounded-md px-1.5 py-1 has-checked:bg-accent-wash has-focus-visible:outline-2 has-focus-visible:outline-accent"
        >
          <input
            type="radio"
            aria-label={label}
            aria-describedby={`${name}${rule}`}
            name={name}
            value={rule}
            checked={rule === chosen}
            onChange={() => onChoose(rule)}
            className="accent-accent"
          />
          <span id={`${name}${rule}`} className="leading-tight">
            <span className="block text-sm">
              {label}{" "}
              <span className={`text-xs ${holds ? "text-soft" : "font-semibold text-bad"}`}>
                {holds ? heightSchoolsText.holds : heightSchoolsText.doesNotHold}
              </span>
            </span>
            <small className="narrow block text-xs text-soft">{reaches}</small>
          </span>
          <span className="text-base font-strong">{stands}</span>
        </label>
      ))}
    </div>
  );
}
