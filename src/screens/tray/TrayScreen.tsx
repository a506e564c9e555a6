"use client";

import { useRouter } from "next/navigation";
import { Suspense, lazy, useDeferredValue, useMemo, useState } from "react";
import { UNMEASURED, UNMEASURED_FIELDS, newPiece } from "@/core/piece/new-piece";
import { type Piece } from "@/core/piece/piece";
import { type PieceRecord } from "@/store/keeper";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { useKeys } from "@/ui/keys";
import { useOpening } from "@/ui/opening";
import { useModule } from "@/ui/module";
import { saveFile } from "@/ui/save-file";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { TROUBLE_WORDS } from "@/words/trouble";
import { loadLedger } from "../loads";
import { type Stepped } from "./PieceList";

const FirstStone = lazy(() => import("./FirstStone").then(({ FirstStone }) => ({ default: FirstStone })));
/** The list stands first, the drawing a moment later. */
const NONE: readonly PieceRecord[] = [];
/** What makes files is fetched when one is asked for. */
const files = () => import("@/store/files");

/** Home: the stones on the tray, and the ledger's page under them. */
export function TrayScreen() {
  const tray = useTray();
  const ledger = useModule(loadLedger);
  const router = useRouter();
  const units = useUnits();
  const { pick } = useOpening();
  const { pieces: all, isWhole, bench, makes, trouble } = useTrayState((state) => state);
  const pieces = useMemo(() => all.filter(({ deleted }) => deleted === null), [all]);
  const deleted = useMemo(() => all.filter((record) => record.deleted !== null), [all]);
  const drawn = useDeferredValue(pieces, NONE);
  const [asked, choose] = useState<string | null>(null);
  const chosen = pieces.find(({ id }) => id === asked) ?? pieces[0] ?? null;
  const open = (id: string) => router.push(`/pieces/${id}/wall`);
  const add = async (piece: Piece, unmeasured: readonly string[] = []) => router.push(`/pieces/${await tray.add(piece, unmeasured)}/stone`);
  const addNew = () => void add(newPiece(tray.idFor("new-ring"), "New ring", bench, UNMEASURED), UNMEASURED_FIELDS);
  const [stepped, setStepped] = useState<Stepped | null>(null);
  const step = (by: 1 | -1) => {
    const next = pieces[pieces.findIndex(({ id }) => id === chosen?.id) + by];
    if (!next) return;
    choose(next.id);
    setStepped({ to: next.id });
  };
  useKeys({
    n: addNew,
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    Delete: () => chosen && void tray.setDeleted([chosen.id], true),
  });
  const layDemo = async () => {
    const { DEMO_PIECES } = await import("@demo/pieces");
    await tray.setDeleted(
      DEMO_PIECES.map(({ id }) => id),
      false,
    );
    const kept = await tray.allIds();
    await tray.addAll(DEMO_PIECES.filter(({ id }) => !kept.includes(id)));
  };
  const clearDemo = async () =>
    tray.setDeleted(
      (await import("@demo/pieces")).DEMO_PIECES.map(({ id }) => id),
      true,
    );
  return (
    <main className="flex min-h-dvh min-w-[1024px] flex-col">
      <NavBar>
        {trouble && <span className="text-[12.5px] font-semibold text-bad">{TROUBLE_WORDS[trouble]}</span>}
        {bench.name && <span className="text-[12.5px] text-soft">{bench.name}</span>}
        <UnitSwitch />
        <FindButton />
        <button type="button" className="btn" onClick={pick}>
          Open file
        </button>
        <button type="button" className="btn btn-main" onClick={addNew}>
          New piece <kbd className="key">N</kbd>
        </button>
      </NavBar>
      {pieces.length === 0 ? (
        <Suspense>
          <FirstStone onDemo={() => void layDemo()} />
        </Suspense>
      ) : ledger ? (
        <ledger.TrayDrawing records={drawn} bench={bench} chosen={chosen?.id ?? null} onChoose={choose} onOpen={open} />
      ) : (
        <div className="h-[268px] border-b border-line bg-sheet" />
      )}
      <div className="grid flex-1 grid-cols-[1fr_372px]">
        <section aria-label="Pieces" className="min-w-0 overflow-x-auto">
          {ledger && pieces.length > 0 && (
            <ledger.PieceList
              records={pieces}
              bench={bench}
              makes={makes}
              units={units}
              chosen={chosen?.id ?? null}
              onChoose={choose}
              onOpen={open}
              stepped={stepped}
            />
          )}
          {!isWhole && <p className="px-[18px] py-2 text-[12.5px] text-soft">Reading the rest of your pieces</p>}
        </section>
        <aside className="border-l border-line px-[18px] py-3.5">
          {ledger && chosen && (
            <ledger.ChosenPiece
              key={chosen.id}
              record={chosen}
              bench={bench}
              units={units}
              onOpen={() => open(chosen.id)}
              onRename={(name) => void tray.rename(chosen.id, name)}
              onDuplicate={() => void tray.duplicate(chosen.piece)}
              onSave={() => void files().then(({ pieceText }) => saveFile(`${chosen.id}.json`, pieceText(chosen.piece, bench)))}
              onDelete={() => void tray.setDeleted([chosen.id], true)}
            />
          )}
          {deleted.length > 0 && (
            <Deleted
              records={deleted}
              onPutBack={(id) => void tray.setDeleted([id], false)}
              onEmpty={() => void tray.remove(deleted.map(({ id }) => id))}
            />
          )}
          <TrayActions
            hasPieces={pieces.length > 0}
            onEverything={() =>
              void files()
                .then(({ everythingText }) => everythingText(tray.store.getState().keeper, bench))
                .then((text) => saveFile("hoop-ledger-everything.json", text))
            }
            onRestore={pick}
            onDemo={() => void layDemo()}
            onRemoveDemo={() => void clearDemo()}
          />
        </aside>
      </div>
    </main>
  );
}

interface DeletedProps {
  readonly records: readonly PieceRecord[];
  readonly onPutBack: (id: string) => void;
  readonly onEmpty: () => void;
}

const MOST_SHOWN = 6;

function Deleted({ records, onPutBack, onEmpty }: DeletedProps) {
  return (
    <section aria-label="Deleted" className="mt-5">
      <h2 className="section-head">Deleted, can be had back</h2>
      <ul className="text-[13px]">
        {records.slice(0, MOST_SHOWN).map(({ id, piece }) => (
          <li key={id} className="flex items-center justify-between gap-2 border-t border-hair py-1">
            <span className="min-w-0 truncate">{piece.name}</span>
            <button type="button" className="btn" onClick={() => onPutBack(id)}>
              Put back
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="btn btn-plain mt-1 text-soft" onClick={onEmpty}>
        Remove {records.length === 1 ? "it" : `all ${records.length}`} for good
      </button>
    </section>
  );
}

interface ActionsProps {
  readonly hasPieces: boolean;
  readonly onEverything: () => void;
  readonly onRestore: () => void;
  readonly onDemo: () => void;
  readonly onRemoveDemo: () => void;
}

function TrayActions({ hasPieces, onEverything, onRestore, onDemo, onRemoveDemo }: ActionsProps) {
  return (
    <section aria-label="Everything" className="mt-5">
      <h2 className="section-head">Everything on this device</h2>
      <div className="flex flex-wrap gap-2 border-t border-hair pt-2">
        {hasPieces && (
          <button type="button" className="btn" onClick={onEverything}>
            Save everything
          </button>
        )}
        <button type="button" className="btn" onClick={onRestore}>
          Restore
        </button>
        {hasPieces && (
          <button type="button" className="btn" onClick={onDemo}>
            Lay out the demo
          </button>
        )}
        {hasPieces && (
          <button type="button" className="btn" onClick={onRemoveDemo}>
            Clear the demo away
          </button>
        )}
      </div>
    </section>
  );
}
