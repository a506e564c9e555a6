"use client";

import { Popover } from "radix-ui";
import { type ReactNode } from "react";
import { type Figure, figureOf } from "@/core/measure/figure";
import { useDoubt } from "./doubt";
import { usePlan } from "./plan";
import { DOUBTS } from "@/words/doubt";
import { SCHOOL_NAMES, capital } from "@/words/names";
import { addingUp } from "@/words/sums";
import { SOURCE_NAMES, termText } from "@/words/terms";
import { type Units, showFigureValue } from "@/words/show";
import { useUnits } from "./tray";
import { termsText } from "@/words/ui";

interface Props {
  /** Key of the figure in the plan. */
  readonly figure: string;
  /** What it is, as it is said: "Cut strip". */
  readonly name: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A figure that opens its terms when pressed: each value, where it came from, and what another school would make of it. */
export function FigureButton({ figure: key, name, className = "", children }: Props) {
  const figure = figureOf(usePlan().figures, key);
  const units = useUnits();
  const doubt = useDoubt()(key);
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={termsText.showItsSum(name, doubt ? `${DOUBTS[doubt]}, ` : "")}
        data-figure={key}
        className={`${doubt ? "doubtful" : ""} pressed tap rounded-sm text-left decoration-line decoration-dotted underline-offset-4 hover:underline ${className}`}
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={name}
          side="top"
          align="start"
          sideOffset={6}
          collisionPadding={12}
          className="z-50 w-94.5 rounded-md border border-line bg-sheet p-3 shadow-xl"
        >
          <h2 className="mb-1 text-sm font-strong">{name}</h2>
          {doubt && <p className="pb-1 text-sm font-semibold text-warn">{capital(DOUBTS[doubt])}</p>}
          <TermsTable figure={figure} units={units} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function TermsTable({ figure, units }: { readonly figure: Figure; readonly units: Units }) {
  const isSum = figure.terms.length > 1;
  const shown = addingUp(
    figure.terms.map(({ value }) => value),
    figure.unit,
    units,
  );
  return (
    <table className="w-full text-sm">
      <tbody>
        {figure.terms.map((term, i) => (
          <tr key={i} className="border-t border-hair align-top">
            <td className="py-1 pr-2 text-right font-strong whitespace-nowrap">
              {isSum && i > 0 ? (shown[i]! < 0 ? "− " : "+ ") : ""}
              {showFigureValue(isSum && i > 0 ? Math.abs(shown[i]!) : shown[i]!, figure.unit, units)}
            </td>
            <td className="py-1 leading-snug">
              {termText(term)} <span className="text-soft">· {SOURCE_NAMES[term.from]}</span>
            </td>
          </tr>
        ))}
        {isSum && (
          <tr className="border-t border-metal-edge">
            <td className="py-1 pr-2 text-right font-bold whitespace-nowrap">{showFigureValue(figure.value, figure.unit, units)}</td>
            <td className="py-1 font-strong">{termsText.inAll}</td>
          </tr>
        )}
        {figure.schools?.map(({ rule, value }) => (
          <tr key={rule} className="border-t border-hair text-accent-deep">
            <td className="py-1 pr-2 text-right whitespace-nowrap">{showFigureValue(value, figure.unit, units)}</td>
            <td className="py-1">{SCHOOL_NAMES[rule]}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
