"use client";

import { capital, settingName } from "@/words/names";
import { type StageId } from "@/words/stages";
import { type StemEntry } from "./stages";
import { stemText } from "@/words/screens/piece";

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
      aria-label={stemText.stages}
      className="border-line bg-paper [grid-area:stem] max-lg:sticky max-lg:top-0 max-lg:z-10 max-lg:border-b lg:relative lg:overflow-y-auto lg:border-r lg:pt-3.5"
    >
      {settings.length > 1 && (
        <div role="group" aria-label={stemText.settingShown} className="flex flex-wrap gap-1 px-3 max-lg:pt-1.5 lg:mb-2">
          {settings.map((setting) => (
            <button
              key={setting}
              type="button"
              aria-pressed={setting === shown}
              onClick={() => onShow(setting)}
              className={`rounded-sm border px-1.5 text-sm max-lg:h-touch max-lg:min-w-touch ${setting === shown ? "border-ink bg-ink text-white" : "border-line bg-sheet"}`}
            >
              {capital(settingName(settings, setting))}
            </button>
          ))}
        </div>
      )}
      <ol className="max-lg:flex max-lg:overflow-x-auto">
        {entries.map((entry, i) => (
          <li key={entry.id} className="relative max-lg:min-w-15.5 max-lg:flex-1">
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
              className={`w-full outline-offset-[-2px] max-lg:flex max-lg:h-full max-lg:min-h-17 max-lg:flex-col max-lg:items-center max-lg:px-0.5 max-lg:pb-1.5 lg:grid lg:grid-cols-[34px_1fr] lg:py-2.5 lg:pr-2 lg:text-left ${entry.id === current ? "bg-sheet max-lg:shadow-chosen-top lg:shadow-chosen" : "hover:bg-hair"}`}
            >
              <Dot entry={entry} isCurrent={entry.id === current} />
              <span className="min-w-0">
                <b className="block font-strong max-lg:text-sm lg:text-base">{entry.name}</b>
                <span
                  className={`narrow block leading-snug max-lg:text-xs max-md:hidden lg:text-sm ${entry.level === "error" ? "text-bad" : "text-soft"}`}
                >
                  {entry.result}
                </span>
                <span className={`narrow block text-xs leading-tight md:hidden ${entry.level === "error" ? "text-bad" : "text-soft"}`}>
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
  const place = "own-colours relative z-[1] h-[12px] w-[12px] shrink-0 max-lg:mt-2.5 max-lg:mb-1 lg:mt-1 lg:ml-4";
  if (entry.level) {
    return (
      <span className={`${place} ${isCurrent ? "rounded-full shadow-ring" : ""}`}>
        <span
          className={`block h-[11px] w-[11px] rotate-45 rounded-sm border-2 ${entry.level === "error" ? "border-melt bg-bad" : "border-warn bg-gather"}`}
        />
        <span className="sr-only">{entry.level === "error" ? stemText.somethingIsWrong : stemText.takeCare}</span>
      </span>
    );
  }
  if (isCurrent) return <span className={`${place} rounded-full bg-accent shadow-ring`} />;
  if (!entry.isDone) return <span className={`${place} rounded-full border-2 border-metal-edge bg-paper`} />;
  return (
    <span className={`${place} rounded-full bg-metal-edge`}>
      <svg viewBox="0 0 12 12" className="block h-full w-full" role="img" aria-label={stemText.planned}>
        <path d="M3.2 6.2l2 2 3.6-4" fill="none" stroke="var(--color-white)" strokeWidth={1.6} />
      </svg>
    </span>
  );
}
