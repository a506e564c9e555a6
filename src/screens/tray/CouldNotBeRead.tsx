"use client";

import { type StoreName, type Unreadable } from "@/store/repository";
import { saveFile } from "@/ui/save-file";
import { faultLine } from "@/words/faults";
import { counted } from "@/words/names";
import { couldNotBeReadText } from "@/words/screens/tray";

interface Props {
  readonly found: readonly Unreadable[];
  readonly onDrop: (each: Unreadable) => void;
}

const KINDS: Readonly<Record<StoreName | "journal", string>> = {
  pieces: couldNotBeReadText.aPiece,
  makes: couldNotBeReadText.aMake,
  tries: couldNotBeReadText.aTry,
  cuts: couldNotBeReadText.aCut,
  settings: couldNotBeReadText.myBench,
  drafts: couldNotBeReadText.aHalfTypedField,
  pending: couldNotBeReadText.somethingStarted,
  journal: couldNotBeReadText.aChangeNotKeptYet,
};

/** What is kept on this device and cannot be read: it stays as it is, can be saved, and hides nothing else. */
export function CouldNotBeRead({ found, onDrop }: Props) {
  return (
    <section aria-label={couldNotBeReadText.couldNotBeReadLabel} className="mt-5">
      <h2 className="section-head">{couldNotBeReadText.couldNotBeRead(counted(found.length, "record"))}</h2>
      <ul className="text-sm">
        {found.map((each) => (
          <li key={`${each.store} ${String(each.key)}`} className="border-t border-hair py-1.5">
            <p className="truncate">
              <span aria-hidden="true" className="text-bad">
                ◆{" "}
              </span>
              <b className="font-strong">{String(each.key)}</b> <span className="text-soft">{KINDS[each.store]}</span>
            </p>
            {each.faults[0] && <p className="mb-1 text-xs break-words text-soft">{faultLine(each.faults[0])}</p>}
            <span className="flex gap-2">
              <button type="button" className="btn" onClick={() => saveFile(`${String(each.key)}-as-it-is.json`, asItIs(each.raw))}>
                {couldNotBeReadText.saveItAsItIs}
              </button>
              <button type="button" className="btn btn-plain text-soft" onClick={() => onDrop(each)}>
                {couldNotBeReadText.discardIt}
              </button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function asItIs(raw: unknown): string {
  return typeof raw === "string" ? raw : JSON.stringify(raw, null, 2);
}
