"use client";

import { Dialog, DialogActions } from "./Dialog";
import { progressDialogText } from "@/words/ui";

interface Props {
  readonly title: string;
  /** 0 to 1. */
  readonly share: number;
  readonly onStop: () => void;
}

/** How far something is that takes a while; it can be stopped. */
export function ProgressDialog({ title, share, onStop }: Props) {
  return (
    <Dialog title={title} onClose={onStop}>
      <ProgressBar label={title} share={share} />
      <DialogActions>
        <button type="button" className="btn" onClick={onStop}>
          {progressDialogText.stop}
        </button>
      </DialogActions>
    </Dialog>
  );
}

export function ProgressBar({ label, share }: { readonly label: string; readonly share: number }) {
  const percent = Math.round(share * 100);
  return (
    <div role="progressbar" aria-label={label} aria-valuenow={percent} aria-valuemin={0} aria-valuemax={100}>
      <span className="block h-2.5 overflow-hidden rounded-sm bg-hair">
        <span className="block h-full bg-accent" style={{ width: `${percent}%` }} />
      </span>
      <span className="mt-1 block text-sm text-soft">{percent} %</span>
    </div>
  );
}
