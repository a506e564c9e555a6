"use client";

import { useRouter } from "next/navigation";
import { useSession, useSessionState } from "@/ui/session";
import { useNotices } from "@/ui/notices";
import { useTray } from "@/ui/tray";
import { RepositoryError } from "@/store/repository";
import { TROUBLE_WORDS } from "@/words/trouble";

const BAR =
  "fixed top-[54px] left-1/2 z-30 flex -translate-x-1/2 items-center gap-3 rounded-[6px] border border-warn bg-warn-wash px-3 py-2 text-[13px] text-[#6b3500] shadow-lg";

const NIGHT_BAR = "flex flex-wrap items-center gap-2 rounded-[8px] border border-night-warn bg-[#2b2317] p-3.5 text-[16px]";

/** Told where another window changed or deleted the piece meanwhile: the maker says what becomes of what is here. */
export function OvertakenBar({ isNight = false }: { readonly isNight?: boolean }) {
  const session = useSession();
  const tray = useTray();
  const router = useRouter();
  const { warn } = useNotices();
  const keeping = useSessionState((state) => state.keeping);
  const state = useSessionState((all) => all);
  const [bar, button] = isNight ? [NIGHT_BAR, "night-btn !min-h-[46px] !text-[16px]"] : [BAR, "btn"];
  if (keeping.state === "deleted") {
    return (
      <div role="alert" className={bar}>
        <span>
          <b className="font-[680]">◆ This piece was deleted in another window.</b> What you type here is not kept until you put it back.
        </span>
        <button type="button" className={button} onClick={() => router.push("/")}>
          Back to the tray
        </button>
        <button type="button" className={button} onClick={() => void session.putBack()}>
          Put it back
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
        <b className="font-[680]">◆ This piece was changed in another window.</b> What you type here is not kept until you choose.
      </span>
      <button type="button" className={button} onClick={() => session.takeNewer()}>
        Use the newer one
      </button>
      <button type="button" className={button} onClick={() => void keepCopy()}>
        Keep mine as a copy
      </button>
    </div>
  );
}
