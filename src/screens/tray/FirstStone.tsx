"use client";

import { useRouter } from "next/navigation";
import { type KeyboardEvent, useState } from "react";
import { boxOf } from "@/core/geometry/curve";
import { readLength } from "@/core/measure/reading";
import { type BenchEntry } from "@/core/piece/bench";
import { doubter } from "@/core/piece/doubt";
import { type FirstMeasures, UNMEASURED, newPiece } from "@/core/piece/new-piece";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { pieceFromJson } from "@/formats/piece-codec";
import { type Json } from "@/formats/read-json";
import { usePlans } from "@/ui/planner";
import { Millimetres, Shape } from "@/ui/Drawing";
import { StoneFill } from "@/ui/StoneFill";
import { useOpening } from "@/ui/opening";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { FIRST_NAME } from "@/words/piece-name";
import { lengthFaultMessage } from "@/words/faults";
import { type Units, lengthUnit } from "@/words/show";
import { FirstAnswer } from "./FirstAnswer";
import { commonText } from "@/words/common";
import { firstStoneText } from "@/words/screens/tray";

const FIELDS = [
  { name: "length", label: commonText.length, key: "m1.stone.outline.length" },
  { name: "width", label: commonText.width, key: "m1.stone.outline.width" },
  { name: "height", label: commonText.height, key: "m1.stone.height" },
  { name: "turnIn", label: firstStoneText.leansInAt, key: "m1.stone.turnIn" },
] as const;

type Texts = Readonly<Record<keyof FirstMeasures, string>>;

/** The empty tray: one empty place, and the four numbers a piece starts with. */
export function FirstStone({ onDemo }: { readonly onDemo: () => void }) {
  const tray = useTray();
  const router = useRouter();
  const bench = useTrayState((state) => state.bench);
  const units = useUnits();
  const { pick } = useOpening();
  const [texts, setTexts] = useState<Texts>({ length: "", width: "", height: "", turnIn: "" });
  const readings = FIELDS.map(({ name }) => readLength(texts[name], units.length));
  const first = firstPiece(texts, units, bench, (measures) => newPiece(tray.idFor("first-ring"), FIRST_NAME, bench, measures));
  const attempt = usePlans().now(first.piece, bench);
  const plan = attempt?.ok ? attempt.plan : null;
  const doubtOf = doubter({ unmeasured: [...first.missing, "hoop.size.value"], refused: [] });
  const isWhole = first.missing.length === 0 && !first.problem;
  const keep = async () => {
    if (!isWhole) return;
    const id = await tray.add(first.piece, ["hoop.size.value"]);
    router.push(`/pieces/${id}/stone`);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== "Enter") return;
    event.preventDefault();
    const inputs = [...document.querySelectorAll<HTMLInputElement>("[data-first]")];
    const next = inputs[inputs.indexOf(event.currentTarget) + 1];
    if (next) next.focus();
    else void keep();
  };
  return (
    <section
      aria-label={firstStoneText.start}
      className="border-b border-line bg-sheet bg-[linear-gradient(var(--color-paper)_1px,transparent_1px),linear-gradient(90deg,var(--color-paper)_1px,transparent_1px)] bg-[size:35px_35px] px-10 py-8 max-lg:px-3.5 max-lg:py-4"
    >
      <div className="flex flex-wrap gap-x-10 gap-y-3">
        <div className="min-w-0 flex-1">
          <h1 className="mb-1 text-2xl font-bold font-condensed">{firstStoneText.startWithYourStone}</h1>
          <p className="mb-4 max-w-183 text-sm leading-text text-soft">{firstStoneText.fourNumbersGiveYouEverything}</p>
          <div className="flex flex-wrap items-start gap-5">
            <Place plan={first.missing.some((key) => key.includes("outline")) ? null : plan} />
            {FIELDS.map(({ name, label }, i) => {
              const reading = readings[i]!;
              const isWrong = !reading.ok && reading.code !== "empty";
              return (
                <label key={name} className="block text-sm">
                  {label}
                  <span className={`entry mt-1 !w-32 ${isWrong ? "entry-wrong" : ""}`}>
                    <input
                      data-first={name}
                      value={texts[name]}
                      inputMode="decimal"
                      autoComplete="off"
                      aria-invalid={isWrong}
                      autoFocus={i === 0}
                      onChange={(event) => setTexts({ ...texts, [name]: event.target.value })}
                      onKeyDown={onKeyDown}
                    />
                    <span className="text-xs font-light text-soft">{lengthUnit(units)}</span>
                  </span>
                  {isWrong && <span className="mt-1 block text-xs text-bad">{firstStoneText.typeANumberEG}</span>}
                </label>
              );
            })}
          </div>
          <p aria-live="polite" className="mt-4 min-h-6 text-sm">
            {first.problem ? (
              <span className="text-bad">◆ {first.problem}</span>
            ) : isWhole ? (
              <button type="button" className="btn btn-main" onClick={() => void keep()}>
                {firstStoneText.putItOnTheTray}
              </button>
            ) : (
              <span className="text-soft">{firstStoneText.measureWithACaliperPress}</span>
            )}
          </p>
        </div>
        <div className="flex flex-col items-stretch gap-2 max-lg:w-full max-lg:flex-row max-lg:flex-wrap">
          <button type="button" className="btn justify-center" onClick={onDemo}>
            {firstStoneText.seeTheDemoPieces}
          </button>
          <button type="button" className="btn justify-center" onClick={pick}>
            {firstStoneText.openAFile}
          </button>
        </div>
      </div>
      {plan && <FirstAnswer plan={plan} units={units} doubtOf={doubtOf} />}
    </section>
  );
}

const PLACE = { width: 150, height: 116 } as const;

/** The empty place, until the stone can lie in it. */
function Place({ plan }: { readonly plan: Plan | null }) {
  const [x, y] = [PLACE.width / 2, PLACE.height / 2];
  const drawn = plan?.drawing.settings.m1?.plan;
  const box = drawn && boxOf(drawn.wallOutside);
  const reach = box ? Math.max(-box.left / x, box.right / x, -box.low / y, box.high / y) : 1;
  return (
    <svg {...PLACE} aria-hidden="true" className="mr-2">
      <StoneFill material="agate" id="first-stone" />
      <ellipse
        cx={x}
        cy={y}
        rx={66}
        ry={48}
        fill="var(--color-sheet)"
        stroke="var(--color-metal-mid)"
        strokeDasharray="5 4"
        strokeWidth={1.5}
      />
      {drawn ? (
        <Millimetres x={x} y={y} scale={{ times: 1, perMm: 0.84 / reach }}>
          <Shape curve={drawn.wallOutside} fill="var(--color-metal-lit)" stroke="var(--color-metal-mid)" />
          <Shape curve={drawn.stone} fill="url(#first-stone)" stroke="var(--color-shade)" />
        </Millimetres>
      ) : (
        <text x={x} y={y + 4} textAnchor="middle" fontSize={13} fill="var(--color-soft)">
          {firstStoneText.anEmptyPlace}
        </text>
      )}
    </svg>
  );
}

/** What the texts make of a piece: with the usual measures in the place of those that are missing, which are named; a problem where it cannot be a stone. */
function firstPiece(
  texts: Texts,
  units: Units,
  bench: BenchEntry,
  make: (measures: FirstMeasures) => Piece,
): { readonly piece: Piece; readonly missing: readonly string[]; readonly problem: string | null } {
  const read = (name: keyof FirstMeasures) => {
    const reading = readLength(texts[name], units.length);
    return reading.ok ? reading.value : null;
  };
  const given = { length: read("length"), width: read("width"), height: read("height"), turnIn: read("turnIn") };
  const length = given.length ?? given.width ?? UNMEASURED.length;
  const height = given.height ?? Math.max(UNMEASURED.height, 2 * (given.turnIn ?? 0));
  const measures = {
    length,
    width: given.width ?? Math.min(length, UNMEASURED.width),
    height,
    turnIn: given.turnIn ?? Math.min(UNMEASURED.turnIn, 0.4 * height),
  };
  const missing = FIELDS.flatMap(({ name, key }) => (given[name] === null ? [key] : []));
  const piece = make(measures);
  const decoded = pieceFromJson(piece as unknown as Json, bench);
  if (decoded.ok) return { piece, missing, problem: null };
  const [fault] = decoded.faults;
  const named = FIELDS.find(({ name }) => fault!.path.endsWith(`/${name}`));
  return {
    piece: make(UNMEASURED),
    missing: FIELDS.map(({ key }) => key),
    problem: `${named?.label ?? "One of these"} ${lengthFaultMessage(fault!, units)}`,
  };
}
