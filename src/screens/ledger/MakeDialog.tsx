"use client";

import Link from "next/link";
import { doneSteps } from "@/core/making/done";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { type Make, isUnderWay, pieceNow } from "@/core/piece/make";
import { RepositoryError } from "@/store/repository";
import { Dialog, DialogActions } from "@/ui/Dialog";
import { useNotices } from "@/ui/notices";
import { usePlanned } from "@/ui/planner";
import { saveFile } from "@/ui/save-file";
import { canShareFiles, shareFile } from "@/ui/share-file";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { useClock } from "@/ui/clock";
import { fullDayText } from "@/words/dates";
import { mishapName, readText, readingWithUnit } from "@/words/making";
import { counted } from "@/words/names";
import { figureText, sayStep } from "@/words/steps";
import { TROUBLE_WORDS } from "@/words/trouble";
import { readingName } from "./compare";
import { CorrectMake } from "./CorrectMake";
import { MakeCost } from "./MakeCost";
import { type Entry } from "./entries";
import { loadFiles } from "../lazy-data";
import { commonText } from "@/words/common";
import { makeDialogText } from "@/words/screens/ledger";

interface Props {
  readonly entry: Entry;
  readonly onClose: () => void;
  /** Sets it beside others, or takes it out from there. */
  readonly onCompare: () => void;
}

/** A making as it was: what was wanted, read, done, and what came of it. */
export function MakeDialog({ entry, onClose, onCompare }: Props) {
  const { make, piece } = entry;
  const tray = useTray();
  const router = useRouter();
  const units = useUnits();
  const clockOf = useClock();
  const { say, warn } = useNotices();
  const [isCorrecting, setCorrecting] = useState(false);
  const bench = useTrayState((state) => state.bench);
  const isOnTray = useTrayState(({ pieces }) => pieces.some(({ id, deleted }) => id === make.piece && deleted === null));
  const planned = usePlanned(pieceNow(make), bench);
  const act = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (error) {
      if (!(error instanceof RepositoryError)) throw error;
      warn(`${TROUBLE_WORDS[error.trouble]}.`);
    }
  };
  const again = () =>
    act(async () => {
      const { benchUsed: _then, ...own } = piece;
      const lying = tray.store.getState().pieces.find(({ id, deleted }) => id === make.piece && deleted === null);
      const id = lying ? lying.id : await tray.add(own);
      await tray.begin(lying ? lying.piece : { ...own, id });
      router.push(`/pieces/${id}/bench`);
    });
  const takeOut = () =>
    act(async () => {
      const back = await tray.removeMake(make);
      onClose();
      say(makeDialogText.removedFromTheLedger(piece.name), { name: makeDialogText.putBack, run: () => void act(back) });
    });
  const steps = planned?.ok ? planned.plan.steps : [];
  const times = planned?.ok ? doneSteps(planned.plan.steps, make.done) : new Map<string, string>();
  const done = planned?.ok ? planned.plan.steps.flatMap((step) => (times.has(step.id) ? [{ step, at: times.get(step.id)! }] : [])) : [];
  return (
    <Dialog title={piece.name} onClose={onClose} width={760}>
      <p className="text-soft">
        {fullDayText(make.started)}, {make.finished === null ? makeDialogText.underWay : entry.stones.join(", ")}
        {entry.wanted && makeDialogText.wanted(entry.wanted)}
        {entry.reached && makeDialogText.cameTo(entry.reached)}
        {entry.minutes !== null && `; ${counted(entry.minutes, "minute")}`}
      </p>
      {isCorrecting ? (
        <CorrectMake make={make} nameOf={({ figure }) => readingName(figure, steps)} hasSize={piece.carrier.type === "hoop"} />
      ) : (
        <>
          {make.result?.words && <p className="mt-1.5">{make.result.words}</p>}
          {make.notes && <p className="mt-1.5 text-soft">{make.notes}</p>}
        </>
      )}
      <Photos make={make} />
      <div className="mt-3 grid gap-x-6 gap-y-3 md:grid-cols-2">
        <section aria-label={makeDialogText.whatWasReadAndWhat}>
          {!isCorrecting && <h2 className="section-head">{commonText.measured}</h2>}
          {!isCorrecting && make.measured.length === 0 && <p className="text-sm text-soft">{makeDialogText.nothingWasMeasured}</p>}
          {!isCorrecting && (
            <ul className="text-sm">
              {make.measured.map((reading) => {
                const { figure, at } = reading;
                const wanted = planned?.ok ? planned.plan.figures[figure] : undefined;
                return (
                  <li key={`${figure} ${at}`} className="border-t border-hair py-1">
                    {readingName(figure, steps)}: <b>{readingWithUnit(reading, units)}</b>
                    <span className="text-soft">
                      {wanted && makeDialogText.planned(figureText(figure, wanted, units))}, {readText(reading, units)}
                      {reading.was &&
                        makeDialogText.wasBeforeItWasCorrected(readingWithUnit({ figure, value: reading.was.at(-1)!.value }, units))}
                    </span>
                  </li>
                );
              })}
            </ul>
          )}
          {make.remedies.length > 0 && (
            <>
              <h2 className="section-head mt-3">{makeDialogText.whatWentWrong}</h2>
              <ul className="text-sm">
                {make.remedies.map(({ code, figure, at }) => (
                  <li key={`${code} ${figure} ${at}`} className="border-t border-hair py-1">
                    {mishapName(code)}
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
        <section aria-label={makeDialogText.doneLabel}>
          <h2 className="section-head">
            {makeDialogText.done(done.length)}
            {planned?.ok && makeDialogText.of(planned.plan.steps.length)} {makeDialogText.steps}
          </h2>
          <ol className="max-h-63 overflow-y-auto text-sm">
            {planned?.ok &&
              done.map(({ step, at }) => (
                <li key={step.id} className="flex gap-2 border-t border-hair py-1">
                  <span className="w-16 shrink-0 text-soft">{clockOf(at)}</span>
                  {sayStep(step, planned.plan, units).title}
                </li>
              ))}
          </ol>
        </section>
      </div>
      {planned?.ok && <MakeCost make={make} minutes={entry.minutes} plan={planned.plan} />}
      <DialogActions>
        <button
          type="button"
          className="btn mr-auto"
          aria-pressed={isCorrecting}
          onClick={() => {
            void tray.readDrafts(make.piece);
            setCorrecting(!isCorrecting);
          }}
        >
          {isCorrecting ? makeDialogText.closeTheCorrections : makeDialogText.correctTheRecord}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => {
            onCompare();
            onClose();
          }}
        >
          {makeDialogText.compare}
        </button>
        <button type="button" className="btn" onClick={() => void takeOut()}>
          {makeDialogText.removeFromTheLedger}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => void loadFiles().then(({ makeText }) => saveFile(`${make.id}.json`, makeText(make)))}
        >
          {commonText.saveFile}
        </button>
        {canShareFiles() && (
          <button
            type="button"
            className="btn"
            onClick={() => void loadFiles().then(({ makeText }) => shareFile(`${make.id}.json`, makeText(make)))}
          >
            {commonText.share}
          </button>
        )}
        {isOnTray && (
          <Link href={`/pieces/${make.piece}/making`} className="btn">
            {makeDialogText.openThePiece}
          </Link>
        )}
        {isUnderWay(make) && isOnTray ? (
          <Link href={`/pieces/${make.piece}/bench`} className="btn btn-main">
            {makeDialogText.continueAtTheBench}
          </Link>
        ) : (
          <button type="button" className="btn btn-main" onClick={() => void again()}>
            {makeDialogText.makeAgain}
          </button>
        )}
      </DialogActions>
    </Dialog>
  );
}

function Photos({ make: { photos = [] } }: { readonly make: Make }) {
  if (photos.length === 0) return null;
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {photos.map(({ name, at, jpeg }) => (
        // eslint-disable-next-line @next/next/no-img-element -- a picture of this device's own, in the page already
        <img key={at} src={`data:image/jpeg;base64,${jpeg}`} alt={name} className="h-43 rounded-md border border-line" />
      ))}
    </div>
  );
}
