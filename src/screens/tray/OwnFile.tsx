"use client";

import { useClock } from "@/ui/clock";
import { canChooseFile, chooseFile, forgetFile, useOwnFile, writeAgain } from "@/ui/own-file";
import { useTray } from "@/ui/tray";
import { ownFileText } from "@/words/screens/tray";

/** The file that everything is written into after each make, where the browser can do that; nothing where it cannot. */
export function OwnFile() {
  const tray = useTray();
  const clockOf = useClock();
  const { name, wantsPress, writtenAt, problem } = useOwnFile();
  if (!canChooseFile()) return null;
  if (name === null)
    return (
      <button type="button" className="btn mt-1.5" onClick={() => void chooseFile(tray)}>
        {ownFileText.choose}
      </button>
    );
  return (
    <div className="mt-1.5">
      <p>
        {problem !== null
          ? ownFileText.notWritten(name, problem)
          : writtenAt === null
            ? ownFileText.writtenAfterEach(name)
            : ownFileText.writtenAt(name, clockOf(writtenAt))}
      </p>
      <span className="mt-1 flex flex-wrap gap-2">
        {(wantsPress || problem !== null) && (
          <button type="button" className="btn btn-main" onClick={() => void writeAgain(tray, true)}>
            {ownFileText.goOn(name)}
          </button>
        )}
        <button type="button" className="btn" onClick={() => void forgetFile()}>
          {ownFileText.noMore}
        </button>
      </span>
    </div>
  );
}
