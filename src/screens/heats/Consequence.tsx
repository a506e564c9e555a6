"use client";

import { usePlan } from "@/ui/plan";
import { movedText } from "@/words/heats";
import { capital, namesIn } from "@/words/names";
import { useUnits } from "@/ui/tray";
import { faultSentence } from "@/words/fields";
import { sayWay } from "@/words/ways";
import { letterOf } from "./ladder";
import { type Outcome } from "./moving";
import { type Moved } from "./pins";
import { consequenceText } from "@/words/screens/heats";

/** What letting go here would do, before it is let go. */
export function Consequence({ moved, outcome }: { readonly moved: Moved | null; readonly outcome: Outcome }) {
  const plan = usePlan();
  return (
    <div
      role="status"
      aria-label={consequenceText.whatItWouldDo}
      className="absolute top-1 left-1/2 z-20 max-w-160 min-w-80 -translate-x-1/2 rounded-md border border-accent bg-sheet px-3 py-2 text-sm shadow-lg"
    >
      <b className="block font-strong">{moved ? capital(movedText(moved, namesIn(plan).joint)) : consequenceText.holdItOverAHeat}</b>
      {moved && <Effect outcome={outcome} />}
    </div>
  );
}

function Effect({ outcome }: { readonly outcome: Outcome }) {
  const units = useUnits();
  if (!outcome) return <p className="text-soft">{consequenceText.workingItOut}</p>;
  if (!outcome.ok)
    return (
      <p className="text-bad">
        {outcome.faults
          .slice(0, 1)
          .map((fault) => faultSentence(fault, units))
          .join("")}
        .
      </p>
    );
  const { plan } = outcome;
  const { heats, moves } = sayWay(plan, (joint) => letterOf(plan, joint));
  if (plan.heatPlan.status === "impossible") return <p className="font-semibold text-bad">{consequenceText.noOrderWorksThatWay}</p>;
  return (
    <>
      {moves.length === 0 && <p className="text-ok">{consequenceText.allHold(heats)}</p>}
      {moves.map(({ what, text }, i) => (
        <p key={i} className={what === "softens" ? "text-warn" : "text-bad"}>
          ◆ {text}
        </p>
      ))}
    </>
  );
}
