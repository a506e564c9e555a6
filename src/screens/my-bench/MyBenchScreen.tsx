"use client";

import { useState } from "react";
import { Redo2, Undo2 } from "lucide-react";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { useTitle } from "@/ui/title";
import { useKeys } from "@/ui/keys";
import { useModule } from "@/ui/module";
import { useOpening } from "@/ui/opening";
import { saveFile } from "@/ui/save-file";
import { useTrayState } from "@/ui/tray";
import { TROUBLE_WORDS } from "@/words/trouble";
import { loadFiles } from "../lazy-data";
import { loadDefaults } from "../lazy-screens";
import { useBenchEdit } from "./bench-edit";
import { RefusedContext, newRefused, useRefusedCount } from "./refused";
import { commonText } from "@/words/common";
import { myBenchScreenText } from "@/words/screens/my-bench";

/** The maker's defaults: what a piece leaves out is taken from here. */
export function MyBenchScreen() {
  const edit = useBenchEdit();
  const [refused] = useState(newRefused);
  const isOneRefused = useRefusedCount(refused) > 0;
  const undo = () => {
    if (!refused.takeLast()) edit.undo();
  };
  const trouble = useTrayState((state) => state.trouble);
  const { pick } = useOpening();
  const defaults = useModule(loadDefaults);
  useTitle(commonText.myBench);
  useKeys({ "$mod+z": undo, "$mod+Shift+z": edit.redo, "$mod+y": edit.redo });
  return (
    <main className="min-h-dvh">
      <NavBar>
        {trouble && <span className="text-sm font-semibold text-bad">{TROUBLE_WORDS[trouble]}</span>}
        <button
          type="button"
          className="btn btn-plain"
          aria-label={commonText.undo}
          disabled={!edit.canUndo && !isOneRefused}
          onClick={undo}
        >
          <Undo2 size={15} aria-hidden="true" />
        </button>
        <button type="button" className="btn btn-plain" aria-label={myBenchScreenText.redo} disabled={!edit.canRedo} onClick={edit.redo}>
          <Redo2 size={15} aria-hidden="true" />
        </button>
        <FindButton />
        <button type="button" className="btn" onClick={pick}>
          {myBenchScreenText.openFile}
        </button>
        <button
          type="button"
          className="btn btn-main"
          onClick={() => void loadFiles().then(({ benchText }) => saveFile("my-bench.json", benchText(edit.bench)))}
        >
          {commonText.saveFile}
        </button>
      </NavBar>
      <div className="mx-auto max-w-377 px-6 py-5 max-lg:px-3.5">
        <h1 className="mb-2 text-2xl font-bold font-condensed">{commonText.myBench}</h1>
        <RefusedContext value={refused}>{defaults && <defaults.Defaults edit={edit} />}</RefusedContext>
      </div>
    </main>
  );
}
