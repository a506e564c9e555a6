"use client";

import { doneSteps } from "@/core/making/done";
import { usePathname } from "next/navigation";
import { type ComponentType, Suspense, lazy, useCallback, useEffect, useState } from "react";
import { whenIdle, useWhenIdle } from "@/ui/idle";
import { underWay } from "@/store/tray-state";
import { type Findable, useFind } from "@/ui/Find";
import { useKeys } from "@/ui/keys";
import { fetchModule, useModule } from "@/ui/module";
import { PlanProvider } from "@/ui/plan";
import { type Planned, usePlanned } from "@/ui/planner";
import { useSession, useSessionState } from "@/ui/session";
import { useTrayState, useUnits } from "@/ui/tray";
import { doubtAmong } from "@/core/piece/doubt";
import { useDoubt } from "@/ui/doubt";
import { ifSure } from "@/words/doubt";
import { FIGURE_NAMES } from "@/words/figures";
import { figureText } from "@/words/steps";
import { sayFinding } from "@/words/findings";
import { type Units, printable } from "@/words/show";
import { STAGE_NAMES, type StageId, stageName, stageOf } from "@/words/stages";
import { type Plan } from "@/core/piece/plan";
import { Spoken } from "@/ui/Spoken";
import { useTitle } from "@/ui/title";
import { Stem } from "./Stem";
import { MendPiece } from "./MendPiece";
import { OvertakenBar } from "./OvertakenBar";
import { TopBar } from "./TopBar";
import { useUndo } from "./undo";
import { type StemEntry, stagesOf, stemOf } from "./stages";
import { commonText } from "@/words/common";
import { openPieceText } from "@/words/screens/piece";

interface StageScreenProps {
  readonly mount: string;
}

/** How each stage's screen is fetched: the one shown at once, the others when the page is idle. */
const LOADS: Readonly<Record<StageId, () => Promise<{ default: ComponentType<StageScreenProps> }>>> = {
  stone: () => import("../stone/StoneStage").then(({ StoneStage }) => ({ default: StoneStage })),
  wall: () => import("../wall/WallStage").then(({ WallStage }) => ({ default: WallStage })),
  plate: () => import("../plate/PlateStage").then(({ PlateStage }) => ({ default: PlateStage })),
  hoop: () => import("../hoop/HoopStage").then(({ HoopStage }) => ({ default: HoopStage })),
  bail: () => import("../bail/BailStage").then(({ BailStage }) => ({ default: BailStage })),
  heats: () => import("../heats/HeatsStage").then(({ HeatsStage }) => ({ default: HeatsStage })),
  making: () => import("../making/MakingStage").then(({ MakingStage }) => ({ default: MakingStage })),
};
const TemplatesScreen = lazy(() => import("../templates/TemplatesScreen").then((each) => ({ default: each.TemplatesScreen })));
const loadCard = () => import("../card/CardScreen").then(({ CardScreen }) => ({ default: CardScreen }));
const CardScreen = lazy(loadCard);

async function loadStages(): Promise<void> {
  for (const load of [...Object.values(LOADS), loadCard, loadBench, loadPractice]) {
    await fetchModule<unknown>(load);
    await whenIdle();
  }
}

const loadBench = () => import("../at-bench/AtBench");
const loadPractice = () => import("../practice/PracticeScreen");

/** A piece that is open: planned, or with what stands against a plan on the bench as it now is. */
export function OpenPiece({ id }: { readonly id: string }) {
  const piece = useSessionState((state) => state.piece);
  const bench = useTrayState((state) => state.bench);
  const planned = usePlanned(piece, bench);
  const page = usePathname().split("/")[3];
  if (page === "bench") return <BenchMode />;
  if (page === "practice" && planned?.ok) return <Practice plan={planned.plan} />;
  return (
    <>
      {!planned && <p className="p-4 text-soft">{openPieceText.workingOutThePlan}</p>}
      {planned && (planned.ok ? <PlannedPiece id={id} planned={planned} /> : <MendPiece faults={planned.faults} />)}
      <OvertakenBar />
    </>
  );
}

/** Bench mode, fetched when it is gone to, or when the page is idle. */
function BenchMode() {
  const bench = useModule(loadBench);
  return bench ? <bench.AtBench /> : <main className="min-h-dvh bg-night" />;
}

/** A heat practised with a flame. */
function Practice({ plan }: { readonly plan: Plan }) {
  const practice = useModule(loadPractice);
  return practice ? <practice.PracticeScreen plan={plan} /> : <main className="min-h-dvh bg-night" />;
}

/** Its stem, and the stage that the address names. */
function PlannedPiece({ id, planned }: { readonly id: string; readonly planned: Planned }) {
  const session = useSession();
  const piece = useSessionState((state) => state.piece);
  const make = useTrayState((state) => underWay(state.makes, id));
  const units = useUnits();
  const doubtOf = useDoubt();
  const { offer } = useFind();
  const { plan } = planned;
  const pathname = usePathname();
  const [setting, show] = useState<string | null>(null);
  const settings = piece.mounts.map((each) => each.id);
  const mount = settings.find((each) => each === setting) ?? settings[0]!;
  const stages = stagesOf(piece, mount);
  const asked = pathname.split("/")[3];
  const stage = stages.find((each) => each === asked) ?? "wall";
  const done = doneSteps(plan.steps, make?.done ?? []).size;
  const go = useCallback(
    (next: StageId) => {
      session.commit();
      window.history.pushState(null, "", `/pieces/${id}/${next}`);
    },
    [id, session],
  );
  const openTemplates = useCallback(() => {
    session.commit();
    window.history.pushState(null, "", `/pieces/${id}/templates`);
  }, [id, session]);
  const along = (by: 1 | -1) => {
    const next = stages[stages.indexOf(stage) + by];
    if (next) go(next);
  };
  const StageScreen = useModule(LOADS[stage])?.default;
  useWhenIdle(loadStages);
  const undoing = useUndo(stage, go);
  useKeys({ "[": () => along(-1), "]": () => along(1), "$mod+z": undoing.undo, "$mod+Shift+z": undoing.redo, "$mod+y": undoing.redo });
  useEffect(() => {
    offer(() => [
      ...stagesOf(piece, mount).map((each): Findable => ({
        group: "Stages",
        name: stageName(STAGE_NAMES[each], each, plan),
        go: () => go(each),
      })),
      ...FIGURE_NAMES.flatMap(({ key, name, stage: at }): Findable[] => {
        const figure = plan.figures[`${mount}.${key}`] ?? plan.figures[key];
        const told = figure && ifSure(doubtAmong([`${mount}.${key}`, key], doubtOf), figureText(key, figure, units));
        return told ? [{ group: "Figures", name, detail: told, go: () => go(at) }] : [];
      }),
      { group: "Commands", name: openPieceText.templatesAtTrueSize, go: openTemplates },
      { group: "Commands", name: commonText.undo, go: undoing.undo },
      { group: "Commands", name: openPieceText.redo, go: undoing.redo },
    ]);
  }, [offer, piece, plan, mount, units, doubtOf, go, undoing, openTemplates]);
  useEffect(() => () => offer(() => []), [offer]);
  const titled = stageName(STAGE_NAMES[stage], stage, plan);
  const entries = stemOf(piece, planned, mount, units, done, doubtOf);
  useTitle(printable(piece.name), asked === "card" ? openPieceText.card : asked === "templates" ? openPieceText.templates : titled);
  return (
    <PlanProvider value={planned}>
      {asked === "card" || asked === "templates" ? (
        <Suspense>
          {asked === "card" ? <CardScreen onBack={() => go("making")} /> : <TemplatesScreen onBack={() => go("plate")} />}
        </Suspense>
      ) : (
        <main className="frame">
          <h1 className="sr-only">
            {piece.name}, {titled}
          </h1>
          <TopBar shows={stage === "heats" ? "temperature" : "length"} undoing={undoing} />
          <Stem entries={entries} current={stage} onGo={go} settings={settings} shown={mount} onShow={show} />
          {StageScreen && <StageScreen mount={mount} />}
          <Spoken key={stage} text={spoken(entries, stage, plan, mount, units)} />
        </main>
      )}
    </PlanProvider>
  );
}

/** A stage's answer, and what stands against it, as they are read out. */
function spoken(entries: readonly StemEntry[], stage: StageId, plan: Plan, mount: string, units: Units): string {
  const here = plan.findings.filter((finding) => finding.level !== "note" && stageOf(finding, mount) === stage);
  const answer = entries.find(({ id }) => id === stage)?.result ?? "";
  return [
    `${stageName(STAGE_NAMES[stage], stage, plan)}: ${answer}.`,
    ...here.map((finding) => sayFinding(finding, plan, units).what),
  ].join(" ");
}
