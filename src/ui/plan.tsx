"use client";

import { createContext, useContext } from "react";
import { type Plan } from "@/core/piece/plan";
import { type Planned } from "./planner";

const PlanContext = createContext<Planned | null>(null);

export const PlanProvider = PlanContext;

function usePlannedHere(): Planned {
  const planned = useContext(PlanContext);
  if (!planned) throw new Error("no plan around this screen");
  return planned;
}

export function usePlan(): Plan {
  return usePlannedHere().plan;
}

/** Whether better heats are still being searched for. */
export function useIsSettling(): boolean {
  return usePlannedHere().isSettling;
}
