"use client";

import { useRouter } from "next/navigation";
import { type ReactNode, Suspense, createContext, lazy, useContext, useMemo, useState } from "react";
import { EXPLAINED, EXPLAINED_WORDS, type ExplainedWord } from "@/words/explain";
import { useCodes } from "./codes/codes";
import { useKeys } from "./keys";
import { useOpening } from "./opening";
import { useWhenIdle } from "./idle";
import { commonText } from "@/words/common";
import { codesText, findText } from "@/words/ui";

const loadFind = () => import("./FindDialog").then(({ FindDialog }) => ({ default: FindDialog }));
const FindDialog = lazy(loadFind);
const ExplainDialog = lazy(() => import("./ExplainDialog").then(({ ExplainDialog }) => ({ default: ExplainDialog })));
const KeysList = lazy(() => import("./KeysList").then(({ KeysList }) => ({ default: KeysList })));

/** Something a screen lets be found: a stage, a figure, a command. */
export interface Findable {
  readonly group: "Stages" | "Figures" | "Words" | "Commands";
  readonly name: string;
  readonly detail?: string;
  /** What it is found by, where that is more than its name. */
  readonly words?: string;
  readonly go: () => void;
}

interface Finding {
  readonly open: () => void;
  /** What is offered is made when it is asked for, so that a screen may offer anew at every change. */
  readonly offer: (findables: () => readonly Findable[]) => void;
}

const FindContext = createContext<Finding>({ open: () => undefined, offer: () => undefined });

/** Where a screen says what it lets be found. */
export function useFind(): Finding {
  return useContext(FindContext);
}

export function FindButton() {
  const { open } = useFind();
  return (
    <button type="button" className="btn" onClick={open}>
      {findText.find} <kbd className="key">/</kbd>
    </button>
  );
}

/** Holds what the screen shown offers, without a render for each offer. */
function findBoard() {
  let made: () => readonly Findable[] = () => [];
  return {
    offer: (findables: () => readonly Findable[]) => void (made = findables),
    read: () => made(),
  };
}

/** `/` finds pieces, stages, figures and commands; `?` lists the keys. */
export function FindProvider({ children }: { readonly children: ReactNode }) {
  const router = useRouter();
  const { pick } = useOpening();
  const { read } = useCodes();
  const [shown, show] = useState<"find" | "keys" | ExplainedWord | null>(null);
  const [offered, setOffered] = useState<readonly Findable[]>([]);
  const [board] = useState(findBoard);
  const value = useMemo(() => {
    const open = () => {
      setOffered(board.read());
      show("find");
    };
    return { offer: board.offer, open };
  }, [board]);
  useKeys({ "/": value.open, "?": () => show("keys") });
  useWhenIdle(loadFind);
  const commands: readonly Findable[] = [
    ...offered,
    ...EXPLAINED_WORDS.map((word): Findable => ({
      group: "Words",
      name: EXPLAINED[word].name,
      detail: findText.whatItMeans,
      go: () => show(word),
    })),
    { group: "Commands", name: findText.openAFile, go: pick },
    { group: "Commands", name: codesText.readCodes, go: read },
    { group: "Commands", name: findText.planTheDay, go: () => router.push("/day") },
    { group: "Commands", name: findText.ledger, go: () => router.push("/ledger") },
    { group: "Commands", name: findText.sums, go: () => router.push("/sums") },
    { group: "Commands", name: findText.practise, go: () => router.push("/practice") },
    { group: "Commands", name: commonText.myBench, go: () => router.push("/my-bench") },
    { group: "Commands", name: commonText.backToTheTray, go: () => router.push("/") },
    { group: "Commands", name: findText.listTheKeys, go: () => show("keys") },
  ];
  return (
    <FindContext value={value}>
      {children}
      <Suspense>
        {shown === "find" && <FindDialog commands={commands} onClose={() => show(null)} />}
        {shown === "keys" && <KeysList onClose={() => show(null)} />}
        {shown !== null && shown !== "find" && shown !== "keys" && <ExplainDialog word={shown} onClose={() => show(null)} />}
      </Suspense>
    </FindContext>
  );
}
