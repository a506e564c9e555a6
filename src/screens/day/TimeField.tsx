"use client";

import { useState } from "react";
import { useClockHours } from "@/ui/clock";
import { onClock, readClock } from "@/ui/day-hours";
import { timeFieldText } from "@/words/screens/day";

interface Props {
  readonly label: string;
  /** "09:30", or nothing. */
  readonly value: string;
  /** null where it was emptied. */
  readonly onChange: (value: string | null) => void;
}

/** A time of the day on the maker's clock; "9:30", "0930", "9" and "9:30 pm" are understood. */
export function TimeField({ label, value, onChange }: Props) {
  const [typed, type] = useState<string | null>(null);
  const hours = useClockHours();
  const text = typed ?? onClock(value, hours);
  const isWrong = text.trim() !== "" && readClock(text) === null;
  const put = (next: string) => {
    if (next.trim() === "") onChange(null);
    else if (readClock(next) !== null) onChange(readClock(next));
  };
  return (
    <label>
      {label}
      <input
        inputMode="numeric"
        autoComplete="off"
        value={text}
        placeholder={timeFieldText.none}
        aria-invalid={isWrong}
        title={isWrong ? timeFieldText.typeATime : undefined}
        onChange={(event) => {
          type(event.target.value);
          if (event.target.value.length !== 1) put(event.target.value);
        }}
        onBlur={() => {
          put(text);
          if (!isWrong) type(null);
        }}
        className={`entry mt-0.5 block !w-23 max-lg:h-touch ${isWrong ? "entry-wrong" : ""}`}
      />
      {isWrong && <span className="block text-xs text-bad">{timeFieldText.typeATime}</span>}
    </label>
  );
}
