"use client";

import { useMemo } from "react";
import { useStore } from "zustand";
import { editName } from "../making/edit-name";
import { underWay } from "@/store/tray-state";
import { type Piece } from "@/core/piece/piece";
import { useNotices } from "@/ui/notices";
import { useSession } from "@/ui/session";
import { useTray, useTrayState } from "@/ui/tray";
import { STAGE_NAMES, type StageId } from "@/words/stages";
import { undoText } from "@/words/screens/piece";

/** Undo and redo of what is seen, for the keys and the buttons. */
export interface Undoing {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/** Undoes what the stage shown is about: in the making what was done in it, elsewhere fields and drags, going to the stage that changes. */
export function useUndo(onStage: StageId | null, go: (stage: StageId) => void): Undoing {
  const fields = useUndoFields(onStage, go);
  const making = useUndoMaking(useSession().id);
  return onStage === "making" ? making : fields;
}

/** Undoes what was done in the making that is shown. */
export function useUndoMaking(piece: string): Undoing {
  const tray = useTray();
  const { say, warn } = useNotices();
  const make = useTrayState(({ makes }) => underWay(makes, piece));
  const steps = useTrayState(({ makeSteps }) => (make ? makeSteps[make.id] : undefined));
  return useMemo(() => {
    const step = (way: "past" | "future", word: string) => () => {
      if (!make || !steps?.[way].length) return;
      void tray
        .stepMake(make, way)
        .then((edit) => (edit === "not-kept" ? warn(undoText.thatWasNotKept) : edit && say(`${word}: ${editName(edit)}`)));
    };
    return {
      undo: step("past", undoText.undone),
      redo: step("future", undoText.redone),
      canUndo: (steps?.past.length ?? 0) > 0,
      canRedo: (steps?.future.length ?? 0) > 0,
    };
  }, [tray, make, steps, say, warn]);
}

function useUndoFields(onStage: StageId | null, go: (stage: StageId) => void): Undoing {
  const session = useSession();
  const { say } = useNotices();
  const canUndo = useStore(session.history, ({ pastStates }) => pastStates.length > 0);
  const canRedo = useStore(session.history, ({ futureStates }) => futureStates.length > 0);
  return useMemo(() => {
    const step = (word: string, act: () => void) => () => {
      const before = session.store.getState().piece;
      act();
      const after = session.store.getState().piece;
      if (before === after) return;
      const stage = stageOfChange(before, after);
      say(`${word}: ${stage ? STAGE_NAMES[stage] : undoText.thePiece}`);
      if (stage && stage !== onStage) go(stage);
    };
    return { undo: step(undoText.undone, session.undo), redo: step(undoText.redone, session.redo), canUndo, canRedo };
  }, [session, onStage, go, say, canUndo, canRedo]);
}

/** The first stage at which two states of a piece differ; null where none does: a name, a note. */
function stageOfChange(before: Piece, after: Piece): StageId | null {
  for (const [i, mount] of after.mounts.entries()) {
    const was = before.mounts[i];
    if (was?.stone !== mount.stone) return "stone";
    if (was.wall !== mount.wall) return "wall";
    if (was.plate !== mount.plate) return "plate";
  }
  if (before.carrier !== after.carrier) return after.carrier.type === "hoop" ? "hoop" : "bail";
  return before.heats !== after.heats ? "heats" : null;
}
