"use client";

import { useRouter } from "next/navigation";
import { useSession, useSessionState } from "@/ui/session";
import { useNotices } from "@/ui/notices";
import { useTray } from "@/ui/tray";
import { RepositoryError } from "@/store/repository";
import { TROUBLE_WORDS } from "@/words/trouble";
import { commonText } from "@/words/common";
import { overtakenBarText } from "@/words/screens/piece";

const BAR =
  "fixed top-[54px] left-1/2 z-30 flex -translate-x-1/2 items-center gap-3 rounded-md border border-warn bg-warn-wash px-3 py-2 text-sm text-umber shadow-lg";

const NIGHT_BAR = "flex flex-wrap items-center gap-2 rounded-lg border border-night-warn bg-night-warn-wash p-3.5 text-lg";

/** Told where another window changed or deleted the piece meanwhile: the maker says what becomes of what is here. */
export function OvertakenBar({ isNight = false }: { readonly isNight?: boolean }) {
  const session = useSession();
  const tray = useTray();
  const router = useRouter();
  const { warn } = useNotices();
  const keeping = useSessionState((state) => state.keeping);
  const state = useSessionState((all) => all);
  const [bar, button] = isNight ? [NIGHT_BAR, "night-btn !min-h-touch !text-lg"] : [BAR, "btn"];
  if (keeping.state === "deleted") {
    return (
      <div role="alert" className={bar}>
        <span>
          <b className="font-strong">{overtakenBarText.thisPieceWasDeletedIn}</b> {overtakenBarText.whatYouTypeHereIs}
        </span>
        <button type="button" className={button} onClick={() => router.push("/")}>
          {commonText.backToTheTray}
        </button>
        <button type="button" className={button} onClick={() => void session.putBack()}>
          {overtakenBarText.putItBack}
        </button>
      </div>
    );
  }
  if (keeping.state !== "elsewhere") return null;
  const keepCopy = async () => {
    try {
      const id = await tray.duplicate(state);
      session.takeNewer();
      router.push(`/pieces/${id}/wall`);
    } catch (error) {
      if (!(error instanceof RepositoryError)) throw error;
      warn(`${TROUBLE_WORDS[error.trouble]}.`);
    }
  };
  return (
    <div role="alert" className={bar}>
      <span>
        <b className="font-strong">{overtakenBarText.thisPieceWasChangedIn}</b> {overtakenBarText.whatYouTypeHereIsNot}
      </span>
      <button type="button" className={button} onClick={() => session.takeNewer()}>
        {overtakenBarText.useTheNewerOne}
      </button>
      <button type="button" className={button} onClick={() => void keepCopy()}>
        {overtakenBarText.keepMineAsACopy}
      </button>
    </div>
  );
}
