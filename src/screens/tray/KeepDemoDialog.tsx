"use client";

import { Dialog, DialogActions } from "@/ui/Dialog";
import { trayScreenText } from "@/words/screens/tray";

interface Props {
  /** Names of the demo's pieces whose make is under way. */
  readonly underWay: readonly string[];
  readonly onRemove: () => void;
  readonly onKeep: () => void;
}

/** Asks before the demo is removed while something of it is being made. */
export function KeepDemoDialog({ underWay, onRemove, onKeep }: Props) {
  return (
    <Dialog title={trayScreenText.aPieceOfTheDemo} onClose={onKeep}>
      <p className="text-soft">
        {trayScreenText.underWayClearedAwayThe(
          underWay.join(", "),
          underWay.length === 1 ? trayScreenText.aMakeOfItIs : trayScreenText.makesOfThemAre,
        )}
      </p>
      <DialogActions>
        <button type="button" className="btn" onClick={onRemove}>
          {trayScreenText.removeTheDemoPieces}
        </button>
        <button type="button" className="btn btn-main" onClick={onKeep}>
          {trayScreenText.keepTheDemo}
        </button>
      </DialogActions>
    </Dialog>
  );
}
