"use client";

import { type Mishap } from "@/core/piece/mishaps";
import { type Names } from "@/words/names";
import { sayMishap } from "@/words/making";
import { type Units } from "@/words/show";
import { NightDialog } from "./NightDialog";

interface Props {
  readonly mishaps: readonly Mishap[];
  readonly names: Names;
  readonly units: Units;
  /** Whether its remedy is taken, where it can be. */
  readonly onHappened: (mishap: Mishap, isTaken: boolean) => void;
  readonly onClose: () => void;
}

/** What usually goes wrong at this step, each with its remedy on this piece. */
export function WentWrong({ mishaps, names, units, onHappened, onClose }: Props) {
  return (
    <NightDialog title="What went wrong" onClose={onClose}>
      {mishaps.length === 0 && (
        <p className="text-[17px] text-night-soft">
          Nothing usual goes wrong at this step. Go back a step with B, or write what happened with the result.
        </p>
      )}
      <ul>
        {mishaps.map((mishap) => {
          const { what, advice, take } = sayMishap(mishap, names.joint, units);
          return (
            <li key={`${mishap.code} ${mishap.about}`} className="border-t border-night-line py-3">
              <h3 className="text-[19px] font-bold">{what}</h3>
              <p className="mt-1 text-[17px] leading-snug text-[#cdd5d6]">{advice}</p>
              <div className="mt-2 flex flex-wrap gap-2">
                {take && (
                  <button type="button" className="night-btn night-go !min-h-[46px] !text-[16px]" onClick={() => onHappened(mishap, true)}>
                    {take}
                  </button>
                )}
                <button type="button" className="night-btn !min-h-[46px] !text-[16px]" onClick={() => onHappened(mishap, false)}>
                  {take ? "Only write it down" : "It happened: write it down"}
                </button>
              </div>
            </li>
          );
        })}
      </ul>
    </NightDialog>
  );
}
