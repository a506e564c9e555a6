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
    <Dialog title={`${file} is not opened`} onClose={onClose} width={620}>
      <p className="mb-2 text-soft">Nothing has changed. {counted(faults.length, "thing")} to put right in the file:</p>
      <FaultList faults={faults} />
      <DialogActions>
        <button type="button" className="btn btn-main" onClick={onClose}>
          Close
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
      <Dialog title={`${opened.piece.name} was planned on another bench`} onClose={onClose} width={640}>
        <p className="mb-2 text-soft">These defaults differ, so some lengths may too:</p>
        <table className="w-full text-[13px]">
          <thead className="text-soft">
            <tr>
              <th className="text-left font-[520]">Default</th>
              <th className="w-[30%] text-right font-[520]">it came with</th>
              <th className="w-[30%] text-right font-[520]">my bench</th>
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
            Cancel
          </button>
          <button type="button" className="btn" onClick={() => setPiece(onMyBench(opened.piece))}>
            Plan it on my bench
          </button>
          <button type="button" className="btn btn-main" onClick={() => setPiece(opened.piece)}>
            Keep the one it came with
          </button>
        </DialogActions>
      </Dialog>
    );
  }
  return (
    <Dialog title={opened.isTaken ? `${piece.name} is on the tray already` : `Put ${piece.name} on the tray`} onClose={onClose}>
      <p className="text-soft">
        {opened.isTaken ? `A piece with the id ${piece.id} is there already. Replace it, or keep both?` : `From ${opened.file}.`}
      </p>
      <Problem text={problem} />
      <DialogActions>
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        {opened.isTaken ? (
          <>
            <button type="button" className="btn" onClick={() => void finish("replace")}>
              Replace it
            </button>
            <button type="button" className="btn btn-main" onClick={() => void finish("both")}>
              Keep both
            </button>
          </>
        ) : (
          <button type="button" className="btn btn-main" onClick={() => void finish("add")}>
            Put it on the tray
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
    <Dialog title={`Use ${opened.bench.name ?? opened.file} as my bench`} onClose={onClose}>
      <p className="text-soft">It replaces all your defaults. You can undo this on My bench.</p>
      <Problem text={problem} />
      <DialogActions>
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-main" onClick={() => void take()}>
          Use it
        </button>
      </DialogActions>
    </Dialog>
  );
}
