"use client";

import { type Mishap } from "@/core/piece/mishaps";
import { type Remedy } from "@/core/piece/remedies";
import { sayRemedy } from "@/words/remedies";
import { type Names } from "@/words/names";
import { sayMishap } from "@/words/making";
import { type Units } from "@/words/show";
import { NightDialog } from "./NightDialog";
import { wentWrongText } from "@/words/screens/at-bench";

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
    <NightDialog title={wentWrongText.whatWentWrong} onClose={onClose}>
      {standing.map((remedy) => {
        const { what, advice } = sayRemedy(remedy, units);
        return (
          <section key={`${remedy.code} ${remedy.figure}`} className="border-t border-night-line py-3">
            <h3 className="text-xl font-bold text-night-warn">{what}</h3>
            <p className="mt-1 text-lg leading-snug text-night-key">{advice}</p>
            <button type="button" className="night-btn night-go mt-2 !min-h-touch !text-lg" onClick={() => onAnew(remedy)}>
              {wentWrongText.makeANew(names.part(remedy.anew[0]!))}
            </button>
          </section>
        );
      })}
      {mishaps.length === 0 && standing.length === 0 && (
        <p className="text-lg text-night-soft">{wentWrongText.nothingUsuallyGoesWrongAt}</p>
      )}
      <ul>
        {mishaps.map((mishap) => {
          const { what, advice, take } = sayMishap(mishap, names, units);
          return (
            <li key={`${mishap.code} ${mishap.about}`} className="border-t border-night-line py-3">
              <h3 className="text-xl font-bold">{what}</h3>
              <p className="mt-1 text-lg leading-snug text-night-key">{advice}</p>
              <div className="mt-2 flex flex-wrap gap-2">
                {take && (
                  <button type="button" className="night-btn night-go !min-h-touch !text-lg" onClick={() => onHappened(mishap, true)}>
                    {take}
                  </button>
                )}
                <button type="button" className="night-btn !min-h-touch !text-lg" onClick={() => onHappened(mishap, false)}>
                  {take ? wentWrongText.justNoteIt : wentWrongText.noteThatItHappened}
                </button>
              </div>
            </li>
          );
        })}
      </ul>
    </NightDialog>
  );
}
