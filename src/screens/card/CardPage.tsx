"use client";

import { type AskedReading, type CautionCode, type Step } from "@/core/making/step";
import { type Level } from "@/core/measure/finding";
import { type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { cuttingList } from "@/core/heats/cutting";
import { type Plan, type PlannedHeat } from "@/core/piece/plan";
import { hosts } from "@/core/piece/mounts";
import { type Piece } from "@/core/piece/piece";
import { findingText } from "@/words/findings";
import { cardRows, cardSteps } from "@/words/card";
import { fullDayText } from "@/words/dates";
import { cutSolderText, sayTorch } from "@/words/torch";
import { ASKED } from "@/words/making";
import { flameName, namesIn, capital } from "@/words/names";
import { degrees, lengthUnit, showTemperature, type Units } from "@/words/show";
import { CAUTIONS, CAUTIONS_DEFER, STAGE_TITLES, copiesText, figureText } from "@/words/steps";
import { commonText } from "@/words/common";
import { CardDrawing, WornDrawing } from "./CardDrawing";
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
  /** Whose it is in a class, empty where that is to be written in; with blanks for what is measured. Left out where it is no class. */
  readonly maker?: string;
}

/**
 * How a card is set: one of more lines smaller, so that one page holds it; one that takes two pages anyway no smaller than it must be. A finding and a
 * heat count as two lines.
 */
const SET: readonly { readonly upTo: number; readonly as: string }[] = [
  { upTo: 47, as: "" },
  { upTo: 66, as: "card-long" },
  { upTo: 80, as: "card-long card-dense" },
  { upTo: Infinity, as: "card-long" },
];
/** Lines that a name, and the head of what is measured, take in a class. */
const CLASS_LINES = 4;

/** A piece's card: all of it on one page, safe in grey; a large piece's on two. */
export function CardPage({ piece, plan, units, doubtOf, revision, changed, maker }: PageProps) {
  const cautions = cautionsOf(plan);
  const copies = copiesText(piece.copies);
  const lines = cardSteps(plan, units, doubtOf);
  const findings = plan.findings.filter(({ at, level }) => !doubtOf(at) && LEVELS[level] !== null);
  const asked = maker === undefined ? [] : plan.steps.flatMap((step) => step.reads.map((read) => ({ step, read })));
  const rows = cardRows(piece, plan, units, doubtOf);
  const ofClass = maker === undefined ? 0 : asked.length + CLASS_LINES;
  const long = lines.length + rows.length + 2 * (findings.length + plan.heats.length) + ofClass;
  return (
    <article className={`card-page ${SET.find(({ upTo }) => long <= upTo)!.as}`} aria-label={cardPageText.cardOf(piece.name)}>
      <CardHead piece={piece} revision={revision} changed={changed} />
      {maker !== undefined && <NameLine name={maker} />}
      <div className="card-columns grid grid-cols-[1fr_76mm] gap-[5mm]">
        <table className="w-full self-start">
          <tbody>
            {rows.map(({ label, text, sum, doubt }, i) => (
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
        <div className="flex flex-wrap content-start items-end justify-center gap-[3mm]">
          {hosts(piece).map(({ id }) => (
            <CardDrawing
              key={id}
              plan={plan}
              mount={id}
              isOnly={hosts(piece).length === 1}
              doubt={doubtAmong(
                ["stone", "wall", "plate"].map((name) => `${id}.${name}`),
                doubtOf,
              )}
            />
          ))}
          <WornDrawing plan={plan} doubtOf={doubtOf} />
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
      {asked.length > 0 && <Blanks asked={asked} plan={plan} units={units} doubtOf={doubtOf} />}
      <CardCautions cautions={cautions} />
    </article>
  );
}

function NameLine({ name }: { readonly name: string }) {
  return (
    <p className="mb-[1mm] flex items-end gap-[2mm]">
      {commonText.name} <b className="inline-flex h-[6mm] w-[70mm] items-end border-b border-print-ink">{name}</b> {cardPageText.date}{" "}
      <span className="inline-block h-[6mm] w-[35mm] border-b border-print-ink" />
    </p>
  );
}

interface BlanksProps {
  readonly asked: readonly { readonly step: Step; readonly read: AskedReading }[];
  readonly plan: Plan;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
}

/** What is read off the metal on the way, each with what is wanted and a blank to write in. */
function Blanks({ asked, plan, units, doubtOf }: BlanksProps) {
  return (
    <section aria-label={commonText.measured}>
      <h2>{commonText.measured}</h2>
      <ul className="card-fine columns-3 gap-[5mm]">
        {asked.map(({ step, read }) => {
          const figure = plan.figures[read.figure];
          const wanted = figure && !doubtOf(read.figure) ? cardPageText.wanted(figureText(read.figure, figure, units)) : "";
          return (
            <li key={`${step.id} ${read.figure}`} className="flex items-end gap-[1.5mm] break-inside-avoid ">
              <span className="min-w-0 flex-1">
                {STAGE_TITLES[step.stage]}: {ASKED[read.kind].toLowerCase()}
                {wanted}
              </span>
              <span className="inline-block h-[4.2mm] w-[11mm] border-b border-print-ink" /> {lengthUnit(units)}
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
      <p>
        {(piece.count ?? 1) > 1 && cardPageText.toMake(piece.count!)}
        {cardPageText.revision(fullDayText(changed), revision)}
      </p>
    </header>
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
              <td className="w-[36mm] pr-[2mm] font-strong">{capital(names.joints(heat.joints).join(" + "))}</td>
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
