"use client";

import { stageOf } from "@/words/stages";
import { sayFinding } from "@/words/findings";
import { sayRemedy } from "@/words/remedies";
import { Note } from "./Note";
import { useStanding } from "./standing";
import { useDoubt } from "./doubt";
import { usePlan } from "./plan";
import { useUnits } from "./tray";

/** What the plan has to say about a stage of one setting. */
export function FindingNotes({ stage, mount }: { readonly stage: string; readonly mount: string }) {
  const plan = usePlan();
  const units = useUnits();
  const doubtOf = useDoubt();
  const findings = plan.findings.filter((finding) => stageOf(finding, mount) === stage);
  const standing = useStanding(plan.piece).filter(
    (remedy) => stage === (remedy.mount === null ? "hoop" : "wall") && (remedy.mount ?? mount) === mount,
  );
  if (findings.length === 0 && standing.length === 0) return null;
  return (
    <div className="flex max-h-[40%] shrink-0 flex-wrap gap-2 overflow-y-auto px-3 pt-1.5 pb-2.5 max-lg:max-h-none">
      {standing.map((remedy) => (
        <Note key={`${remedy.code} ${remedy.figure}`} level={remedy.level} said={sayRemedy(remedy, units)} />
      ))}
      {findings.map((finding, i) => (
        <Note key={`${finding.code}${i}`} level={finding.level} said={sayFinding(finding, plan, units)} doubt={doubtOf(finding.at)} />
      ))}
    </div>
  );
}
