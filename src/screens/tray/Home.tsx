"use client";

import { type ReactNode, useDeferredValue, useMemo, useState } from "react";
import { type Attempt } from "@/formats/attempt";
import { type PieceRecord } from "@/store/repository";
import { type Makes, begunMake } from "@/store/tray-state";
import { useCodes } from "@/ui/codes/codes";
import { useKeys } from "@/ui/keys";
import { usePlans } from "@/ui/planner";
import { saveFile } from "@/ui/save-file";
import { shareFile } from "@/ui/share-file";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { commonText } from "@/words/common";
import { homeText } from "@/words/screens/tray";
import { loadFiles } from "../lazy-data";
import { ChosenPiece } from "./ChosenPiece";
import { ListHead } from "./ListHead";
import { PieceList, type Stepped } from "./PieceList";
import { TrayDrawing } from "./TrayDrawing";
import { type Choosing, type Filter, type Standing, chosenRecords, isToPutRight, standingOfPiece } from "./choosing";
import { shareDone } from "./rows";

interface Props {
  readonly pieces: readonly PieceRecord[];
  readonly onOpen: (id: string) => void;
  readonly onRemove: (id: string, name: string) => Promise<void>;
  /** Does something to what is kept; what could not be kept is said. */
  readonly act: (work: () => Promise<unknown>) => Promise<void>;
  /** What is said of everything on this device. */
  readonly aside: ReactNode;
}

/** The list stands first, the drawing a moment later. */
const NONE: readonly PieceRecord[] = [];

/** The stones on the tray, the pieces under it as they are asked for, and the one that is chosen. */
export function Home({ pieces, onOpen, onRemove, act, aside }: Props) {
  const tray = useTray();
  const units = useUnits();
  const plans = usePlans();
  const codes = useCodes();
  const { isWhole, bench, makes, areMakesWhole } = useTrayState((state) => state);
  const drawn = useDeferredValue(pieces, NONE);
  const [asked, choose] = useState<string | null>(null);
  const [choosing, setChoosing] = useState<Choosing>({ filter: "all", sort: "under-way", search: "" });
  const listed = useMemo(
    () => chosenRecords(pieces, choosing, { makes, isWhole: areMakesWhole }, ({ piece }) => plans.soon(piece, bench)),
    [pieces, choosing, makes, areMakesWhole, plans, bench],
  );
  const attemptOf = ({ piece }: PieceRecord) => plans.soon(piece, bench);
  const chosen = listed.find(({ id }) => id === asked) ?? listed[0] ?? null;
  /** Whether pieces that are not shown may yet turn out to be asked for. */
  const isStillLooking = (filter: Filter): boolean => {
    if (filter === "to-put-right") return pieces.some((record) => attemptOf(record) === null);
    return filter !== "all" && !areMakesWhole;
  };
  const [stepped, setStepped] = useState<Stepped | null>(null);
  const step = (by: 1 | -1) => {
    const next = listed[listed.findIndex(({ id }) => id === chosen?.id) + by];
    if (!next) return;
    choose(next.id);
    setStepped({ to: next.id });
  };
  useKeys({
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    Delete: () => chosen && void onRemove(chosen.id, chosen.piece.name),
  });
  return (
    <>
      <TrayDrawing
        records={drawn}
        bench={bench}
        chosen={chosen?.id ?? null}
        onChoose={choose}
        onOpen={onOpen}
        shares={(record) => {
          const attempt = attemptOf(record);
          return attempt?.ok ? shareDone(begunMake(makes, record.id), attempt.plan) : null;
        }}
      />
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[minmax(0,1fr)_280px] xl:grid-cols-[minmax(0,1fr)_348px]">
        <section aria-label={commonText.pieces} className="min-w-0 overflow-x-auto">
          <ListHead choosing={choosing} counts={countsOf({ pieces, makes, areMakesWhole, isWhole, attemptOf })} onChoose={setChoosing} />
          {listed.length === 0 ? (
            <p className="px-5 py-3 text-sm text-soft">{homeText.noneIsFound}</p>
          ) : (
            <PieceList
              records={listed}
              bench={bench}
              makes={makes}
              areMakesWhole={areMakesWhole}
              units={units}
              chosen={chosen?.id ?? null}
              onChoose={choose}
              onOpen={onOpen}
              stepped={stepped}
            />
          )}
          {isStillLooking(choosing.filter) && (
            <p role="status" className="px-5 py-2 text-sm text-soft">
              {homeText.stillLooking}
            </p>
          )}
          {!isWhole && <p className="px-5 py-2 text-sm text-soft">{homeText.readingTheRestOfYour}</p>}
        </section>
        <aside className="border-line px-5 py-3.5 max-lg:contents lg:border-l">
          {chosen && (
            <div
              className={`border-line max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-30 max-lg:max-h-[60vh] max-lg:overflow-y-auto max-lg:border-t max-lg:bg-sheet max-lg:px-4 max-lg:py-3 max-lg:shadow-xl ${asked === null ? "max-lg:hidden" : ""}`}
            >
              <button type="button" className="btn float-right lg:hidden" onClick={() => choose(null)}>
                {homeText.close}
              </button>
              <ChosenPiece
                key={chosen.id}
                record={chosen}
                bench={bench}
                units={units}
                make={begunMake(makes, chosen.id)}
                onOpen={() => onOpen(chosen.id)}
                onRename={(name) => void act(() => tray.rename(chosen.id, name))}
                onDuplicate={() => void act(() => tray.duplicate(chosen))}
                onShare={() => void loadFiles().then(({ pieceText }) => shareFile(`${chosen.id}.json`, pieceText(chosen.piece, bench)))}
                onCodes={() =>
                  void loadFiles().then(({ pieceText }) => codes.show({ name: chosen.piece.name, text: pieceText(chosen.piece, bench) }))
                }
                onSave={() => void loadFiles().then(({ pieceText }) => saveFile(`${chosen.id}.json`, pieceText(chosen.piece, bench)))}
                onDelete={() => void onRemove(chosen.id, chosen.piece.name)}
              />
            </div>
          )}
          <div className="max-lg:px-3.5 max-lg:pb-6">{aside}</div>
        </aside>
      </div>
    </>
  );
}

interface Counted {
  readonly pieces: readonly PieceRecord[];
  readonly makes: Makes;
  readonly areMakesWhole: boolean;
  readonly isWhole: boolean;
  readonly attemptOf: (record: PieceRecord) => Attempt | null;
}

/** Up to so many pieces are all planned to see which are to be put right. */
const MOST_LOOKED_THROUGH = 200;

/** How many pieces each filter shows; null where not all that it takes is known yet. */
function countsOf({ pieces, makes, areMakesWhole, isWhole, attemptOf }: Counted): Readonly<Record<Filter, number | null>> {
  const isKnown = areMakesWhole && isWhole;
  const standings = pieces.map(({ id }) => standingOfPiece({ makes, isWhole: areMakesWhole }, id));
  const of = (standing: Standing) => (isKnown ? standings.filter((each) => each === standing).length : null);
  const wrong = isWhole && pieces.length <= MOST_LOOKED_THROUGH ? pieces.map((each) => isToPutRight(each, attemptOf(each))) : [null];
  return {
    all: isWhole ? pieces.length : null,
    "under-way": of("under-way"),
    "to-make": of("to-make"),
    made: of("made"),
    "to-put-right": wrong.includes(null) ? null : wrong.filter(Boolean).length,
  };
}
