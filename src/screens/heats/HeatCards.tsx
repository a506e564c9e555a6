"use client";

import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { useDoubt } from "@/ui/doubt";
import { useIsSettling, usePlan } from "@/ui/plan";
import { useUnits } from "@/ui/tray";
import { SETTLING, jointAdvice, solderText } from "@/words/heats";
import { capital, flameName, namesIn } from "@/words/names";
import { CAUTIONS, CAUTIONS_DEFER, sayStep } from "@/words/steps";
import { type Units, showPercent, showTemperature } from "@/words/show";

/** A card for each heat: solder, flame, and what to look for; and one for when there is no more heat. */
export function HeatCards() {
  const plan = usePlan();
  const isSettling = useIsSettling();
  const units = useUnits();
  return (
    <>
      <ol
        aria-busy={isSettling}
        className={`flex gap-2.5 max-lg:flex-col lg:max-h-[290px] lg:overflow-x-auto ${isSettling ? "opacity-60" : ""}`}
      >
        {plan.heats.map((heat, i) => (
          <HeatCard key={i} number={i + 1} heat={heat} plan={plan} units={units} />
        ))}
        <li className="min-w-[184px] flex-1 rounded-[6px] border border-line bg-[repeating-linear-gradient(135deg,#f4f6f6_0_8px,#eef1f0_8px_16px)] px-[11px] py-[9px] text-[12.5px]">
          <b className="text-[14px] font-[660]">No more heat</b>
          <p className="mt-1 leading-[1.36] text-soft">{afterHeats(plan, units)}</p>
        </li>
      </ol>
      {isSettling && (
        <p role="status" className="absolute top-1 right-[18px] rounded-[4px] bg-sheet px-2 text-[12.5px] font-semibold">
          {capital(SETTLING)}
        </p>
      )}
      <p role="note" className="mt-1.5 text-[12px] leading-snug text-[#6b3500]">
        ◆ {capital(CAUTIONS.torch.name)}: {CAUTIONS.torch.text} {CAUTIONS_DEFER}
      </p>
    </>
  );
}

/** What has to be done before the stone goes in, of the setting whose stone bears least. */
function afterHeats(plan: Plan, units: Units): string {
  const surfaces = plan.steps.filter(({ code }) => code === "set.surface");
  const titles = surfaces.map((step) => sayStep(step, plan, units).title);
  return `The stone goes in after this. ${titles.reduce((longest, title) => (title.length > longest.length ? title : longest), "")}.`;
}

interface CardProps {
  readonly number: number;
  readonly heat: PlannedHeat;
  readonly plan: Plan;
  readonly units: Units;
}

/** How many times too much solder the even-gap habit must lay before it is worth a word. */
const MUCH_MORE = 1.5;

function HeatCard({ number, heat, plan, units }: CardProps) {
  const joints = heat.joints.map((id) => plan.joints.find((joint) => joint.id === id)!);
  const advice = jointAdvice(joints[0]!);
  const names = namesIn(plan);
  const doubtOf = useDoubt();
  const isBad = heat.runs.length > 0;
  const more = heat.solder[0]?.evenGap ?? 0;
  return (
    <li
      tabIndex={0}
      className={`min-w-[196px] flex-1 rounded-[6px] border bg-sheet px-[11px] py-[8px] text-[12.2px] leading-[1.32] ${isBad ? "border-bad" : "border-line"}`}
    >
      <h3 className="flex justify-between gap-2 text-[14px] font-[660]">
        <span>
          {number} {joints.map(({ id }) => capital(names.joint(id))).join(" + ")}
        </span>
        <span className="text-[#a32a16]">{showTemperature(heat.working, units)}°</span>
      </h3>
      <p className="mt-0.5 text-soft">
        <b className="font-semibold text-ink">{capital(flameName(heat))}</b>
        {joints.some(({ pinned }) => pinned) && ", pinned"}
        {heat.solder.length > 0 && `, ${solderText(heat, plan, units, doubtOf)}`}.
      </p>
      <p className="text-soft">
        Flame: {heat.flame.length > 1 && `${heat.flame.map(({ part, share }) => `${names.part(part)} ${showPercent(share)}`).join(", ")}. `}
        {advice.flame}
      </p>
      {heat.runs.length > 0 && (
        <p className="font-semibold text-bad">◆ {capital(heat.runs.map(names.joint).join(", "))} runs again: shield it.</p>
      )}
      {heat.softens.length > 0 && (
        <p className="font-semibold text-warn">◆ {capital(heat.softens.map(names.joint).join(", "))} softens: prop it.</p>
      )}
      {heat.atRisk.length > 0 && (
        <p className="font-semibold text-warn">◆ {capital(heat.atRisk.map(names.part).join(", "))} close to melting.</p>
      )}
      {heat.thin && <p className="text-warn">◆ Keep the flame off the {names.part(heat.thin)}, the thin side.</p>}
      <p className="text-soft">Look for: {advice.look}</p>
      {more > MUCH_MORE && <p className="text-soft">Piece and gap alike would take {more.toFixed(1)} times that.</p>}
    </li>
  );
}
