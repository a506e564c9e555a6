"use client";

import { type KeyboardEvent, type ReactNode, useEffect, useId } from "react";
import { oneLine } from "@/core/measure/one-line";
import { type TypedField } from "@/store/session";
import { type ExplainedWord } from "@/words/explain";
import { Explained } from "./Explained";
import { useHighlight } from "./highlight";
import { focusNextMeasure } from "./next-measure";
import { useSession, useSessionState } from "./session";
import { typedEntryText } from "@/words/ui";

interface Props<T> {
  readonly field: TypedField<T>;
  readonly label: string;
  readonly hint?: string | undefined;
  /** What the label opens into, where it is a word of the craft. */
  readonly explains?: ExplainedWord | undefined;
  /** The piece's value as the field writes it, of its own accord. */
  readonly own: string;
  /** Whether typed text says the piece's value in other words. */
  readonly isSame: (text: string) => boolean;
  /** What of the drawing it lights. */
  readonly lights: string;
  /** "compact" goes two to a line, without a hint; "wide" gives the entry more room. */
  readonly shape?: "usual" | "compact" | "wide";
  readonly isText?: boolean;
  readonly before?: ReactNode;
  readonly after?: ReactNode;
  readonly placeholder?: string;
  /** The text one step up (1) or down (-1) from now, by a tenth of a step if `fine`. */
  readonly stepped?: (by: 1 | -1, fine: boolean) => string;
}

const COLUMNS = {
  usual: "grid-cols-[1fr_96px] gap-x-2 text-sm",
  compact: "grid-cols-[1fr_96px] gap-x-1 text-sm wide:grid-cols-[1fr_78px]",
  wide: "grid-cols-[1fr_148px] gap-x-2 text-sm",
} as const;

/**
 * A field that is typed in. What is typed stays as it was typed; what is wrong in it is said under it, and the plan
 * goes on without it.
 */
export function TypedEntry<T>({
  field,
  label,
  hint,
  explains,
  own,
  isSame,
  lights,
  shape = "usual",
  isText = false,
  before,
  after,
  placeholder,
  stepped,
}: Props<T>) {
  const session = useSession();
  const draft = useSessionState(({ drafts }) => drafts[field.key]);
  const isUnmeasured = useSessionState(({ unmeasured }) => unmeasured.includes(field.key));
  const { isHighlighted, handlers } = useHighlight(lights);
  const id = useId();
  useEffect(() => session.register(field), [session, field]);

  const problem = draft?.problem ?? null;
  const shown = draft && (problem !== null || isSame(draft.text)) ? draft.text : own;
  const told = isUnmeasured ? typedEntryText.notMeasuredYet : shape === "compact" ? undefined : hint;

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const by = event.key === "ArrowUp" ? 1 : event.key === "ArrowDown" ? -1 : null;
    if (by !== null && stepped) {
      event.preventDefault();
      session.type(field, stepped(by, event.altKey));
    }
    if (event.key === "Enter") {
      event.preventDefault();
      session.commit();
      if (!problem) focusNextMeasure(event.currentTarget);
    }
  };

  return (
    <div
      className={`grid items-center border-t border-hair py-px max-lg:py-1 ${COLUMNS[shape]} ${isHighlighted ? "field-lit" : ""}`}
      {...handlers}
    >
      <div className="leading-tight">
        {explains ? (
          <Explained word={explains} id={`${id}-label`}>
            {label}
          </Explained>
        ) : (
          <label htmlFor={id}>{label}</label>
        )}
        {told && (
          <small id={`${id}-hint`} className={`narrow block text-xs ${isUnmeasured ? "text-warn" : "text-soft"}`}>
            {told}
          </small>
        )}
      </div>
      <div className={`entry ${shape === "compact" ? "px-1.5" : ""} ${problem ? "entry-wrong" : ""}`}>
        {before}
        <input
          id={id}
          aria-labelledby={explains ? `${id}-label` : undefined}
          data-field={field.key}
          value={shown}
          placeholder={placeholder}
          inputMode={isText ? "text" : "decimal"}
          autoComplete="off"
          spellCheck={false}
          aria-invalid={problem !== null}
          aria-describedby={problem ? `${id}-problem` : told ? `${id}-hint` : undefined}
          className={isText ? "!text-left text-sm font-medium" : ""}
          onChange={(event) => session.type(field, oneLine(event.target.value))}
          onKeyDown={onKeyDown}
          onBlur={() => session.commit()}
          onFocus={(event) => event.target.select()}
        />
        {after}
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="col-span-2 pt-1 text-xs leading-snug text-bad">
          <span aria-hidden="true">◆ </span>
          {typedEntryText.thePlanStillUses(problem, own || typedEntryText.none)}
        </p>
      )}
    </div>
  );
}
