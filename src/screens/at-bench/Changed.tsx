"use client";

import { withBench } from "@/core/piece/bench";
import { useMemo } from "react";
import { type Make, pieceNow } from "@/core/piece/make";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { type MakeEdit, setting } from "@/store/make-edits";
import { usePlanned } from "@/ui/planner";
import { useSessionState } from "@/ui/session";
import { useTrayState, useUnits } from "@/ui/tray";
import { changesBetween } from "./changes";
import { PieceChanged } from "./PieceChanged";

interface Props {
  readonly make: Make;
  readonly plan: Plan;
  readonly isBegun: boolean;
  readonly done: ReadonlyMap<string, string>;
  readonly onEdit: (edit: MakeEdit) => Promise<unknown>;
}

/** Asks which plan to go by where the piece was edited after its making began, once for each time it is. */
export function Changed(props: Props) {
  const piece = useSessionState((state) => state.piece);
  const changed = useTrayState(({ pieces }) => pieces.find(({ id }) => id === piece.id)?.changed ?? "");
  const { make, isBegun } = props;
  const isSame = useMemo(() => isAlike(pieceNow(make), piece), [make, piece]);
  if (!isBegun || isSame || make.asBegun === changed) return null;
  return <Ask {...props} piece={piece} changed={changed} />;
}

function Ask({ make, plan, done, onEdit, piece, changed }: Props & { readonly piece: Piece; readonly changed: string }) {
  const units = useUnits();
  const bench = useTrayState((state) => state.bench);
  const now = useMemo(() => withBench(piece, bench), [piece, bench]);
  const planned = usePlanned(now, bench, make.measured);
  if (!planned?.ok) return null;
  const changes = changesBetween(plan, planned.plan, new Set(done.keys()), units);
  if (changes.length === 0) return null;
  return (
    <PieceChanged
      changes={changes}
      onTake={() => void onEdit({ put: { taken: [{ at: new Date().toISOString(), pieceFile: now }] } })}
      onKeep={() => void onEdit(setting(make, { asBegun: changed }))}
    />
  );
}

/** Whether two files say the same of a piece, whatever bench they came with. */
function isAlike(a: Piece, b: Piece): boolean {
  const told = ({ benchUsed: _bench, ...rest }: Piece) => JSON.stringify(rest);
  return told(a) === told(b);
}
