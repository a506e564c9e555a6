"use client";

import { useEffect, useState } from "react";
import { type Choice, type RestoreItem, choicesFor } from "@/store/restore-items";
import { type Choices } from "@/store/restoring";
import { RepositoryError } from "@/store/repository";
import { faultSentence } from "@/words/fields";
import { counted, listed } from "@/words/names";
import { TROUBLE_WORDS } from "@/words/trouble";
import { Dialog, DialogActions } from "./Dialog";
import { type Asked, Problem } from "./asked";
import { ProgressBar } from "./ProgressDialog";
import { RestoreList } from "./RestoreList";
import { useNotices } from "./notices";
import { useTray, useUnits } from "./tray";
import { commonText } from "@/words/common";
import { restoreDialogText } from "@/words/ui";

/** Everything saved at once: what of it is good, how each part stands beside what is here and what becomes of it; then all that was chosen, or none. */
export function RestoreDialog({ opened, onClose }: Asked<"backup">) {
  const tray = useTray();
  const units = useUnits();
  const { say, warn } = useNotices();
  const { backup } = opened;
  const [items, setItems] = useState<readonly RestoreItem[] | null>(null);
  /** What was chosen otherwise than usual, by key. */
  const [choices, setChoices] = useState<Choices>(new Map());
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    tray.restoreItems(backup).then(setItems, (error: unknown) => {
      if (!(error instanceof RepositoryError)) throw error;
      setProblem(TROUBLE_WORDS[error.trouble]);
    });
  }, [tray, backup]);
  const chosen = (item: RestoreItem) => choices.get(item.key) ?? choicesFor(item)[0];
  const choose = (some: readonly RestoreItem[], choice: Choice) =>
    setChoices((before) => {
      const fitting = some.filter((item) => choicesFor(item).includes(choice));
      return new Map([...before, ...fitting.map(({ key }) => [key, choice] as const)]);
    });
  const [first = counted(0, "piece"), ...others] = countedAll({
    pieces: backup.pieces.length,
    makes: backup.makes.length,
    tries: backup.tries.length,
  });
  const coming = (items ?? []).filter((item) => item.standing !== "same" && chosen(item) !== "mine");
  const [share, setShare] = useState<number | null>(null);
  const [stopping, setStopping] = useState<AbortController | null>(null);
  const of = coming.length;
  const restore = () => {
    const stop = new AbortController();
    setStopping(stop);
    setProblem(null);
    setShare(0);
    const onDone = (done: number) => done % 50 === 0 && setShare(done / of);
    const end = () => {
      setShare(null);
      setStopping(null);
    };
    const fail = (error: unknown) => {
      if (!(error instanceof RepositoryError)) throw error;
      setProblem(restoreDialogText.nothingWasChanged(TROUBLE_WORDS[error.trouble]));
    };
    const done = (putBack: () => Promise<number>) => {
      const undo = async () => {
        const left = await putBack().catch((error: unknown) => {
          if (!(error instanceof RepositoryError)) throw error;
          return null;
        });
        if (left === null) warn(restoreDialogText.notUndoneEverythingStaysAs);
        else
          say(left === 0 ? restoreDialogText.undoneEverythingIsAsIt : restoreDialogText.undoneButForChangedSince(counted(left, "record")));
      };
      const count = (kind: RestoreItem["kind"]) => coming.filter((item) => item.kind === kind).length;
      say(
        restoreDialogText.restored(
          listed([
            ...countedAll({ pieces: count("piece"), makes: count("make"), tries: count("try") }),
            ...(count("bench") > 0 ? [restoreDialogText.theBench] : []),
          ]),
        ),
        {
          name: commonText.undo,
          run: () => void undo(),
        },
      );
      onClose();
    };
    void tray
      .restore(backup, new Map(coming.map((item) => [item.key, chosen(item)])), { signal: stop.signal, onDone })
      .then(done)
      .catch(fail)
      .finally(end);
  };
  return (
    <Dialog title={restoreDialogText.restoreWhat(first)} onClose={() => (stopping ? stopping.abort() : onClose())} width={560}>
      <p className="text-soft">
        {others.length === 0 ? restoreDialogText.from(opened.file) : restoreDialogText.fromWith(opened.file, listed(others))}
      </p>
      {backup.unread.length > 0 && (
        <section aria-label={restoreDialogText.cannotBeRead} className="mt-2 rounded-md bg-bad-wash px-2.5 py-2 text-sm text-melt">
          <b>{restoreDialogText.ofItCannotBeRead(counted(backup.unread.length, "part"))}</b>
          <ul className="break-words">
            {backup.unread.slice(0, MOST_SHOWN).map(({ path, name, faults }) => (
              <li key={path}>
                {name || path}: {faultSentence(faults[0]!, units)}
              </li>
            ))}
            {backup.unread.length > MOST_SHOWN && <li>{restoreDialogText.andMore(backup.unread.length - MOST_SHOWN)}</li>}
          </ul>
        </section>
      )}
      {items && <RestoreList items={items} chosen={chosen} onChoose={choose} />}
      {items && coming.length === 0 && (
        <p role="status" className="mt-3 text-sm">
          <b>{restoreDialogText.nothingWouldChange}</b>{" "}
          {items.some(({ standing }) => standing !== "same")
            ? restoreDialogText.everythingHereStaysAsYou
            : restoreDialogText.everythingInThisFileIs}
        </p>
      )}
      {share !== null && (
        <div className="mt-3">
          <ProgressBar label={restoreDialogText.restoring} share={share} />
        </div>
      )}
      <Problem text={problem} />
      <DialogActions>
        {stopping ? (
          <button type="button" className="btn" onClick={() => stopping.abort()}>
            {restoreDialogText.stopChangeNothing}
          </button>
        ) : (
          <button type="button" className="btn" onClick={onClose}>
            {commonText.cancel}
          </button>
        )}
        <button type="button" className="btn btn-main" disabled={stopping !== null || coming.length === 0} onClick={restore}>
          {restoreDialogText.restore}
        </button>
      </DialogActions>
    </Dialog>
  );
}

const MOST_SHOWN = 8;

/** How many of each kind there are, of those there are any of. */
function countedAll({ pieces, makes, tries }: Readonly<Record<"pieces" | "makes" | "tries", number>>): string[] {
  return [
    ...(pieces > 0 ? [counted(pieces, "piece")] : []),
    ...(makes > 0 ? [counted(makes, "make")] : []),
    ...(tries > 0 ? [counted(tries, "try", "tries")] : []),
  ];
}
