import { type Spot } from "@/core/trace/pixels";
import { type TraceRefusal } from "@/core/trace/refusal";
import { type Squares } from "@/core/trace/squares";
import { type Traced } from "@/core/trace/trace";
import { type Drawing } from "@/formats/drawings/drawing";

/** A picture, and a number that no other picture of the page has: a message brings a copy of the file. */
export interface AskedPicture {
  readonly id: number;
  readonly file: Blob;
}

/** What is asked of a picture or a drawing. */
export type TraceAsk =
  /** How large a picture is, and whether it shows squared paper. */
  | { readonly kind: "picture"; readonly picture: AskedPicture }
  /** Its stone. */
  | { readonly kind: "stone"; readonly picture: AskedPicture; readonly pxPerMm: number; readonly at: Spot | null }
  | { readonly kind: "drawing"; readonly name: string; readonly text: string }
  /** A picture that a camera would take, made up by its number. */
  | { readonly kind: "made-up"; readonly number: number };

export type TraceReply =
  | { readonly kind: "picture"; readonly width: number; readonly height: number; readonly squares: Squares | null }
  | { readonly kind: "stone"; readonly traced: Traced }
  | { readonly kind: "drawing"; readonly drawing: Drawing }
  | { readonly kind: "made-up"; readonly file: Blob }
  | { readonly kind: "refused"; readonly refusal: TraceRefusal };
