"use client";

import { useState } from "react";
import { type AddedJoint } from "@/core/heats/pins";
import { ChoiceField } from "@/ui/ChoiceField";
import { Dialog, DialogActions } from "@/ui/Dialog";
import { lengthField } from "@/ui/fields";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { capital, namesIn } from "@/words/names";
import { addPin, freeJointId } from "./pins";
import { commonText } from "@/words/common";
import { addJointText } from "@/words/screens/heats";

/** A joint of the maker's own: the two parts it ties, and how long it is. */
export function AddJoint({ onClose }: { readonly onClose: () => void }) {
  const session = useSession();
  const plan = usePlan();
  const units = useUnits();
  const names = namesIn(plan);
  const parts = plan.parts.map(({ id }) => ({ value: id, text: capital(names.part(id)) }));
  const [one, chooseOne] = useState(parts[0]!.value);
  const [other, chooseOther] = useState((parts[1] ?? parts[0]!).value);
  const [typed, type] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const field = lengthField("heats.added", units, () => undefined);
  const take = () => {
    const reading = field.read(typed);
    if (!reading.ok) return setProblem(capital(reading.problem));
    if (reading.value === null) return setProblem(addJointText.typeHowLongItIs);
    const add: AddedJoint = {
      id: freeJointId([...plan.joints, ...plan.leftOut]),
      parts: one === other ? [one] : [one, other],
      length: reading.value,
    };
    const refused = session.change((piece) => addPin(piece, { add }));
    if (refused !== null) return setProblem(refused);
    session.commit();
    onClose();
  };
  return (
    <Dialog title={addJointText.aJointMore} onClose={onClose} width={380}>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          take();
        }}
      >
        <ChoiceField label={addJointText.between} value={one} options={parts} onChoose={(part) => (chooseOne(part), null)} width="wide" />
        <ChoiceField
          label={addJointText.and}
          hint={addJointText.theSamePartAgainIt}
          value={other}
          options={parts}
          onChoose={(part) => (chooseOther(part), null)}
          width="wide"
        />
        <label className="grid grid-cols-[1fr_132px] items-center gap-x-2 border-t border-hair py-px text-sm">
          {addJointText.howLongItIs}
          <span className="entry">
            <input
              value={typed}
              onChange={(event) => type(event.target.value)}
              inputMode="decimal"
              aria-invalid={problem !== null}
              className="w-full bg-transparent text-right outline-none"
            />
            <span className="text-xs font-light text-soft">{field.unit}</span>
          </span>
        </label>
        {problem && (
          <p role="alert" className="pt-1 text-sm text-bad">
            <span aria-hidden="true">◆ </span>
            {problem}.
          </p>
        )}
        <DialogActions>
          <button type="button" className="btn" onClick={onClose}>
            {commonText.cancel}
          </button>
          <button type="submit" className="btn btn-main">
            {addJointText.addIt}
          </button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
