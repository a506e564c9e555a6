"use client";

import { Check, ChevronDown } from "lucide-react";
import { Select } from "radix-ui";
import { memo } from "react";
import { useNonce } from "./Nonce";

interface Props {
  /** Of the element that labels it; its hint has the same with "-hint". */
  readonly id: string;
  readonly name: string;
  readonly isHinted: boolean;
  readonly isLow: boolean;
  readonly value: string;
  readonly text: string;
  readonly options: readonly { readonly value: string; readonly text: string }[];
  readonly onChoose: (value: string) => void;
}

/** The list that drops down. It is drawn anew only when what it says changes: `onChoose` must stay the same. */
export const ChoiceSelect = memo(ChoiceSelectNow, (a, b) => JSON.stringify(a) === JSON.stringify(b));

function ChoiceSelectNow({ id, name, isHinted, isLow, value, text, options, onChoose }: Props) {
  const nonce = useNonce();
  return (
    <Select.Root value={value} onValueChange={onChoose}>
      <Select.Trigger
        aria-labelledby={id}
        aria-describedby={isHinted ? `${id}-hint` : undefined}
        data-field={name}
        className={`entry justify-between text-sm font-medium ${isLow ? "lg:!h-6.5 lg:px-1.5 lg:text-xs" : ""}`}
      >
        <span className="truncate">
          <Select.Value>{text}</Select.Value>
        </span>
        <ChevronDown size={14} aria-hidden="true" className="shrink-0" />
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={3}
          align="end"
          className="z-50 min-w-[--radix-select-trigger-width] rounded-md border border-line bg-sheet py-1 shadow-lg"
        >
          <Select.Viewport nonce={nonce}>
            {options.map((option) => (
              <Select.Item
                key={option.value}
                value={option.value}
                className="flex cursor-pointer items-center gap-2 py-1 pr-4 pl-2 text-sm outline-none data-highlighted:bg-accent-wash"
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
  );
}
