"use client";

import { type Verdict } from "@/core/piece/reading-scales";
import { type Said } from "@/words/findings";

/** What a reading means, in a word, and what to do. */
export function ReadingVerdict({ said, verdict }: { readonly said: Said; readonly verdict: Verdict }) {
  return (
    <>
      <b className={verdict.code === "good" ? "text-night-ok" : "text-glow"}>{said.what}</b> {said.advice}
    </>
  );
}
