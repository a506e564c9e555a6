"use client";

import { useId, useLayoutEffect, useRef, useState } from "react";
import { caretIn, mergedText } from "@/store/merge-text";

interface Props {
  readonly label: string;
  /** As they are known now, with what other windows have typed. */
  readonly value: string;
  readonly longest: number;
  readonly onChange: (text: string) => void;
}

/** Words that more than one window may write at once: what comes in from elsewhere is merged with what is typed here, and the caret stays with its words. */
export function WordsField({ label, value, longest, onChange }: Props) {
  const id = useId();
  const area = useRef<HTMLTextAreaElement>(null);
  /** What stands here, and the known words that it was typed on. */
  const [own, setOwn] = useState({ text: value, base: value });
  /** Where the caret stood, and in which text. */
  const stood = useRef({ text: value, caret: 0 });
  if (value !== own.base) setOwn({ text: mergedText(own.base, own.text, value), base: value });
  useLayoutEffect(() => {
    const { text, caret } = stood.current;
    const field = area.current;
    if (!field || text === own.text || document.activeElement !== field) return;
    const at = caretIn(own.text, text, caret);
    field.setSelectionRange(at, at);
    stood.current = { text: own.text, caret: at };
  }, [own.text]);
  return (
    <div>
      <label htmlFor={id} className="mb-1.5 block text-base text-night-soft">
        {label}
      </label>
      <textarea
        ref={area}
        id={id}
        rows={2}
        maxLength={longest}
        value={own.text}
        onSelect={({ currentTarget }) => (stood.current = { text: currentTarget.value, caret: currentTarget.selectionStart })}
        onChange={(event) => {
          stood.current = { text: event.target.value, caret: event.target.selectionStart };
          const text = event.target.value;
          setOwn({ text, base: text });
          onChange(text);
        }}
        className="w-full min-w-0 rounded-lg border-2 border-night-edge bg-transparent px-3.5 py-2 text-xl outline-none focus:border-glow"
      />
    </div>
  );
}
