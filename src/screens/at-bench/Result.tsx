"use client";

import { figureOf } from "@/core/measure/figure";
import { sizeRead } from "@/core/piece/ledger";
import { type Make, pieceNow, inUse } from "@/core/piece/make";
import { type Plan, hoopIn } from "@/core/piece/plan";
import { SYSTEM_NAMES } from "@/words/names";
import { Finish } from "./Finish";

/** The result's form, with the size that was read last where the piece has a hoop. */
export function Result({ make, plan, onFinish }: { readonly make: Make; readonly plan: Plan; readonly onFinish: () => void }) {
  const hoop = hoopIn(plan)?.settled ?? null;
  const inside = inUse(make.measured).findLast(({ figure }) => figure === "hoop.insideDiameter")?.value;
  const size = inside === undefined ? "" : sizeRead(pieceNow(make), inside);
  return (
    <Finish
      make={make}
      size={size}
      system={hoop ? SYSTEM_NAMES[hoop.asked.system] : null}
      weight={figureOf(plan.figures, "piece.mass").value}
      onFinish={onFinish}
    />
  );
}
