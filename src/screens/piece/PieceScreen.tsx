"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import { useCallback, useEffect, useMemo, useState } from "react";
import { planPiece } from "@/core/piece/plan-piece";
import { type Session, openSession } from "@/store/session";
import { PlanProvider } from "@/ui/plan";
import { SessionProvider, useSessionState } from "@/ui/session";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { HeatsStage } from "../heats/HeatsStage";
import { MakingStage } from "../making/MakingStage";
import { HoopStage } from "../hoop/HoopStage";
import { PlateStage } from "../plate/PlateStage";
import { StoneStage } from "../stone/StoneStage";
import { WallStage } from "../wall/WallStage";
import { Stem } from "./Stem";
import { TopBar } from "./TopBar";
import { type StageId } from "@/words/stages";
import { stagesOf, stemOf } from "./stages";

/** One piece: opens it, and shows the stage that the address names. */
export function PieceScreen({ id }: { readonly id: string }) {
  const tray = useTray();
  const [opened, setOpened] = useState<Session | "missing" | null>(null);
  useEffect(() => {
    let session: Session | null = null;
    let gone = false;
    const { keeper } = tray.store.getState();
    void keeper.piece(id).then((record) => {
      if (gone) return;
      session = record && !record.deleted ? openSession(record, keeper, () => tray.store.getState().bench) : null;
      setOpened(session ?? "missing");
    });
    return () => {
      gone = true;
      void session?.close().then(tray.reload);
    };
  }, [id, tray]);
  if (opened === null) return <p className="p-4 text-soft">Opening the piece</p>;
  if (opened === "missing") return <MissingPiece />;
  return (
    <SessionProvider value={opened}>
      <OpenPiece id={id} />
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

function OpenPiece({ id }: { readonly id: string }) {
  const piece = useSessionState((state) => state.piece);
  const bench = useTrayState((state) => state.bench);
  const units = useUnits();
  const plan = useMemo(() => planPiece(piece, bench), [piece, bench]);
  const pathname = usePathname();
  const stages = stagesOf(piece);
  const asked = pathname.split("/")[3] as StageId;
  const stage = stages.includes(asked) ? asked : "wall";
  const mount = piece.mounts[0]!.id;
  const make = useTrayState((state) => state.makes[id]);
  const done = plan.steps.filter((step) => make?.done.includes(step.id)).length;
  const go = useCallback((next: StageId) => window.history.pushState(null, "", `/pieces/${id}/${next}`), [id]);
  return (
    <PlanProvider value={plan}>
      <main className="frame">
        <TopBar />
        <Stem entries={stemOf(piece, plan, mount, units, done)} current={stage} onGo={go} />
        {stage === "stone" && <StoneStage mount={mount} />}
        {stage === "wall" && <WallStage mount={mount} />}
        {stage === "plate" && <PlateStage mount={mount} />}
        {stage === "hoop" && <HoopStage mount={mount} />}
        {stage === "heats" && <HeatsStage mount={mount} />}
        {stage === "making" && <MakingStage />}
      </main>
    </PlanProvider>
  );
}
