"use client";

import { useEffect, useState } from "react";
import { useClock } from "@/ui/clock";
import { lastSaved, unsavedSince } from "@/ui/last-saved";
import { type Offline, install, useCanInstall, useOffline } from "@/ui/offline";
import { useTrayState } from "@/ui/tray";
import { dayText } from "@/words/dates";
import { counted } from "@/words/names";
import { OwnFile } from "./OwnFile";
import { keptHereText } from "@/words/screens/tray";

interface Props {
  readonly pieces: number;
  readonly makes: number;
  /** When each make that is ended was; ISO. */
  readonly finished: readonly string[];
  /** Changes when everything has been saved anew. */
  readonly saved: number;
}

interface Known {
  /** Bytes that are kept, and bytes there is room for yet; null where the browser does not say. */
  readonly size: number | null;
  readonly room: number | null;
  readonly savedAt: string | null;
  readonly now: number;
}

/** What is kept on this device, whether for good, how much that is, and when it was last saved to a file. */
export function KeptHere({ pieces, makes, finished, saved }: Props) {
  const [known, know] = useState<Known | null>(null);
  const isPersistent = useTrayState((state) => state.isPersistent);
  useEffect(() => {
    let isGone = false;
    void storedHere().then((stored) => {
      if (!isGone) know({ ...stored, savedAt: lastSaved(), now: Date.now() });
    });
    return () => {
      isGone = true;
    };
  }, [pieces, makes, saved]);
  const clockOf = useClock();
  const megabytes = (bytes: number) => keptHereText.megabytes((bytes / 1e6).toFixed(1));
  const unsaved = known && unsavedSince(known.savedAt, finished, known.now);
  return (
    <div className="pb-2 text-sm text-soft">
      <p>
        <b className="font-semibold text-ink">
          {keptHereText.kept(
            counted(pieces, "piece"),
            counted(makes, "make"),
            known === null || known.size === null ? null : megabytes(known.size),
          )}
        </b>{" "}
        {known &&
          (known.savedAt === null
            ? keptHereText.neverSaved
            : keptHereText.lastSaved(`${dayText(known.savedAt)}, ${clockOf(known.savedAt)}`))}
      </p>
      {unsaved && (
        <p className="font-semibold text-warn">
          {unsaved.makes > 0 ? keptHereText.notInAFile(counted(unsaved.makes, "make")) : keptHereText.longAgo}
        </p>
      )}
      {known && known.room !== null && (
        <p>
          {keptHereText.room(known.room > MUCH ? keptHereText.gigabytes(Math.floor(known.room / 1e9)) : megabytes(known.room))}
          {isPersistent !== null && ` ${isPersistent ? keptHereText.forGood : keptHereText.mayBeCleared}`}
        </p>
      )}
      <WithoutServer />
      <OwnFile />
    </div>
  );
}

/** Room above this is told in gigabytes (bytes). */
const MUCH = 2e9;

const STATES: Readonly<Record<Offline["state"], string | null>> = {
  ready: keptHereText.worksAlone,
  fetching: keptHereText.gettingReady,
  insecure: keptHereText.insecure,
  none: null,
};

/** Whether the program works without its server, and a way to put it on the device where the browser offers one. */
function WithoutServer() {
  const { state } = useOffline();
  const canInstall = useCanInstall();
  return (
    <>
      {STATES[state] !== null && <p>{STATES[state]}</p>}
      {canInstall ? (
        <button type="button" className="btn mt-1.5" onClick={() => void install()}>
          {keptHereText.putItOnThisDevice}
        </button>
      ) : (
        state === "ready" && !isInstalled() && <p>{keptHereText.howToInstall}</p>
      )}
    </>
  );
}

/** Whether it runs as a program of its own already. */
function isInstalled(): boolean {
  return window.matchMedia("(display-mode: standalone)").matches;
}

interface Estimate extends StorageEstimate {
  /** Told by some browsers alone. */
  readonly usageDetails?: { readonly indexedDB?: number };
}

/** What the browser counts for what is kept, without the program itself where it tells them apart. */
async function storedHere(): Promise<Pick<Known, "size" | "room">> {
  if (typeof navigator.storage?.estimate !== "function") return { size: null, room: null };
  const { usage, quota, usageDetails }: Estimate = await navigator.storage.estimate();
  return {
    size: usageDetails?.indexedDB ?? usage ?? null,
    room: usage === undefined || quota === undefined ? null : quota - usage,
  };
}
