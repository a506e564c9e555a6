import { Fragment } from "react";
import { type SumPart } from "@/words/sums";

/** "44.21 outline + 1.32 wall and fit = 46.07", the signs standing out. */
export function Sum({ parts, total, why = "" }: { readonly parts: readonly SumPart[]; readonly total: string; readonly why?: string }) {
  return (
    <>
      {parts.map(({ text, name, isLess }, i) => (
        <Fragment key={name}>
          {i > 0 && " "}
          <b className="font-semibold text-ink">
            {isLess ? "− " : i > 0 && "+ "}
            {text}
          </b>{" "}
          {name}
        </Fragment>
      ))}{" "}
      = <b className="font-semibold text-ink">{total}</b>
      {why && `, ${why}`}
    </>
  );
}
