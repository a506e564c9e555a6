"use client";

import { type DrawnHang } from "@/core/bail/hanging";
import { usePlan } from "@/ui/plan";
import { useUnits } from "@/ui/tray";
import { besideText } from "@/words/hang";
import { capital, namesIn } from "@/words/names";
import { showFigureValue, showLength } from "@/words/show";
import { whereItLiesText } from "@/words/screens/bail";

/** What pulls, part by part, and how far beside the line that should point down. */
export function WhereItLies({ hang }: { readonly hang: DrawnHang }) {
  const plan = usePlan();
  const units = useUnits();
  const names = namesIn(plan);
  const beside = (left: number) => besideText(left, (mm) => showLength(mm, "measured", units));
  const stones = Object.keys(plan.drawing.settings).filter((id) => plan.drawing.settings[id]!.host === hang.mount);
  const nameOf = (part: string) => {
    const of = stones.find((id) => part === `${id}.stone`);
    if (of === undefined) return capital(names.part(part));
    return stones.length === 1 ? whereItLiesText.stone : capital(names.setting(of));
  };
  return (
    <>
      <h2 className="section-head">{whereItLiesText.whereTheWeightLies}</h2>
      <table className="w-full text-sm">
        <tbody>
          {hang.weights.map(({ part, mass, left }) => (
            <tr key={part} className="border-t border-hair">
              <th scope="row" className="py-1 text-left font-semibold">
                {nameOf(part)}
              </th>
              <td className="text-right text-soft">{showFigureValue(mass, "g", units)}</td>
              <td className="narrow text-right text-soft">{beside(left)}</td>
            </tr>
          ))}
          <tr className="border-t border-ink font-semibold">
            <th scope="row" className="py-1 text-left">
              {whereItLiesText.together}
            </th>
            <td className="text-right">{showFigureValue(hang.mass, "g", units)}</td>
            <td className="narrow text-right">{beside(hang.left)}</td>
          </tr>
        </tbody>
      </table>
    </>
  );
}
