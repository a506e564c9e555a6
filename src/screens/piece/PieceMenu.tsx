"use client";

import { MoreHorizontal } from "lucide-react";
import { useRouter } from "next/navigation";
import { DropdownMenu } from "radix-ui";
import { hasPictures, withoutPictures } from "@/core/piece/pictures";
import { useCodes } from "@/ui/codes/codes";
import { saveFile } from "@/ui/save-file";
import { useSession, useSessionState } from "@/ui/session";
import { useNotices } from "@/ui/notices";
import { useTray, useTrayState } from "@/ui/tray";
import { RepositoryError } from "@/store/repository";
import { TROUBLE_WORDS } from "@/words/trouble";
import { loadFiles } from "../lazy-data";
import { commonText } from "@/words/common";
import { pieceMenuText } from "@/words/screens/piece";

const ITEM = "cursor-pointer px-3 py-1 text-sm outline-none data-highlighted:bg-accent-wash";

/** What can be done to the whole piece. */
export function PieceMenu() {
  const session = useSession();
  const tray = useTray();
  const router = useRouter();
  const codes = useCodes();
  const { warn } = useNotices();
  const bench = useTrayState((state) => state.bench);
  const piece = useSessionState((state) => state.piece);
  const leave = async (work: () => Promise<unknown>) => {
    session.commit();
    await session.flush();
    await work().catch((error: unknown) => {
      if (!(error instanceof RepositoryError)) throw error;
      warn(`${TROUBLE_WORDS[error.trouble]}.`);
    });
  };
  const duplicate = () => leave(async () => router.push(`/pieces/${await tray.duplicate(session.store.getState())}/wall`));
  const remove = () =>
    leave(async () => {
      await tray.setDeleted([piece.id], true);
      router.push("/");
    });
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger aria-label={pieceMenuText.moreForThisPiece} className="btn btn-plain">
        <MoreHorizontal size={16} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" className="z-50 min-w-54.5 rounded-md border border-line bg-sheet py-1 shadow-lg">
          <DropdownMenu.Item className={`${ITEM} lg:hidden`} onSelect={() => router.push(`/pieces/${piece.id}/card`)}>
            {pieceMenuText.card}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => void duplicate()}>
            {pieceMenuText.duplicate}
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => void loadFiles().then(({ pieceText }) => saveFile(`${piece.id}.json`, pieceText(piece, bench)))}
          >
            {commonText.saveFile}
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() =>
              void loadFiles().then(({ pieceText }) =>
                codes.show({ name: piece.name, text: pieceText(withoutPictures(piece), bench), isWithoutPictures: hasPictures(piece) }),
              )
            }
          >
            {commonText.showAsCodes}
          </DropdownMenu.Item>
          {piece.benchUsed && (
            <DropdownMenu.Item className={ITEM} onSelect={() => session.change((each) => void delete each.benchUsed)}>
              {pieceMenuText.planItOnMyBench}
            </DropdownMenu.Item>
          )}
          <DropdownMenu.Item className={ITEM} onSelect={() => void remove()}>
            {pieceMenuText.deleteWord}
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
