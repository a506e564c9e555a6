"use client";

import { useState } from "react";
import { readClock } from "@/ui/day-hours";
import { timeFieldText } from "@/words/screens/day";

interface Props {
  readonly label: string;
  /** "09:30", or nothing. */
  readonly value: string;
  /** null where it was emptied. */
  readonly onChange: (value: string | null) => void;
}

/** A time of the day on the clock of 24 hours that the whole program shows; "9:30", "0930" and "9" are understood. */
export function TimeField({ label, value, onChange }: Props) {
  const [typed, type] = useState<string | null>(null);
  const text = typed ?? value;
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
