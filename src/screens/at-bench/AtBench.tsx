"use client";

import { benchOf, withBench } from "@/core/piece/bench";
import { useRouter } from "next/navigation";
import { type ReactNode, useCallback, useEffect, useMemo, useState } from "react";
import { type Make, asOf, pieceNow } from "@/core/piece/make";
import { meanwhile } from "@/core/making/meanwhile";
import { type Mishap, mishapsAt } from "@/core/piece/mishaps";
import { type Step } from "@/core/making/step";
import { type Figures } from "@/core/measure/figure";
import { type Plan } from "@/core/piece/plan";
import { sizePiece } from "@/core/piece/size-piece";
import { type MakeEdit, setting, ticking } from "@/store/make-edits";
import { underWay } from "@/store/tray-state";
import { FaultList } from "@/ui/FaultList";
import { type Keys, useKeys } from "@/ui/keys";
import { useNotices } from "@/ui/notices";
import { usePlanned } from "@/ui/planner";
import { NotKept } from "@/ui/NotKept";
import { useSession, useSessionState } from "@/ui/session";
import { useTitle } from "@/ui/title";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { useAwake } from "@/ui/useAwake";
import { useNow } from "@/ui/useNow";
import { clockText } from "@/words/dates";
import { namesIn } from "@/words/names";
import { CHECKS } from "@/words/steps";
import { OvertakenBar } from "../piece/OvertakenBar";
import { useUndoMaking } from "../piece/undo";
import { BenchReading } from "./BenchReading";
import { Meanwhile, OtherPieces, WaitRow } from "./BenchTop";
import { Changed } from "./Changed";
import { LastTime } from "./LastTime";
import { Result } from "./Result";
import { StepBody } from "./StepBody";
import { Strip } from "./StepParts";
import { useOthers } from "./others";
import { slipGuard } from "./slip-guard";
import { TakingContext, newTaking } from "./taking";
import { outOf, waitingIn } from "./timers";
import { WentWrong } from "./WentWrong";

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
  useTitle(piece.name, "At the bench");
  if (!planned || !isRead) return <Night>Working out the plan</Night>;
  if (!planned.ok)
    return (
      <Night>
        <FaultList faults={planned.faults} />
      </Night>
    );
  return <AtStep key={make.id} make={make} plan={planned.plan} isBegun={isBegun} />;
}

/** What another window made of the piece comes in by itself where nothing is typed in this one; the making asks then which plan to go by. */
function useNewerPiece(): void {
  const session = useSession();
  const isElsewhere = useSessionState(({ keeping }) => keeping.state === "elsewhere");
  useEffect(() => {
    if (isElsewhere && !session.isUnwritten()) session.takeNewer();
  }, [isElsewhere, session]);
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
  const done = useMemo(() => new Map(make.done.map(({ step, at }) => [step, at])), [make.done]);
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
    },
    [tray, make, warn],
  );
  const [taking] = useState(newTaking);
  const finish = () => {
    if (!taking.takeAll()) return;
    void tray
      .setMake(make, { finished: new Date().toISOString() })
      .then((kept) => (kept.ok ? router.push("/ledger") : warn(`${kept.problem}.`)));
  };
  const [isSlip] = useState(slipGuard);
  const goOn = () => {
    if (!step || isSlip() || !taking.takeAll()) return;
    // Who works on what waits for nothing goes on with it until the next step's part is out.
    look(step === besides ? free(step.id) : null);
    setLooked(new Set());
    if (doneAt === undefined) void keep(ticking(make, step.id, true, new Date().toISOString()));
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
  const check = (i: number) =>
    setLooked((all) => {
      const key = step?.checks[i];
      if (!key) return all;
      return all.has(key) ? new Set([...all].filter((each) => each !== key)) : new Set([...all, key]);
    });
  const { undo, redo, canUndo } = useUndoMaking(piece.id);
  const keys: Keys = {
    b: back,
    x: () => step && tellWrong(true),
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

  const happened = (mishap: Mishap, isTaken: boolean) => {
    const time = new Date().toISOString();
    tellWrong(false);
    look(null);
    const { act } = mishap;
    void keep({
      put: {
        remedies: [{ code: mishap.code, figure: mishap.about, at: time }],
        ...(isTaken && act?.kind === "change" && { taken: [{ at: time, pieceFile: withBench(act.piece, bench) }] }),
      },
      // The piece itself stays as it is: only what is edited in it after this is asked about.
      ...(isTaken && act?.kind === "change" && setting(make, { asBegun: changed })),
      ...(isTaken && act?.kind === "again" && { drop: { done: make.done.filter((each) => act.steps.includes(each.step)) } }),
    });
    say(isTaken ? "Taken, and written down." : "Written down.");
  };
  const others = useOthers(piece.id);
  const remedies =
    step === null ? [] : plan.remedies.filter(({ figure: of }) => step.reads.some((each) => each.figure === of) || step.target === of);
  return (
    <TakingContext value={taking}>
      <main className="night grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] bg-night text-night-ink">
        <header className="night-head border-b border-night-line px-4 py-2 lg:px-[26px]">
          <div className="flex items-center gap-4 text-[15px] text-night-soft">
            <b className="min-w-0 truncate text-night-ink" title={piece.name}>
              {piece.name}
            </b>
            <span className="whitespace-nowrap">{step ? `Step ${at + 1} of ${plan.steps.length}` : "All steps done"}</span>
            <span className="ml-auto whitespace-nowrap max-sm:hidden">
              {isBegun ? `Begun ${clockText(make.started)}` : "Not begun yet"}
            </span>
            {canUndo && (
              <button type="button" className="night-btn !min-h-[44px] !px-3 !text-[15px] max-sm:ml-auto" onClick={undo}>
                Undo
              </button>
            )}
            <button
              type="button"
              className={`night-btn !min-h-[44px] !px-3 !text-[15px] ${canUndo ? "" : "max-sm:ml-auto"}`}
              onClick={leave}
            >
              Leave <kbd className="night-key">Esc</kbd>
            </button>
          </div>
          <Strip plan={plan} done={done} at={at} onLook={(id) => look(id)} />
        </header>
        <div className="grid content-start lg:content-stretch lg:grid-cols-[1fr_470px]">
          <section aria-label="This step" className="min-w-0 px-4 pt-3 lg:px-10 lg:pt-7">
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
                remedies={remedies}
                doneAt={doneAt}
                onUntick={() => void keep(ticking(make, shown.id, false, ""))}
              />
            ) : (
              <h1 className="text-[30px] font-bold lg:text-[44px]">All steps are done. What came of it?</h1>
            )}
          </section>
          <section
            aria-label="Readings and checks"
            className="min-w-0 px-4 pt-4 pb-4 lg:border-l lg:border-night-line lg:px-[30px] lg:pt-7"
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
                {shown.checks.length > 0 && (
                  <section aria-label="Look before you go on">
                    <h2 className="mb-1 text-[15px] text-night-soft">
                      Look before you go on{" "}
                      <span className="max-lg:hidden">
                        ({shown.checks.length === 1 ? "key" : "keys"} {shown.checks.map((_, i) => i + 1).join(", ")})
                      </span>
                    </h2>
                    {shown.checks.map((each, i) => (
                      <label
                        key={each}
                        className="flex min-h-[48px] items-center gap-3 border-t border-night-line text-[17px] lg:text-[19px]"
                      >
                        <input
                          type="checkbox"
                          checked={looked.has(each)}
                          onChange={() => check(i)}
                          className="h-[26px] w-[26px] shrink-0 accent-[#2d6a3f]"
                        />
                        {CHECKS[each]}
                      </label>
                    ))}
                  </section>
                )}
              </>
            ) : (
              <Result make={make} plan={plan} onFinish={finish} />
            )}
          </section>
        </div>
        <footer className="night-foot sticky bottom-0 flex flex-wrap gap-2 border-t border-night-line bg-night px-4 py-2.5 lg:px-[26px] lg:py-4">
          <button type="button" className="night-btn max-lg:basis-[78px]" disabled={at === 0} onClick={back}>
            <kbd className="night-key">B</kbd> Back
          </button>
          <button type="button" className="night-btn max-lg:basis-[112px]" disabled={!step} onClick={() => tellWrong(true)}>
            <kbd className="night-key">X</kbd> Went wrong
          </button>
          <span className="max-lg:hidden lg:flex-1" />
          {step ? (
            <button type="button" className="night-btn night-go max-lg:flex-1 max-lg:!text-[22px] max-lg:!font-bold" onClick={goOn}>
              {doneAt === undefined ? "Done" : "Go on"} <kbd className="night-key !border-[#c79f4b] !bg-[#e6bd66] !text-night">Space</kbd>
            </button>
          ) : (
            <button type="button" className="night-btn max-lg:flex-1" onClick={leave}>
              Leave the bench
            </button>
          )}
        </footer>
        {isWrong && step && (
          <WentWrong
            mishaps={mishapsAt(isBegun ? pieceNow(make) : piece, plan, step)}
            names={names}
            units={units}
            onHappened={happened}
            onClose={() => tellWrong(false)}
          />
        )}
      </main>
    </TakingContext>
  );
}

/** A making's plan as it was when a step was done; as it is now for one that is not. */
function usePlanAt(make: Make, plan: Plan, doneAt: string | undefined): Plan {
  const bench = useTrayState((state) => state.bench);
  const then = useMemo(() => (doneAt ? asOf(make, doneAt) : null), [make, doneAt]);
  const own = useMemo(() => then && { ...then.piece }, [then]);
  const planned = usePlanned(own ?? pieceNow(make), bench, then?.measured ?? make.measured);
  return own && planned?.ok ? planned.plan : plan;
}

/** A step's figures as they were before what is read at it: it keeps what it was done to. */
function useFiguresBefore(make: Make, plan: Plan, step: Step | null, doneAt: string | undefined): Figures {
  const mine = useTrayState((state) => state.bench);
  return useMemo(() => {
    const { piece, measured } = doneAt ? asOf(make, doneAt) : { piece: pieceNow(make), measured: make.measured };
    const own = new Set(step?.reads.map(({ figure }) => figure));
    if (!measured.some(({ figure }) => own.has(figure))) return plan.figures;
    const others = measured.filter(({ figure }) => !own.has(figure));
    return sizePiece(piece, benchOf(piece, mine), others).contribution.figures;
  }, [make, plan, step, doneAt, mine]);
}

/** The space bar means done wherever nothing else takes it: no field, no button, no dialog. */
function useSpace(act: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== " " || event.defaultPrevented || document.querySelector('[role="dialog"]')) return;
      if (event.target instanceof HTMLElement && event.target.closest("button, a, input, textarea, select")) return;
      event.preventDefault();
      if (!event.repeat) act();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [act]);
}
