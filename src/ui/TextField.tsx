"use client";

import { type ReactNode } from "react";
import { type TypedField } from "@/store/session";
import { TypedEntry } from "./TypedEntry";

interface Props {
  readonly field: TypedField<string>;
  readonly label: string;
  readonly hint?: string | undefined;
  readonly value: string;
  readonly shape?: "usual" | "wide";
  readonly before?: ReactNode;
}

/** Words of the piece. */
export function TextField({ field, value, ...rest }: Props) {
  return <TypedEntry {...rest} field={field} own={value} isSame={(text) => text.trim() === value.trim()} lights={field.key} isText />;
}
