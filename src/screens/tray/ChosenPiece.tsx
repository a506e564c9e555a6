"use client";

import Link from "next/link";
import { Copy, FileDown, Pencil, QrCode, Share2, Trash2 } from "lucide-react";
import { useState } from "react";
import { type BenchEntry } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type DoubtOf } from "@/core/piece/doubt";
import { type PieceRecord } from "@/store/repository";
import { doubtsOf } from "@/ui/doubt";
import { usePlans } from "@/ui/planner";
import { useStanding } from "@/ui/standing";
import { RenameInput } from "@/ui/RenameInput";
import { Note } from "@/ui/Note";
import { canShareFiles } from "@/ui/share-file";
import { type Plan } from "@/core/piece/plan";
import { faultSentence } from "@/words/fields";
import { sayFinding } from "@/words/findings";
import { sayRemedy } from "@/words/remedies";
import { type Units } from "@/words/show";
import { commonText } from "@/words/common";
import { chosenPieceText } from "@/words/screens/tray";
import { rowOf, stoneAndSize } from "./rows";

interface Props {
  readonly record: PieceRecord;
  readonly bench: BenchEntry;
  readonly units: Units;
  /** Its making that is under way with something done. */
  readonly make: Make | undefined;
  readonly onOpen: () => void;
  readonly onRename: (name: string) => void;
  readonly onDuplicate: () => void;
  readonly onSave: () => void;
  readonly onShare: () => void;
  readonly onCodes: () => void;
  readonly onDelete: () => void;
}

/** The chosen piece: what there is to say about it, and what can be done with it. */
export function ChosenPiece({ record, bench, units, make, onOpen, onRename, onDuplicate, onSave, onShare, onCodes, onDelete }: Props) {
  const { piece } = record;
  const plans = usePlans();
  const attempt = plans.soon(piece, bench);
  const [isEdited, setEdited] = useState(false);
  const standing = useStanding(piece.id);
  const row = attempt?.ok ? rowOf(piece, { plan: attempt.plan, isSettling: false }, make, units, doubtsOf(record), standing) : null;
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
      <p className="text-sm text-soft">{stoneAndSize(piece, doubtsOf(record))}</p>
      {piece.notes && <p className="mt-1 text-sm text-soft">{piece.notes}</p>}
      {make ? (
        <>
          <Link
            href={`/pieces/${piece.id}/bench`}
            className="btn btn-main mt-2.5 h-auto min-h-touch w-full justify-center whitespace-normal"
          >
            {row ? chosenPieceText.goOnAtTheBench(row.next) : commonText.atTheBench}
          </Link>
          <button type="button" className="btn mt-2" onClick={onOpen}>
            {chosenPieceText.open}
          </button>
        </>
      ) : (
        <div className="mt-2.5 flex gap-2">
          <button type="button" className="btn btn-main flex-1 justify-center" onClick={onOpen}>
            {chosenPieceText.open}
          </button>
          <Link href={`/pieces/${piece.id}/bench`} className="btn flex-1 justify-center">
            {commonText.atTheBench}
          </Link>
        </div>
      )}
      <div className="mt-3 flex flex-col gap-2">
        {standing.map((remedy) => (
          <Note key={`${remedy.code} ${remedy.figure}`} level="error" said={sayRemedy(remedy, units)} />
        ))}
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
      <div className="mt-3 flex flex-wrap gap-x-4 gap-y-1 text-sm">
        <button type="button" className="tap inline-flex items-center gap-1 hover:underline" onClick={() => setEdited(true)}>
          <Pencil size={13} aria-hidden="true" /> {chosenPieceText.rename}
        </button>
        <button type="button" className="tap inline-flex items-center gap-1 hover:underline" onClick={onDuplicate}>
          <Copy size={13} aria-hidden="true" /> {chosenPieceText.duplicate}
        </button>
        <button type="button" className="tap inline-flex items-center gap-1 hover:underline" onClick={onSave}>
          <FileDown size={13} aria-hidden="true" /> {commonText.saveFile}
        </button>
        {canShareFiles() && (
          <button type="button" className="tap inline-flex items-center gap-1 hover:underline" onClick={onShare}>
            <Share2 size={13} aria-hidden="true" /> {commonText.share}
          </button>
        )}
        <button type="button" className="tap inline-flex items-center gap-1 hover:underline" onClick={onCodes}>
          <QrCode size={13} aria-hidden="true" /> {commonText.showAsCodes}
        </button>
        <button type="button" className="tap inline-flex items-center gap-1 text-bad hover:underline lg:ml-auto" onClick={onDelete}>
          <Trash2 size={13} aria-hidden="true" /> {chosenPieceText.deleteWord}
        </button>
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
