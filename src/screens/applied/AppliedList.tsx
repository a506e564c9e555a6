"use client";

import { type Draft as Editable } from "immer";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { type Applied } from "@/core/applied/applied";
import { freeIn, freeRound, planeOf, roundOf } from "@/core/applied/clearance";
import { toTwentieth } from "@/core/measure/micron";
import { hoopIn } from "@/core/piece/plan";
import { settleApplied } from "@/core/piece/settle";
import { outlineIn } from "@/core/piece/mounts";
import { type AppliedShape } from "@/core/joint/joint";
import { partsOf } from "@/core/piece/faults";
import { type AppliedEntry, type Piece } from "@/core/piece/piece";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { lengthField, numberField } from "@/ui/fields";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { appliedText } from "@/words/applied";
import { APPLIED_NAMES, capital, namesIn } from "@/words/names";
import { commonText } from "@/words/common";
import { appliedListText } from "@/words/screens/applied";

/** What each shape starts as, and what its sizes are called. */
const SHAPES: Readonly<
  Record<AppliedShape, { readonly start: Partial<AppliedEntry>; readonly fields: readonly (readonly [string, string])[] }>
> = {
  disc: {
    start: { disc: { diameter: 3, thickness: 0.6 } },
    fields: [
      ["diameter", appliedListText.across],
      ["thickness", appliedListText.thick],
    ],
  },
  ball: { start: { ball: { diameter: 1.5 } }, fields: [["diameter", appliedListText.across]] },
  ring: {
    start: { ring: { inside: 2, wire: 0.8 } },
    fields: [
      ["inside", appliedListText.inside],
      ["wire", commonText.wire],
    ],
  },
  strip: {
    start: { strip: { length: 5, width: 1, thickness: 0.6 } },
    fields: [
      ["length", appliedListText.long],
      ["width", appliedListText.wide],
      ["thickness", appliedListText.thick],
    ],
  },
};
const TYPES = Object.keys(SHAPES) as AppliedShape[];

function entryIn(piece: Editable<Piece>, id: string): Editable<AppliedEntry> {
  return piece.applied!.find((each) => each.id === id)!;
}

function putOn(piece: Editable<Piece>, entry: Editable<AppliedEntry>): void {
  (piece.applied ??= []).push(entry);
}

/** What is sweated on the parts of a setting, or on those that carry it where `mount` is null: added, sized, put somewhere else, taken away. */
export function AppliedList({ mount }: { readonly mount: string | null }) {
  const session = useSession();
  const units = useUnits();
  const plan = usePlan();
  const piece = useSessionState((state) => state.piece);
  const all = piece.applied ?? NONE;
  const parts = partsOf(piece).filter((id) => plan.parts.find((part) => part.id === id)?.mount === mount);
  const usual = (mount !== null && plan.drawing.settings[mount]!.plan.back.plate) || parts[0]!;
  const here = plan.drawing.applied.filter((each) => parts.includes(each.on));
  const [asked, choose] = useState<string | null>(null);
  const chosen = here.find(({ id }) => id === asked);
  const add = (shape: AppliedShape) => {
    const id = freeId(all, shape);
    const start = { id, metal: "sterling" as const, on: usual, ...structuredClone(SHAPES[shape].start) } as Editable<AppliedEntry>;
    const refused = session.change((piece) => putOn(piece, placed(start)));
    if (refused === null) choose(id);
  };
  /** Where there is room for it. */
  const placed = (start: Editable<AppliedEntry>): Editable<AppliedEntry> => {
    const [one] = settleApplied({ applied: [start] });
    const hoop = hoopIn(plan)?.drawn;
    if (mount === null) return hoop ? { ...start, along: toTwentieth(freeRound(one!, roundOf(hoop), here)) } : start;
    const plane = planeOf(outlineIn(piece.mounts.find((each) => each.id === mount)!), plan.drawing.settings[mount]!.plan);
    const [x, y] = freeIn(one!, plane, here);
    return { ...start, at: [toTwentieth(x), toTwentieth(y)] };
  };
  return (
    <section aria-label={appliedListText.sweatedOn}>
      <h2 className="section-head">{appliedListText.sweatedOn}</h2>
      <ul>
        {here.map((each) => (
          <li key={each.id} className={`flex items-center border-t border-hair ${each === chosen ? "bg-accent-wash shadow-chosen" : ""}`}>
            <button
              type="button"
              aria-pressed={each === chosen}
              onClick={() => choose(each === chosen ? null : each.id)}
              className="min-w-0 flex-1 py-1 pl-2 text-left text-sm max-lg:min-h-touch"
            >
              <b className="block font-strong">{capital(each.name ?? APPLIED_NAMES[each.shape])}</b>
              <small className="narrow block text-xs text-soft">{appliedText(each, units)}</small>
            </button>
            <button
              type="button"
              className="btn btn-plain"
              aria-label={appliedListText.remove(each.name ?? APPLIED_NAMES[each.shape])}
              onClick={() =>
                session.change((piece) => {
                  piece.applied = piece.applied!.filter(({ id }) => id !== each.id);
                  if (piece.applied.length === 0) delete piece.applied;
                })
              }
            >
              <Trash2 size={13} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      {chosen && <AppliedMeasures key={chosen.id} applied={chosen} parts={parts} />}
      <div className="flex flex-wrap gap-1.5 border-t border-hair py-1.5">
        {TYPES.map((shape) => (
          <button key={shape} type="button" className="btn btn-small" onClick={() => add(shape)}>
            <Plus size={13} aria-hidden="true" /> {capital(APPLIED_NAMES[shape])}
          </button>
        ))}
      </div>
    </section>
  );
}

const NONE: readonly AppliedEntry[] = [];

function freeId(all: readonly AppliedEntry[], shape: string): string {
  const taken = new Set(all.map(({ id }) => id));
  for (let i = 1; ; i++) {
    const id = i === 1 ? shape : `${shape}-${i}`;
    if (!taken.has(id)) return id;
  }
}

/** How far what is longer one way is turned. */
function turnOf(id: string) {
  return numberField(`applied.${id}.turn`, "°", 5, 1, (piece, value) => void (entryIn(piece, id).turn = value));
}

function AppliedMeasures({ applied, parts }: { readonly applied: Applied; readonly parts: readonly string[] }) {
  const { id, shape, sizes, at, along, on, when } = applied;
  const session = useSession();
  const units = useUnits();
  const plan = usePlan();
  const isOnHoop = plan.parts.find((part) => part.id === on)!.mount === null;
  const size = (name: string) =>
    lengthField(`applied.${id}.${shape}.${name}`, units, (piece, value) => {
      Object.assign(entryIn(piece, id)[shape]!, { [name]: value });
    });
  const place = (i: 0 | 1) =>
    lengthField(`applied.${id}.at.${i}`, units, (piece, value) => {
      entryIn(piece, id).at = i === 0 ? [value, at[1]] : [at[0], value];
    });
  const alongField = lengthField(`applied.${id}.along`, units, (piece, value) => void (entryIn(piece, id).along = value));
  return (
    <div className="grid gap-x-3 wide:grid-cols-2">
      {SHAPES[shape].fields.map(([name, label]) => (
        <MeasureField key={name} field={size(name)} label={label} value={Number(sizes[name])} lights={`applied.${id}`} shape="compact" />
      ))}
      {isOnHoop ? (
        <MeasureField field={alongField} label={appliedListText.along} value={along} lights={`applied.${id}`} shape="compact" />
      ) : (
        ([0, 1] as const).map((i) => (
          <MeasureField
            key={i}
            field={place(i)}
            label={i === 0 ? appliedListText.right : appliedListText.up}
            value={at[i]}
            lights={`applied.${id}`}
            shape="compact"
          />
        ))
      )}
      {!applied.shaped.isRound && (
        <MeasureField field={turnOf(id)} label={appliedListText.turned} value={applied.turn} lights={`applied.${id}`} shape="compact" />
      )}
      {parts.length > 1 && (
        <div className="col-span-full">
          <ChoiceField
            label={appliedListText.on}
            value={on}
            options={parts.map((value) => ({ value, text: capital(namesIn(plan).part(value)) }))}
            onChoose={(next) => session.change((piece) => void (entryIn(piece, id).on = next))}
          />
        </div>
      )}
      {isOnHoop && (
        <div className="col-span-full">
          <ChoiceField
            label={appliedListText.when}
            value={when}
            options={[
              { value: "formed", text: appliedListText.formed },
              { value: "flat", text: appliedListText.flat },
            ]}
            onChoose={(next) => session.change((piece) => void (entryIn(piece, id).when = next))}
          />
        </div>
      )}
    </div>
  );
}
