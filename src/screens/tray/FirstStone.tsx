"use client";

import { useRouter } from "next/navigation";
import { type KeyboardEvent, useState } from "react";
import { boxOf } from "@/core/geometry/curve";
import { figureOf } from "@/core/measure/figure";
import { readLength } from "@/core/measure/reading";
import { type BenchEntry } from "@/core/piece/bench";
import { type FirstMeasures, newPiece } from "@/core/piece/new-piece";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { pieceFromJson } from "@/formats/piece-codec";
import { type Json } from "@/formats/read-json";
import { planOf } from "@/ui/planner";
import { Millimetres, Shape } from "@/ui/Drawing";
import { StoneFill } from "@/ui/StoneFill";
import { useOpening } from "@/ui/opening";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { faultMessage } from "@/words/faults";
import { type Units, lengthUnit, showLength } from "@/words/show";

const FIELDS = [
  { name: "length", label: "Length" },
  { name: "width", label: "Width" },
  { name: "height", label: "Height" },
  { name: "turnIn", label: "Leans in at" },
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
  const first = firstPiece(texts, units, bench, (measures) => newPiece(tray.idFor("first-ring"), "First ring", bench, measures));
  const attempt = first.piece ? planOf(first.piece, bench) : null;
  const plan = attempt?.ok ? attempt.plan : null;
  const keep = async () => {
    if (!first.piece) return;
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
      aria-label="Start"
      className="grid grid-cols-[1fr_auto] gap-10 border-b border-line bg-sheet bg-[linear-gradient(#eef2f0_1px,transparent_1px),linear-gradient(90deg,#eef2f0_1px,transparent_1px)] bg-[size:35px_35px] px-10 py-8"
    >
      <div>
        <h1 className="mb-4 text-[22px] font-bold [font-stretch:92%]">Start with your stone</h1>
        <div className="flex flex-wrap items-start gap-5">
          <Place plan={plan} />
          {FIELDS.map(({ name, label }, i) => {
            const reading = readings[i]!;
            const isWrong = !reading.ok && reading.code !== "empty";
            return (
              <label key={name} className="block text-[13.5px]">
                {label}
                <span className={`entry mt-1 !w-[112px] ${isWrong ? "entry-wrong" : ""}`}>
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
                  <span className="text-[12px] font-[440] text-soft">{lengthUnit(units)}</span>
                </span>
                {isWrong && <span className="mt-1 block text-[12px] text-bad">◆ type a number, as 3.2</span>}
              </label>
            );
          })}
        </div>
        <div aria-live="polite" className="mt-5 min-h-[52px]">
          {first.problem && <p className="text-[13px] text-bad">◆ {first.problem}</p>}
          {plan && <FirstPlan plan={plan} units={units} onKeep={() => void keep()} />}
          {!plan && !first.problem && (
            <p className="text-[13px] text-soft">
              Four numbers, read with a caliper; Enter goes on. The plan stands here when the fourth is in.
            </p>
          )}
        </div>
      </div>
      <div className="flex flex-col items-stretch justify-center gap-2">
        <button type="button" className="btn justify-center" onClick={onDemo}>
          Look round the demo
        </button>
        <button type="button" className="btn justify-center" onClick={pick}>
          Open a file
        </button>
      </div>
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
      <ellipse cx={x} cy={y} rx={66} ry={48} fill="#f6f8f7" stroke="#8a9596" strokeDasharray="5 4" strokeWidth={1.5} />
      {drawn ? (
        <Millimetres x={x} y={y} scale={{ times: 1, perMm: 0.84 / reach }}>
          <Shape curve={drawn.wallOutside} fill="#dfe5e7" stroke="#8d989c" />
          <Shape curve={drawn.stone} fill="url(#first-stone)" stroke="#00000044" />
        </Millimetres>
      ) : (
        <text x={x} y={y + 4} textAnchor="middle" fontSize={12.5} fill="#566264">
          an empty place
        </text>
      )}
    </svg>
  );
}

function FirstPlan({ plan, units, onKeep }: { readonly plan: Plan; readonly units: Units; readonly onKeep: () => void }) {
  const value = (key: string) => figureOf(plan.figures, key).value;
  return (
    <div className="flex flex-wrap items-baseline gap-6">
      <p>
        <span className="mr-2 text-[12.5px] text-soft">Cut strip</span>
        <span className="big">{showLength(value("m1.wall.cutLength"), "strip", units)}</span>
        <span className="ml-1 text-[15px] text-soft">
          × {showLength(value("m1.wall.cutHeight"), "height", units)} {lengthUnit(units)}
        </span>
      </p>
      <p>
        <span className="mr-2 text-[12.5px] text-soft">plate</span>
        <span className="text-[20px] font-bold">
          {showLength(value("m1.plate.blankLength"), "blank", units)} × {showLength(value("m1.plate.blankWidth"), "blank", units)}
        </span>
      </p>
      <button type="button" className="btn btn-main" onClick={onKeep}>
        Lay it on the tray
      </button>
    </div>
  );
}

/** The piece that four texts make; nothing while one is missing, a problem where they cannot be a stone. */
function firstPiece(
  texts: Texts,
  units: Units,
  bench: BenchEntry,
  make: (measures: FirstMeasures) => Piece,
): { readonly piece: Piece | null; readonly problem: string | null } {
  const read = (name: keyof FirstMeasures) => {
    const reading = readLength(texts[name], units.length);
    return reading.ok ? reading.value : null;
  };
  const [length, width, height, turnIn] = [read("length"), read("width"), read("height"), read("turnIn")];
  if (length === null || width === null || height === null || turnIn === null) return { piece: null, problem: null };
  const piece = make({ length, width, height, turnIn });
  const decoded = pieceFromJson(piece as unknown as Json, bench);
  if (decoded.ok) return { piece, problem: null };
  const [fault] = decoded.faults;
  const named = FIELDS.find(({ name }) => fault!.path.endsWith(`/${name}`));
  return { piece: null, problem: `${named?.label ?? "One of these"} ${faultMessage(fault!)}` };
}
