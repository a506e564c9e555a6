"use client";

import { line, scaleLinear } from "d3";
import { type HeatBody } from "@/core/practice/body";
import { type TorchAct } from "@/core/practice/heat";
import { type AimState } from "@/core/practice/watch";
import { Cautions } from "@/ui/Cautions";
import { Segments } from "@/ui/Segments";
import { type Names } from "@/words/names";
import { clockText, outcomeTexts } from "@/words/practice";
import { type Units } from "@/words/show";
import { aimText, practiceText, watchText } from "@/words/screens/practice";
import { lineColour } from "./LadderInTime";
import { type Moment, type PracticeRun, type Tried } from "./run";

interface Props {
  readonly shown: ReturnType<PracticeRun["now"]>;
  readonly tries: readonly Tried[];
  readonly names: Names;
  readonly units: Units;
  readonly body: HeatBody;
  /** What a lesson is about; null where it is none. */
  readonly lesson: string | null;
  readonly speed: number;
  readonly onSpeed: (speed: number) => void;
  readonly onAgain: (tried: Tried) => void;
  readonly onSave: (tried: Tried) => void;
  readonly onHand: () => void;
  readonly onAct: (act: TorchAct) => void;
  readonly onEnd: () => void;
}

/** What to watch, or what came of it; the aims; what else can be done; the last tries. */
export function PracticeSide({ shown, tries, names, units, body, lesson, speed, onSpeed, onAgain, onSave, onHand, onAct, onEnd }: Props) {
  const { outcome } = shown;
  return (
    <section
      aria-label={outcome ? practiceText.happened : practiceText.whatToWatch}
      className="min-w-0 border-night-line px-4 py-4 text-night-key lg:overflow-y-auto lg:border-l lg:px-6"
    >
      {outcome ? <Happened outcome={outcome} names={names} units={units} /> : <Watching shown={shown} names={names} units={units} />}
      {lesson !== null && <p className="mt-2 border-l-2 border-glow pl-3 text-base leading-text text-night-ink">{lesson}</p>}
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
        <Segments
          label={practiceText.speed}
          value={String(speed)}
          options={[1, 2, 4].map((each) => ({ value: String(each), text: practiceText.times(each) }))}
          onChoose={(value) => onSpeed(Number(value))}
        />
      </div>
      <h2 className="mt-4 text-sm font-semibold text-night-soft">{practiceText.lastTries}</h2>
      {tries.length === 0 && <p className="text-sm">{practiceText.noTries}</p>}
      <ol>
        {tries.map((tried, i) => (
          <li key={tries.length - i} className="grid grid-cols-[44px_110px_1fr] items-center gap-3 border-b border-night-line py-2 text-sm">
            <b className="text-night-ink">{clockText(tried.outcome.result.seconds)}</b>
            <Lines course={tried.course} count={body.parts.length} />
            <span className="min-w-0">
              <b className={`block ${tried.outcome.isWon ? "text-night-ok" : "text-night-warn"}`}>
                {outcomeTexts(tried.outcome, names, units)[0]}
              </b>
              <button
                type="button"
                className="tap font-semibold text-glow underline underline-offset-2"
                aria-label={practiceText.playAgainOf(tries.length - i)}
                onClick={() => onAgain(tried)}
              >
                {practiceText.playAgain}
              </button>
              <button
                type="button"
                className="tap ml-3 font-semibold text-glow underline underline-offset-2"
                aria-label={practiceText.saveOf(tries.length - i)}
                onClick={() => onSave(tried)}
              >
                {practiceText.save}
              </button>
            </span>
          </li>
        ))}
      </ol>
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

const WIDE = 110;
const TALL = 34;

/** A try's lines, small. */
function Lines({ course, count }: { readonly course: readonly Moment[]; readonly count: number }) {
  const x = scaleLinear([0, course.at(-1)?.seconds ?? 1], [0, WIDE]);
  const y = scaleLinear([20, 830], [TALL - 2, 2]).clamp(true);
  return (
    <svg width={WIDE} height={TALL} aria-hidden="true">
      {Array.from({ length: count }, (_, p) => (
        <path
          key={p}
          d={
            line<Moment>()
              .x(({ seconds }) => x(seconds))
              .y(({ parts }) => y(parts[p]!.mean))([...course]) ?? ""
          }
          fill="none"
          stroke={lineColour(p)}
          strokeWidth={1.6}
        />
      ))}
    </svg>
  );
}
