"use client";

import { useEffect } from "react";
import { useStore } from "zustand";
import { bestHeats } from "@/core/heats/best";
import { type StepTimes, ownMinutesFrom, stepTimesOf } from "@/core/making/own-minutes";
import { SHIPPED_BENCH, benchOf } from "@/core/piece/bench";
import { type Make, isUnderWay, pieceNow } from "@/core/piece/make";
import { attemptPlan } from "@/formats/attempt";
import { type Tray } from "@/store/tray";
import { IDLE_TIMEOUT, whenIdle } from "./idle";
import { setOwnMinutes } from "./planner";

/** The makes that count: hands get quicker. */
const MOST_COUNTED = 20;
/** By make: what its ticks have shown, for as long as they do not change. */
const known = new Map<string, { readonly ticks: string; readonly times: StepTimes }>();

/** Works out, while the page rests, how long the maker's own hands take at each step, by their newest finished makes: every plan goes by it. */
export function OwnMinutes({ tray }: { readonly tray: Tray }) {
  const makes = useStore(tray.store, (state) => state.makes);
  useEffect(() => {
    let isGone = false;
    const learn = async () => {
      // All of them within one wait: on a busy page one at a time would take a minute.
      const end = performance.now() + IDLE_TIMEOUT;
      const rest = () => whenIdle(Math.max(0, end - performance.now()));
      await rest();
      if (isGone) return;
      const counted = Object.values(makes)
        .flat()
        .filter((make) => !isUnderWay(make))
        .sort((a, b) => (a.started < b.started ? 1 : -1))
        .slice(0, MOST_COUNTED);
      const all: StepTimes[] = [];
      for (const make of counted) {
        const ticks = JSON.stringify(make.done);
        if (known.get(make.id)?.ticks !== ticks) {
          await rest();
          if (isGone) return;
          known.set(make.id, { ticks, times: timesIn(make) });
        }
        all.push(known.get(make.id)!.times);
      }
      if (!isGone) setOwnMinutes(ownMinutesFrom(all));
    };
    void learn();
    return () => void (isGone = true);
  }, [makes]);
  return null;
}

/** None of a making whose piece cannot be planned. */
function timesIn(make: Make): StepTimes {
  const piece = pieceNow(make);
  const attempt = attemptPlan(piece, benchOf(piece, SHIPPED_BENCH), (assembly, wishes) => bestHeats(assembly, wishes, () => true));
  return attempt.ok ? stepTimesOf(attempt.plan.steps, make.done, Date.parse) : new Map<never, never>();
}
