"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { onMyBench } from "@/store/files";
import { RepositoryError } from "@/store/repository";
import { type Opened } from "@/workers/files/protocol";
import { benchName } from "@/words/bench";
import { counted } from "@/words/names";
import { TROUBLE_WORDS } from "@/words/trouble";
import { type Asked, Problem } from "./asked";
import { Dialog, DialogActions } from "./Dialog";
import { FaultList } from "./FaultList";
import { RestoreDialog } from "./RestoreDialog";
import { useTray } from "./tray";
import { commonText } from "@/words/common";
import { openedDialogText } from "@/words/ui";

/** What an opened file turned out to be, and what is asked before it is taken. */
export function OpenedDialog({ opened, onClose }: { readonly opened: Opened; readonly onClose: () => void }) {
  switch (opened.kind) {
    case "refused":
      return <RefusedDialog file={opened.file} faults={opened.faults} onClose={onClose} />;
    case "piece":
      return <PieceDialog opened={opened} onClose={onClose} />;
    case "bench":
      return <BenchDialog opened={opened} onClose={onClose} />;
    case "backup":
      return <RestoreDialog opened={opened} onClose={onClose} />;
  }
}

function RefusedDialog({
  file,
  faults,
  onClose,
}: {
  readonly file: string;
  readonly faults: readonly Fault[];
  readonly onClose: () => void;
}) {
  return (
    <Dialog title={openedDialogText.isNotOpened(file)} onClose={onClose} width={620}>
      <p className="mb-2 text-soft">{openedDialogText.nothingHasChangedToPut(counted(faults.length, "thing"))}</p>
      <FaultList faults={faults} />
      <DialogActions>
        <button type="button" className="btn btn-main" onClick={onClose}>
          {openedDialogText.close}
        </button>
      </DialogActions>
    </Dialog>
  );
}

/** Asks first whose bench it is planned with, then what becomes of the piece that has its id. */
function PieceDialog({ opened, onClose }: Asked<"piece">) {
  const tray = useTray();
  const router = useRouter();
  const [piece, setPiece] = useState<Piece | null>(opened.differences.length === 0 ? onMyBench(opened.piece) : null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const finish = async (how: "add" | "replace" | "both") => {
    if (!piece || isBusy) return;
    setBusy(true);
    const id = await (how === "replace" ? tray.replace(piece) : tray.add(piece)).catch((error: unknown) => {
      if (!(error instanceof RepositoryError)) throw error;
      setProblem(TROUBLE_WORDS[error.trouble]);
      return null;
    });
    setBusy(false);
    if (id === null) return;
    onClose();
    if (how === "replace") window.location.assign(`/pieces/${id}/wall`);
    else router.push(`/pieces/${id}/wall`);
  };
  if (!piece) {
    return (
      <Dialog title={openedDialogText.wasPlannedOnAnotherBench(opened.piece.name)} onClose={onClose} width={640}>
        <p className="mb-2 text-soft">{openedDialogText.theseDefaultsDifferSoSome}</p>
        <table className="w-full text-sm">
          <thead className="text-soft">
            <tr>
              <th className="text-left font-medium">{openedDialogText.defaultWord}</th>
              <th className="w-[30%] text-right font-medium">{openedDialogText.itCameWith}</th>
              <th className="w-[30%] text-right font-medium">{openedDialogText.myBench}</th>
            </tr>
          </thead>
          <tbody>
            {opened.differences.map(({ key, theirs, mine }) => (
              <tr key={key} className="border-t border-hair align-top">
                <td className="py-1">{benchName(key)}</td>
                <td className="py-1 pl-3 text-right break-words">{theirs}</td>
                <td className="py-1 pl-3 text-right break-words">{mine}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <DialogActions>
          <button type="button" className="btn" onClick={onClose}>
            {commonText.cancel}
          </button>
          <button type="button" className="btn" onClick={() => setPiece(onMyBench(opened.piece))}>
            {openedDialogText.planItOnMyBench}
          </button>
          <button type="button" className="btn btn-main" onClick={() => setPiece(opened.piece)}>
            {openedDialogText.keepTheOneItCame}
          </button>
        </DialogActions>
      </Dialog>
    );
  }
  return (
    <Dialog
      title={opened.isTaken ? openedDialogText.isOnTheTrayAlready(piece.name) : openedDialogText.putOnTheTray(piece.name)}
      onClose={onClose}
    >
      <p className="text-soft">{opened.isTaken ? openedDialogText.aPieceWithTheId(piece.id) : openedDialogText.from(opened.file)}</p>
      <Problem text={problem} />
      <DialogActions>
        <button type="button" className="btn" onClick={onClose}>
          {commonText.cancel}
        </button>
        {opened.isTaken ? (
          <>
            <button type="button" className="btn" onClick={() => void finish("replace")}>
              {openedDialogText.replaceIt}
            </button>
            <button type="button" className="btn btn-main" onClick={() => void finish("both")}>
              {openedDialogText.keepBoth}
            </button>
          </>
        ) : (
          <button type="button" className="btn btn-main" onClick={() => void finish("add")}>
            {openedDialogText.putItOnTheTray}
          </button>
        )}
      </DialogActions>
    </Dialog>
  );
}

function BenchDialog({ opened, onClose }: Asked<"bench">) {
  const tray = useTray();
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const take = async () => {
    const refused = await tray.takeBench(opened.bench);
    setProblem(refused);
    if (refused !== null) return;
    onClose();
    router.push("/my-bench");
  };
  return (
    <Dialog title={openedDialogText.useAsMyBench(opened.bench.name ?? opened.file)} onClose={onClose}>
      <p className="text-soft">{openedDialogText.itReplacesAllYourDefaults}</p>
      <Problem text={problem} />
      <DialogActions>
        <button type="button" className="btn" onClick={onClose}>
          {commonText.cancel}
        </button>
        <button type="button" className="btn btn-main" onClick={() => void take()}>
          {openedDialogText.useIt}
        </button>
      </DialogActions>
    </Dialog>
  );
}
