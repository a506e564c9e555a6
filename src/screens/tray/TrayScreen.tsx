"use client";

import Link from "next/link";
import { Plus } from "lucide-react";
import { useRouter, useSearchParams } from "next/navigation";
import { type ReactNode, Suspense, lazy, useCallback, useEffect, useMemo, useState } from "react";
import { UNMEASURED, UNMEASURED_FIELDS, newPiece } from "@/core/piece/new-piece";
import { type Piece } from "@/core/piece/piece";
import { type Example } from "@demo/examples";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { useTitle } from "@/ui/title";
import { useKeys } from "@/ui/keys";
import { useCodes } from "@/ui/codes/codes";
import { useOpening } from "@/ui/opening";
import { useModule } from "@/ui/module";
import { noteSaved } from "@/ui/last-saved";
import { saveFile } from "@/ui/save-file";
import { canShareFiles, shareFile } from "@/ui/share-file";
import { useTray, useTrayState } from "@/ui/tray";
import { TROUBLE_WORDS } from "@/words/trouble";
import { loadDemoBench, loadDemoMakes, loadDemoPieces, loadExamples, loadFiles } from "../lazy-data";
import { loadLedger } from "../lazy-screens";
import { useNotices } from "@/ui/notices";
import { RepositoryError } from "@/store/repository";
import { type Makes, begunMake, finishedOf } from "@/store/tray-state";
import { counted } from "@/words/names";
import { NEW_NAMES } from "@/words/piece-name";
import { commonText } from "@/words/common";
import { codesText } from "@/words/ui";
import { trayScreenText } from "@/words/screens/tray";

const NewPieceDialog = lazy(() => import("./NewPieceDialog").then((each) => ({ default: each.NewPieceDialog })));
const KeepDemoDialog = lazy(() => import("./KeepDemoDialog").then((each) => ({ default: each.KeepDemoDialog })));
const FirstStone = lazy(() => import("./FirstStone").then(({ FirstStone }) => ({ default: FirstStone })));

/** Home: the stones on the tray, and the ledger's page under them. */
/** Goes on at the bench where the piece under way is known, if that is what was asked for. */
function useBenchAsked(isAsked: boolean): void {
  const router = useRouter();
  const { pieces, makes, areMakesWhole } = useTrayState((state) => state);
  const id = isAsked && areMakesWhole ? pieces.find((record) => !record.deleted && begunMake(makes, record.id))?.id : undefined;
  useEffect(() => {
    if (id !== undefined) router.replace(`/pieces/${id}/bench`);
  }, [id, router]);
}

export function TrayScreen() {
  const tray = useTray();
  useTitle(commonText.pieces);
  const ledger = useModule(loadLedger);
  const router = useRouter();
  const { pick } = useOpening();
  const codes = useCodes();
  const { pieces: all, isWhole, bench, makes, areMakesWhole, unreadable } = useTrayState((state) => state);
  const { warn, say } = useNotices();
  const pieces = useMemo(() => all.filter(({ deleted }) => deleted === null), [all]);
  const deleted = useMemo(() => all.filter((record) => record.deleted !== null), [all]);
  const [saved, setSaved] = useState(0);
  const open = useCallback((id: string) => router.push(`/pieces/${id}/wall`), [router]);
  /** Does something to what is kept; what could not be kept is said. */
  const act = async (work: () => Promise<unknown>) => {
    try {
      await work();
    } catch (error) {
      if (!(error instanceof RepositoryError)) throw error;
      warn(`${TROUBLE_WORDS[error.trouble]}.`);
    }
  };
  const add = (piece: Piece, unmeasured: readonly string[] = []) =>
    act(async () => router.push(`/pieces/${await tray.add(piece, unmeasured)}/stone`));
  const remove = (id: string, name: string) =>
    act(async () => {
      await tray.setDeleted([id], true);
      say(trayScreenText.deleted(name), { name: trayScreenText.putBack, run: () => void act(() => tray.setDeleted([id], false)) });
    });
  const asked = useSearchParams();
  const [isAsking, ask] = useState(asked.has("new"));
  useBenchAsked(asked.has("bench"));
  const noteEverything = (at: Date) => {
    if (!noteSaved(at.toISOString())) warn(trayScreenText.notNoted);
    setSaved((times) => times + 1);
  };
  const addNew = () => ask(true);
  const addKind = (kind: Piece["kind"]) => {
    ask(false);
    const name = NEW_NAMES[kind];
    void add(newPiece(tray.idFor(name), name, bench, UNMEASURED, kind), UNMEASURED_FIELDS[kind]);
  };
  const addExample = (example: Example) => {
    ask(false);
    void act(async () => {
      const { examplePiece } = await loadExamples();
      const id = await tray.add(examplePiece(example, tray.idFor("example"), bench));
      router.push(`/pieces/${id}/${example.kind === "ring" ? "hoop" : "bail"}`);
    });
  };
  useKeys({
    n: addNew,
  });
  const layDemo = () =>
    act(async () => {
      const pieces = (await loadDemoPieces()).DEMO_PIECES;
      const demo = { bench: (await loadDemoBench()).DEMO_BENCH, pieces, makes: async () => (await loadDemoMakes()).demoMakes() };
      await tray.setDeleted(
        pieces.map(({ id }) => id),
        false,
      );
      await tray.layPieces(demo);
      await tray.goOnWithDemo(() => Promise.resolve(demo));
    });
  const [underWayOfDemo, askToClear] = useState<readonly string[] | null>(null);
  const clearDemo = () =>
    act(async () => {
      askToClear(null);
      await tray.setDeleted(
        (await loadDemoPieces()).DEMO_PIECES.map(({ id }) => id),
        true,
      );
    });
  /** Asks first where a make of it is under way. */
  const removeDemo = () =>
    act(async () => {
      const { DEMO_PIECES } = await loadDemoPieces();
      await tray.readMakesOf(DEMO_PIECES.map(({ id }) => id));
      const known = tray.store.getState().makes;
      const busy = DEMO_PIECES.filter(({ id }) => begunMake(known, id) !== undefined && pieces.some((each) => each.id === id));
      if (busy.length === 0) await clearDemo();
      else askToClear(busy.map(({ name }) => name));
    });
  const aside = (
    <>
      {ledger && unreadable.length > 0 && <ledger.CouldNotBeRead found={unreadable} onDrop={(each) => void act(() => tray.drop(each))} />}
      {ledger && deleted.length > 0 && (
        <ledger.Deleted
          records={deleted}
          onPutBack={(id) => void act(() => tray.setDeleted([id], false))}
          onEmpty={() =>
            void act(async () => {
              const haveBack = await tray.remove(deleted.map(({ id }) => id));
              say(trayScreenText.removedForGood(counted(deleted.length, "piece")), {
                name: commonText.undo,
                run: () => void act(haveBack),
              });
            })
          }
        />
      )}
      <TrayActions
        hasPieces={all.length > 0}
        kept={
          ledger && isWhole && areMakesWhole ? (
            <ledger.KeptHere pieces={pieces.length} makes={countOf(makes)} finished={finishedOf(makes)} saved={saved} />
          ) : null
        }
        onEverything={() =>
          void loadFiles().then(async ({ everythingText, everythingName }) => {
            const now = new Date();
            saveFile(everythingName(now), await everythingText(tray.store.getState().repository, bench));
            noteEverything(now);
          })
        }
        onShare={() =>
          void loadFiles().then(async ({ everythingText, everythingName }) => {
            const now = new Date();
            const isShared = await shareFile(everythingName(now), await everythingText(tray.store.getState().repository, bench));
            if (isShared) noteEverything(now);
          })
        }
        onRestore={pick}
        onCodes={codes.read}
        onDemo={() => void layDemo()}
        onRemoveDemo={() => void removeDemo()}
      />
    </>
  );
  return (
    <main className="flex min-h-dvh flex-col">
      {pieces.length > 0 && <h1 className="sr-only">{commonText.pieces}</h1>}
      <NavBar>
        {bench.name && <span className="text-sm text-soft">{bench.name}</span>}
        <span className="max-sm:hidden">
          <UnitSwitch />
        </span>
        <FindButton />
        <button type="button" className="btn max-sm:hidden" onClick={pick}>
          {trayScreenText.openFile}
        </button>
        <button type="button" className="btn btn-main" onClick={addNew}>
          <Plus size={16} aria-hidden="true" className="sm:hidden" />
          <span className="max-sm:sr-only">{trayScreenText.newPiece}</span> <kbd className="key max-lg:hidden">N</kbd>
        </button>
      </NavBar>
      {isAsking && (
        <Suspense>
          <NewPieceDialog onClose={() => ask(false)} onNew={addKind} onExample={addExample} />
        </Suspense>
      )}
      {underWayOfDemo && (
        <Suspense>
          <KeepDemoDialog underWay={underWayOfDemo} onRemove={() => void clearDemo()} onKeep={() => askToClear(null)} />
        </Suspense>
      )}
      {pieces.length === 0 ? (
        <Suspense>
          <FirstStone onDemo={() => void layDemo()} onExample={addExample} />
        </Suspense>
      ) : null}
      {ledger && pieces.length > 0 ? (
        <ledger.Home pieces={pieces} onOpen={open} onRemove={remove} act={act} aside={aside} />
      ) : (
        <>
          {pieces.length > 0 && <div className="h-43.5 border-b border-line bg-sheet" />}
          <aside className="px-5 py-3.5">{aside}</aside>
        </>
      )}
    </main>
  );
}

function countOf(makes: Makes): number {
  return Object.values(makes).reduce((all, each) => all + each.length, 0);
}

interface ActionsProps {
  readonly hasPieces: boolean;
  readonly kept: ReactNode;
  readonly onEverything: () => void;
  readonly onShare: () => void;
  readonly onRestore: () => void;
  readonly onCodes: () => void;
  readonly onDemo: () => void;
  readonly onRemoveDemo: () => void;
}

function TrayActions({ hasPieces, kept, onEverything, onShare, onRestore, onCodes, onDemo, onRemoveDemo }: ActionsProps) {
  return (
    <section aria-label={trayScreenText.everything} className="mt-5">
      <h2 className="section-head">{trayScreenText.everythingOnThisDevice}</h2>
      {kept}
      <div className="flex flex-wrap gap-2 border-t border-hair pt-2">
        {hasPieces && (
          <button type="button" className="btn" onClick={onEverything}>
            {trayScreenText.saveEverything}
          </button>
        )}
        {hasPieces && canShareFiles() && (
          <button type="button" className="btn" onClick={onShare}>
            {trayScreenText.shareEverything}
          </button>
        )}
        <button type="button" className="btn" onClick={onRestore}>
          {trayScreenText.restore}
        </button>
        <button type="button" className="btn" onClick={onCodes}>
          {codesText.readCodes}
        </button>
        {hasPieces && (
          <>
            <Link href="/cards" className="btn">
              {trayScreenText.printCards}
            </Link>
          </>
        )}
        {hasPieces && (
          <button type="button" className="btn" onClick={onDemo}>
            {trayScreenText.addTheDemoPieces}
          </button>
        )}
        {hasPieces && (
          <button type="button" className="btn" onClick={onRemoveDemo}>
            {trayScreenText.removeTheDemoPieces}
          </button>
        )}
      </div>
    </section>
  );
}
