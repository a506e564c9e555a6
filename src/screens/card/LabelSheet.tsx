"use client";

import { useState } from "react";
import { lastMake } from "@/store/tray-state";
import { doubtsOf } from "@/ui/doubt";
import { useTrayState, useUnits } from "@/ui/tray";
import { labelLines } from "@/words/label";
import { labelSheetText } from "@/words/screens/card";
import { type PrintProps } from "./NoPage";

const MOST = 48;
/** Three across and eight down fill a page. */
const ON_A_PAGE = 24;

/** Labels of the chosen pieces, to be cut apart: name, stone, size, and when it was made. */
export function LabelSheet({ records }: PrintProps) {
  const units = useUnits();
  const makes = useTrayState((state) => state.makes);
  const [each, setEach] = useState(1);
  const labels = records.flatMap((record) =>
    Array.from({ length: each }, (_, i) => ({
      key: `${record.id} ${i}`,
      name: record.piece.name,
      lines: labelLines(record.piece, lastMake(makes, record.id)?.finished ?? null, units, doubtsOf(record)),
    })),
  );
  const pages = Array.from({ length: Math.ceil(labels.length / ON_A_PAGE) }, (_, i) => labels.slice(i * ON_A_PAGE, (i + 1) * ON_A_PAGE));
  return (
    <>
      <div className="border-b border-line bg-paper px-4 py-3 text-sm print:hidden">
        <label className="flex items-center gap-2">
          {labelSheetText.ofEach}
          <input
            type="number"
            min={1}
            max={MOST}
            value={each}
            onChange={(event) => setEach(Math.min(MOST, Math.max(1, Math.floor(Number(event.target.value) || 1))))}
            className="entry !w-20 max-lg:h-touch"
          />
        </label>
      </div>
      {pages.map((page, i) => (
        <article key={i} className="card-page label-page" aria-label={labelSheetText.labels}>
          {page.map(({ key, name, lines }) => (
            <section key={key} aria-label={labelSheetText.labelOf(name)}>
              <b className="text-[11pt] font-strong">{name}</b>
              {lines.map((line) => (
                <p key={line}>{line}</p>
              ))}
            </section>
          ))}
        </article>
      ))}
    </>
  );
}
