"use client";

import Link from "next/link";
import { Suspense, lazy, useEffect, useState } from "react";
import { type Session } from "@/store/session";
import { SessionProvider } from "@/ui/session";
import { useTray } from "@/ui/tray";

/** What plans the piece is fetched beside the piece itself, not before the page stands. */
const planner = import("./OpenPiece");
const OpenPiece = lazy(() => planner.then(({ OpenPiece }) => ({ default: OpenPiece })));

/** One piece: opens it, and shows the stage that the address names. */
export function PieceScreen({ id }: { readonly id: string }) {
  const tray = useTray();
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
  if (opened === null) return <p className="p-4 text-soft">Opening the piece</p>;
  if (opened === "missing") return <MissingPiece />;
  return (
    <SessionProvider value={opened}>
      <Suspense>
        <OpenPiece id={id} />
      </Suspense>
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
