"use client";

import { stageOf } from "@/words/stages";
import { sayFinding } from "@/words/findings";
import { Note } from "./Note";
import { useDoubt } from "./doubt";
import { usePlan } from "./plan";
import { useUnits } from "./tray";

/** What the plan has to say about a stage of one setting. */
export function FindingNotes({ stage, mount }: { readonly stage: string; readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const doubtOf = useDoubt();
  return plan.findings
    .filter((finding) => stageOf(finding, mount) === stage)
    .map((finding, i) => (
      <Note key={`${finding.code}${i}`} level={finding.level} said={sayFinding(finding, plan, units)} doubt={doubtOf(finding.at)} />
    ));
}
