/** Why a picture or a drawing gives no outline, with the numbers that show it. */
export interface TraceRefusal {
  readonly code:
    | "not-a-picture"
    | "picture-cut-short"
    | "picture-too-large"
    | "picture-too-small"
    | "too-coarse"
    | "no-clear-stone"
    | "two-stones"
    | "cut-by-the-edge"
    | "too-blurred"
    | "no-flat-base"
    | "not-a-round"
    | "too-tilted"
    | "not-a-drawing"
    | "drawing-has-script"
    | "drawing-has-entities"
    | "drawing-reaches-outside"
    | "drawing-too-deep"
    | "drawing-too-many-points"
    | "no-closed-outline";
  readonly values: Readonly<Record<string, string | number>>;
}

export function refusal(code: TraceRefusal["code"], values: TraceRefusal["values"] = {}): TraceRefusal {
  return { code, values };
}

/** What was made of something, or why it was refused. */
export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusal: TraceRefusal };

export function refused(
  code: TraceRefusal["code"],
  values: TraceRefusal["values"] = {},
): { readonly ok: false; readonly refusal: TraceRefusal } {
  return { ok: false, refusal: refusal(code, values) };
}
