"use client";

import { type Example } from "@demo/examples";
import { type Piece } from "@/core/piece/piece";
import { Dialog } from "@/ui/Dialog";
import { useTrayState } from "@/ui/tray";
import { Examples } from "./Examples";
import { newPieceDialogText } from "@/words/screens/tray";

interface Props {
  readonly onClose: () => void;
  readonly onNew: (kind: Piece["kind"]) => void;
  readonly onExample: (example: Example) => void;
}

const KINDS: readonly { readonly kind: Piece["kind"]; readonly name: string; readonly says: string }[] = [
  { kind: "ring", name: newPieceDialogText.ring, says: newPieceDialogText.aHoopRoundTheFinger },
  { kind: "pendant", name: newPieceDialogText.pendant, says: newPieceDialogText.hangsFromABail },
  { kind: "earrings", name: newPieceDialogText.earrings, says: newPieceDialogText.aPairOneTheMirror },
];

/** What a new piece is to be; and every form as a worked example to open and change. */
export function NewPieceDialog({ onClose, onNew, onExample }: Props) {
  const bench = useTrayState((state) => state.bench);
  return (
    <Dialog title={newPieceDialogText.newPiece} onClose={onClose} width={760}>
      <div className="grid gap-2 sm:grid-cols-3">
        {KINDS.map(({ kind, name, says }) => (
          <button
            key={kind}
            type="button"
            onClick={() => onNew(kind)}
            className="rounded-md border border-line bg-paper px-3 py-2.5 text-left hover:border-ink focus-visible:border-ink"
          >
            <b className="block text-base font-strong">{name}</b>
            <span className="text-sm text-soft">{says}</span>
          </button>
        ))}
      </div>
      <h3 className="section-head mt-4">{newPieceDialogText.orOpenAWorkedExample}</h3>
      <Examples bench={bench} onExample={onExample} />
    </Dialog>
  );
}
