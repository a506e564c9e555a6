import { useEffect, useMemo } from "react";
import { type BenchEntry } from "@/core/piece/bench";
import { MODEL, type TryFile, pieceOfTry, tryFile } from "@/formats/flame-file";
import { type TryRecord, type Unrevised } from "@/store/repository";
import { newId } from "@/store/ids";
import { isTold } from "@/store/tray-state";
import { useNotices } from "@/ui/notices";
import { useTray, useTrayState } from "@/ui/tray";
import { commonText } from "@/words/common";
import { practiceText } from "@/words/screens/practice";
import { type Tried, linesOf } from "./run";
import { type Scene, isOf, isWonAt } from "./scene";

/** A try as it is listed beside a heat. */
export interface ListedTry extends Pick<Unrevised<TryRecord>, "tried" | "lines"> {
  readonly isWon: boolean;
  /** Whether piece, bench and heat are as they were: else it was another heat that was tried. */
  readonly isOfNow: boolean;
  /** Whether it can be played again. */
  readonly isPlayable: boolean;
}

const NONE: readonly Unrevised<TryRecord>[] = [];

/** The tries kept of a heat, the last first; to keep one that is over, and to remove one. */
export function useTries(scene: Scene, bench: BenchEntry) {
  const tray = useTray();
  const { say } = useNotices();
  const { piece, plan, index } = scene;
  const kept = useTrayState(({ tries }) => tries[piece.id]) ?? NONE;
  useEffect(() => void tray.readTries(piece.id), [tray, piece.id]);
  const { joints } = plan.heats[index]!;
  const tries = useMemo(
    () =>
      kept
        .filter(({ tried }) => tried.joints.some((joint) => joints.includes(joint)))
        .map(({ tried, lines }): ListedTry => ({
          tried,
          ...(lines && { lines }),
          isWon: isWonAt(tried, scene),
          isOfNow: isOf(tried, scene, bench),
          isPlayable: tried.model === MODEL,
        })),
    [kept, joints, scene, bench],
  );
  return {
    tries,
    keep: ({ flame, course, outcome: { result } }: Tried): void => {
      const ended = { id: newId(), at: new Date().toISOString(), pieceFile: pieceOfTry(piece, bench), joints, flame, result };
      void tray.keepTry(tryFile(ended), linesOf(course)).catch(isTold);
    },
    remove: ({ id }: TryFile): void => {
      const haveBack = (back: () => Promise<void>) =>
        say(practiceText.removed, { name: commonText.undo, run: () => void back().catch(isTold) });
      void tray.removeTry(id).then(haveBack, isTold);
    },
  };
}
