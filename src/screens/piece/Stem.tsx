"use client";

import { capital, settingName } from "@/words/names";
import { type StageId } from "@/words/stages";
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
    <nav
      aria-label="Stages"
      className="border-line bg-paper [grid-area:stem] max-lg:sticky max-lg:top-0 max-lg:z-10 max-lg:border-b lg:relative lg:overflow-y-auto lg:border-r lg:pt-3.5"
    >
      {settings.length > 1 && (
        <div role="group" aria-label="Setting shown" className="flex flex-wrap gap-1 px-3 max-lg:pt-1.5 lg:mb-2">
          {settings.map((setting) => (
            <button
              key={setting}
              type="button"
              aria-pressed={setting === shown}
              onClick={() => onShow(setting)}
              className={`rounded-[4px] border px-1.5 text-[12.5px] max-lg:h-[44px] max-lg:min-w-[44px] ${setting === shown ? "border-ink bg-ink text-white" : "border-line bg-sheet"}`}
            >
              {capital(settingName(settings, setting))}
            </button>
          ))}
        </div>
      )}
      <ol className="max-lg:flex max-lg:overflow-x-auto">
        {entries.map((entry, i) => (
          <li key={entry.id} className="relative max-lg:min-w-[54px] max-lg:flex-1">
            {i < entries.length - 1 && (
              <span
                aria-hidden="true"
                className="absolute bg-line max-lg:top-[15px] max-lg:right-[-50%] max-lg:left-1/2 max-lg:h-[1.5px] lg:top-6 lg:bottom-[-12px] lg:left-[21px] lg:w-[1.5px]"
              />
            )}
            <button
              type="button"
              aria-current={entry.id === current ? "step" : undefined}
              onClick={() => onGo(entry.id)}
              className={`w-full outline-offset-[-2px] max-lg:flex max-lg:h-full max-lg:min-h-[60px] max-lg:flex-col max-lg:items-center max-lg:px-0.5 max-lg:pb-1.5 lg:grid lg:grid-cols-[34px_1fr] lg:py-[9px] lg:pr-2 lg:text-left ${entry.id === current ? "bg-sheet max-lg:shadow-[inset_0_3px_0_var(--color-accent)] lg:shadow-[inset_3px_0_0_var(--color-accent)]" : "hover:bg-hair"}`}
            >
              <Dot entry={entry} isCurrent={entry.id === current} />
              <span className="min-w-0">
                <b className="block font-[640] max-lg:text-[13px] lg:text-[14px]">{entry.name}</b>
                <span
                  className={`narrow block leading-snug max-lg:text-[11.5px] max-md:hidden lg:text-[12.5px] ${entry.level === "error" ? "text-bad" : "text-soft"}`}
                >
                  {entry.result}
                </span>
                <span
                  className={`narrow block text-[11.5px] leading-tight md:hidden ${entry.level === "error" ? "text-bad" : "text-soft"}`}
                >
                  {entry.short}
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
  const place = "own-colours relative z-[1] h-[12px] w-[12px] shrink-0 max-lg:mt-[9px] max-lg:mb-1 lg:mt-[4px] lg:ml-4";
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
