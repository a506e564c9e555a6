import { cuttingList } from "@/core/heats/cutting";
import { figureOf } from "@/core/measure/figure";
import { type ClassMaker } from "@/core/piece/class-list";
import { type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { kitOf } from "@/core/piece/kit";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { BLANK } from "@/words/doubt";
import { kitText } from "@/words/kit";
import { SYSTEM_NAMES, capital, counted, namesIn } from "@/words/names";
import { type Units } from "@/words/show";
import { figureText } from "@/words/steps";
import { cutSolderText } from "@/words/torch";
import { commonText } from "@/words/common";
import { classPagesText } from "@/words/screens/card";

/** One who makes a piece, with the piece as they make it. */
export interface ClassMade {
  readonly maker: ClassMaker;
  readonly piece: Piece;
  readonly plan: Plan;
  readonly doubtOf: DoubtOf;
}

interface Props {
  readonly name: string;
  readonly copies: number;
  readonly made: readonly ClassMade[];
  readonly units: Units;
}

/** A class on one page: everybody's own blanks, and all the metal and solder that is wanted. */
export function ClassSheet({ name, copies, made, units }: Props) {
  const { plan, doubtOf } = made.find(({ maker }) => maker.size !== null) ?? made[0]!;
  const put = new Set(plan.drawing.applied.map(({ id }) => `applied.${id}`));
  const own = plan.cuts.filter(({ part, mount, shape }) => mount === null && shape.kind === "length" && !put.has(part));
  const kit = kitOf(
    made.map((each) => each.plan),
    copies,
  );
  const isGuess = made.some((each) => each.plan.cuts.some(({ figure }) => doubtAmong([figure], each.doubtOf) !== null));
  const solder = cuttingList(
    made.flatMap((each) => each.plan.heats),
    copies,
  );
  return (
    <article className="card-page" aria-label={classPagesText.classOf(name)}>
      <header className="mb-[2mm] flex items-baseline justify-between border-b-2 border-ink pb-[1mm]">
        <h1>{name}</h1>
        <p>{classPagesText.makers(counted(made.length, "maker"))}</p>
      </header>
      <div className={made.length > 18 ? "columns-2 gap-[8mm]" : ""}>
        <table className="card-grid w-full">
          <thead>
            <tr className="text-left">
              <th className="w-[8mm]" aria-label={classPagesText.number} />
              <th>{commonText.name}</th>
              {own.length > 0 && <th>{classPagesText.fingerSize}</th>}
              {own.map(({ part }) => (
                <th key={part} className="text-right">
                  {classPagesText.blank(capital(namesIn(plan).part(part)))}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {made.map((each, i) => (
              <tr key={i} className="h-[6.5mm] break-inside-avoid border-t border-print-line">
                <td className="text-print-ink">{i + 1}</td>
                <td className="font-strong">{each.maker.name}</td>
                {own.length > 0 && <td>{each.maker.size ? `${SYSTEM_NAMES[each.maker.size.system]} ${each.maker.size.value}` : BLANK}</td>}
                {own.map(({ part, figure }) => (
                  <td key={part} className="text-right">
                    {doubtAmong([figure], each.doubtOf) ? BLANK : figureText(figure, figureOf(each.plan.figures, figure), units)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <h2>{classPagesText.metal}</h2>
      <table className="w-full">
        <tbody>
          {kit.map((line, i) => {
            const { stock, amount } = kitText(line, units);
            return (
              <tr key={i} className="border-t border-print-line">
                <td className="py-[0.8mm]">{stock}</td>
                <td className="py-[0.8mm] text-right font-strong">{amount}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {isGuess && <p className="mt-[1mm]">{classPagesText.withGuesses}</p>}
      <h2>{classPagesText.solder}</h2>
      <ul>
        {solder.map((cut, i) => (
          <li key={i} className="border-t border-print-line py-[0.8mm]">
            {cutSolderText(cut, plan, units, doubtOf)}
          </li>
        ))}
      </ul>
      <p className="mt-[2mm] card-fine text-print-ink">{classPagesText.standardLosses}</p>
    </article>
  );
}
