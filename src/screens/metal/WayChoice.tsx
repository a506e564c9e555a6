"use client";

import { useId } from "react";
import { type CuttingWay } from "@/core/cutting/cutting-way";
import { type CutsPlan } from "@/core/cutting/plan-cuts";
import { WAY_NAMES } from "@/words/cuts";
import { metalText } from "@/words/screens/metal";
import { totalsOf } from "./view";

interface Props {
  readonly plans: readonly CutsPlan[];
  readonly way: CuttingWay;
  readonly onChoose: (way: CuttingWay) => void;
}

/** The three ways to lay the same cuts, with what each spoils and how much it begins. */
export function WayChoice({ plans, way, onChoose }: Props) {
  const name = useId();
  return (
    <table className="text-sm">
      <thead className="text-soft">
        <tr>
          <th className="pr-6 text-left font-normal">{metalText.laidSoThat}</th>
          <th className="pr-5 text-right font-normal">{metalText.spoiled}</th>
          <th className="text-right font-normal max-sm:hidden">{metalText.cutFrom}</th>
        </tr>
      </thead>
      <tbody>
        {plans.map((plan) => {
          const { spoiled, lengths, sheets } = totalsOf(plan);
          return (
            <tr key={plan.way} className={plan.way === way ? "bg-accent-wash font-semibold" : ""}>
              <td className="py-1 pr-6 pl-1.5">
                <label className="flex items-center gap-2">
                  <input type="radio" name={name} checked={plan.way === way} onChange={() => onChoose(plan.way)} />
                  {WAY_NAMES[plan.way]}
                </label>
              </td>
              <td className="pr-5 text-right">{metalText.grams(spoiled)}</td>
              <td className="pr-1.5 text-right max-sm:hidden">{metalText.both(lengths, sheets)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
