"use client";

import { useClock } from "@/ui/clock";
import { useEffect, useState } from "react";
import { lastSaved } from "@/ui/last-saved";
import { dayText } from "@/words/dates";
import { counted } from "@/words/names";
import { keptHereText } from "@/words/screens/tray";

interface Props {
  readonly pieces: number;
  readonly makes: number;
  /** Changes when everything has been saved anew. */
  readonly saved: number;
}

interface Known {
  /** Bytes; null where the browser does not say. */
  readonly size: number | null;
  readonly savedAt: string | null;
}

/** What is kept on this device, how much that is, and when it was last saved to a file. */
export function KeptHere({ pieces, makes, saved }: Props) {
  const [known, know] = useState<Known | null>(null);
  useEffect(() => {
    let isGone = false;
    void sizeHere().then((size) => {
      if (!isGone) know({ size, savedAt: lastSaved() });
    });
    return () => {
      isGone = true;
    };
  }, [pieces, makes, saved]);
  const size = known?.size ?? null;
  const clockOf = useClock();
  return (
    <p className="pb-2 text-sm text-soft">
      <b className="font-semibold text-ink">
        {keptHereText.kept(
          counted(pieces, "piece"),
          counted(makes, "make"),
          size === null ? null : keptHereText.megabytes((size / 1e6).toFixed(1)),
        )}
      </b>{" "}
      {known &&
        (known.savedAt === null ? keptHereText.neverSaved : keptHereText.lastSaved(`${dayText(known.savedAt)}, ${clockOf(known.savedAt)}`))}
    </p>
  );
}

/** Bytes that the browser counts for this program; null where it does not count. */
async function sizeHere(): Promise<number | null> {
  if (typeof navigator.storage?.estimate !== "function") return null;
  const { usage } = await navigator.storage.estimate();
  return usage ?? null;
}
