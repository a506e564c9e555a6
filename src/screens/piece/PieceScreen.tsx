"use client";

import Link from "next/link";
import { useEffect, useState } from "react";
import { type Session } from "@/store/session";
import { useModule } from "@/ui/module";
import { SessionProvider } from "@/ui/session";
import { useTray } from "@/ui/tray";
import { loadOpenPiece } from "../loads";

/** One piece: opens it, and shows the stage that the address names. */
export function PieceScreen({ id }: { readonly id: string }) {
  const tray = useTray();
  const planner = useModule(loadOpenPiece);
  const [opened, setOpened] = useState<Session | "missing" | null>(null);
  useEffect(() => {
    let session: Session | null = null;
    let gone = false;
    const { keeper } = tray.store.getState();
    void Promise.all([keeper.piece(id), import("@/store/session")]).then(([record, { openSession }]) => {
      if (gone) return;
      session = record && !record.deleted ? openSession(record, keeper, () => tray.store.getState().bench) : null;
      setOpened(session ?? "missing");
    });
    return () => {
      gone = true;
      void session?.close().then(() => tray.read([id]));
    };
  }, [id, tray]);
  if (opened === "missing") return <MissingPiece />;
  if (opened === null || !planner) return <p className="p-4 text-soft">Opening the piece</p>;
  return (
    <SessionProvider value={opened}>
      <planner.OpenPiece id={id} />
    </SessionProvider>
  );
}

function MissingPiece() {
  return (
    <main className="p-6">
      <h1 className="mb-2 text-lg font-bold">This piece is not on the tray.</h1>
      <p className="mb-4 text-soft">It was deleted, or it is kept in another browser.</p>
      <Link href="/" className="btn">
        Back to the tray
      </Link>
    </main>
  );
}
