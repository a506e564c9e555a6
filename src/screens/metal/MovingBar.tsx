"use client";

import { type Pin } from "@/core/cutting/pin";
import { movingText } from "@/words/screens/metal";
import { type BlankBox, type DrawerLayout, isSheetBox } from "./drawer-layout";
import { type Move, TURN, onNext, pinHere, turned } from "./moving";

interface Props {
  readonly layout: DrawerLayout;
  readonly pins: readonly Pin[];
  readonly blank: BlankBox | null;
  readonly label: string | null;
  readonly onMove: (move: Move) => boolean;
  readonly onPin: (pin: Pin) => void;
  readonly onFree: (blank: string) => void;
  readonly onFreeAll: () => void;
}

/** What can be done with the chosen blank, for whoever drags nothing; else how one is moved. */
export function MovingBar({ layout, pins, blank, label, onMove, onPin, onFree, onFreeAll }: Props) {
  const isOnSheet = blank !== null && isSheetBox(blank.on);
  return (
    <section
      aria-label={movingText.bar}
      className="sticky bottom-0 z-10 -mx-4 lg:-bottom-4 lg:-mb-4 flex flex-wrap items-center gap-2 border-t border-line bg-sheet px-4 py-2 text-sm"
    >
      {blank ? (
        <>
          <b className="font-semibold">{label}</b>
          <button
            type="button"
            className="btn btn-small max-lg:min-h-touch"
            onClick={() => (blank.isPinned ? onFree(blank.id) : onPin(pinHere(blank)))}
          >
            {blank.isPinned ? movingText.free : movingText.pin}
          </button>
          {isOnSheet && (
            <button type="button" className="btn btn-small max-lg:min-h-touch" onClick={() => onMove(turned(layout, blank, TURN))}>
              {movingText.turn}
            </button>
          )}
          <button type="button" className="btn btn-small max-lg:min-h-touch" onClick={() => onMove(onNext(layout, blank, 1))}>
            {isOnSheet ? movingText.nextSheet : movingText.nextLength}
          </button>
        </>
      ) : null}
      {pins.length > 0 && (
        <button type="button" className="btn btn-small max-lg:min-h-touch" onClick={onFreeAll}>
          {movingText.freeAll(pins.length)}
        </button>
      )}
      <p className="text-soft max-lg:hidden">{blank ? (isOnSheet ? movingText.keys : movingText.keysOfLength) : movingText.hint}</p>
    </section>
  );
}
