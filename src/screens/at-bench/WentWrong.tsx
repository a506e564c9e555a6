"use client";

import { type Mishap } from "@/core/piece/mishaps";
import { type Remedy } from "@/core/piece/remedies";
import { sayRemedy } from "@/words/remedies";
import { type Names } from "@/words/names";
import { sayMishap } from "@/words/making";
import { type Units } from "@/words/show";
import { NightDialog } from "./NightDialog";

interface Props {
  readonly mishaps: readonly Mishap[];
  /** Readings that mean a part is to be made anew, wherever the making is. */
  readonly standing: readonly Remedy[];
  readonly onAnew: (remedy: Remedy) => void;
  readonly names: Names;
  readonly units: Units;
  /** Whether its remedy is taken, where it can be. */
  readonly onHappened: (mishap: Mishap, isTaken: boolean) => void;
  readonly onClose: () => void;
}

/** What usually goes wrong at this step, each with its remedy on this piece. */
export function WentWrong({ standing, onAnew, mishaps, names, units, onHappened, onClose }: Props) {
  return (
    <NightDialog title="What went wrong" onClose={onClose}>
      {standing.map((remedy) => {
        const { what, advice } = sayRemedy(remedy, units);
        return (
          <section key={`${remedy.code} ${remedy.figure}`} className="border-t border-night-line py-3">
            <h3 className="text-[19px] font-bold text-night-warn">{what}</h3>
            <p className="mt-1 text-[17px] leading-snug text-[#cdd5d6]">{advice}</p>
            <button type="button" className="night-btn night-go mt-2 !min-h-[46px] !text-[16px]" onClick={() => onAnew(remedy)}>
              Make a new {names.part(remedy.anew[0]!)}
            </button>
          </section>
        );
      })}
      {mishaps.length === 0 && standing.length === 0 && (
        <p className="text-[17px] text-night-soft">
          Nothing usually goes wrong at this step. Press B to go back a step, or note what happened with the result.
        </p>
      )}
      <ul>
        {mishaps.map((mishap) => {
          const { what, advice, take } = sayMishap(mishap, names, units);
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
                  {take ? "Just note it" : "Note that it happened"}
                </button>
              </div>
            </li>
          );
        })}
      </ul>
    </NightDialog>
  );
}
