"use client";

import { useRef, useState } from "react";
import { castDraft } from "immer";
import { MOST_STOCK_BYTES, type ReadStock, readStockCsv, stockCsv } from "@/formats/stock-csv";
import { newId } from "@/store/ids";
import { saveFile } from "@/ui/save-file";
import { useTray, useTrayState } from "@/ui/tray";
import { stockTableText } from "@/words/screens/metal";

/** The drawer saved as a table, and what a table lists added to it. */
export function StockTable() {
  const tray = useTray();
  const stock = useTrayState(({ bench }) => bench.stock) ?? [];
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (file: File) => {
    if (file.size > MOST_STOCK_BYTES) return setProblem(stockTableText.tooLarge(file.name, MOST_STOCK_BYTES / 1000));
    const read = readStockCsv(await file.text());
    if (!read.ok) return setProblem(refusal(read));
    const items = read.items.map((item) => ({ ...item, id: `${item.form}-${newId()}` }));
    setProblem(
      await tray.changeBench((bench) => {
        bench.stock = castDraft([...(bench.stock ?? []), ...items]);
      }),
    );
  };
  return (
    <div className="py-1.5">
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        aria-label={stockTableText.open}
        className="hidden"
        onChange={(event) => {
          if (event.target.files?.[0]) void open(event.target.files[0]);
          event.target.value = "";
        }}
      />
      <span className="flex flex-wrap gap-1.5">
        <button type="button" className="btn btn-small" onClick={() => input.current?.click()}>
          {stockTableText.open}
        </button>
        {stock.length > 0 && (
          <button type="button" className="btn btn-small" onClick={() => saveFile("drawer.csv", stockCsv(stock), "text/csv")}>
            {stockTableText.save}
          </button>
        )}
      </span>
      {problem && (
        <p role="alert" className="pt-1 text-xs text-bad">
          ◆ {problem}.
        </p>
      )}
    </div>
  );
}

function refusal(read: Exclude<ReadStock, { readonly ok: true }>): string {
  return "tooMany" in read ? stockTableText.tooMany(read.tooMany, read.limit) : stockTableText.wrongCell(read.line, read.column, read.got);
}
