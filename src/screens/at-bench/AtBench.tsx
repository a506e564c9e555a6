"use client";

import { benchOf, withBench } from "@/core/piece/bench";
import { useRouter } from "next/navigation";
import { type ReactNode, useCallback, useEffect, useMemo, useState } from "react";
import { type Make, pieceNow } from "@/core/piece/make";
import { doneSteps } from "@/core/making/done";
import { meanwhile } from "@/core/making/meanwhile";
import { type CheckCode, entriesOf } from "@/core/making/step";
import { type Mishap, mishapsAt } from "@/core/piece/mishaps";
import { type Plan } from "@/core/piece/plan";
import { type Remedy } from "@/core/piece/remedies";
import { isHeld } from "@/core/piece/standing";
import { type MakeEdit, setting, ticking } from "@/store/make-edits";
import { underWay } from "@/store/tray-state";
import { ReadAtBench } from "@/ui/doubt";
import { FaultList } from "@/ui/FaultList";
import { type Keys, useKeys } from "@/ui/keys";
import { useNotices } from "@/ui/notices";
import { usePlanned } from "@/ui/planner";
import { NotKept } from "@/ui/NotKept";
import { useSessionState } from "@/ui/session";
import { useTitle } from "@/ui/title";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { useAwake } from "@/ui/useAwake";
import { useNow } from "@/ui/useNow";
import { SETTLING } from "@/words/heats";
import { sayRemedy } from "@/words/remedies";
import { capital, namesIn } from "@/words/names";
import { CHECKS } from "@/words/steps";
import { OvertakenBar } from "../piece/OvertakenBar";
import { useUndoMaking } from "../piece/undo";
import { BenchHead } from "./BenchHead";
import { BenchReading } from "./BenchReading";
import { BenchStop } from "./BenchStop";
import { anewEdit } from "./anew-edit";
import { Meanwhile, OtherPieces, WaitRow } from "./BenchTop";
import { Changed } from "./Changed";
import { Checks } from "./Checks";
import { contradicting } from "./contradicts";
import { LastTime } from "./LastTime";
import { NextUp } from "./NextUp";
import { Result } from "./Result";
import { StepBody } from "./StepBody";
import { useOthers } from "./others";
import { useNewerPiece } from "./newer-piece";
import { slipGuard } from "./slip-guard";
import { useSpace } from "./space";
import { useFiguresBefore, usePlanAt } from "./step-plan";
import { TakingContext, newTaking } from "./taking";
import { minutesOf } from "./timed";
import { outOf, waitingIn } from "./timers";
import { WentWrong } from "./WentWrong";
import { commonText } from "@/words/common";
import { atBenchText } from "@/words/screens/at-bench";

/** Bench mode: the piece's making one step at a time, dark, readable at arm's length. */
export function AtBench() {
  const tray = useTray();
  const bench = useTrayState((state) => state.bench);
  const piece = useSessionState((state) => state.piece);
  const kept = useTrayState(({ makes }) => underWay(makes, piece.id));
  const make = useMemo(() => kept ?? tray.making(piece), [kept, tray, piece]);
  const isRead = useTrayState(({ drafts }) => drafts[piece.id] !== undefined);
  useEffect(() => {
    void tray.readMakesOf([piece.id]);
    void tray.readDrafts(piece.id);
  }, [tray, piece.id]);
  useNewerPiece();
  const isBegun = make === kept;
  const followed = isBegun ? pieceNow(make) : piece;
  const planned = usePlanned(followed, bench, make.measured);
  useTitle(piece.name, commonText.atTheBench);
  if (!planned || !isRead) return <Night>{atBenchText.workingOutThePlan}</Night>;
  if (!planned.ok)
    return (
      <Night>
        <FaultList faults={planned.faults} />
      </Night>
    );
  // Steps follow the order of heats: none is shown that may yet be another.
  if (planned.isSettling && planned.plan.heatPlan.status === "unproven") return <Night>{capital(SETTLING)}</Night>;
  return <AtStep key={make.id} make={make} plan={planned.plan} isBegun={isBegun} />;
}

function Night({ children }: { readonly children: ReactNode }) {
  return <main className="night min-h-dvh bg-night p-6 text-night-ink">{children}</main>;
}

interface AtStepProps {
  readonly make: Make;
  readonly plan: Plan;
  readonly isBegun: boolean;
}

function AtStep({ make, plan, isBegun }: AtStepProps) {
  const tray = useTray();
  const router = useRouter();
  const { warn, say } = useNotices();
  const units = useUnits();
  const bench = useTrayState((state) => state.bench);
  const piece = useSessionState((state) => state.piece);
  const changed = useTrayState(({ pieces }) => pieces.find(({ id }) => id === piece.id)?.changed ?? "");
  const now = useNow();
  useAwake();
  const [asked, look] = useState<string | null>(null);
  const [isWrong, tellWrong] = useState(false);
  const [looked, setLooked] = useState<ReadonlySet<string>>(new Set());
  const done = useMemo(() => doneSteps(plan.steps, make.done), [plan.steps, make.done]);
  const next = plan.steps.find(({ id }) => !done.has(id)) ?? null;
  const step = plan.steps.find(({ id }) => id === asked) ?? next;
  const at = step === null ? plan.steps.length : plan.steps.indexOf(step);
  const doneAt = step === null ? undefined : done.get(step.id);
  const before = usePlanAt(make, plan, doneAt);
  const own = useFiguresBefore(make, before, step, doneAt);
  const told = before.steps.some(({ id }) => id === step?.id) ? { ...before, figures: own } : plan;
  const shown = told.steps.find(({ id }) => id === step?.id) ?? step;
  const names = useMemo(() => namesIn(plan), [plan]);
  const waiting = waitingIn(make, plan.steps, benchOf(piece, bench));
  const isIn = new Set(waiting.flatMap(({ steps, until }) => (until > now ? steps.map(({ id }) => id) : [])));
  /** What can be taken up while the next step waits, once what is `over` is done too. */
  const free = (...over: readonly string[]) => meanwhile(plan.tasks ?? [], new Set([...done.keys(), ...over]), isIn);
  const besides = plan.steps.find(({ id }) => id === free()) ?? null;

  const keep = useCallback(
    async (edit: MakeEdit, field: string | null = null) => {
      const kept = await tray.editMake(make, edit, field);
      if (!kept.ok) warn(`${kept.problem}.`);
      return kept.ok;
    },
    [tray, make, warn],
  );
  const [taking] = useState(newTaking);
  const finish = () => {
    if (!taking.takeAll()) return;
    const worked = minutesOf(make);
    const isTimed = make.result?.minutes === undefined && worked !== null && worked > 0;
    void tray
      .setMake(make, { finished: new Date().toISOString(), ...(isTimed && { minutes: worked }) })
      .then((kept) => (kept.ok ? router.push("/ledger") : warn(`${kept.problem}.`)));
  };
  const [isSlip] = useState(slipGuard);
  /** A reading of this step that means "start again", and was not gone on with: Done is held by it. */
  const stop =
    doneAt === undefined
      ? plan.remedies.find(
          (remedy) => remedy.anew.length > 0 && step?.reads.some(({ figure }) => figure === remedy.figure) && !isHeld(remedy, make.held),
        )
      : undefined;
  const goOnHeld = () => {
    if (!step || !stop) return;
    const at = new Date().toISOString();
    look(null);
    setLooked(new Set());
    void keep({
      put: {
        held: [{ step: step.id, figure: stop.figure, value: Number(stop.values.from), at }],
        done: entriesOf(step).map((each) => ({ step: each, at })),
      },
    });
  };
  const goOn = () => {
    if (!step || isSlip() || !taking.takeAll()) return;
    if (stop) {
      say(atBenchText.doneIsHeldChooseWhat);
      return;
    }
    // After switching to a step that is free, stay with free steps until the waiting part is out.
    look(step === besides ? free(step.id) : null);
    setLooked(new Set());
    if (doneAt === undefined) void keep(ticking(make, entriesOf(step), true, new Date().toISOString()));
  };
  const back = () => {
    const to = plan.steps[at - 1];
    if (to) look(to.id);
  };
  const ahead = () => {
    const to = plan.steps[at + 1];
    if (to) look(to.id);
  };
  const turnTo = () => besides && look(besides.id);
  const leave = () => router.push(`/pieces/${piece.id}/making`);
  const check = (i: number) => {
    const key = step?.checks[i];
    const against = key && !looked.has(key) && contradicted(key);
    if (against) say(`${CHECKS[key]}? ${sayRemedy(against, units).what}`);
    setLooked((all) => {
      if (!key) return all;
      return all.has(key) ? new Set([...all].filter((each) => each !== key)) : new Set([...all, key]);
    });
  };
  const { undo, redo, canUndo } = useUndoMaking(piece.id);
  const keys: Keys = {
    b: back,
    x: () => step && tellWrong(true),
    ...(stop && { n: () => startAnew(stop.anew, stop), g: goOnHeld }),
    m: turnTo,
    Escape: leave,
    ArrowLeft: back,
    ArrowRight: ahead,
    PageUp: back,
    PageDown: goOn,
    ...Object.fromEntries([1, 2, 3, 4, 5].map((n) => [String(n), () => check(n - 1)])),
    "$mod+z": undo,
    "$mod+Shift+z": redo,
    "$mod+y": redo,
  };
  useKeys(keys, { repeats: false });
  useSpace(goOn);

  const startAnew = (parts: readonly string[], why: Pick<Make["remedies"][number], "code" | "figure" | "level">) => {
    const { put, drop } = anewEdit(make, plan, parts);
    tellWrong(false);
    look(null);
    const { code, figure, level } = why;
    const remedy = { code, figure, at: new Date().toISOString(), ...(level && { level }) };
    void keep({ put: { ...put, remedies: [remedy] }, drop });
    say(atBenchText.aNewItsStepsCome(names.part(parts[0]!)));
  };
  const happened = (mishap: Mishap, isTaken: boolean) => {
    const time = new Date().toISOString();
    const { act } = mishap;
    if (isTaken && act?.kind === "again" && act.anew) return startAnew(act.anew, { code: mishap.code, figure: mishap.about });
    tellWrong(false);
    look(null);
    void keep({
      put: {
        remedies: [{ code: mishap.code, figure: mishap.about, at: time }],
        ...(isTaken && act?.kind === "change" && { taken: [{ at: time, pieceFile: withBench(act.piece, bench) }] }),
      },
      // The piece itself stays as it is: only what is edited in it after this is asked about.
      ...(isTaken && act?.kind === "change" && setting(make, { asBegun: changed })),
      ...(isTaken && act?.kind === "again" && { drop: { done: make.done.filter((each) => act.entries.includes(each.step)) } }),
    });
    say(isTaken ? atBenchText.appliedAndNoted : "Noted.");
  };
  /** What was read and says otherwise than a check. */
  const contradicted = (code: CheckCode) => (step ? contradicting(code, step, plan.remedies) : undefined);
  const others = useOthers(piece.id);
  const isOfStep = ({ figure: of }: Remedy) => step?.reads.some((each) => each.figure === of) || step?.target === of;
  const remedies = plan.remedies.filter((remedy) => remedy !== stop && (remedy.anew.length > 0 || isOfStep(remedy)));
  return (
    <TakingContext value={taking}>
      <ReadAtBench value={make.measured}>
        <main className="night grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] bg-night text-night-ink">
          <BenchHead
            make={make}
            plan={plan}
            done={done}
            step={step}
            at={at}
            isBegun={isBegun}
            undo={canUndo ? undo : null}
            onLook={look}
            onLeave={leave}
          />
          <div className="grid content-start lg:content-stretch lg:grid-cols-[1fr_470px]">
            <section aria-label={atBenchText.thisStep} className="min-w-0 px-4 pt-3 lg:px-10 lg:pt-7">
              <div className="mb-2 flex flex-col gap-2 empty:hidden">
                <NotKept isNight />
                <OvertakenBar isNight />
                <Changed make={make} plan={plan} isBegun={isBegun} done={done} onEdit={keep} />
                {waiting.map((each) => (
                  <WaitRow
                    key={each.steps[0]!.id}
                    waiting={each}
                    now={now}
                    plan={plan}
                    onOut={() =>
                      void keep({ put: { done: each.steps.map(({ id }) => ({ step: outOf(id), at: new Date().toISOString() })) } })
                    }
                  />
                ))}
                {besides && step === next && <Meanwhile step={besides} plan={plan} units={units} onTurn={turnTo} />}
                <OtherPieces others={others} now={now} />
                {at === 0 && <LastTime piece={piece.id} />}
              </div>
              {shown ? (
                <StepBody
                  step={shown}
                  plan={told}
                  make={isBegun ? make : null}
                  remedies={remedies}
                  doneAt={doneAt}
                  onUntick={() => void keep(ticking(make, entriesOf(shown), false, ""))}
                />
              ) : (
                <h1 className="text-3xl font-bold lg:text-3xl">{atBenchText.allStepsAreDoneHow}</h1>
              )}
            </section>
            <section
              aria-label={atBenchText.readingsAndChecks}
              className="min-w-0 px-4 pt-4 pb-4 lg:border-l lg:border-night-line lg:px-8.5 lg:pt-7"
            >
              {shown ? (
                <>
                  {shown.reads.map((reading, i) => (
                    <BenchReading
                      key={`${shown.id} ${reading.figure}`}
                      asked={reading}
                      make={make}
                      isFirst={i === 0}
                      onEdit={keep}
                      onDone={goOn}
                      onBack={back}
                      onLeave={leave}
                      keys={{ b: back, x: () => tellWrong(true) }}
                    />
                  ))}
                  {stop && <BenchStop stop={stop} plan={plan} done={done} onAnew={() => startAnew(stop.anew, stop)} onGoOn={goOnHeld} />}
                  <Checks step={shown} looked={looked} contradicted={contradicted} onCheck={check} />
                </>
              ) : (
                <Result make={make} plan={plan} onFinish={finish} />
              )}
            </section>
          </div>
          <footer className="night-foot sticky bottom-0 flex flex-wrap gap-2 border-t border-night-line bg-night px-4 py-2.5 lg:px-7.5 lg:py-4">
            <button type="button" className="night-btn max-lg:basis-22.5" disabled={at === 0} onClick={back}>
              <kbd className="night-key">B</kbd> {atBenchText.back}
            </button>
            <button type="button" className="night-btn max-lg:basis-32" disabled={!step} onClick={() => tellWrong(true)}>
              <kbd className="night-key">X</kbd> {atBenchText.wentWrong}
            </button>
            <NextUp step={plan.steps.find(({ id }, i) => i > at && !done.has(id)) ?? null} plan={plan} units={units} />
            {step ? (
              <button
                type="button"
                aria-disabled={stop !== undefined}
                className={`night-btn max-lg:flex-1 max-lg:!text-2xl max-lg:!font-bold ${stop ? "border-dashed text-night-soft" : "night-go"}`}
                onClick={goOn}
              >
                {stop ? atBenchText.doneHeld : doneAt === undefined ? atBenchText.done : atBenchText.nextStep}{" "}
                <kbd className="night-key !border-brass !bg-brass-pale !text-night">{atBenchText.space}</kbd>
              </button>
            ) : (
              <button type="button" className="night-btn max-lg:flex-1" onClick={leave}>
                {atBenchText.leaveTheBench}
              </button>
            )}
          </footer>
          {isWrong && step && (
            <WentWrong
              standing={plan.remedies.filter(({ anew }) => anew.length > 0)}
              onAnew={(remedy) => startAnew(remedy.anew, remedy)}
              mishaps={mishapsAt(isBegun ? pieceNow(make) : piece, plan, step, make.measured)}
              names={names}
              units={units}
              onHappened={happened}
              onClose={() => tellWrong(false)}
            />
          )}
        </main>
      </ReadAtBench>
    </TakingContext>
  );
}
