"use client";

import { type StoreName, type Unreadable } from "@/store/repository";
import { saveFile } from "@/ui/save-file";
import { faultLine } from "@/words/faults";
import { counted } from "@/words/names";

interface Props {
  readonly found: readonly Unreadable[];
  readonly onDrop: (each: Unreadable) => void;
}

const KINDS: Readonly<Record<StoreName | "journal", string>> = {
  pieces: "a piece",
  makes: "a make",
  settings: "my bench",
  drafts: "a half-typed field",
  pending: "something started",
  journal: "a change not kept yet",
};

/** What is kept on this device and cannot be read: it stays as it is, can be saved, and hides nothing else. */
export function CouldNotBeRead({ found, onDrop }: Props) {
  return (
    <section aria-label="Could not be read" className="mt-5">
      <h2 className="section-head">Could not be read: {counted(found.length, "record")}</h2>
      <ul className="text-[13px]">
        {found.map((each) => (
          <li key={`${each.store} ${String(each.key)}`} className="border-t border-hair py-1.5">
            <p className="truncate">
              <span aria-hidden="true" className="text-bad">
                ◆{" "}
              </span>
              <b className="font-[620]">{String(each.key)}</b> <span className="text-soft">{KINDS[each.store]}</span>
            </p>
            {each.faults[0] && <p className="mb-1 text-[12px] break-words text-soft">{faultLine(each.faults[0])}</p>}
            <span className="flex gap-2">
              <button type="button" className="btn" onClick={() => saveFile(`${String(each.key)}-as-it-is.json`, asItIs(each.raw))}>
                Save it as it is
              </button>
              <button type="button" className="btn btn-plain text-soft" onClick={() => onDrop(each)}>
                Discard it
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
