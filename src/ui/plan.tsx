"use client";

import { createContext, useContext } from "react";
import { type Plan } from "@/core/piece/plan";

const PlanContext = createContext<Plan | null>(null);

export const PlanProvider = PlanContext;

export function usePlan(): Plan {
  const plan = useContext(PlanContext);
  if (!plan) throw new Error("no plan around this screen");
  return plan;
}
