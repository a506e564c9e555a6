"use client";

import { EXPLAINED, type ExplainedWord } from "@/words/explain";
import { Dialog } from "./Dialog";
import { ExplainDrawing } from "./ExplainDrawing";

/** A word of the craft that was looked for. */
export function ExplainDialog({ word, onClose }: { readonly word: ExplainedWord; readonly onClose: () => void }) {
  const { name, says } = EXPLAINED[word];
  return (
    <Dialog title={name} onClose={onClose} width={320}>
      <ExplainDrawing word={word} />
      <p className="mt-2 text-sm leading-text">{says}</p>
    </Dialog>
  );
}
