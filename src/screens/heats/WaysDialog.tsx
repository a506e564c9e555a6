"use client";

import { useEffect, useState } from "react";
import { WAYS, type Way } from "@/core/heats/problem";
import { type BenchEntry, benchOf } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { type Attempt } from "@/formats/attempt";
import { Dialog } from "@/ui/Dialog";
import { useSession, useSessionState } from "@/ui/session";
import { useTrayState } from "@/ui/tray";
import { useUnits } from "@/ui/tray";
import { faultSentence } from "@/words/fields";
import { WAY_ADVICE } from "@/words/heats";
import { WAY_NAMES, capital } from "@/words/names";
import { sayWay } from "@/words/ways";
import { heatsWorker } from "./heats-worker";
import { letterOf } from "./ladder";
import { commonText } from "@/words/common";
import { waysDialogText } from "@/words/screens/heats";

const NOTHING_READ: readonly never[] = [];

/** The five ways of grading side by side on this piece: what each lets run, soften or endangers; one press takes one. */
export function WaysDialog({ current, onClose }: { readonly current: Way; readonly onClose: () => void }) {
  const session = useSession();
  const piece = useSessionState((state) => state.piece);
  const mine = useTrayState((state) => state.bench);
  const attempts = useWays(piece, benchOf(piece, mine));
  const take = (way: Way) => {
    session.change((each) => void (each.heats = { ...each.heats, way }));
    session.commit();
    onClose();
  };
  return (
    <Dialog title={waysDialogText.fiveWaysOfGradingOn} onClose={onClose} width={880}>
      <table className="w-full text-sm max-md:block max-md:[&>tbody]:block">
        <thead className="max-md:hidden">
          <tr className="text-left text-sm text-soft">
            <th scope="col" className="py-1 font-medium">
              {waysDialogText.way}
            </th>
            <th scope="col" className="font-medium">
              {commonText.heats}
            </th>
            <th scope="col" className="font-medium">
              {waysDialogText.whatIsDisturbed}
            </th>
            <th scope="col">
              <span className="sr-only">{waysDialogText.useIt}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {WAYS.map((way) => (
            <tr
              key={way}
              className={`border-t border-hair align-top max-md:grid max-md:grid-cols-[1fr_auto] ${way === current ? "bg-accent-wash" : ""}`}
            >
              <th scope="row" className="w-57 py-2 pl-1 text-left font-strong max-md:w-auto">
                {capital(WAY_NAMES[way])}
                <small className="block text-xs font-light text-soft">{WAY_ADVICE[way]}</small>
              </th>
              <Outcome attempt={attempts[way]} />
              <td className="py-1.5 pr-1 text-right whitespace-nowrap">
                {way === current ? (
                  <span className="text-sm font-semibold text-accent">{waysDialogText.inUse}</span>
                ) : (
                  <button
                    type="button"
                    className="btn max-md:h-touch"
                    aria-label={waysDialogText.use(WAY_NAMES[way])}
                    onClick={() => take(way)}
                  >
                    {waysDialogText.useIt}
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-soft">{waysDialogText.lettersAreTheJointsAs}</p>
    </Dialog>
  );
}

function Outcome({ attempt }: { readonly attempt: Attempt | undefined }) {
  const units = useUnits();
  const cell = "py-2 pr-3 max-md:col-span-2 max-md:pl-1";
  if (!attempt)
    return (
      <td colSpan={2} className={`${cell} text-soft`}>
        {waysDialogText.workingItOut}
      </td>
    );
  if (!attempt.ok)
    return (
      <td colSpan={2} className={`${cell} text-bad`}>
        {attempt.faults
          .slice(0, 1)
          .map((fault) => faultSentence(fault, units))
          .join("")}
        .
      </td>
    );
  const { heats, moves, isProven } = sayWay(attempt.plan, (joint) => letterOf(attempt.plan, joint));
  return (
    <>
      <td className={`${cell} whitespace-nowrap`}>
        {heats}
        {!isProven && <small className="block text-xs text-soft">{waysDialogText.notProvenTheBest}</small>}
      </td>
      <td className={cell}>
        {moves.length === 0 && <span className="text-ok">{heats === "no order works" ? "" : waysDialogText.allHold}</span>}
        {moves.map(({ what, text }, i) => (
          <span key={i} className={`block ${what === "softens" ? "text-warn" : "text-bad"}`}>
            ◆ {text}
          </span>
        ))}
      </td>
    </>
  );
}

/** The piece planned in every way in a worker, one after the other. */
function useWays(piece: Piece, bench: BenchEntry): Partial<Readonly<Record<Way, Attempt>>> {
  const [attempts, setAttempts] = useState<Partial<Record<Way, Attempt>>>({});
  const [failure, setFailure] = useState<Error | null>(null);
  useEffect(() => {
    const client = heatsWorker;
    let isGone = false;
    const compare = async () => {
      for (const way of WAYS) {
        const attempt = await client.ask({ piece: { ...piece, heats: { ...piece.heats, way } }, bench, measured: NOTHING_READ });
        if (isGone || !attempt) return;
        setAttempts((before) => ({ ...before, [way]: attempt }));
      }
    };
    compare().catch(setFailure);
    return () => {
      isGone = true;
      client.cancel();
    };
  }, [piece, bench]);
  if (failure) throw failure;
  return attempts;
}
