"use client";

import { practiceText } from "@/words/screens/practice";

interface Props {
  /** Of the width, 0 to 1. */
  readonly share: number;
  readonly width: number;
  readonly onMove: (share: number) => void;
}

/** How far a key moves it. */
const STEP = 0.05;

const KEYS: Readonly<Record<string, (share: number) => number>> = {
  ArrowLeft: (share) => share - STEP,
  ArrowRight: (share) => share + STEP,
  Home: () => 0,
  End: () => 1,
};

/** The line between what is seen, at its left, and the heat, at its right: dragged, or moved with the arrow keys while it has the focus. */
export function SplitHandle({ share, width, onMove }: Props) {
  const move = (to: number) => onMove(Math.min(1, Math.max(0, to)));
  return (
    <div className="pointer-events-none absolute inset-y-0 flex w-0 flex-col items-center" style={{ left: share * width }}>
      <span aria-hidden="true" className="w-0.5 flex-1 bg-night-ink" />
      <span className="flex items-center gap-2 pb-3 text-base whitespace-nowrap text-night-soft">
        <span aria-hidden="true" className="w-32 text-right">
          {practiceText.asYouSeeIt}
        </span>
        <span
          role="slider"
          tabIndex={0}
          aria-label={practiceText.split}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(share * 100)}
          className="pointer-events-auto grid size-11 shrink-0 cursor-ew-resize touch-none place-items-center rounded-full bg-night-ink text-night"
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) => {
            if (event.buttons === 0) return;
            const { left } = event.currentTarget.closest("[data-split]")!.getBoundingClientRect();
            move((event.clientX - left) / width);
          }}
          onKeyDown={(event) => {
            const act = KEYS[event.key];
            if (!act) return;
            // its arrows are not the flame's
            event.stopPropagation();
            event.preventDefault();
            move(act(share));
          }}
        >
          <svg width={22} height={14} viewBox="0 0 22 14" aria-hidden="true" fill="none" stroke="currentColor" strokeWidth={2.4}>
            <path d="M7 1 1 7l6 6M15 1l6 6-6 6" />
          </svg>
        </span>
        <span aria-hidden="true" className="w-32">
          {practiceText.theHeat}
        </span>
      </span>
    </div>
  );
}
