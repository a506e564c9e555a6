"use client";

import { useMemo, useState } from "react";
import { type Pin } from "@/core/cutting/pin";
import { type CutsPlan } from "@/core/cutting/plan-cuts";
import { type StockItem } from "@/core/metal/stock";
import { useNotices } from "@/ui/notices";
import { useUnits } from "@/ui/tray";
import { useSize } from "@/ui/useSize";
import { whyNot } from "@/words/cuts";
import { movingText } from "@/words/screens/metal";
import { DrawerDrawing, labelOf } from "./DrawerDrawing";
import { layoutOf } from "./drawer-layout";
import { MovingBar } from "./MovingBar";
import { type Move, pinHere, withPin, withoutPin } from "./moving";

interface Props {
  readonly plan: CutsPlan;
  readonly stock: readonly StockItem[];
  readonly pins: readonly Pin[];
  /** The cuts are being laid anew round other pins. */
  readonly isBefore: boolean;
  readonly nameOf: (piece: string) => string;
  readonly colourOf: (piece: string) => string;
  readonly onPins: (pins: readonly Pin[]) => void;
}

/** The narrowest that a drawer is drawn (pixels). */
const NARROWEST = 340;

/** The drawer with its cuts, in which blanks are moved, turned and pinned; the rest is laid round them. */
export function LaidDrawer({ plan, stock, pins, isBefore, nameOf, colourOf, onPins }: Props) {
  const units = useUnits();
  const { say, warn } = useNotices();
  const [ref, { width: wide }] = useSize(900, 500);
  const width = Math.max(NARROWEST, wide);
  const layout = useMemo(() => layoutOf(plan, stock, width), [plan, stock, width]);
  const [chosenId, choose] = useState<string | null>(null);
  const chosen = layout.blanks.find(({ id }) => id === chosenId) ?? null;
  const move = (to: Move): boolean => {
    if (to === null) return false;
    if ("why" in to) {
      warn(to.why === "only" ? movingText.isOnly : movingText.cannot(whyNot(to.why)));
      return false;
    }
    onPins(withPin(pins, to));
    return true;
  };
  const freeAll = () => {
    onPins([]);
    say(movingText.areFree, { name: movingText.undo, run: () => onPins(pins) });
  };
  const names = [...new Set(plan.notThere.map(({ piece }) => nameOf(piece)))];
  return (
    <div className={isBefore ? "opacity-80" : ""}>
      {names.length > 0 && <p className="pb-2 text-sm text-warn">○ {movingText.notThere(names.join(", "))}</p>}
      <div ref={ref} className="w-full overflow-x-hidden">
        <DrawerDrawing
          {...{ layout, width, units, nameOf, colourOf }}
          chosen={chosenId}
          onChoose={choose}
          onMove={move}
          onPin={(blank) => onPins(blank.isPinned ? withoutPin(pins, blank.id) : withPin(pins, pinHere(blank)))}
        />
      </div>
      {(layout.blanks.length > 0 || pins.length > 0) && (
        <MovingBar
          {...{ layout, pins }}
          blank={chosen}
          label={chosen && labelOf(chosen, nameOf, units)}
          onMove={move}
          onPin={(pin) => onPins(withPin(pins, pin))}
          onFree={(id) => onPins(withoutPin(pins, id))}
          onFreeAll={freeAll}
        />
      )}
    </div>
  );
}
