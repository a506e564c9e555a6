"use client";

import { useEffect, useState } from "react";
import { type Choice, type RestoreItem, choicesFor } from "@/store/restore-items";
import { type Choices } from "@/store/restoring";
import { RepositoryError } from "@/store/repository";
import { faultSentence } from "@/words/fields";
import { counted } from "@/words/names";
import { TROUBLE_WORDS } from "@/words/trouble";
import { Dialog, DialogActions } from "./Dialog";
import { type Asked, Problem } from "./asked";
import { ProgressBar } from "./ProgressDialog";
import { RestoreList } from "./RestoreList";
import { useNotices } from "./notices";
import { useTray, useUnits } from "./tray";

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
      setProblem(`${TROUBLE_WORDS[error.trouble]}. Nothing was changed`);
    };
    const done = (putBack: () => Promise<number>) => {
      const undo = async () => {
        const left = await putBack().catch((error: unknown) => {
          if (!(error instanceof RepositoryError)) throw error;
          return null;
        });
        if (left === null) warn("Not undone: everything stays as it was restored.");
        else say(left === 0 ? "Undone: everything is as it was before" : `Undone, but for ${counted(left, "record")} changed since`);
      };
      const count = (kind: RestoreItem["kind"]) => coming.filter((item) => item.kind === kind).length;
      say(
        `Restored: ${counted(count("piece"), "piece")} and ${counted(count("make"), "make")}${count("bench") > 0 ? ", and the bench" : ""}`,
        {
          name: "Undo",
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
    <Dialog
      title={`Restore ${backup.pieces.length === 0 ? counted(backup.makes.length, "make") : counted(backup.pieces.length, "piece")}`}
      onClose={() => (stopping ? stopping.abort() : onClose())}
      width={560}
    >
      <p className="text-soft">
        From {opened.file}, with {counted(backup.makes.length, "make")}.
      </p>
      {backup.unread.length > 0 && (
        <section aria-label="Cannot be read" className="mt-2 rounded-[5px] bg-bad-wash px-[9px] py-[7px] text-[13px] text-[#7d1712]">
          <b>◆ {counted(backup.unread.length, "part")} of it cannot be read and will be left out:</b>
          <ul className="break-words">
            {backup.unread.slice(0, MOST_SHOWN).map(({ path, name, faults }) => (
              <li key={path}>
                {name || path}: {faultSentence(faults[0]!, units)}
              </li>
            ))}
            {backup.unread.length > MOST_SHOWN && <li>and {backup.unread.length - MOST_SHOWN} more</li>}
          </ul>
        </section>
      )}
      {items && <RestoreList items={items} chosen={chosen} onChoose={choose} />}
      {items && coming.length === 0 && (
        <p role="status" className="mt-3 text-[13.5px]">
          <b>Nothing would change.</b>{" "}
          {items.some(({ standing }) => standing !== "same")
            ? "Everything here stays as you chose."
            : "Everything in this file is already here."}
        </p>
      )}
      {share !== null && (
        <div className="mt-3">
          <ProgressBar label="Restoring" share={share} />
        </div>
      )}
      <Problem text={problem} />
      <DialogActions>
        {stopping ? (
          <button type="button" className="btn" onClick={() => stopping.abort()}>
            Stop, change nothing
          </button>
        ) : (
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
        )}
        <button type="button" className="btn btn-main" disabled={stopping !== null || coming.length === 0} onClick={restore}>
          Restore
        </button>
      </DialogActions>
    </Dialog>
  );
}

const MOST_SHOWN = 8;
