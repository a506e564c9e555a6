"use client";

import { Suspense, lazy, useCallback, useEffect, useId, useRef, useState } from "react";
import { type ExplainedWord } from "@/words/explain";
import { Explained } from "./Explained";
import { useHighlight } from "./highlight";

const ChoiceSelect = lazy(() => import("./ChoiceSelect").then(({ ChoiceSelect }) => ({ default: ChoiceSelect })));

interface Props<T extends string> {
  readonly label: string;
  readonly hint?: string | undefined;
  /** What the label opens into, where it is a word of the craft. */
  readonly explains?: ExplainedWord;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: string }[];
  /** Makes the choice; returns why it cannot be made, or null. */
  readonly onChoose: (value: T) => string | null | Promise<string | null>;
  readonly lights?: string;
  readonly width?: keyof typeof COLUMNS;
  /** What stands in it while it is closed, where that is not the chosen option's text. */
  readonly shown?: string | undefined;
}

const COLUMNS = {
  usual: "grid-cols-[1fr_96px]",
  joint: "grid-cols-[1fr_112px] lg:max-xl:grid-cols-[1fr_92px]",
  /** One of so many joints that each must be low. */
  jointLow: "grid-cols-[1fr_112px] lg:grid-cols-[1fr_82px]",
  wide: "grid-cols-[1fr_132px]",
} as const;

/** One of a few. */
export function ChoiceField<T extends string>({
  label,
  hint,
  explains,
  value,
  options,
  onChoose,
  lights,
  width = "usual",
  shown,
}: Props<T>) {
  const { isHighlighted, handlers } = useHighlight(lights ?? label);
  const [problem, setProblem] = useState<string | null>(null);
  const chosen = useRef(onChoose);
  useEffect(() => {
    chosen.current = onChoose;
  });
  const choose = useCallback((next: string) => void Promise.resolve(chosen.current(next as T)).then(setProblem), []);
  const text = shown ?? options.find((option) => option.value === value)?.text ?? value;
  const id = useId();
  const isLow = width === "jointLow";
  return (
    <div
      className={`grid items-center gap-x-2 border-t border-hair py-px max-lg:py-1 ${COLUMNS[width]} ${isHighlighted ? "field-lit" : ""}`}
      {...handlers}
    >
      <div className={`text-sm leading-tight ${isLow ? "font-condensed xl:truncate" : ""}`}>
        {explains ? (
          <Explained word={explains} id={id}>
            {label}
          </Explained>
        ) : (
          <span id={id}>{label}</span>
        )}
        {hint && (
          <small id={`${id}-hint`} className="narrow block text-xs text-soft">
            {hint}
          </small>
        )}
      </div>
      <Suspense fallback={<div className="entry justify-between text-sm font-medium">{text}</div>}>
        <ChoiceSelect
          id={id}
          name={label}
          isHinted={hint !== undefined}
          isLow={isLow}
          value={value}
          text={text}
          options={options}
          onChoose={choose}
        />
      </Suspense>
      {problem && (
        <p role="alert" className="col-span-2 pt-1 text-xs leading-snug text-bad">
          <span aria-hidden="true">◆ </span>
          {problem}.
        </p>
      )}
    </div>
  );
}
