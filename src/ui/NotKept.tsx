"use client";

import { useState } from "react";
import { RepositoryError } from "@/store/repository";
import { JOURNAL_FULL, NOT_PERSISTENT, TROUBLE_WORDS } from "@/words/trouble";
import { useTray, useTrayState } from "./tray";
import { notKeptText } from "@/words/ui";

/** Where a browser notes that the maker has been told what it may clear. */
const TOLD = "hoop-ledger/told/not-persistent";

interface Props {
  readonly isNight?: boolean;
  /** Whether what the browser may do later is said too, once. */
  readonly saysOnce?: boolean;
}

/** Says what is not kept, on every page alike, and what to do about it; nothing while all is well. */
export function NotKept({ isNight = false, saysOnce = false }: Props) {
  const tray = useTray();
  const trouble = useTrayState((state) => state.trouble);
  const isJournalFull = useTrayState((state) => state.isJournalFull);
  const isPersistent = useTrayState((state) => state.isPersistent);
  const [isHeard, hear] = useState(false);
  const isNew = saysOnce && isPersistent === false && !isHeard && !wasTold();
  const text = trouble ? TROUBLE_WORDS[trouble] : isJournalFull ? JOURNAL_FULL : isNew ? NOT_PERSISTENT : null;
  if (text === null) return null;
  const button = isNight ? "night-btn !min-h-touch !text-base" : "btn";
  const keepAgain = () =>
    void tray.keepAgain().catch((error: unknown) => {
      if (!(error instanceof RepositoryError)) throw error;
    });
  return (
    <div
      role="status"
      className={
        isNight
          ? "flex flex-wrap items-center gap-3 rounded-lg border border-night-warn px-3.5 py-1.5 text-lg text-night-warn"
          : "flex flex-wrap items-center gap-3 border-b border-line bg-bad-wash px-4 py-1.5 text-sm font-semibold text-bad"
      }
    >
      <span className="min-w-0 flex-1 basis-63">
        <span aria-hidden="true">◆ </span>
        {text}.
      </span>
      {trouble === "newer" && (
        <button type="button" className={button} onClick={() => window.location.reload()}>
          {notKeptText.reload}
        </button>
      )}
      {trouble === "cleared" && (
        <button type="button" className={button} onClick={keepAgain}>
          {notKeptText.keepItAgain}
        </button>
      )}
      {trouble === null && isNew && (
        <button
          type="button"
          className={button}
          onClick={() => {
            noteTold();
            hear(true);
          }}
        >
          {notKeptText.closeThis}
        </button>
      )}
    </div>
  );
}

function wasTold(): boolean {
  try {
    return localStorage.getItem(TOLD) !== null;
  } catch {
    // A browser that refuses its storage says more than this already.
    return true;
  }
}

function noteTold(): void {
  try {
    localStorage.setItem(TOLD, "1");
  } catch (error) {
    console.warn("not noted", error);
  }
}
