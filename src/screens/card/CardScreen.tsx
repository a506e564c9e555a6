"use client";

import { ArrowLeft, Printer, Ruler } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import { type Paper, Papers } from "@/ui/Papers";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { useSessionState } from "@/ui/session";
import { useTrayState, useUnits } from "@/ui/tray";
import { CardPage } from "./CardPage";
import { commonText } from "@/words/common";
import { cardScreenText } from "@/words/screens/card";

/** The card of the piece that is open, for print or a PDF by the browser. */
export function CardScreen({ onBack }: { readonly onBack: () => void }) {
  const plan = usePlan();
  const units = useUnits();
  const doubtOf = useDoubt();
  const piece = useSessionState((state) => state.piece);
  const record = useTrayState(({ pieces }) => pieces.find(({ id }) => id === piece.id));
  const [paper, setPaper] = useState<Paper>("a4");
  return (
    <main className={`card-screen paper-${paper}`}>
      <div className="card-bar flex flex-wrap items-center gap-2 border-b border-line bg-sheet px-4 py-2 print:hidden">
        <button type="button" className="btn" onClick={onBack}>
          <ArrowLeft size={14} aria-hidden="true" /> {cardScreenText.backTo(piece.name)}
        </button>
        <Link href={`/pieces/${piece.id}/templates`} className="btn">
          <Ruler size={14} aria-hidden="true" /> {cardScreenText.templates}
        </Link>
        <Link href={`/pieces/${piece.id}/bench`} className="btn">
          {commonText.atTheBench}
        </Link>
        <Link href={`/cards?pieces=${piece.id}&as=class`} className="btn">
          {cardScreenText.forAClass}
        </Link>
        <span className="flex-1" />
        <Papers paper={paper} onChoose={setPaper} />
        <button type="button" className="btn btn-main" onClick={() => window.print()}>
          <Printer size={14} aria-hidden="true" /> {cardScreenText.print}
        </button>
      </div>
      <CardPage
        piece={piece}
        plan={plan}
        units={units}
        doubtOf={doubtOf}
        revision={record?.revision ?? 1}
        changed={record?.changed ?? ""}
      />
    </main>
  );
}
