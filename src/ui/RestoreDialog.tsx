"use client";

import { useEffect, useState } from "react";
import { type Make, pieceNow } from "@/core/piece/make";
import { type RestoreAnswers } from "@/store/restoring";
import { KeepError } from "@/store/keeper";
import { faultSentence } from "@/words/fields";
import { counted } from "@/words/names";
import { TROUBLE_WORDS } from "@/words/trouble";
import { Dialog, DialogActions } from "./Dialog";
import { type Asked, Problem } from "./asked";
import { ProgressBar } from "./ProgressDialog";
import { useNotices } from "./notices";
import { useTray } from "./tray";

/** Everything saved at once: what of it is good, what becomes of what is there, and whose bench goes on; then all of it, or none. */
export function RestoreDialog({ opened, onClose }: Asked<"backup">) {
  const tray = useTray();
  const { say, warn } = useNotices();
  const { backup, taken, isOtherBench } = opened;
  const [how, setHow] = useState<RestoreAnswers["how"]>("replace");
  const [bench, setBench] = useState<RestoreAnswers["bench"]>(backup.bench ? "theirs" : "mine");
  const [problem, setProblem] = useState<string | null>(null);
  const [further, setFurther] = useState<RestoreAnswers["further"]>("mine");
  const [furtherHere, setFurtherHere] = useState<readonly Make[] | null>(null);
  useEffect(() => {
    tray.furtherHere(backup.makes).then(setFurtherHere, (error: unknown) => {
      if (!(error instanceof KeepError)) throw error;
      setProblem(TROUBLE_WORDS[error.trouble]);
    });
  }, [tray, backup]);
  const [share, setShare] = useState<number | null>(null);
  const [stopping, setStopping] = useState<AbortController | null>(null);
  const of = backup.pieces.length + backup.makes.length;
  const names = backup.pieces.filter(({ id }) => taken.includes(id)).map(({ name }) => name);
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
      if (!(error instanceof KeepError)) throw error;
      setProblem(`${TROUBLE_WORDS[error.trouble]}. Nothing was changed`);
    };
    const done = (putBack: () => Promise<number>) => {
      const undo = async () => {
        const left = await putBack().catch((error: unknown) => {
          if (!(error instanceof KeepError)) throw error;
          return null;
        });
        if (left === null) warn("Not undone: everything stays as it was restored.");
        else say(left === 0 ? "Undone: everything is as it was before" : `Undone, but for ${counted(left, "record")} changed since`);
      };
      say(`Restored: ${counted(backup.pieces.length, "piece")} and ${counted(backup.makes.length, "making")}`, {
        name: "Undo",
        run: () => void undo(),
      });
      onClose();
    };
    void tray.restore(backup, { how, bench, further }, { signal: stop.signal, onDone }).then(done).catch(fail).finally(end);
  };
  return (
    <Dialog
      title={`Restore ${backup.pieces.length === 0 ? counted(backup.makes.length, "making") : counted(backup.pieces.length, "piece")}`}
      onClose={() => (stopping ? stopping.abort() : onClose())}
      width={560}
    >
      <p className="text-soft">
        From {opened.file}, with {counted(backup.makes.length, "making")}.
      </p>
      {backup.unread.length > 0 && (
        <section aria-label="Cannot be read" className="mt-2 rounded-[5px] bg-bad-wash px-[9px] py-[7px] text-[13px] text-[#7d1712]">
          <b>◆ {counted(backup.unread.length, "part")} of it cannot be read and will be left out:</b>
          <ul className="break-words">
            {backup.unread.slice(0, MOST_SHOWN).map(({ path, name, faults }) => (
              <li key={path}>
                {name || path}: {faultSentence(faults[0]!)}
              </li>
            ))}
            {backup.unread.length > MOST_SHOWN && <li>and {backup.unread.length - MOST_SHOWN} more</li>}
          </ul>
        </section>
      )}
      {names.length > 0 && (
        <Question
          legend={`${counted(names.length, "piece")} of the same id ${names.length === 1 ? "is" : "are"} on the tray: ${names.slice(0, 6).join(", ")}`}
          value={how}
          onChoose={setHow}
          options={[
            { value: "replace", text: "Put these in their place" },
            { value: "both", text: "Keep both" },
          ]}
        />
      )}
      {furtherHere !== null && furtherHere.length > 0 && how === "replace" && (
        <Question
          legend={`${counted(furtherHere.length, "make")} ${furtherHere.length === 1 ? "is" : "are"} further on here than in this file: ${furtherHere
            .slice(0, 6)
            .map((make) => `${pieceNow(make).name}, ${counted(make.done.length, "step")} done`)
            .join("; ")}`}
          value={further}
          onChoose={setFurther}
          options={[
            { value: "mine", text: "Keep what is here" },
            { value: "theirs", text: "Put the file's in their place: what was done since is gone" },
          ]}
        />
      )}
      {isOtherBench && (
        <Question
          legend="The bench it was saved with has other defaults than yours"
          value={bench}
          onChoose={setBench}
          options={[
            { value: "theirs", text: "Take that bench as mine" },
            { value: "mine", text: "Keep my bench; these pieces go on with theirs" },
          ]}
        />
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
        <button type="button" className="btn btn-main" disabled={stopping !== null || furtherHere === null} onClick={restore}>
          Restore
        </button>
      </DialogActions>
    </Dialog>
  );
}

const MOST_SHOWN = 8;

interface QuestionProps<T extends string> {
  readonly legend: string;
  readonly value: T;
  readonly onChoose: (value: T) => void;
  readonly options: readonly { readonly value: T; readonly text: string }[];
}

function Question<T extends string>({ legend, value, onChoose, options }: QuestionProps<T>) {
  return (
    <fieldset className="mt-3 text-[13.5px]">
      <legend className="mb-1 text-soft">{legend}.</legend>
      {options.map((option) => (
        <label key={option.value} className="flex items-center gap-2 border-t border-hair py-1">
          <input
            type="radio"
            name={legend}
            checked={option.value === value}
            onChange={() => onChoose(option.value)}
            className="accent-[#0b5d66]"
          />
          {option.text}
        </label>
      ))}
    </fieldset>
  );
}
