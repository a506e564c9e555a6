"use client";

import { ArrowLeft, Printer } from "lucide-react";
import Link from "next/link";
import { useSearchParams } from "next/navigation";
import { type ComponentType, useState } from "react";
import { ChosenPieces } from "@/ui/ChosenPieces";
import { NotKept } from "@/ui/NotKept";
import { type Paper, Papers } from "@/ui/Papers";
import { Segments } from "@/ui/Segments";
import { setInAddress, useChosenPieces } from "@/ui/chosen-pieces";
import { doubtsOf } from "@/ui/doubt";
import { usePlans } from "@/ui/planner";
import { useTitle } from "@/ui/title";
import { useTrayState, useUnits } from "@/ui/tray";
import { commonText } from "@/words/common";
import { cardsScreenText } from "@/words/screens/card";
import { CardPage } from "./CardPage";
import { ClassPages } from "./ClassPages";
import { LabelSheet } from "./LabelSheet";
import { NoPage, type PrintProps } from "./NoPage";

/** What is printed of the pieces chosen, and how. */
const PRINTS: readonly { readonly value: string; readonly text: string; readonly Print: ComponentType<PrintProps> }[] = [
  { value: "cards", text: cardsScreenText.cards, Print: CardPages },
  { value: "class", text: cardsScreenText.forAClass, Print: ClassPages },
  { value: "labels", text: cardsScreenText.labels, Print: LabelSheet },
];

const AS = "as";

/** Several pieces in one print: their cards, those of a class, or labels. */
export function CardsScreen() {
  const inAddress = useSearchParams();
  const choice = useChosenPieces(() => []);
  const { records } = choice;
  const [print, setPrint] = useState(() => PRINTS.find(({ value }) => value === inAddress.get(AS)) ?? PRINTS[0]!);
  const [paper, setPaper] = useState<Paper>("a4");
  useTitle(cardsScreenText.print);
  const printAs = (as: string) => {
    setPrint(PRINTS.find(({ value }) => value === as)!);
    setInAddress(AS, as);
  };
  return (
    <main className={`card-screen paper-${paper}`}>
      <div className="card-bar border-b border-line bg-sheet print:hidden">
        <div className="flex flex-wrap items-center gap-2 px-4 py-2">
          <Link href="/" className="btn">
            <ArrowLeft size={14} aria-hidden="true" /> {commonText.pieces}
          </Link>
          <h1 className="text-base font-strong">{cardsScreenText.print}</h1>
          <Segments label={cardsScreenText.whatIsPrinted} options={PRINTS} value={print.value} onChoose={printAs} />
          <span className="flex-1" />
          <Papers paper={paper} onChoose={setPaper} />
          <button type="button" className="btn btn-main" disabled={records.length === 0} onClick={() => window.print()}>
            <Printer size={14} aria-hidden="true" /> {cardsScreenText.print}
          </button>
        </div>
        <NotKept />
        <ChosenPieces label={cardsScreenText.piecesToPrint} leaveOut={cardsScreenText.leaveOut} choice={choice} onChoose={choice.choose} />
      </div>
      {records.length === 0 ? (
        <p className="px-4 py-6 text-base text-soft print:hidden">{cardsScreenText.chooseWhatToPrint}</p>
      ) : (
        <print.Print records={records} />
      )}
    </main>
  );
}

function CardPages({ records }: PrintProps) {
  const units = useUnits();
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  return records.map((record) => {
    const { id, piece, revision, changed } = record;
    const attempt = plans.soon(piece, bench);
    if (!attempt?.ok || plans.isSettling(piece, bench)) return <NoPage key={id} name={piece.name} isRefused={attempt?.ok === false} />;
    return (
      <CardPage key={id} piece={piece} plan={attempt.plan} units={units} doubtOf={doubtsOf(record)} revision={revision} changed={changed} />
    );
  });
}
