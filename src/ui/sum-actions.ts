import { useRouter } from "next/navigation";
import { type QuickSum } from "@/core/sums/sum";
import { RepositoryError } from "@/store/repository";
import { TROUBLE_WORDS } from "@/words/trouble";
import { NEW_NAMES } from "@/words/piece-name";
import { sumActionsText } from "@/words/ui";
import { useNotices } from "./notices";
import { useTray } from "./tray";

/** A kind of piece by its name in a file. */
const NEW = "new-piece";

/** What is done with a quick sum: its answer copied, a piece begun from it. */
export function useSumActions() {
  const tray = useTray();
  const router = useRouter();
  const { say, warn } = useNotices();
  return {
    copy: (text: string) =>
      void copied(text).then((isCopied) => (isCopied ? say(sumActionsText.copied(text)) : warn(sumActionsText.notCopied(text)))),
    begin: ({ begin }: QuickSum) =>
      void (async () => {
        if (!begin) return;
        const { piece, unmeasured } = begin(tray.idFor(NEW), "");
        const id = await tray.add({ ...piece, name: NEW_NAMES[piece.kind] }, unmeasured);
        router.push(`/pieces/${id}/stone`);
      })().catch((error: unknown) => {
        if (!(error instanceof RepositoryError)) throw error;
        warn(`${TROUBLE_WORDS[error.trouble]}.`);
      }),
  };
}

/** A browser gives the clipboard to a secure page alone, and may refuse it there. */
async function copied(text: string): Promise<boolean> {
  const { clipboard } = navigator as { readonly clipboard?: Clipboard };
  if (!clipboard) return false;
  return clipboard.writeText(text).then(
    () => true,
    () => false,
  );
}
