"use client";

import { FileInput, Flame, Gem, QrCode } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { type KeyboardEvent, useState } from "react";
import { type Example } from "@demo/examples";
import { readLength } from "@/core/measure/reading";
import { type BenchEntry } from "@/core/piece/bench";
import { doubter } from "@/core/piece/doubt";
import { type FirstMeasures, UNMEASURED, newPiece } from "@/core/piece/new-piece";
import { type Piece } from "@/core/piece/piece";
import { pieceFromJson } from "@/formats/piece-codec";
import { type Json } from "@/formats/read-json";
import { usePlans } from "@/ui/planner";
import { CaliperDrawing } from "@/ui/pictures/CaliperDrawing";
import { useCodes } from "@/ui/codes/codes";
import { useOpening } from "@/ui/opening";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { FIRST_NAME } from "@/words/piece-name";
import { lengthFaultMessage } from "@/words/faults";
import { type Units, lengthUnit } from "@/words/show";
import { Examples } from "./Examples";
import { FirstAnswer } from "./FirstAnswer";
import { commonText } from "@/words/common";
import { codesText } from "@/words/ui";
import { firstStoneText } from "@/words/screens/tray";

const FIELDS = [
  { name: "length", label: commonText.length, how: firstStoneText.howLength, key: "m1.stone.outline.length" },
  { name: "width", label: commonText.width, how: firstStoneText.howWidth, key: "m1.stone.outline.width" },
  { name: "height", label: commonText.height, how: firstStoneText.howHeight, key: "m1.stone.height" },
  { name: "turnIn", label: firstStoneText.leansInAt, how: firstStoneText.howLeansIn, key: "m1.stone.turnIn" },
] as const;

type Texts = Readonly<Record<keyof FirstMeasures, string>>;

interface Props {
  readonly onDemo: () => void;
  readonly onExample: (example: Example) => void;
}

/** The empty tray: the four numbers a piece starts with, each with how it is measured, and other ways to begin. */
export function FirstStone({ onDemo, onExample }: Props) {
  const tray = useTray();
  const router = useRouter();
  const bench = useTrayState((state) => state.bench);
  const units = useUnits();
  const { pick } = useOpening();
  const { read } = useCodes();
  /** The measure that is being taken. */
  const [here, turn] = useState<keyof FirstMeasures>("length");
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
      className="border-b border-line bg-sheet bg-[linear-gradient(var(--color-paper)_1px,transparent_1px),linear-gradient(90deg,var(--color-paper)_1px,transparent_1px)] bg-[size:35px_35px] px-7 py-5 max-lg:px-3.5 max-lg:py-4"
    >
      <h1 className="text-2xl font-bold font-condensed">{firstStoneText.startWithYourStone}</h1>
      <p className="mb-3 max-w-183 text-sm leading-text text-soft">{firstStoneText.fourNumbersGiveYouEverything}</p>
      <p className="mb-2 sm:hidden">
        <UnitSwitch />
      </p>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <div className="flex min-w-0 flex-1 items-stretch gap-3 max-lg:basis-full max-lg:flex-wrap">
          {FIELDS.map(({ name, label, how }, i) => {
            const reading = readings[i]!;
            const isWrong = !reading.ok && reading.code !== "empty";
            const isHere = name === here;
            return (
              <div
                key={name}
                className={`min-w-0 rounded-lg border bg-sheet p-3 ${isHere ? "flex-[2.6] border-accent shadow-ring max-lg:order-first max-lg:basis-full" : "flex-1 border-line"}`}
              >
                <div className={`${isHere ? "lg:flex lg:gap-4" : ""}`}>
                  <div className={`h-36 min-w-0 flex-1 ${isHere ? "" : "max-lg:hidden"}`}>
                    <CaliperDrawing measure={name} />
                  </div>
                  {isHere && <p className="text-sm leading-text lg:flex-1 lg:self-center">{how}</p>}
                </div>
                <label className="mt-1 block text-sm font-strong">
                  {label} {reading.ok && <span className="text-ok">✓</span>}
                  <span className={`entry mt-1 ${isWrong ? "entry-wrong" : ""}`}>
                    <input
                      data-first={name}
                      value={texts[name]}
                      inputMode="decimal"
                      autoComplete="off"
                      aria-invalid={isWrong}
                      autoFocus={i === 0}
                      onFocus={() => turn(name)}
                      onChange={(event) => setTexts({ ...texts, [name]: event.target.value })}
                      onKeyDown={onKeyDown}
                    />
                    <span className="text-xs font-light text-soft">{lengthUnit(units)}</span>
                  </span>
                </label>
                {isWrong && <p className="mt-1 text-xs text-bad">{firstStoneText.typeANumberEG}</p>}
              </div>
            );
          })}
        </div>
        <div className="w-51.5 max-lg:w-full">
          <h2 className="section-head">{firstStoneText.otherWays}</h2>
          <div className="flex flex-col gap-2 max-lg:flex-row max-lg:flex-wrap">
            <button type="button" className="btn h-auto min-h-touch justify-start" onClick={pick}>
              <FileInput size={18} aria-hidden="true" /> {firstStoneText.openAFile}
            </button>
            <button type="button" className="btn h-auto min-h-touch justify-start" onClick={read}>
              <QrCode size={18} aria-hidden="true" /> {codesText.readCodes}
            </button>
            <button type="button" className="btn h-auto min-h-touch justify-start" onClick={onDemo}>
              <Gem size={18} aria-hidden="true" /> {firstStoneText.seeTheDemoPieces}
            </button>
            <Link href="/practice?lesson=flux" className="btn h-auto min-h-touch justify-start">
              <Flame size={18} aria-hidden="true" /> {firstStoneText.practise}
            </Link>
          </div>
        </div>
      </div>
      <p aria-live="polite" className="mt-3 min-h-6 text-sm">
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
      {plan && <FirstAnswer plan={plan} units={units} doubtOf={doubtOf} />}
      <h2 className="section-head mt-5">{firstStoneText.orOpenAWorkedExample}</h2>
      <Examples bench={bench} onExample={onExample} />
    </section>
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
