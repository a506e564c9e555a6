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
  useTitle("My bench");
  useKeys({ "$mod+z": undo, "$mod+Shift+z": edit.redo, "$mod+y": edit.redo });
  return (
    <main className="min-h-dvh">
      <NavBar>
        {trouble && <span className="text-[12.5px] font-semibold text-bad">{TROUBLE_WORDS[trouble]}</span>}
        <button type="button" className="btn btn-plain" aria-label="Undo" disabled={!edit.canUndo && !isOneRefused} onClick={undo}>
          <Undo2 size={15} aria-hidden="true" />
        </button>
        <button type="button" className="btn btn-plain" aria-label="Redo" disabled={!edit.canRedo} onClick={edit.redo}>
          <Redo2 size={15} aria-hidden="true" />
        </button>
        <FindButton />
        <button type="button" className="btn" onClick={pick}>
          Open file
        </button>
        <button
          type="button"
          className="btn btn-main"
          onClick={() => void loadFiles().then(({ benchText }) => saveFile("my-bench.json", benchText(edit.bench)))}
        >
          Save file
        </button>
      </NavBar>
      <div className="mx-auto max-w-[1320px] px-6 py-5 max-lg:px-3.5">
        <h1 className="mb-2 text-[22px] font-bold [font-stretch:92%]">My bench</h1>
        <RefusedContext value={refused}>{defaults && <defaults.Defaults edit={edit} />}</RefusedContext>
      </div>
    </main>
  );
}
