"use client";

import { useState } from "react";
import { insteadOf } from "@/core/cutting/instead";
import { type CutsPlan, type OrderLine } from "@/core/cutting/plan-cuts";
import { formOfStock } from "@/core/cutting/sources";
import { orderCsv } from "@/formats/order-csv";
import { useNotices } from "@/ui/notices";
import { saveFile } from "@/ui/save-file";
import { useTrayState, useUnits } from "@/ui/tray";
import { orderText, shortForm, whyOrdered } from "@/words/cuts";
import { metalText } from "@/words/screens/metal";
import { sizeText } from "./view";

/** What is not in the drawer and why, by metal and form; copied, or saved as a table. */
export function ToOrder({ plan }: { readonly plan: CutsPlan }) {
  const { order } = plan;
  const units = useUnits();
  const { say, warn } = useNotices();
  const rates = useTrayState(({ bench }) => bench.rates);
  const copy = () =>
    navigator.clipboard.writeText(order.map((line) => orderText(line, units)).join("\n")).then(
      () => say(metalText.copied),
      (error: unknown) => warn(`${metalText.notCopied(String(error))}.`),
    );
  const save = () => saveFile("order.csv", [orderCsv(order, rates ?? {})], "text/csv");
  return (
    <>
      <h2 className="section-head mt-3">{metalText.toOrder}</h2>
      {order.length === 0 && <p className="py-1 text-sm text-soft">{metalText.nothingToOrder}</p>}
      <ul className="text-sm">
        {order.map((line, i) => (
          <li key={i} className="border-t border-hair py-1 leading-tight">
            <span aria-hidden="true" className="text-warn">
              ◆{" "}
            </span>
            <b className="font-semibold">{orderText(line, units)}</b>
            <small className="block text-xs text-soft">{whyOrdered(line.why)}</small>
            <Instead line={line} plan={plan} />
          </li>
        ))}
      </ul>
      {order.length > 0 && (
        <div className="flex gap-2 py-1">
          <button type="button" className="btn btn-small max-lg:min-h-touch" onClick={() => void copy()}>
            {metalText.copyTheList}
          </button>
          <button type="button" className="btn btn-small max-lg:min-h-touch" onClick={() => save()}>
            {metalText.orderAsTable}
          </button>
        </div>
      )}
    </>
  );
}

/** What else in the drawer would do, for whoever asks. */
function Instead({ line, plan }: { readonly line: OrderLine; readonly plan: CutsPlan }) {
  const units = useUnits();
  const [isAsked, ask] = useState(false);
  const stock = useTrayState(({ bench }) => bench.stock) ?? [];
  if (!isAsked)
    return (
      <button type="button" className="text-xs underline max-lg:min-h-touch" onClick={() => ask(true)}>
        {metalText.whatElse}
      </button>
    );
  const found = insteadOf(line, plan, stock);
  if (found.length === 0) return <small className="block text-xs text-soft">{metalText.nothingElse}</small>;
  const names = found.map((item) => `${shortForm(formOfStock(item), units)}, ${sizeText(item, units)}`);
  return <small className="block text-xs text-soft">{metalText.wouldDo([...new Set(names)].join("; "))}</small>;
}
