"use client";

import { type Doubt } from "@/core/piece/doubt";
import { type TorchAct } from "@/core/practice/heat";
import { type TryFile } from "@/formats/flame-file";
import { type AimState } from "@/core/practice/watch";
import { Cautions } from "@/ui/Cautions";
import { Segments } from "@/ui/Segments";
import { type Names } from "@/words/names";
import { outcomeTexts } from "@/words/practice";
import { type Units } from "@/words/show";
import { aimText, practiceText, watchText } from "@/words/screens/practice";
import { type PracticeRun } from "./run";
import { type Scene } from "./scene";
import { TryList } from "./TryList";
import { type ListedTry } from "./tries";

interface Props {
  readonly shown: ReturnType<PracticeRun["now"]>;
  readonly tries: readonly ListedTry[];
  /** The heat that is played, and the one that the page is about. */
  readonly scene: Scene;
  readonly own: Scene;
  readonly units: Units;
  /** What a lesson is about; null where it is none. */
  readonly lesson: string | null;
  readonly doubt: Doubt | null;
  readonly speed: number;
  readonly onSpeed: (speed: number) => void;
  readonly onAgain: (tried: TryFile) => void;
  readonly onSave: (tried: TryFile) => void;
  readonly onRemove: (tried: TryFile) => void;
  readonly onHand: () => void;
  /** To have the careful hand go before, or no longer. */
  readonly onGhost: () => void;
  readonly onAct: (act: TorchAct) => void;
  readonly onEnd: () => void;
}

/** What to watch, or what came of it; the aims; what else can be done; the last tries. */
export function PracticeSide({
  shown,
  tries,
  scene,
  own,
  units,
  lesson,
  doubt,
  speed,
  onSpeed,
  onHand,
  onGhost,
  onAct,
  onEnd,
  ...on
}: Props) {
  const { names } = scene;
  const { outcome } = shown;
  return (
    <section
      aria-label={outcome ? practiceText.happened : practiceText.whatToWatch}
      className="min-w-0 border-night-line px-4 py-4 text-night-key lg:overflow-y-auto lg:border-l lg:px-6"
    >
      {outcome ? <Happened outcome={outcome} names={names} units={units} /> : <Watching shown={shown} names={names} units={units} />}
      {lesson !== null && <p className="mt-2 border-l-2 border-glow pl-3 text-base leading-text text-night-ink">{lesson}</p>}
      {doubt && (
        <p role="note" className="mt-2 text-base font-semibold text-night-warn">
          <span aria-hidden="true">○ </span>
          {practiceText.doubtful(doubt)}
        </p>
      )}
      <h2 className="mt-4 text-sm font-semibold text-night-soft">{practiceText.goodWhen}</h2>
      <ul className="mb-4">
        {shown.aims.map((aim) => {
          const { aim: what, state } = aimText(aim, names, units);
          return (
            <li key={what} className="grid grid-cols-[24px_1fr_auto] items-center gap-2 border-b border-night-line py-1.5">
              <Mark state={aim.state} />
              <b className="font-semibold text-night-ink">{what}</b>
              <span className="text-sm">{state}</span>
            </li>
          );
        })}
      </ul>
      {!outcome && shown.holder === "maker" && (
        <div className="mb-4 flex flex-wrap gap-2">
          {ACTS.map(({ act, key, text }) => (
            <button key={act} type="button" className="night-btn !min-h-touch !px-3 !text-sm" onClick={() => onAct(act)}>
              <kbd className="night-key">{key}</kbd> {text}
            </button>
          ))}
          {shown.isBegun && (
            <button type="button" className="night-btn !min-h-touch !px-3 !text-sm" onClick={onEnd}>
              {practiceText.giveUp}
            </button>
          )}
        </div>
      )}
      <div className="flex flex-wrap items-center gap-2">
        <button type="button" className="night-btn !min-h-touch !px-3 !text-sm" onClick={onHand}>
          {practiceText.showHand}
        </button>
        <button type="button" aria-pressed={shown.hasGhost} className="night-btn !min-h-touch !px-3 !text-sm" onClick={onGhost}>
          <kbd className="night-key">G</kbd> {practiceText.followHand} {shown.hasGhost && <b className="text-glow">{practiceText.on}</b>}
        </button>
        <Segments
          label={practiceText.speed}
          value={String(speed)}
          options={[1, 2, 4].map((each) => ({ value: String(each), text: practiceText.times(each) }))}
          onChoose={(value) => onSpeed(Number(value))}
        />
      </div>
      <TryList tries={tries} names={own.names} {...on} />
      <Cautions codes={["torch", "flux"]} isNight />
    </section>
  );
}

const ACTS = [
  { act: "flux", key: "F", text: practiceText.flux },
  { act: "quench", key: "Q", text: practiceText.quench },
  { act: "clean", key: "C", text: practiceText.clean },
] as const;

interface SaidProps {
  readonly names: Names;
  readonly units: Units;
}

function Watching({ shown, names, units }: SaidProps & { readonly shown: Props["shown"] }) {
  const { title, text } = watchText(shown.watch, names, units);
  return (
    <div className="lg:min-h-32">
      <p className="text-sm font-semibold text-night-soft">{practiceText.whatToWatch}</p>
      <h2 className="text-2xl leading-tight font-bold text-night-warn">{title}</h2>
      <p className="mt-1 text-lg leading-text">{text}</p>
    </div>
  );
}

function Happened({ outcome, names, units }: SaidProps & { readonly outcome: NonNullable<Props["shown"]["outcome"]> }) {
  return (
    <div role="status">
      <p className="text-sm font-semibold text-night-soft">{practiceText.happened}</p>
      <h2 className={`text-2xl leading-tight font-bold ${outcome.isWon ? "text-night-ok" : "text-night-warn"}`}>
        {outcome.isWon ? practiceText.won : practiceText.notWon}
      </h2>
      {outcomeTexts(outcome, names, units).map((text) => (
        <p key={text} className="mt-1 text-lg leading-text">
          {text}
        </p>
      ))}
    </div>
  );
}

function Mark({ state }: { readonly state: AimState }) {
  return (
    <svg width={20} height={20} aria-hidden="true">
      {state === "open" && <circle cx={10} cy={10} r={7} fill="none" stroke="var(--color-night-soft)" strokeWidth={2} />}
      {state === "missed" && <path d="M10 2l8 8-8 8-8-8z" fill="var(--color-night-warn)" />}
      {state === "met" && (
        <>
          <rect x={1} y={1} width={18} height={18} rx={4} fill="var(--color-ok)" />
          <path d="M5.5 10.5l3 3 6-7" fill="none" stroke="var(--color-white)" strokeWidth={2} />
        </>
      )}
    </svg>
  );
}
