"use client";

import { Camera, X } from "lucide-react";
import { type ReactNode, useEffect, useId, useMemo, useRef, useState } from "react";
import { oneLine } from "@/core/measure/one-line";
import { MASS_FIGURE, type Make, type Measured } from "@/core/piece/make";
import { PAUSE } from "@/core/making/worked";
import { misreadOf } from "@/core/piece/misread";
import { readAmount } from "@/core/measure/reading";
import { type KeptEdit } from "@/store/makings";
import { useHalfTyped } from "@/ui/half-typed";
import { standIn } from "@/ui/instruments";
import { standInsOn } from "@/ui/stand-ins";
import { MADE_UP, STANDS_IN } from "@/words/making";
import { useNotices } from "@/ui/notices";
import { smallJpeg } from "@/ui/small-jpeg";
import { useTray } from "@/ui/tray";
import { WordsField } from "./WordsField";
import { useTaking } from "./taking";
import { minutesOf } from "./timed";
import { finishText } from "@/words/screens/at-bench";

/** Pictures of one making, and letters of its words. */
const MOST_PHOTOS = 4;
const MOST_WORDS = 2000;

interface Props {
  readonly make: Make;
  /** The size that was read last, as it is said; empty where none was. */
  readonly size: string;
  /** What the hoop's size is called; null where there is none. */
  readonly system: string | null;
  /** What its metal should weigh, in g. */
  readonly weight: number;
  readonly onFinish: () => void;
}

/** What came of a making: the size it reached, minutes, words and pictures. Everything is kept as it is typed. */
export function Finish({ make, size, system, weight, onFinish }: Props) {
  const tray = useTray();
  const { warn } = useNotices();
  const { result = {}, photos = [] } = make;
  const pick = useRef<HTMLInputElement>(null);
  const [beingKept, setBeingKept] = useState<readonly string[]>([]);
  const tell = (kept: KeptEdit) => {
    if (!kept.ok) return warn(`${kept.problem}.`);
    const { size: theirs = null, minutes } = kept.overruled;
    const other = theirs ?? minutes;
    if (other !== undefined && other !== null) warn(finishText.anotherWindowHadTypedThere(other));
  };
  const set = (values: Parameters<typeof tray.setMake>[1], field: string | null) => void tray.setMake(make, values, field).then(tell);
  const addPhoto = async (file: File | undefined) => {
    if (!file) return;
    const name = oneLine(file.name).slice(0, 120);
    setBeingKept((all) => [...all, name]);
    const small = await smallJpeg(file);
    if (small.ok) tell(await tray.editMake(make, { put: { photos: [{ name, at: new Date().toISOString(), jpeg: small.jpeg }] } }));
    else warn(`${name} ${small.problem}.`);
    setBeingKept((all) => all.toSpliced(all.indexOf(name), 1));
  };
  return (
    <section aria-label={finishText.result} className="flex flex-col gap-4">
      {system !== null && (
        <Field
          label={finishText.sizeReached(system)}
          value={result.size ?? ""}
          onChange={(text) => set({ size: text === "" ? null : oneLine(text).slice(0, 24) }, "size")}
        >
          {result.size === undefined && size !== "" && (
            <button type="button" className="night-btn !min-h-touch !text-lg" onClick={() => set({ size }, null)}>
              {finishText.useAsRead(size)}
            </button>
          )}
        </Field>
      )}
      <Weight make={make} planned={weight} />
      <Minutes make={make} onSet={(minutes) => set({ minutes }, "minutes")} />
      <WordsField
        label={finishText.noteForNextTime}
        value={result.words ?? ""}
        longest={MOST_WORDS}
        onChange={(text) => set({ words: text === "" ? null : text }, "words")}
      />
      <div>
        <p className="mb-1.5 text-base text-night-soft">{finishText.picturesUpTo(MOST_PHOTOS)}</p>
        <div className="flex flex-wrap gap-2">
          {photos.map((photo) => (
            <figure key={photo.at} className="relative">
              {/* eslint-disable-next-line @next/next/no-img-element -- a picture of this device's own, in the page already */}
              <img src={`data:image/jpeg;base64,${photo.jpeg}`} alt={photo.name} className="h-26.5 rounded-md border border-night-edge" />
              <button
                type="button"
                aria-label={finishText.remove(photo.name)}
                className="night-btn absolute top-0 right-0 !min-h-touch !px-3"
                onClick={() => void tray.editMake(make, { drop: { photos: [photo] } }).then(tell)}
              >
                <X size={16} aria-hidden="true" />
              </button>
            </figure>
          ))}
          {beingKept.map((name, i) => (
            <span key={`${name} ${i}`} role="status" className="grid h-26.5 w-26.5 place-items-center text-base text-night-soft">
              {finishText.keeping(name)}
            </span>
          ))}
          {photos.length + beingKept.length < MOST_PHOTOS && (
            <button type="button" className="night-btn !min-h-26.5" onClick={() => pick.current?.click()}>
              <Camera aria-hidden="true" /> {finishText.addAPicture}
            </button>
          )}
        </div>
        <input
          ref={pick}
          type="file"
          accept="image/*"
          aria-label={finishText.pictureOfThePiece}
          className="hidden"
          onChange={(event) => {
            void addPhoto(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
      </div>
      <button type="button" className="night-btn night-go" onClick={onFinish}>
        {finishText.enterItInTheLedger}
      </button>
    </section>
  );
}

/** How far a usual maker's piece weighs from its plan, as a share of it, and the scale's last digit (g). */
const SCALE = { scatter: 0.03, step: 0.01 } as const;

/** What it weighs, typed or sent by the scale, beside what it should. */
function Weight({ make, planned }: { readonly make: Make; readonly planned: number }) {
  const tray = useTray();
  const { warn } = useNotices();
  const [text, setText] = useHalfTyped(make.piece, MASS_FIGURE);
  const [doubt, setDoubt] = useState<number | null>(null);
  const last = make.measured.findLast(({ figure }) => figure === MASS_FIGURE);
  const scale = useMemo(
    () =>
      standIn("scale", finishText.scale, {
        ...SCALE,
        wanted: planned,
        scatter: SCALE.scatter * planned,
        seed: `${make.id} ${MASS_FIGURE}`,
      }),
    [make.id, planned],
  );
  const take = (value: number, by: Measured["by"], isMadeUp = false) => {
    setText(null);
    setDoubt(null);
    void tray
      .editMake(
        make,
        {
          ...(last && { drop: { measured: [last] } }),
          put: { measured: [{ figure: MASS_FIGURE, value, at: new Date().toISOString(), by, ...(isMadeUp && { madeUp: true }) }] },
        },
        MASS_FIGURE,
      )
      .then((kept) => !kept.ok && warn(`${kept.problem}.`));
  };
  /** Takes what is typed when the field is left, for half a number is another. Returns whether nothing is left to ask. */
  const takeTyped = (): boolean => {
    if (text === null || text === "") return true;
    const value = readAmount(text);
    if (value === null) return false;
    if (misreadOf(value, planned)) {
      setDoubt(value);
      return false;
    }
    take(value, "typed");
    return true;
  };
  useTaking(takeTyped);
  const [isOffered] = useState(() => !scale.isStandIn || standInsOn());
  const hear = useRef<(grams: number) => void>(() => undefined);
  useEffect(() => {
    hear.current = (grams) => take(grams, scale.by, scale.isStandIn);
  });
  useEffect(() => scale.onReading((grams) => hear.current(grams)), [scale]);
  const typed = text ?? (last ? last.value.toFixed(2) : "");
  return (
    <Field
      label={finishText.weightOfTheMetalIn(planned.toFixed(2))}
      value={typed}
      problem={typed === "" || readAmount(typed) !== null ? null : finishText.isNotAWeightType(typed)}
      onChange={(next) => {
        setDoubt(null);
        setText(next);
      }}
      onLeave={takeTyped}
    >
      {doubt !== null && (
        <span role="alert" className="flex w-full flex-wrap items-center gap-2 text-lg text-night-warn">
          {finishText.gWhereGIsPlanned(doubt, planned.toFixed(2))}
          <button type="button" className="night-btn !min-h-touch !text-lg" onClick={() => take(doubt, "typed")}>
            {finishText.keepG(doubt)}
          </button>
        </span>
      )}
      {isOffered && (
        <button type="button" className="night-btn !min-h-touch !text-lg" onClick={() => scale.press()}>
          {finishText.readScale} <small className="text-base text-night-soft">{STANDS_IN}</small>
        </button>
      )}
      {last?.madeUp && <span className="text-base text-night-soft">{MADE_UP}</span>}
    </Field>
  );
}

function Minutes({ make, onSet }: { readonly make: Make; readonly onSet: (minutes: number | null) => void }) {
  const [text, setText] = useHalfTyped(make.piece, "minutes");
  const minutes = make.result?.minutes;
  const typed = text ?? (minutes === undefined ? "" : String(minutes));
  const problem = typed === "" || readAmount(typed) !== null ? null : finishText.isNotATimeType(typed);
  useTaking(() => problem === null);
  const worked = minutesOf(make);
  return (
    <Field
      label={finishText.minutesAtTheBench(worked === null ? "" : finishText.byYourTicksPausesOver(worked, PAUSE))}
      value={typed}
      problem={problem}
      onChange={(next) => {
        const read = readAmount(next);
        setText(next === "" || read !== null ? null : next);
        if (next === "" || read !== null) onSet(read);
      }}
    />
  );
}

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onLeave?: () => void;
  readonly problem?: string | null;
  readonly children?: ReactNode;
}

function Field({ label, value, onChange, onLeave, problem = null, children }: FieldProps) {
  const id = useId();
  const look =
    "w-full min-w-0 flex-1 rounded-lg border-2 border-night-edge bg-transparent px-3.5 py-2 text-xl outline-none focus:border-glow";
  return (
    <div>
      <label htmlFor={id} className="mb-1.5 block text-base text-night-soft">
        {label}
      </label>
      <div className="flex flex-wrap gap-2">
        <input
          id={id}
          value={value}
          autoComplete="off"
          onChange={(event) => onChange(event.target.value)}
          onBlur={onLeave}
          aria-invalid={problem !== null}
          className={look}
        />
        {children}
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-lg text-night-warn">
          ◆ {problem}.
        </p>
      )}
    </div>
  );
}
