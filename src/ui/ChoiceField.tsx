"use client";

import { Check, ChevronDown } from "lucide-react";
import { Select } from "radix-ui";
import { useId, useState } from "react";
import { useLit } from "./lit";
import { useNonce } from "./Nonce";

interface Props<T extends string> {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: string }[];
  /** Makes the choice; returns why it cannot be made, or null. */
  readonly onChoose: (value: T) => string | null;
  readonly lights?: string;
  readonly width?: keyof typeof COLUMNS;
}

const COLUMNS = { usual: "grid-cols-[1fr_96px]", joint: "grid-cols-[1fr_112px]", wide: "grid-cols-[1fr_132px]" } as const;

/** One of a few. */
export function ChoiceField<T extends string>({ label, hint, value, options, onChoose, lights, width = "usual" }: Props<T>) {
  const { isLit, handlers } = useLit(lights ?? label);
  const [problem, setProblem] = useState<string | null>(null);
  const nonce = useNonce();
  const id = useId();
  return (
    <div className={`grid items-center gap-x-2 border-t border-hair py-[3px] ${COLUMNS[width]} ${isLit ? "field-lit" : ""}`} {...handlers}>
      <div className="text-[13.5px] leading-tight">
        <span id={id}>{label}</span>
        {hint && (
          <small id={`${id}-hint`} className="narrow block text-[11.5px] text-soft">
            {hint}
          </small>
        )}
      </div>
      <Select.Root value={value} onValueChange={(next) => setProblem(onChoose(next as T))}>
        <Select.Trigger
          aria-labelledby={id}
          aria-describedby={hint ? `${id}-hint` : undefined}
          data-field={label}
          className="entry justify-between text-[13px] font-[540]"
        >
          <span className="truncate">
            <Select.Value>{options.find((option) => option.value === value)?.text ?? value}</Select.Value>
          </span>
          <ChevronDown size={14} aria-hidden="true" className="shrink-0" />
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={3}
            align="end"
            className="z-50 min-w-[--radix-select-trigger-width] rounded-[5px] border border-line bg-sheet py-1 shadow-lg"
          >
            <Select.Viewport nonce={nonce}>
              {options.map((option) => (
                <Select.Item
                  key={option.value}
                  value={option.value}
                  className="flex cursor-pointer items-center gap-2 py-1 pr-4 pl-2 text-[13px] outline-none data-[highlighted]:bg-accent-wash"
                >
                  <span className="w-4">
                    <Select.ItemIndicator>
                      <Check size={14} aria-hidden="true" />
                    </Select.ItemIndicator>
                  </span>
                  <Select.ItemText>{option.text}</Select.ItemText>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
      {problem && (
        <p role="alert" className="col-span-2 pt-1 text-[12px] leading-snug text-bad">
          <span aria-hidden="true">◆ </span>
          {problem}.
        </p>
      )}
    </div>
  );
}
