"use client";

import { useMemo } from "react";
import { learnedFrom } from "@/core/piece/ledger";
import { useTrayState, useUnits } from "@/ui/tray";
import { dayText } from "@/words/dates";
import { OFF_NAMES } from "@/words/ledger";
import { mishapName } from "@/words/making";
import { withUnit } from "@/words/show";
import { lastTimeText } from "@/words/screens/at-bench";

/** What the last making of this piece taught: what it came to, what was said, what came off and what went wrong. */
export function LastTime({ piece }: { readonly piece: string }) {
  const units = useUnits();
  const last = useTrayState(({ makes }) => makes[piece]?.find(({ finished }) => finished !== null));
  const lost = useMemo(() => (last ? learnedFrom([last]).flatMap(({ observed }) => observed) : []), [last]);
  if (!last) return null;
  const told = [
    ...(last.result?.size ? [lastTimeText.cameTo(last.result.size)] : []),
    ...lost.map(({ kind, value }) => lastTimeText.cameOff(withUnit(value, "measured", units), OFF_NAMES[kind])),
    ...last.remedies.map(({ code }) => mishapName(code).toLowerCase()),
  ];
  return (
    <aside
      aria-label={lastTimeText.lastTimeHeading}
      className="rounded-lg border border-night-line px-3.5 py-2 text-base leading-snug text-night-soft lg:text-lg"
    >
      <b className="text-night-ink">{lastTimeText.lastTime(dayText(last.finished ?? last.started))}</b>{" "}
      {last.result?.words && <>“{last.result.words}” </>}
      {told.length > 0 && `${told.join("; ")}.`}
    </aside>
  );
}
