"use client";

import { Camera, X } from "lucide-react";
import { type ReactNode, useEffect, useId, useMemo, useRef, useState } from "react";
import { type Make, type Measured } from "@/core/piece/make";
import { standIn } from "@/ui/instruments";
import { useNotices } from "@/ui/notices";
import { smallJpeg } from "@/ui/small-jpeg";
import { useTray } from "@/ui/tray";

/** Pictures of one making. */
const MOST_PHOTOS = 4;

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
  const set = (values: Parameters<typeof tray.setMake>[1], field: string | null) =>
    void tray.setMake(make, values, field).then((isKept) => !isKept && warn("That is not kept."));
  const addPhoto = async (file: File | undefined) => {
    if (!file) return;
    const jpeg = await smallJpeg(file);
    if (jpeg === null) return warn(`${file.name} is not a picture that can be read.`);
    const photo = { name: file.name.slice(0, 120), at: new Date().toISOString(), jpeg };
    if (!(await tray.editMake(make, { put: { photos: [photo] } }))) warn("That picture is not kept.");
  };
  return (
    <section aria-label="Result" className="flex flex-col gap-4">
      {system !== null && (
        <Field
          label={`Size it came to, ${system}`}
          value={result.size ?? ""}
          onChange={(text) => set({ size: text === "" ? null : text.slice(0, 24) }, "size")}
        >
          {result.size === undefined && size !== "" && (
            <button type="button" className="night-btn !min-h-[46px] !text-[16px]" onClick={() => set({ size }, null)}>
              It read {size}
            </button>
          )}
        </Field>
      )}
      <Weight make={make} planned={weight} />
      <Minutes make={make} onSet={(minutes) => set({ minutes }, "minutes")} />
      <Field
        label="What you would tell the next one"
        value={result.words ?? ""}
        isLong
        onChange={(text) => set({ words: text === "" ? null : text.slice(0, 2000) }, "words")}
      />
      <div>
        <p className="mb-1.5 text-[15px] text-night-soft">Pictures, two or so</p>
        <div className="flex flex-wrap gap-2">
          {photos.map((photo) => (
            <figure key={photo.at} className="relative">
              {/* eslint-disable-next-line @next/next/no-img-element -- a picture of this device's own, in the page already */}
              <img
                src={`data:image/jpeg;base64,${photo.jpeg}`}
                alt={photo.name}
                className="h-[92px] rounded-[6px] border border-night-edge"
              />
              <button
                type="button"
                aria-label={`Take ${photo.name} away`}
                className="night-btn absolute top-0 right-0 !min-h-[44px] !px-3"
                onClick={() => void tray.editMake(make, { drop: { photos: [photo] } })}
              >
                <X size={16} aria-hidden="true" />
              </button>
            </figure>
          ))}
          {photos.length < MOST_PHOTOS && (
            <button type="button" className="night-btn !min-h-[92px]" onClick={() => pick.current?.click()}>
              <Camera aria-hidden="true" /> Add a picture
            </button>
          )}
        </div>
        <input
          ref={pick}
          type="file"
          accept="image/*"
          aria-label="Picture of the piece"
          className="hidden"
          onChange={(event) => {
            void addPhoto(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
      </div>
      <button type="button" className="night-btn night-go" onClick={onFinish}>
        Put it in the ledger
      </button>
    </section>
  );
}

const MASS = "piece.mass";
/** How far a usual maker's piece weighs from its plan, as a share of it, and the scale's last digit (g). */
const SCALE = { scatter: 0.03, step: 0.01 } as const;

/** What it weighs, typed or sent by the scale, beside what it should. */
function Weight({ make, planned }: { readonly make: Make; readonly planned: number }) {
  const tray = useTray();
  const [text, setText] = useState<string | null>(null);
  const last = make.measured.findLast(({ figure }) => figure === MASS);
  const scale = useMemo(
    () => standIn("scale", "Scale", { ...SCALE, wanted: planned, scatter: SCALE.scatter * planned, seed: `${make.id} ${MASS}` }),
    [make.id, planned],
  );
  const take = (value: number, by: Measured["by"]) =>
    void tray.editMake(make, {
      ...(last && { drop: { measured: [last] } }),
      put: { measured: [{ figure: MASS, value, at: new Date().toISOString(), by }] },
    });
  const hear = useRef<(grams: number) => void>(() => undefined);
  useEffect(() => {
    hear.current = (grams) => {
      setText(null);
      take(grams, scale.by);
    };
  });
  useEffect(() => scale.onReading((grams) => hear.current(grams)), [scale]);
  const typed = text ?? (last ? last.value.toFixed(2) : "");
  return (
    <Field
      label={`What its metal weighs, in g; planned ${planned.toFixed(2)}`}
      value={typed}
      problem={typed === "" || readAmount(typed) ? null : `"${typed}" is no weight: type grams, as 3.8`}
      onChange={(next) => {
        setText(next);
        const value = readAmount(next);
        if (value) take(value, "typed");
      }}
    >
      <button type="button" className="night-btn !min-h-[46px] !text-[16px]" onClick={() => scale.press()}>
        Read scale <small className="text-[14px] text-night-soft">a stand-in</small>
      </button>
    </Field>
  );
}

/** A number from nothing to the most that a making holds, as it is typed; null where it is none. */
function readAmount(text: string): number | null {
  const value = Number(text.replace(",", "."));
  return text.trim() !== "" && Number.isFinite(value) && value >= 0 && value <= MOST ? value : null;
}

const MOST = 100_000;

function Minutes({ make, onSet }: { readonly make: Make; readonly onSet: (minutes: number | null) => void }) {
  const [text, setText] = useState<string | null>(null);
  const minutes = make.result?.minutes;
  const typed = text ?? (minutes === undefined ? "" : String(minutes));
  const problem = typed === "" || readAmount(typed) !== null ? null : `"${typed}" is no time: type minutes, as 95`;
  return (
    <Field
      label="Minutes at the bench"
      value={typed}
      problem={problem}
      onChange={(next) => {
        setText(next);
        if (next === "") onSet(null);
        else if (readAmount(next) !== null) onSet(readAmount(next));
      }}
    />
  );
}

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly isLong?: boolean;
  readonly problem?: string | null;
  readonly children?: ReactNode;
}

function Field({ label, value, onChange, isLong = false, problem = null, children }: FieldProps) {
  const id = useId();
  const look =
    "w-full min-w-0 flex-1 rounded-[8px] border-2 border-night-edge bg-transparent px-3.5 py-2 text-[20px] outline-none focus:border-glow";
  return (
    <div>
      <label htmlFor={id} className="mb-1.5 block text-[15px] text-night-soft">
        {label}
      </label>
      <div className="flex flex-wrap gap-2">
        {isLong ? (
          <textarea id={id} rows={2} value={value} onChange={(event) => onChange(event.target.value)} className={look} />
        ) : (
          <input
            id={id}
            value={value}
            autoComplete="off"
            onChange={(event) => onChange(event.target.value)}
            aria-invalid={problem !== null}
            className={look}
          />
        )}
        {children}
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-[16px] text-night-warn">
          ◆ {problem}.
        </p>
      )}
    </div>
  );
}
