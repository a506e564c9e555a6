"use client";

import { useState } from "react";
import { type PieceRecord } from "@/store/repository";
import { Dialog, DialogActions } from "@/ui/Dialog";
import { counted } from "@/words/names";

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
    <section aria-label="Deleted" className="mt-5">
      <h2 className="section-head">Deleted, can be put back</h2>
      <ul className="text-[13px]">
        {records.slice(0, MOST_SHOWN).map(({ id, piece }) => (
          <li key={id} className="flex items-center justify-between gap-2 border-t border-hair py-1">
            <span className="min-w-0 truncate">{piece.name}</span>
            <button type="button" className="btn" onClick={() => onPutBack(id)}>
              Put back
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="btn btn-plain mt-1 text-soft" onClick={() => ask(true)}>
        Remove {records.length === 1 ? "it" : `all ${records.length}`} for good
      </button>
      {isAsked && (
        <Dialog title={`Remove ${counted(records.length, "piece")} for good?`} onClose={() => ask(false)}>
          <p className="text-soft">Their makes go too. You can undo this for half a minute.</p>
          <ul className="mt-2 columns-2 text-[13px]">
            {records.map(({ id, piece }) => (
              <li key={id} className="truncate py-0.5">
                {piece.name}
              </li>
            ))}
          </ul>
          <DialogActions>
            <button type="button" className="btn" onClick={() => ask(false)}>
              Cancel
            </button>
            <button
              type="button"
              className="btn btn-main"
              onClick={() => {
                ask(false);
                onEmpty();
              }}
            >
              Remove for good
            </button>
          </DialogActions>
        </Dialog>
      )}
    </section>
  );
}
