"use client";

import { useCallback, useId, useState } from "react";
import { oneLine } from "@/core/measure/one-line";
import { useRefused } from "./refused";
import { benchEntryFieldText } from "@/words/screens/my-bench";

interface Props {
  readonly label: string;
  readonly hint?: string | undefined;
  /** As it stands, in words; empty where the shipped default holds. */
  readonly value: string;
  /** What holds where it is left empty. */
  readonly shipped?: string;
  readonly unit?: string;
  /** Takes what was typed; returns what is wrong with it, or null. Empty text takes the default back. */
  readonly onTake: (text: string) => string | null | Promise<string | null>;
  readonly isText?: boolean;
  readonly hidesLabel?: boolean;
  /** Room for a list of numbers. */
  readonly isWide?: boolean;
}

/** One default of the bench. What is wrong in it stays as it was typed, and is said under it. */
export function BenchEntryField({ label, hint, value, shipped, unit, onTake, isText = false, hidesLabel = false, isWide = false }: Props) {
  const [typed, setTyped] = useState<{ readonly text: string; readonly problem: string | null } | null>(null);
  const id = useId();
  useRefused(
    Boolean(typed?.problem),
    useCallback(() => setTyped(null), []),
  );
  const take = async (text: string) => {
    const problem = await onTake(text);
    setTyped((now) => (now && now.text !== text ? now : problem === null ? null : { text, problem }));
  };
  return (
    <div
      className={
        hidesLabel
          ? ""
          : `grid items-center gap-x-2 border-t border-hair py-1 text-sm ${isWide ? "grid-cols-[1fr_210px]" : "grid-cols-[1fr_128px]"}`
      }
    >
      <div className={hidesLabel ? "sr-only" : "leading-tight"}>
        <label htmlFor={id}>{label}</label>
        {hint && <small className="narrow block text-xs text-soft">{hint}</small>}
      </div>
      <span className={`entry ${typed?.problem ? "entry-wrong" : ""}`}>
        <input
          id={id}
          value={typed?.text ?? value}
          placeholder={shipped}
          autoComplete="off"
          spellCheck={false}
          aria-invalid={Boolean(typed?.problem)}
          aria-describedby={typed?.problem ? `${id}-problem` : undefined}
          className={isText ? "!text-left text-sm font-medium" : ""}
          onChange={(event) => setTyped({ text: oneLine(event.target.value), problem: null })}
          onBlur={(event) => typed && void take(event.target.value)}
          onKeyDown={(event) => event.key === "Enter" && void take(event.currentTarget.value)}
        />
        {unit && <span className="text-xs font-light text-soft">{unit}</span>}
      </span>
      {typed?.problem && (
        <p id={`${id}-problem`} role="alert" className="col-span-2 pt-1 text-xs leading-snug text-bad">
          <span aria-hidden="true">◆ </span>
          {benchEntryFieldText.theBenchStillUses(typed.problem)} {value || shipped}.
        </p>
      )}
    </div>
  );
}
