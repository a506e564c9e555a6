"use client";

import { useId } from "react";

interface Props<Value extends string> {
  readonly label: string;
  readonly options: readonly { readonly value: Value; readonly text: string }[];
  readonly value: Value;
  readonly onChoose: (value: Value) => void;
}

/** One of a few, side by side. */
export function Segments<Value extends string>({ label, options, value, onChoose }: Props<Value>) {
  const name = useId();
  return (
    <span role="radiogroup" aria-label={label} className="inline-flex rounded-md border border-line text-sm">
      {options.map((option) => (
        <label
          key={option.value}
          className="relative cursor-pointer bg-sheet px-2.5 py-1 text-soft max-lg:grid max-lg:h-touch max-lg:min-w-touch max-lg:place-items-center first:rounded-l-sm last:rounded-r-sm has-checked:bg-ink has-checked:text-white has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-accent"
        >
          <input
            type="radio"
            name={name}
            value={option.value}
            checked={option.value === value}
            onChange={() => onChoose(option.value)}
            className="absolute inset-0 cursor-pointer opacity-0"
          />
          {option.text}
        </label>
      ))}
    </span>
  );
}
