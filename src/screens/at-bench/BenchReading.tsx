"use client";

import { useMemo, useRef, useState } from "react";
import { bestHeats } from "@/core/heats/best";
import { type Extents, type HowRead, READ_STRAIGHT, extentsOf, lengthByExtents, lengthReading } from "@/core/mount/closed-length";
import { toMicron } from "@/core/measure/micron";
import { type AskedReading } from "@/core/making/step";
import { mandrelOf, benchOf } from "@/core/piece/bench";
import { type Make, type Measured, inUse, pieceNow } from "@/core/piece/make";
import { type ReadingScale, scaleOf, scaleRead } from "@/core/piece/reading-scales";
import { type SizedPiece, sizePiece } from "@/core/piece/size-piece";
import { outlineOf } from "@/core/stone/stone";
import { attemptPlan } from "@/formats/attempt";
import { type MakeEdit } from "@/store/make-edits";
import { type Instrument, standIn } from "@/ui/instruments";
import { type Keys, useKeys } from "@/ui/keys";
import { standInsOn } from "@/ui/stand-ins";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { lengthFaultMessage } from "@/words/faults";
import { TEACHES } from "@/words/making";
import { MethodField } from "./MethodField";
import { OutsideSizes } from "./OutsideSizes";
import { ReadingField, type Taken } from "./ReadingField";
import { StandIn } from "./StandIn";
import { WaysToRead } from "./WaysToRead";
import { useLastHow, useMethods } from "./methods";
import { benchReadingText } from "@/words/screens/at-bench";

/** How far a usual maker's work lies from what was wanted (mm), and the caliper's last digit. */
const STAND_IN = { scatter: 0.12, ofStock: 0.01, step: 0.01 } as const;
/** A pair of sizes that is corrected within so long is one reading (ms). */
const ONE_PAIR = 60_000;

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
  const strip = useMemo(() => stripIn(before, asked), [before, asked]);
  const ways = waysIn(strip);
  const lastHow = useLastHow();
  const [chosenHow, chooseHow] = useState<HowRead | null>(() => draftedHow(drafts, figure));
  const how = ways.find((way) => way === (chosenHow ?? last?.how ?? lastHow)) ?? ways[0] ?? null;
  const read = last && (last.how ?? null) === how ? last : null;
  const length = useMemo(() => {
    const { contribution, settled } = before;
    return scaleOf({ piece, figures: contribution.figures, settled }, asked, how);
  }, [before, piece, asked, how]);
  const reading = useMemo(
    () => (how === null || how === "extents" || !strip ? READ_STRAIGHT : lengthReading(how, strip.thickness)),
    [how, strip],
  );
  const scale = useMemo(() => length && scaleRead(length, reading), [length, reading]);

  const known = useMethods(asked.kind);
  const [typed, setTyped] = useState<string | null>(null);
  const method = typed ?? last?.method ?? known[0] ?? "";
  const isTaught = TEACHES.has(asked.kind);
  const count = measured.filter((each) => each.figure === figure).length;
  const wanted = scale?.wanted ?? asked.planned ?? 0;
  const isInside = asked.kind === "size" || how === "rounded";
  const seed = `${make.id} ${figure} ${count}`;
  const instrument = useInstrument(isInside, wanted, scale, seed);
  const planned: Extents = strip ? extentsOf(strip.outline, strip) : NO_SIZES;
  const along = useInstrument(false, planned[0], scale, `${seed} along`);
  const across = useInstrument(false, planned[1], scale, `${seed} across`);
  const [isOn] = useState(() => !instrument.isStandIn || standInsOn());
  /** A paper tape sends nothing. */
  const isOffered = isOn && how !== "tape" && asked.kind !== "stone-tape";
  const press = () => {
    if (how !== "extents") return instrument.press();
    along.press();
    across.press();
  };
  useKeys(isFirst && isOffered ? { c: press } : NO_KEYS);

  /** Counts entries of the field: what is typed in one is one step of undo. */
  const entry = useRef(0);
  const take = (found: Pick<Measured, "value" | "extents">, by: Measured["by"], replaced: Measured | null, isMadeUp: boolean): Taken => {
    const value = toMicron(found.value);
    const reading: Measured = {
      ...{ figure, value, at: new Date().toISOString(), by },
      ...(how !== null && { how }),
      ...(found.extents && { extents: found.extents }),
      ...(isTaught && method.trim() !== "" && { method: method.trim().slice(0, 60) }),
      ...(isMadeUp && { madeUp: true }),
    };
    const attempt = attemptPlan(piece, bench, (assembly, wishes) => bestHeats(assembly, wishes, () => true), [...measured, reading]);
    if (!attempt.ok) return { problem: lengthFaultMessage(attempt.faults[0]!, units) };
    if (!replaced) entry.current++;
    const edit = { put: { measured: [reading] }, ...(replaced && { drop: { measured: [replaced] } }) };
    return { kept: onEdit(edit, `reading ${figure} ${entry.current}`) };
  };
  const { lengthOf, readingOf } = reading;
  const takeOne = (value: number, by: Measured["by"], inPlaceOf: number | null, isMadeUp: boolean) => {
    const isSame = inPlaceOf !== null && last !== null && last.value === toMicron(lengthOf(inPlaceOf));
    return take({ value: lengthOf(value) }, by, isSame ? last : null, isMadeUp);
  };
  const takePair = (extents: Extents, by: Measured["by"], isMadeUp: boolean): Taken => {
    const value = strip && lengthByExtents(strip.outline, strip, extents);
    if (!value) return { problem: benchReadingText.theseSizesLeaveNoRoom };
    const isSame = read !== null && isWithin(read.at, ONE_PAIR);
    return take({ value, extents }, by, isSame ? read : null, isMadeUp);
  };
  const key = (field: string) => (field === "" ? figure : `${figure} ${field}`);
  const drafting = (field: string) => ({
    onDraft: (text: string | null) => tray.setDraft(make.piece, key(field), text),
    onKept: (text: string) => tray.dropDraft(make.piece, key(field), text),
  });
  const { carrier } = piece;
  /** What is only read off, and not worked to, needs no scale and no steps. */
  const isCompact = asked.planned !== undefined;
  const given = { asked, units, isFirst, onDone, onBack, onLeave, keys: isOffered ? { ...keys, c: press } : keys };
  return (
    <>
      {how !== null && <WaysToRead ways={ways} how={how} onChoose={chooseHow} />}
      {how === "extents" ? (
        <OutsideSizes
          {...given}
          scale={length}
          last={read}
          planned={planned}
          instruments={[along, across]}
          draftOf={(i) => draftIn(drafts, key(SIDES[i]!))}
          onDraft={(i, text) => drafting(SIDES[i]!).onDraft(text)}
          onKept={(i, text) => drafting(SIDES[i]!).onKept(text)}
          onTake={takePair}
        />
      ) : (
        <ReadingField
          key={how}
          {...given}
          last={read && { ...read, value: readingOf(read.value) }}
          scale={scale}
          reading={reading}
          wanted={wanted}
          draft={draftIn(drafts, key(how ?? ""))}
          onDraft={(text, asSize) => drafting(asSize ? SIZE : (how ?? "")).onDraft(text)}
          onKept={(text, asSize) => drafting(asSize ? SIZE : (how ?? "")).onKept(text)}
          system={asked.kind === "size" && carrier.type === "hoop" ? carrier.size.system : null}
          mandrel={mandrelOf(bench)}
          instrument={isOffered ? instrument : null}
          onTake={takeOne}
          isCompact={isCompact}
          beside={isOffered && <StandIn instrument={instrument} onPress={press} hasKey={isFirst} isStacked />}
        />
      )}
      <div className="-mt-2 mb-5 flex flex-wrap items-center gap-2 text-base text-night-soft empty:hidden">
        {isOffered && !isCompact && <StandIn instrument={how === "extents" ? along : instrument} onPress={press} hasKey={isFirst} />}
        {isTaught && (
          <MethodField
            asked={asked}
            value={method}
            known={known}
            onType={setTyped}
            onLeave={() => {
              if (typed === null || last === null || typed.trim() === (last.method ?? "")) return;
              const { method: _old, ...rest } = last;
              void onEdit({
                drop: { measured: [last] },
                put: { measured: [{ ...rest, ...(typed.trim() !== "" && { method: typed.trim() }) }] },
              });
            }}
          />
        )}
      </div>
    </>
  );
}

/** The strip of the setting's wall, with the outline that it stands round; null where what is read is no closed bezel. */
function stripIn({ piece, settled }: SizedPiece, { kind, mount }: AskedReading) {
  const of = kind === "wall-closed" ? piece.mounts.find(({ id }) => id === mount) : undefined;
  if (!of) return null;
  const { fit, thickness } = settled.mounts[of.id]!.wall;
  return { outline: outlineOf(of.stone).outline, fit: fit.value, thickness };
}

/** One with corners is not rounded up: they would be lost. */
function waysIn(strip: ReturnType<typeof stripIn>): readonly HowRead[] {
  if (!strip) return [];
  return strip.outline.corners.length > 0 ? ["tape", "extents"] : ["tape", "extents", "rounded"];
}

function useInstrument(isInside: boolean, wanted: number, scale: ReadingScale | null, seed: string): Instrument {
  return useMemo(
    () =>
      standIn(isInside ? "mandrel" : "caliper", isInside ? benchReadingText.mandrel : benchReadingText.caliper, {
        ...STAND_IN,
        ...{ wanted, scatter: scale ? STAND_IN.scatter : STAND_IN.ofStock, seed },
      }),
    [isInside, wanted, scale, seed],
  );
}

/** What is typed of a reading, by the field's name behind the figure's. */
const SIZE = "size";
const SIDES = ["along", "across"] as const;
const FIELDS_OF: Readonly<Record<HowRead, readonly string[]>> = { tape: ["tape"], extents: SIDES, rounded: ["rounded"] };
const HOWS = Object.keys(FIELDS_OF) as HowRead[];

type Drafts = Readonly<Record<string, string>> | undefined;

/** The way in which something is half typed; null where nothing is. */
function draftedHow(drafts: Drafts, figure: string): HowRead | null {
  return HOWS.find((how) => FIELDS_OF[how].some((field) => drafts?.[`${figure} ${field}`] !== undefined)) ?? null;
}

/** What was typed of a reading and not taken: as a size, or as it measures. */
function draftIn(drafts: Drafts, key: string) {
  const [size, plain] = [drafts?.[`${key} ${SIZE}`], drafts?.[key]];
  if (size !== undefined) return { text: size, isSize: true };
  return plain === undefined ? null : { text: plain, isSize: false };
}

/** Whether a time lies no longer ago (ms). */
function isWithin(at: string, ms: number): boolean {
  return Date.now() - Date.parse(at) < ms;
}

const NO_SIZES: Extents = [0, 0];
const NO_KEYS = {};
