"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import { useEffect, useState } from "react";
import { type Session } from "@/store/session";
import { isTold } from "@/store/tray-state";
import { useModule } from "@/ui/module";
import { SessionProvider } from "@/ui/session";
import { useTray, useTrayState } from "@/ui/tray";
import { TROUBLE_WORDS } from "@/words/trouble";
import { loadOpenPiece } from "../lazy-screens";
import { commonText } from "@/words/common";
import { pieceScreenText } from "@/words/screens/piece";

const loadSession = () => import("@/store/session");

/** The piece that the address names. */
export function PieceAtAddress() {
  const [, , id = ""] = usePathname().split("/");
  return <PieceScreen id={id} />;
}

/** One piece: opens it, and shows the stage that the address names. One that is not there opens itself once it is. */
function PieceScreen({ id }: { readonly id: string }) {
  const tray = useTray();
  const planner = useModule(loadOpenPiece);
  const [opened, setOpened] = useState<Session | "missing" | null>(null);
  const isLying = useTrayState(({ pieces }) => pieces.some((record) => record.id === id && record.deleted === null));
  const isUnreadable = useTrayState(({ unreadable }) => unreadable.some(({ store, key }) => store === "pieces" && key === id));
  const isMissing = opened === "missing";
  const waits = isMissing && !isLying;
  useEffect(() => {
    if (waits) return;
    let session: Session | null = null;
    let gone = false;
    const { repository } = tray.store.getState();
    const open = async () => {
      const [record, { openSession }] = await Promise.all([repository.piece(id), loadSession()]);
      if (gone) return;
      session = record && !record.deleted ? openSession(record, repository, () => tray.store.getState().bench) : null;
      if (session) tray.isOpenHere(id, true);
      setOpened(session ?? "missing");
    };
    open().catch((error: unknown) => {
      isTold(error);
      if (!gone) setOpened("missing");
    });
    return () => {
      gone = true;
      void session?.close().then(() => {
        tray.isOpenHere(id, false);
        return tray.read([id]);
      });
    };
  }, [id, tray, waits]);
  if (isMissing) return <MissingPiece isUnreadable={isUnreadable} />;
  if (opened === null || !planner) return <p className="p-4 text-soft">{pieceScreenText.openingThePiece}</p>;
  return (
    <SessionProvider value={opened}>
      <planner.OpenPiece id={id} />
    </SessionProvider>
  );
}

function MissingPiece({ isUnreadable }: { readonly isUnreadable: boolean }) {
  const trouble = useTrayState((state) => state.trouble);
  if (trouble)
    return (
      <main className="p-6">
        <h1 className="mb-2 text-lg font-bold">{pieceScreenText.thisPieceCannotBeOpened}</h1>
        <p className="mb-4 text-soft">{TROUBLE_WORDS[trouble]}.</p>
        <Link href="/" className="btn">
          {commonText.backToTheTray}
        </Link>
      </main>
    );
  return (
    <main className="p-6">
      <h1 className="mb-2 text-lg font-bold">{isUnreadable ? pieceScreenText.thisPieceCouldNotBe : pieceScreenText.thisPieceIsNotOn}</h1>
      <p className="mb-4 text-soft">{isUnreadable ? pieceScreenText.itIsKeptAsIt : pieceScreenText.itWasDeletedOrIt}</p>
      <Link href="/" className="btn">
        {commonText.backToTheTray}
      </Link>
    </main>
  );
}
