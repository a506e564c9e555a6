"use client";

import { useMemo, useRef, useState } from "react";
import { bestHeats } from "@/core/heats/best";
import { oneLine } from "@/core/measure/one-line";
import { type AskedReading } from "@/core/making/step";
import { mandrelOf, benchOf } from "@/core/piece/bench";
import { type Make, type Measured, inUse, pieceNow } from "@/core/piece/make";
import { scaleOf } from "@/core/piece/reading-scales";
import { sizePiece } from "@/core/piece/size-piece";
import { attemptPlan } from "@/formats/attempt";
import { type MakeEdit } from "@/store/make-edits";
import { type Instrument, standIn } from "@/ui/instruments";
import { type Keys, useKeys } from "@/ui/keys";
import { standInsOn } from "@/ui/stand-ins";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { faultMessage } from "@/words/faults";
import { ASKED, STANDS_IN, TEACHES } from "@/words/making";
import { ReadingField, type Taken } from "./ReadingField";
import { useMethods } from "./methods";

/** How far a usual maker's work lies from what was wanted (mm), and the caliper's last digit. */
const STAND_IN = { scatter: 0.12, ofStock: 0.01, step: 0.01 } as const;

interface Props {
  readonly asked: AskedReading;
  readonly make: Make;
  readonly isFirst: boolean;
  readonly onEdit: (edit: MakeEdit, field?: string) => Promise<boolean>;
  readonly onDone: () => void;
  readonly onBack: () => void;
  readonly onLeave: () => void;
  readonly keys: Keys;
}

/** A reading that a step asks for, how the maker worked, and the instrument that can send it. */
export function BenchReading({ asked, make, isFirst, onEdit, onDone, onBack, onLeave, keys }: Props) {
  const tray = useTray();
  const units = useUnits();
  const drafts = useTrayState((state) => state.drafts[make.piece]);
  const mine = useTrayState((state) => state.bench);
  const piece = pieceNow(make);
  const bench = benchOf(piece, mine);
  const { figure } = asked;
  const draft = useMemo(() => draftIn(drafts, figure), [drafts, figure]);
  const measured = useMemo(() => inUse(make.measured), [make.measured]);
  const last = measured.findLast((each) => each.figure === figure) ?? null;
  const before = useMemo(
    () =>
      sizePiece(
        piece,
        bench,
        measured.filter((each) => each.figure !== figure),
      ),
    [piece, bench, measured, figure],
  );
  const scale = useMemo(() => {
    const { contribution, settled } = before;
    return scaleOf({ piece, figures: contribution.figures, settled }, asked);
  }, [before, piece, asked]);
  const known = useMethods(asked.kind);
  const [method, setMethod] = useState<string | null>(null);
  const how = method ?? last?.method ?? known[0] ?? "";
  const count = measured.filter((each) => each.figure === figure).length;
  const wanted = scale?.wanted ?? before.contribution.parts.find(({ mount }) => mount === asked.mount)?.thickness ?? 1;
  const isSize = asked.kind === "size";
  const instrument = useMemo(
    () =>
      standIn(isSize ? "mandrel" : "caliper", isSize ? "Mandrel" : "Caliper", {
        ...STAND_IN,
        ...{ wanted, scatter: scale ? STAND_IN.scatter : STAND_IN.ofStock, seed: `${make.id} ${figure} ${count}` },
      }),
    [isSize, wanted, scale, make.id, figure, count],
  );
  /** Counts entries of the field: what is typed in one is one step of undo. */
  const entry = useRef(0);
  const [isOffered] = useState(() => !instrument.isStandIn || standInsOn());
  useKeys(isFirst && isOffered ? { c: () => instrument.press() } : NO_KEYS);
  const take = (value: number, by: Measured["by"], inPlaceOf: number | null, isMadeUp: boolean): Taken => {
    const reading: Measured = {
      ...{ figure, value, at: new Date().toISOString(), by },
      ...(TEACHES.has(asked.kind) && how.trim() !== "" && { method: how.trim().slice(0, 60) }),
      ...(isMadeUp && { madeUp: true }),
    };
    const attempt = attemptPlan(piece, bench, (assembly, wishes) => bestHeats(assembly, wishes, () => true), [...measured, reading]);
    if (!attempt.ok) return { problem: faultMessage(attempt.faults[0]!) };
    if (inPlaceOf === null) entry.current++;
    const replaced = measured.filter((each) => each === last && each.value === inPlaceOf);
    const edit = { put: { measured: [reading] }, ...(replaced.length > 0 && { drop: { measured: replaced } }) };
    return { kept: onEdit(edit, `reading ${figure} ${entry.current}`) };
  };
  const draftKey = (asSize: boolean) => (asSize ? `${figure} size` : figure);
  const { carrier } = piece;
  return (
    <>
      <ReadingField
        asked={asked}
        last={last}
        scale={scale}
        wanted={wanted}
        draft={draft}
        onDraft={(text, asSize) => tray.setDraft(make.piece, draftKey(asSize), text)}
        onKept={(text, asSize) => tray.dropDraft(make.piece, draftKey(asSize), text)}
        units={units}
        system={asked.kind === "size" && carrier.type === "hoop" ? carrier.size.system : null}
        mandrel={mandrelOf(bench)}
        instrument={instrument}
        isFirst={isFirst}
        onDone={onDone}
        onBack={onBack}
        onLeave={onLeave}
        keys={isOffered ? { ...keys, c: () => instrument.press() } : keys}
        onTake={take}
      />
      <div className="-mt-2 mb-5 flex flex-wrap items-center gap-2 text-[15px] text-night-soft">
        {isOffered && <StandIn instrument={instrument} hasKey={isFirst} />}
        {TEACHES.has(asked.kind) && (
          <label className="flex min-h-[44px] min-w-[200px] flex-1 items-center gap-2">
            <span className="shrink-0">Worked by</span>
            <input
              value={how}
              list={`methods-${asked.kind}`}
              maxLength={60}
              placeholder="file, saw"
              aria-label={`${ASKED[asked.kind]}: worked by`}
              onChange={(event) => setMethod(oneLine(event.target.value))}
              onBlur={() => {
                if (method === null || last === null || method.trim() === (last.method ?? "")) return;
                const { method: _old, ...rest } = last;
                void onEdit({
                  drop: { measured: [last] },
                  put: { measured: [{ ...rest, ...(method.trim() !== "" && { method: method.trim() }) }] },
                });
              }}
              className="min-h-[44px] w-[110px] min-w-0 flex-1 rounded-[6px] border border-night-edge bg-transparent px-2.5 text-[16px] text-night-ink"
            />
            <datalist id={`methods-${asked.kind}`}>
              {known.map((each) => (
                <option key={each} value={each} />
              ))}
            </datalist>
          </label>
        )}
      </div>
    </>
  );
}

/** What was typed of a reading and not taken: as a size, or as it measures. */
function draftIn(drafts: Readonly<Record<string, string>> | undefined, figure: string) {
  const [size, plain] = [drafts?.[`${figure} size`], drafts?.[figure]];
  if (size !== undefined) return { text: size, isSize: true };
  return plain === undefined ? null : { text: plain, isSize: false };
}

const NO_KEYS = {};

/** The instrument's button; one that stands in for a real one says so. */
function StandIn({ instrument, hasKey }: { readonly instrument: Instrument; readonly hasKey: boolean }) {
  return (
    <button type="button" className="night-btn !min-h-[46px] !text-[16px]" onClick={() => instrument.press()}>
      {hasKey && <kbd className="night-key">C</kbd>}
      Read {instrument.name.toLowerCase()}
      {instrument.isStandIn && <small className="text-[14px] text-night-soft">{STANDS_IN}</small>}
    </button>
  );
}
