"use client";

import { ArrowLeft, Printer } from "lucide-react";
import Link from "next/link";
import { usePathname, useSearchParams } from "next/navigation";
import { useState } from "react";
import { NotKept } from "@/ui/NotKept";
import { doubtsOf } from "@/ui/doubt";
import { type Paper, Papers } from "@/ui/Papers";
import { usePlans } from "@/ui/planner";
import { useTitle } from "@/ui/title";
import { useTrayState, useUnits } from "@/ui/tray";
import { counted } from "@/words/names";
import { CardPage } from "./CardPage";
import { commonText } from "@/words/common";
import { cardsScreenText } from "@/words/screens/card";

const PIECES = "pieces";

/** Several pieces' cards in one print; for a class each with a line for a name and blanks for what is measured. */
export function CardsScreen() {
  const units = useUnits();
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  const all = useTrayState(({ pieces }) => pieces);
  const pathname = usePathname();
  const asked = useSearchParams().get(PIECES);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(() => new Set(asked?.split(",").filter(Boolean)));
  const [paper, setPaper] = useState<Paper>("a4");
  const [isForClass, forClass] = useState(true);
  useTitle(cardsScreenText.cards);
  const lying = all.filter(({ deleted }) => deleted === null);
  const shown = lying.filter(({ id }) => chosen.has(id));
  const choose = (id: string) => {
    const next = chosen.has(id) ? [...chosen].filter((each) => each !== id) : [...chosen, id];
    setChosen(new Set(next));
    window.history.replaceState(null, "", `${pathname}?${PIECES}=${next.join(",")}`);
  };
  return (
    <main className={`card-screen paper-${paper}`}>
      <div className="card-bar border-b border-line bg-sheet px-4 py-2 print:hidden">
        <div className="flex flex-wrap items-center gap-2">
          <Link href="/" className="btn">
            <ArrowLeft size={14} aria-hidden="true" /> {commonText.pieces}
          </Link>
          <h1 className="text-base font-strong">
            {cardsScreenText.print(shown.length === 0 ? cardsScreenText.cardsPlural : counted(shown.length, "card"))}
          </h1>
          <span className="flex-1" />
          <label className="flex items-center gap-1.5 text-sm max-lg:min-h-touch">
            <input
              type="checkbox"
              checked={isForClass}
              onChange={(event) => forClass(event.target.checked)}
              className="h-4 w-4 accent-accent"
            />
            {cardsScreenText.forAClassLinesFor}
          </label>
          <Papers paper={paper} onChoose={setPaper} />
          <button type="button" className="btn btn-main" disabled={shown.length === 0} onClick={() => window.print()}>
            <Printer size={14} aria-hidden="true" /> {cardsScreenText.printLabel}
          </button>
        </div>
        <NotKept />
        <fieldset className="mt-2 flex flex-wrap gap-x-4 gap-y-1 border-t border-hair pt-2 text-sm">
          <legend className="sr-only">{cardsScreenText.piecesToPrint}</legend>
          {lying.map(({ id, piece }) => (
            <label key={id} className="flex items-center gap-1.5 max-lg:min-h-touch">
              <input type="checkbox" checked={chosen.has(id)} onChange={() => choose(id)} className="h-4 w-4 accent-accent" />
              {piece.name}
            </label>
          ))}
        </fieldset>
      </div>
      {shown.map((record) => {
        const attempt = plans.soon(record.piece, bench);
        if (!attempt || plans.isSettling(record.piece, bench))
          return (
            <p key={record.id} className="p-4 text-soft">
              {cardsScreenText.workingOut(record.piece.name)}
            </p>
          );
        if (!attempt.ok)
          return (
            <p key={record.id} className="p-4 text-bad print:hidden">
              {cardsScreenText.cannotBePlannedOpenIt(record.piece.name)}
            </p>
          );
        return (
          <CardPage
            key={record.id}
            piece={record.piece}
            plan={attempt.plan}
            units={units}
            doubtOf={doubtsOf(record)}
            revision={record.revision}
            changed={record.changed}
            isForClass={isForClass}
          />
        );
      })}
    </main>
  );
}
