"use client";

import { Trash2 } from "lucide-react";
import { useState } from "react";
import { type PieceCost } from "@/core/cutting/cost";
import { type CutsPlan } from "@/core/cutting/plan-cuts";
import { type Wanted } from "@/core/cutting/wanted";
import { useNotices } from "@/ui/notices";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { cannotText } from "@/words/cuts";
import { metalText, stockFormText } from "@/words/screens/metal";
import { Costs } from "./Costs";
import { LastCuts } from "./LastCuts";
import { Prices } from "./Prices";
import { StockDialog } from "./StockDialog";
import { StockTable } from "./StockTable";
import { ToOrder } from "./ToOrder";
import { drawerLines } from "./view";

interface Props {
  readonly plan: CutsPlan | null;
  readonly wanted: readonly Wanted[];
  readonly costs: readonly PieceCost[];
  readonly nameOf: (piece: string) => string;
}

/** What lies in the drawer and what becomes of it, what is to be ordered, and what cannot be cut. */
export function DrawerList({ plan, wanted, costs, nameOf }: Props) {
  const tray = useTray();
  const { warn } = useNotices();
  const units = useUnits();
  const stock = useTrayState(({ bench }) => bench.stock) ?? [];
  const [isAdding, setAdding] = useState(false);
  const [editing, edit] = useState<string | null>(null);
  const edited = stock.find(({ id }) => id === editing) ?? null;
  const lines = drawerLines(stock, plan, units);
  const remove = (id: string) =>
    tray
      .changeBench((bench) => {
        bench.stock = (bench.stock ?? []).filter((each) => each.id !== id);
      })
      .then((problem) => problem && warn(`${problem}.`));
  return (
    <aside className="w-full flex-none border-line p-4 lg:w-75 lg:overflow-y-auto lg:border-l">
      <div className="flex items-center justify-between">
        <h2 className="section-head">{metalText.inTheDrawer}</h2>
        <button type="button" className="btn btn-small" onClick={() => setAdding(true)}>
          {metalText.addMetal}
        </button>
      </div>
      {isAdding && <StockDialog item={null} onClose={() => setAdding(false)} />}
      {edited && <StockDialog item={edited} onClose={() => edit(null)} />}
      {lines.length === 0 && <p className="py-1 text-sm text-soft">{metalText.empty}</p>}
      <ul className="text-sm">
        {lines.map(({ id, name, size, left, note, isBegun, isUnderLeast }) => (
          <li
            key={id}
            className={`flex items-start justify-between gap-2 border-t border-hair py-1 pl-2 ${isBegun ? "border-l-3 border-l-accent" : ""}`}
          >
            <span className="min-w-0 leading-tight">
              <button
                type="button"
                className="tap text-left font-semibold underline decoration-line underline-offset-2"
                aria-label={stockFormText.change(`${name}, ${size}`)}
                onClick={() => edit(id)}
              >
                {name}
              </button>
              <small className="block text-xs text-soft">{size}</small>
            </span>
            <span className="flex flex-none items-start gap-1 text-right leading-tight">
              <span>
                <b className="block font-semibold">{left}</b>
                <small className="block text-xs text-soft">{note}</small>
                {isUnderLeast && <small className="block text-xs text-warn">○ {metalText.least}</small>}
              </span>
              <button
                type="button"
                className="btn btn-plain btn-small"
                aria-label={stockFormText.remove(name)}
                onClick={() => void remove(id)}
              >
                <Trash2 size={13} aria-hidden="true" />
              </button>
            </span>
          </li>
        ))}
      </ul>
      <StockTable />
      <LastCuts />
      {plan && (
        <>
          <ToOrder plan={plan} />
          {plan.cannot.length > 0 && (
            <>
              <h2 className="section-head mt-3">{metalText.cannot}</h2>
              <ul className="text-sm">
                {plan.cannot.map(({ wanted, why }, i) => (
                  <li key={i} className="border-t border-hair py-1 text-melt">
                    ◆ {nameOf(wanted.piece)}: {cannotText(why)}
                  </li>
                ))}
              </ul>
            </>
          )}
          <Costs costs={costs} nameOf={nameOf} />
        </>
      )}
      {/* not with the plan, which is laid anew meanwhile: what is typed here stays */}
      <Prices metals={[...new Set(wanted.map(({ cut }) => cut.metal))]} />
    </aside>
  );
}
