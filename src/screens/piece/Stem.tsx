"use client";

import { STAGE_NAMES, type StageId } from "@/words/stages";
import { type StemEntry } from "./stages";

interface Props {
  readonly entries: readonly StemEntry[];
  readonly current: StageId;
  readonly onGo: (stage: StageId) => void;
  /** The settings of the piece, where it has several, and the one shown. */
  readonly settings: readonly string[];
  readonly shown: string;
  readonly onShow: (setting: string) => void;
}

/** Down the left, the piece in the order it is made. */
export function Stem({ entries, current, onGo, settings, shown, onShow }: Props) {
  return (
    <nav aria-label="Stages" className="relative overflow-y-auto border-r border-line bg-paper pt-3.5 [grid-area:stem]">
      {settings.length > 1 && (
        <div role="group" aria-label="Setting shown" className="mb-2 flex flex-wrap gap-1 px-3">
          {settings.map((setting) => (
            <button
              key={setting}
              type="button"
              aria-pressed={setting === shown}
              onClick={() => onShow(setting)}
              className={`rounded-[4px] border px-1.5 text-[12.5px] ${setting === shown ? "border-ink bg-ink text-white" : "border-line bg-sheet"}`}
            >
              {setting}
            </button>
          ))}
        </div>
      )}
      <ol>
        {entries.map((entry, i) => (
          <li key={entry.id} className="relative">
            {i < entries.length - 1 && <span aria-hidden="true" className="absolute top-6 bottom-[-12px] left-[21px] w-[1.5px] bg-line" />}
            <button
              type="button"
              aria-current={entry.id === current ? "step" : undefined}
              onClick={() => onGo(entry.id)}
              className={`grid w-full grid-cols-[34px_1fr] py-[9px] pr-2 text-left outline-offset-[-2px] ${entry.id === current ? "bg-sheet shadow-[inset_3px_0_0_var(--color-accent)]" : "hover:bg-hair"}`}
            >
              <Dot entry={entry} isCurrent={entry.id === current} />
              <span className="min-w-0">
                <b className="block text-[14px] font-[640]">{STAGE_NAMES[entry.id]}</b>
                <span className={`narrow block text-[12.5px] leading-snug ${entry.level === "error" ? "text-bad" : "text-soft"}`}>
                  {entry.result}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ol>
    </nav>
  );
}

/** Done a tick, a finding a diamond, not yet a ring; the chosen stage a filled dot. */
function Dot({ entry, isCurrent }: { readonly entry: StemEntry; readonly isCurrent: boolean }) {
  const place = "relative z-[1] mt-[4px] ml-4 h-[12px] w-[12px]";
  if (entry.level) {
    return (
      <span className={`${place} ${isCurrent ? "rounded-full shadow-[0_0_0_4px_var(--color-accent-wash)]" : ""}`}>
        <span
          className={`block h-[11px] w-[11px] rotate-45 rounded-[2px] border-2 ${entry.level === "error" ? "border-[#7d1712] bg-[#c0392b]" : "border-warn bg-gather"}`}
        />
        <span className="sr-only">{entry.level === "error" ? "something is wrong" : "take care"}</span>
      </span>
    );
  }
  if (isCurrent) return <span className={`${place} rounded-full bg-accent shadow-[0_0_0_4px_var(--color-accent-wash)]`} />;
  if (!entry.isDone) return <span className={`${place} rounded-full border-2 border-metal-edge bg-paper`} />;
  return (
    <span className={`${place} rounded-full bg-metal-edge`}>
      <svg viewBox="0 0 12 12" className="block h-full w-full" role="img" aria-label="planned">
        <path d="M3.2 6.2l2 2 3.6-4" fill="none" stroke="#fff" strokeWidth={1.6} />
      </svg>
    </span>
  );
}
