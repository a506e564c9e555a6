"use client";

import { useId } from "react";
import { papersText } from "@/words/ui";

export const PAPERS = [
  { value: "a4", text: "A4" },
  { value: "letter", text: papersText.letter },
] as const;
export type Paper = (typeof PAPERS)[number]["value"];

/** Which paper is printed on. */
export function Papers({ paper, onChoose }: { readonly paper: Paper; readonly onChoose: (paper: Paper) => void }) {
  const id = useId();
  return (
    <>
      <span id={id} className="text-sm text-soft">
        {papersText.paper}
      </span>
      {PAPERS.map(({ value, text }) => (
        <button
          key={value}
          type="button"
          aria-pressed={paper === value}
          aria-describedby={id}
          onClick={() => onChoose(value)}
          className={`btn ${paper === value ? "border-ink font-semibold" : ""}`}
        >
          {text}
        </button>
      ))}
    </>
  );
}
