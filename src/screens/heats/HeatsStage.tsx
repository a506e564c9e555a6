"use client";

import { Plus, X } from "lucide-react";
import { useState } from "react";
import { type Draft as Editable } from "immer";
import { type PinEntry } from "@/core/heats/pins";
import { WAYS } from "@/core/heats/problem";
import { type HeatsEntry, type Piece } from "@/core/piece/piece";
import { SHIPPED } from "@/core/piece/bench";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { Stage } from "@/ui/Stage";
import { riseField } from "@/ui/fields";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useTrayState, useUnits } from "@/ui/tray";
import { pinText } from "@/words/pins";
import { WAY_ADVICE, overshootHint } from "@/words/heats";
import { WAY_NAMES, capital, counted, namesIn } from "@/words/names";
import { HeatCards } from "./HeatCards";
import { Explained } from "@/ui/Explained";
import { LadderDrawing } from "./LadderDrawing";
import { useHeatsWorker } from "./heats-worker";
import { AddJoint } from "./AddJoint";
import { JointRows } from "./JointRows";
import { JointSketch } from "./JointSketch";
import { SolderToCut } from "./SolderToCut";
import { WaysDialog } from "./WaysDialog";
import { removePin } from "./pins";
import { heatsStageText } from "@/words/screens/heats";

/** In what order and with which solder the joints are made, and what each heat does to those before it. */
export function HeatsStage({ mount }: { readonly mount: string }) {
  useHeatsWorker();
  return (
    <Stage
      stage="heats"
      mount={mount}
      drawing={(size) => <LadderDrawing size={size} />}
      measures={<HeatsMeasures />}
      foot={<HeatCards />}
    />
  );
}

/** What is wished of a piece's heats, to be written to. */
function heatsOf(piece: Editable<Piece>): Editable<HeatsEntry> {
  return (piece.heats ??= {});
}

function HeatsMeasures() {
  const session = useSession();
  const plan = usePlan();
  const bench = useTrayState((state) => state.bench);
  const pins = useSessionState(({ piece }) => piece.heats?.pins) ?? NO_PINS;
  const { way, overshoot, shelf } = plan.settled.heats;
  const [isComparing, compare] = useState(false);
  const [isAdding, add] = useState(false);
  const names = namesIn({ parts: plan.parts, joints: [...plan.joints, ...plan.leftOut] });
  const units = useUnits();
  const shelves = bench.shelves?.length ? bench.shelves : SHIPPED.shelves;
  const change = (recipe: (heats: Editable<HeatsEntry>) => void) => session.change((piece) => recipe(heatsOf(piece)));
  const overshootField = riseField("heats.overshoot", units, (piece, value) => {
    piece.heats = { ...piece.heats, overshoot: value };
  });
  return (
    <>
      <h2 className="section-head">{heatsStageText.joints}</h2>
      <p className="narrow pb-1 text-xs text-soft">
        {heatsStageText.inALaterHeatA} <Explained word="gives">{heatsStageText.softens}</Explained>
        {heatsStageText.then} <Explained word="runs">{heatsStageText.runs}</Explained>
      </p>
      <JointSketch />
      <JointRows />
      <button type="button" className="btn btn-small my-1.5 max-lg:h-touch" onClick={() => add(true)}>
        <Plus size={13} aria-hidden="true" /> {heatsStageText.addAJoint}
      </button>
      {isAdding && <AddJoint onClose={() => add(false)} />}
      {pins.length > 0 && (
        <ul aria-label={heatsStageText.pinnedLabel} className="border-t border-hair py-1 text-sm">
          {pins.map((pin, i) => (
            <li key={i} className="flex items-center justify-between gap-2 py-px">
              <span className="min-w-0 truncate">
                <span className="text-soft">{heatsStageText.pinned}</span> {pinText(pin, names)}
              </span>
              <button
                type="button"
                className="btn btn-plain btn-small"
                aria-label={heatsStageText.unpin(pinText(pin, names))}
                onClick={() => session.change((piece) => removePin(piece, i))}
              >
                <X size={14} aria-hidden="true" />
              </button>
            </li>
          ))}
        </ul>
      )}
      <h2 className="section-head mt-3">{heatsStageText.howYouWork}</h2>
      <ChoiceField
        label={heatsStageText.wayOfGrading}
        hint={WAY_ADVICE[way]}
        value={way}
        options={WAYS.map((value) => ({ value, text: capital(WAY_NAMES[value]) }))}
        onChoose={(next) => change((heats) => void (heats.way = next))}
        width="wide"
      />
      <button type="button" className="btn my-1.5 max-lg:h-touch" onClick={() => compare(true)}>
        {heatsStageText.compareTheFiveWays}
      </button>
      {isComparing && <WaysDialog current={way} onClose={() => compare(false)} />}
      <MeasureField
        field={overshootField}
        label={heatsStageText.overshoot}
        explains="overshoot"
        hint={overshootHint(units)}
        value={overshoot}
      />
      <ChoiceField
        label={heatsStageText.shelf}
        hint={heatsStageText.checkYourSuppliersSheet}
        value={shelf.id}
        options={shelves.map(({ id, grades }) => ({ value: id, text: `${capital(id)}, ${counted(grades.length, "grade")}` }))}
        onChoose={(next) => change((heats) => void (heats.shelf = next))}
        width="wide"
      />
      <SolderToCut />
    </>
  );
}

const NO_PINS: readonly PinEntry[] = [];
