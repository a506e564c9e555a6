"use client";

import Link from "next/link";
import { Copy, FileDown, Pencil, Trash2 } from "lucide-react";
import { useState } from "react";
import { type BenchEntry } from "@/core/piece/bench";
import { type DoubtOf } from "@/core/piece/doubt";
import { type PieceRecord } from "@/store/repository";
import { doubtsOf } from "@/ui/doubt";
import { usePlans } from "@/ui/planner";
import { RenameInput } from "@/ui/RenameInput";
import { Note } from "@/ui/Note";
import { type Plan } from "@/core/piece/plan";
import { faultSentence } from "@/words/fields";
import { sayFinding } from "@/words/findings";
import { type Units } from "@/words/show";
import { commonText } from "@/words/common";
import { chosenPieceText } from "@/words/screens/tray";

interface Props {
  readonly record: PieceRecord;
  readonly bench: BenchEntry;
  readonly units: Units;
  readonly onOpen: () => void;
  readonly onRename: (name: string) => void;
  readonly onDuplicate: () => void;
  readonly onSave: () => void;
  readonly onDelete: () => void;
}

/** The chosen piece: what there is to say about it, and what can be done with it. */
export function ChosenPiece({ record, bench, units, onOpen, onRename, onDuplicate, onSave, onDelete }: Props) {
  const { piece } = record;
  const plans = usePlans();
  const attempt = plans.soon(piece, bench);
  const [isEdited, setEdited] = useState(false);
  return (
    <>
      {isEdited ? (
        <RenameInput
          label={commonText.name}
          name={piece.name}
          onRename={onRename}
          onDone={() => setEdited(false)}
          className="w-full rounded-sm border border-line bg-sheet px-2 py-1 text-base font-strong"
        />
      ) : (
        <h2 className="truncate text-base font-strong" title={piece.name}>
          {piece.name}
        </h2>
      )}
      {piece.notes && <p className="mt-1 text-sm text-soft">{piece.notes}</p>}
      <div className="mt-2.5 flex flex-wrap gap-2">
        <button type="button" className="btn btn-main" onClick={onOpen}>
          {chosenPieceText.open}
        </button>
        <Link href={`/pieces/${piece.id}/bench`} className="btn">
          {commonText.atTheBench}
        </Link>
        <button type="button" className="btn" onClick={() => setEdited(true)}>
          <Pencil size={14} aria-hidden="true" /> {chosenPieceText.rename}
        </button>
        <button type="button" className="btn" onClick={onDuplicate}>
          <Copy size={14} aria-hidden="true" /> {chosenPieceText.duplicate}
        </button>
        <button type="button" className="btn" onClick={onSave}>
          <FileDown size={14} aria-hidden="true" /> {commonText.saveFile}
        </button>
        <button type="button" className="btn" onClick={onDelete}>
          <Trash2 size={14} aria-hidden="true" /> {chosenPieceText.deleteWord}
        </button>
      </div>
      <div className="mt-3 flex flex-col gap-2">
        {!attempt ? (
          <p className="text-sm text-soft">{chosenPieceText.workingItOut}</p>
        ) : attempt.ok ? (
          <Findings plan={attempt.plan} units={units} doubtOf={doubtsOf(record)} />
        ) : (
          attempt.faults
            .slice(0, MOST_SHOWN)
            .map((fault, i) => (
              <Note key={i} level="error" said={{ what: `${faultSentence(fault, units)}.`, advice: chosenPieceText.openItToPutIt }} />
            ))
        )}
      </div>
    </>
  );
}

const MOST_SHOWN = 5;

interface FindingsProps {
  readonly plan: Plan;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
}

function Findings({ plan, units, doubtOf }: FindingsProps) {
  const { findings } = plan;
  if (findings.length === 0) return <p className="text-sm text-soft">{chosenPieceText.nothingToPutRight}</p>;
  return findings
    .slice(0, MOST_SHOWN)
    .map((finding, i) => <Note key={i} level={finding.level} said={sayFinding(finding, plan, units)} doubt={doubtOf(finding.at)} />);
}
