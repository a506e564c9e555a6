"use client";

import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { MM_PER_INCH } from "@/core/measure/reading";
import { useUnits } from "@/ui/tray";
import { screenScaleText } from "@/words/screens/templates";

/** A bank card's sides in mm, the same everywhere. */
const CARD = { width: 85.6, height: 53.98 } as const;
const LEAST = 2;
const MOST = 20;
const KEY_STEP = 0.01;

interface Props {
  readonly pxPerMm: number;
  readonly isSet: boolean;
  readonly onSet: (pxPerMm: number) => void;
}

/** A rectangle that is dragged until a bank card laid on the screen covers it: from then on things stand at true size. */
export function ScreenScale({ pxPerMm, isSet, onSet }: Props) {
  const inInches = useUnits().length === "inch";
  const [isOpen, open] = useState(false);
  const [dragged, drag] = useState<number | null>(null);
  const now = dragged ?? pxPerMm;
  const held = (to: number) => Math.min(MOST, Math.max(LEAST, to));
  const onPointerMove = (event: PointerEvent<HTMLDivElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const { left } = event.currentTarget.parentElement!.getBoundingClientRect();
    drag(held((event.clientX - left) / CARD.width));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.key === "ArrowRight" || event.key === "ArrowUp" ? 1 : event.key === "ArrowLeft" || event.key === "ArrowDown" ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    onSet(held(now + by * KEY_STEP));
  };
  const finish = () => {
    if (dragged !== null) onSet(Math.round(dragged * 1e4) / 1e4);
    drag(null);
  };
  if (!isOpen) {
    return (
      <p className="text-sm">
        {isSet ? screenScaleText.theScreenSizeIsSet : screenScaleText.theScreenSizeIsNot}{" "}
        <button type="button" className="btn btn-small" onClick={() => open(true)}>
          {screenScaleText.setTheScreen}
        </button>
      </p>
    );
  }
  return (
    <section aria-label={screenScaleText.setTheScreen} className="text-sm">
      <p className="mb-2">
        {screenScaleText.layABankCardOn}{" "}
        <button type="button" className="btn btn-small" onClick={() => open(false)}>
          {screenScaleText.done}
        </button>
      </p>
      <div className="max-w-full overflow-x-auto pb-1">
        <div
          className="relative rounded-sm border border-ink bg-accent-wash"
          style={{ width: CARD.width * now, height: CARD.height * now }}
        >
          <div
            role="slider"
            tabIndex={0}
            aria-label={screenScaleText.rightEdgeOfTheCard}
            aria-valuenow={Math.round(now * 1000) / 1000}
            aria-valuemin={LEAST}
            aria-valuemax={MOST}
            aria-valuetext={
              inInches
                ? screenScaleText.pixelsToAnInch((now * MM_PER_INCH).toFixed(1))
                : screenScaleText.pixelsToAMillimetre(now.toFixed(2))
            }
            className="absolute inset-y-0 -right-[22px] w-touch cursor-ew-resize touch-none"
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={onPointerMove}
            onLostPointerCapture={finish}
            onKeyDown={onKeyDown}
          >
            <span className="absolute inset-y-0 left-1/2 w-[3px] -translate-x-1/2 bg-accent" />
          </div>
          <span className="absolute top-1/2 left-3 -translate-y-1/2 text-soft">{screenScaleText.aBankCard}</span>
        </div>
      </div>
    </section>
  );
}
