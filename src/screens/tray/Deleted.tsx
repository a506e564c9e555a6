"use client";

import { useState } from "react";
import { type PieceRecord } from "@/store/repository";
import { Dialog, DialogActions } from "@/ui/Dialog";
import { counted } from "@/words/names";
import { commonText } from "@/words/common";
import { deletedText } from "@/words/screens/tray";

interface Props {
  readonly records: readonly PieceRecord[];
  readonly onPutBack: (id: string) => void;
  readonly onEmpty: () => void;
}

const MOST_SHOWN = 6;

/** What was deleted and can be had back; removed for good only after all of it has been read out once. */
export function Deleted({ records, onPutBack, onEmpty }: Props) {
  const [isAsked, ask] = useState(false);
  return (
    <section aria-label={deletedText.deleted} className="mt-5">
      <h2 className="section-head">{deletedText.deletedCanBePutBack}</h2>
      <ul className="text-sm">
        {records.slice(0, MOST_SHOWN).map(({ id, piece }) => (
          <li key={id} className="flex items-center justify-between gap-2 border-t border-hair py-1">
            <span className="min-w-0 truncate">{piece.name}</span>
            <button type="button" className="btn" onClick={() => onPutBack(id)}>
              {deletedText.putBack}
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="btn btn-plain mt-1 text-soft" onClick={() => ask(true)}>
        {deletedText.removeForGood(records.length === 1 ? deletedText.it : deletedText.all(records.length))}
      </button>
      {isAsked && (
        <Dialog title={deletedText.removeForGoodQuestion(counted(records.length, "piece"))} onClose={() => ask(false)}>
          <p className="text-soft">{deletedText.theirMakesGoTooYou}</p>
          <ul className="mt-2 columns-2 text-sm">
            {records.map(({ id, piece }) => (
              <li key={id} className="truncate py-0.5">
                {piece.name}
              </li>
            ))}
          </ul>
          <DialogActions>
            <button type="button" className="btn" onClick={() => ask(false)}>
              {commonText.cancel}
            </button>
            <button
              type="button"
              className="btn btn-main"
              onClick={() => {
                ask(false);
                onEmpty();
              }}
            >
              {deletedText.removeForGoodButton}
            </button>
          </DialogActions>
        </Dialog>
      )}
    </section>
  );
}
