"use client";

import { pieceNow } from "@/core/piece/make";
import { Dialog, DialogActions } from "@/ui/Dialog";
import { usePlans } from "@/ui/planner";
import { useTrayState, useUnits } from "@/ui/tray";
import { dayText } from "@/words/dates";
import { type Entry } from "./entries";
import { compared } from "./compare";
import { compareDialogText } from "@/words/screens/ledger";

/** Two or three makes side by side, a line a thing; what differs is marked. */
export function CompareDialog({ entries, onClose }: { readonly entries: readonly Entry[]; readonly onClose: () => void }) {
  const units = useUnits();
  const bench = useTrayState((state) => state.bench);
  const plans = usePlans();
  const makes = entries.map((entry) => {
    const attempt = plans.soon(pieceNow(entry.make), bench);
    return { entry, plan: attempt?.ok ? attempt.plan : null };
  });
  const groups = compared(makes, units);
  const columns = { gridTemplateColumns: `repeat(${makes.length}, minmax(0, 1fr))` };
  return (
    <Dialog title={compareDialogText.countSideBySide(makes.length)} onClose={onClose} width={860}>
      <div role="table" aria-label={compareDialogText.makesSideBySide} className="text-sm">
        <div role="row" className="sticky -top-4 z-10 grid bg-sheet py-1 lg:grid-cols-[180px_1fr]">
          <span role="columnheader" className="text-soft">
            <span className="text-warn">◆</span> {compareDialogText.differs}
          </span>
          <span role="presentation" className="grid gap-x-3" style={columns}>
            {makes.map(({ entry: { make, piece } }) => (
              <b key={make.id} role="columnheader" className="min-w-0 break-words">
                {piece.name}, {dayText(make.started)}
              </b>
            ))}
          </span>
        </div>
        {groups.map(({ title, rows }) => (
          <div key={title} role="rowgroup" aria-label={title}>
            <h2 className="section-head mt-3">{title}</h2>
            {rows.map(({ name, cells, differs }) => (
              <div key={name} role="row" className={`grid border-t border-hair py-1 lg:grid-cols-[180px_1fr] ${differs ? "bg-note" : ""}`}>
                <span role="rowheader" className="pr-2 text-soft">
                  {differs && (
                    <span aria-hidden="true" className="text-warn">
                      ◆{" "}
                    </span>
                  )}
                  {name}
                  {differs && <span className="sr-only">{compareDialogText.andDiffers}</span>}
                </span>
                <span role="presentation" className="grid gap-x-3" style={columns}>
                  {cells.map((cell, i) => (
                    <span key={i} role="cell" className={`min-w-0 break-words ${differs ? "font-strong" : ""}`}>
                      {cell || "–"}
                    </span>
                  ))}
                </span>
              </div>
            ))}
          </div>
        ))}
      </div>
      <DialogActions>
        <button type="button" className="btn btn-main" onClick={onClose}>
          {compareDialogText.close}
        </button>
      </DialogActions>
    </Dialog>
  );
}
