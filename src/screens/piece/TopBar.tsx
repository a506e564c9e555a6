"use client";

import { stoneSize } from "@/words/stone-size";
import { ChevronLeft, Redo2, Undo2 } from "lucide-react";
import Link from "next/link";
import { Suspense, lazy, useState } from "react";
import { type Trouble } from "@/store/repository";
import { type Keeping } from "@/store/session-state";
import { FindButton } from "@/ui/Find";
import { Mark } from "@/ui/NavBar";
import { RenameInput } from "@/ui/RenameInput";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { useSession, useSessionState } from "@/ui/session";
import { useClock } from "@/ui/clock";
import { useTrayState, useUnits } from "@/ui/tray";
import { JOURNAL_FULL, TROUBLE_WORDS } from "@/words/trouble";
import { useDoubt } from "@/ui/doubt";
import { ifSure } from "@/words/doubt";
import { andOthers } from "@/words/settings";
import { type Undoing } from "./undo";
import { commonText } from "@/words/common";
import { topBarText } from "@/words/screens/piece";

const PieceMenu = lazy(() => import("./PieceMenu").then(({ PieceMenu }) => ({ default: PieceMenu })));

interface Props {
  readonly shows: "length" | "temperature";
  readonly undoing: Undoing;
}

/** The piece's name, how it is kept, and what can be done to it. */
export function TopBar({ shows, undoing }: Props) {
  const piece = useSessionState((state) => state.piece);
  const keeping = useSessionState((state) => state.keeping);
  const units = useUnits();
  const { id, stone } = piece.mounts[0]!;
  const doubt = useDoubt()(`${id}.outline.perimeter`);
  const told = [stone.material?.name, ifSure(doubt, stoneSize(stone.outline, units))].filter(Boolean).join(", ") + andOthers(piece.mounts);
  return (
    <header className="flex flex-wrap items-center gap-x-3 border-b border-line bg-sheet px-4 [grid-area:top] max-lg:gap-x-1 max-lg:px-1.5 max-lg:py-1 lg:flex-nowrap">
      <span className="max-lg:hidden">
        <Mark />
      </span>
      <Link href="/" aria-label={commonText.pieces} className="btn btn-plain lg:hidden">
        <ChevronLeft size={18} aria-hidden="true" />
      </Link>
      <p className="flex min-w-0 items-center gap-1.5 whitespace-nowrap text-soft max-lg:flex-1 max-lg:flex-col max-lg:items-start max-lg:gap-0">
        <Link href="/" className="tap content-center hover:underline max-lg:hidden lg:inline-grid">
          {commonText.pieces}
        </Link>
        <span aria-hidden="true" className="max-lg:hidden">
          /
        </span>
        <Name stone={told} />
        <span className="min-w-0 truncate max-xl:hidden">— {told}</span>
      </p>
      <button type="button" className="btn btn-plain" aria-label={commonText.undo} disabled={!undoing.canUndo} onClick={undoing.undo}>
        <Undo2 size={15} aria-hidden="true" />
      </button>
      <button type="button" className="btn btn-plain" aria-label={topBarText.redo} disabled={!undoing.canRedo} onClick={undoing.redo}>
        <Redo2 size={15} aria-hidden="true" />
      </button>
      <Suspense>
        <PieceMenu />
      </Suspense>
      <Link href="/day" className="btn btn-plain max-lg:hidden">
        {topBarText.day}
      </Link>
      <span className="flex-1 max-lg:hidden" />
      <Link href={`/pieces/${piece.id}/card`} className="btn max-lg:hidden lg:order-last">
        {topBarText.card}
      </Link>
      <Link href={`/pieces/${piece.id}/bench`} className="btn btn-main lg:order-last">
        {commonText.atTheBench}
      </Link>
      <span className="flex min-w-0 items-center gap-3 max-lg:w-full max-lg:justify-between max-lg:px-2">
        <KeepingText keeping={keeping} />
        <span className="flex items-center gap-3">
          <UnitSwitch of={shows} />
          <FindButton />
        </span>
      </span>
    </header>
  );
}

/** The name, edited in place; on a phone its stone stands under it. */
function Name({ stone }: { readonly stone: string }) {
  const session = useSession();
  const name = useSessionState((state) => state.piece.name);
  const [isEdited, setEdited] = useState(false);
  if (isEdited) {
    return (
      <RenameInput
        label={topBarText.nameOfThePiece}
        name={name}
        onRename={(next) => session.change((piece) => void (piece.name = next))}
        onDone={() => setEdited(false)}
        className="w-57 rounded-sm border border-line bg-white px-1 font-strong text-ink"
      />
    );
  }
  return (
    <button
      type="button"
      title={topBarText.rename(name)}
      onClick={() => setEdited(true)}
      className="tap max-w-68.5 truncate rounded-sm font-strong text-ink hover:bg-hair max-lg:min-h-touch max-lg:w-full max-lg:max-w-full max-lg:text-left max-lg:leading-tight max-lg:whitespace-normal"
    >
      <span className="max-lg:line-clamp-2 max-lg:break-words">{name}</span>
      <small className="block text-sm leading-tight font-light [overflow-wrap:anywhere] whitespace-normal text-soft lg:hidden">
        {stone}
      </small>
    </button>
  );
}

function KeepingText({ keeping }: { readonly keeping: Keeping }) {
  const trouble = useTrayState((state) => state.trouble);
  const clockOf = useClock();
  const isJournalFull = useTrayState((state) => state.isJournalFull);
  const isWell = keeping.state === "kept" || keeping.state === "writing";
  const other = isWell ? (trouble ? TROUBLE_WORDS[trouble] : isJournalFull ? JOURNAL_FULL : null) : null;
  const isBad = !isWell || other !== null;
  return (
    <span
      role={isBad ? "status" : undefined}
      className={`min-w-0 text-sm ${isBad ? "leading-tight font-semibold text-bad" : "truncate text-soft"}`}
    >
      {other ?? keepingText(keeping, trouble ?? "unavailable", clockOf)}
    </span>
  );
}

/** `trouble` is why the piece is in memory only, where it is. */
function keepingText(keeping: Keeping, trouble: Trouble, clockOf: (iso: string) => string): string {
  switch (keeping.state) {
    case "kept":
      return topBarText.keptOnThisDevice(clockOf(keeping.at));
    case "writing":
      return topBarText.keeping;
    case "memory":
      return TROUBLE_WORDS[trouble];
    case "refused":
      return topBarText.notKept(keeping.problem);
    case "elsewhere":
      return topBarText.changedInAnotherWindow;
    case "deleted":
      return topBarText.deletedInAnotherWindow;
    case "trouble":
      return TROUBLE_WORDS[keeping.trouble];
  }
}
