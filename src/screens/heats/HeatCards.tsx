"use client";

import { DndContext, DragOverlay, KeyboardSensor, PointerSensor, closestCenter, useSensor, useSensors } from "@dnd-kit/core";
import { useState } from "react";
import { type Plan } from "@/core/piece/plan";
import { useIsSettling, usePlan } from "@/ui/plan";
import { useUnits } from "@/ui/tray";
import { SETTLING } from "@/words/heats";
import { capital } from "@/words/names";
import { CAUTIONS, CAUTIONS_DEFER, sayStep } from "@/words/steps";
import { type Units } from "@/words/show";
import { Consequence } from "./Consequence";
import { HeatCard } from "./HeatCard";
import { HOW_TO_MOVE, heldName, nextCard, useMove } from "./moving";
import { commonText } from "@/words/common";
import { heatCardsText } from "@/words/screens/heats";

/** A card for each heat: solder, flame, and what to look for; and one for when there is no more heat. Cards and joints are moved by drag or keys. */
export function HeatCards() {
  const plan = usePlan();
  const isSettling = useIsSettling();
  const units = useUnits();
  const move = useMove();
  /** The card that tells all it has, by its joints. */
  const [open, turn] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: nextCard }),
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragStart={move.begin}
      onDragOver={move.over}
      onDragEnd={move.end}
      onDragCancel={move.cancel}
      accessibility={{ announcements: move.spoken, screenReaderInstructions: { draggable: HOW_TO_MOVE } }}
    >
      <h2 className="sr-only">{heatCardsText.heatsOneAfterTheOther}</h2>
      <ol
        aria-label={commonText.heats}
        aria-busy={isSettling}
        className={`flex gap-2.5 max-lg:flex-col lg:max-h-76.5 lg:overflow-x-auto ${isSettling ? "opacity-60" : ""}`}
      >
        {plan.heats.map((heat, i) => (
          <HeatCard
            key={heat.joints.join()}
            {...{ index: i, heat, plan, units }}
            isOpen={open === heat.joints.join()}
            onOpen={() => turn((was) => (was === heat.joints.join() ? null : heat.joints.join()))}
          />
        ))}
        <li className="min-w-25 max-w-60 flex-1 rounded-md border border-line bg-[repeating-linear-gradient(135deg,var(--color-sheet)_0_8px,var(--color-paper)_8px_16px)] px-3 py-2.5 text-sm">
          <b className="text-base font-strong">{heatCardsText.noMoreHeat}</b>
          <p className="mt-1 leading-text text-soft">{afterHeats(plan, units)}</p>
        </li>
      </ol>
      <DragOverlay dropAnimation={null}>
        {move.held && (
          <p className="w-max rounded-md border border-accent bg-sheet px-2.5 py-1 text-sm font-semibold shadow-lg">
            {heldName(plan, move.held)}
          </p>
        )}
      </DragOverlay>
      {move.held && <Consequence moved={move.moved} outcome={move.outcome} />}
      {isSettling && (
        <p role="status" className="absolute top-1 right-[18px] rounded-sm bg-sheet px-2 text-sm font-semibold">
          {capital(SETTLING)}
        </p>
      )}
      <p role="note" className="mt-1.5 text-xs leading-snug text-umber">
        ◆ {capital(CAUTIONS.torch.name)}: {CAUTIONS.torch.text} {CAUTIONS_DEFER}
      </p>
    </DndContext>
  );
}

/** What has to be done before the stone goes in, of the setting whose stone bears least. */
function afterHeats(plan: Plan, units: Units): string {
  const surfaces = plan.steps.filter(({ code }) => code === "set.surface");
  const titles = surfaces.map((step) => sayStep(step, plan, units).title);
  return heatCardsText.theStoneGoesInAfter(titles.reduce((longest, title) => (title.length > longest.length ? title : longest), ""));
}
