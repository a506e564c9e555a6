"use client";

import { Popover } from "radix-ui";
import { type ReactNode } from "react";
import { EXPLAINED, type ExplainedWord } from "@/words/explain";
import { ExplainDrawing } from "./ExplainDrawing";

interface Props {
  readonly word: ExplainedWord;
  /** For a field that it names. */
  readonly id?: string;
  readonly children: ReactNode;
}

/** A word that opens, on a press, into two sentences and a small drawing. */
export function Explained({ word, id, children }: Props) {
  return (
    <Popover.Root>
      <Popover.Trigger
        id={id}
        className="tap rounded-sm text-left underline decoration-metal-edge decoration-dotted underline-offset-[3px] hover:decoration-ink"
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={EXPLAINED[word].name}
          side="left"
          align="start"
          sideOffset={8}
          collisionPadding={12}
          className="z-50 w-75.5 max-w-[94vw] rounded-md border border-line bg-sheet p-3 shadow-xl"
        >
          <h2 className="mb-1.5 text-sm font-strong">{EXPLAINED[word].name}</h2>
          <ExplainDrawing word={word} />
          <p className="mt-2 text-sm leading-text">{EXPLAINED[word].says}</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
