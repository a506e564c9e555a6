"use client";

import { useEffect, useState } from "react";
import { type Example } from "@demo/examples";
import { type Piece } from "@/core/piece/piece";
import { Dialog } from "@/ui/Dialog";
import { loadExamples } from "../lazy-data";

interface Props {
  readonly onClose: () => void;
  readonly onNew: (kind: Piece["kind"]) => void;
  readonly onExample: (example: Example) => void;
}

const KINDS: readonly { readonly kind: Piece["kind"]; readonly name: string; readonly says: string }[] = [
  { kind: "ring", name: "Ring", says: "a hoop round the finger" },
  { kind: "pendant", name: "Pendant", says: "hangs from a bail" },
  { kind: "earrings", name: "Earrings", says: "a pair, one the mirror of the other" },
];

/** What a new piece is to be; and every form as a worked example to open and change. */
export function NewPieceDialog({ onClose, onNew, onExample }: Props) {
  const [examples, setExamples] = useState<readonly Example[]>([]);
  useEffect(() => {
    let gone = false;
    void loadExamples().then(({ EXAMPLES }) => gone || setExamples(EXAMPLES));
    return () => {
      gone = true;
    };
  }, []);
  return (
    <Dialog title="New piece" onClose={onClose} width={680}>
      <div className="grid gap-2 sm:grid-cols-3">
        {KINDS.map(({ kind, name, says }) => (
          <button
            key={kind}
            type="button"
            onClick={() => onNew(kind)}
            className="rounded-[6px] border border-line bg-paper px-3 py-2.5 text-left hover:border-ink focus-visible:border-ink"
          >
            <b className="block text-[15px] font-[660]">{name}</b>
            <span className="text-[12.5px] text-soft">{says}</span>
          </button>
        ))}
      </div>
      <h3 className="section-head mt-4">Or open a worked example</h3>
      <ul className="grid gap-x-4 border-t border-hair sm:grid-cols-2">
        {examples.map((example) => (
          <li key={example.name}>
            <button
              type="button"
              onClick={() => onExample(example)}
              className="w-full border-b border-hair px-1.5 py-[5px] text-left hover:bg-hair max-lg:min-h-[44px]"
            >
              <b className="text-[13.5px] font-[620]">{example.name}</b>
              <span className="narrow block text-[12px] text-soft">{example.says}</span>
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
