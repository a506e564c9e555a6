import { Fragment } from "react";

export interface SumPart {
  readonly value: string;
  readonly name: string;
}

/** "44.21 outline + 1.32 wall and fit = 46.07", the signs standing out. */
export function Sum({ parts, total }: { readonly parts: readonly SumPart[]; readonly total: string }) {
  return (
    <>
      {parts.map(({ value, name }, i) => (
        <Fragment key={name}>
          {i > 0 && " "}
          <b className="font-semibold text-ink">
            {i > 0 && "+ "}
            {value}
          </b>{" "}
          {name}
        </Fragment>
      ))}{" "}
      = <b className="font-semibold text-ink">{total}</b>
    </>
  );
}
