"use client";

import { useId, useState } from "react";
import { benchOf } from "@/core/piece/bench";
import { type WallEntry } from "@/core/piece/piece";
import { cupsFor, fromCup, fromTube, tubesFor } from "@/core/piece/ready-stock";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useTrayState, useUnits } from "@/ui/tray";
import { READY_NAMES, cupText, overText, tubeText } from "@/words/ready-stock";

/** More than these are not looked through beside a stone: they are the nearest. */
const MOST_OFFERED = 4;

/** The tubes or cups that the maker keeps, the nearest to what the stone needs first; one press uses one. */
export function ReadyStock({ mount, kind }: { readonly mount: string; readonly kind: "tube" | "cup" }) {
  const plan = usePlan();
  const units = useUnits();
  const session = useSession();
  const piece = useSessionState((state) => state.piece);
  const mine = useTrayState((state) => state.bench);
  const bench = benchOf(piece, mine);
  const wall = piece.mounts.find(({ id }) => id === mount)!.wall;
  const heading = useId();
  const [problem, setProblem] = useState<string | null>(null);
  const offered =
    kind === "tube"
      ? tubesFor(bench, plan, mount).map(({ stock, over }) => ({ text: tubeText(stock, units), over, use: fromTube(stock) }))
      : cupsFor(bench, plan, mount).map(({ stock, over }) => ({ text: cupText(stock, units), over, use: fromCup(stock) }));
  if (offered.length === 0) return null;
  const take = (use: Pick<WallEntry, "metal" | "tube" | "cup">) =>
    setProblem(session.change((each) => void Object.assign(each.mounts.find(({ id }) => id === mount)!.wall, use)));
  const isUsed = (use: Pick<WallEntry, "metal" | "tube" | "cup">) =>
    wall.metal === use.metal && isSameSizes(wall.tube, use.tube) && isSameSizes(wall.cup, use.cup);
  return (
    <>
      <p id={heading} className="border-t border-hair pt-1 text-xs text-soft">
        {READY_NAMES[`${kind}s`].offered}
      </p>
      <ul aria-labelledby={heading} className="pb-1 text-sm">
        {offered.slice(0, MOST_OFFERED).map(({ text, over, use }, i) => (
          <li key={`${i} ${text}`}>
            <button
              type="button"
              className="btn btn-plain !grid !h-auto w-full !justify-start gap-0 !py-1 text-left leading-tight max-lg:min-h-touch"
              aria-pressed={isUsed(use)}
              onClick={() => take(use)}
            >
              <span className={isUsed(use) ? "font-strong" : ""}>{text}</span>
              <span className="text-xs text-soft">{overText(over, units)}</span>
            </button>
          </li>
        ))}
      </ul>
      {problem && (
        <p role="alert" className="text-xs text-bad">
          ◆ {problem}.
        </p>
      )}
    </>
  );
}

/** Whether a bezel has just these sizes; one that is made of the other kind is not asked. */
function isSameSizes(has: object | undefined, wanted: object | undefined): boolean {
  if (!wanted) return true;
  const sizes = { ...has } as Readonly<Record<string, unknown>>;
  const entries = Object.entries(wanted);
  return Object.keys(sizes).length === entries.length && entries.every(([name, value]) => sizes[name] === value);
}
