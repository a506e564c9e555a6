"use client";

import { useId } from "react";
import { useHalfTyped } from "@/ui/half-typed";
import { correctFieldText } from "@/words/screens/ledger";

/** What a text is read as, or why it is nothing. */
export type Reading<T> = { readonly value: T } | { readonly problem: string };

interface Props<T> {
  readonly label: string;
  /** What stands before it, where its label names what stands beside it too. */
  readonly shown?: string;
  /** The piece whose making it is, and the field's name among what is half typed beside it. */
  readonly piece: string;
  readonly name: string;
  /** What stands in the record, as it is typed. */
  readonly own: string;
  readonly unit?: string;
  readonly type?: "text" | "datetime-local";
  readonly rows?: number;
  readonly longest?: number;
  /** What it was before, as it is said; empty where it was never corrected. */
  readonly was: string;
  readonly read: (text: string) => Reading<T>;
  readonly onCorrect: (value: T) => void;
}

/** A field of a record that is put right: taken when it is left or entered; what cannot be read stays, and the record with it. */
export function CorrectField<T>({
  label,
  shown = label,
  piece,
  name,
  own,
  unit,
  type = "text",
  rows = 1,
  longest = 40,
  was,
  read,
  onCorrect,
}: Props<T>) {
  const id = useId();
  const [typed, setTyped] = useHalfTyped(piece, name);
  const text = typed ?? own;
  const reading = typed === null ? null : read(typed);
  const problem = reading && "problem" in reading ? reading.problem : null;
  const take = () => {
    if (!reading || "problem" in reading) return;
    setTyped(null);
    if (typed !== own) onCorrect(reading.value);
  };
  const shared = {
    id,
    value: text,
    maxLength: longest,
    autoComplete: "off",
    "aria-label": label,
    "aria-invalid": problem !== null,
    "aria-describedby": `${id}-told`,
    onBlur: take,
  };
  return (
    <div className="border-t border-hair py-1">
      <div className="flex items-center gap-2 text-sm">
        <label htmlFor={id} className="min-w-0 flex-1">
          {shown}
        </label>
        <span
          className={`entry ${rows > 1 ? "!h-auto" : ""} ${rows > 1 || longest > 40 ? "w-[62%]" : "w-54.5"} ${problem ? "entry-wrong" : ""}`}
        >
          {rows > 1 ? (
            <textarea
              {...shared}
              rows={rows}
              onChange={(event) => setTyped(event.target.value)}
              className="w-full min-w-0 resize-y bg-transparent py-1 text-left text-sm outline-none"
            />
          ) : (
            <input
              {...shared}
              type={type}
              spellCheck={false}
              onChange={(event) => setTyped(event.target.value)}
              onKeyDown={(event) => {
                if (event.key === "Enter") take();
                if (event.key !== "Escape" || typed === null) return;
                // Here it takes back what is typed; the next one closes the dialog.
                event.stopPropagation();
                event.preventDefault();
                setTyped(null);
              }}
              className="!text-left"
            />
          )}
          {unit && <span className="text-soft">{unit}</span>}
        </span>
      </div>
      <p id={`${id}-told`} className="text-right text-xs leading-snug">
        {problem && <span className="text-bad">{correctFieldText.theRecordStaysAsIt(problem)}</span>}
        {!problem && was && <span className="text-soft">{correctFieldText.was(was)}</span>}
      </p>
    </div>
  );
}
