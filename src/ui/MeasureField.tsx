"use client";

import { type KeyboardEvent, useEffect, useId } from "react";
import { type NumberField } from "./fields";
import { useLit } from "./lit";
import { useSession, useSessionState } from "./session";

interface Props {
  readonly field: NumberField;
  readonly label: string;
  readonly hint?: string | undefined;
  readonly value: number | null;
  /** What of the drawing it lights; its key if left out. */
  readonly lights?: string;
  /** Two to a line, without a hint. */
  readonly isCompact?: boolean;
}

/** A number of the piece. What is typed stays as it was typed; what is wrong in it is said under it, and the plan goes on without it. */
export function MeasureField({ field, label, hint, value, lights, isCompact = false }: Props) {
  const session = useSession();
  const draft = useSessionState(({ drafts }) => drafts[field.key]);
  const isUnmeasured = useSessionState(({ unmeasured }) => unmeasured.includes(field.key));
  const { isLit, handlers } = useLit(lights ?? field.key);
  const id = useId();
  useEffect(() => session.register(field as never), [session, field]);

  const own = value === null ? "" : field.show(value);
  const shown = draft && (draft.problem !== null || saysSame(field, draft.text, value)) ? draft.text : own;
  const problem = draft?.problem ?? null;

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "ArrowUp" || event.key === "ArrowDown") {
      event.preventDefault();
      const by = (event.altKey ? field.step / 10 : field.step) * (event.key === "ArrowUp" ? 1 : -1);
      session.type(field, field.show((value ?? 0) + by));
    }
    if (event.key === "Enter") {
      session.commit();
      if (!problem) focusNext(event.currentTarget);
    }
  };

  return (
    <div className={`grid items-center border-t border-hair py-[3px] ${isCompact ? "grid-cols-[1fr_80px] gap-x-1 text-[12.5px]" : "grid-cols-[1fr_96px] gap-x-2 text-[13.5px]"} ${isLit ? "field-lit" : ""}`} {...handlers}>
      <label htmlFor={id} className="leading-tight">
        {label}
        {(isUnmeasured || hint) && (
          <small id={`${id}-hint`} className={`narrow block text-[11.5px] ${isUnmeasured ? "text-warn" : "text-soft"}`}>
            {isUnmeasured ? "not measured yet" : hint}
          </small>
        )}
      </label>
      <div className={`entry ${problem ? "entry-wrong" : ""}`}>
        <input
          id={id}
          data-field={field.key}
          value={shown}
          inputMode="decimal"
          autoComplete="off"
          spellCheck={false}
          aria-invalid={problem !== null}
          aria-describedby={problem ? `${id}-problem` : hint || isUnmeasured ? `${id}-hint` : undefined}
          onChange={(event) => session.type(field, event.target.value)}
          onKeyDown={onKeyDown}
          onBlur={() => session.commit()}
          onFocus={(event) => event.target.select()}
        />
        {field.unit && <span className="text-[12px] font-[440] text-soft">{field.unit}</span>}
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="col-span-2 pt-1 text-[12px] leading-snug text-bad">
          <span aria-hidden="true">◆ </span>
          {problem}. The plan goes on with {own || "none"}.
        </p>
      )}
    </div>
  );
}

function saysSame(field: NumberField, text: string, value: number | null): boolean {
  const reading = field.read(text);
  return reading.ok && reading.value === value;
}

/** A caliper that types its reading and Enter goes on to the next field. */
function focusNext(input: HTMLInputElement): void {
  const all = [...document.querySelectorAll<HTMLElement>("[data-field]")];
  all[all.indexOf(input) + 1]?.focus();
}
