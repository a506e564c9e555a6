"use client";

import { useRouter, useSearchParams } from "next/navigation";
import { useMemo, useState, useSyncExternalStore } from "react";
import { LEAST_SIZE, MOST_DISTANCE, MOST_SIZE } from "@/core/practice/torch";
import { type BenchEntry } from "@/core/piece/bench";
import { type Doubt, doubtAmong } from "@/core/piece/doubt";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { type TryFile, flameOf } from "@/formats/flame-file";
import { useDoubt } from "@/ui/doubt";
import { useNotices } from "@/ui/notices";
import { saveFile } from "@/ui/save-file";
import { useKeys } from "@/ui/keys";
import { useSessionState } from "@/ui/session";
import { useTitle } from "@/ui/title";
import { useTrayState, useUnits } from "@/ui/tray";
import { useSize } from "@/ui/useSize";
import { practiceText, watchText } from "@/words/screens/practice";
import { FLUX_NAMES, clockText } from "@/words/practice";
import { showTemperature, withUnit } from "@/words/show";
import { HeatView, sizedBy } from "./HeatView";
import { LadderInTime } from "./LadderInTime";
import { PracticeSide } from "./PracticeSide";
import { PracticeRun, type Tried } from "./run";
import { isOf, sceneOf, sceneOfTry } from "./scene";
import { useTries } from "./tries";

/** The heat of a plan that an address asks for: by its first joint; the first heat where none is asked for. */
function askedFor(plan: Plan, joint: string | null): number {
  return joint === null ? 0 : plan.heats.findIndex(({ joints }) => joints.includes(joint));
}

/** A heat of the piece, practised with a flame as often as wished, before it is done. */
export function PracticeScreen({ plan }: { readonly plan: Plan }) {
  const router = useRouter();
  const piece = useSessionState((state) => state.piece);
  const bench = useTrayState((state) => state.bench);
  const doubt = doubtAmong(Object.keys(plan.figures), useDoubt());
  const asked = useSearchParams();
  const index = askedFor(plan, asked.get("joint"));
  useTitle(piece.name, practiceText.title);
  const leave = () => router.push(`/pieces/${piece.id}/${asked.get("from") === "bench" ? "bench" : "heats"}`);
  if (index < 0 || plan.heats.length === 0)
    return (
      <main className="night min-h-dvh bg-night p-6 text-night-ink">
        <p className="mb-4 text-lg">{plan.heats.length === 0 ? practiceText.noHeat : practiceText.noSuchHeat}</p>
        <button type="button" className="night-btn" onClick={leave}>
          {practiceText.back}
        </button>
      </main>
    );
  return <Practised key={index} plan={plan} index={index} piece={piece} bench={bench} doubt={doubt} onLeave={leave} />;
}

interface PractisedProps {
  readonly plan: Plan;
  readonly index: number;
  readonly piece: Piece;
  /** The bench that the plan goes by. */
  readonly bench: BenchEntry;
  /** What a lesson is about. */
  readonly lesson?: { readonly title: string; readonly text: string };
  /** Whether each try begins without flux. */
  readonly isBare?: boolean;
  /** Why the piece's masses cannot be trusted yet. */
  readonly doubt?: Doubt | null;
  readonly onLeave: () => void;
}

/** Seconds from one time that what is seen is read out to the next. */
const SAID_EVERY = 4;

/** A heat under the flame, with all that is done about it. */
export function Practised({ plan, index, piece, bench, lesson, isBare = false, doubt = null, onLeave }: PractisedProps) {
  const units = useUnits();
  const { warn } = useNotices();
  const own = useMemo(() => sceneOf(piece, plan, index), [piece, plan, index]);
  const { tries, keep, remove } = useTries(own, bench);
  const [count, setCount] = useState(1);
  const over = (tried: Tried) => {
    if (tried.holder === "maker") keep(tried);
  };
  // also while a try is played again, which shows none
  const [isLed, lead] = useState(false);
  const begun = (hasGhost: boolean) => {
    const fresh = new PracticeRun(own.body, "maker", null, over, 1, hasGhost);
    if (isBare) fresh.lay("clean");
    return { run: fresh, scene: own };
  };
  const [{ run, scene }, play] = useState(() => begun(false));
  const shown = useSyncExternalStore(run.subscribe, run.now, run.now);
  const [isSeen, see] = useState(false);
  const [speed, setSpeed] = useState(1);
  const [ladder, ladderSize] = useSize(800, 230);
  const { body, names } = scene;
  const start = (next: ReturnType<typeof begun>) => {
    play(next);
    // on a phone what starts it may lie below the picture
    window.scrollTo({ top: 0 });
  };
  const again = (hasGhost = isLed) => {
    if (run.holder === "maker" && shown.isBegun) setCount((n) => n + 1);
    lead(hasGhost);
    start(begun(hasGhost));
  };
  const replay = (tried: TryFile) => {
    const its = isOf(tried, own, bench) ? own : sceneOfTry(tried);
    if (!its) return warn(practiceText.notPlayedAgain);
    see(true);
    start({ run: new PracticeRun(its.body, "again", flameOf(tried), undefined, speed), scene: its });
  };
  const hand = () => {
    see(true);
    start({ run: new PracticeRun(own.body, "hand", null, undefined, speed), scene: own });
  };
  const move = (x: number, y: number) => () => {
    const { torchNow } = run;
    run.hold({ x: torchNow.x + x, y: torchNow.y + y });
  };
  const light = () => run.hold({ isOn: !run.torchNow.isOn });
  const turnOver = () => run.hold({ isBelow: !run.torchNow.isBelow });
  useKeys(
    {
      ArrowLeft: move(-1, 0),
      ArrowRight: move(1, 0),
      ArrowUp: move(0, 1),
      ArrowDown: move(0, -1),
      l: light,
      r: () => again(),
      g: () => again(!shown.hasGhost),
      h: () => see((is) => !is),
      ...(body.support === "mesh" && { b: turnOver }),
      f: () => run.act("flux"),
      q: () => run.act("quench"),
      c: () => run.act("clean"),
      "+": () => run.hold(sizedBy(run, 0.5)),
      "-": () => run.hold(sizedBy(run, -0.5)),
      Escape: onLeave,
    },
    { repeats: true },
  );
  useKeys({ Space: () => run.pause(!run.now().isPaused) }, { repeats: false });
  const seenNow = practiceText.seen(
    body.parts
      .map(({ id }, p) => practiceText.partAt(names.part(id), showTemperature(shown.course.at(-1)?.parts[p]?.mean ?? 20, units)))
      .join(", "),
    shown.flux ? FLUX_NAMES[shown.flux] : "",
  );
  const watched = watchText(shown.watch, names, units);
  const turn = shown.isBegun ? Math.floor(shown.seconds / SAID_EVERY) : -1;
  const [said, say] = useState({ turn, text: "" });
  if (said.turn !== turn) say({ turn, text: turn < 0 ? "" : seenNow });
  return (
    <main className="night flex min-h-dvh flex-col bg-night text-night-ink lg:h-dvh">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-night-line px-4 py-3 text-base text-night-soft lg:px-6.5">
        <b className="text-night-ink">{piece.name}</b>
        <h1 className="min-w-0 flex-1 !text-base font-normal">
          {lesson
            ? practiceText.lesson(lesson.title)
            : practiceText.practise(index + 1, plan.heats.length, own.names.joints(plan.heats[index]!.joints).join(" + "))}
        </h1>
        <span>{run.holder === "maker" ? practiceText.try(count) : run.holder === "hand" ? practiceText.theHand : practiceText.again}</span>
        <b data-testid="clock" className="text-lg text-night-ink">
          {clockText(shown.seconds)}
        </b>
      </header>
      <div className="grid min-h-0 flex-1 lg:grid-cols-[minmax(0,1fr)_400px]">
        <div className="flex min-h-0 min-w-0 flex-col">
          <div className="relative min-h-0 flex-1">
            <HeatView run={run} names={names} units={units} isSeen={isSeen} label={practiceText.pictureSeen(watched.title)} />
            <GlowLegend />
          </div>
          <TorchControls run={run} hasMesh={body.support === "mesh"} shown={shown} onLight={light} onTurnOver={turnOver} />
          <div ref={ladder} className="h-50 shrink-0 border-t border-night-line max-lg:h-40">
            <LadderInTime
              body={body}
              course={shown.course}
              names={names}
              units={units}
              width={ladderSize.width}
              height={ladderSize.height}
            />
          </div>
        </div>
        <PracticeSide
          shown={shown}
          tries={tries}
          scene={scene}
          own={own}
          units={units}
          lesson={lesson?.text ?? null}
          doubt={doubt}
          speed={speed}
          onSpeed={setSpeed}
          onAgain={replay}
          onSave={(tried) => saveFile(`${tried.piece}-try.json`, `${JSON.stringify(tried)}\n`)}
          onRemove={remove}
          onHand={hand}
          onGhost={() => again(!shown.hasGhost)}
          onAct={(act) => run.act(act)}
          onEnd={() => run.end()}
        />
      </div>
      <p role="status" className="sr-only">
        {said.text}
      </p>
      <footer className="flex flex-wrap items-center gap-3 border-t border-night-line px-4 py-3 lg:px-6.5">
        <button type="button" className="night-btn night-go !min-h-touch" onClick={() => run.pause(!shown.isPaused)}>
          {shown.isPaused ? practiceText.goOn : practiceText.pause} <kbd className="night-key">{practiceText.space}</kbd>
        </button>
        <button type="button" className="night-btn !min-h-touch" onClick={() => again()}>
          <kbd className="night-key">R</kbd> {practiceText.startAgain}
        </button>
        <button type="button" aria-pressed={isSeen} className="night-btn !min-h-touch" onClick={() => see(!isSeen)}>
          <kbd className="night-key">H</kbd> {practiceText.see} {isSeen && <b className="text-glow">{practiceText.on}</b>}
        </button>
        <p className="min-w-60 flex-1 text-sm leading-text text-night-soft">
          <b className="text-night-ink">{practiceText.only}</b> {practiceText.onlyText}
        </p>
        <button type="button" className="night-btn !min-h-touch" onClick={onLeave}>
          <kbd className="night-key">{practiceText.esc}</kbd> {practiceText.leave}
        </button>
      </footer>
    </main>
  );
}

function GlowLegend() {
  const units = useUnits();
  return (
    <dl className="pointer-events-none absolute top-3 left-6.5 text-sm text-night-soft max-lg:hidden">
      <dt>{practiceText.howItGlows}</dt>
      {practiceText.glow.map(([at, text], i) => (
        <dd key={at} className="flex items-center gap-2">
          <span aria-hidden="true" className={`size-3.5 rounded-sm ${GLOW_CLASSES[i]!}`} />
          <b className="text-night-ink">{showTemperature(at, units)}°</b> {text}
        </dd>
      ))}
    </dl>
  );
}

const GLOW_CLASSES = ["bg-heat-faint", "bg-heat-cherry", "bg-heat-orange"] as const;

interface ControlsProps {
  readonly run: PracticeRun;
  readonly shown: ReturnType<PracticeRun["now"]>;
  readonly hasMesh: boolean;
  readonly onLight: () => void;
  readonly onTurnOver: () => void;
}

/** How the flame is set: its size, how far it is held, from which side; lit or away. */
function TorchControls({ run, shown: { torch, holder }, hasMesh, onLight, onTurnOver }: ControlsProps) {
  const units = useUnits();
  const isMine = holder === "maker";
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2 px-4 py-2 text-base text-night-soft lg:px-6.5">
      <button type="button" className="night-btn !min-h-touch !text-base" disabled={!isMine} aria-pressed={torch.isOn} onClick={onLight}>
        <kbd className="night-key">L</kbd> {torch.isOn ? practiceText.takeAway : practiceText.light}
      </button>
      <label className="flex items-center gap-2">
        {practiceText.size}
        <input
          type="range"
          min={LEAST_SIZE}
          max={MOST_SIZE}
          step={0.5}
          value={torch.size}
          disabled={!isMine}
          className="w-24 accent-glow"
          onChange={(event) => run.hold({ size: Number(event.target.value) })}
        />
        <b className="w-17 whitespace-nowrap text-night-ink">{withUnit(torch.size, "blank", units)}</b>
      </label>
      <label className="flex items-center gap-2">
        {practiceText.distance}
        <input
          type="range"
          min={20}
          max={MOST_DISTANCE}
          step={5}
          value={torch.distance}
          disabled={!isMine}
          className="w-24 accent-glow"
          onChange={(event) => run.hold({ distance: Number(event.target.value) })}
        />
        <b className="w-20 whitespace-nowrap text-night-ink">{withUnit(torch.distance, "blank", units)}</b>
      </label>
      {hasMesh && (
        <button
          type="button"
          className="night-btn !min-h-touch !text-base"
          disabled={!isMine}
          aria-pressed={torch.isBelow}
          onClick={onTurnOver}
        >
          <kbd className="night-key">B</kbd> {torch.isBelow ? practiceText.below : practiceText.above}
        </button>
      )}
    </div>
  );
}
