"use client";

import { Millimetres, Shape, scaleText } from "@/ui/Drawing";
import { StoneFill } from "@/ui/StoneFill";
import { type CautionCode } from "@/core/making/step";
import { type Level } from "@/core/measure/finding";
import { type Doubt, type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { around } from "@/ui/setting-layout";
import { cuttingList } from "@/core/heats/cutting";
import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { type Piece } from "@/core/piece/piece";
import { findingText } from "@/words/findings";
import { cardRows, cardSteps } from "@/words/card";
import { fullDayText } from "@/words/dates";
import { DOUBTS } from "@/words/doubt";
import { cutSolderText, sayTorch } from "@/words/torch";
import { ASKED } from "@/words/making";
import { flameName, namesIn, capital } from "@/words/names";
import { degrees, lengthUnit, showTemperature, type Units } from "@/words/show";
import { CAUTIONS, CAUTIONS_DEFER, STAGE_TITLES, copiesText, figureText } from "@/words/steps";
import { commonText } from "@/words/common";
import { cardPageText } from "@/words/screens/card";

/** What is printed of what there is to say; notes, of what another school would do, stay on the screen. */
const LEVELS: Readonly<Record<Level, string | null>> = { error: cardPageText.wrong, warning: cardPageText.takeCare, note: null };

interface PageProps {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
  readonly revision: number;
  /** ISO; empty where it is not known. */
  readonly changed: string;
  /** Whether it has a line for a name, and blanks for what is measured. */
  readonly isForClass?: boolean;
}

/** A card of more than so many steps, a finding counted as two, is set smaller: one page then holds it, or two that of a large piece. */
const LONG = 36;

/** A piece's card: all of it on one page, safe in grey; a large piece's on two. */
export function CardPage({ piece, plan, units, doubtOf, revision, changed, isForClass = false }: PageProps) {
  const cautions = cautionsOf(plan);
  const copies = copiesText(piece.copies);
  const lines = cardSteps(plan, units, doubtOf);
  const findings = plan.findings.filter(({ at, level }) => !doubtOf(at) && LEVELS[level] !== null);
  return (
    <article
      className={`card-page ${lines.length + 2 * findings.length > LONG ? "card-long" : ""}`}
      aria-label={cardPageText.cardOf(piece.name)}
    >
      <CardHead piece={piece} revision={revision} changed={changed} />
      {isForClass && <NameLine />}
      <div className="card-columns grid grid-cols-[1fr_76mm] gap-[5mm]">
        <table className="w-full">
          <tbody>
            {cardRows(piece, plan, units, doubtOf).map(({ label, text, sum, doubt }, i) => (
              <tr key={i} className="border-t border-print-line align-top">
                <th scope="row" className="w-[22mm] py-[0.8mm] text-left font-strong">
                  {label}
                </th>
                <td className="py-[0.8mm]">
                  {text}
                  {doubt && <b className="block card-fine">○ {doubt}</b>}
                  {sum && <span className="block card-fine text-print-ink">{sum}</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <div className="flex flex-wrap content-start justify-center gap-[4mm]">
          {piece.mounts.map(({ id }) => (
            <CardDrawing
              key={id}
              plan={plan}
              mount={id}
              isOnly={piece.mounts.length === 1}
              doubt={doubtAmong(
                ["stone", "wall", "plate"].map((name) => `${id}.${name}`),
                doubtOf,
              )}
            />
          ))}
        </div>
      </div>
      <CardHeats plan={plan} copies={piece.copies ?? 1} units={units} doubtOf={doubtOf} />
      {findings.map((finding, i) => (
        <p key={i} className="mt-[1mm]">
          <b>{LEVELS[finding.level]}.</b> {findingText(finding, plan, units)}
        </p>
      ))}
      <h2>
        {cardPageText.making}
        {copies && <span className="font-normal">. {copies}</span>}
      </h2>
      <ol className="columns-2 gap-[5mm]">
        {lines.map(({ numbers, title, cautions: at }) => (
          <li key={numbers} className="flex gap-[1.4mm] break-inside-avoid py-[0.25mm]">
            <span className="mt-[0.5mm] inline-block h-[2.6mm] w-[2.6mm] shrink-0 border border-print-ink" aria-hidden="true" />
            <span>
              {numbers} {title}
              {at.length > 0 && <span className="text-print-ink"> ◆ {at.map((caution) => cautions.indexOf(caution) + 1).join(" ")}</span>}
            </span>
          </li>
        ))}
      </ol>
      {piece.notes && (
        <p className="mt-[2mm]">
          <b>{cardPageText.notes}</b> {piece.notes}
        </p>
      )}
      {isForClass && <Blanks plan={plan} units={units} doubtOf={doubtOf} />}
      <CardCautions cautions={cautions} />
    </article>
  );
}

function NameLine() {
  return (
    <p className="mb-[2mm] flex items-end gap-[2mm]">
      {commonText.name} <span className="inline-block h-[6mm] w-[70mm] border-b border-print-ink" /> {cardPageText.date}{" "}
      <span className="inline-block h-[6mm] w-[35mm] border-b border-print-ink" />
    </p>
  );
}

/** What is read off the metal on the way, each with what is wanted and a blank to write in. */
function Blanks({ plan, units, doubtOf }: { readonly plan: Plan; readonly units: Units; readonly doubtOf: DoubtOf }) {
  const asked = plan.steps.flatMap((step) => step.reads.map((read) => ({ step, read })));
  if (asked.length === 0) return null;
  return (
    <section aria-label={commonText.measured}>
      <h2>{commonText.measured}</h2>
      <ul className="columns-2 gap-[5mm]">
        {asked.map(({ step, read }) => {
          const figure = plan.figures[read.figure];
          const wanted = figure && !doubtOf(read.figure) ? cardPageText.wanted(figureText(read.figure, figure, units)) : "";
          return (
            <li key={`${step.id} ${read.figure}`} className="flex items-end gap-[1.5mm] break-inside-avoid py-[0.6mm]">
              <span className="min-w-0 flex-1">
                {STAGE_TITLES[step.stage]}: {ASKED[read.kind].toLowerCase()}
                {wanted}
              </span>
              <span className="inline-block h-[4.5mm] w-[16mm] border-b border-print-ink" /> {lengthUnit(units)}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function CardHead({ piece, revision, changed }: { readonly piece: Piece; readonly revision: number; readonly changed: string }) {
  return (
    <header className="mb-[2mm] flex items-baseline justify-between border-b-2 border-ink pb-[1mm]">
      <h1>{piece.name}</h1>
      <p>{cardPageText.revision(fullDayText(changed), revision)}</p>
    </header>
  );
}

const CARD_TIMES = [3, 2.5, 2, 1.5] as const;
/** Of the only setting, and of one of several, two side by side. */
const ROOM_MM = { only: { width: 76, height: 72 }, several: { width: 36, height: 36 } } as const;
/** The drawing's own frame is in millimetres; its size on paper gives the scale. */
const CARD_SCALE = { times: 1, perMm: 1 } as const;
const GAP_MM = 4;

interface DrawingProps {
  readonly plan: Plan;
  readonly mount: string;
  readonly isOnly: boolean;
  readonly doubt: Doubt | null;
}

/** A setting's plan and section, at the largest plain scale that fits the card. */
function CardDrawing({ plan, mount, isOnly, doubt }: DrawingProps) {
  const { plan: top, section } = plan.drawing.settings[mount]!;
  const room = ROOM_MM[isOnly ? "only" : "several"];
  const what = top.seam ? cardPageText.planWithTheSeamAnd : cardPageText.planAndSection;
  const name = isOnly ? what : namesIn(plan).setting(mount);
  const box = around(top.plateEdge, top.layers);
  const [wide, tall] = [box.right - box.left, box.high - box.low];
  const sectionTall = section.top + section.plate.thickness;
  const [width, height] = [Math.max(wide, 2 * section.plate.half) + 4, tall + sectionTall + GAP_MM + 4];
  const times = CARD_TIMES.find((each) => width * each <= room.width && height * each <= room.height) ?? 1;
  const fit = Math.min(times, room.width / width, room.height / height);
  return (
    <figure className="text-center" style={{ width: `${room.width}mm` }}>
      <svg
        width={`${width * fit}mm`}
        height={`${height * fit}mm`}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={isOnly ? cardPageText.planAndSectionHeading : cardPageText.planAndSectionOf(name)}
        className="mx-auto"
      >
        <StoneFill material="agate" id="card-stone" />
        <Millimetres x={2 - box.left + (width - 4 - wide) / 2} y={box.high + 2} scale={CARD_SCALE}>
          <Shape curve={top.plateEdge} fill="var(--color-white)" stroke="var(--color-print-ink)" strokeWidth={0.8} />
          {top.layers.flatMap(({ id, middles, balls, width }) =>
            balls.length > 0
              ? balls.map(({ at, radius }, i) => (
                  <circle
                    key={`${id}${i}`}
                    cx={at[0]}
                    cy={at[1]}
                    r={radius}
                    fill="var(--color-print-wash)"
                    stroke="var(--color-print-ink)"
                    strokeWidth={0.08}
                  />
                ))
              : middles.map((points, i) => (
                  <g key={`${id}${i}`}>
                    <Shape points={points} open fill="none" stroke="var(--color-print-ink)" strokeWidth={width} vectorEffect="none" />
                    <Shape
                      points={points}
                      open
                      fill="none"
                      stroke="var(--color-print-wash)"
                      strokeWidth={width * 0.8}
                      vectorEffect="none"
                    />
                  </g>
                )),
          )}
          <Shape curve={top.wallOutside} fill="var(--color-print-hair)" stroke="var(--color-print-ink)" strokeWidth={0.8} />
          <Shape curve={top.stone} fill="url(#card-stone)" stroke="var(--color-print-ink)" strokeWidth={0.8} />
          {top.seam && (
            <line
              x1={top.seam.x}
              y1={top.seam.y}
              x2={top.seam.x + top.seam.nx * 1.2}
              y2={top.seam.y + top.seam.ny * 1.2}
              stroke="var(--color-black)"
              strokeWidth={1.6}
              vectorEffect="non-scaling-stroke"
            />
          )}
        </Millimetres>
        <Millimetres x={width / 2} y={height - 2 - section.plate.thickness} scale={CARD_SCALE}>
          <Shape
            points={[
              [-section.plate.half, -section.plate.thickness],
              [section.plate.half, -section.plate.thickness],
              [section.plate.half, 0],
              [-section.plate.half, 0],
            ]}
            fill="var(--color-print-hair)"
            stroke="var(--color-print-ink)"
            strokeWidth={0.8}
          />
          <Shape
            points={[...section.stone, ...section.stone.map(([x, y]) => [-x, y] as const).reverse()]}
            fill="url(#card-stone)"
            stroke="var(--color-print-ink)"
            strokeWidth={0.8}
          />
          {([1, -1] as const).map((side) => (
            <Shape
              key={side}
              points={section.folded.map(([x, y]) => [side * x, y] as const)}
              open
              fill="none"
              stroke="var(--color-print-ink)"
              strokeWidth={1.6}
            />
          ))}
        </Millimetres>
      </svg>
      <figcaption className="card-fine text-print-ink">
        {capital(name)}, {fit === times ? scaleText({ times, perMm: times }) : cardPageText.timesLifeSize(fit.toFixed(2))}
        {doubt && <b className="block">{cardPageText.theDrawingIsAGuess(DOUBTS[doubt])}</b>}
      </figcaption>
    </figure>
  );
}

interface HeatsProps {
  readonly plan: Plan;
  readonly copies: number;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
}

function CardHeats({ plan, copies, units, doubtOf }: HeatsProps) {
  const names = namesIn(plan);
  return (
    <>
      <h2>{commonText.heats}</h2>
      <table className="w-full">
        <tbody>
          {plan.heats.map((heat, i) => (
            <tr key={i} className="border-t border-print-line align-top">
              <td className="w-[6mm]">{i + 1}</td>
              <td className="w-[36mm] pr-[2mm] font-strong">{capital(heat.joints.map(names.joint).join(" + "))}</td>
              <td className="w-[29mm] pr-[2mm]">
                {flameName(heat)}, {showTemperature(heat.working, units)} {degrees(units)}
              </td>
              <td>
                <TorchCell heat={heat} plan={plan} units={units} doubtOf={doubtOf} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-[1mm] border-t border-print-line pt-[0.6mm]">
        <b>{cardPageText.cutFirst} </b>
        {cuttingList(plan.heats, copies)
          .map((cut) => cutSolderText(cut, plan, units, doubtOf))
          .join("; ")}
      </p>
    </>
  );
}

interface TorchProps {
  readonly heat: PlannedHeat;
  readonly plan: Plan;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
}

/** Solder, flame and what holds it, in small print; what moves stands out. */
function TorchCell({ heat, plan, units, doubtOf }: TorchProps) {
  const { solder, flame, hold, care } = sayTorch(heat, plan, units, doubtOf);
  return (
    <>
      {solder}
      {care.map(({ text }) => (
        <b key={text}> ◆ {text}</b>
      ))}
      <span className="block card-fine text-print-ink">{cardPageText.flame(flame, hold && cardPageText.hold(hold))}</span>
    </>
  );
}

/** The cautions of a making, each once, in the order they come up: steps speak of them by their numbers. */
function cautionsOf({ steps }: Plan): CautionCode[] {
  return [...new Set(steps.flatMap(({ cautions }) => cautions))];
}

function CardCautions({ cautions }: { readonly cautions: readonly CautionCode[] }) {
  return (
    <footer className="mt-[2mm] border-t border-print-ink pt-[1mm] card-cautions text-[7.2pt] leading-tight">
      <b>◆ {CAUTIONS_DEFER}</b> {cautions.map((code, i) => `${i + 1} ${capital(CAUTIONS[code].name)}: ${CAUTIONS[code].text}`).join(" ")}
    </footer>
  );
}
