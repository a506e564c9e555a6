"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { type Opened, onMyBench } from "@/store/files";
import { benchName } from "@/words/bench";
import { faultLine } from "@/words/faults";
import { counted } from "@/words/names";
import { Dialog, DialogActions } from "./Dialog";
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
      return <BackupDialog opened={opened} onClose={onClose} />;
  }
}

const MOST_FAULTS = 40;

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
      <p className="mb-2 text-soft">Nothing on the tray has changed. {counted(faults.length, "thing")} to put right in the file:</p>
      <ul className="text-[13px]">
        {faults.slice(0, MOST_FAULTS).map((fault, i) => (
          <li key={i} className="border-t border-hair py-1">
            {faultLine(fault)}
          </li>
        ))}
      </ul>
      <DialogActions>
        <button type="button" className="btn btn-main" onClick={onClose}>
          Close
        </button>
      </DialogActions>
    </Dialog>
  );
}

type Asked<K extends Opened["kind"]> = { readonly opened: Extract<Opened, { kind: K }>; readonly onClose: () => void };

/** Asks first whose bench it is planned with, then what becomes of the piece that has its id. */
function PieceDialog({ opened, onClose }: Asked<"piece">) {
  const tray = useTray();
  const router = useRouter();
  const [piece, setPiece] = useState<Piece | null>(opened.differences.length === 0 ? onMyBench(opened.piece) : null);
  const finish = async (how: "add" | "replace" | "both") => {
    if (!piece) return;
    const id = how === "replace" ? await tray.replace(piece) : await tray.add(piece);
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
    <Dialog title={opened.isTaken ? `${piece.name} is on the tray already` : `Lay ${piece.name} on the tray`} onClose={onClose}>
      <p className="text-soft">
        {opened.isTaken ? `A piece with the id ${piece.id} is there. What becomes of it?` : `From ${opened.file}.`}
      </p>
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
            Lay it on the tray
          </button>
        )}
      </DialogActions>
    </Dialog>
  );
}

function BenchDialog({ opened, onClose }: Asked<"bench">) {
  const tray = useTray();
  const router = useRouter();
  const take = async () => {
    await tray.setBench(opened.bench);
    onClose();
    router.push("/my-bench");
  };
  return (
    <Dialog title={`Take ${opened.bench.name ?? opened.file} as my bench`} onClose={onClose}>
      <p className="text-soft">It takes the place of all your defaults. Save yours first if you want them back.</p>
      <DialogActions>
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-main" onClick={() => void take()}>
          Take it
        </button>
      </DialogActions>
    </Dialog>
  );
}

/** Pieces whose id is taken are replaced or kept beside it; the others are laid down. */
function BackupDialog({ opened, onClose }: Asked<"backup">) {
  const tray = useTray();
  const { backup } = opened;
  const taken = backup.pieces.filter(({ id }) => tray.store.getState().ids.includes(id));
  const restore = async (how: "replace" | "both") => {
    for (const piece of backup.pieces) {
      if (how === "replace" && taken.includes(piece)) await tray.replace(piece);
      else await tray.add(piece);
    }
    await tray.addMakes(backup.makes);
    await tray.setBench(backup.bench);
    onClose();
  };
  return (
    <Dialog title={`Restore ${counted(backup.pieces.length, "piece")}`} onClose={onClose}>
      <p className="text-soft">
        From {opened.file}, with its bench and {counted(backup.makes.length, "making")}.{" "}
        {taken.length > 0 &&
          `${counted(taken.length, "piece")} of the same id ${taken.length === 1 ? "is" : "are"} on the tray: ${taken
            .map(({ name }) => name)
            .slice(0, 6)
            .join(", ")}.`}
      </p>
      <DialogActions>
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        {taken.length > 0 && (
          <button type="button" className="btn" onClick={() => void restore("both")}>
            Keep both
          </button>
        )}
        <button type="button" className="btn btn-main" onClick={() => void restore("replace")}>
          {taken.length > 0 ? "Replace them" : "Restore"}
        </button>
      </DialogActions>
    </Dialog>
  );
}
