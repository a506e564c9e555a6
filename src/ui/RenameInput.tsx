"use client";

import { useState } from "react";
import { oneLine } from "@/core/measure/one-line";

interface Props {
  readonly label: string;
  readonly name: string;
  /** Takes the new name; not called for an empty or the same one. */
  readonly onRename: (name: string) => void;
  readonly onDone: () => void;
  readonly className: string;
}

const LONGEST = 120;

/** A name while it is edited in place: Enter or leaving takes it, Escape leaves it as it was. */
export function RenameInput({ label, name, onRename, onDone, className }: Props) {
  const [text, setText] = useState(name);
  const finish = () => {
    const next = oneLine(text).trim();
    if (next && next !== name) onRename(next);
    onDone();
  };
  return (
    <input
      aria-label={label}
      value={text}
      maxLength={LONGEST}
      autoFocus
      onChange={(event) => setText(oneLine(event.target.value))}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key === "Enter") finish();
        if (event.key === "Escape") onDone();
      }}
      className={className}
    />
  );
}
