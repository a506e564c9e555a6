"use client";

import { type ExplainedWord } from "@/words/explain";
import { TypedEntry } from "./TypedEntry";
import { type NumberField } from "./fields";

interface Props {
  readonly field: NumberField;
  readonly label: string;
  readonly hint?: string | undefined;
  readonly explains?: ExplainedWord;
  /** null where the piece has none. */
  readonly value: number | null;
  readonly lights?: string;
  readonly shape?: "usual" | "compact" | "wide";
}

/** A number of the piece, in the unit on screen. The arrow keys step it, with Alt by a tenth of that. */
export function MeasureField({ field, value, lights, ...rest }: Props) {
  const own = value === null ? "" : field.show(value);
  const isSame = (text: string) => {
    const reading = field.read(text);
    return reading.ok && reading.value === value;
  };
  return (
    <TypedEntry
      {...rest}
      field={field}
      own={own}
      isSame={isSame}
      lights={lights ?? field.key}
      placeholder="—"
      stepped={(by, fine) => field.show((value ?? 0) + by * (fine ? field.step / 10 : field.step))}
      after={field.unit && <span className="text-xs font-light text-soft">{field.unit}</span>}
    />
  );
}
